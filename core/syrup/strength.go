package syrup

import "math"

// Strength is the exact id of a named strength, such as "medium".
type Strength string

// Named is one named strength with its published cup measures, which come out
// 1 to 4 °Brix under the name.
type Named struct {
	Strength Strength
	Name     string // in a sentence: "very light syrup"
	Brix     float64
	// Cups for a load of 9 pints and of 7 quarts.
	WaterPints, SugarPints, WaterQuarts, SugarQuarts float64
	Packed                                           string // what is commonly packed in it
}

// named is the published table, weakest first.
// Source: Complete Guide to Home Canning, Guide 2 (2015): syrups.
var named = [...]Named{
	//                                       9 pints      7 quarts
	// strength                        °Bx   water sugar  water sugar
	{"very-light", "very light syrup", 10, 6.50, 0.75, 10.50, 1.25, "close to the natural sugar of most fruit; fewest calories"},
	{"light", "light syrup", 20, 5.75, 1.50, 9.00, 2.25, "very sweet fruit"},
	{"medium", "medium syrup", 30, 5.25, 2.25, 8.25, 3.75, "sweet apples, sweet cherries, berries, grapes"},
	{"heavy", "heavy syrup", 40, 5.00, 3.25, 7.75, 5.25, "tart apples, apricots, sour cherries, gooseberries, nectarines, peaches, pears, plums"},
	{"very-heavy", "very heavy syrup", 50, 4.25, 4.25, 6.50, 6.75, "very sour fruit"},
}

// Strengths lists the named strengths, weakest first.
func Strengths() []Named { return append([]Named(nil), named[:]...) }

// FindStrength looks a named strength up by its exact id.
func FindStrength(s Strength) (Named, bool) {
	for _, n := range named {
		if n.Strength == s {
			return n, true
		}
	}
	return Named{}, false
}

// Nearest is the named strength at most 5 °Brix away, the lower of two as near.
func Nearest(brix float64) (Named, bool) {
	var best Named
	off := math.Inf(1)
	for _, n := range named {
		if d := math.Abs(n.Brix - brix); d < off {
			best, off = n, d
		}
	}
	return best, off <= 5
}
