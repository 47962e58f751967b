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

// shiftLate moves steps that are not loads as late as those after them allow, the last
// first, so that fruit and syrup wait as little as can be. Nothing else moves.
func (b *board) shiftLate() {
	order := make([]int, 0, len(b.placed))
	for i, t := range b.p.Tasks {
		if t.Load == nil && !t.Locked && !b.isFixed(i) {
			order = append(order, i)
		}
	}
	slices.SortFunc(order, func(x, y int) int { return cmp.Or(b.placed[y].End-b.placed[x].End, y-x) })
	for _, i := range order {
		latest := never
		for j, t := range b.p.Tasks {
			if slices.Contains(t.After, i) {
				latest = min(latest, b.placed[j].Start)
			}
		}
		if latest == never {
			continue // nothing waits for it
		}
		b.later(i, latest)
	}
}

func (b *board) isFixed(i int) bool {
	return slices.ContainsFunc(b.p.Fixed, func(f Placed) bool { return f.Task == i })
}

// later moves a step so that it is over by a time, as late as all that it needs is free.
func (b *board) later(i, by int) {
	at, t := b.placed[i], b.p.Tasks[i]
	b.lift(at)
	to := at
	to.Start = by - t.Minutes
	for moved := true; moved && to.Start > at.Start; {
		moved = false
		on := func(start int) {
			if start < to.Start {
				to.Start, moved = start, true
			}
		}
		for _, h := range t.Hands {
			on(last(b.cooks, to.Start+h.From, h.To-h.From) - h.From)
		}
		if t.Burner {
			on(last(b.burners, to.Start, t.Minutes))
		}
		if t.Pot {
			on(last(b.pots, to.Start, t.Minutes))
		}
	}
	if to.Start <= at.Start {
		b.keep(at)
		return
	}
	to.End, to.Cooks = to.Start+t.Minutes, nil
	for _, h := range t.Hands {
		to.Cooks = append(to.Cooks, fit(b.cooks, Span{to.Start + h.From, to.Start + h.To}))
	}
	if t.Burner {
		to.Burner = fit(b.burners, Span{to.Start, to.End})
	}
	if t.Pot {
		to.Pot = fit(b.pots, Span{to.Start, to.End})
	}
	b.keep(to)
}

// lift takes a step off the board.
func (b *board) lift(at Placed) {
	drop := func(l *line, s Span) {
		if i := slices.Index(*l, s); i >= 0 && s.From < s.To {
			*l = slices.Delete(*l, i, i+1)
		}
	}
	for i, h := range b.p.Tasks[at.Task].Hands {
		drop(&b.cooks[at.Cooks[i]], Span{at.Start + h.From, at.Start + h.To})
	}
	if at.Burner >= 0 {
		drop(&b.burners[at.Burner], Span{at.Start, at.End})
	}
	if at.Pot >= 0 {
		drop(&b.pots[at.Pot], Span{at.Start, at.End})
	}
}

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

// climb changes the best list, a task at a time, and goes on from what is no worse. Where
// nothing has helped for long it starts again from the best.
func (s *search) climb(tries int) {
	now, at := s.best, s.way.clone()
	idle := 0
	for s.tried < tries && len(at.list) > 0 {
		if s.best.Tardy == 0 && s.best.Finish <= s.bound && s.best.HotWait == 0 && s.best.LateMin == 0 && s.best.CutWait == 0 {
			return // there is none better
		}
		next := at.clone()
		for range 1 + s.dice.below(3) {
			if from := s.dice.below(len(next.list)); s.dice.below(3) == 0 && (s.p.Tasks[next.list[from]].Hot || s.p.Tasks[next.list[from]].Cut) {
				s.closer(next.list, from)
			} else {
				s.move(next.list)
			}
		}
		if i := s.dice.below(len(next.waits)); s.dice.below(2) == 0 {
			next.waits[i] = wait(s.dice.below(waits))
		}
		pl, ok := s.look(next)
		if ok && pl.before(now) <= 0 || ok && s.dice.below(40) == 0 && pl.Finish <= now.Finish+15 {
			if pl.before(now) < 0 {
				idle = 0
			}
			now, at = pl, next
		}
		if idle++; idle > 250 {
			now, at, idle = s.best, s.way.clone(), 0
		}
	}
}

// polish tries every task in every place of the best list that it may have, those that wait
// hot first, and begins again from what is better, until nothing is.
func (s *search) polish(tries int) {
	for better := true; better; {
		better = false
		order := slices.Clone(s.way.list)
		slices.SortStableFunc(order, func(a, b int) int {
			return cmp.Compare(s.urge(b), s.urge(a))
		})
		for _, i := range order {
			at := slices.Index(s.way.list, i)
			low, high := s.room(s.way.list, at)
			for to := low; to <= high; to++ {
				if s.tried >= tries || s.best.Tardy == 0 && s.best.Finish <= s.bound && s.best.HotWait == 0 && s.best.LateMin == 0 && s.best.CutWait == 0 {
					return
				}
				if to == at {
					continue
				}
				next, was := s.way.clone(), s.best
				shift(next.list, at, to)
				if s.look(next); s.best.before(was) < 0 {
					better = true
					break
				}
			}
		}
	}
}

// urge is how long what comes of a task waits hot in the best plan.
func (s *search) urge(i int) (minutes int) {
	if !s.p.Tasks[i].Hot {
		return -1
	}
	for j, t := range s.p.Tasks {
		if slices.Contains(t.After, i) {
			minutes += s.best.Placed[j].Start - s.best.Placed[i].End
		}
	}
	return minutes
}

// move takes one task of a list to another place that it may have.
func (s *search) move(list []int) {
	from := s.dice.below(len(list))
	low, high := s.room(list, from)
	shift(list, from, low+s.dice.below(high-low+1))
}

// room is between which places the task at one may stand.
func (s *search) room(list []int, from int) (low, high int) {
	i := list[from]
	high = len(list) - 1
	for at, j := range list {
		switch {
		case at < from && slices.Contains(s.p.Tasks[i].After, j):
			low = max(low, at+1)
		case at > from && slices.Contains(s.p.Tasks[j].After, i):
			high = min(high, at-1)
		}
	}
	return low, high
}

// shift takes what is at one place of a list to another.
func shift(list []int, from, to int) {
	i := list[from]
	if to < from {
		copy(list[to+1:from+1], list[to:from])
	} else {
		copy(list[from:to], list[from+1:to+1])
	}
	list[to] = i
}

// dice is chance that is the same each time.
type dice uint64

// below is a number from 0 to under n.
func (d *dice) below(n int) int {
	*d += 0x9e3779b97f4a7c15
	z := uint64(*d)
	z = (z ^ (z >> 30)) * 0xbf58476d1ce4e5b9
	z = (z ^ (z >> 27)) * 0x94d049bb133111eb
	return int((z ^ (z >> 31)) % uint64(n))
}
