package batch

import (
	"strings"
	"testing"

	"mellisca/core/canner"
	"mellisca/core/guide"
)

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
		got := strings.Join(makeOK(t, r, k).LoadOffers, " ")
		if c.says == "" && c.amount == "7 jars" && got != "" || !strings.Contains(got, c.says) {
			t.Errorf("%s in %ss: %q, want %q", c.amount, r.Jar, got, c.says)
		}
	}
	// In steam there is no second tier, and a pot for boiling water is none.
	r := peaches()
	r.Amount, r.Method, r.Jar = "30 jars", guide.Steam, "half-pint"
	if got := strings.Join(makeOK(t, r, k).LoadOffers, " "); strings.Contains(got, "tiers") || strings.Contains(got, "kettle") {
		t.Error(got)
	}
}
