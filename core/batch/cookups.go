package batch

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"mellisca/core/canner"
	"mellisca/core/guide"
	"mellisca/core/measure"
)

// How full a cooking pot may be: what foams needs room to rise. The half is our own.
const (
	fullest = 0.75
	foaming = 0.50
)

// CookUps is how the fruit and its liquid go through the kitchen's cooking pots.
type CookUps struct {
	Litres float64 // to cook in all
	Pot    string
	Holds  float64 // litres, filled as far as it may be
	Times  int
	Foams  bool
}

// potLitres is what a pot holds to the brim, in litres.
func potLitres(p canner.Pot) float64 {
	floor := p.Length.Centimetres() * p.Width.Centimetres()
	if p.Diameter > 0 {
		r := p.Diameter.Centimetres() / 2
		floor = math.Pi * r * r
	}
	return floor * p.Depth.Centimetres() / 1000
}

// foams says whether what is cooked rises in the pot.
func foams(p guide.Product) bool {
	switch p {
	case "jam", "jelly", "berry-syrup", "apple-butter", "grape-juice":
		return true
	}
	return false
}

// cookUps splits what is cooked over the kitchen's cooking pots: the fewest times,
// and then in the smallest pot that does it. Where no pot is known it says nothing.
func (p *Plan) cookUps(in read) {
	if p.Jars == nil || len(in.kitchen.Pots) == 0 {
		return
	}
	litres := p.litres()
	if p.Query.Pack == guide.Raw {
		if p.Pour == nil {
			return
		}
		litres = p.Pour.Litres // the fruit goes in raw; only its liquid is heated
	}
	full := fullest
	if foams(p.Query.Product) {
		full = foaming
	}
	pots := slices.Clone(in.kitchen.Pots)
	slices.SortStableFunc(pots, func(a, b canner.Pot) int { return cmp.Compare(potLitres(a), potLitres(b)) })
	for _, pot := range pots {
		holds := potLitres(pot) * full
		c := CookUps{litres, pot.Name, holds, int(math.Ceil(litres/holds - 1e-9)), full == foaming}
		if p.CookUps == nil || c.Times < p.CookUps.Times {
			p.CookUps = &c
		}
	}
}

// Text says it before the pot overflows.
func (c CookUps) Text(units measure.System) string {
	all, holds := measure.Litres(c.Litres).Rough(units), measure.Litres(c.Holds).Rough(units)
	how := "three quarters full"
	if c.Foams {
		how = "half full, since it foams,"
	}
	if c.Times == 1 {
		return fmt.Sprintf("About %s to cook: %s takes it in one go, no more than %s.", all, c.Pot, how)
	}
	return fmt.Sprintf("About %s to cook: %s holds %s %s, so cook it in %d goes.", all, c.Pot, holds, how, c.Times)
}
