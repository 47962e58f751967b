package measure

import (
	"math"
	"strconv"
)

// Mass is a weight in whole milligrams.
type Mass int64

// Sizes of the units of mass. The pound is 453.592 g, as in the kitchen tables.
const (
	Milligram Mass = 1
	Gram           = 1000 * Milligram
	Kilogram       = 1000 * Gram
	Pound          = 453_592 * Milligram
)

var massDimension = dimension{
	what:    "a weight",
	accepts: "a number with lb, oz, g or kg, such as 12 lb, 5.5 kg, 1 lb 8 oz",
	units: join(
		unitWords(unit{1, 1}, "mg"),
		unitWords(unit{1000, 1}, "g", "gram", "grams", "gr"),
		unitWords(unit{1_000_000, 1}, "kg", "kilo", "kilos", "kilogram", "kilograms"),
		unitWords(unit{int64(Pound), 1}, "lb", "lbs", "pound", "pounds"),
		unitWords(unit{int64(Pound), 16}, "oz", "ounce", "ounces"),
	),
	max: 1_000_000_000 * int64(Pound) / 1000, // a million pounds
}

// ParseMass reads a weight such as "12 lb", "5.5kg", "1 lb 8 oz", "half a pound".
// It refuses negative weights, numbers without a unit, and over a million pounds.
func ParseMass(s string) (Mass, error) {
	v, err := massDimension.parse(s)
	return Mass(v), err
}

// Grams is a Mass of g grams, to the nearest milligram.
func Grams(g float64) Mass { return Mass(math.Round(g * 1000)) }

// Pounds is a Mass of lb pounds, to the nearest milligram.
func Pounds(lb float64) Mass { return Mass(math.Round(lb * float64(Pound))) }

// Grams is m in grams.
func (m Mass) Grams() float64 { return float64(m) / float64(Gram) }

// Pounds is m in pounds.
func (m Mass) Pounds() float64 { return float64(m) / float64(Pound) }

// String prints m in grams without loss: "5443.104 g".
func (m Mass) String() string { return thousandths(int64(m)) + " g" }

// Text prints m as a cook reads it: "12 lb 4 oz", "3 1/2 oz", "5.56 kg", "450 g".
func (m Mass) Text(s System) string {
	if s == Metric {
		g := m.Grams()
		switch {
		case g < 9.95:
			return trim(g, 1) + " g"
		case g < 999.5:
			return trim(g, 0) + " g"
		case g < 9995:
			return trim(g/1000, 2) + " kg"
		}
		return grouped(trim(g/1000, 1)) + " kg"
	}
	quarterOunces := int64(math.Round(m.Pounds() * 64))
	switch {
	case quarterOunces == 0 && m > 0:
		return trim(m.Grams(), 3) + " g"
	case quarterOunces < 64:
		return mixed(quarterOunces, 4) + " oz"
	case m.Pounds() < 20:
		oz := int64(math.Round(m.Pounds() * 16))
		if oz%16 == 0 {
			return strconv.FormatInt(oz/16, 10) + " lb"
		}
		return strconv.FormatInt(oz/16, 10) + " lb " + strconv.FormatInt(oz%16, 10) + " oz"
	}
	return mixed(int64(math.Round(m.Pounds()*2)), 2) + " lb"
}
