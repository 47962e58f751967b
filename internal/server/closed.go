package server

import (
	"fmt"
	"slices"
	"strings"

	"mellisca/core/batch"
	"mellisca/core/fruit"
	"mellisca/core/measure"
	"mellisca/internal/store"
)

// takeFromLots takes a batch's fruit off the lots that it names, the first first, or
// what is left over from an earlier batch; it tells what they did not hold.
func takeFromLots(c *store.Closing, r batch.Request, lots []store.Lot, today fruit.Day) (rest measure.Mass) {
	rest = c.Fruit
	var seen []string
	for _, id := range strings.Split(r.Lots, ",") {
		if slices.Contains(seen, id) {
			continue
		}
		seen = append(seen, id)
		lot, use, isOver := batch.OfLeftOver(id)
		for _, l := range lots {
			if l.ID != lot {
				continue
			}
			if take := min(rest, l.Left()); !isOver && take > 0 {
				c.Lots = append(c.Lots, store.LotUse{Lot: id, Use: fruit.Use{Mass: take, What: "fruit"}})
				rest -= take
			}
			for _, over := range leftOvers(l, today) {
				if take := min(rest, over.left); isOver && over.use == use && take > 0 {
					c.Lots = append(c.Lots, store.LotUse{Lot: l.ID, Use: fruit.Use{Of: over.use, Mass: take, What: over.What}})
					c.MadeOf = over.What
					rest -= take
				}
			}
		}
	}
	return rest
}

// readLiquid reads what was made ready and what was left of it: the rest went into
// the jars, which cannot be more than they hold.
func readLiquid(c *store.Closing, f ClosingFields) (problems []error) {
	read := func(name, typed string) measure.Volume {
		if strings.TrimSpace(typed) == "" {
			return 0
		}
		v, err := measure.ParseVolume(typed)
		if err != nil {
			problems = append(problems, field("body."+name, "Accepted: an amount such as 9 cups or 2.2 l.", typed))
		}
		return v
	}
	made, left := read("liquid", f.Liquid), read("liquidLeft", f.LiquidLeft)
	if len(problems) > 0 {
		return problems
	}
	holds := 0.0
	for _, j := range c.Filled {
		holds += float64(j.Count) * j.Jar.Capacity.Litres()
	}
	switch {
	case left > made:
		return []error{field("body.liquidLeft", "Accepted: no more than was made ready.", f.LiquidLeft)}
	case (made - left).Litres() > holds:
		return []error{field("body.liquid", "Accepted: what was made ready, such as 9 cups or 2.2 l. Without what is left, it is more than the jars hold.", f.Liquid)}
	}
	c.Liquid, c.LiquidLeft = made-left, left
	return nil
}

// givenText is what a batch gave: "7 quarts from 18 lb".
func givenText(c store.Closing, units measure.System) string {
	text := batch.FilledText(c.Filled) + " from " + c.Fruit.Text(units)
	if c.MadeOf != "" {
		text += " of " + c.MadeOf
	}
	return text
}

// stepsText is how long the steps took, and the liquid.
func stepsText(c store.Closing, units measure.System) string {
	var words []string
	for _, step := range []struct {
		minutes int
		name    string
	}{{c.PrepareMinutes, "getting ready"}, {c.CookMinutes, "cooking"}, {c.FillMinutes, "filling"}, {c.BoilMinutes, "to the boil"}} {
		if step.minutes > 0 {
			words = append(words, fmt.Sprintf("%s %d min", step.name, step.minutes))
		}
	}
	if c.Liquid > 0 {
		liquid := c.Liquid.Text(units) + " of liquid"
		if c.LiquidLeft > 0 {
			liquid += ", " + c.LiquidLeft.Text(units) + " left"
		}
		words = append(words, liquid)
	}
	return strings.Join(words, "; ")
}
