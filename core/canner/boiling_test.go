package canner

import (
	"math"
	"testing"

	"mellisca/core/measure"
)

func TestBoilingPoint(t *testing.T) {
	for feet, want := range map[int]float64{0: 212.0, 1000: 210.2, 3000: 206.5, 5000: 202.9, 6000: 201.1, 8000: 197.4} {
		got := BoilingPoint(measure.Altitude(feet) * measure.Altitude(measure.Foot)).Fahrenheit()
		if math.Abs(got-want) > 0.06 {
			t.Errorf("%d ft: %.2f °F, want %v", feet, got, want)
		}
	}
}
