package canner

import (
	"fmt"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Gap is the room kept between jars, and between jars and wall, so that water
// moves between them.
const Gap = 6 * measure.Millimetre

// BoilRoom is the room a hard boil needs between the water and the rim.
const BoilRoom = measure.Inch

// Pot is a round canner, by its inner measures.
type Pot struct {
	Name     string
	Diameter measure.Length
	Depth    measure.Length
	Rack     measure.Length // height of the rack
	Steel    measure.Mass
}

// Default is a common large enamel canner.
var Default = Pot{
	Name:     "canner",
	Diameter: measure.Centimetres(31.5),
	Depth:    measure.Centimetres(28),
	Rack:     measure.Centimetres(1.5),
	Steel:    1800 * measure.Gram,
}

// Capacity is how many jars stand in one layer, by the best known packing of
// equal circles of diameter jar + Gap in a circle of diameter pot + Gap: 0 to 20.
func (p Pot) Capacity(j jar.Jar) int {
	ratio := float64(p.Diameter+Gap) / float64(j.Diameter+Gap)
	n := 0
	for n+1 < len(ratios) && ratio >= ratios[n+1] {
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

// ShallowError says that a pot is too shallow for a jar.
type ShallowError struct {
	Jar   jar.Jar
	Short measure.Length
}

// Error names the jar and what is short.
func (e *ShallowError) Error() string {
	return fmt.Sprintf("too shallow by %s for %s", e.Short.Text(measure.Metric), e.Jar.Many)
}

// Spot is where a jar's middle stands, in centimetres from the middle of the pot.
type Spot struct{ XCm, YCm float64 }

// Arrange places n equal jars, spread out over the pot; not ok where they do
// not fit in one layer.
func (p Pot) Arrange(j jar.Jar, n int) (spots []Spot, ok bool) {
	if n < 0 || n > p.Capacity(j) {
		return nil, false
	}
	reach := (p.Diameter - j.Diameter).Centimetres() / 2
	for _, at := range layouts[n] {
		spots = append(spots, Spot{at.x * reach, at.y * reach})
	}
	return spots, true
}
