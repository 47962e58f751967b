package canner

import (
	"errors"
	"math"
	"slices"
	"testing"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

func find(t testing.TB, id jar.ID) jar.Jar {
	t.Helper()
	j, ok := jar.Find(id)
	if !ok {
		t.Fatal(id)
	}
	return j
}

func TestDefaultCannerHolds(t *testing.T) {
	for id, want := range map[jar.ID]int{
		"quart": 7, "quart-wide": 7, "pint": 9, "pint-wide": 8, "half-pint": 12, "4-oz": 14, "half-gallon": 4, "12-oz": 12, "1-l": 7,
	} {
		if got := Default.Capacity(find(t, id)); got != want {
			t.Errorf("%d %ss, want %d", got, id, want)
		}
	}
	if got := (Pot{Diameter: measure.Centimetres(5)}).Capacity(find(t, "quart")); got != 0 {
		t.Errorf("a pot narrower than the jar holds %d", got)
	}
}

func TestDeep(t *testing.T) {
	shallow := Default
	shallow.Depth = measure.Centimetres(24)
	for _, c := range []struct {
		pot   Pot
		jar   jar.ID
		cover float64
		short float64 // cm
	}{{Default, "quart", 1, 0}, {Default, "quart", 2, 0}, {Default, "half-gallon", 1, 1.98}, {shallow, "quart", 1, 0.08}, {shallow, "quart", 2, 2.62}, {shallow, "pint", 2, 0}} {
		err := c.pot.Deep(find(t, c.jar), measure.Inches(c.cover))
		var s *ShallowError
		switch {
		case c.short == 0 && err != nil:
			t.Errorf("%s under %v in: %v", c.jar, c.cover, err)
		case c.short > 0 && (!errors.As(err, &s) || math.Abs(s.Short.Centimetres()-c.short) > 1e-6):
			t.Errorf("%s under %v in: %v, want %v cm short", c.jar, c.cover, err, c.short)
		}
	}
}

// TestArrangeNeverOverlaps places every number of every jar that fits.
func TestArrangeNeverOverlaps(t *testing.T) {
	for _, j := range jar.All() {
		for _, cm := range []float64{20, 24.3, 31.5, 36, 45} {
			p := Pot{Diameter: measure.Centimetres(cm)}
			for n := range p.Capacity(j) + 1 {
				spots, ok := p.Arrange(j, n)
				if !ok || len(spots) != n {
					t.Fatalf("%d of %d %ss in %v cm: %v", n, p.Capacity(j), j.ID, cm, spots)
				}
				d := j.Diameter.Centimetres()
				for i, a := range spots {
					if math.Hypot(a.XCm, a.YCm) > (cm-d)/2+5e-3 {
						t.Errorf("%d %ss in %v cm: one stands outside", n, j.ID, cm)
					}
					for _, b := range spots[:i] {
						if gap := math.Hypot(a.XCm-b.XCm, a.YCm-b.YCm) - d; gap < 0.4 {
							t.Errorf("%d %ss in %v cm: %.2f cm apart", n, j.ID, cm, gap)
						}
					}
				}
			}
			if _, ok := p.Arrange(j, p.Capacity(j)+1); ok {
				t.Errorf("%ss: one too many was placed", j.ID)
			}
		}
	}
}

func TestLoads(t *testing.T) {
	for _, c := range []struct {
		jars, capacity int
		want           []int
	}{{7, 7, []int{7}}, {8, 7, []int{4, 4}}, {10, 7, []int{5, 5}}, {15, 7, []int{5, 5, 5}}, {17, 7, []int{6, 6, 5}}, {3, 9, []int{3}}, {0, 7, nil}, {3, 0, nil}, {40, 7, []int{7, 7, 7, 7, 6, 6}}} {
		if got := Loads(c.jars, c.capacity); !slices.Equal(got, c.want) {
			t.Errorf("%d jars, %d at a time: %v, want %v", c.jars, c.capacity, got, c.want)
		}
	}
}
