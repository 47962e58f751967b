package server

import (
	"context"
	"fmt"
	"math"
	"slices"
	"strings"
	"time"

	"mellisca/core/day"
	"mellisca/core/run"
	"mellisca/internal/store"
)

// lit is the step of lighting a canner, by its id.
func litKey(canner string) string { return "lit/" + canner }

// dayNow is how far a day is.
type dayNow struct {
	minute int // from its midnight
	begun  []day.Progress
	lit    map[string]int    // since when canners heat, by id
	told   map[string]string // begun or done, by step
	loads  map[int]string    // of the stove, by task
}

// progress gathers what has begun: what was told here, and what the stove knows.
func (s *server) progress(ctx context.Context, w *dayWork) (n dayNow, err error) {
	n = dayNow{minute: w.minuteOn(s.now()), lit: map[string]int{}, told: map[string]string{}, loads: map[int]string{}}
	lines, err := s.store.DayLines(ctx, w.Day.Day)
	if err != nil {
		return n, s.storeProblem(err, "day")
	}
	steps := map[string]day.Progress{}
	for _, l := range lines {
		at := w.minuteOn(time.UnixMilli(l.WallMs).In(s.now().Location()))
		if canner, ok := strings.CutPrefix(l.Step, "lit/"); ok {
			if _, lit := n.lit[canner]; !lit {
				n.lit[canner] = at
			}
			if l.Kind == "back" {
				delete(n.lit, canner)
			}
			continue
		}
		g, begun := steps[l.Step]
		switch l.Kind {
		case "begun":
			if begun {
				continue // two people told it
			}
			g = day.Progress{Began: at}
		case "done":
			if g.Ended > 0 {
				continue
			}
			if !begun {
				g.Began = at
			}
			g.Ended = at
		case "back":
			delete(steps, l.Step)
			continue
		}
		steps[l.Step] = g
	}
	for i, key := range w.keys {
		g, ok := steps[key]
		if ok && w.problem.Tasks[i].Load == nil {
			g.Task = i
			if g.Began == g.Ended { // only its end was told
				g.Began = max(min(g.Ended-w.problem.Tasks[i].Minutes, g.Ended), w.Begin)
				g.Began = min(g.Began, g.Ended)
			}
			n.told[key] = "begun"
			if g.Ended > 0 {
				n.told[key] = "done"
			}
			n.begun = append(n.begun, g)
		}
	}
	return n, s.progressOfLoads(ctx, w, &n)
}

// progressOfLoads adds the loads that were opened at the stove.
func (s *server) progressOfLoads(ctx context.Context, w *dayWork, n *dayNow) error {
	m := s.stove.Now()
	for _, b := range w.batches {
		if b.at < 0 || b.Part == day.Juice {
			continue
		}
		kept, err := store.Stove{Store: s.store}.LoadsOf(ctx, b.Batch)
		if err != nil {
			return s.storeProblem(err, "loads")
		}
		for _, l := range kept {
			about := aboutOf(l.About)
			i := slices.Index(w.keys, fmt.Sprintf("%s/%s/%d", b.name(), day.Canning, about.Index+1))
			if i < 0 || about.AgainOf != "" {
				continue
			}
			n.loads[i] = l.ID
			g := w.loadProgress(l, m.At, m.Seen, s.now().Location())
			g.Task = i
			n.told[w.keys[i]] = "begun"
			if g.Ended > 0 {
				n.told[w.keys[i]] = "done"
			}
			n.begun = append(n.begun, g)
		}
	}
	slices.SortFunc(n.begun, func(a, b day.Progress) int { return a.Task - b.Task })
	n.begun = slices.CompactFunc(n.begun, func(a, b day.Progress) bool { return a.Task == b.Task })
	return nil
}

// loadProgress is how far a load is, by its own record.
func (w *dayWork) loadProgress(l store.KeptLoad, now, seen run.Stamp, zone *time.Location) (g day.Progress) {
	at := func(ms int64) int { return w.minuteOn(time.UnixMilli(ms).In(zone)) }
	g.Began = at(l.Opened)
	if g.Began < 0 { // on an earlier day
		return day.Progress{Began: w.Begin, In: w.Begin, Ended: w.Begin}
	}
	times := run.TimesOf(l.Events)
	if times.JarsIn > 0 {
		g.In = max(g.Began, at(times.JarsIn))
	}
	state := l.Load.Fold(l.Events, now, seen)
	if left, ok := l.Load.Left(state, now, int64(aboutOf(l.About).ToBoil*60_000)); ok {
		g.Left, g.Timed = int(math.Ceil(float64(left)/60_000)), true
		if g.In == 0 {
			g.In = g.Began
		}
	}
	if state.Phase == run.Cooling || state.Away {
		if g.Ended = w.minuteOn(time.UnixMilli(now.WallMs).In(zone)); times.Out > 0 {
			g.Ended = at(times.Out)
		}
		g.Ended = max(g.Ended, g.Began+1)
	}
	return g
}

// rememberedDays is how long ago a day may be for its steps to be those of a batch that is
// closed now.
const rememberedDays = 10

// timedByDay is how long a batch's fruit took to get ready and to cook, as it was told on its
// days; 0 where a step of it was not told from its beginning to its end.
func (s *server) timedByDay(ctx context.Context, id string) (prepare, cook int, err error) {
	whole := map[day.Step]bool{day.Fruit: true, day.Heat: true}
	sum := map[day.Step]int{}
	for _, part := range []day.Part{day.Whole, day.Juice, day.Jars} {
		days, err := s.store.DaysOf(ctx, id, part, s.today()-rememberedDays)
		if err != nil {
			return 0, 0, s.storeProblem(err, "day")
		}
		for _, on := range days {
			d, err := s.store.Day(ctx, on)
			if err != nil {
				return 0, 0, s.storeProblem(err, "day")
			}
			w, err := s.workOn(ctx, d)
			if err != nil {
				return 0, 0, err
			}
			now, err := s.progress(ctx, w)
			if err != nil {
				return 0, 0, err
			}
			took := map[int]int{}
			for _, g := range now.begun {
				if g.Ended > g.Began {
					took[g.Task] = g.Ended - g.Began
				}
			}
			for i, t := range w.problem.Tasks {
				kind := t.Step
				switch kind {
				case day.Dip, day.Press:
					kind = day.Fruit
				case day.Fruit, day.Heat:
				default:
					continue
				}
				if b, _ := w.batchOf(i); b.Batch != id {
					continue
				}
				if whole[kind] = whole[kind] && took[i] > 0; whole[kind] {
					sum[kind] += took[i]
				}
			}
		}
	}
	if whole[day.Fruit] {
		prepare = sum[day.Fruit]
	}
	if whole[day.Heat] {
		cook = sum[day.Heat]
	}
	return prepare, cook, nil
}
