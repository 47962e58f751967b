package server

import (
	"fmt"
	"strings"

	"mellisca/core/batch"
	"mellisca/core/measure"
	"mellisca/core/syrup"
)

// scale is how a cook measures: the units, and whether the weight stands first.
type scale struct {
	units       measure.System
	weightFirst bool
}

func scaleOf(k batch.Kitchen) scale {
	s := scale{k.Units, k.Units == measure.Metric}
	switch k.School("sugar") {
	case "weight":
		s.weightFirst = true
	case "cups":
		s.weightFirst = false
	}
	return s
}

// measured puts cups first for a cook who reads cups, and the exact measure
// first for one who reads grams and litres.
func (s scale) measured(name, kitchen, exact string) measureBody {
	if s.weightFirst {
		return measureBody{name, exact, kitchen}
	}
	return measureBody{name, kitchen, exact}
}

func pourAnswer(plan batch.Plan, in scale) *pourBody {
	p := plan.Pour
	litres := func(l float64) string { return measure.Litres(l).Text(in.units) }
	b := &pourBody{Name: p.Name, Total: litres(p.Litres), PerJar: litres(p.LitresPerJar), Measures: []measureBody{}, Notes: []string{}}
	b.Spare = fmt.Sprintf("%.0f %% is to spare", p.SparePercent)
	if p.BrixKnown && !p.BrixAbout && (p.Syrup != nil || p.InJar != nil || p.Brix > 0) {
		brix := rounded(p.Brix, 1)
		b.Brix = &brix
	}
	if p.NearestName != p.Name {
		b.Nearest = p.NearestName
	}
	switch {
	case p.Syrup != nil:
		b.Measures = append(b.Measures, in.measured("water", p.Syrup.Water.Kitchen, measure.Litres(p.Syrup.Water.Litres()).Text(measure.Metric)))
		for _, s := range p.Syrup.Sweeteners {
			b.Measures = append(b.Measures, in.measured(s.Name, s.Kitchen, measure.Grams(s.Grams).Text(in.units)))
		}
		if pub := p.Syrup.Published; pub != nil {
			b.Published = fmt.Sprintf("The printed table gives %s of water and %s of sugar for %s: a little weaker, as rounded cups are.",
				measure.KitchenCups(pub.WaterCups), measure.KitchenCups(pub.SugarCups), pub.ForLoad)
		}
	case p.InJar != nil:
		b.inJars(plan, in)
		b.Notes = append(b.Notes, fmt.Sprintf("At most %s of sugar dissolve in the liquid of a %s.", measure.KitchenCups(p.InJar.MostGrams/syrup.SugarPerCup*plan.ShareOf(plan.Jar)), plan.Jar.One))
		b.Total, b.Spare = litres(p.InJar.Water.Litres()*float64(plan.Jars.Planned))+" of water", "sugar first, then fruit, then water"
	case p.Juice != nil:
		b.juice(p, in)
	}
	if p.Liquid.Cores {
		b.Notes = append(b.Notes, "Simmer the cores or peelings in it about 10 minutes and strain it: they give flavour, and a little sugar that is not counted.")
	}
	if left := p.Left(plan.Jars.Planned); left > 0 && p.Juice == nil {
		b.Left = "About " + measure.Litres(left).Rough(in.units) + " will be over. " + batch.KeepSyrup
	}
	b.CutOut = cutOutText(p)
	return b
}

// inJars says what sugar and water go into a jar, or into a jar of each size.
func (b *pourBody) inJars(plan batch.Plan, in scale) {
	p := plan.Pour.InJar
	say := func(jar string, share float64) {
		sugar, water := measure.Grams(p.Sugar.Grams*share), p.Water.Litres()*share
		b.Measures = append(b.Measures,
			in.measured("sugar in each "+jar, measure.KitchenCups(p.Sugar.Cups*share), sugar.Text(in.units)),
			in.measured("hot water in each "+jar+", about", measure.KitchenCups(p.Water.Cups*share), measure.Litres(water).Text(measure.Metric)))
	}
	if len(plan.Sizes) < 2 {
		say("jar", 1)
		return
	}
	for _, s := range plan.Sizes {
		say(s.Jar.One, plan.ShareOf(s.Jar))
	}
}

// juice says what to top own juice up with, and how much is short without.
func (b *pourBody) juice(p *batch.Pour, in scale) {
	j := p.Juice
	litres := func(l float64) string { return measure.Litres(l).Text(in.units) }
	if j.Short == 0 {
		b.Notes = append(b.Notes, "There is enough: "+litres(j.Over)+" of it is over. Drink it, or freeze it.")
		return
	}
	strength := "of a strength that is not known"
	if p.BrixKnown {
		strength = fmt.Sprintf("at about %.1f °Brix", j.Brix)
	}
	b.Measures = append(b.Measures,
		in.measured("own juice", measure.KitchenCups(measure.Litres(p.Litres-j.Short).Cups()), measure.Litres(p.Litres-j.Short).Text(measure.Metric)),
		in.measured("water to top it up", j.Water.Kitchen, measure.Litres(j.Water.Litres()).Text(measure.Metric)))
	b.Notes = append(b.Notes, fmt.Sprintf("Topped up, it goes into the jars %s. Without water %s are short.", strength, litres(j.Short)))
}

// cutOutText is how sweet the jar comes out, beside the fruit's own.
func cutOutText(p *batch.Pour) string {
	if p.CutOut == 0 {
		return ""
	}
	return fmt.Sprintf("After two weeks in the jar about %.0f °Brix; the fruit by itself %.0f", p.CutOut, p.FruitBrix)
}

func recipeAnswer(p batch.Plan, in scale) *recipeBody {
	r := p.Recipe
	b := &recipeBody{AsPrinted: r.AsPrinted, Scaled: r.Scaled, Ingredients: []measureBody{}, Notes: notNil(r.Notes)}
	size := measure.Volume(r.Quarts * float64(measure.Quart))
	of := fmt.Sprintf("%.3g quarts", r.Quarts)
	if r.Quarts < 1.0001 && r.Quarts > 0.9999 {
		of = "1 quart"
	}
	if in.units == measure.Metric {
		of = size.Text(in.units)
	}
	switch {
	case len(r.Ingredients) == 0:
		b.Title = strings.ToUpper(p.Name[:1]) + p.Name[1:]
	case r.Pots > 1:
		b.Title = fmt.Sprintf("Cook %d batches, each of %s", r.Pots, of)
	default:
		b.Title = "For " + of
	}
	for _, i := range r.Ingredients {
		kitchen, exact := i.Amount.Kitchen(), i.Amount.Text(measure.Metric)
		switch {
		case i.Weight > 0:
			kitchen, exact = i.Weight.Text(in.units), i.Weight.Text(other(in.units))
			b.Ingredients = append(b.Ingredients, measureBody{i.Name, kitchen, exact})
			continue
		case i.Role == batch.FruitRole && i.Amount >= 2*measure.Quart:
			kitchen = i.Amount.Quarts() // nobody counts two dozen cups of apples
		case i.Role == batch.AcidRole:
			b.Acid = i.Name
			kitchen, exact = i.Amount.AtLeast(measure.US), i.Amount.AtLeast(measure.Metric)
		}
		b.Ingredients = append(b.Ingredients, in.measured(i.Name, kitchen, exact))
	}
	return b
}

func other(s measure.System) measure.System {
	if s == measure.US {
		return measure.Metric
	}
	return measure.US
}
