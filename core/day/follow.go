package day

import (
	"cmp"
	"slices"
)

// Worth is by how many minutes another plan must be done sooner for what is planned to be
// moved: hands that know their day are worth some minutes.
const Worth = 10

// Progress is what is known of a task that has begun. All times are minutes from midnight
// of the first day.
type Progress struct {
	Task  int
	Began int
	Ended int // 0: not yet
	// Of a load; 0: not yet.
	In    int  // its jars went into the canner
	Timed bool // the stove tells Left
	Left  int  // from now until it can be lifted, once it is In; under 0: since when it could be
}

// Underway puts what has begun in place as it really is or is now to be: what takes longer
// than it was to is over now at the earliest, and what comes before something that has begun
// is over, told or not. The problem it gives has those tasks changed. prior is the plan of
// before, which tells who does what and where.
func Underway(p Problem, prior []Placed, begun []Progress, now int) Problem {
	p.Tasks = slices.Clone(p.Tasks)
	p.Fixed, p.Begin = nil, max(p.Begin, now)
	for _, g := range p.implied(prior, begun) {
		t := &p.Tasks[g.Task]
		t.Locked = false
		at := prior[g.Task]
		at.Start, at.Gap, at.Lead = g.Began, 0, 0
		end := g.Ended
		if t.Load != nil {
			l := *t.Load
			t.Load = &l
			end, at.Gap = l.underway(g, prior[g.Task].Gap, now)
		} else {
			if end == 0 {
				end = max(g.Began+t.Minutes, now)
			}
			t.stretch(end - g.Began)
		}
		at.End = max(end, g.Began)
		p.Fixed = append(p.Fixed, at)
	}
	return p
}

// implied adds what must be over since something after it has begun.
func (p Problem) implied(prior []Placed, begun []Progress) (all []Progress) {
	known := map[int]Progress{}
	for _, g := range begun {
		known[g.Task] = g
	}
	for i := len(p.Tasks) - 1; i >= 0; i-- {
		g, ok := known[i]
		if !ok {
			continue
		}
		for _, a := range p.Tasks[i].After {
			b, told := known[a]
			if !told {
				b = Progress{Task: a, Began: min(prior[a].Start, g.Began)}
				if p.Tasks[a].Load != nil {
					b.In = b.Began
				}
			}
			if b.Ended == 0 {
				b.Ended = max(b.Began, g.Began)
			}
			known[a] = b
		}
	}
	for i := range p.Tasks {
		if g, ok := known[i]; ok {
			all = append(all, g)
		}
	}
	return all
}

// stretch makes a step longer or shorter than it was to be.
func (t *Task) stretch(minutes int) {
	minutes = max(0, minutes)
	hands := slices.Clone(t.Hands)
	for i, h := range hands {
		if h.To == t.Minutes {
			h.To = minutes // what is done by hand to its end still is
		}
		hands[i] = Span{min(h.From, minutes), min(h.To, minutes)}
	}
	t.Hands, t.Minutes = hands, minutes
}

// underway makes the parts of a load what they were, and gives when it is over and how long it
// waits between filled and in; gap is how long that was to be.
func (l *Load) underway(g Progress, gap, now int) (end, waits int) {
	in := g.In
	if in == 0 {
		in = max(g.Began+l.Fill+gap, now)
	}
	l.Fill = min(l.Fill, max(0, in-g.Began))
	waits = max(0, in-g.Began-l.Fill)
	out := in + l.In + l.Boil + l.Time + l.Rest
	switch {
	case g.Ended > 0:
		out = g.Ended - l.Out
	case g.In > 0 && g.Timed:
		out = now + max(g.Left, -l.Out) // it is being lifted, or nobody told that it was
	default:
		out = max(out, now)
	}
	if out < in { // ended sooner than jars can be lifted: stopped short
		out, l.Out = in, max(0, g.Ended-in)
	}
	l.In = min(l.In, out-in)
	l.Boil, l.Rest = 0, 0
	l.Time = out - in - l.In
	return out + l.Out, waits
}

// Follow puts the rest of a day behind what has begun, see Underway. As long as all that is
// ahead can stay where it was and that costs no more than Worth, it stays there; else it
// moves, in the order that it had, as far as it must. ok is false where it has no place any
// more.
func Follow(p Problem, prior []Placed) (pl Plan, stays, ok bool) {
	if p.Check() != nil {
		return Plan{}, false, false
	}
	s := &search{p: &p, dice: 1}
	w := way{waits: make([]wait, len(p.Tasks))}
	for i := range p.Tasks {
		w.list = append(w.list, i)
		if prior[i].Gap > 0 {
			w.waits[i] = filledEarly
		}
	}
	slices.SortStableFunc(w.list, func(a, b int) int {
		return cmp.Or(cmp.Compare(prior[a].Start, prior[b].Start), cmp.Compare(a, b))
	})
	pl, ok = s.look(w)
	if !ok && slices.ContainsFunc(p.Tasks, func(t Task) bool { return t.Locked }) { // what was locked does not hold any more
		free := p
		free.Tasks = slices.Clone(p.Tasks)
		for i := range free.Tasks {
			if free.Tasks[i].Locked {
				free.Tasks[i].Locked = false
				pl.Unheld = append(pl.Unheld, i)
			}
		}
		unheld := pl.Unheld
		s.p = &free
		pl, ok = s.look(w)
		pl.Unheld = unheld
	}
	if still, can := p.stay(prior); can && (!ok || still.Tardy <= pl.Tardy && still.Finish <= pl.Finish+Worth) {
		pl, stays, ok = still, true, true
	}
	pl.Bound, pl.Tried = Bound(p), 2
	return pl, stays, ok
}

// stay keeps all that is ahead where it was; ok is false where that cannot be.
func (p Problem) stay(prior []Placed) (Plan, bool) {
	q := p
	q.Tasks = slices.Clone(p.Tasks)
	for i := range q.Tasks {
		q.Tasks[i].Locked = false
	}
	b := newBoard(&q)
	order := slices.Clone(prior)
	slices.SortStableFunc(order, func(a, b Placed) int { return cmp.Compare(a.Start, b.Start) })
	for _, at := range order {
		if b.done[at.Task] {
			continue
		}
		at, ok := b.again(at)
		if !ok {
			return Plan{}, false
		}
		b.keep(at)
	}
	for i, t := range q.Tasks {
		if !b.isFixed(i) && b.ready(t) > b.placed[i].Start {
			return Plan{}, false
		}
	}
	return b.plan(), true
}

// again is a task just where it was, with its canner heated as it is now to be; ok is false
// where something that it needs is not free.
func (b *board) again(at Placed) (_ Placed, ok bool) {
	t := b.p.Tasks[at.Task]
	if at.Start < b.p.Begin || at.End != at.Start+t.length(at.Gap) {
		return at, false
	}
	held := Span{at.Start, at.End}
	if l := t.Load; l != nil {
		var since int
		at.Lead, since = b.lead(l, at.Canner, len(b.canners[at.Canner]))
		held = at.Held(l)
		if held.From < since || !b.canners[at.Canner].is(held) {
			return at, false
		}
	}
	for i, h := range t.hands(at.Gap) {
		if h.From < h.To && !b.cooks[at.Cooks[i]].is(Span{at.Start + h.From, at.Start + h.To}) {
			return at, false
		}
	}
	return at, (at.Burner < 0 || b.burners[at.Burner].is(held)) && (at.Pot < 0 || b.pots[at.Pot].is(Span{at.Start, at.End}))
}
