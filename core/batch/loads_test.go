package batch

import (
	"strings"
	"testing"

	"mellisca/core/canner"
	"mellisca/core/guide"
)

// offered is the offers of a plan in one text.
func offered(p Plan) string {
	var all []string
	for _, o := range p.LoadOffers {
		all = append(all, o.Text)
	}
	return strings.Join(all, " ")
}

func TestOfferLoads(t *testing.T) {
	k := withCanners(t)
	k.Memo = &canner.Memo{}
	k.Canners = append([]Canner{{ID: "small", Pot: canner.Default}}, k.Canners...)
	for _, c := range []struct {
		amount string
		change func(*Request)
		says   string
	}{
		{"7 jars", nil, ""},
		{"10 jars", nil, "The big kettle takes 12: one load."},
		{"14 jars", nil, "packed hot, they wait 10 minutes at most"},
		{"8 jars", nil, "1 quart more than one load"},
		{"30 jars", func(r *Request) { r.Jar = "half-pint" }, "two tiers with a rack between: 24 at once, 2 loads"},
		{"8 jars", func(r *Request) { r.Method = guide.Steam }, "1 quart more than one load"},
	} {
		r := peaches()
		r.Amount = c.amount
		r.Product, r.Kind, r.Form = "pears", "", "halves"
		if c.change != nil {
			c.change(&r)
		}
		got := offered(makeOK(t, r, k))
		if c.says == "" && c.amount == "7 jars" && got != "" || !strings.Contains(got, c.says) {
			t.Errorf("%s in %ss: %q, want %q", c.amount, r.Jar, got, c.says)
		}
	}
	// In steam there is no second tier, and a pot for boiling water is none.
	r := peaches()
	r.Amount, r.Method, r.Jar = "30 jars", guide.Steam, "half-pint"
	if got := offered(makeOK(t, r, k)); strings.Contains(got, "tiers") || strings.Contains(got, "kettle") {
		t.Error(got)
	}
}

// TestTwoTiers takes the second tier that is offered, and goes back.
func TestTwoTiers(t *testing.T) {
	k := withCanners(t)
	k.Memo = &canner.Memo{}
	r := peaches()
	r.Amount, r.Jar = "30 jars", "half-pint"
	one := makeOK(t, r, k)
	take := func(p Plan, tiers int) LoadOffer {
		t.Helper()
		for _, o := range p.LoadOffers {
			if o.Tiers == tiers {
				return o
			}
		}
		t.Fatalf("no %d tiers offered: %s", tiers, offered(p))
		return LoadOffer{}
	}
	two := makeOK(t, r.Taking(take(one, 2)), k)
	by, placed := countedIn(two.Loads)
	if two.Capacity != 2*one.Capacity || len(two.Loads) >= len(one.Loads) || by["half-pint"] != 30 || placed != 30 {
		t.Fatalf("%d at once in %d loads, %d placed", two.Capacity, len(two.Loads), placed)
	}
	if two.Verdict.Tested.Minutes != one.Verdict.Tested.Minutes {
		t.Error("tiers changed a time")
	}
	// The water stands over the upper jars, so higher by a jar and the rack between.
	jarHeight := two.Jar.Height
	if got, want := two.Water.After-one.Water.After, jarHeight+canner.Divider; got != want {
		t.Errorf("the water stands %v higher, want %v", got, want)
	}
	if why := explained(t, two, "loads"); !strings.Contains(why, "Two tiers") {
		t.Error(why)
	}
	if back := makeOK(t, r.Taking(take(one, 2)).Taking(take(two, 1)), k); back.Capacity != one.Capacity {
		t.Errorf("%d", back.Capacity)
	}
	// What does not fit in two is planned in one and says so; in steam there is only one.
	r.Tiers, r.Jar, r.Amount, r.Canner = 2, "quart", "20 jars", ""
	k.Canners[0].Pot.Depth = cm(30)
	if p := makeOK(t, r, k); p.Capacity != 12 || !strings.Contains(offered(p), "not deep enough for two tiers") {
		t.Errorf("%d, %s", p.Capacity, offered(p))
	}
	k.Canners[0].Pot.Depth = cm(50)
	r.Sizes = "14 quarts, 9 pints"
	p := makeOK(t, r, k)
	by, placed = countedIn(p.Loads)
	if len(p.Loads) != 1 || by["quart"] != 14 || by["pint"] != 9 || placed != 23 || p.Loads[0].Minutes != 35 {
		t.Errorf("%d loads, %v, %d placed", len(p.Loads), by, placed)
	}
	for _, in := range p.Loads[0].Tiers[1] {
		if in.Jar.ID == "quart" && p.Loads[0].Tiers[0][0].Jar.ID == "pint" {
			t.Error("the taller jars stand above")
		}
	}
	r.Tiers = 3
	if _, err := Make(r, k); err == nil {
		t.Error("three tiers")
	}
}
