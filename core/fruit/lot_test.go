package fruit

import (
	"strings"
	"testing"

	"mellisca/core/measure"
)

func kindOf(t testing.TB, id string) Kind {
	t.Helper()
	k, ok := FindKind(id)
	if !ok {
		t.Fatal(id)
	}
	return k
}

func TestForecast(t *testing.T) {
	peach := kindOf(t, "peach") // 4 hard, 2 nearly, 3 ready
	for _, c := range []struct {
		taps        []Tap
		from, until Day
		pace        float64
	}{
		{[]Tap{{10, Hard}}, 16, 19, 1},
		{[]Tap{{10, Nearly}}, 12, 15, 1},
		{[]Tap{{10, Ready}}, 10, 13, 1},
		{[]Tap{{10, Ready}, {12, Ready}}, 12, 13, 1}, // looked at again: the window goes on
		{[]Tap{{10, Ready}, {20, Ready}}, 20, 20, 1}, // still ready long after: today at least
		{[]Tap{{10, Past}}, 10, 10, 1},
		{[]Tap{{10, Hard}, {18, Nearly}}, 22, 28, 2}, // twice as slow as the guess
		{[]Tap{{10, Hard}, {13, Ready}}, 13, 15, 0.5},
		{[]Tap{{18, Nearly}, {10, Hard}}, 22, 28, 2}, // in whatever order they came in
		{[]Tap{{10, Hard}, {40, Nearly}}, 44, 50, 2}, // never more than double
	} {
		f, ok := peach.Forecast(c.taps)
		if !ok || f.From != c.from || f.Until != c.until || f.Pace != c.pace {
			t.Errorf("%v: %+v, want %d to %d at %v", c.taps, f, c.from, c.until, c.pace)
		}
	}
	if _, ok := peach.Forecast(nil); ok {
		t.Error("a forecast of nothing seen")
	}
	for day, want := range map[Day]Ripeness{10: Hard, 13: Hard, 14: Nearly, 16: Ready, 19: Ready, 20: Past} {
		if got := peach.Now([]Tap{{10, Hard}}, day); got != want {
			t.Errorf("day %d: %s, want %s", day, got, want)
		}
	}
	if peach.Now(nil, 3) != "" {
		t.Error("nothing seen")
	}
}

// TestForecastIsSane walks all kinds and stages: never fit before it was seen, never
// ready after it is past, and later stages are not fit later.
func TestForecastIsSane(t *testing.T) {
	for _, k := range Kinds() {
		last := Day(1 << 30)
		for _, r := range []Ripeness{Hard, Nearly, Ready} {
			f, _ := k.Forecast([]Tap{{100, r}})
			if f.From < 100 || f.Until < f.From || f.From > last {
				t.Errorf("%s seen %s: %+v", k.ID, r, f)
			}
			last = f.From
		}
		if len(k.Make(Ready)) == 0 || len(k.Make(Hard)) == 0 {
			t.Errorf("nothing to make of %s", k.ID)
		}
		if q := k.Quantity; q != "" {
			if _, ok := Find(q); !ok {
				t.Errorf("%s: no quantity %s", k.ID, q)
			}
		}
	}
	if got := strings.Join(kindOf(t, "apple").Make(Past), " "); got != "applesauce apple-butter apple-juice fruit-puree" {
		t.Error(got)
	}
}

func TestParseBought(t *testing.T) {
	own := []Container{{"green pail", "peach", 12 * measure.Pound}, {"box", "pear", 9 * measure.Kilogram}}
	for in, want := range map[string]Bought{
		"20 lb": {20 * measure.Pound, false}, "9 kg": {9 * measure.Kilogram, false}, "2 bushels": {96 * measure.Pound, false},
		"half a bushel": {24 * measure.Pound, false}, "3 green pails": {36 * measure.Pound, false}, "1 1/2 green pail": {18 * measure.Pound, false},
		"24 pieces": {measure.Grams(3600), true}, "10 peaches": {measure.Grams(1500), true}, "a bushel": {48 * measure.Pound, false},
	} {
		if got, err := kindOf(t, "peach").ParseBought(in, own); err != nil || got != want {
			t.Errorf("%q: %+v, %v; want %+v", in, got, err, want)
		}
	}
	if got, err := kindOf(t, "blueberry").ParseBought("1 flat", nil); err != nil || got.Mass != 9*measure.Pound {
		t.Errorf("%v, %v", got, err)
	}
	for _, p := range kindOf(t, "berry").Firm {
		if p == "blueberry-pie-filling" {
			t.Error("a filling tested with blueberries is made of any berries")
		}
	}
	if got, err := kindOf(t, "berry").ParseBought("2 flats", nil); err != nil || got.Mass != 18*measure.Pound || !got.Guess {
		t.Errorf("%+v, %v", got, err)
	}
	for in, says := range map[string]string{
		"": "what was counted", "12": "what was counted", "0 lb": "nothing", "3 lugs": "not known", "2 boxes": "not known", "some pails": "begin with a number",
		"0 pieces": "nothing", "99999 pieces": "more than a kitchen", "a flat": "for berries", "-3 green pails": "begin with a number",
	} {
		if got, err := kindOf(t, "peach").ParseBought(in, own); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%q: %+v, %v; want %q", in, got, err, says)
		}
	}
	if _, err := kindOf(t, "grape").ParseBought("40 pieces", nil); err == nil {
		t.Error("grapes were counted")
	}
}

// TestLotsAddUp: apples give juice, then sauce of the pulp, and cores for stock, and
// what is left is what was bought less what went in.
func TestLotsAddUp(t *testing.T) {
	lb := measure.Pound
	uses := []Use{{"a", "", 20 * lb, "fruit"}, {"b", "a", 12 * lb, "pulp"}, {"c", "a", 3 * lb, "cores"}, {"d", "", 8 * lb, "fruit"}}
	if left, err := Left(48*lb, uses); err != nil || left != 20*lb {
		t.Errorf("%v, %v", left, err)
	}
	for says, bad := range map[string][]Use{
		"more than there is":   {{"a", "", 49 * lb, "fruit"}},
		"more pulp":            {{"a", "", 20 * lb, "fruit"}, {"b", "a", 12 * lb, "cores"}, {"c", "a", 9 * lb, "pulp"}},
		"not there":            {{"b", "x", 2 * lb, "pulp"}},
		"less than nothing":    {{"a", "", -lb, "fruit"}},
		"1 lb more than there": {{"a", "", 30 * lb, "fruit"}, {"b", "", 19 * lb, "fruit"}},
	} {
		if _, err := Left(48*lb, bad); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%v: %v, want %q", bad, err, says)
		}
	}
}

func FuzzParseBought(f *testing.F) {
	for _, s := range []string{"20 lb", "3 green pails", "half a bushel", "1 1/2 bu", "24 pieces", "a", "1/0 pails"} {
		f.Add(s)
	}
	k := kindOf(f, "peach")
	own := []Container{{"green pail", "peach", 12 * measure.Pound}}
	f.Fuzz(func(t *testing.T, s string) {
		if b, err := k.ParseBought(s, own); err == nil && b.Mass <= 0 {
			t.Fatalf("%q: %+v", s, b)
		}
	})
}
