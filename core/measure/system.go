package measure

import "fmt"

// System says in which units a cook reads amounts.
type System string

// The two systems of units.
const (
	US     System = "us"     // cups, pounds, inches, °F, feet
	Metric System = "metric" // millilitres, grams, centimetres, °C, metres
)

// ParseSystem reads "us" or "metric", exactly.
func ParseSystem(s string) (System, error) {
	switch System(s) {
	case US, Metric:
		return System(s), nil
	}
	return "", fmt.Errorf("%q is not a system of units; accepted: us, metric", s)
}
