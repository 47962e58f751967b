package server

import (
	"fmt"
	"slices"
	"strings"

	"mellisca/core/day"
)

// lanes draws who and what is busy when.
func (a *dayAnswer) lanes() {
	w := a.w
	states := map[string]string{}
	for _, st := range a.Steps {
		states[st.Key] = st.State
	}
	hands := make([]dayLaneBody, len(w.Cooks))
	for i, c := range w.Cooks {
		hands[i] = dayLaneBody{Kind: "hands", Name: c.Name, Away: []dayPieceBody{{To: c.There.From, What: "not there yet"}, {From: c.There.To, To: 48 * 60, What: "gone"}}}
		for _, b := range c.Breaks {
			hands[i].Away = append(hands[i].Away, dayPieceBody{From: b.From, To: b.To, What: "break"})
		}
	}
	canners, burners := make([]dayLaneBody, len(w.canners)), make([]dayLaneBody, w.Burners)
	for i, c := range w.canners {
		canners[i] = dayLaneBody{Kind: "canner", Name: c.name, Away: []dayPieceBody{}}
	}
	for i := range burners {
		burners[i] = dayLaneBody{Kind: "burner", Name: fmt.Sprintf("Burner %d", i+1), Away: []dayPieceBody{}}
	}
	for i, at := range a.placed {
		t := a.real.Tasks[i]
		b, n := w.batchOf(i)
		put := func(l *dayLaneBody, s day.Span, kind, text string) {
			if s.From < s.To {
				l.Bars = append(l.Bars, dayBarBody{Key: w.keys[i], From: s.From, To: s.To, Text: text, Kind: kind, Batch: n, State: states[w.keys[i]]})
			}
		}
		for n, h := range handsOf(t, at) {
			if n < len(at.Cooks) && at.Cooks[n] >= 0 && at.Cooks[n] < len(hands) {
				put(&hands[at.Cooks[n]], h.Span, string(t.Step), h.what)
			}
		}
		held := day.Span{From: at.Start, To: at.End}
		name := t.Step.Name()
		if l := t.Load; l != nil {
			held = at.Held(l)
			c := &canners[at.Canner]
			put(c, day.Span{From: held.From, To: held.From + at.Lead}, "heat", "heating")
			put(c, day.Span{From: held.From + at.Lead, To: held.To}, string(t.Step), fmt.Sprintf("%s %d min", b.plan.Name, w.problem.Tasks[i].Load.Time))
			name = w.canners[at.Canner].name
		}
		if at.Burner >= 0 && at.Burner < len(burners) {
			put(&burners[at.Burner], held, string(t.Step), name)
		}
	}
	for _, group := range [][]dayLaneBody{hands, canners, burners} {
		for _, l := range group {
			if l.Bars == nil && l.Kind != "hands" {
				continue // it is not needed
			}
			if l.Bars == nil {
				l.Bars = []dayBarBody{}
			}
			slices.SortFunc(l.Bars, func(x, y dayBarBody) int { return x.From - y.From })
			a.Lanes = append(a.Lanes, l)
		}
	}
}

type handSpan struct {
	day.Span
	what string
}

// handsOf is when a task wants hands, in words.
func handsOf(t day.Task, at day.Placed) (all []handSpan) {
	if l := t.Load; l != nil {
		in := at.Start + l.Fill + at.Gap
		return []handSpan{
			{day.Span{From: at.Start, To: at.Start + l.Fill}, "Fill"},
			{day.Span{From: in, To: in + l.In}, "Jars in"},
			{day.Span{From: at.End - l.Out, To: at.End}, "Jars out"},
		}
	}
	for _, h := range t.Hands {
		all = append(all, handSpan{day.Span{From: at.Start + h.From, To: at.Start + h.To}, t.Step.Name()})
	}
	return all
}

// lists says how the batches stand, and what holds the day up.
func (a *dayAnswer) lists() {
	w := a.w
	ends := make([]int, len(w.batches))
	begun := make([]bool, len(w.batches))
	over := make([]bool, len(w.batches))
	for i := range over {
		over[i] = w.batches[i].at >= 0
	}
	for i, at := range a.placed {
		_, n := w.batchOf(i)
		ends[n] = max(ends[n], at.End)
	}
	for _, st := range a.Steps {
		for n, b := range w.batches {
			if st.Kind != "lit" && len(st.Key) > len(b.name()) && st.Key[:len(b.name())+1] == b.name()+"/" {
				begun[n] = begun[n] || st.State == "done" || st.State == "now"
				over[n] = over[n] && st.State == "done"
			}
		}
	}
	shift := 0
	for n, b := range w.batches {
		body := dayBatchBody{Batch: b.Batch, Part: string(b.Part), Headline: b.headline, Product: tintOf(b.plan), Kind: string(b.plan.Query.Kind), Not: b.not, Begun: begun[n], Over: over[n], Loads: len(b.plan.Loads)}
		if b.plan.Jars != nil {
			body.Jars = b.plan.JarsText()
		}
		if b.First > 0 || b.Last > 0 && b.Last < len(b.plan.Loads) {
			last := len(b.plan.Loads)
			if b.Last > 0 {
				last = min(last, b.Last)
			}
			if body.Which = fmt.Sprintf("loads %d to %d of %d", b.First+1, last, len(b.plan.Loads)); b.First+1 == last {
				body.Which = fmt.Sprintf("load %d of %d", last, len(b.plan.Loads))
			}
		}
		if b.Part == day.Jars && b.not == "" {
			if body.Waits = "No day is planned for its juice yet."; b.made > 0 {
				body.Waits = fmt.Sprintf("Its juice is made on %s and has settled by %s.", dayText(b.made), clock(max(0, b.ready)))
			}
		}
		if b.From > 0 {
			body.From = clock(b.From)
		}
		if b.By > 0 {
			body.By = clock(b.By)
		}
		if b.at >= 0 {
			body.Done = clock(ends[n])
			if by := w.problem.By[b.at]; by > 0 && ends[n] > by {
				body.Late = minutesText(ends[n]-by) + " after " + clock(by)
			}
		}
		a.Batches = append(a.Batches, body)
	}
	if len(a.placed) == 0 {
		return
	}
	a.Finish = clock(w.kept.Finish)
	planned := 0
	for i := range a.placed {
		planned = max(planned, a.prior[i].End)
	}
	shift = w.kept.Finish - planned
	switch {
	case a.State != "running":
	case shift >= 3:
		a.Shift = fmt.Sprintf("The day is %s later than it was planned: done at %s, not %s.", minutesText(shift), clock(w.kept.Finish), clock(planned))
	case shift <= -3:
		a.Shift = fmt.Sprintf("The day is %s earlier than it was planned: done at %s, not %s.", minutesText(-shift), clock(w.kept.Finish), clock(planned))
	}
	if a.State != "over" {
		a.held()
	}
}

// held says why the day is not done sooner, and why it does not fit.
func (a *dayAnswer) held() {
	k := a.w.kept
	switch gap := k.Finish - k.Bound; {
	case gap <= 0:
		a.Bound = "No plan whatsoever is done sooner: that is proven."
	default:
		a.Bound = fmt.Sprintf("No plan whatsoever is done before %s: that is proven, so this one is %s from the best at most.", clock(k.Bound), minutesText(gap))
	}
	for _, r := range k.Reliefs {
		a.Holds = append(a.Holds, fmt.Sprintf("%s would save %s", map[string]string{"a pair of hands": "another pair of hands", "a canner": "another canner", "a burner": "another burner", "a big pot": "another big pot"}[r.What], minutesText(r.Saves)))
	}
	for _, key := range k.Unheld {
		for _, st := range a.Steps {
			if st.Key == key {
				a.Unheld = append(a.Unheld, fmt.Sprintf("%s, %s, could not be held where it was locked: it is at %s now.", st.Title, st.Of, clock(st.From)))
			}
		}
	}
	if a.Fits {
		return
	}
	a.notFit()
}

func (a *dayAnswer) notFit() {
	w := a.w
	leaves := 0
	for _, c := range w.Cooks {
		leaves = max(leaves, c.There.To)
	}
	late := false
	for _, b := range a.Batches {
		late = late || b.Late != ""
	}
	switch {
	case late && w.By > 0:
		a.Not = fmt.Sprintf("All this is not done by %s: it takes until %s.", clock(w.By), clock(w.kept.Finish))
	case late:
		a.Not = "Not every batch is done by its hour."
	default:
		a.Not = fmt.Sprintf("Nobody is there after %s to finish it: it takes until %s.", clock(leaves), clock(w.kept.Finish))
	}
	for _, left := range w.kept.Drops {
		d := dropBody{Left: []leftBody{}}
		var words []string
		for _, l := range left {
			for _, b := range w.batches {
				if l.Batch == b.name() {
					d.Left = append(d.Left, leftBody{b.Batch, string(b.Part), l.From})
					words = append(words, leftText(b, l.From))
				}
			}
		}
		d.Text = "Leave " + strings.Join(words, " and ") + " for another day"
		a.Drops = append(a.Drops, d)
	}
	if len(a.Drops) > 0 {
		a.Cold = "Whole fruit waits in the refrigerator until then. What is cut already is frozen, or goes first today."
	} else {
		a.Cold = "Begin earlier, ask for help, or move batches to other days until it fits. Whole fruit waits in the refrigerator."
	}
}

// leftText names what is left out of a day.
func leftText(b workBatch, from int) string {
	last := len(b.plan.Loads)
	if b.Last > 0 {
		last = min(last, b.Last)
	}
	switch {
	case from == 0:
		return b.headline
	case from == last:
		return fmt.Sprintf("load %d of %s", from, b.headline)
	}
	return fmt.Sprintf("loads %d to %d of %s", from, last, b.headline)
}
