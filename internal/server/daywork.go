package server

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"slices"
	"time"

	"mellisca/core/batch"
	"mellisca/core/day"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/internal/store"
)

// How hard a day is searched: for its plan, and for what is only compared with it.
var (
	planEffort    = day.Effort{Seed: 1, Tries: 700}
	compareEffort = day.Effort{Seed: 1, Tries: 150}
)

// keptDay is the plan of a day as it was made and is kept.
type keptDay struct {
	Canners []string     `json:"canners"`
	Fits    bool         `json:"fits"`
	Finish  int          `json:"finish"`
	Bound   int          `json:"bound"`
	Steps   []keptStep   `json:"steps"`
	Unheld  []string     `json:"unheld"`
	Reliefs []day.Relief `json:"reliefs"`
	Drops   [][]leftOut  `json:"drops"`
}

// leftOut is what is left out of a day: a batch with its part, or its loads from one on.
type leftOut struct {
	Batch string `json:"batch"`
	From  int    `json:"from"`
}

type keptStep struct {
	Key string `json:"key"`
	day.Placed
}

// workBatch is a batch on a day, with its plan.
type workBatch struct {
	store.DayBatch
	headline string
	request  batch.Request
	plan     batch.Plan
	not      string    // why there is nothing to plan of it; empty where there is
	at       int       // its number in the problem; -1: not there
	made     fruit.Day // of jars: the day its juice is made; 0: none is planned
	ready    int       // and when it has settled, in minutes of this day
}

// name tells a batch on a day from the other part of it.
func (b workBatch) name() string { return b.Batch + "/" + string(b.Part) }

// workCanner is a canner on a day.
type workCanner struct{ id, name string }

// dayWork is a day with all that it is planned from.
type dayWork struct {
	store.Day
	kitchen batch.Kitchen
	batches []workBatch
	canners []workCanner
	problem day.Problem
	keys    []string // of the tasks
	kept    keptDay
}

// workOn reads what a day is planned from.
func (s *server) workOn(ctx context.Context, d store.Day) (*dayWork, error) {
	k, _, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	minutes, err := s.store.StepMinutes(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "minutes of steps")
	}
	w := &dayWork{Day: d, kitchen: k}
	_ = json.Unmarshal([]byte(d.Placed), &w.kept) // it was made here; an empty one is planned anew
	var makings []day.Making
	for _, b := range d.Batches {
		wb := workBatch{DayBatch: b, at: -1}
		saved, err := s.store.Batch(ctx, b.Batch)
		if errors.Is(err, store.ErrNotFound) {
			continue // deleted since
		}
		if err != nil {
			return nil, s.storeProblem(err, "batch")
		}
		wb.request = saved.Request
		if wb.plan, err = batch.Make(saved.Request, k); err != nil {
			return nil, err
		}
		wb.headline = batch.Headline(wb.plan.Query, wb.plan.Name)
		switch {
		case wb.plan.Status == batch.Refused:
			wb.not = "There is no tested time for it, so it is not put on the day. Open it to see the ways there are."
		case wb.plan.Status == batch.Incomplete:
			wb.not = wb.plan.Missing[0].Text
		case wb.plan.PotNote != "":
			wb.not = wb.plan.PotNote
		case len(wb.plan.Loads) == 0:
			wb.not = "Say how much of it there is: then its jars and loads are known."
		default:
			m := wb.plan.Making(k, minutes)
			m.Name, m.Part, m.From = wb.headline, b.Part, b.From
			if b.Part == day.Jars {
				made, ready, err := s.juiceReady(ctx, b.Batch, d.Day)
				if err != nil {
					return nil, err
				}
				if wb.made, wb.ready = made, ready; made > 0 && ready > 24*60 {
					wb.not = fmt.Sprintf("Its juice is made on %s and has not stood for a day by the end of this one: put its jars a day later.", dayText(made))
					break
				}
				m.From = max(m.From, ready)
			}
			m = m.Loads(b.First, b.Last)
			m.Canners = w.cannersFor(wb.plan, saved.Request, k)
			if m.Cold == 0 && wb.plan.Query.Method == guide.Steam {
				m.Cold = steamCold
			}
			wb.at = len(makings)
			makings = append(makings, m)
		}
		w.batches = append(w.batches, wb)
	}
	w.pose(makings)
	return w, nil
}

// steamCold is how long a steam canner takes until it vents, from the tap: our own guess.
const steamCold = 15

// cannersFor gives in which canners a batch's loads can be run: its own, and every other of
// the kitchen that takes the same loads at the same times.
func (w *dayWork) cannersFor(p batch.Plan, r batch.Request, k batch.Kitchen) (all []int) {
	all = append(all, w.canner(p.Canner))
	for _, c := range k.Canners {
		if c.ID == p.Canner.ID || p.Canner.ID == "" {
			continue
		}
		r.Canner = c.ID
		o, err := batch.Make(r, k)
		if err != nil || o.Canner.ID != c.ID || !o.SameLoads(p) {
			continue
		}
		all = append(all, w.canner(o.Canner))
	}
	return all
}

func (w *dayWork) canner(c batch.Canner) int {
	i := slices.IndexFunc(w.canners, func(o workCanner) bool { return o.id == c.ID })
	if i < 0 {
		i = len(w.canners)
		w.canners = append(w.canners, workCanner{c.ID, c.TheName()})
		w.problem.Canners = append(w.problem.Canners, day.Canner{Name: c.TheName(), Own: c.OwnBurner()})
	}
	return i
}

// pose makes the day's problem of what is to be made.
func (w *dayWork) pose(makings []day.Making) {
	p := &w.problem
	p.Begin, p.Late, p.Burners, p.Pots, p.Cooks = w.Begin, w.Late, w.Burners, w.Pots, w.Cooks
	p.Tasks = day.Tasks(makings)
	p.By = make([]int, len(makings))
	name := make([]string, len(makings))
	for _, b := range w.batches {
		if b.at < 0 {
			continue
		}
		name[b.at] = b.name()
		if p.By[b.at] = b.By; w.By > 0 && (b.By == 0 || w.By < b.By) {
			p.By[b.at] = w.By
		}
	}
	for i := range p.Tasks {
		t := &p.Tasks[i]
		key := name[t.Batch] + "/" + t.Key()
		w.keys = append(w.keys, key)
		if at, ok := w.Locks[key]; ok {
			t.Locked, t.At = true, at
		}
	}
}

// staying is a problem with cooks that stay as long as it takes.
func staying(p day.Problem) day.Problem {
	p.Cooks = slices.Clone(p.Cooks)
	for i := range p.Cooks {
		p.Cooks[i].There.To = max(p.Cooks[i].There.To, 3*24*60)
	}
	return p
}

// plan makes the plan of a problem and says what holds it up.
func (w *dayWork) plan(p day.Problem) (kept keptDay, ok bool) {
	kept = keptDay{Steps: []keptStep{}, Unheld: []string{}, Reliefs: []day.Relief{}, Drops: [][]leftOut{}, Fits: true}
	for _, c := range w.canners {
		kept.Canners = append(kept.Canners, c.id)
	}
	if len(p.Tasks) == 0 {
		return kept, true
	}
	asked := p
	pl, ok := day.Make(p, planEffort)
	if !ok {
		p = staying(p)
		if pl, ok = day.Make(p, planEffort); !ok {
			return kept, false
		}
		kept.Fits = false
	}
	kept.Fits = kept.Fits && pl.Tardy == 0
	kept.fill(w, pl)
	kept.Reliefs = append(kept.Reliefs, day.Reliefs(p, pl, compareEffort)...)
	if !kept.Fits {
		kept.Drops = w.drops(asked)
	}
	return kept, true
}

func (k *keptDay) fill(w *dayWork, pl day.Plan) {
	k.Finish, k.Bound = pl.Finish, pl.Bound
	k.Steps = k.Steps[:0]
	for i, at := range pl.Placed {
		k.Steps = append(k.Steps, keptStep{w.keys[i], at})
	}
	for _, i := range pl.Unheld {
		k.Unheld = append(k.Unheld, w.keys[i])
	}
}

func (w *dayWork) drops(p day.Problem) (all [][]leftOut) {
	all = [][]leftOut{}
	for _, d := range day.Drops(p, compareEffort) {
		var left []leftOut
		for _, l := range d.Left {
			for _, b := range w.batches {
				if b.at == l.Batch {
					left = append(left, leftOut{b.name(), l.From})
				}
			}
		}
		all = append(all, left)
	}
	return all
}

// prior is where each task was put; ok is false where the day has changed since, so that
// there are tasks that have no place, or others.
func (w *dayWork) prior() (all []day.Placed, ok bool) {
	all = make([]day.Placed, len(w.keys))
	ok = true
	for i, key := range w.keys {
		n := slices.IndexFunc(w.kept.Steps, func(k keptStep) bool { return k.Key == key })
		if n >= 0 {
			all[i] = w.kept.Steps[n].Placed
			all[i].Task = i
			all[i].Canner = w.cannerNow(all[i].Canner)
		}
		if n < 0 || !w.fits(all[i]) || all[i].Start < w.problem.Tasks[i].From {
			all[i], ok = day.Placed{Task: i, Canner: -1, Burner: -1, Pot: -1}, false
			if t := w.problem.Tasks[i]; t.Load != nil {
				all[i].Canner = t.Load.Canners[0]
			}
		}
	}
	return all, ok && len(w.keys) == len(w.kept.Steps)
}

// cannerNow is the number that a canner of the kept plan has now; -1 where it is gone.
func (w *dayWork) cannerNow(was int) int {
	if was < 0 || was >= len(w.kept.Canners) {
		return -1
	}
	return slices.IndexFunc(w.canners, func(c workCanner) bool { return c.id == w.kept.Canners[was] })
}

// fits says whether what a kept step takes is still there.
func (w *dayWork) fits(at day.Placed) bool {
	t := w.problem.Tasks[at.Task]
	if t.Load != nil && !slices.Contains(t.Load.Canners, at.Canner) || t.Load == nil && at.Canner >= 0 || at.Start < 0 || at.End < at.Start || at.Gap < 0 || at.Gap > day.MostGap {
		return false
	}
	return at.Burner >= -1 && at.Burner < w.Burners && at.Pot >= -1 && at.Pot < w.Pots && len(at.Cooks) == len(t.HandSpans(at.Gap)) &&
		!slices.ContainsFunc(at.Cooks, func(c int) bool { return c < 0 || c >= len(w.Cooks) })
}

// minuteOn is a moment in minutes from a day's midnight, by the clock on the wall.
func (w *dayWork) minuteOn(t time.Time) int {
	return int(dayOf(t)-w.Day.Day)*24*60 + t.Hour()*60 + t.Minute()
}
