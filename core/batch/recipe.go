package batch

import (
	"math"

	"mellisca/core/guide"
	"mellisca/core/measure"
)

// Role is what an ingredient does in a recipe.
type Role string

// The roles. An acid may never be reduced.
const (
	FruitRole     Role = "fruit"
	SugarRole     Role = "sugar"
	ThickenerRole Role = "thickener"
	SpiceRole     Role = "spice"
	LiquidRole    Role = "liquid"
	ColourRole    Role = "colour"
	AcidRole      Role = "acid"
)

// Ingredient is one line of a recipe: a volume, or a weight where it is weighed.
type Ingredient struct {
	Name   string
	Amount measure.Volume
	Weight measure.Mass
	Role   Role
}

// Recipe is what goes into the pot, cooked in one or more equal pots, with what
// there is to know of it.
type Recipe struct {
	Pots        int     // how many times it is cooked
	Quarts      float64 // that each pot fills
	Ingredients []Ingredient
	Scaled      bool // from a published recipe
	AsPrinted   bool // the very column of the guide
	Notes       []string
}

// printed is a published recipe of one size.
type printed struct {
	quarts float64 // that it fills, about
	lines  []printedLine
}

type printedLine struct {
	name   string
	tsp    float64 // 48 to the cup
	pounds float64 // where it is weighed
	role   Role
}

// printedRecipes are those of one size. The butter fills 8 to 9 pints.
// Source: Complete Guide to Home Canning, Guide 2 (2015): mango sauce, berry
// syrup, apple butter.
var printedRecipes = map[guide.Product]printed{
	"mango-sauce": {6 * 0.25, []printedLine{
		{"puree of slightly underripe mango", 5.5 * cup, 0, FruitRole},
		{"honey", 6 * tbsp, 0, SugarRole},
		{"granulated sugar", 0.75 * cup, 0, SugarRole},
		{"bottled lemon juice", 4 * tbsp, 0, AcidRole},
		{"pure ascorbic acid", 2.5, 0, ColourRole},
	}},
	"berry-syrup": {9 * 0.25, []printedLine{
		{"fresh or thawed berries", 6.5 * cup, 0, FruitRole},
		{"granulated sugar", 6.75 * cup, 0, SugarRole},
	}},
	"apple-butter": {8.5 * 0.5, []printedLine{
		{"apples", 0, 8, FruitRole},
		{"cider", 2 * cup, 0, LiquidRole},
		{"vinegar", 2 * cup, 0, LiquidRole},
		{"granulated sugar", 2.25 * cup, 0, SugarRole},
		{"brown sugar, packed", 2.25 * cup, 0, SugarRole},
	}},
}

func hasRecipe(p guide.Product) bool {
	_, printed := printedRecipes[p]
	return printed || fillings[p] != nil || p == "applesauce" || p == "fruit-puree"
}

// scale makes a printed recipe for quarts of jars. Its acid is rounded up to
// 1/2 tsp.
func (r printed) scale(quarts float64) Recipe {
	by := quarts / r.quarts
	out := Recipe{Scaled: true, Pots: 1, Quarts: quarts, AsPrinted: close(by, 1)}
	for _, l := range r.lines {
		tsp := l.tsp * by
		if l.role == AcidRole {
			tsp = math.Ceil(tsp*2-1e-3) / 2
		}
		out.Ingredients = append(out.Ingredients, Ingredient{l.name, measure.Cups(tsp / cup), measure.Pounds(l.pounds * by), l.role})
	}
	return out
}

// recipe is what goes into the pot for the jars that are planned.
func (p *Plan) recipe(in read) {
	product := p.Query.Product
	quarts := 0.0
	if p.Jars != nil {
		quarts = p.litres() / measure.Quart.Litres()
	}
	var r Recipe
	if quarts > 0 {
		if f, ok := fill(product, p.Query.Thickener, quarts); ok {
			r = f
		} else if printed, ok := printedRecipes[product]; ok {
			r = printed.scale(quarts)
		}
	}
	switch product {
	case "applesauce", "fruit-puree":
		r = sweetened(in, p, quarts)
	case "apple-butter":
		r.Notes = reduction(r, quarts, in.kitchen.Units)
	case "apple-juice", "grape-juice":
		r.Notes = juiceNotes(in)
	case "jam", "jelly":
		r.Notes = jellingNotes(in)
	case "mango-sauce":
		r.Notes = []string{"The lemon juice makes it safe: it may be more, never less, and never fresh-squeezed."}
	case "berry-syrup":
		r.Notes = []string{"The fruit gives 4 1/2 to 5 cups of strained juice for each 6 1/2 cups. The sugar is part of the recipe."}
	}
	if len(r.Ingredients) > 0 || len(r.Notes) > 0 {
		p.Recipe = &r
	}
}
