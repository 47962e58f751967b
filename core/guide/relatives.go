package guide

import "slices"

type relative struct {
	product Product
	kind    Kind
}

// packings are the tested products that a fruit is the whole of, nearest to
// fruit in jars first. Sauces, syrups and spreads that take many fruits as
// their kind are added from their kinds.
var packings = map[Kind][]Product{
	"peach": {"peaches", "peach-pie-filling"}, "nectarine": {"nectarines"}, "apricot": {"apricots"},
	"pear": {"pears"}, "asian-pear": {"asian-pears"}, "pineapple": {"pineapple"}, "plum": {"plums"},
	"cherry": {"cherries", "cherry-pie-filling"}, "grape": {"grapes", "grape-juice"}, "fig": {"figs"},
	"rhubarb": {"rhubarb"}, "mango": {"mango-sauce"}, "blueberry": {"berries", "blueberry-pie-filling"},
	"apple": {"apples-sliced", "apple-pie-filling", "applesauce", "apple-butter", "apple-juice", "spiced-apple-rings"},
}

// manyFruits are the products whose kind is the fruit, nearest first.
var manyFruits = []Product{"fruit-puree", "jam", "jelly", "berry-syrup"}

// relatives lists the other products that the fruit of a can become. White
// flesh and other refused kinds have none: the fruit stays what it is.
func relatives(a *asked) []relative {
	fruit := a.info.fruit
	switch {
	case slices.Contains(manyFruits, a.Product) || a.Product == "berries":
		fruit = a.Kind
	case a.Kind == "white-flesh" || a.Kind == "ripe":
		return nil
	}
	var rs []relative
	add := func(p Product, k Kind) {
		if p != a.Product {
			rs = append(rs, relative{p, k})
		}
	}
	if a.info.refused == JuiceNoRow {
		for _, p := range []Product{"berry-syrup", "jelly"} {
			if k, ok := fruitKind(p, fruit); ok {
				add(p, k)
			}
		}
		return rs
	}
	for _, p := range packings[fruit] {
		switch {
		case a.Blend != 0 && productByID[p].Group != Sauces:
			// Who mixes fruits wants a sauce.
		case p == "berries":
			add(p, fruit)
		case p == "mango-sauce":
			add(p, "just-ripe") // said aloud: ripe fruit is refused
		case slices.Contains(productByID[p].Kinds, a.Kind) && a.Kind != fruit:
			add(p, a.Kind) // sweet cherries stay sweet
		default:
			add(p, "")
		}
	}
	if slices.Contains(berryKinds, fruit) && fruit != "blueberry" {
		add("berries", fruit)
	}
	for _, p := range manyFruits {
		if k, ok := fruitKind(p, fruit); ok && a.Blend == 0 {
			add(p, k)
		}
	}
	if mango, _ := blendOf("mango"); a.Blend&mango != 0 {
		add("mango-sauce", "just-ripe")
	}
	return rs
}

// fruitKind is the kind under which a product takes a fruit.
func fruitKind(p Product, fruit Kind) (Kind, bool) {
	if fruit == anyBerry {
		return "", true
	}
	return fruit, fruit != "" && slices.Contains(productByID[p].Kinds, fruit)
}
