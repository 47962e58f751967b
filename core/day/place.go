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
}

func newBoard(p *Problem) *board {
	b := &board{p: p, cooks: make([]line, len(p.Cooks)), burners: make([]line, p.Burners), pots: make([]line, p.Pots), canners: make([]line, len(p.Canners)), placed: make([]Placed, len(p.Tasks)), done: make([]bool, len(p.Tasks))}
	for i, c := range p.Cooks {
		b.cooks[i] = away(c)
	}
	for _, f := range p.Fixed {
		b.keep(f)
	}
	return b
}

// away is when a cook is not there, or in a break.
func away(c Cook) line {
	all := append([]Span{{-never, c.There.From}, {c.There.To, never}}, c.Breaks...)
	slices.SortFunc(all, func(x, y Span) int { return x.From - y.From })
	l := line{all[0]}
	for _, s := range all[1:] {
		if end := &l[len(l)-1].To; s.From <= *end {
			*end = max(*end, s.To)
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
		if at, ok := b.earliest(i, t, canner, gap); ok && (!found || at.End < best.End || at.End == best.End && at.Gap < best.Gap) {
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

// earliest finds the first time at which a task has all that it needs. Each need moves the
// start on to when it can be met; where none does, all are.
func (b *board) earliest(i int, t Task, canner, gap int) (at Placed, ok bool) {
	at = Placed{Task: i, Start: b.ready(t), Gap: gap, Canner: canner, Burner: -1, Pot: -1}
	hands := t.hands(gap)
	long := t.length(gap)
	held := Span{0, long}
	burner := t.Burner
	if l := t.Load; l != nil {
		at.Lead = l.Cold
		after := b.p.Begin
		if n := len(b.canners[canner]); n > 0 {
			at.Lead, after = l.Warm, b.canners[canner][n-1].To
		}
		in := l.Fill + gap
		held = Span{in - at.Lead, in + l.whole()}
		at.Start = max(at.Start, after-held.From) // loads of a canner come one after the other
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
		if at.Start > horizon {
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
