package canner

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Divider is the height of the rack that a second tier of jars stands on.
const Divider = measure.Centimetre

// Water is what a loaded pot takes.
type Water struct {
	Pour   measure.Volume // in all
	Before measure.Length // how high it stands over the bottom before the jars go in
	After  measure.Length // and after: the cover over the tallest jars
	Room   measure.Length // from there to the rim
}

// floor is the pot's inside from above, in square centimetres.
func (p Pot) floor() float64 {
	if p.Diameter > 0 {
		r := p.Diameter.Centimetres() / 2
		return math.Pi * r * r
	}
	return p.Length.Centimetres() * p.Width.Centimetres()
}

// Levels are how high the water stands: pot area × (rack + jars + cover) − what the
// jars displace is poured in, and stands lower before they do. tiers are the jars of
// each tier from below; cover is what the process demands over the top ones. It errs
// with a *ShallowError where the boil would have less than BoilRoom.
func (p Pot) Levels(tiers [][]jar.Jar, cover measure.Length) (Water, error) {
	height := p.Rack
	displaced := 0.0
	var tallest jar.Jar
	for i, tier := range tiers {
		if i > 0 {
			height += Divider
		}
		top := measure.Length(0)
		for _, j := range tier {
			displaced += j.Outside.Litres() * 1000
			if j.Height > top {
				top, tallest = j.Height, j
			}
		}
		height += top
	}
	height += cover
	w := Water{After: height, Room: p.Depth - height}
	if short := BoilRoom - w.Room; short > 0 {
		return w, &ShallowError{Jar: tallest, Short: short, Tiers: len(tiers)}
	}
	pour := p.floor()*height.Centimetres() - displaced
	w.Pour = measure.Volume(math.Round(pour * 1000))
	w.Before = measure.Centimetres(pour / p.floor())
	return w, nil
}

// WithTiers places jars in one tier, or in two where one does not take them all
// and the pot is deep enough for the second: the taller jars below. cover is what
// the process demands over the top ones. Jars that find no room are left.
func (p Pot) WithTiers(jars []jar.Jar, cover measure.Length) (tiers [][]Placed, left []jar.Jar) {
	low, left := p.Fill(jars)
	if len(left) == 0 || p.Kind == Steam {
		return [][]Placed{low}, left
	}
	// The second tier stands on the first, so the taller jars stand below.
	byHeight := tallestFirst(jars)
	fits := 0
	for over := len(byHeight) + 1; fits+1 < over; {
		n := (fits + over) / 2
		if _, ok := p.Holds(byHeight[:n]); ok {
			fits = n
		} else {
			over = n
		}
	}
	below, _ := p.Holds(byHeight[:fits])
	above, over := p.Fill(byHeight[fits:])
	if len(above) == 0 {
		return [][]Placed{low}, left
	}
	if _, err := p.Levels([][]jar.Jar{jarsOf(below), jarsOf(above)}, cover); err != nil || len(over) >= len(left) {
		return [][]Placed{low}, left
	}
	return [][]Placed{below, above}, over
}

func jarsOf(in []Placed) []jar.Jar {
	js := make([]jar.Jar, len(in))
	for i, p := range in {
		js[i] = p.Jar
	}
	return js
}

// ShallowError says that a pot is too shallow for a jar, or for two tiers.
type ShallowError struct {
	Jar   jar.Jar
	Short measure.Length
	Tiers int // 0 or 1: one
}

// Error names the jar and what is short.
func (e *ShallowError) Error() string {
	of := e.Jar.Many
	if e.Tiers > 1 {
		of = "two tiers of jars"
	}
	return fmt.Sprintf("too shallow by %s for %s", e.Short.Text(measure.Metric), of)
}

// Stood is a jar as it is seen from the side of a pot.
type Stood struct {
	Jar  jar.Jar
	XCm  float64        // of its middle, from the middle of the pot
	Foot measure.Length // over the bottom
}

// FromTheSide is what is seen of the jars of each tier, from below, by who looks through
// the pot's side along its width: of two that would cover one another the one nearer to
// the middle.
func (p Pot) FromTheSide(tiers [][]Placed) []Stood {
	var all []Stood
	foot := p.Rack
	for i, tier := range tiers {
		if i > 0 {
			foot += Divider
		}
		near := slices.Clone(tier)
		slices.SortStableFunc(near, func(a, b Placed) int { return cmp.Compare(math.Abs(a.YCm), math.Abs(b.YCm)) })
		from, top := len(all), measure.Length(0)
		for _, in := range near {
			top = max(top, in.Jar.Height)
			r := in.Jar.Diameter.Centimetres() / 2
			hidden := slices.ContainsFunc(all[from:], func(s Stood) bool {
				return math.Abs(s.XCm-in.XCm) < r+s.Jar.Diameter.Centimetres()/2
			})
			if !hidden {
				all = append(all, Stood{in.Jar, in.XCm, foot})
			}
		}
		foot += top
	}
	return all
}
