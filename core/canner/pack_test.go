package canner

import (
	"encoding/csv"
	"math"
	"os"
	"slices"
	"strconv"
	"testing"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// standing fails where placed jars overlap, stand outside, or closer together than
// the gap less a hair.
func standing(t testing.TB, what string, p Pot, in []Placed) {
	t.Helper()
	gap := Gap.Centimetres() - 2*touch
	for i, a := range in {
		r := a.Jar.Diameter.Centimetres() / 2
		out := math.Hypot(a.XCm, a.YCm) + r - p.Diameter.Centimetres()/2
		if p.Diameter == 0 {
			out = max(math.Abs(a.XCm)+r-p.Length.Centimetres()/2, math.Abs(a.YCm)+r-p.Width.Centimetres()/2)
		}
		if out > touch {
			t.Errorf("%s: a %s stands %.3f cm outside", what, a.Jar.ID, out)
		}
		for _, b := range in[:i] {
			if d := math.Hypot(a.XCm-b.XCm, a.YCm-b.YCm) - r - b.Jar.Diameter.Centimetres()/2; d < gap {
				t.Errorf("%s: a %s and a %s are %.3f cm apart", what, a.Jar.ID, b.Jar.ID, d)
			}
		}
	}
}

// counts says how many of each kind there are.
func counts(jars []jar.Jar) map[jar.ID]int {
	n := map[jar.ID]int{}
	for _, j := range jars {
		n[j.ID]++
	}
	return n
}

// TestSearchTakesBestKnown looks for 1 to 20 equal jars, by search alone, in a pot
// half a percent wider than the best known for them, and finds room for all.
func TestSearchTakesBestKnown(t *testing.T) {
	quart := find(t, "quart")
	for n := 1; n < len(ratios); n++ {
		wide := (quart.Diameter+Gap).Centimetres()*ratios[n]*1.005 - Gap.Centimetres()
		p := Pot{Diameter: measure.Centimetres(wide)}
		jars := slices.Repeat([]jar.Jar{quart}, n)
		radii := make([]float64, n)
		for i := range radii {
			radii[i] = around(quart)
		}
		cs, ok := fit(p.outline(), radii, Usual.evaluations(n))
		if !ok || len(cs) != n {
			t.Errorf("%d quarts found no room in %.2f cm", n, wide)
		}
		in := make([]Placed, len(cs))
		for i, c := range cs {
			in[i] = Placed{quart, Spot{c.x, c.y}}
		}
		standing(t, strconv.Itoa(n), p, in)
		if p.Capacity(quart) < n {
			t.Errorf("Capacity is %d in a pot for %d", p.Capacity(quart), n)
		}
		if in, ok := p.Holds(jars); !ok || len(in) != n {
			t.Errorf("Holds: %d of %d", len(in), n)
		}
	}
}

// TestMixedSets fills 500 made-up pots with made-up mixed jars: never an overlap,
// never outside, every jar either in or left; and as many as a search of a minute
// found in at least 95 of 100.
func TestMixedSets(t *testing.T) {
	f, err := os.Open("testdata/searched.csv")
	if err != nil {
		t.Fatal(err)
	}
	defer f.Close()
	rows, err := csv.NewReader(f).ReadAll()
	if err != nil {
		t.Fatal(err)
	}
	searched := map[int]int{}
	for _, row := range rows {
		i, _ := strconv.Atoi(row[0])
		searched[i], err = strconv.Atoi(row[1])
		if err != nil {
			t.Fatal(row)
		}
	}
	fewer, held := 0, 0
	for i := range 500 {
		p, jars := MadeUpSet(i)
		in, left := p.Fill(jars)
		standing(t, strconv.Itoa(i), p, in)
		all := slices.Clone(left)
		for _, a := range in {
			all = append(all, a.Jar)
		}
		if len(in)+len(left) != len(jars) || !mapsEqual(counts(all), counts(jars)) {
			t.Errorf("%d: %d placed and %d left of %d", i, len(in), len(left), len(jars))
		}
		if want, ok := searched[i]; ok {
			held++
			if len(in) < want {
				fewer++
			}
		}
	}
	t.Logf("held against %d searched sets: fewer jars in %d", held, fewer)
	if held != 500 || fewer*100 > held*5 {
		t.Errorf("of %d searched sets the search finds fewer jars in %d", held, fewer)
	}
}

func mapsEqual(a, b map[jar.ID]int) bool {
	for k, n := range a {
		if b[k] != n {
			return false
		}
	}
	return len(a) == len(b)
}

func TestRectangles(t *testing.T) {
	for _, c := range []struct {
		length, width float64
		jar           jar.ID
		want          int
	}{
		{50, 30, "quart", 15},
		{20.8, 10.4, "quart", 2}, {20.6, 10.4, "quart", 1}, {9, 50, "quart", 0}, {33, 33, "pint", 12}, {60, 31, "half-pint", 28},
	} {
		p := Pot{Length: measure.Centimetres(c.length), Width: measure.Centimetres(c.width)}
		j := find(t, c.jar)
		n := p.Capacity(j)
		// A grid is always there to be found; the rows may be set into each other.
		d := (j.Diameter + Gap).Centimetres()
		grid := int((c.length+0.6)/d+1e-9) * int((c.width+0.6)/d+1e-9)
		if n < grid || n < c.want {
			t.Errorf("%v × %v cm holds %d %ss; a grid holds %d, wanted %d", c.length, c.width, n, c.jar, grid, c.want)
		}
		spots, ok := p.Arrange(j, n)
		if !ok || len(spots) != n {
			t.Fatalf("%d of %d", len(spots), n)
		}
		standing(t, string(c.jar), p, placed(slices.Repeat([]jar.Jar{j}, n), spots))
	}
}

// TestFillIsTheSameEachTime: the same pot and jars, in whatever order, stand alike.
func TestFillIsTheSameEachTime(t *testing.T) {
	p, jars := MadeUpSet(7)
	first, _ := p.Fill(jars)
	slices.Reverse(jars)
	again, _ := p.Fill(jars)
	if !slices.Equal(first, again) {
		t.Error("two searches of the same differ")
	}
}

func BenchmarkFill(b *testing.B) {
	for i := range b.N {
		p, jars := MadeUpSet(i % 500)
		p.Fill(jars)
	}
}
