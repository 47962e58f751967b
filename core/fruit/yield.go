package fruit

import (
	"math"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// ownGuess is how far either way a yield is taken to lie where nothing is published.
const ownGuess = 0.15

// Need is how much fruit one jar takes: likely, and from the richest to the
// poorest fruit.
type Need struct {
	Low, Likely, High measure.Mass
	OwnGuess          bool // the range is ours, not published
}

// Yield is how many full jars an amount of fruit gives.
type Yield struct {
	Low, Likely, High int
	OwnGuess          bool
}

// PerJar is how much fruit of a product one jar takes; not ok where nothing is
// published for it. Sizes to the pint go by the load of 9 pints, larger ones by
// the load of 7 quarts, each by its capacity. The range comes from what the
// published container gives; where there is none, 15 % either way.
func PerJar(product string, j jar.Jar) (Need, bool) {
	if product == "apple-juice" { // published as 3 to 4 lb a quart
		share := j.Capacity.Litres() / measure.Quart.Litres()
		return Need{Low: pounds(3 * share), Likely: pounds(3.5 * share), High: pounds(4 * share)}, true
	}
	q, ok := Find(product)
	if !ok {
		return Need{}, false
	}
	likely := q.LbPer7Quarts / 7 * j.Capacity.Litres() / measure.Quart.Litres()
	if j.TestedAs <= jar.Pint {
		likely = q.LbPer9Pints / 9 * j.Capacity.Litres() / measure.Pint.Litres()
	}
	low, high := 1-ownGuess, 1+ownGuess
	if q.Container != "" {
		perQuart := q.LbPer7Quarts / 7
		low, high = q.ContainerLb/q.QuartsHigh/perQuart, q.ContainerLb/q.QuartsLow/perQuart
	}
	return Need{pounds(likely * low), pounds(likely), pounds(likely * high), q.Container == ""}, true
}

func pounds(lb float64) measure.Mass { return measure.Pounds(lb) }

// JarsFrom is how many jars an amount of fruit gives; not ok where nothing is
// published for the product. Low and High are full jars; Likely is the nearest
// whole number between them.
func JarsFrom(product string, m measure.Mass, j jar.Jar) (Yield, bool) {
	n, ok := PerJar(product, j)
	if !ok {
		return Yield{}, false
	}
	y := Yield{Low: full(m, n.High), High: full(m, n.Low), OwnGuess: n.OwnGuess}
	y.Likely = min(max(int(math.Round(float64(m)/float64(n.Likely))), y.Low), y.High)
	return y, true
}

// full is how many whole jars there are in m at n a jar, forgiving the rounding
// of pounds to milligrams.
func full(m, n measure.Mass) int { return int((float64(m) + 1000) / float64(n)) }

// FruitFor is how much fruit a number of jars takes.
func FruitFor(product string, jars int, j jar.Jar) (Need, bool) {
	n, ok := PerJar(product, j)
	k := measure.Mass(jars)
	return Need{n.Low * k, n.Likely * k, n.High * k, n.OwnGuess}, ok
}
