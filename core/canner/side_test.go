package canner

import (
	"math"
	"slices"
	"testing"

	"mellisca/core/jar"
)

// TestFromTheSide looks at many loads: what is shown stands side by side, inside the
// pot, each tier on the tallest of the one below.
func TestFromTheSide(t *testing.T) {
	quart, _ := jar.Find("quart")
	pint, _ := jar.Find("pint")
	for n := 1; n <= 7; n++ {
		below, ok := Default.Spread(slices.Repeat([]jar.Jar{quart}, n))
		if !ok {
			t.Fatalf("%d quarts", n)
		}
		above, _ := Default.Spread([]jar.Jar{pint, pint})
		cut := Default.FromTheSide([][]Placed{below, above})
		tiers := map[int]int{}
		for i, a := range cut {
			tier := 0
			if a.Foot > Default.Rack {
				tier = 1
				if a.Foot != Default.Rack+quart.Height+Divider {
					t.Errorf("the upper tier stands on %v", a.Foot)
				}
			}
			tiers[tier]++
			if math.Abs(a.XCm)+a.Jar.Diameter.Centimetres()/2 > Default.Diameter.Centimetres()/2 {
				t.Errorf("%d: a jar stands in the wall", n)
			}
			for _, b := range cut[:i] {
				if a.Foot == b.Foot && math.Abs(a.XCm-b.XCm) < (a.Jar.Diameter+b.Jar.Diameter).Centimetres()/2 {
					t.Errorf("%d: two jars in one place", n)
				}
			}
		}
		if tiers[0] == 0 || tiers[1] == 0 || tiers[0] > n {
			t.Errorf("%d jars: %v", n, tiers)
		}
	}
	if got := Default.FromTheSide(nil); len(got) != 0 {
		t.Errorf("%v", got)
	}
}
