package day

import "slices"

// rules are lists by rules of thumb: what has the longest way to go first, the shortest
// first, batch after batch, the longest in the canner first, and others.
func (s *search) rules() [][]int {
	tail, n := tails(*s.p), len(s.p.Tasks)
	work := make([]int, n) // of a task's batch
	for i, t := range s.p.Tasks {
		for j, o := range s.p.Tasks {
			if o.Batch == t.Batch {
				work[i] += s.p.Tasks[j].length(0)
			}
		}
	}
	canned := func(i int) int {
		most := 0
		for _, t := range s.p.Tasks {
			if t.Load != nil && t.Batch == s.p.Tasks[i].Batch {
				most = max(most, t.Load.whole())
			}
		}
		return most
	}
	var lists [][]int
	if held := s.heldUp(); held != nil {
		lists = append(lists, s.ordered(func(i int) int { return tail[i] - 100_000*held[i] }))
	}
	for _, by := range []func(i int) int{
		func(i int) int { return -tail[i] }, func(i int) int { return tail[i] }, func(i int) int { return s.p.Tasks[i].Batch * 1000 }, func(i int) int { return -s.p.Tasks[i].Batch * 1000 },
		func(i int) int { return -canned(i)*1000 - tail[i] }, func(i int) int { return canned(i)*1000 - tail[i] }, func(i int) int { return -work[i]*1000 - tail[i] }, func(i int) int { return work[i]*1000 - tail[i] },
		func(i int) int { return i }, func(i int) int { return -s.p.Tasks[i].length(0) }, func(i int) int { return s.p.Tasks[i].length(0) },
	} {
		lists = append(lists, s.ordered(by))
	}
	for _, list := range slices.Clone(lists) {
		lists = append(lists, s.tight(list))
	}
	for range 12 {
		noise := make([]int, n)
		for i := range noise {
			noise[i] = tail[i] + s.dice.below(60)
		}
		lists = append(lists, s.ordered(func(i int) int { return -noise[i] }))
	}
	return lists
}

// tight moves what waits hot or cut to just before what it waits for.
func (s *search) tight(list []int) []int {
	list = slices.Clone(list)
	for n := len(list) - 1; n >= 0; n-- {
		if t := s.p.Tasks[list[n]]; t.Hot || t.Cut {
			s.closer(list, n)
		}
	}
	return list
}

// closer moves the task at a place of a list to just before the first that comes after it.
func (s *search) closer(list []int, from int) {
	i, to := list[from], from
	for to+1 < len(list) && !slices.Contains(s.p.Tasks[list[to+1]].After, i) {
		to++
	}
	if to+1 == len(list) {
		return // nothing waits for it
	}
	copy(list[from:to], list[from+1:to+1])
	list[to] = i
}

// heldUp is 1 for the tasks that locked ones come after; nil where none is locked.
func (s *search) heldUp() (held []int) {
	for i := len(s.p.Tasks) - 1; i >= 0; i-- {
		t := s.p.Tasks[i]
		if held == nil && t.Locked {
			held = make([]int, len(s.p.Tasks))
		}
		if held != nil && (t.Locked || held[i] > 0) {
			for _, a := range t.After {
				held[a] = 1
			}
		}
	}
	return held
}

// ordered is a list by a value, the least first, in which nothing stands before what it
// comes after.
func (s *search) ordered(by func(i int) int) []int {
	n := len(s.p.Tasks)
	list, in := make([]int, 0, n), make([]bool, n)
	for len(list) < n {
		best := -1
		for i, t := range s.p.Tasks {
			if in[i] || slices.ContainsFunc(t.After, func(a int) bool { return !in[a] }) {
				continue
			}
			if best < 0 || by(i) < by(best) {
				best = i
			}
		}
		list, in[best] = append(list, best), true
	}
	return list
}
