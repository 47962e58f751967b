package batch

import (
	"slices"
	"strings"

	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/measure"
)

// PartOf is one variety of a blend.
type PartOf struct {
	fruit.Share
	Mass    measure.Mass   // of the fruit as it comes; 0 where the recipe measures it
	Volume  measure.Volume // of prepared fruit; 0 where it is weighed
	Known   bool           // the cook has notes on it
	Texture string
}

// Shares are the varieties of a batch by their parts.
type Shares struct {
	Parts []PartOf
	Tart  float64 // of the parts that are known, by weight: 0 sweet to 10 tart
	Knows bool    // how all of them taste
}

// Blendable says whether varieties cook down together in a product, so that a blend
// of them means something.
func Blendable(p guide.Product) bool {
	info, ok := guide.FindProduct(p)
	return ok && (info.Group == guide.Sauces || info.Group == guide.Fillings || info.Group == guide.Juices)
}

// share parts the fruit of a batch by its varieties. It changes nothing about a time:
// varieties of one fruit are one product.
func (p *Plan) share(in read) {
	if len(in.shares) == 0 || !Blendable(p.Query.Product) {
		return
	}
	parts, tart := 0.0, 0.0
	for _, s := range in.shares {
		parts += s.Parts
	}
	s := Shares{Knows: true}
	volume := measure.Volume(0)
	if p.Recipe != nil {
		for _, i := range p.Recipe.Ingredients {
			if i.Role == FruitRole && i.Weight == 0 {
				volume += i.Amount * measure.Volume(p.Recipe.Pots)
			}
		}
	}
	mass := p.FruitMass()
	for _, share := range in.shares {
		of := PartOf{Share: share, Mass: measure.Mass(float64(mass) * share.Parts / parts)}
		if mass == 0 {
			of.Volume = measure.Volume(float64(volume) * share.Parts / parts)
		}
		i := slices.IndexFunc(in.kitchen.Known, func(v fruit.Variety) bool {
			return strings.EqualFold(v.Name, share.Name) && fruitMakes(v.Kind, string(p.Query.Product))
		})
		if i >= 0 {
			v := in.kitchen.Known[i]
			of.Known, of.Texture, of.Name = true, v.Texture, v.Name
			tart += float64(v.Tart) * share.Parts / parts
		} else {
			s.Knows = false
		}
		s.Parts = append(s.Parts, of)
	}
	if s.Knows {
		s.Tart = tart
	}
	p.Shares = &s
}

// fruitMakes says whether a product is made of a fruit.
func fruitMakes(kind, product string) bool {
	k, ok := fruit.FindKind(kind)
	return ok && (slices.Contains(k.Firm, product) || slices.Contains(k.Soft, product))
}
