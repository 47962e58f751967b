package batch

import (
	"math"

	"mellisca/core/measure"
)

// jarUses is over how many fillings a jar's price is spread: our own figure.
const jarUses = 20

// CostLine is one thing that a batch costs, in cents.
type CostLine struct {
	What  string
	Cents float64
}

// Costs is what a batch costs, as far as prices were said.
type Costs struct {
	Lines    []CostLine
	Missing  []string // what has no price yet
	Cents    float64  // of all lines
	PerJar   float64
	PerLitre float64
	Bought   float64 // what a bought jar of as much would cost; 0: not said
}

// costs adds up what the batch costs: fruit by its lots, sugar, lids, a share of the
// jars, and the flame. It is nil where no jars are planned or nothing was priced.
func (p Plan) costs(r Request, k Kitchen) *Costs {
	if p.Jars == nil || p.Status == Refused || k.Prices == (Prices{}) {
		return nil
	}
	n := float64(p.Jars.Planned)
	var c Costs
	say := func(what string, cents float64, known bool) {
		if !known {
			c.Missing = append(c.Missing, what)
			return
		}
		if cents > 0.05 {
			c.Lines = append(c.Lines, CostLine{what, cents})
			c.Cents += cents
		}
	}
	say("fruit", p.fruitCents(r, k), p.fruitPriced(r, k))
	if p.Pour != nil {
		if cents := p.Pour.cents(k.Prices, p.Jars.Planned); cents != nil {
			say(p.Pour.Name, *cents, true)
		} else {
			say(p.Pour.Name, 0, false)
		}
	}
	if p.Recipe != nil {
		sugar := 0.0
		for _, i := range p.Recipe.Ingredients {
			if i.Name == "granulated sugar" {
				sugar += i.Amount.Cups() * 0.2 * float64(max(p.Recipe.Pots, 1)) // kg
			}
		}
		say("sugar", sugar*k.Prices.SugarPerKg, sugar == 0 || k.Prices.SugarPerKg > 0)
	}
	say("lids", n*k.Prices.Lid, k.Prices.Lid > 0)
	say("jars, over 20 fillings", n*k.Prices.Jar/jarUses, k.Prices.Jar > 0)
	if minutes := p.flameMinutes(); minutes > 0 {
		say("the flame", minutes/60*k.Prices.Hour, k.Prices.Hour > 0)
	}
	c.PerJar = c.Cents / n
	c.PerLitre = c.Cents / p.litres()
	c.Bought = k.Prices.BoughtPerLitre * p.litres() / n
	return &c
}

// flameMinutes is how long the burner runs for all loads; 0 where that is not known.
func (p Plan) flameMinutes() float64 {
	if p.Water == nil || p.Water.Heating == nil || p.Water.Heating.Never {
		return 0
	}
	h := p.Water.Heating
	minutes := h.ToFilling
	for _, l := range p.Loads {
		minutes += h.ToBoil + float64(l.Minutes)
	}
	return minutes
}

// FruitMass is how much fruit goes in.
func (p Plan) FruitMass() measure.Mass {
	if p.Amount.Fruit == 0 && p.Fruit != nil {
		return p.Fruit.Likely
	}
	return p.Amount.Fruit
}

func (p Plan) fruitPriced(r Request, k Kitchen) bool {
	ids := r.lotIDs()
	for _, id := range ids {
		if l, ok := k.Lots[id]; !ok || l.CentsPerKg < 0 {
			return false
		}
	}
	return len(ids) > 0
}

// fruitCents takes the fruit off its lots, the first first.
func (p Plan) fruitCents(r Request, k Kitchen) float64 {
	rest, cents := p.FruitMass(), 0.0
	for _, id := range r.lotIDs() {
		l := k.Lots[id]
		take := min(rest, l.Left)
		cents += take.Grams() / 1000 * math.Max(0, l.CentsPerKg)
		rest -= take
	}
	return cents
}

// PerFilledJar is what a filled jar costs beside its fruit, in cents: a lid, and its share of
// the jar. ok is false where neither has a price.
func (p Prices) PerFilledJar() (cents float64, ok bool) {
	return p.Lid + p.Jar/jarUses, p.Lid > 0 || p.Jar > 0
}
