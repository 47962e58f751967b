package measure

import "math"

// Temperature is in thousandths of a degree Celsius; its zero value is 0 °C.
type Temperature int64

// AbsoluteZero is the lowest Temperature that ParseTemperature accepts.
const AbsoluteZero Temperature = -273_150

var temperatureDimension = dimension{
	what:    "a temperature",
	accepts: "a number with °F or °C, such as 180 °F, 82 °C",
	units: join(
		unitWords(unit{1000, 1}, "c", "°c", "celsius"),
		unitWords(unit{1000, 1}, "f", "°f", "fahrenheit"),
	),
	negative: true,
	max:      10_000_000,
}

// ParseTemperature reads "180 °F", "82 C", "-5 °C"; never below absolute zero.
func ParseTemperature(s string) (Temperature, error) {
	fail := func(problem string) (Temperature, error) {
		return 0, &ParseError{Input: s, What: temperatureDimension.what, Problem: problem, Accepts: temperatureDimension.accepts}
	}
	v, err := temperatureDimension.parse(s)
	if err != nil {
		return 0, err
	}
	terms, _ := Terms(trimMinus(s))
	if len(terms) != 1 {
		return fail("it takes one number and one unit")
	}
	t := Temperature(v)
	if w := terms[0].Word; w == "f" || w == "°f" || w == "fahrenheit" {
		t = Fahrenheit(float64(v) / 1000)
	}
	switch {
	case t < AbsoluteZero:
		return fail("nothing is that cold")
	case t > 1000_000:
		return fail("it is too large, nothing in a kitchen is that hot")
	}
	return t, nil
}

// Celsius is a Temperature of c °C, to the nearest thousandth.
func Celsius(c float64) Temperature { return Temperature(math.Round(c * 1000)) }

// Fahrenheit is a Temperature of f °F, to the nearest thousandth of a degree Celsius.
func Fahrenheit(f float64) Temperature { return Celsius((f - 32) / 1.8) }

// Celsius is t in °C.
func (t Temperature) Celsius() float64 { return float64(t) / 1000 }

// Fahrenheit is t in °F.
func (t Temperature) Fahrenheit() float64 { return t.Celsius()*1.8 + 32 }

// String prints t without loss: "82.222 °C".
func (t Temperature) String() string { return thousandths(int64(t)) + " °C" }

// Text prints t as a cook reads it, to the whole degree: "180 °F", "82 °C".
func (t Temperature) Text(s System) string {
	if s == Metric {
		return trim(t.Celsius(), 0) + " °C"
	}
	return trim(t.Fahrenheit(), 0) + " °F"
}
