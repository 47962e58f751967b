// Package jar knows the sizes of canning jars: what they hold, their outer
// measures, and as which tested size each counts.
//
//	q, ok := jar.Find("quart-wide")
//	q.Capacity         // 946.353 ml to the brim
//	q.TestedAs         // jar.Quart
//
// Outer measures are typical; makers differ by a few millimetres and cooks
// measure their own.
package jar

import "mellisca/core/measure"

// ID is the exact lower-case name of a jar, such as "pint-wide".
type ID string

// Size is one of the four sizes that times are tested in, smallest first. The
// zero value is no size.
type Size uint8

// The tested sizes.
const (
	HalfPint Size = iota + 1
	Pint
	Quart
	HalfGallon
)

// ID is the id of the plain jar of that size.
func (s Size) ID() ID {
	return [...]ID{"", "half-pint", "pint", "quart", "half-gallon"}[s]
}

// Mouth is the width of a jar's opening, which its lids must fit.
type Mouth string

// The two mouths.
const (
	Regular Mouth = "regular"
	Wide    Mouth = "wide"
)

// Jar is one kind of jar.
type Jar struct {
	ID       ID
	One      string // "quart jar"
	Many     string // "quarts"
	Capacity measure.Volume
	Diameter measure.Length // outside
	Height   measure.Length // outside, with lid
	Outside  measure.Volume // what it displaces
	Glass    measure.Mass
	Mouth    Mouth
	TestedAs Size
	System   measure.System // whose kitchens have it
}

const ml, cm, cl, g = measure.Millilitre, measure.Centimetre, 10 * measure.Millilitre, measure.Gram

// all is in the order of a jar cupboard: US sizes, then metric ones.
var all = [...]Jar{
	{"4-oz", "4-ounce jar", "4-ounce jars", 118_294, 68 * cm / 10, 60 * cm / 10, 18 * cl, 130 * g, Regular, HalfPint, measure.US},
	{"half-pint", "half-pint", "half-pints", 236_588, 73 * cm / 10, 95 * cm / 10, 33 * cl, 190 * g, Regular, HalfPint, measure.US},
	{"12-oz", "12-ounce jar", "12-ounce jars", 354_882, 73 * cm / 10, 133 * cm / 10, 48 * cl, 250 * g, Regular, Pint, measure.US},
	{"pint", "pint", "pints", 473_176, 81 * cm / 10, 129 * cm / 10, 62 * cl, 300 * g, Regular, Pint, measure.US},
	{"pint-wide", "wide-mouth pint", "wide-mouth pints", 473_176, 86 * cm / 10, 118 * cm / 10, 62 * cl, 300 * g, Wide, Pint, measure.US},
	{"24-oz", "24-ounce jar", "24-ounce jars", 709_765, 86 * cm / 10, 174 * cm / 10, 90 * cl, 400 * g, Wide, Quart, measure.US},
	{"quart", "quart", "quarts", 946_353, 95 * cm / 10, 175 * cm / 10, 118 * cl, 480 * g, Regular, Quart, measure.US},
	{"quart-wide", "wide-mouth quart", "wide-mouth quarts", 946_353, 98 * cm / 10, 171 * cm / 10, 118 * cl, 480 * g, Wide, Quart, measure.US},
	{"half-gallon", "half-gallon jar", "half-gallon jars", 1_892_706, 118 * cm / 10, 234 * cm / 10, 229 * cl, 850 * g, Wide, HalfGallon, measure.US},
	{"250-ml", "250 ml jar", "250 ml jars", 250 * ml, 73 * cm / 10, 95 * cm / 10, 34 * cl, 190 * g, Regular, HalfPint, measure.Metric},
	{"500-ml", "500 ml jar", "500 ml jars", 500 * ml, 81 * cm / 10, 129 * cm / 10, 65 * cl, 300 * g, Regular, Pint, measure.Metric},
	{"750-ml", "750 ml jar", "750 ml jars", 750 * ml, 86 * cm / 10, 174 * cm / 10, 95 * cl, 420 * g, Wide, Quart, measure.Metric},
	{"1-l", "1 litre jar", "1 litre jars", 1000 * ml, 98 * cm / 10, 175 * cm / 10, 123 * cl, 480 * g, Regular, Quart, measure.Metric},
	{"1500-ml", "1.5 litre jar", "1.5 litre jars", 1500 * ml, 114 * cm / 10, 200 * cm / 10, 185 * cl, 750 * g, Wide, HalfGallon, measure.Metric},
}

// All lists every jar known. The caller owns the slice.
func All() []Jar { return append([]Jar(nil), all[:]...) }

// IDs lists the id of every jar known, in the order of All.
func IDs() []ID {
	ids := make([]ID, len(all))
	for i := range all {
		ids[i] = all[i].ID
	}
	return ids
}

// Find looks a jar up by its exact id.
func Find(id ID) (Jar, bool) {
	for i := range all {
		if all[i].ID == id {
			return all[i], true
		}
	}
	return Jar{}, false
}
