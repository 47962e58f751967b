package shelf

import (
	"math"
	"math/rand/v2"
	"testing"

	"mellisca/core/fruit"
)

func near(a, b float64) bool { return math.Abs(a-b) < 1e-4 }

func TestWishes(t *testing.T) {
	noSeason := func(string) int { return 12 }
	kept := []Kept{
		{Product: "peaches", Form: "halves", Jar: "quart", Count: 10, Counts: true},
		{Product: "peaches", Form: "slices", Jar: "pint", Count: 6, Counts: true},
		{Product: "peaches", Form: "halves", Jar: "quart", Count: 3},
		{Product: "pears", Form: "halves", Jar: "pint", Count: 5, Counts: true},
	}
	one := func(w Wish) Answer { return Compare([]Wish{w}, kept, 20000, noSeason)[0] }
	if a := one(Wish{Product: "peaches", Jar: "quart", Count: 20}); !near(a.Have, 13) || a.Short != 7 || a.Apart != 3 || a.Over != 0 {
		t.Errorf("two pints stand for a quart, and an unknown jar for none: %+v", a)
	}
	if a := one(Wish{Product: "peaches", Form: "halves", Jar: "quart", Count: 20}); a.Have != 10 || a.Short != 10 {
		t.Errorf("%+v", a)
	}
	if a := one(Wish{Product: "peaches", Form: "slices", Jar: "quart", Count: 1}); a.Have != 1 || a.Short != 0 || a.Over != 2 {
		t.Errorf("what is over is of that form: %+v", a)
	}
	if a := one(Wish{Product: "pears", Jar: "quart", Count: 3}); !near(a.Have, 2.5) || a.Short != 1 {
		t.Errorf("half a quart short is one jar: %+v", a)
	}
	if a := one(Wish{Product: "plums", Jar: "pint", Count: 4}); a.Have != 0 || a.Short != 4 {
		t.Errorf("%+v", a)
	}
	both := Compare([]Wish{
		{ID: "winter", For: Household, Product: "peaches", Jar: "quart", Count: 10},
		{ID: "feast", For: Guests, Product: "peaches", Jar: "quart", Count: 8, By: 20100},
	}, kept, 20000, noSeason)
	if both[1].Have != 8 || !near(both[0].Have, 5) || both[0].Short != 5 {
		t.Errorf("the nearer day takes first: %+v", both)
	}
	// Half a year on, half of a household's year is eaten; all of a feast's.
	half := func(string) int { return 6 }
	for _, c := range []struct {
		w    Wish
		want int
	}{
		{Wish{For: Household, Product: "peaches", Form: "halves", Jar: "quart", Count: 16}, 14}, // 10 less 8 eaten leaves 2
		{Wish{For: Household, Product: "peaches", Form: "halves", Jar: "quart", Count: 40}, 40}, // all eaten by then
		{Wish{For: Guests, Product: "peaches", Form: "halves", Jar: "quart", Count: 8, By: 20100}, 8},
		{Wish{For: Gifts, Product: "peaches", Form: "halves", Jar: "quart", Count: 8, By: 20300}, 0},
	} {
		if a := Compare([]Wish{c.w}, kept, 20000, half)[0]; a.NextPut != c.want {
			t.Errorf("%+v: %d to put up, want %d", c.w, a.NextPut, c.want)
		}
	}
}

// TestNoJarIsCountedTwice holds that what wishes have together is never more than what
// counts, and that nothing untested fills one.
func TestNoJarIsCountedTwice(t *testing.T) {
	r := rand.New(rand.NewPCG(4, 4))
	filled := 0
	for range 500 {
		var kept []Kept
		have := map[string]float64{}
		for range r.IntN(8) {
			k := Kept{Product: []string{"peaches", "pears"}[r.IntN(2)], Form: []string{"halves", "slices"}[r.IntN(2)], Jar: "quart", Count: r.IntN(20), Counts: r.IntN(3) > 0}
			if r.IntN(2) == 0 {
				k.Jar = "pint"
			}
			if kept = append(kept, k); k.Counts {
				have[k.Product] += float64(k.Count) * litres(k.Jar)
			}
		}
		var wishes []Wish
		for range 1 + r.IntN(6) {
			wishes = append(wishes, Wish{For: Household, Product: []string{"peaches", "pears"}[r.IntN(2)], Form: []string{"", "halves", "slices"}[r.IntN(3)], Jar: "quart", Count: 1 + r.IntN(15), By: fruit.Day(r.IntN(2) * 20000)})
		}
		used := map[string]float64{}
		for _, a := range Compare(wishes, kept, 19000, func(string) int { return r.IntN(13) }) {
			used[a.Product] += (a.Have + float64(a.Over)) * litres(a.Jar)
			if a.Have < 0 || a.Have > float64(a.Count)+1e-9 || a.Short < 0 || a.NextPut < 0 || a.NextPut > a.Count {
				t.Fatalf("%+v", a)
			}
			if a.Short == 0 {
				filled++
			}
		}
		for product, litres := range used {
			if litres > have[product]+1e-3 {
				t.Fatalf("%s: %.3f l counted of %.3f l", product, litres, have[product])
			}
		}
	}
	if filled < 50 {
		t.Errorf("only %d wishes were ever filled", filled)
	}
}

func TestBench(t *testing.T) {
	sound := Suggested(Finding{Seal: Sealed})
	if sound["liquid"] != 10 || sound["float"] != 10 || len(Suggested(Finding{})) != 0 {
		t.Error(sound)
	}
	if m := Suggested(Finding{Seal: Sealed, LiquidLost: 0.2, Float: true, Cloudy: true}); m["liquid"] != 8 || m["float"] >= 10 || m["clear"] >= 10 {
		t.Error(m)
	}
	marks := func(n int) map[Criterion]int { return map[Criterion]int{"cut": n} }
	ids := func(all []Entry) (out string) {
		for _, e := range Rank(all) {
			out += e.Jar
		}
		return out
	}
	for _, c := range []struct {
		all  []Entry
		want string
	}{
		{[]Entry{{"a", marks(3), 0}, {"b", marks(9), 0}, {"c", marks(3), 0}}, "bac"},
		{[]Entry{{"a", marks(3), 1}, {"b", marks(9), 0}, {"c", marks(5), 0}}, "abc"},
		{[]Entry{{"a", marks(9), 3}, {"b", marks(9), 0}, {"c", marks(5), 0}}, "bca"},
		{[]Entry{{"a", marks(9), 8}, {"b", marks(1), 0}}, "ba"},
		{[]Entry{{"a", marks(1), 1}, {"b", marks(9), 1}}, "ba"},
		{[]Entry{{"a", marks(1), 5}, {"b", marks(9), 3}}, "ba"},
		{nil, ""},
	} {
		if got := ids(c.all); got != c.want {
			t.Errorf("%+v: %s", c.all, got)
		}
	}
	for _, c := range Criteria() {
		if CriterionText(c) == "" {
			t.Error(c)
		}
	}
}
