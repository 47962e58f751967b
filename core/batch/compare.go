package batch

import (
	"cmp"
	"slices"

	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/syrup"
)

// Prices is what things cost, in cents; 0 where it was not said.
type Prices struct {
	SugarPerKg, HoneyPerKg, CornPerKg, JuicePerLitre float64
	Lid, Jar                                         float64 // one of them
	Hour                                             float64 // of a burner
	BoughtPerLitre                                   float64 // such fruit in jars, bought
}

// Choice is one liquid among those that a product may be packed in.
type Choice struct {
	Pour
	SugarPerServing float64  // grams, in half a cup of what is in the jar; 0 with a Brix that is not known
	Cents           *float64 // for the whole batch; nil where a price is missing
	Chosen          bool
}

// Comparison is every liquid for one batch, beside the fruit's own sweetness.
type Comparison struct {
	Jar       jar.Jar
	Jars      int
	FruitBrix float64 // 0 where there is no figure and none was given
	Choices   []Choice
}

// Compare lays out the liquids of a request's product, weakest first, those of
// which the strength is not known last. The request's own liquid is among them as
// it stands. fruitBrix is what the cook read of the fruit; 0: the usual figure.
// Of a product that brings its own liquid, or where no jars can be planned, it
// has no choices.
func Compare(r Request, k Kitchen, prices Prices, fruitBrix float64) (Comparison, error) {
	p, err := Make(r, k)
	if err != nil {
		return Comparison{}, err
	}
	c := Comparison{Jar: p.Jar}
	if p.Pour == nil {
		return c, nil
	}
	c.Jars, c.FruitBrix = p.Jars.Planned, p.Pour.FruitBrix
	if fruitBrix > 0 {
		c.FruitBrix = fruitBrix
	}
	for _, l := range besides(p.Query.Product, p.Pour.Liquid) {
		pour := pourFor(l, p.Query.Product, p.Query.Kind, c.Jars, p.middling(), p.Pour.LitresPerJar)
		if fruitBrix > 0 && l.Kind == OwnJuice && l.Brix == 0 && pour.Juice == nil {
			pour.Brix, pour.BrixKnown, pour.BrixAbout = fruitBrix, true, true // its juice is as sweet as the fruit
		}
		if c.FruitBrix > 0 && pour.BrixKnown {
			pour.FruitBrix = c.FruitBrix
			pour.CutOut = syrup.JarCutOut(p.middling().Capacity.Litres(), pour.LitresPerJar, pour.Brix, c.FruitBrix)
		}
		c.Choices = append(c.Choices, Choice{pour, pour.SugarPerServing(p.middling()), pour.cents(prices, c.Jars), l == p.Pour.Liquid})
	}
	slices.SortStableFunc(c.Choices, func(a, b Choice) int {
		if a.BrixKnown != b.BrixKnown {
			return cmp.Compare(b2i(b.BrixKnown), b2i(a.BrixKnown))
		}
		return cmp.Compare(a.Brix, b.Brix)
	})
	return c, nil
}

func b2i(b bool) int {
	if b {
		return 1
	}
	return 0
}

// besides lists the liquids of a product with the chosen one as it stands, in
// place of the option that it is.
func besides(p guide.Product, chosen Liquid) []Liquid {
	var all []Liquid
	seen := false
	for _, o := range PackedIn(p) {
		o, _ = o.chosen(p)
		o.Sweetener = chosen.Sweetener
		if o.Kind == chosen.Kind && o.Strength == chosen.Strength {
			o, seen = chosen, true
		}
		all = append(all, o)
	}
	if !seen {
		all = append(all, chosen)
	}
	return all
}

// cents is what the liquid costs in sugar, honey and juice.
func (p Pour) cents(prices Prices, jars int) *float64 {
	sum := 0.0
	missing := false
	take := func(amount, price float64) {
		if amount > 0 && price == 0 {
			missing = true
		}
		sum += amount * price
	}
	switch {
	case p.Syrup != nil:
		for _, s := range p.Syrup.Sweeteners {
			take(s.Grams/1000, map[string]float64{"granulated sugar": prices.SugarPerKg, "honey": prices.HoneyPerKg, "light corn syrup": prices.CornPerKg}[s.Name])
		}
	case p.InJar != nil:
		take(p.InJar.Sugar.Grams*float64(jars)/1000, prices.SugarPerKg)
	case p.Liquid.Kind == AppleJuice, p.Liquid.Kind == WhiteGrapeJuice:
		take(p.Litres, prices.JuicePerLitre)
	}
	if missing {
		return nil
	}
	return &sum
}
