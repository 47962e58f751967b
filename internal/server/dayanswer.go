package server

import (
	"context"
	"fmt"
	"slices"
	"time"

	"mellisca/core/day"
	"mellisca/core/fruit"
)

// answerDay says how a day stands: as it was planned before it begins, and while it runs
// shifted by what really happened.
func (s *server) answerDay(ctx context.Context, w *dayWork, there bool) (*dayOutput, error) {
	now, err := s.progress(ctx, w)
	if err != nil {
		return nil, err
	}
	a := &dayAnswer{w: w, now: now, memo: &s.compared, dayBody: dayBody{
		Date: dateOf(w.Day.Day).Format(time.DateOnly), Title: dayText(w.Day.Day), Fields: fieldsOf(w.Day), State: "empty", Now: -1, ByMinute: w.By, Fits: true,
		Next: dateOf(w.Day.Day + 1).Format(time.DateOnly), Before: dateOf(w.Day.Day - 1).Format(time.DateOnly),
		Batches: []dayBatchBody{}, Lanes: []dayLaneBody{}, Steps: []dayStepBody{}, Drops: []dropBody{}, Holds: []string{}, Unheld: []string{}, Planned: []dayOnBody{},
	}}
	if today := s.today(); today == w.Day.Day {
		a.Now = now.minute
	}
	planned, err := s.store.Days(ctx, s.today()-7, s.today()+400)
	if err != nil {
		return nil, s.storeProblem(err, "day")
	}
	for _, d := range planned {
		a.Planned = append(a.Planned, dayOnBody{dateOf(d.Day).Format(time.DateOnly), dayText(d.Day)})
	}
	if !there && len(w.Batches) == 0 {
		a.frame()
		return &dayOutput{a.dayBody}, nil
	}
	a.place()
	if a.State == "running" {
		a.Now = now.minute // after midnight too
	}
	a.steps()
	a.lanes()
	a.lists()
	a.main()
	a.frame()
	return &dayOutput{a.dayBody}, nil
}

// dayAnswer is a day's answer while it is put together.
type dayAnswer struct {
	dayBody
	w      *dayWork
	now    dayNow
	prior  []day.Placed // as planned
	placed []day.Placed // as it is now to be
	real   day.Problem  // with what really happened
	over   bool
	memo   *comparing
	beyond bool // somebody has to stay longer than they are there
}

// place works out where everything is now.
func (a *dayAnswer) place() {
	w := a.w
	prior, ok := w.prior()
	if !ok { // what it was planned from has changed since, as a batch that was made larger
		kept, can := w.plan(w.problem)
		if !can {
			a.State, a.Fits, a.Not = "ahead", false, cannot(w.problem)
			return
		}
		w.kept = kept
		prior, _ = w.prior()
	}
	a.prior, a.placed, a.real = prior, prior, w.problem
	a.Fits = w.kept.Fits
	a.State = "ahead"
	if len(w.keys) == 0 {
		return
	}
	a.over = a.now.minute > 24*60 && a.allOver()
	begun := len(a.now.begun) > 0 || len(a.now.lit) > 0
	if a.now.minute < w.Begin && !begun {
		return
	}
	a.State = "running"
	if a.over || a.now.minute > 30*60 {
		a.State = "over"
		a.real = day.Underway(w.problem, prior, a.now.begun, w.kept.Finish)
		a.placed = slices.Clone(prior)
		for _, f := range a.real.Fixed {
			a.placed[f.Task] = f
		}
		return
	}
	a.follow()
}

// allOver says whether everything that has begun is over and every load has run.
func (a *dayAnswer) allOver() bool {
	done := map[int]bool{}
	for _, g := range a.now.begun {
		if done[g.Task] = g.Ended > 0; g.Ended == 0 {
			return false
		}
	}
	for i, t := range a.w.problem.Tasks {
		if t.Load != nil && !done[i] {
			return false
		}
	}
	return true
}

// follow shifts what is ahead by what has happened.
func (a *dayAnswer) follow() {
	w := a.w
	a.real = a.underway()
	pl, stays, ok := day.Follow(a.real, a.prior)
	asked := a.real
	if !ok {
		a.beyond, a.Fits = true, false
		a.real = staying(a.real)
		if pl, stays, ok = day.Follow(a.real, a.prior); !ok {
			a.Not, a.placed = cannot(a.real), nil
			return
		}
	}
	a.placed = pl.Placed
	w.kept.Finish, w.kept.Bound = pl.Finish, pl.Bound
	a.Fits = !a.beyond && pl.Tardy == 0
	for _, i := range pl.Unheld {
		w.kept.Unheld = append(w.kept.Unheld, w.keys[i])
	}
	if stays && a.Fits {
		w.kept.Drops = nil
		return
	}
	known := a.memo.of(w.Day.Day, a.real, a.prior, func() (m compared) {
		if !stays {
			if other, ok := day.Make(a.real, day.Effort{Seed: 1, Tries: 250}); ok && (pl.Finish-other.Finish >= day.Worth || other.Tardy < pl.Tardy) {
				m.better = fmt.Sprintf("In another order the rest would be done by %s, %s sooner.", clock(other.Finish), minutesText(pl.Finish-other.Finish))
				if other.Finish >= pl.Finish {
					m.better = "In another order less of it would be late."
				}
			}
		}
		m.reliefs = day.Reliefs(a.real, pl, compareEffort)
		if !a.Fits {
			m.drops = w.drops(asked)
		}
		return m
	})
	a.Better, w.kept.Reliefs, w.kept.Drops = known.better, known.reliefs, known.drops
}

func (a *dayAnswer) underway() day.Problem {
	p := day.Underway(a.w.problem, a.prior, a.now.begun, a.now.minute)
	p.Canners = slices.Clone(p.Canners)
	for i, c := range a.w.canners {
		p.Canners[i].Lit = a.now.lit[c.id]
	}
	return p
}

// frame sets where the lanes begin and end, in whole hours.
func (a *dayAnswer) frame() {
	from, to := a.w.Begin, max(a.w.By, a.w.Begin+4*60)
	for i, p := range a.placed {
		from, to = min(from, p.Start), max(to, p.End)
		if t := a.real.Tasks[i]; t.Load != nil {
			from = min(from, p.Held(t.Load).From)
		}
	}
	a.From, a.To = from/60*60, (to+59)/60*60
}

// juiceReady finds the last day before one on which a batch's juice is made, and when on
// that one it has settled, in minutes from its midnight; over 24 hours where that is not on
// this day any more.
func (s *server) juiceReady(ctx context.Context, batch string, on fruit.Day) (made fruit.Day, ready int, err error) {
	days, err := s.store.DaysOf(ctx, batch, day.Juice, on-3)
	if err != nil {
		return 0, 0, s.storeProblem(err, "day")
	}
	for _, d := range days {
		if d < on || made == 0 { // where there is none before, it is made too late for these jars
			made = d
		}
	}
	if made == 0 {
		return 0, 0, nil
	}
	if made >= on {
		return made, 48 * 60, nil
	}
	d, err := s.store.Day(ctx, made)
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
	prior, planned := w.prior()
	end := 0
	for i, p := range prior {
		if b, _ := w.batchOf(i); b.Batch == batch && b.Part == day.Juice {
			if !planned {
				p.End = 24 * 60
			}
			end = max(end, p.End)
			for _, g := range now.begun {
				if g.Task == i && g.Ended > 0 {
					end = g.Ended // as it really was
				}
			}
		}
	}
	return made, end + 24*60 - int(on-made)*24*60, nil
}

// cannot says why there is no plan at all.
func cannot(p day.Problem) string {
	if err := p.Check(); err != nil {
		return "This day cannot be planned: " + err.Error() + "."
	}
	return "This day cannot be planned: what is left of it finds no place in three days."
}
