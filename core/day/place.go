package day

import (
	"math"
	"slices"
)

// horizon is the end of what is planned: three days.
const horizon = 3 * 24 * 60

// never is a time at which nothing happens.
const never = math.MaxInt32

// line is when one thing is taken, in order.
type line []Span

// free is the first time from t on at which the thing is free for so long.
func (l line) free(t, long int) int {
	for _, s := range l {
		if s.To <= t {
			continue
		}
		if s.From >= t+long {
			break
		}
		t = s.To
	}
	return t
}

// before is the last time up to t at which the thing is free for so long.
func (l line) before(t, long int) int {
	for i := len(l) - 1; i >= 0; i-- {
		if s := l[i]; s.From < t+long {
			if s.To <= t {
				break
			}
			t = s.From - long
		}
	}
	return t
}

// is says whether it is free all through a span.
func (l line) is(s Span) bool { return s.From == s.To || l.free(s.From, s.To-s.From) == s.From }

func (l *line) take(s Span) {
	if s.From >= s.To {
		return
	}
	at, _ := slices.BinarySearchFunc(*l, s.From, func(x Span, from int) int { return x.From - from })
	*l = slices.Insert(*l, at, s)
}

// board is a day under way.
type board struct {
	p       *Problem
	cooks   []line
	burners []line
	pots    []line
	canners []line
	placed  []Placed
	done    []bool
	locked  []line // of each canner, by loads that are locked
	clash   bool   // two that are locked want the same thing
}

func newBoard(p *Problem) *board {
	b := &board{p: p, cooks: make([]line, len(p.Cooks)), burners: make([]line, p.Burners), pots: make([]line, p.Pots), canners: make([]line, len(p.Canners)), placed: make([]Placed, len(p.Tasks)), done: make([]bool, len(p.Tasks)), locked: make([]line, len(p.Canners))}
	for i, c := range p.Cooks {
		b.cooks[i] = away(c)
	}
	for _, f := range p.Fixed {
		b.keep(f)
	}
	if len(p.Fixed) > 0 { // what really happened may overlap
		for _, lines := range [][]line{b.cooks, b.burners, b.pots} {
			for i, l := range lines {
				lines[i] = merged(l)
			}
		}
	}
	for i, t := range p.Tasks {
		if t.Locked && !b.done[i] {
			b.clash = b.clash || !b.lock(i, t)
		}
	}
	return b
}

// lock puts a task where it is held; false where something that it needs is taken then.
func (b *board) lock(i int, t Task) bool {
	canners := []int{-1}
	if t.Load != nil {
		canners = b.p.canners(t.Load)
	}
	t.From = t.At
	for _, c := range canners {
		if at, ok := b.earliest(i, t, c, 0, true); ok && at.Start == t.At {
			b.keep(at)
			if c >= 0 {
				b.locked[c].take(at.Held(t.Load))
			}
			return true
		}
	}
	return false
}

// away is when a cook is not there, or in a break.
func away(c Cook) line {
	all := append([]Span{{-never, c.There.From}, {c.There.To, never}}, c.Breaks...)
	slices.SortFunc(all, func(x, y Span) int { return x.From - y.From })
	return merged(all)
}

// merged makes one of spans that touch or overlap.
func merged(all line) (l line) {
	for _, s := range all {
		if n := len(l); n > 0 && s.From <= l[n-1].To {
			l[n-1].To = max(l[n-1].To, s.To)
		} else {
			l = append(l, s)
		}
	}
	return l
}

// keep puts a task on the board as it is.
func (b *board) keep(at Placed) {
	t := b.p.Tasks[at.Task]
	for i, h := range t.hands(at.Gap) {
		if i < len(at.Cooks) && at.Cooks[i] >= 0 {
			b.cooks[at.Cooks[i]].take(Span{at.Start + h.From, at.Start + h.To})
		}
	}
	held := Span{at.Start, at.End}
	if t.Load != nil {
		held = at.Held(t.Load)
		b.canners[at.Canner].take(held)
	}
	if at.Burner >= 0 {
		b.burners[at.Burner].take(held)
	}
	if at.Pot >= 0 {
		b.pots[at.Pot].take(Span{at.Start, at.End})
	}
	b.placed[at.Task], b.done[at.Task] = at, true
}

// ready is when everything before a task is over.
func (b *board) ready(t Task) int {
	from := max(b.p.Begin, t.From)
	for _, a := range t.After {
		from = max(from, b.placed[a].End)
	}
	return from
}

// wait is how a load waits between filled and in the canner.
type wait uint8

// The ways to wait: as little as lets it be done earliest; filled as early as lets it be
// done as early, which leaves the hands free afterwards; and as long as it may.
const (
	little wait = iota
	filledEarly
	longest
	waits = 3
)

// put places a task as early as it can be; ok is false where no day is long enough.
func (b *board) put(i int, w wait) bool {
	t := b.p.Tasks[i]
	best, found := Placed{End: never}, false
	try := func(canner, gap int) {
		if at, ok := b.earliest(i, t, canner, gap, false); ok && (!found || at.End < best.End || at.End == best.End && at.Gap < best.Gap) {
			best, found = at, true
		} else if ok && w == filledEarly && at.End == best.End && at.Start < best.Start {
			best = at
		}
	}
	if t.Load == nil {
		try(-1, 0)
	} else {
		for _, c := range b.p.canners(t.Load) {
			from := 0
			if w == longest {
				from = MostGap
			}
			for gap := from; gap <= MostGap; gap += 2 {
				try(c, gap)
				if w == little && found && best.Canner == c && best.Gap < gap {
					break // waiting longer does not help any more
				}
			}
		}
	}
	if found {
		b.keep(best)
	}
	return found
}

// earliest finds the first time at which a task has all that it needs. Loads of a canner
// come one after the other; only before one that is locked may there be room too.
func (b *board) earliest(i int, t Task, canner, gap int, alone bool) (at Placed, ok bool) {
	if t.Load == nil {
		return b.from(i, t, canner, gap, 0, never, alone)
	}
	for n, s := range b.canners[canner] {
		if slices.Contains(b.locked[canner], s) {
			if at, ok := b.from(i, t, canner, gap, n, s.From, alone); ok {
				return at, true
			}
		}
	}
	return b.from(i, t, canner, gap, len(b.canners[canner]), never, alone)
}

// lead is how long a canner is still heated before its load goes in, as its load number n,
// and since when it can be.
func (b *board) lead(l *Load, canner, n int) (minutes, since int) {
	if n == 0 {
		if lit := b.p.Canners[canner].Lit; lit > 0 && lit < b.p.Begin {
			return max(0, l.Cold-(b.p.Begin-lit)), b.p.Begin
		}
		return l.Cold, b.p.Begin
	}
	if out := b.canners[canner][n-1].To; out < b.p.Begin {
		return max(0, l.Warm-(b.p.Begin-out)), b.p.Begin
	}
	return l.Warm, b.canners[canner][n-1].To
}

// from finds the first time for a task, of a load as number n in its canner and out of it by
// a time. Each need moves the start on to when it can be met; where none does, all are.
// alone leaves out what comes before it.
func (b *board) from(i int, t Task, canner, gap, n, by int, alone bool) (at Placed, ok bool) {
	at = Placed{Task: i, Start: max(b.p.Begin, t.From), Gap: gap, Canner: canner, Burner: -1, Pot: -1}
	if !alone {
		at.Start = b.ready(t)
	}
	hands := t.hands(gap)
	long := t.length(gap)
	held := Span{0, long}
	burner := t.Burner
	if l := t.Load; l != nil {
		var since int
		at.Lead, since = b.lead(l, canner, n)
		in := l.Fill + gap
		held = Span{in - at.Lead, in + l.whole()}
		at.Start = max(at.Start, since-held.From)
		burner = !b.p.Canners[canner].Own
	}
	for moved := true; moved; {
		moved = false
		on := func(to int) {
			if to > at.Start {
				at.Start, moved = to, true
			}
		}
		for _, h := range hands {
			on(first(b.cooks, at.Start+h.From, h.To-h.From) - h.From)
		}
		if burner {
			on(first(b.burners, at.Start+held.From, held.To-held.From) - held.From)
		}
		if t.Pot {
			on(first(b.pots, at.Start, long))
		}
		if at.Start > horizon || at.Start+held.To > by {
			return at, false
		}
	}
	at.End = at.Start + long
	for _, h := range hands {
		at.Cooks = append(at.Cooks, fit(b.cooks, Span{at.Start + h.From, at.Start + h.To}))
	}
	if burner {
		at.Burner = fit(b.burners, Span{at.Start + held.From, at.Start + held.To})
	}
	if t.Pot {
		at.Pot = fit(b.pots, Span{at.Start, at.End})
	}
	return at, true
}

// first is the first time from t on at which any of several things is free for so long.
func first(all []line, t, long int) int {
	best := never
	for _, l := range all {
		best = min(best, l.free(t, long))
	}
	return best
}

// last is the last time up to t at which any of several things is free for so long.
func last(all []line, t, long int) int {
	best := -never
	for _, l := range all {
		best = max(best, l.before(t, long))
	}
	return best
}

// fit is the one of several that is free all through a span and was taken last before it,
// so that longer stretches stay whole.
func fit(all []line, s Span) int {
	best, since := -1, -never-1
	for i, l := range all {
		if !l.is(s) {
			continue
		}
		left := -never
		for _, x := range l {
			if x.From >= s.From {
				break
			}
			left = x.To
		}
		if left > since {
			best, since = i, left
		}
	}
	return best
}
