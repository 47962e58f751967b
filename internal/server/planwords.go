package server

import (
	"fmt"
	"math"
	"strings"

	"mellisca/core/batch"
	"mellisca/core/canner"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// planAnswer puts a plan into words and the cook's units.
func planAnswer(r batch.Request, p batch.Plan, k batch.Kitchen) planBody {
	units := k.Units
	scale := scaleOf(k)
	b := planBody{
		Status: string(p.Status), ProductName: p.Name, Headline: batch.Headline(p.Query, p.Name), Request: filledIn(r, p),
		Missing: []missingBody{}, Reasons: reasonBodies(p.Verdict.Reasons), Alternatives: []offerBody{},
		Instead: insteadBodies(p.Verdict.Instead), Jar: jarAnswer(p.Jar), AmountNote: p.AmountNote, MadeOf: p.MadeOf, LotNote: p.LotNote, Short: p.Short, Counted: k.Stock.Counted(), Preparing: preparingText(p.Preparing),
		Prepare: notNil(p.Prepare), InEachJar: notNil(p.InEachJar), Cautions: cautionBodies(p.Cautions),
	}
	for _, m := range p.Missing {
		b.Missing = append(b.Missing, missingBody{m.Field, m.Text})
	}
	for _, a := range p.Verdict.Alternatives {
		b.Alternatives = append(b.Alternatives, offerBody{batch.Label(p.Query, a), a.Minutes, requestOf(p.Instead(r, a))})
	}
	b.Costs = costsAnswer(p, units)
	b.Shares = sharesAnswer(p.Shares, units)
	b.Blendable = batch.Blendable(p.Query.Product)
	if p.CookUps != nil {
		b.CookUps = p.CookUps.Text(units)
	}
	if p.Altitude != nil {
		b.Altitude = p.Altitude.Text(units)
	}
	switch {
	case p.Verdict.Tested != nil:
		b.Time = timeAnswer(p, units)
	case p.Own != nil:
		b.Time = ownTimeAnswer(p.Own, units)
	}
	if p.Jars != nil {
		b.Jars = jarsAnswer(p)
	}
	b.Fruit = fruitAnswer(p, units)
	if p.Pour != nil {
		b.Liquid = pourAnswer(p, scale)
	}
	if p.Recipe != nil {
		b.Recipe = recipeAnswer(p, scale)
	}
	b.Canner = cannerAnswer(r, p, units)
	b.Why = []whyBody{}
	for _, w := range p.Why(units) {
		b.Why = append(b.Why, whyBody(w))
	}
	return b
}

// filledIn is the request with the defaults that were judged.
func filledIn(r batch.Request, p batch.Plan) requestBody {
	b := requestOf(r)
	b.Form, b.Method, b.Thickener = string(p.Query.Form), string(p.Query.Method), string(p.Query.Thickener)
	if b.Method == "" {
		b.Method = string(guide.BoilingWater)
	}
	if l, ok := r.Liquid.For(p.Query.Product); ok {
		b.Liquid = liquidOf(l)
	}
	return b
}

func timeAnswer(p batch.Plan, units measure.System) *timeBody {
	t := p.Verdict.Tested
	space := measure.Inches(t.Headspace)
	b := &timeBody{
		Minutes: t.Minutes, Band: bandText(t.Band, units), TestedAs: string(t.TestedAs.ID()),
		Source:    sourceText(t.Source),
		Headspace: space.Text(units), HeadspaceCm: space.Centimetres(), SterileMinutes: t.SterileMinutes, Acid: acidOf(p, units),
	}
	if t.WaterOverJars > 0 {
		b.Water = measure.Inches(float64(t.WaterOverJars)).Text(units)
	}
	return b
}

func ownTimeAnswer(t *guide.OwnTime, units measure.System) *timeBody {
	space := measure.Inches(t.Source.Headspace)
	b := &timeBody{
		Minutes: t.Minutes, Band: bandText(t.Band, units), TestedAs: string(t.Source.Largest.ID()), Source: t.Source.Cite(), Own: true,
		Headspace: space.Text(units), HeadspaceCm: space.Centimetres(), SterileMinutes: t.SterileMinutes, Acid: t.Source.Acid,
	}
	if t.WaterOverJars > 0 {
		b.Water = measure.Inches(float64(t.WaterOverJars)).Text(units)
	}
	return b
}

// sourceText cites a source: title, part and year.
func sourceText(s guide.Source) string {
	if s.Part == "" {
		return fmt.Sprintf("%s (%d)", s.Title, s.Edition)
	}
	return fmt.Sprintf("%s, %s (%d)", s.Title, s.Part, s.Edition)
}

// bandText names a band in the cook's units; its edges stay those of the table.
func bandText(b guide.Band, units measure.System) string {
	edge := func(ft int, after bool) string {
		a := measure.Altitude(ft) * measure.Altitude(measure.Foot)
		if units == measure.US || after {
			return a.Text(units)
		}
		// The metre below a top edge that falls between two metres is still in the band.
		return (a - a%measure.Altitude(measure.Metre)).Text(units)
	}
	switch {
	case b.FromFt == nil:
		return "up to " + edge(*b.ToFt, false)
	case b.ToFt == nil:
		return "above " + edge(*b.FromFt-1, false)
	}
	from := strings.TrimSuffix(strings.TrimSuffix(edge(*b.FromFt, true), " ft"), " m")
	return from + " to " + edge(*b.ToFt, false)
}

// acidOf names the acid for this very batch where the recipe was scaled to it.
func acidOf(p batch.Plan, units measure.System) string {
	if by := p.AcidBySize(); by != "" {
		return by
	}
	if p.Recipe == nil || !p.Recipe.Scaled {
		return acidText(p.Verdict.Tested.Acid)
	}
	for _, i := range p.Recipe.Ingredients {
		if i.Role == batch.AcidRole && p.Recipe.Pots > 1 {
			return fmt.Sprintf("%s of %s in each pot", i.Amount.AtLeast(units), i.Name)
		} else if i.Role == batch.AcidRole {
			return fmt.Sprintf("%s of %s in the pot", i.Amount.AtLeast(units), i.Name)
		}
	}
	return ""
}

func acidText(a *guide.Acid) string {
	if a == nil {
		return ""
	}
	if a.PerBatch != nil {
		return fmt.Sprintf("%s of %s for %s", batch.Spoons(a.PerBatch.Amount), a.What, a.PerBatch.Makes)
	}
	s := fmt.Sprintf("%s of %s", batch.Spoons(*a.PerJar), a.What)
	for _, o := range a.Or {
		s += fmt.Sprintf(" or %s of %s", batch.Spoons(*o.PerJar), o.What)
	}
	return s + " in each jar"
}

func jarAnswer(j jar.Jar) JarBody {
	return JarBody{string(j.ID), j.One, j.Many, float64(j.Capacity) / 1000, j.Diameter.Centimetres(), j.Height.Centimetres(), string(j.Mouth)}
}

func costsAnswer(p batch.Plan, units measure.System) *costsBody {
	c := p.Costs
	if c == nil {
		return nil
	}
	b := &costsBody{PerJar: measure.Money(c.PerJar), PerLitre: measure.Money(c.PerLitre) + " a litre", Lines: []costLine{}}
	switch {
	case units == measure.US && p.Jar.Capacity == measure.Quart && len(p.Sizes) < 2:
		b.PerLitre = "" // the jar is the quart
	case units == measure.US:
		b.PerLitre = measure.Money(c.PerLitre*measure.Quart.Litres()) + " a quart"
	}
	for _, l := range c.Lines {
		b.Lines = append(b.Lines, costLine{l.What, measure.Money(l.Cents)})
	}
	if len(c.Missing) > 0 {
		b.Missing = "Not counted, since no price was said: " + strings.Join(c.Missing, ", ") + "."
	}
	if c.Bought > 0 {
		one := p.Jar.One
		if len(p.Sizes) > 1 {
			one = "jar of as much"
		}
		b.Against = "A bought " + one + " would be " + measure.Money(c.Bought) + "."
	}
	return b
}

func preparingText(p *batch.Preparing) string {
	if p == nil {
		return ""
	}
	by := "our own guess"
	switch {
	case p.Batches == 1:
		by = "by one batch of yours"
	case p.Batches > 1:
		by = fmt.Sprintf("by %d batches of yours", p.Batches)
	}
	five := func(minutes float64) float64 { return max(5, math.Round(minutes/5)*5) }
	return fmt.Sprintf("Getting the fruit ready takes about %.0f min, %.0f to %.0f (%s).", five(p.Likely), five(p.Low), five(p.High), by)
}

func jarsAnswer(p batch.Plan) *jarsBody {
	j := p.Jars
	b := &jarsBody{Planned: j.Planned, Text: p.JarsText(), Ready: j.High, Sizes: []FilledFields{}}
	for _, s := range p.Sizes {
		b.Sizes = append(b.Sizes, FilledFields{string(s.Jar.ID), s.Count})
	}
	if len(p.Sizes) > 0 && j.High > j.Planned {
		b.Range = "Have " + batch.FilledText(p.Ready()) + " ready: the fruit may give more"
	}
	switch {
	case j.Batches == 1:
		b.Learned = "by the guide and one batch of yours"
	case j.Batches > 1:
		b.Learned = fmt.Sprintf("by the guide and %d batches of yours", j.Batches)
	}
	if j.FromFruit {
		b.Range = fmt.Sprintf("%d to %d, depending on the fruit", j.Low, j.High)
		if j.Low == j.High {
			b.Range = "whatever the fruit"
		}
		if j.OwnGuess {
			b.Range += "; this range is our own guess"
		}
	}
	return b
}

// fruitAnswer says how much fruit: what was given, or what the jars take.
func fruitAnswer(p batch.Plan, units measure.System) *fruitBody {
	if p.Amount.Fruit > 0 {
		b := &fruitBody{Text: p.Amount.Fruit.Text(units)}
		if p.Amount.Container != "" {
			b.Range = p.Amount.Container + ", as published"
		}
		return b
	}
	if p.Fruit == nil {
		return nil
	}
	b := &fruitBody{Text: p.Fruit.Likely.Text(units), Range: p.Fruit.Low.Text(units) + " to " + p.Fruit.High.Text(units) + ", depending on the fruit"}
	if p.Fruit.OwnGuess {
		b.Range += "; this range is our own guess"
	}
	return b
}

// bandShort names a band by its top alone and without the unit: "to 6,000".
func bandShort(b guide.Band, units measure.System) string {
	s := strings.TrimSuffix(strings.TrimSuffix(bandText(b, units), " ft"), " m")
	if _, top, ok := strings.Cut(s, "to "); ok {
		return "to " + top
	}
	return s
}

func cannerAnswer(r batch.Request, p batch.Plan, units measure.System) cannerBody {
	pot := p.Pot
	b := cannerBody{
		ID: p.Canner.ID, Name: pot.Name, DiameterCm: pot.Diameter.Centimetres(), LengthCm: pot.Length.Centimetres(), WidthCm: pot.Width.Centimetres(),
		DepthCm: pot.Depth.Centimetres(), RackCm: pot.Rack.Centimetres(), Size: potSize(pot, units),
		After: p.After, Offers: []loadOfferBody{}, Capacity: p.Capacity, Note: p.PotNote, Loads: loadBodies(p.Loads), Side: []sideJar{},
	}
	for _, o := range p.LoadOffers {
		body := loadOfferBody{Text: o.Text}
		if o.Canner != "" || o.Tiers > 0 {
			taking := requestOf(r.Taking(o))
			body.Request = &taking
		}
		b.Offers = append(b.Offers, body)
	}
	if len(p.Loads) > 0 {
		for _, j := range p.Pot.FromTheSide(p.Loads[0].Tiers) {
			b.Side = append(b.Side, sideJar{rounded(j.XCm, 2), rounded(j.Foot.Centimetres(), 2), j.Jar.Diameter.Centimetres(), j.Jar.Height.Centimetres()})
		}
	}
	b.Text = loadsText(p)
	if w := p.Water; w != nil {
		b.Water = &waterLevels{
			Pour: w.Pour.Text(units), Before: w.Before.Text(units), After: w.After.Text(units), AfterCm: rounded(w.After.Centimetres(), 2),
			FillAt: w.FillAt.Text(units), Heating: heatingText(w.Heating, w.FillAt.Text(units)),
		}
		if units == measure.US {
			b.Water.Pour = w.Pour.Quarts()
		}
	}
	return b
}

// potSize names a pot's inside from above.
func potSize(p canner.Pot, units measure.System) string {
	if p.Diameter > 0 {
		return p.Diameter.Exact(units)
	}
	return p.Length.Exact(units) + " by " + p.Width.Exact(units)
}

func heatingText(h *canner.Heating, fillAt string) string {
	switch {
	case h == nil:
		return ""
	case h.Never:
		return "This burner does not bring so much water to the boil. Take a stronger one, or a smaller pot."
	}
	return fmt.Sprintf("Light it about %.0f min before filling, to have it at %s; with the jars in it boils after about %.0f min.", h.ToFilling, fillAt, h.ToBoil)
}

// loadsText gathers equal loads: "1 load of 7 quarts", "6, 6 and 5 quarts".
func loadsText(p batch.Plan) string {
	n := len(p.Loads)
	switch {
	case n == 0:
		return ""
	case n == 1:
		return "1 load of " + batch.FilledText(p.Loads[0].Jars)
	case len(p.Sizes) > 1:
		return fmt.Sprintf("%d loads, %s in all", n, p.JarsText())
	case p.Loads[0].Count() == p.Loads[n-1].Count():
		return fmt.Sprintf("%d loads of %s", n, batch.FilledText(p.Loads[0].Jars))
	}
	large := 0
	for _, l := range p.Loads {
		if l.Count() == p.Loads[0].Count() {
			large++
		}
	}
	return fmt.Sprintf("%d loads: %d of %s, %d of %d", n, large, batch.FilledText(p.Loads[0].Jars), n-large, p.Loads[n-1].Count())
}

func notNil(s []string) []string {
	if s == nil {
		return []string{}
	}
	return s
}
