package batch

import (
	"fmt"

	"mellisca/core/canner"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/measure"
	"mellisca/core/syrup"
)

func (p Plan) whyRecipe(units measure.System) (Why, bool) {
	r := p.Recipe
	if r == nil {
		return Why{}, false
	}
	w := Why{About: "recipe", Title: "Why these amounts"}
	say := func(format string, args ...any) { w.Lines = append(w.Lines, fmt.Sprintf(format, args...)) }
	switch product := p.Query.Product; {
	case fillings[product] != nil:
		w.Source = fruitSource
		whyFilling(*r, say)
	case r.Scaled:
		w.Source = fruitSource
		whyPrinted(product, *r, say)
	case product == "applesauce" || product == "fruit-puree":
		if own, ok := fruit.Brix(string(product), string(p.Query.Kind)); ok && p.Query.Blend == 0 {
			say("A quart of unsweetened sauce at %.0f °Brix weighs about %.0f g. The sugar stirred in is added to the sugar in it, and to its weight.", own, measure.Quart.Litres()*syrup.Density(own)*1000)
		}
		say("Sauce and puree keep by their acid and the process, not by sugar.")
	case product == "apple-juice" || product == "grape-juice":
		w.Title, w.Source = "Why it settles", fruitSource
		say("Fresh juice carries pulp, and grape juice salts that fall out as crystals. In 24 to 48 hours in the cold they sink; what is poured off stays clear in the jar.")
		say("Water for the glass is added in the glass: the tested row is for juice as it is.")
	case product == "jam" || product == "jelly":
		if p.Altitude == nil {
			return Why{}, false
		}
		w.Title, w.Source = "Why this temperature", "Complete Guide to Home Canning, Guide 7 (2015)"
		say("Sugar raises the boiling point. Jam and jelly without added pectin are done %.0f °F over the boiling point of water where you are.", canner.JellingAboveBoil)
		say("At %s water boils at %s in the standard atmosphere.", p.Altitude.Text(units), canner.BoilingPoint(*p.Altitude).Text(units))
	}
	return w, len(w.Lines) > 0
}

func whyFilling(f Recipe, say func(string, ...any)) {
	if f.AsPrinted {
		say("The guide prints this recipe for 1 and for 7 quarts. This is the printed column.")
		return
	}
	column := "one-quart"
	if f.Quarts > 4 {
		column = "seven-quart"
	}
	say("The guide prints this recipe for 1 and for 7 quarts, and the two do not scale exactly. %s quarts scale from the %s column.", plain(round1(f.Quarts)), column)
	say("The acid goes by the larger share of the two columns, rounded up to half a teaspoon. It may be more, never less.")
	if f.Pots > 1 {
		say("More than 7 quarts are not cooked at once, so that the starch cooks through: %d batches.", f.Pots)
	}
}

func whyPrinted(product guide.Product, r Recipe, say func(string, ...any)) {
	p := printedRecipes[product]
	of := map[guide.Product]string{"mango-sauce": "6 half-pints", "berry-syrup": "9 half-pints", "apple-butter": "8 to 9 pints"}[product]
	say("The guide prints this recipe for about %s, %s quarts. For %s quarts everything is multiplied by %.2f.", of, plain(p.quarts), plain(round1(r.Quarts)), r.Quarts/p.quarts)
	switch product {
	case "mango-sauce":
		say("The acid is then rounded up to half a teaspoon. It may be more, never less.")
	case "apple-butter":
		say("The weights of the pot are our own reckoning: apples at 12 %% sugar with 12 %% of their weight in core and peel, cider at 12 %%. What is in the pot of sugar stays in it, so the butter that fills the jars is that sugar in their volume.")
	}
}
