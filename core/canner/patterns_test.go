package canner

import (
	"fmt"
	"slices"
	"testing"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// TestPatternsAreTrue places every mix that is said to stand, and finds that one
// more of a kind alone does not.
func TestPatternsAreTrue(t *testing.T) {
	kinds := []jar.Jar{find(t, "quart"), find(t, "pint"), find(t, "half-pint")}
	for n := 1; n <= 3; n++ {
		p := NewPatterns(Default, kinds[:n])
		limit := []int{8, 10, 13}[:n]
		loads := p.all(limit)
		if len(loads) < 7 {
			t.Fatalf("%d kinds: %d loads", n, len(loads))
		}
		for i, l := range loads {
			if i%7 != 0 {
				continue
			}
			var jars []jar.Jar
			for k, c := range l {
				jars = append(jars, several(kinds[k], c)...)
			}
			in, ok := Default.Holds(jars)
			if !ok {
				t.Errorf("%v is said to stand", l)
			}
			standing(t, fmt.Sprint(l), Default, in)
		}
		for k := range n {
			alone := make([]int, n)
			alone[k] = Default.Capacity(kinds[k])
			if !p.Holds(alone) {
				t.Errorf("%v does not stand", alone)
			}
			if alone[k]++; p.Holds(alone) {
				t.Errorf("%v stands", alone)
			}
		}
	}
	if p := NewPatterns(Default, nil); p.Holds(nil) {
		t.Error("nothing is a load")
	}
}

// exhaustive is the cheapest split by trying every one, for small numbers.
func exhaustive(b *Table, at []int, memo map[string]cost) cost {
	if kinds(at) == 0 {
		return cost{}
	}
	key := fmt.Sprint(at)
	if c, ok := memo[key]; ok {
		return c
	}
	best := cost{loads: 1 << 20}
	for _, l := range b.t.all(at) {
		rest := slices.Clone(at)
		for k := range rest {
			rest[k] -= l[k]
		}
		c := exhaustive(b, rest, memo)
		c.loads++
		c.minutes += b.longest(l)
		if kinds(l) > 1 {
			c.mixed++
		}
		if best.loads == 1<<20 || c.less(best, b.minutesFirst) {
			best = c
		}
	}
	memo[key] = best
	return best
}

func TestSplitIsExact(t *testing.T) {
	kinds2 := []jar.Jar{find(t, "quart"), find(t, "pint")}
	p := NewPatterns(Default, kinds2)
	for _, minutesFirst := range []bool{false, true} {
		b := p.Table([]int{16, 20}, []int{35, 30}, minutesFirst)
		memo := map[string]cost{}
		for q := range 17 {
			for n := range 21 {
				counts := []int{q, n}
				s, ok := b.Split(counts)
				if !ok {
					t.Fatalf("%v does not split", counts)
				}
				sum := []int{0, 0}
				minutes := 0
				for _, l := range s.Loads {
					if !p.Holds(l) || kinds(l) == 0 {
						t.Errorf("%v: a load of %v", counts, l)
					}
					minutes += b.longest(l)
					sum[0], sum[1] = sum[0]+l[0], sum[1]+l[1]
				}
				if want := exhaustive(b, counts, memo); !slices.Equal(sum, counts) || s.Minutes != minutes || want.loads != len(s.Loads) || want.minutes != minutes {
					t.Errorf("%v: %v in %d min; the best is %+v", counts, s.Loads, minutes, want)
				}
			}
		}
	}
}

func TestSplitIsEven(t *testing.T) {
	p := NewPatterns(Default, []jar.Jar{find(t, "quart"), find(t, "pint")})
	b := p.Table([]int{20, 20}, []int{35, 30}, false)
	for _, c := range []struct {
		counts []int
		want   string
	}{
		{[]int{10, 0}, "[[5 0] [5 0]]"}, {[]int{15, 0}, "[[5 0] [5 0] [5 0]]"}, {[]int{7, 9}, "[[7 0] [0 9]]"}, {[]int{8, 9}, ""}, {[]int{7, 1}, "[[7 0] [0 1]]"},
		{[]int{6, 1}, "[[6 1]]"}, {[]int{0, 0}, "[]"},
	} {
		s, ok := b.Split(c.counts)
		if got := fmt.Sprint(s.Loads); !ok || c.want != "" && got != c.want && !(c.counts[1] == 1 && len(s.Loads) <= 2) {
			t.Errorf("%v: %s, want %s", c.counts, got, c.want)
		}
	}
	tall := NewPatterns(Pot{Diameter: measure.Centimetres(8)}, []jar.Jar{find(t, "quart")})
	if _, ok := tall.Table([]int{3}, []int{35}, false).Split([]int{2}); ok {
		t.Error("quarts in a mug")
	}
}

func BenchmarkPatterns(b *testing.B) {
	kinds := []jar.Jar{find(b, "quart"), find(b, "pint"), find(b, "half-pint")}
	for range b.N {
		NewPatterns(Default, kinds)
	}
}

func BenchmarkSplit(b *testing.B) {
	p := NewPatterns(Default, []jar.Jar{find(b, "quart"), find(b, "pint")})
	for range b.N {
		p.Table([]int{40, 40}, []int{35, 30}, true)
	}
}
