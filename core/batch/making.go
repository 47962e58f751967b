package batch

import (
	"math"
	"slices"

	"mellisca/core/canner"
	"mellisca/core/day"
	"mellisca/core/guide"
)

// settleMinutes is how long juice stands in the cold before it is put up. Source: Complete
// Guide to Home Canning, Guide 2 (2015): 24 to 48 hours; the day after is allowed.
const settleMinutes = 24 * 60

// Settles says whether a product's juice stands overnight before it goes into jars.
func Settles(p guide.Product) bool { return p == "apple-juice" || p == "grape-juice" }

// Making is a plan as a day is planned with it: its loads with their times, and how long its
// steps take, by the cook's own record where there is one, else by minutes, the cook's table.
// It is for a plan with a time only.
func (p Plan) Making(k Kitchen, minutes day.Minutes) day.Making {
	m := day.Making{Name: p.Name, Raw: p.Query.Pack == guide.Raw, Liquid: p.Pour != nil, Minutes: day.Minutes{}}
	for id, n := range minutes {
		m.Minutes[id] = n
	}
	switch p.Query.Product {
	case "peaches", "mixed-fruit", "peach-pie-filling":
		m.Dip = true
	case "apple-butter":
		m.Slow = true
	case "apple-juice", "grape-juice", "berry-syrup", "jelly":
		if m.Extract = day.Press; k.School("juice") == "steam" {
			m.Extract = day.Juicer
		}
	}
	if Settles(p.Query.Product) {
		m.Settle = settleMinutes
	}
	if p.Preparing != nil && p.Preparing.Batches > 0 {
		m.Prepare = up(p.Preparing.Likely)
	}
	rest := 5
	if k.School("rest") == "10" {
		rest = 10
	}
	toBoil := 0
	if p.Water != nil && p.Water.Heating != nil && !p.Water.Heating.Never {
		toBoil, m.Cold = up(p.Water.Heating.ToBoil), up(p.Water.Heating.ToFilling)
	}
	most := 0
	for _, l := range p.Loads {
		m.Portions = append(m.Portions, day.Portion{Jars: l.Count(), Time: l.Minutes, Rest: rest, ToBoil: toBoil})
		most = max(most, l.Count())
	}
	seen := k.Seen[Way{string(p.Query.Product), p.Query.Form, p.Query.Pack}]
	if n, ok := middle(seen.Fill); ok {
		m.Minutes[day.JarMinutes] = max(1, up(n))
	}
	if n, ok := middle(seen.Cook); ok {
		m.Minutes[day.CookMinutes] = max(1, up(n*float64(most)))
	}
	return m
}

// up is a whole number of minutes, a part of one counted as one.
func up(minutes float64) int { return int(math.Ceil(minutes - 1e-9)) }

// middle is the median of what was seen; of an even number the upper one of the two, since
// what takes longer than planned is worse than what does not.
func middle(seen []float64) (float64, bool) {
	if len(seen) == 0 {
		return 0, false
	}
	seen = slices.Clone(seen)
	slices.Sort(seen)
	return seen[len(seen)/2], true
}

// OwnBurner says whether a canner heats itself and takes no burner.
func (c Canner) OwnBurner() bool { return c.Pot.Kind == canner.Electric }

// SameLoads says whether two plans have as many jars in each load, for the same times: then
// the loads of one can be run in the canner of the other.
func (p Plan) SameLoads(o Plan) bool {
	return p.Status == o.Status && p.PotNote == "" && o.PotNote == "" && p.Query.Method == o.Query.Method &&
		slices.EqualFunc(p.Loads, o.Loads, func(a, b Load) bool { return a.Count() == b.Count() && a.Minutes == b.Minutes })
}
