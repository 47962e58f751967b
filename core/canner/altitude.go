package canner

import (
	"fmt"
	"math"

	"mellisca/core/measure"
)

// weather is how far it moves the boiling point, in °F either way.
const weather = 1.0

// Altitudes is where water may boil at a temperature.
type Altitudes struct {
	Likely measure.Altitude // in the standard atmosphere
	// Low and High are where it may lie, since weather moves the boiling point by
	// about 1 °F either way, some 550 ft.
	Low, High measure.Altitude
}

// AltitudeWhereBoils turns BoilingPoint about: where water boils at t. It errs
// where that is nowhere that people cook, from -1,400 to 15,000 ft.
func AltitudeWhereBoils(t measure.Temperature) (Altitudes, error) {
	at := func(fahrenheit float64) measure.Altitude {
		celsius := (fahrenheit - 32) / 1.8
		pascal := math.Pow(10, 8.07131-1730.63/(celsius+233.426)) * 133.322368
		metres := (1 - math.Pow(pascal/101325, 1/5.25588)) / 2.25577e-5
		return measure.Altitude(math.Round(metres * float64(measure.Metre)))
	}
	f := t.Fahrenheit()
	a := Altitudes{at(f), at(f + weather), at(f - weather)}
	if ft := a.Likely.Feet(); !(f > 150 && f < 250) || ft < measure.LowestFeet || ft > measure.HighestFeet {
		return Altitudes{}, fmt.Errorf("water boils at 184 to 215 °F (84 to 101 °C) where people cook, not at %s: hold the thermometer in hard boiling water, off the bottom", t.Text(measure.US))
	}
	a.Low = max(a.Low, measure.LowestFeet*measure.Altitude(measure.Foot))
	a.High = min(a.High, measure.HighestFeet*measure.Altitude(measure.Foot))
	return a, nil
}
