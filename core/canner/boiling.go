package canner

import (
	"math"

	"mellisca/core/measure"
)

// BoilingPoint is where water boils at an altitude in the standard atmosphere:
// p = 101325·(1 − 2.25577e-5·h)^5.25588 Pa, and by Antoine's equation
// T = 1730.63/(8.07131 − log10 p) − 233.426 °C, with p in mmHg. Weather moves it
// by about 1 °F.
func BoilingPoint(a measure.Altitude) measure.Temperature {
	pascal := 101325 * math.Pow(1-2.25577e-5*a.Metres(), 5.25588)
	mmHg := pascal / 133.322368
	return measure.Celsius(1730.63/(8.07131-math.Log10(mmHg)) - 233.426)
}

// JellingAboveBoil is how many °F over the local boiling point of water jam and
// jelly without added pectin are done. Source: Complete Guide to Home Canning,
// Guide 7 (2015).
const JellingAboveBoil = 8.0
