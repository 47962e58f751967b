package fruit

import (
	"fmt"
	"math/rand/v2"
	"slices"
	"testing"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// loadsOf is a stand-in for a canner: loads of 7 quarts, 9 pints or 12 half-pints,
// each kind by itself.
func loadsOf(t testing.TB, shelves []Shelf, minutes map[jar.ID]int) func([]int) func([]int) (int, bool) {
	caps := map[jar.ID]int{"quart": 7, "pint": 9, "half-pint": 12, "24-oz": 8}
	return func(used []int) func([]int) (int, bool) {
		return func(counts []int) (int, bool) {
			sum := 0
			for k, i := range used {
				id := shelves[i].Jar.ID
				if caps[id] == 0 {
					t.Fatalf("asked for %s", id)
				}
				sum += (counts[k] + caps[id] - 1) / caps[id] * minutes[id]
			}
			return sum, true
		}
	}
}

func shelvesOf(t testing.TB, stock map[jar.ID]int) (all []Shelf) {
	for _, id := range []jar.ID{"half-pint", "pint", "24-oz", "quart"} {
		if n, ok := stock[id]; ok {
			all = append(all, Shelf{find(t, id), n})
		}
	}
	return all
}

var someMinutes = map[jar.ID]int{"half-pint": 30, "pint": 30, "24-oz": 35, "quart": 35}

func TestAllocate(t *testing.T) {
	quarts := func(q float64) measure.Volume { return measure.Volume(q * float64(measure.Quart)) }
	for _, c := range []struct {
		what  string
		yield measure.Volume
		stock map[jar.ID]int
		sizes int
		want  string
		left  string
	}{
		{"one load of quarts", quarts(7.1), map[jar.ID]int{"quart": 20, "pint": 20}, 2, "[0 7]", "100 ml"},
		{"two loads of pints are shorter than quarts and a pint", quarts(7.6), map[jar.ID]int{"quart": 20, "pint": 20}, 2, "[15 0]", "100 ml"},
		{"one size alone", quarts(7.6), map[jar.ID]int{"quart": 20, "pint": 20}, 1, "[15 0]", "100 ml"},
		{"few pints at hand", quarts(7.6), map[jar.ID]int{"quart": 20, "pint": 3}, 2, "[1 7]", "100 ml"},
		{"not jars enough", quarts(7), map[jar.ID]int{"quart": 2, "pint": 3}, 2, "[3 2]", "3.31 l"},
		{"less than a jar", quarts(0.3), map[jar.ID]int{"quart": 5, "pint": 5}, 2, "[0 0]", "284 ml"},
		{"no jars", quarts(3), map[jar.ID]int{}, 2, "[]", "2.84 l"},
	} {
		shelves := shelvesOf(t, c.stock)
		a := Allocate(c.yield, shelves, c.sizes, loadsOf(t, shelves, someMinutes))
		left := a.Left.Text(measure.Metric)
		if got := fmt.Sprint(a.Counts); got != c.want || c.left != "100 ml" && left != c.left || c.left == "100 ml" && a.Left > measure.Pint {
			t.Errorf("%s: %s, %s left; want %s, %s", c.what, got, left, c.want, c.left)
		}
	}
}

// TestAllocateIsBest holds it against every way there is, for random stocks.
func TestAllocateIsBest(t *testing.T) {
	chance := rand.New(rand.NewPCG(3, 5))
	for round := range 2000 {
		stock := map[jar.ID]int{}
		for _, id := range []jar.ID{"half-pint", "pint", "24-oz", "quart"} {
			if chance.IntN(4) > 0 {
				stock[id] = chance.IntN(9)
			}
		}
		shelves := shelvesOf(t, stock)
		yield := measure.Volume(chance.IntN(9_000_000))
		sizes := 1 + chance.IntN(3)
		minutes := loadsOf(t, shelves, someMinutes)
		got := Allocate(yield, shelves, sizes, minutes)
		smallest := smallestAt(shelves)
		if smallest == 0 {
			continue
		}
		type rank struct {
			step          int64
			minutes, jars int
		}
		of := func(a Allocation) rank { return rank{int64(a.Left / smallest), a.Minutes, a.Jars()} }
		less := func(a, b rank) bool {
			return a.step < b.step || a.step == b.step && (a.minutes < b.minutes || a.minutes == b.minutes && a.jars < b.jars)
		}
		best := rank{1 << 60, 0, 0}
		var walk func(i int, counts []int, left measure.Volume)
		walk = func(i int, counts []int, left measure.Volume) {
			if i == len(shelves) {
				var used []int
				for k, c := range counts {
					if c > 0 {
						used = append(used, k)
					}
				}
				if len(used) > sizes {
					return
				}
				var some []int
				for _, k := range used {
					some = append(some, counts[k])
				}
				m, _ := minutes(used)(some)
				if r := of(Allocation{slices.Clone(counts), left, m}); less(r, best) {
					best = r
				}
				return
			}
			for c := 0; c <= shelves[i].Stock && measure.Volume(c)*shelves[i].Jar.Capacity <= left; c++ {
				walk(i+1, append(slices.Clone(counts), c), left-measure.Volume(c)*shelves[i].Jar.Capacity)
			}
		}
		walk(0, nil, yield)
		if r := of(got); r != best {
			t.Fatalf("round %d: %v of %v in %d sizes: %+v is %+v, the best %+v", round, yield, stock, sizes, got, r, best)
		}
	}
}
