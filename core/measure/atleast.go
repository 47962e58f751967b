package measure

import (
	"math"
	"strconv"
)

// KitchenAtLeast prints an amount of c US cups (0 or more) that may never be
// reduced, such as an acid: to the eighth of a teaspoon, rounded up, in whole
// and quarter cups, tablespoons and teaspoons. "1 1/4 cups + 1/2 tsp", "5/8 tsp".
func KitchenAtLeast(c float64) string {
	eighths := int64(math.Ceil(c*eighthsPerCup - 1e-6))
	if eighths <= 0 {
		return "none"
	}
	const quarterCup = eighthsPerCup / 4
	quarters, rest := eighths/quarterCup, eighths%quarterCup
	s := ""
	add := func(part string) {
		if s != "" {
			s += " + "
		}
		s += part
	}
	if quarters > 0 {
		unit := " cups"
		if quarters <= 4 {
			unit = " cup"
		}
		add(mixed(quarters, 4) + unit)
	}
	if tbsp := rest / eighthsPerTbsp; tbsp > 0 {
		add(strconv.FormatInt(tbsp, 10) + " tbsp")
	}
	if tsp := rest % eighthsPerTbsp; tsp > 0 {
		add(mixed(tsp, eighthsPerTsp) + " tsp")
	}
	return s
}

// AtLeast prints v for what may never be reduced: kitchen measures to the
// eighth of a teaspoon or whole millilitres, rounded up.
func (v Volume) AtLeast(s System) string {
	if s == US {
		return KitchenAtLeast(float64(v-2) / float64(Cup)) // less the rounding to microlitres
	}
	return (Volume(math.Ceil(float64(v-2)/float64(Millilitre))) * Millilitre).Text(Metric)
}
