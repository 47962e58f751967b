package fruit

import (
	"slices"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Shelf is one size of jar that a yield may go into.
type Shelf struct {
	Jar   jar.Jar
	Stock int // jars at hand with lids for them
}

// Allocation is a yield put into jars.
type Allocation struct {
	Counts  []int // of each size, in the order of the shelves
	Left    measure.Volume
	Minutes int // of all loads together
}

// Jars is how many jars there are in all.
func (a Allocation) Jars() int {
	n := 0
	for _, c := range a.Counts {
		n += c
	}
	return n
}

// Allocate puts a yield into full jars of at most mostSizes sizes out of those at
// hand: the least left over first, counted in whole jars of the smallest size at
// hand; then the fewest minutes of all loads, as minutes tells them for numbers of
// the sizes used; then the fewest jars. No jar is filled by half: what is left over
// is for the refrigerator. It is exact: every way is looked at. minutes is called
// with the shelves that are used and may say that a way cannot be done.
func Allocate(yield measure.Volume, shelves []Shelf, mostSizes int, minutes func(used []int) func(counts []int) (int, bool)) Allocation {
	best := Allocation{Counts: make([]int, len(shelves)), Left: yield}
	smallest := smallestAt(shelves)
	if smallest == 0 {
		return best
	}
	bestStep := int64(yield / smallest)
	for _, used := range subsets(len(shelves), mostSizes) {
		if slices.ContainsFunc(used, func(i int) bool { return shelves[i].Stock == 0 }) {
			continue
		}
		var told func([]int) (int, bool)
		counts := make([]int, len(used))
		var walk func(at int, left measure.Volume)
		walk = func(at int, left measure.Volume) {
			s := shelves[used[at]]
			most := min(s.Stock, int(left/s.Jar.Capacity))
			if at < len(used)-1 {
				for c := most; c >= 1; c-- {
					counts[at] = c
					walk(at+1, left-measure.Volume(c)*s.Jar.Capacity)
				}
				return
			}
			// Of the last size all that may be: one fewer leaves at least a smallest jar more.
			if counts[at] = most; most == 0 {
				return
			}
			left -= measure.Volume(most) * s.Jar.Capacity
			step := int64(left / smallest)
			if step > bestStep {
				return
			}
			if told == nil {
				told = minutes(used)
			}
			m, ok := told(counts)
			if !ok {
				return
			}
			a := Allocation{Counts: make([]int, len(shelves)), Left: left, Minutes: m}
			for k, i := range used {
				a.Counts[i] = counts[k]
			}
			if step < bestStep || best.Jars() == 0 || a.before(best) {
				best, bestStep = a, step
			}
		}
		walk(0, yield)
	}
	return best
}

// before says whether a is to be taken over b, with as little left over.
func (a Allocation) before(b Allocation) bool {
	switch {
	case a.Minutes != b.Minutes:
		return a.Minutes < b.Minutes
	case a.Jars() != b.Jars():
		return a.Jars() < b.Jars()
	case a.Left != b.Left:
		return a.Left < b.Left
	}
	return slices.Compare(a.Counts, b.Counts) > 0 // the sizes that stand first
}

func smallestAt(shelves []Shelf) measure.Volume {
	var least measure.Volume
	for _, s := range shelves {
		if s.Stock > 0 && (least == 0 || s.Jar.Capacity < least) {
			least = s.Jar.Capacity
		}
	}
	return least
}

// subsets lists the ways to choose 1 to most of n, in order.
func subsets(n, most int) [][]int {
	var all [][]int
	var walk func(from int, chosen []int)
	walk = func(from int, chosen []int) {
		if len(chosen) > 0 {
			all = append(all, slices.Clone(chosen))
		}
		if len(chosen) == most {
			return
		}
		for i := from; i < n; i++ {
			walk(i+1, append(chosen, i))
		}
	}
	walk(0, nil)
	return all
}
