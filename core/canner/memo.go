package canner

import (
	"sync"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Memo remembers what was searched for, so that a kitchen's own pots are searched
// once. The zero value is ready and may be used concurrently; nil remembers nothing.
type Memo struct {
	mu       sync.Mutex
	capacity map[memoKey]int
	places   map[memoKey][]Spot
	patterns map[mixKey]Patterns
}

// mixKey is what the mixes of kinds of jars in a pot depend on.
type mixKey struct {
	across, length, width measure.Length
	kinds                 [mostKinds]jar.ID
}

// memoKey is what the answer depends on: the floor of the pot and the jar's width.
type memoKey struct {
	across, length, width, jar measure.Length
	n                          int
}

// mostRemembered bounds a Memo; beyond it starts anew.
const mostRemembered = 5000

func keyOf(p Pot, j jar.Jar, n int) memoKey {
	return memoKey{p.Diameter, p.Length, p.Width, j.Diameter, n}
}

// Capacity is p.Capacity(j).
func (m *Memo) Capacity(p Pot, j jar.Jar) int {
	if m == nil {
		return p.Capacity(j)
	}
	return remember(m, &m.capacity, keyOf(p, j, 0), func() int { return p.Capacity(j) })
}

// Arrange is p.Arrange(j, n), for n up to its capacity.
func (m *Memo) Arrange(p Pot, j jar.Jar, n int) []Spot {
	arrange := func() []Spot {
		spots, _ := p.Arrange(j, n)
		return spots
	}
	if m == nil {
		return arrange()
	}
	return remember(m, &m.places, keyOf(p, j, n), arrange)
}

// Patterns is NewPatterns(p, kinds).
func (m *Memo) Patterns(p Pot, kinds []jar.Jar) Patterns {
	if m == nil {
		return NewPatterns(p, kinds)
	}
	k := mixKey{p.Diameter, p.Length, p.Width, [mostKinds]jar.ID{}}
	for i, j := range kinds[:min(len(kinds), mostKinds)] {
		k.kinds[i] = j.ID
	}
	return remember(m, &m.patterns, k, func() Patterns { return NewPatterns(p, kinds) })
}

func remember[K comparable, T any](m *Memo, in *map[K]T, k K, find func() T) T {
	m.mu.Lock()
	v, ok := (*in)[k]
	m.mu.Unlock()
	if ok {
		return v
	}
	v = find()
	m.mu.Lock()
	defer m.mu.Unlock()
	if *in == nil || len(*in) >= mostRemembered {
		*in = map[K]T{}
	}
	(*in)[k] = v
	return v
}
