package batch

import (
	"math"
	"strings"
	"testing"

	"mellisca/core/measure"
)

func TestCosts(t *testing.T) {
	k := withCanners(t)
	k.Lots = map[string]LotAtHand{
		"crate": {Name: "Tuesday's crate", Kind: "peach", Left: 10 * measure.Pound, CentsPerKg: 220.46}, "tree": {Name: "our tree", Kind: "peach", Left: 5 * measure.Pound}, "gift": {Name: "a gift", Kind: "peach", Left: 5 * measure.Pound, CentsPerKg: -1},
	}
	k.Prices = Prices{SugarPerKg: 200, Lid: 30, Jar: 120, Hour: 60, BoughtPerLitre: 500}
	r := peaches() // 12 lb: 5 quarts in light syrup
	r.Lots = "crate,tree"
	p := makeOK(t, r, k)
	c := p.Costs
	sum, lines := 0.0, map[string]float64{}
	for _, l := range c.Lines {
		sum += l.Cents
		lines[l.What] = l.Cents
	}
	// 10 lb at 1.00 a lb and 2 lb for nothing; 428 g of sugar; lids; a twentieth of the jars.
	for what, want := range map[string]float64{"fruit": 1000, "light syrup": 85.5, "lids": 150, "jars, over 20 fillings": 30} {
		if math.Abs(lines[what]-want) > 0.5 {
			t.Errorf("%s: %.2f, want %.2f", what, lines[what], want)
		}
	}
	if lines["the flame"] <= 0 || math.Abs(sum-c.Cents) > 1e-9 || math.Abs(c.PerJar-c.Cents/5) > 1e-9 || math.Abs(c.PerLitre-c.PerJar/0.946353) > 1e-6 || math.Abs(c.Bought-473.2) > 0.1 || len(c.Missing) != 0 {
		t.Errorf("%+v", c)
	}
	r.Lots = "gift"
	if c = makeOK(t, r, k).Costs; strings.Join(c.Missing, " ") != "fruit" {
		t.Errorf("%+v", c)
	}
	r.Lots = ""
	k.Prices = Prices{Lid: 30}
	if c = makeOK(t, r, k).Costs; len(c.Lines) != 1 || len(c.Missing) != 4 {
		t.Errorf("%+v", c)
	}
	if makeOK(t, r, corvane(t)).Costs != nil {
		t.Error("costs without a price")
	}
	r = sauceRequest("apple-pie-filling", "", "quart", "14 jars")
	k.Prices = Prices{SugarPerKg: 100}
	if c = makeOK(t, r, k).Costs; math.Abs(c.Lines[0].Cents-2*5.5*0.2*100) > 0.5 {
		t.Errorf("two pots of filling: %+v", c)
	}
}
