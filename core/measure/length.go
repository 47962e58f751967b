package measure

import "math"

// Length is a distance in whole micrometres.
type Length int64

// Sizes of the units of length.
const (
	Micrometre Length = 1
	Millimetre        = 1000 * Micrometre
	Centimetre        = 10 * Millimetre
	Metre             = 1000 * Millimetre
	Inch              = 25_400 * Micrometre
	Foot              = 304_800 * Micrometre
)

var lengthDimension = dimension{
	what:    "a length",
	accepts: "a number with in, cm or mm, such as 1/2 in, 31.5 cm",
	units: join(
		unitWords(unit{1, 1}, "µm"),
		unitWords(unit{int64(Millimetre), 1}, "mm"),
		unitWords(unit{int64(Centimetre), 1}, "cm", "centimetre", "centimetres", "centimeter", "centimeters"),
		unitWords(unit{int64(Metre), 1}, "m", "metre", "metres", "meter", "meters"),
		unitWords(unit{int64(Inch), 1}, "in", "inch", "inches", `"`),
		unitWords(unit{int64(Foot), 1}, "ft", "foot", "feet", "'"),
	),
	max: 1_000_000 * int64(Metre),
}

// ParseLength reads a length such as "1/2 in", "31.5 cm". It refuses negative
// lengths, numbers without a unit, and over a thousand kilometres.
func ParseLength(s string) (Length, error) {
	v, err := lengthDimension.parse(s)
	return Length(v), err
}

// Inches is a Length of in inches, to the nearest micrometre.
func Inches(in float64) Length { return Length(math.Round(in * float64(Inch))) }

// Centimetres is a Length of cm centimetres, to the nearest micrometre.
func Centimetres(cm float64) Length { return Length(math.Round(cm * float64(Centimetre))) }

// Inches is l in inches.
func (l Length) Inches() float64 { return float64(l) / float64(Inch) }

// Centimetres is l in centimetres.
func (l Length) Centimetres() float64 { return float64(l) / float64(Centimetre) }

// String prints l in millimetres without loss: "12.7 mm".
func (l Length) String() string { return thousandths(int64(l)) + " mm" }

// Exact prints l without loss in the cook's units where they are whole there to the
// eighth of an inch or the millimetre, and in millimetres otherwise, so that what is
// shown to be changed does not creep each time that it is kept.
func (l Length) Exact(s System) string {
	for _, in := range [...]System{s, Metric, US} {
		text := l.Text(in)
		if back, err := ParseLength(text); err == nil && back == l {
			return text
		}
	}
	return l.String()
}

// Text prints l as a cook reads it: "1/2 in" to the eighth, "1.3 cm".
func (l Length) Text(s System) string {
	if s == Metric {
		return trim(l.Centimetres(), 1) + " cm"
	}
	return mixed(int64(math.Round(l.Inches()*8)), 8) + " in"
}
