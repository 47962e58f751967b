package day

import (
	"cmp"
	"slices"
)

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
