package measure

import (
	"math"
	"strconv"
)

// Eighths of a teaspoon are the smallest kitchen measure; everything a set of
// cups and spoons can measure is a whole number of them.
const (
	eighthsPerTsp  = 8
	eighthsPerTbsp = 3 * eighthsPerTsp
	eighthsPerCup  = 16 * eighthsPerTbsp
)

type fraction struct {
	eighths int64
	text    string
}

var (
	cupFractions = [...]fraction{{0, ""}, {96, "1/4"}, {128, "1/3"}, {192, "1/2"}, {256, "2/3"}, {288, "3/4"}}
	tspFractions = [...]fraction{{0, ""}, {1, "1/8"}, {2, "1/4"}, {4, "1/2"}}
)

// measured is one way to measure an amount out.
type measured struct {
	cups, cupFraction, tbsp, tsp, tspFraction int64
	eighths                                   int64
	numbers                                   int
}

// KitchenCups prints an amount of c US cups (0 or more) in measures a cook
// owns: whole cups with at most one of 1/4 1/3 1/2 2/3 3/4, up to 3 tbsp, up to
// 2 tsp with at most one of 1/8 1/4 1/2. Of what comes within 1 % it takes the
// fewest printed numbers, then the nearest, then the larger measure:
// "9 1/4 cups", "1/4 cup + 1 tbsp". Under 1/8 tsp it is "a pinch", for 0 "none";
// where nothing comes within 1 %, the nearest with "about".
func KitchenCups(c float64) string {
	want := c * eighthsPerCup
	switch {
	case !(want > 0):
		return "none"
	case want < 1:
		return "a pinch"
	case want > 1e12:
		return trim(c, 0) + " cups"
	}
	best, nearest := pickMeasure(want)
	if best.numbers > 0 {
		return best.String()
	}
	return "about " + nearest.String()
}

func pickMeasure(want float64) (best, nearest measured) {
	const slack = 1e-9
	var bestOff, nearestOff float64
	nearestOff = math.Inf(1)
	from := int64(want) / eighthsPerCup
	for cups := from; cups <= from+1; cups++ {
		for cf := range int64(len(cupFractions)) {
			for tbsp := range int64(4) {
				base := cups*eighthsPerCup + cupFractions[cf].eighths + tbsp*eighthsPerTbsp
				// The teaspoons left to add come to 2 1/2 at most.
				reach := max(want*0.01, nearestOff) + 1
				if float64(base) > want+reach || float64(base+20) < want-reach {
					continue
				}
				for tsp := range int64(3) {
					for tf := range int64(len(tspFractions)) {
						m := measured{cups, cf, tbsp, tsp, tf, base + tsp*eighthsPerTsp + tspFractions[tf].eighths, 0}
						if m.eighths == 0 {
							continue
						}
						m.numbers = nonZero(cups, cf, tbsp, tsp, tf)
						off := math.Abs(float64(m.eighths) - want)
						if off <= want*0.01*(1+slack) && better(m, off, best, bestOff, true) {
							best, bestOff = m, off
						}
						if better(m, off, nearest, nearestOff, false) {
							nearest, nearestOff = m, off
						}
					}
				}
			}
		}
	}
	return best, nearest
}

// better says whether a, off by aOff, is to be taken over b.
func better(a measured, aOff float64, b measured, bOff float64, fewestFirst bool) bool {
	const same = 1e-9
	if b.numbers == 0 {
		return true
	}
	if fewestFirst && a.numbers != b.numbers {
		return a.numbers < b.numbers
	}
	if math.Abs(aOff-bOff) > same {
		return aOff < bOff
	}
	if a.numbers != b.numbers {
		return a.numbers < b.numbers
	}
	if ac, bc := a.cups*eighthsPerCup+cupFractions[a.cupFraction].eighths, b.cups*eighthsPerCup+cupFractions[b.cupFraction].eighths; ac != bc {
		return ac > bc
	}
	return a.tbsp > b.tbsp
}

func nonZero(parts ...int64) int {
	n := 0
	for _, p := range parts {
		if p != 0 {
			n++
		}
	}
	return n
}

// String prints m, its parts joined by " + ".
func (m measured) String() string {
	s := part(m.cups, cupFractions[m.cupFraction].text, "cup", "cups")
	for _, next := range []string{
		part(m.tbsp, "", "tbsp", "tbsp"),
		part(m.tsp, tspFractions[m.tspFraction].text, "tsp", "tsp"),
	} {
		switch {
		case next == "":
		case s == "":
			s = next
		default:
			s += " + " + next
		}
	}
	return s
}

func part(whole int64, fraction, one, many string) string {
	switch {
	case whole == 0 && fraction == "":
		return ""
	case whole == 0:
		return fraction + " " + one
	case fraction == "" && whole == 1:
		return "1 " + one
	case fraction == "":
		return strconv.FormatInt(whole, 10) + " " + many
	}
	return strconv.FormatInt(whole, 10) + " " + fraction + " " + many
}
