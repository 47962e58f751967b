package canner

import (
	"math"
	"testing"

	"mellisca/core/measure"
)

// TestAltitudeWhereBoils holds the way back against the published boiling points,
// and against BoilingPoint at every altitude.
func TestAltitudeWhereBoils(t *testing.T) {
	for ft, f := range map[int]float64{0: 212.0, 1000: 210.2, 3000: 206.5, 5000: 202.9, 6000: 201.1, 8000: 197.4} {
		a, err := AltitudeWhereBoils(measure.Fahrenheit(f))
		if err != nil || math.Abs(float64(a.Likely.Feet()-ft)) > 40 {
			t.Errorf("%v °F: %d ft, %v; want %d", f, a.Likely.Feet(), err, ft)
		}
	}
	for ft := measure.LowestFeet; ft <= measure.HighestFeet; ft += 37 {
		alt := measure.Altitude(ft) * measure.Altitude(measure.Foot)
		a, err := AltitudeWhereBoils(BoilingPoint(alt))
		if err != nil {
			if ft < measure.LowestFeet+5 || ft > measure.HighestFeet-5 {
				continue // a thousandth of a degree over the edge
			}
			t.Fatalf("%d ft: %v", ft, err)
		}
		if got := a.Likely.Feet(); got < ft-3 || got > ft+3 {
			t.Fatalf("%d ft boils where %d ft does", ft, got)
		}
		if a.Low > a.Likely || a.High < a.Likely || ft < 14_000 && ft > 0 && (a.High.Feet()-ft < 450 || a.High.Feet()-ft > 700) {
			t.Fatalf("%d ft: from %d to %d", ft, a.Low.Feet(), a.High.Feet())
		}
	}
	for _, f := range []float64{20, 100, 180, 216, 240, 400} {
		if a, err := AltitudeWhereBoils(measure.Fahrenheit(f)); err == nil {
			t.Errorf("water boils at %v °F at %d ft", f, a.Likely.Feet())
		}
	}
}
