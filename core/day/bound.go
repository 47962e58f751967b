package day

import "slices"

// heads is the earliest that each task can begin, by what comes before it alone. What has
// begun did so when it did.
func heads(p Problem) []int {
	head := make([]int, len(p.Tasks))
	begun := map[int]int{}
	for _, f := range p.Fixed {
		begun[f.Task] = f.Start
	}
	for i, t := range p.Tasks {
		if start, ok := begun[i]; ok {
			head[i] = start
			continue
		}
		head[i] = max(p.Begin, t.From)
		for _, a := range t.After {
			head[i] = max(head[i], head[a]+p.Tasks[a].length(0))
		}
	}
	return head
}

// tails is how long it takes from each task's beginning to the end of all that comes after
// it.
func tails(p Problem) []int {
	tail := make([]int, len(p.Tasks))
	for i := len(p.Tasks) - 1; i >= 0; i-- {
		tail[i] = max(tail[i], p.Tasks[i].length(0))
		for _, a := range p.Tasks[i].After {
			tail[a] = max(tail[a], p.Tasks[a].length(0)+tail[i])
		}
	}
	return tail
}

// piece is work that one thing of a kind must do: not before head, and so long before the
// day can end.
type piece struct{ head, work, tail int }

// Bound is a time before which no plan is done: by the longest way through the steps, and
// by what hands, burners, pots and canners have to do between the earliest that it can
// begin and what must follow it.
func Bound(p Problem) int {
	head, tail := heads(p), tails(p)
	bound := p.Begin
	var hands, burners, pots []piece
	canners := make([][]piece, len(p.Canners)) // of loads that can be run in it alone
	var any []piece
	cold, coldFrom := never, never // by how much a first load heats longer, and from when
	begun := map[int]bool{}        // what they do is done; that can only be over
	for _, f := range p.Fixed {
		begun[f.Task] = true
		bound = max(bound, f.End)
	}
	warmed := len(begun) > 0 || slices.ContainsFunc(p.Canners, func(c Canner) bool { return c.Lit > 0 })
	for i, t := range p.Tasks {
		if begun[i] {
			continue
		}
		bound = max(bound, head[i]+tail[i])
		for _, h := range t.hands(0) {
			hands = append(hands, piece{head[i] + h.From, h.To - h.From, tail[i] - h.To})
		}
		if l := t.Load; l != nil {
			warm := min(l.Warm, l.Cold)
			if warmed {
				warm = 0 // some of it may be behind already
			}
			in := head[i] + l.Fill
			of := piece{max(p.Begin, in-warm), warm + l.whole(), 0}
			cold = min(cold, l.Cold-warm)
			coldFrom = min(coldFrom, max(p.Begin, in-l.Cold))
			only := p.canners(l)
			if len(only) == 1 {
				canners[only[0]] = append(canners[only[0]], of)
			}
			any = append(any, of)
			if !slices.ContainsFunc(only, func(c int) bool { return p.Canners[c].Own }) {
				burners = append(burners, of)
			}
			continue
		}
		whole := piece{head[i], t.Minutes, tail[i] - t.Minutes}
		if t.Burner {
			burners = append(burners, whole)
		}
		if t.Pot {
			pots = append(pots, whole)
		}
	}
	bound = max(bound, shared(hands, len(p.Cooks), p.Cooks), shared(burners, p.Burners, nil), shared(pots, p.Pots, nil), shared(any, len(p.Canners), nil))
	if !warmed && len(any) > 0 && cold > 0 {
		// Each canner that is used heats up once: of k of them the work and k times that
		// must be done, so with all of them no less than this.
		work := 0
		for _, l := range any {
			work += l.work
		}
		bound = max(bound, coldFrom+cold+(work+len(p.Canners)-1)/len(p.Canners))
	}
	for _, c := range canners {
		bound = max(bound, shared(c, 1, nil))
	}
	return bound
}

// shared is the earliest that so many like things can be done with all pieces: of each set
// with heads and tails of at least so much, the work has to fit in between. Cooks are
// counted only while they are there.
func shared(all []piece, n int, cooks []Cook) int {
	if len(all) == 0 || n == 0 {
		return 0
	}
	bound := 0
	var hs, ts []int
	for _, p := range all {
		hs, ts = append(hs, p.head), append(ts, p.tail)
	}
	slices.Sort(hs)
	slices.Sort(ts)
	hs, ts = slices.Compact(hs), slices.Compact(ts)
	for _, h := range hs {
		for _, t := range ts {
			work := 0
			for _, p := range all {
				if p.head >= h && p.tail >= t {
					work += p.work
				}
			}
			if work > 0 {
				bound = max(bound, doneBy(h, work, n, cooks)+t)
			}
		}
	}
	return bound
}

// doneBy is when so much work is done from a time on, at best.
func doneBy(from, work, n int, cooks []Cook) int {
	if cooks == nil {
		return from + (work+n-1)/n
	}
	var edges []int
	for _, c := range cooks {
		edges = append(edges, c.There.From, c.There.To)
		for _, b := range c.Breaks {
			edges = append(edges, b.From, b.To)
		}
	}
	slices.Sort(edges)
	now := from
	for _, e := range append(slices.Compact(edges), never) {
		if e <= now {
			continue
		}
		there := 0
		for _, c := range cooks {
			if c.There.From <= now && now < c.There.To && !slices.ContainsFunc(c.Breaks, func(b Span) bool { return b.From <= now && now < b.To }) {
				there++
			}
		}
		if there > 0 && (e-now)*there >= work {
			return now + (work+there-1)/there
		}
		work -= (e - now) * there
		now = e
		if now == never {
			break
		}
	}
	return now
}
