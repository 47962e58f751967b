package batch

import (
	"math"

	"mellisca/core/guide"
	"mellisca/core/measure"
)

// filling is one line of the published recipes, for both printed sizes, in
// teaspoons (48 to the cup, 192 to the quart).
type filling struct {
	name              string
	oneQuart, sevenQt float64
	role              Role
}

const (
	tbsp = 3.0
	cup  = 48.0
	qt   = 4 * cup
)

// fillings are the four published recipes.
// Source: Complete Guide to Home Canning, Guide 2 (2015): pie fillings.
var fillings = map[guide.Product][]filling{
	"apple-pie-filling": {
		{"blanched sliced fresh apples", 3.5 * cup, 6 * qt, FruitRole},
		{"granulated sugar", 0.75*cup + 2*tbsp, 5.5 * cup, SugarRole},
		{"cook-type modified starch", 0.25 * cup, 1.5 * cup, ThickenerRole},
		{"ground cinnamon", 0.5, 1 * tbsp, SpiceRole},
		{"cold water", 0.5 * cup, 2.5 * cup, LiquidRole},
		{"apple juice", 0.75 * cup, 5 * cup, LiquidRole},
		{"bottled lemon juice", 2 * tbsp, 0.75 * cup, AcidRole},
		{"ground nutmeg (optional)", 0.125, 1, SpiceRole},
	},
	"blueberry-pie-filling": {
		{"fresh or thawed blueberries", 3.5 * cup, 6 * qt, FruitRole},
		{"granulated sugar", 0.75*cup + 2*tbsp, 6 * cup, SugarRole},
		{"cook-type modified starch", 0.25*cup + 1*tbsp, 2.25 * cup, ThickenerRole},
		{"cold water", 1 * cup, 7 * cup, LiquidRole},
		{"bottled lemon juice", 3.5, 0.5 * cup, AcidRole},
	},
	"cherry-pie-filling": {
		{"fresh or thawed sour cherries", cup * 10 / 3, 6 * qt, FruitRole},
		{"granulated sugar", 1 * cup, 7 * cup, SugarRole},
		{"cook-type modified starch", 0.25*cup + 1*tbsp, 1.75 * cup, ThickenerRole},
		{"cold water", cup * 4 / 3, cup * 28 / 3, LiquidRole},
		{"bottled lemon juice", 1*tbsp + 1, 0.5 * cup, AcidRole},
		{"ground cinnamon (optional)", 0.125, 1, SpiceRole},
		{"almond extract (optional)", 0.25, 2, SpiceRole},
	},
	"peach-pie-filling": {
		{"sliced fresh peaches", 3.5 * cup, 6 * qt, FruitRole},
		{"granulated sugar", 1 * cup, 7 * cup, SugarRole},
		{"cook-type modified starch", 0.25*cup + 1*tbsp, 2*cup + 3*tbsp, ThickenerRole},
		{"cold water", 0.75 * cup, 5.25 * cup, LiquidRole},
		{"ground cinnamon (optional)", 0.125, 1, SpiceRole},
		{"bottled lemon juice", 0.25 * cup, 1.75 * cup, AcidRole},
		{"almond extract (optional)", 0.125, 1, SpiceRole},
	},
}

// mostFilling is the largest batch that is cooked at once, in quarts.
const mostFilling = 7.0

// fill scales the recipe of a filling to quarts of jars, in pots of at most
// seven. One and seven quarts are the columns as printed. Otherwise up to four
// scale from the one-quart column and more from the seven; the acid always goes
// by the larger share of the two, rounded up to 1/2 tsp. Without starch the
// recipe leaves it out; all else stays.
func fill(p guide.Product, th guide.Thickener, quarts float64) (Recipe, bool) {
	lines, ok := fillings[p]
	if !ok || quarts <= 0 {
		return Recipe{}, false
	}
	b := Recipe{Scaled: true, Pots: int(math.Ceil(quarts/mostFilling - 1e-5))}
	b.Quarts = quarts / float64(b.Pots)
	one, seven := close(b.Quarts, 1), close(b.Quarts, mostFilling)
	b.AsPrinted = one || seven
	for _, l := range lines {
		if l.role == ThickenerRole && th == guide.NoThickener {
			continue
		}
		tsp := l.oneQuart * b.Quarts
		switch {
		case one:
			tsp = l.oneQuart
		case seven:
			tsp = l.sevenQt
		case l.role == AcidRole:
			tsp = math.Ceil(max(l.oneQuart, l.sevenQt/mostFilling)*b.Quarts*2-1e-3) / 2
		case b.Quarts > 4+1e-5:
			tsp = l.sevenQt / mostFilling * b.Quarts
		}
		b.Ingredients = append(b.Ingredients, Ingredient{Name: l.name, Amount: measure.Cups(tsp / cup), Role: l.role})
	}
	return b, true
}

// close forgives the rounding of quarts to microlitres.
func close(a, b float64) bool { return math.Abs(a-b) < 1e-4 }
