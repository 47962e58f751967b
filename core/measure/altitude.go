package measure

import (
	"fmt"
	"math"
	"math/big"
)

// Altitude is the height of a kitchen above sea level, in whole micrometres.
// Its zero value is sea level; an altitude that is not known is kept as a
// missing value by its user, never as zero.
type Altitude int64

// The altitudes that are understood: from the lowest shore to the highest village.
const (
	LowestFeet  = -1_400
	HighestFeet = 15_000
)

var altitudeDimension = dimension{
	what:    "an altitude",
	accepts: "a number with ft or m, from -1,400 to 15,000 ft, such as 3,480 ft or 1 200 m",
	units: join(
		unitWords(unit{1_000_000, 1}, "m", "metre", "metres", "meter", "meters"),
		unitWords(unit{int64(Foot), 1}, "ft", "foot", "feet", "'"),
	),
	negative: true,
	max:      1_000_000 * int64(Metre),
}

// ParseAltitude reads "3,480 ft", "1 200 m", "-30 m". A number without its unit
// is refused: taken for the wrong one it would shorten a time.
func ParseAltitude(s string) (Altitude, error) {
	v, err := altitudeDimension.parse(s)
	if err != nil {
		return 0, err
	}
	a := Altitude(v)
	if err := a.check(); err != "" {
		return 0, &ParseError{Input: s, What: altitudeDimension.what, Problem: err, Accepts: altitudeDimension.accepts}
	}
	return a, nil
}

func (a Altitude) check() string {
	if ft := a.Feet(); ft < LowestFeet || ft > HighestFeet {
		return fmt.Sprintf("it is %s ft", grouped(fmt.Sprint(ft)))
	}
	return ""
}

// AltitudeFromFeet takes an exact number of feet. It errs outside -1,400 to 15,000 ft.
func AltitudeFromFeet(ft *big.Rat) (Altitude, error) { return altitudeFrom(ft, int64(Foot)) }

// AltitudeFromMetres takes an exact number of metres. It errs outside -1,400 to 15,000 ft.
func AltitudeFromMetres(m *big.Rat) (Altitude, error) { return altitudeFrom(m, int64(Metre)) }

func altitudeFrom(n *big.Rat, size int64) (Altitude, error) {
	v, ok := round(new(big.Rat).Mul(n, big.NewRat(size, 1)))
	a := Altitude(v)
	if !ok || v > altitudeDimension.max || v < -altitudeDimension.max {
		return 0, fmt.Errorf("it must lie from -1,400 to 15,000 ft")
	}
	if problem := a.check(); problem != "" {
		return 0, fmt.Errorf("%s; it must lie from -1,400 to 15,000 ft (-426.72 to 4,572 m)", problem)
	}
	return a, nil
}

// Feet is a in whole feet for the altitude bands: rounded to 0.001 ft, then up,
// so that 304.8 m is 1,000 ft and 305 m is 1,001 ft.
func (a Altitude) Feet() int {
	milli := math.Round(float64(a) * 1000 / float64(Foot))
	return int(math.Ceil(milli / 1000))
}

// Metres is a in metres.
func (a Altitude) Metres() float64 { return float64(a) / float64(Metre) }

// String prints a without loss: in feet where they are whole, else in metres.
func (a Altitude) String() string {
	if int64(a)%int64(Foot) == 0 {
		return fmt.Sprintf("%d ft", int64(a)/int64(Foot))
	}
	return decimal(int64(a), 6) + " m"
}

// Exact prints a without loss, in the cook's units where they are whole there
// and otherwise in those that it was given in: 1,061 m stays "1,061 m" for a
// cook who reads feet. What is shown to be changed must not creep upwards each
// time that it is kept.
func (a Altitude) Exact(s System) string {
	for _, in := range [...]System{s, US, Metric} {
		if text := a.Text(in); altitudeIs(text, a) {
			return text
		}
	}
	return a.String()
}

func altitudeIs(text string, a Altitude) bool {
	back, err := ParseAltitude(text)
	return err == nil && back == a
}

// Text prints a as a cook reads it, to the whole foot or metre, rounded up:
// "3,480 ft", "1,061 m".
func (a Altitude) Text(s System) string {
	if s == Metric {
		return grouped(fmt.Sprint(int64(math.Ceil(math.Round(a.Metres()*1000)/1000)))) + " m"
	}
	return grouped(fmt.Sprint(a.Feet())) + " ft"
}
