package canner

import (
	"slices"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// MadeUpSet is the i-th made-up pot and mixed set of jars that the search for
// places is held to: pots of 22 to 46 cm across, round or rectangular, and jars of
// two to five kinds with 55 to 115 % of their floor.
func MadeUpSet(i int) (Pot, []jar.Jar) {
	g := rng(uint64(i)*0x9e3779b97f4a7c15 + 0x5851f42d4c957f2d | 1)
	for range 8 {
		g.next()
	}
	p := Pot{Name: "pot", Diameter: measure.Centimetres(22 + 24*g.float()), Depth: measure.Centimetres(30)}
	if i%5 == 4 {
		p.Diameter, p.Length, p.Width = 0, measure.Centimetres(28+26*g.float()), measure.Centimetres(20+14*g.float())
	}
	kinds := jar.All()
	for k := len(kinds) - 1; k > 0; k-- {
		o := g.below(k + 1)
		kinds[k], kinds[o] = kinds[o], kinds[k]
	}
	kinds = kinds[:2+g.below(4)]
	floor := p.outline().area() * (0.55 + 0.6*g.float())
	var jars []jar.Jar
	for {
		j := kinds[g.below(len(kinds))]
		r := around(j)
		if floor -= 3.14159265 * r * r; floor < 0 && len(jars) > 1 {
			return p, jars
		}
		jars = append(jars, j)
	}
}

// OneMore looks for places for one jar more than n of these, from beginnings of
// its own for each round. hopeless says that no search can find them.
func (p Pot) OneMore(jars []jar.Jar, n int, round uint64, effort Effort) (in []Placed, left []jar.Jar, hopeless bool) {
	sorted := largestFirst(jars)
	slices.Reverse(sorted)
	if n >= p.mostThatMayFit(sorted) {
		return nil, nil, true
	}
	chosen := largestFirst(sorted[:n+1])
	radii := make([]float64, len(chosen))
	for i, j := range chosen {
		radii[i] = around(j)
	}
	s := newSearch(p.outline(), radii, effort.evaluations(n+1))
	s.rng += rng(round * 2)
	cs, ok := s.run()
	if !ok {
		return nil, nil, false
	}
	for i, c := range cs {
		in = append(in, Placed{chosen[i], Spot{c.x, c.y}})
	}
	return in, sorted[n+1:], false
}
