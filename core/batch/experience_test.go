package batch

import (
	"strings"
	"testing"

	"mellisca/core/guide"
	"mellisca/core/measure"
)

// TestPlanLearns plans for a cook whose batches gave a sixth less than the guide, used
// more liquid and took longer.
func TestPlanLearns(t *testing.T) {
	k := corvane(t)
	k.Seen = map[Way]Seen{{"peaches", "halves", guide.Hot}: {
		Ratios: []float64{0.83, 0.85, 0.82, 0.84, 0.83}, Liquid: []float64{0.45, 0.44, 0.46}, Prepare: []float64{4, 4.2, 3.9, 4.1},
	}}
	r := peaches()
	r.Amount = "48 lb"
	usual, own := makeOK(t, r, corvane(t)), makeOK(t, r, k)
	if own.Jars.Batches != 5 || own.Jars.Planned >= usual.Jars.Planned || own.Jars.Planned > 17 {
		t.Errorf("%+v, without %+v", own.Jars, usual.Jars)
	}
	if own.Pour.LitresPerJar <= usual.Pour.LitresPerJar || own.Preparing.Likely <= usual.Preparing.Likely || own.Preparing.Batches != 4 || usual.Preparing.Batches != 0 {
		t.Errorf("%v l, %+v", own.Pour.LitresPerJar, own.Preparing)
	}
	if why := explained(t, own, "jars"); !strings.Contains(why, "Your own 5 batches of it correct the guide") {
		t.Error(why)
	}
	if own.Verdict.Tested.Minutes != usual.Verdict.Tested.Minutes {
		t.Error("experience changed a time")
	}
	// Another cut is learned by itself.
	r.Form = "slices"
	if p := makeOK(t, r, k); p.Jars.Batches != 0 {
		t.Errorf("%+v", p.Jars)
	}
	r.Form, r.Amount = "halves", "7 jars"
	if p := makeOK(t, r, k); p.Fruit.Likely.Pounds() < 19 || p.Fruit.Likely.Pounds() > 22 {
		t.Errorf("7 jars of a sixth less take %v", p.Fruit.Likely)
	}
}

func TestPlanFromLots(t *testing.T) {
	k := corvane(t)
	k.Lots = map[string]LotAtHand{
		"crate": {Name: "Tuesday's crate", Kind: "peach", Left: 20 * measure.Pound, CentsPerKg: 200}, "tree": {Name: "our tree", Kind: "peach", Left: 5 * measure.Pound}, "empty": {Name: "the last basket", Kind: "peach", CentsPerKg: -1},
	}
	r := peaches()
	r.Lots, r.Amount = "crate,tree", "all of it"
	p := makeOK(t, r, k)
	if p.Amount.Fruit != 25*measure.Pound || len(p.LotNames) != 2 || p.LotNote != "" || p.Jars.Planned != 10 {
		t.Errorf("%+v %q", p.Amount, p.LotNote)
	}
	r.Lots, r.Amount = "crate", "22 lb"
	if p = makeOK(t, r, k); p.LotNote != "Tuesday's crate holds 20 lb: 2 lb short." {
		t.Error(p.LotNote)
	}
	r.Amount = "10 jars"
	if p = makeOK(t, r, k); !strings.Contains(p.LotNote, "5 lb short") {
		t.Error(p.LotNote)
	}
	for lots, says := range map[string]string{"": "All of what", "gone": "All of what", "empty": "Nothing is left"} {
		r.Lots, r.Amount = lots, "all"
		if _, err := Make(r, k); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("all of %q: %v", lots, err)
		}
	}
}
