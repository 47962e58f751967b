package batch

import (
	"fmt"
	"strings"

	"mellisca/core/canner"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/measure"
	"mellisca/core/syrup"
)

// sweetened is a sauce or puree with sugar by taste: how much in all, and how
// sweet it comes out, by the balance of its sugar.
func sweetened(in read, p *Plan, quarts float64) Recipe {
	l, _ := in.Liquid.chosen(p.Query.Product)
	r := Recipe{Pots: 1, Quarts: quarts}
	own, known := fruit.Brix(string(p.Query.Product), string(p.Query.Kind))
	if p.Query.Blend != 0 {
		own, known = blendBrix(p.Query.Kind, p.Query.Blend)
	}
	if l.Kind == Unsweetened {
		if known {
			r.Notes = append(r.Notes, fmt.Sprintf("Without sugar it is about %.0f °Brix, as the fruit is.", own))
		}
		return r
	}
	grams, _ := sugarGrams(l.Sugar)
	if quarts > 0 && grams > 0 {
		r.Ingredients = []Ingredient{{Name: "granulated sugar", Amount: measure.Cups(grams / syrup.SugarPerCup * quarts), Role: SugarRole}}
	}
	if known {
		sauce := measure.Quart.Litres() * syrup.Density(own) * 1000
		r.Notes = append(r.Notes, fmt.Sprintf("%s of sugar in a quart (%.0f g) brings it from about %.0f to %.1f °Brix.",
			measure.KitchenCups(grams/syrup.SugarPerCup), grams, own, syrup.CutOut(sauce, own, grams, 100)))
	}
	r.Notes = append(r.Notes, "Sugar is for taste here: more, less or none changes nothing about the time.")
	return r
}

// blendBrix is the middle of the fruits of a blend in equal parts; not known
// where it is not known of one of them.
func blendBrix(first guide.Kind, b guide.Blend) (float64, bool) {
	sum, n := 0.0, 0.0
	for _, k := range append([]guide.Kind{first}, b.Each()...) {
		own, ok := fruit.Brix("", string(k))
		if !ok {
			return 0, false
		}
		sum, n = sum+own, n+1
	}
	return sum / n, true
}

// What apple butter is reckoned with beside its recipe: our own figures.
const (
	appleUsable = 0.88 // of an apple's weight, without core and peel
	ciderBrix   = 12.0
)

// reduction says what the pot of apple butter weighs at the start and when it is
// done. What is in it of sugar stays, so the butter that fills the jars is as
// strong as that sugar in their volume, and weighs what such a solution weighs.
func reduction(r Recipe, quarts float64, units measure.System) []string {
	if quarts <= 0 {
		return nil
	}
	start, sugar := 0.0, 0.0
	for _, i := range r.Ingredients {
		grams, share := i.Weight.Grams(), 0.0
		switch i.Name {
		case "apples":
			grams *= appleUsable
			share = 0.12
		case "cider":
			grams = i.Amount.Litres() * syrup.Density(ciderBrix) * 1000
			share = ciderBrix / 100
		case "granulated sugar":
			grams, share = i.Amount.Cups()*syrup.SugarPerCup, 1
		case "brown sugar, packed":
			grams, share = i.Amount.Cups()*syrup.BrownPerCup, 1
		default: // vinegar
			grams = i.Amount.Litres() * syrup.WaterDensity * 1000
		}
		start += grams
		sugar += grams * share
	}
	litres := quarts * measure.Quart.Litres()
	brix, _ := syrup.BrixOf(sugar, litres)
	done := litres * syrup.Density(brix) * 1000
	text := func(g float64) string { return measure.Grams(g).Text(units) }
	return []string{
		fmt.Sprintf("In the pot at the start: about %s. Done at about %s: %s cooks away.", text(start), text(done), text(start-done)),
		"Weigh the empty pot first and take it off both. It is done when it mounds on a spoon; the weight says how far there is to go.",
		"Add the spice by taste. Slow heat for many hours is a common way: stir every few hours, then more often.",
	}
}

// juiceNotes are how juice settles and how it is drunk.
func juiceNotes(in read) []string {
	notes := []string{"Settle it chilled for 24 to 48 hours, then pour it off the sediment. It may stand overnight and be canned the next day."}
	glasses := in.jar.Capacity.Cups() * (1 + in.Dilute)
	one := strings.ToLower(in.jar.One)
	if in.Dilute > 0 {
		notes = append(notes, fmt.Sprintf("Drunk as 1 part of juice to %s of water, a %s makes %.0f glasses of 1 cup. Add the water in the glass: it is canned as it is.", plain(in.Dilute), one, glasses))
	} else {
		notes = append(notes, fmt.Sprintf("Drunk as it is, a %s is %s.", one, servings(glasses)))
	}
	return append(notes, "From a steam juicer: 60 to 90 minutes a load, hot water into the base every 45 to 60 minutes and never dry; 3 to 4 lb give about a quart. Bring that juice back to a boil before it goes into jars. The pulp can go on to sauce.")
}

func servings(glasses float64) string {
	if glasses < 1.5 {
		return "1 glass of 1 cup"
	}
	return fmt.Sprintf("%.0f glasses of 1 cup", glasses)
}

// jellingNotes are when jam and jelly without pectin are done.
// Source: Complete Guide to Home Canning, Guide 7 (2015).
func jellingNotes(in read) []string {
	var notes []string
	if in.altitude != nil {
		boils := canner.BoilingPoint(*in.altitude)
		jells := measure.Fahrenheit(boils.Fahrenheit() + canner.JellingAboveBoil)
		notes = append(notes, fmt.Sprintf("Without added pectin it jells at %s here: 8 °F over where water boils, %s. Weather moves both by a degree, so read your thermometer in boiling water first.",
			jells.Text(in.kitchen.Units), boils.Text(in.kitchen.Units)))
	}
	return append(notes, "One batch at a time: a doubled pot cooks too slowly and may not set. Sugar and acid are as your recipe says.")
}
