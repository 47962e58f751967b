package fruit

import "slices"

// Bargain compares a price with what the same fruit cost before, all for the same
// weight: how many per cent over (or, under 0, less than) the middle one of the
// others. ok is false where there are none, or this one or they cost nothing.
func Bargain(price float64, others []float64) (percent float64, ok bool) {
	others = slices.Clone(others)
	others = slices.DeleteFunc(others, func(p float64) bool { return p <= 0 })
	if len(others) == 0 || price <= 0 {
		return 0, false
	}
	slices.Sort(others)
	n := len(others)
	middle := (others[(n-1)/2] + others[n/2]) / 2
	return 100 * (price/middle - 1), true
}
