package canner

import (
	"slices"

	"mellisca/core/jar"
)

// Patterns knows which mixes of a few kinds of jars stand in one load of a pot, and
// so how a number of each splits into loads. It is worked out once for a pot and
// its kinds of jars; its methods are pure.
type Patterns struct {
	jars []jar.Jar
	caps []int // of each kind alone
	// last is how many of the last kind go with a number of each of the others.
	last map[[mostKinds]int]int
}

// mostKinds is how many kinds of jars are mixed in a batch.
const mostKinds = 3

// lookEffort is how long is searched for each mix: much less than Usual, since there
// are many, and a mix that is just found wanting costs a load at most.
const lookEffort = Usual / 20

// NewPatterns works out the mixes of one to three kinds of jars in a pot.
func NewPatterns(p Pot, kinds []jar.Jar) Patterns {
	kinds = kinds[:min(len(kinds), mostKinds)]
	t := Patterns{jars: slices.Clone(kinds), last: map[[mostKinds]int]int{}}
	for _, j := range kinds {
		t.caps = append(t.caps, p.Capacity(j))
	}
	if len(kinds) == 0 {
		return t
	}
	n := len(kinds) - 1
	var walk func(at int, with [mostKinds]int, jars []jar.Jar)
	walk = func(at int, with [mostKinds]int, jars []jar.Jar) {
		if at == n {
			t.last[with] = t.mostOfLast(p, with, jars)
			return
		}
		for c := 0; c <= t.caps[at]; c++ {
			with[at] = c
			all := append(slices.Clone(jars), slices.Repeat([]jar.Jar{kinds[at]}, c)...)
			if _, ok := p.HoldsWithin(all, lookEffort); !ok {
				break
			}
			walk(at+1, with, all)
		}
	}
	walk(0, [mostKinds]int{}, nil)
	return t
}

// mostOfLast is the most of the last kind that go with these others. It is not more
// than with one fewer of them, which is known already.
func (t Patterns) mostOfLast(p Pot, with [mostKinds]int, jars []jar.Jar) int {
	n := len(t.jars) - 1
	most := t.caps[n]
	for k := range n {
		if with[k] > 0 {
			fewer := with
			fewer[k]--
			most = min(most, t.last[fewer])
		}
	}
	if len(jars) == 0 {
		return most
	}
	for c := most; c > 0; c-- {
		all := append(slices.Clone(jars), slices.Repeat([]jar.Jar{t.jars[n]}, c)...)
		if _, ok := p.HoldsWithin(all, lookEffort); ok {
			return c
		}
	}
	return 0
}

// Holds says whether a load takes so many of each kind.
func (t Patterns) Holds(counts []int) bool {
	if len(counts) == 0 || len(counts) != len(t.jars) {
		return false
	}
	var with [mostKinds]int
	n := len(counts) - 1
	copy(with[:], counts[:n])
	most, ok := t.last[with]
	return ok && counts[n] <= most
}

// cost is what a way of splitting costs, the heavier first.
type cost struct{ loads, mixed, minutes int }

func (c cost) less(d cost, minutesFirst bool) bool {
	if minutesFirst && c.minutes != d.minutes {
		return c.minutes < d.minutes
	}
	if c.loads != d.loads {
		return c.loads < d.loads
	}
	if c.mixed != d.mixed {
		return c.mixed < d.mixed
	}
	return c.minutes < d.minutes
}

// Split is counts of each kind over loads.
type Split struct {
	Loads   [][]int // of each load, how many of each kind
	Minutes int     // of all loads together
}

// Table is the cheapest way of splitting every number of each kind up to a limit.
type Table struct {
	t            Patterns
	minutes      []int
	limit        []int
	best         []cost
	from         [][]int // the load that was taken off last
	minutesFirst bool
}

// Table works out the ways to split up to limit of each kind, whose process takes
// the given minutes; a load that mixes kinds runs for the longest of them. By
// default the fewest loads count first, then the fewest that mix kinds, then
// minutes; with minutesFirst the minutes of all loads together count first.
func (t Patterns) Table(limit, minutes []int, minutesFirst bool) *Table {
	b := &Table{t: t, minutes: minutes, limit: limit, minutesFirst: minutesFirst}
	size := 1
	for _, l := range limit {
		size *= l + 1
	}
	b.best, b.from = make([]cost, size), make([][]int, size)
	loads := t.all(limit)
	at := make([]int, len(limit))
	for i := 1; i < size; i++ {
		b.counts(i, at)
		found := false
		for _, l := range loads {
			rest, ok := b.minus(at, l)
			if !ok || rest > 0 && b.from[rest] == nil {
				continue
			}
			c := b.best[rest]
			c.loads++
			c.minutes += b.longest(l)
			if kinds(l) > 1 {
				c.mixed++
			}
			if !found || c.less(b.best[i], minutesFirst) {
				b.best[i], b.from[i], found = c, l, true
			}
		}
	}
	return b
}

// all lists every load there is, of at most limit of each kind.
func (t Patterns) all(limit []int) [][]int {
	var loads [][]int
	counts := make([]int, len(limit))
	var walk func(at int)
	walk = func(at int) {
		if at == len(counts) {
			if kinds(counts) > 0 && t.Holds(counts) {
				loads = append(loads, slices.Clone(counts))
			}
			return
		}
		for c := 0; c <= min(limit[at], t.caps[at]); c++ {
			counts[at] = c
			walk(at + 1)
		}
		counts[at] = 0
	}
	walk(0)
	return loads
}

func kinds(counts []int) int {
	n := 0
	for _, c := range counts {
		if c > 0 {
			n++
		}
	}
	return n
}

func (b *Table) longest(load []int) int {
	most := 0
	for k, c := range load {
		if c > 0 {
			most = max(most, b.minutes[k])
		}
	}
	return most
}

func (b *Table) index(counts []int) int {
	i := 0
	for k, c := range counts {
		i = i*(b.limit[k]+1) + c
	}
	return i
}

func (b *Table) counts(i int, into []int) {
	for k := len(b.limit) - 1; k >= 0; k-- {
		into[k] = i % (b.limit[k] + 1)
		i /= b.limit[k] + 1
	}
}

func (b *Table) minus(counts, load []int) (rest int, ok bool) {
	for k, c := range counts {
		if load[k] > c {
			return 0, false
		}
		rest = rest*(b.limit[k]+1) + c - load[k]
	}
	return rest, true
}

// Minutes is how long all loads of so many of each kind run together; ok is false
// where a kind does not fit in the pot at all.
func (b *Table) Minutes(counts []int) (minutes int, ok bool) {
	if kinds(counts) == 0 {
		return 0, true
	}
	i := b.index(counts)
	return b.best[i].minutes, b.from[i] != nil
}

// Split gives the loads, those of one kind first and as even as they come.
func (b *Table) Split(counts []int) (s Split, ok bool) {
	if s.Minutes, ok = b.Minutes(counts); !ok {
		return Split{}, false
	}
	pure := make([]int, len(counts)) // jars of each kind in loads of that kind alone
	loads := make([]int, len(counts))
	var mixed [][]int
	for at := slices.Clone(counts); kinds(at) > 0; {
		l := b.from[b.index(at)]
		if kinds(l) > 1 {
			mixed = append(mixed, l)
		} else {
			for k, c := range l {
				if c > 0 {
					pure[k] += c
					loads[k]++
				}
			}
		}
		for k := range at {
			at[k] -= l[k]
		}
	}
	for k, n := range pure {
		for i := range loads[k] {
			l := make([]int, len(counts))
			l[k] = n / loads[k]
			if i < n%loads[k] {
				l[k]++
			}
			s.Loads = append(s.Loads, l)
		}
	}
	s.Loads = append(s.Loads, mixed...)
	return s, true
}
