package syrup

import (
	"fmt"
	"sort"
)

// A refractometer for sugar is made for 20 °C. These are the customary
// corrections of its reading, in °Brix, by the temperature of the prism and what
// it reads; they are subtracted below 20 °C and added above. They follow from how
// the refractive index of water and sugar changes with warmth, and are good to
// about a tenth.
var (
	correctedAt = [...]float64{0, 10, 20, 30, 40, 50, 60} // °Brix read
	corrections = [...]struct {
		celsius float64
		brix    [len(correctedAt)]float64
	}{
		{10, [...]float64{-0.50, -0.58, -0.64, -0.68, -0.72, -0.74, -0.76}},
		{15, [...]float64{-0.27, -0.31, -0.34, -0.35, -0.37, -0.38, -0.39}},
		{20, [...]float64{0, 0, 0, 0, 0, 0, 0}},
		{25, [...]float64{0.35, 0.37, 0.38, 0.40, 0.40, 0.40, 0.40}},
		{30, [...]float64{0.74, 0.78, 0.80, 0.81, 0.81, 0.81, 0.81}},
	}
)

// CorrectReading is the true °Brix of a sample that a refractometer made for
// 20 °C reads as brix, 0 to 65, at 10 to 30 °C. Outside of that it errs: hot
// syrup on the prism reads far off, and a drop cools in seconds.
func CorrectReading(brix, celsius float64) (float64, error) {
	first, last := corrections[0].celsius, corrections[len(corrections)-1].celsius
	if celsius < first || celsius > last {
		return 0, fmt.Errorf("a reading can be corrected from %g to %g °C: let the drop come to the warmth of the room", first, last)
	}
	if brix < 0 || brix > StrongestBrix {
		return 0, fmt.Errorf("a reading is 0 to %g °Brix", StrongestBrix)
	}
	i := max(1, sort.Search(len(corrections), func(i int) bool { return corrections[i].celsius >= celsius }))
	a, b := corrections[i-1], corrections[i]
	share := (celsius - a.celsius) / (b.celsius - a.celsius)
	by := along(a.brix[:], brix)*(1-share) + along(b.brix[:], brix)*share
	return max(0, brix+by), nil
}

// along reads a correction between the strengths it is tabled for; past the
// last, the last.
func along(row []float64, brix float64) float64 {
	i := sort.SearchFloat64s(correctedAt[:], brix)
	switch {
	case i == 0:
		return row[0]
	case i == len(row):
		return row[len(row)-1]
	}
	share := (brix - correctedAt[i-1]) / (correctedAt[i] - correctedAt[i-1])
	return row[i-1]*(1-share) + row[i]*share
}
