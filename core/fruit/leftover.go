package fruit

import (
	"slices"

	"mellisca/core/measure"
)

// KeepsDays is how long what is left over keeps in the refrigerator before more is
// made of it: our own guess.
const KeepsDays = 2

// LeftOver is what is over once a product was made, and what can still be made of it.
type LeftOver struct {
	What     string   // "pulp", "cores and peels"
	Products []string // ids
}

// LeftOverFrom is what is over from a product made of a fruit; ok is false where
// nothing is worth keeping. Stones are never anything to make more of.
func LeftOverFrom(k Kind, product string) (l LeftOver, ok bool) {
	switch product {
	case "apple-juice", "grape-juice", "jelly", "berry-syrup":
		l = LeftOver{"pulp", []string{"applesauce", "apple-butter", "fruit-puree", "jam"}}
	case "apples-sliced", "apple-pie-filling", "spiced-apple-rings":
		if k.ID == "apple" {
			return LeftOver{"cores and peels", []string{"jelly"}}, true
		}
		return LeftOver{}, false
	default:
		return LeftOver{}, false
	}
	l.Products = slices.DeleteFunc(l.Products, func(p string) bool { return p == product || !slices.Contains(k.Soft, p) })
	return l, len(l.Products) > 0
}

// LeftOf is how much of what is left over from a use has not been used: no more than
// the use took.
func LeftOf(uses []Use, of string) (left measure.Mass) {
	for _, u := range uses {
		switch {
		case u.ID == of && u.Of == "":
			left += u.Mass
		case u.Of == of:
			left -= u.Mass
		}
	}
	return max(0, left)
}
