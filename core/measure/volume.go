package measure

import (
	"math"
	"strconv"
)

// Volume is an amount of liquid, or of what is measured in cups, in whole microlitres.
type Volume int64

// Sizes of the units of volume, as in the kitchen tables.
const (
	Microlitre Volume = 1
	Millilitre        = 1000 * Microlitre
	Litre             = 1000 * Millilitre
	Teaspoon          = 4_929 * Microlitre
	Tablespoon        = 14_787 * Microlitre
	Cup               = 236_588 * Microlitre
	Pint              = 473_176 * Microlitre
	Quart             = 946_353 * Microlitre
	Gallon            = 3_785_412 * Microlitre
)

var volumeDimension = dimension{
	what:    "a volume",
	accepts: "a number with tsp, tbsp, cup, pt, qt, gal, ml or l, such as 1 1/2 cups, 3 qt 1 cup, 750 ml",
	units: join(
		unitWords(unit{1000, 1}, "ml", "millilitre", "millilitres", "milliliter", "milliliters"),
		unitWords(unit{100_000, 1}, "dl"),
		unitWords(unit{10_000, 1}, "cl"),
		unitWords(unit{1_000_000, 1}, "l", "litre", "litres", "liter", "liters"),
		unitWords(unit{1, 1}, "µl"),
		unitWords(unit{int64(Teaspoon), 1}, "tsp", "teaspoon", "teaspoons"),
		unitWords(unit{int64(Tablespoon), 1}, "tbsp", "tablespoon", "tablespoons"),
		unitWords(unit{int64(Cup), 8}, "fl oz", "floz"),
		unitWords(unit{int64(Cup), 1}, "cup", "cups", "c"),
		unitWords(unit{int64(Pint), 1}, "pt", "pint", "pints"),
		unitWords(unit{int64(Quart), 1}, "qt", "quart", "quarts"),
		unitWords(unit{int64(Gallon), 1}, "gal", "gallon", "gallons"),
		unitWords(unit{int64(Teaspoon), 16}, "pinch"),
	),
	max: 1_000_000 * int64(Litre),
}

// ParseVolume reads a volume such as "1 1/2 cups", "3 qt 1 cup", "½ tsp", "750 ml",
// and what Kitchen prints, "none" and "a pinch" included. It refuses negative
// volumes, numbers without a unit, and over a million litres.
func ParseVolume(s string) (Volume, error) {
	if s == "none" {
		return 0, nil
	}
	v, err := volumeDimension.parse(s)
	return Volume(v), err
}

// Litres is a Volume of l litres, to the nearest microlitre.
func Litres(l float64) Volume { return Volume(math.Round(l * float64(Litre))) }

// Cups is a Volume of c US cups, to the nearest microlitre.
func Cups(c float64) Volume { return Volume(math.Round(c * float64(Cup))) }

// Litres is v in litres.
func (v Volume) Litres() float64 { return float64(v) / float64(Litre) }

// Cups is v in US cups.
func (v Volume) Cups() float64 { return float64(v) / float64(Cup) }

// String prints v in millilitres without loss: "2769.03 ml".
func (v Volume) String() string { return thousandths(int64(v)) + " ml" }

// Kitchen prints v in measures a cook owns; see KitchenCups.
func (v Volume) Kitchen() string {
	if v <= 0 {
		return "none"
	}
	// Half a microlitre makes good the rounding, so that 1/8 tsp is not under 1/8 tsp.
	return KitchenCups((float64(v) + 0.5) / float64(Cup))
}

// Quarts prints v in quarts, to the quarter: "6 quarts", "2 1/4 quarts".
func (v Volume) Quarts() string {
	quarters := int64(math.Round(float64(v) * 4 / float64(Quart)))
	if quarters <= 4 {
		return mixed(quarters, 4) + " quart"
	}
	return mixed(quarters, 4) + " quarts"
}

// Rough prints v where a spoon more or less does not matter: quarter cups and half
// quarts, or 50 ml and tenths of a litre.
func (v Volume) Rough(s System) string {
	steps := func(size Volume) int64 { return int64(math.Round(float64(v) / float64(size))) }
	switch {
	case s == Metric && v < Litre:
		if n := steps(50 * Millilitre); n > 0 {
			return strconv.FormatInt(50*n, 10) + " ml"
		}
		return "a few spoons"
	case s == Metric:
		return trim(v.Litres(), 1) + " l"
	case v < Quart:
		switch n := steps(Cup / 4); {
		case n == 0:
			return "a few spoons"
		case n <= 4:
			return mixed(n, 4) + " cup"
		default:
			return mixed(n, 4) + " cups"
		}
	}
	if n := steps(Quart / 2); n > 2 {
		return mixed(n, 2) + " quarts"
	}
	return "1 quart"
}

// Text prints v as a cook reads it: kitchen measures, or millilitres and litres.
func (v Volume) Text(s System) string {
	if s == US {
		return v.Kitchen()
	}
	ml := float64(v) / float64(Millilitre)
	switch {
	case ml < 9.95:
		return trim(ml, 1) + " ml"
	case ml < 995:
		return trim(ml, 0) + " ml"
	case ml < 9995:
		return trim(ml/1000, 2) + " l"
	}
	return grouped(trim(ml/1000, 1)) + " l"
}
