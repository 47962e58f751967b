package canner

import (
	"slices"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Gap is the room kept between jars, and between jars and wall, so that water
// moves between them.
const Gap = 6 * measure.Millimetre

// BoilRoom is the room a hard boil needs between the water and the rim.
const BoilRoom = measure.Inch

// Pot is a canner by its inner measures: round, or rectangular where it has no
// Diameter.
type Pot struct {
	Name     string
	Diameter measure.Length
	Length   measure.Length // of a rectangular one
	Width    measure.Length
	Depth    measure.Length
	Rack     measure.Length // height of the rack
	Steel    measure.Mass
	Kind     Kind
}

// Kind is how a canner heats its jars.
type Kind string

// The kinds of canner. Empty means boiling water.
const (
	BoilingWater Kind = "boiling-water"
	Steam        Kind = "steam"
	Electric     Kind = "electric" // a boiling-water canner with its own heat
)

// Kinds lists all of them.
func Kinds() []Kind { return []Kind{BoilingWater, Steam, Electric} }

// Default is a common large enamel canner.
var Default = Pot{
	Name:     "canner",
	Diameter: measure.Centimetres(31.5),
	Depth:    measure.Centimetres(28),
	Rack:     measure.Centimetres(1.5),
	Steel:    1800 * measure.Gram,
}

// Capacity is how many equal jars stand in one layer: in a round pot up to 20 by
// the best known packing of circles of diameter jar + Gap in a circle of diameter
// pot + Gap, beyond that and in a rectangular one by search.
func (p Pot) Capacity(j jar.Jar) int {
	if p.Diameter == 0 {
		return p.searched(j, 0)
	}
	ratio := p.ratio(j)
	n := 0
	for n+1 < len(ratios) && ratio >= ratios[n+1] {
		n++
	}
	if n == len(ratios)-1 {
		return p.searched(j, n)
	}
	return n
}

// ratio is how many times as wide as a jar a round pot is, each with its gap.
func (p Pot) ratio(j jar.Jar) float64 { return float64(p.Diameter+Gap) / float64(j.Diameter+Gap) }

// most is the most jars that are counted in one layer.
const most = 60

// searched is how many equal jars a search finds room for, from known upwards.
func (p Pot) searched(j jar.Jar, known int) int {
	n := known
	for n < most {
		if _, ok := p.Holds(slices.Repeat([]jar.Jar{j}, n+1)); !ok {
			break
		}
		n++
	}
	return n
}

// Deep says whether the pot is deep enough for jars under cover of water, with
// room for the boil. The error says in centimetres how much is short.
func (p Pot) Deep(j jar.Jar, cover measure.Length) error {
	if short := p.Rack + j.Height + cover + BoilRoom - p.Depth; short > 0 {
		return &ShallowError{Jar: j, Short: short}
	}
	return nil
}

// Spot is where a jar's middle stands, in centimetres from the middle of the pot.
type Spot struct{ XCm, YCm float64 }

// Arrange places n equal jars, spread out over the pot; not ok where they do
// not fit in one layer.
func (p Pot) Arrange(j jar.Jar, n int) (spots []Spot, ok bool) {
	if n < 0 {
		return nil, false
	}
	if p.Diameter == 0 || n >= len(layouts) {
		in, ok := p.Spread(slices.Repeat([]jar.Jar{j}, n))
		for _, at := range in {
			spots = append(spots, at.Spot)
		}
		return spots, ok
	}
	if p.ratio(j) < ratios[n] {
		return nil, false
	}
	return p.known(j, n), true
}

// known are the places of the best known packing of n equal jars in a round pot.
func (p Pot) known(j jar.Jar, n int) (spots []Spot) {
	reach := (p.Diameter - j.Diameter).Centimetres() / 2
	for _, at := range layouts[n] {
		spots = append(spots, Spot{at.x * reach, at.y * reach})
	}
	return spots
}
