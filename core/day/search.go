package day

import (
	"cmp"
	"slices"
)

// Effort is how hard to search.
type Effort struct {
	Seed  uint64
	Tries int // plans looked at
}

// Plan is a day with everything in its place.
type Plan struct {
	Placed  []Placed // by task
	Finish  int      // when all is done
	HotWait int      // minutes that filled jars, and what was cooked for them, wait hot
	LateMin int      // hands-on minutes after the late hour
	CutWait int      // minutes that fruit waits cut
	Tardy   int      // minutes by which batches miss the time that they are to be done by, added up
	Unheld  []int    // tasks that were to be locked and could not be held
	Bound   int      // no plan is done before: proven
	Tried   int
}

// Gap is by how much the plan is longer than the bound, from the day's beginning; 0 where it
// is the best there is.
func (pl Plan) Gap(begin int) float64 {
	if pl.Bound <= begin {
		return 0
	}
	return float64(pl.Finish-pl.Bound) / float64(pl.Bound-begin)
}

// before says whether a plan is better: with less missed of what batches are to be done by,
// then done earlier, then with less hot waiting, then with less to do late, then with fruit
// cut later.
func (pl Plan) before(o Plan) int {
	return cmp.Or(cmp.Compare(pl.Tardy, o.Tardy), cmp.Compare(pl.Finish, o.Finish), cmp.Compare(pl.HotWait, o.HotWait), cmp.Compare(pl.LateMin, o.LateMin), cmp.Compare(pl.CutWait, o.CutWait))
}

// Make plans a day. ok is false where something cannot be put on it at all, as where nobody
// is there for as long as a step takes. Where what is locked cannot be held as it is, the
// last one alone is let go, or another, or all: Unheld names them.
func Make(p Problem, e Effort) (best Plan, ok bool) {
	if best, ok = p.search(e); ok {
		return best, true
	}
	var locked []int
	for i, t := range p.Tasks {
		if t.Locked {
			locked = append(locked, i)
		}
	}
	q := p
	for n := len(locked) - 1; n >= 0; n-- {
		q.Tasks = slices.Clone(p.Tasks)
		q.Tasks[locked[n]].Locked = false
		if best, ok = q.search(e); ok {
			best.Unheld = locked[n : n+1]
			return best, true
		}
	}
	if len(locked) > 0 {
		for _, i := range locked {
			q.Tasks[i].Locked = false
		}
		best, ok = q.search(e)
		best.Unheld = locked
	}
	return best, ok
}

func (p Problem) search(e Effort) (best Plan, ok bool) {
	if p.Check() != nil {
		return Plan{}, false
	}
	s := &search{p: &p, dice: dice(e.Seed), bound: Bound(p)}
	for _, list := range s.rules() {
		s.look(way{list, make([]wait, len(p.Tasks))})
	}
	if !s.found {
		return Plan{}, false
	}
	s.climb(e.Tries * 2 / 3)
	s.polish(e.Tries)
	s.best.Bound, s.best.Tried = s.bound, s.tried
	return s.best, true
}

type search struct {
	p     *Problem
	dice  dice
	bound int
	best  Plan
	way   way // to the best
	found bool
	tried int
}

// way is what a plan is made from: in which order tasks are placed, and how each load
// waits.
type way struct {
	list  []int
	waits []wait // by task
}

func (w way) clone() way { return way{slices.Clone(w.list), slices.Clone(w.waits)} }

// look tries a way, and keeps its plan where it is the best so far.
func (s *search) look(w way) (Plan, bool) {
	s.tried++
	b := newBoard(s.p)
	if !b.fill(w) {
		return Plan{}, false
	}
	finish := s.p.Begin
	for _, at := range b.placed {
		finish = max(finish, at.End)
	}
	if !s.found || finish <= s.best.Finish || s.best.Tardy > 0 {
		b.shiftLate() // which changes nothing about when it is done
	}
	pl := b.plan()
	if !s.found || pl.before(s.best) < 0 {
		s.best, s.way, s.found = pl, w.clone(), true
	}
	return pl, true
}

// fill places all tasks in a way's order. It is false where one has no place, or comes too
// late for one that is locked.
func (b *board) fill(w way) bool {
	if b.clash {
		return false
	}
	for _, i := range w.list {
		if !b.done[i] && !b.put(i, w.waits[i]) {
			return false
		}
	}
	for i, t := range b.p.Tasks {
		if t.Locked && !b.isFixed(i) && b.ready(t) > b.placed[i].Start {
			return false
		}
	}
	return true
}

// plan counts what a board comes to.
func (b *board) plan() Plan {
	pl := Plan{Placed: slices.Clone(b.placed), Finish: b.p.Begin}
	ends := make([]int, len(b.p.By))
	for i, at := range pl.Placed {
		t := b.p.Tasks[i]
		pl.Finish = max(pl.Finish, at.End)
		if b.p.due(t) > 0 {
			ends[t.Batch] = max(ends[t.Batch], at.End)
		}
		pl.HotWait += at.Gap
		for _, a := range t.After {
			if b.p.Tasks[a].Hot {
				pl.HotWait += at.Start - pl.Placed[a].End
			}
			if b.p.Tasks[a].Cut {
				pl.CutWait += at.Start - pl.Placed[a].End
			}
		}
		if b.p.Late > 0 {
			for _, h := range t.hands(at.Gap) {
				pl.LateMin += max(0, at.Start+h.To-max(b.p.Late, at.Start+h.From))
			}
		}
	}
	for n, end := range ends {
		pl.Tardy += max(0, end-b.p.By[n])
	}
	return pl
}
