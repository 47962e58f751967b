package batch

import (
	"math"
	"strings"
	"testing"

	"mellisca/core/canner"
	"mellisca/core/guide"
	"mellisca/core/measure"
)

func TestCookUps(t *testing.T) {
	k := corvane(t)
	k.Pots = []canner.Pot{{Name: "the big pan", Diameter: cm(36), Depth: cm(15)}, {Name: "the small pan", Diameter: cm(24), Depth: cm(12)}}
	for _, c := range []struct {
		amount string
		change func(*Request)
		pot    string
		times  int
	}{
		{"4 jars", nil, "the small pan", 1},                                    // 3.8 l into 4.07 l
		{"5 jars", nil, "the big pan", 1},                                      // 4.7 l into 11.4 l
		{"20 jars", nil, "the big pan", 2},                                     // 18.9 l
		{"20 jars", func(r *Request) { r.Pack = guide.Raw }, "the big pan", 1}, // 7.9 l of syrup alone
		{"40 jars", func(r *Request) { r.Product, r.Kind, r.Form, r.Jar = "jam", "plum", "", "half-pint" }, "the big pan", 2}, // 9.5 l into 7.6
	} {
		r := peaches()
		r.Amount = c.amount
		if c.change != nil {
			c.change(&r)
		}
		p := makeOK(t, r, k)
		if p.CookUps == nil || p.CookUps.Pot != c.pot || p.CookUps.Times != c.times {
			t.Errorf("%s of %s: %+v, want %d in %s", c.amount, r.Product, p.CookUps, c.times, c.pot)
			continue
		}
		if per := p.CookUps.Litres / float64(p.CookUps.Times); per > p.CookUps.Holds+1e-9 {
			t.Errorf("%s: %.1f l into %.1f", c.amount, per, p.CookUps.Holds)
		}
		if text := p.CookUps.Text(measure.US); !strings.Contains(text, c.pot) || p.CookUps.Foams != strings.Contains(text, "foams") {
			t.Error(text)
		}
	}
	if math.Abs(potLitres(canner.Pot{Length: cm(50), Width: cm(30), Depth: cm(10)})-15) > 1e-9 {
		t.Error("a rectangular pan of 15 l")
	}
	if p := makeOK(t, peaches(), corvane(t)); p.CookUps != nil {
		t.Errorf("%+v", p.CookUps)
	}
}
