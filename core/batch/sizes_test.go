package batch

import (
	"fmt"
	"math"
	"strings"
	"testing"

	"mellisca/core/canner"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// counted adds up the jars of all loads by size, and how many have a place.
func countedIn(loads []Load) (by map[jar.ID]int, placed int) {
	by = map[jar.ID]int{}
	for _, l := range loads {
		for _, f := range l.Jars {
			by[f.Jar.ID] += f.Count
		}
		for _, t := range l.Tiers {
			placed += len(t)
		}
	}
	return by, placed
}

func TestSeveralSizes(t *testing.T) {
	k := stocked(t, 12, map[jar.ID]int{"quart": 5, "pint": 2})
	r := peaches()
	r.Amount, r.Sizes = "14 lb", "3 pints and 5 quarts"
	p := makeOK(t, r, k)
	if p.Status != Tested || p.Jar.ID != "quart" || p.Verdict.Tested.Minutes != 35 || p.JarsText() != "5 quarts and 3 pints" || p.Sizes[1].Minutes != 30 {
		t.Fatalf("%s %s %+v", p.Status, p.JarsText(), p.Sizes)
	}
	by, placed := countedIn(p.Loads)
	if by["quart"] != 5 || by["pint"] != 3 || placed != 8 {
		t.Errorf("%v, %d placed", by, placed)
	}
	// 5 quarts at 2.5 lb and 3 pints at 11/9.
	if !strings.Contains(p.AmountNote, "16 lb 3 oz") || p.Fruit != nil {
		t.Errorf("%q", p.AmountNote)
	}
	if p.Short != "Short by 1 pint." {
		t.Errorf("%q, %+v", p.Short, p.Ready())
	}
	alone := makeOK(t, Request{Product: "peaches", Kind: "freestone", Form: "halves", Pack: guide.Hot, Jar: "quart", Amount: "13 jars", Liquid: r.Liquid}, k)
	if got, want := p.Pour.Litres, alone.Pour.Litres/2; math.Abs(got-want) > 0.02 {
		t.Errorf("6.5 quarts take %.3f l, 13 quarts twice %.3f", got, want)
	}
	in := strings.Join(p.InEachJar, "\n")
	if !strings.Contains(in, "in a quart and") || !strings.Contains(in, "1/2 in of headspace") {
		t.Error(in)
	}
	if why := explained(t, p, "loads"); !strings.Contains(why, "the longest of their times rules") {
		t.Error(why)
	}
	r.Amount = "24 lb"
	if p = makeOK(t, r, k); !strings.Contains(p.AmountNote, "likely gives 6 pints more") || p.Jars.High <= 8 || p.Ready()[1].Count <= 3 {
		t.Errorf("%q %+v", p.AmountNote, p.Jars)
	}
	r.Amount = "9 jars"
	if p = makeOK(t, r, k); !strings.Contains(p.AmountNote, "those of the sizes, 8") || p.Fruit == nil {
		t.Errorf("%q", p.AmountNote)
	}
	items := GetReady([]Plan{p}, measure.US)
	if got := fmt.Sprint(items); !strings.Contains(got, "5 quarts and 3 pints for the peaches") || !strings.Contains(got, "8 new regular lids") {
		t.Error(got)
	}
	for typed, says := range map[string]string{
		"5 mugs": "no jar known", "many": "number of jars", "2 quarts, 1 quart": "twice", "400 quarts, 200 pints": "500 jars",
		"1 quart, 1 pint, 1 half-pint, 1 500 ml jar": "three sizes",
	} {
		r.Sizes = typed
		if _, err := Make(r, k); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%q: %v", typed, err)
		}
	}
}

// TestSizesAreEachTested walks every product in pairs of sizes: the longest time rules a
// load, and where one size is not tested there is no time at all.
func TestSizesAreEachTested(t *testing.T) {
	k := corvane(t)
	k.Memo = &canner.Memo{}
	k.Canners = []Canner{{ID: "deep", Pot: canner.Pot{Name: "the deep one", Diameter: cm(42), Depth: cm(40), Rack: cm(2)}}}
	tested, refused := 0, 0
	for _, info := range guide.Products() {
		for _, pack := range []guide.Pack{guide.Raw, guide.Hot} {
			for _, pair := range [][2]jar.ID{{"quart", "pint"}, {"quart", "half-pint"}, {"pint", "half-pint"}, {"half-gallon", "quart"}} {
				r := First(info.ID, k)
				r.Pack = pack
				var alone [2]Plan
				for i, id := range pair {
					r.Jar = id
					r.Amount = "3 jars"
					alone[i] = makeOK(t, r, k)
				}
				a, _ := jar.Find(pair[0])
				b, _ := jar.Find(pair[1])
				r.Sizes = a.Count(3) + ", " + b.Count(2)
				p := makeOK(t, r, k)
				if alone[0].Status == Incomplete {
					continue
				}
				ok := alone[0].Status == Tested && alone[1].Status == Tested
				if (p.Status == Tested) != ok {
					t.Fatalf("%s %s in %s: %s, alone %s and %s", info.ID, pack, r.Sizes, p.Status, alone[0].Status, alone[1].Status)
				}
				if !ok {
					refused++
					if len(p.Loads) > 0 || p.Jars != nil || p.Verdict.Tested != nil {
						t.Errorf("%s %s in %s: refused, and yet planned", info.ID, pack, r.Sizes)
					}
					continue
				}
				tested++
				own := map[jar.ID]int{pair[0]: alone[0].Minutes(), pair[1]: alone[1].Minutes()}
				if p.Minutes() != max(own[pair[0]], own[pair[1]]) {
					t.Errorf("%s %s in %s: %d min, alone %v", info.ID, pack, r.Sizes, p.Minutes(), own)
				}
				for _, l := range p.Loads {
					for _, f := range l.Jars {
						if l.Minutes < own[f.Jar.ID] {
							t.Errorf("%s %s: a load of %v runs %d min", info.ID, pack, l.Jars, l.Minutes)
						}
					}
				}
				if by, placed := countedIn(p.Loads); by[pair[0]] != 3 || by[pair[1]] != 2 || placed != 5 {
					t.Errorf("%s: %v, %d placed", info.ID, by, placed)
				}
				acid := alone[0].Verdict.Tested.Acid
				if lines := strings.Join(p.InEachJar, "\n"); acid != nil && acid.PerJar != nil && (!strings.Contains(lines, "in each "+a.One) || !strings.Contains(lines, "in each "+b.One)) {
					t.Errorf("%s: the acid of each size is not said:\n%s", info.ID, lines)
				}
			}
		}
	}
	if tested < 60 || refused < 60 {
		t.Errorf("%d tested, %d refused", tested, refused)
	}
}

func TestInsteadOfASize(t *testing.T) {
	r := peaches()
	r.Product, r.Kind, r.Form, r.Sizes, r.Amount = "jelly", "", "", "2 quarts, 3 half-pints", "5 jars"
	p := makeOK(t, r, corvane(t))
	if p.Status != Refused || p.Query.Jar != "quart" || len(p.Sizes) != 0 {
		t.Fatalf("%s %+v", p.Status, p.Query)
	}
	if again := p.Instead(r, p.Verdict.Alternatives[0]); again.Sizes != "" || makeOK(t, again, corvane(t)).Status != Tested {
		t.Errorf("%+v", again)
	}
	same := p.Verdict.Alternatives[0]
	same.Jar = "quart"
	if again := p.Instead(r, same); again.Sizes != r.Sizes {
		t.Error("the other sizes were lost")
	}
}

// TestSugarInEachSize spoons sugar into jars of two sizes: as strong in both.
func TestSugarInEachSize(t *testing.T) {
	r := peaches()
	r.Sizes, r.Amount = "2 quarts, 2 pints", "4 jars"
	r.Liquid = Liquid{Kind: InJar, Sugar: "80 g"}
	p := makeOK(t, r, corvane(t))
	quart, pint := p.Sizes[0].Jar, p.Sizes[1].Jar
	if g := p.Pour.InJar.Sugar.Grams * p.ShareOf(quart); math.Abs(g-80) > 0.5 {
		t.Errorf("%.1f g in a quart", g)
	}
	if g := p.Pour.InJar.Sugar.Grams * p.ShareOf(pint); math.Abs(g-40) > 0.5 {
		t.Errorf("%.1f g in a pint", g)
	}
	one := r
	one.Sizes, one.Amount = "", "4 jars"
	if q := makeOK(t, one, corvane(t)); math.Abs(q.Pour.Brix-p.Pour.Brix) > 0.1 || p.Pour.Liquid.Sugar != "80 g" {
		t.Errorf("%.2f, in quarts alone %.2f", p.Pour.Brix, q.Pour.Brix)
	}
}
