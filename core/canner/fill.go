package canner

import (
	"cmp"
	"slices"

	"mellisca/core/jar"
)

// Placed is a jar and where its middle stands in the pot.
type Placed struct {
	Jar jar.Jar
	Spot
}

// Effort is how long a search for places may take: the number of times that two
// jars may be held against each other. Usual takes some 25 ms on a small machine,
// and finds what a search a thousand times as long does, but for a few mixed sets
// in a hundred.
type Effort int64

// Usual is the effort of Fill and Holds.
const Usual Effort = 4_000_000

// evaluations is the effort in evaluations of all overlaps of n circles, each of
// which costs something beside the pairs.
func (e Effort) evaluations(n int) int { return max(1, int(e)/max(1, n*(n+1)/2+5*n)) }

// outline is the pot's floor with half of Gap added all round.
func (p Pot) outline() outline {
	g := Gap.Centimetres()
	if p.Diameter > 0 {
		return outline{radius: (p.Diameter.Centimetres() + g) / 2}
	}
	return outline{halfX: (p.Length.Centimetres() + g) / 2, halfY: (p.Width.Centimetres() + g) / 2}
}

// around is the radius of a jar with half of Gap round it.
func around(j jar.Jar) float64 { return (j.Diameter + Gap).Centimetres() / 2 }

// Holds places all of these jars in one layer. ok is false where no places were
// found within the usual effort.
func (p Pot) Holds(jars []jar.Jar) (in []Placed, ok bool) { return p.HoldsWithin(jars, Usual) }

// HoldsWithin is Holds with an effort of its own.
func (p Pot) HoldsWithin(jars []jar.Jar, effort Effort) (in []Placed, ok bool) {
	in, ok, _ = p.holds(jars, effort.evaluations(len(jars)))
	return in, ok
}

func (p Pot) holds(jars []jar.Jar, effort int) ([]Placed, bool, int) {
	if equal(jars) && p.Diameter > 0 && len(jars) > 0 && len(jars) < len(layouts) {
		if p.ratio(jars[0]) < ratios[len(jars)] {
			return nil, false, effort
		}
		return placed(jars, p.known(jars[0], len(jars))), true, effort
	}
	sorted := largestFirst(jars)
	radii := make([]float64, len(sorted))
	for i, j := range sorted {
		radii[i] = around(j)
	}
	cs, ok, left := fitWithin(p.outline(), radii, effort)
	if !ok {
		return nil, false, left
	}
	in := make([]Placed, len(cs))
	for i, c := range cs {
		in[i] = Placed{sorted[i], Spot{c.x, c.y}}
	}
	return in, true, left
}

// Spread is Holds that looks for places further apart than need be, so that jars
// that have room stand all over the pot.
func (p Pot) Spread(jars []jar.Jar) ([]Placed, bool) {
	in, ok := p.Holds(jars)
	if !ok {
		return nil, false
	}
	radii := make([]float64, len(in))
	for _, by := range [...]float64{1.5, 1.3, 1.2, 1.12, 1.06, 1.03} {
		for i, a := range in {
			radii[i] = around(a.Jar) * by
		}
		if cs, ok := fit(p.outline(), radii, spreadEffort.evaluations(len(radii))); ok {
			for i, c := range cs { // the widest first, as in is
				in[i].Spot = Spot{c.x, c.y}
			}
			break
		}
	}
	return in, true
}

// spreadEffort is how long is looked for places further apart.
const spreadEffort = Usual / 50

func equal(jars []jar.Jar) bool {
	for _, j := range jars {
		if j.Diameter != jars[0].Diameter {
			return false
		}
	}
	return true
}

func placed(jars []jar.Jar, spots []Spot) []Placed {
	in := make([]Placed, len(spots))
	for i, s := range spots {
		in[i] = Placed{jars[i], s}
	}
	return in
}

func largestFirst(jars []jar.Jar) []jar.Jar {
	sorted := slices.Clone(jars)
	slices.SortFunc(sorted, func(a, b jar.Jar) int {
		return cmp.Or(cmp.Compare(b.Diameter, a.Diameter), cmp.Compare(a.ID, b.ID))
	})
	return sorted
}

// Fill places as many of the jars as find room in one layer, and gives those that
// are left. Of jars of different width the narrower find room first: wherever a
// jar stands, a narrower one stands too.
func (p Pot) Fill(jars []jar.Jar) (in []Placed, left []jar.Jar) { return p.FillWithin(jars, Usual) }

// FillWithin is Fill with an effort of its own.
func (p Pot) FillWithin(jars []jar.Jar, effort Effort) (in []Placed, left []jar.Jar) {
	sorted := largestFirst(jars)
	slices.Reverse(sorted)
	most := p.mostThatMayFit(sorted)
	if most == 0 {
		return nil, sorted
	}
	budget := effort.evaluations(most)
	// A quick look for where it gets hard, then the rest of the effort on that.
	quick := max(1, budget/40)
	low, high := 0, most
	for low < high {
		mid := (low + high + 1) / 2
		found, ok, unused := p.holds(sorted[:mid], quick)
		budget -= quick - unused
		if ok {
			in, low = found, mid
		} else {
			high = mid - 1
		}
	}
	for low < most && budget > 0 {
		found, ok, unused := p.holds(sorted[:low+1], budget)
		if !ok {
			break
		}
		in, low, budget = found, low+1, unused
	}
	return in, sorted[low:]
}

// mostThatMayFit is how many of the jars, narrowest first, pass the bounds.
func (p Pot) mostThatMayFit(narrowestFirst []jar.Jar) int {
	radii := make([]float64, 0, len(narrowestFirst))
	o := p.outline()
	for n, j := range narrowestFirst {
		if radii = append(radii, around(j)); !mayFit(o, radii) {
			return n
		}
	}
	return len(narrowestFirst)
}

// tallestFirst sorts jars by height.
func tallestFirst(jars []jar.Jar) []jar.Jar {
	sorted := slices.Clone(jars)
	slices.SortFunc(sorted, func(a, b jar.Jar) int {
		return cmp.Or(cmp.Compare(b.Height, a.Height), cmp.Compare(b.Diameter, a.Diameter), cmp.Compare(a.ID, b.ID))
	})
	return sorted
}
