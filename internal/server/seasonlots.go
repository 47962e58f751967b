package server

import (
	"context"
	"slices"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/day"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/internal/store"
)

// waiting lists the lots at hand, and of those that are to be spread how long they take.
func (s *server) waiting(ctx context.Context, planned plannedLots) (lots []waitingLot, all []day.Waiting, err error) {
	k, units, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, nil, err
	}
	minutes, err := s.store.StepMinutes(ctx)
	if err != nil {
		return nil, nil, s.storeProblem(err, "minutes of steps")
	}
	today := s.today()
	kept, err := s.store.Lots(ctx, today)
	if err != nil {
		return nil, nil, s.storeProblem(err, "lots")
	}
	like, err := s.likeLast(ctx, today)
	if err != nil {
		return nil, nil, err
	}
	slices.SortStableFunc(kept, func(a, b store.Lot) int { return int(until(a) - until(b)) })
	for _, l := range kept {
		if l.Left() == 0 {
			continue
		}
		a := lotAnswer(l, today, units)
		w := waitingLot{Lot: l, at: -1, body: waitingBody{Lot: l.ID, Name: l.Name, Kind: l.Kind, Fit: a.Fit}}
		kind, _ := fruit.FindKind(l.Kind)
		f, ok := kind.Forecast(l.Taps)
		on, isPlanned := planned[l.ID]
		rest := l.Left() - on.mass
		switch {
		case !ok:
			w.body.Waits = "Say how ripe it is in Fruit: then it finds its day."
		case isPlanned && rest < l.Left()/20: // what is left over is no batch
			w.body.Waits = "Planned on " + dayText(on.on) + "."
		case isPlanned:
			w.read(kind, f, today, k, rest.Text(units))
		default:
			w.read(kind, f, today, k, "all")
		}
		if w.body.Waits == "" {
			w.at = len(all)
			x := waitingFor(w.plan, k, minutes, like)
			x.Name, x.From, x.Until = l.Name, int(max(0, f.From-today)), int(max(0, f.Until-today))
			all = append(all, x)
		}
		lots = append(lots, w)
	}
	return lots, all, nil
}

// read says what so much of a lot would make on the day that it is fit.
func (w *waitingLot) read(kind fruit.Kind, f fruit.Fit, today fruit.Day, k batch.Kitchen, amount string) {
	ripe := fruit.Ready
	if f.Until < today || kind.Now(w.Taps, today) == fruit.Past {
		ripe = fruit.Past
	}
	for _, product := range kind.Make(ripe) {
		r := batch.First(guide.Product(product), k)
		if info, _ := guide.FindProduct(guide.Product(product)); slices.Contains(info.Kinds, guide.Kind(w.Kind)) {
			r.Kind = guide.Kind(w.Kind)
		}
		r.Lots, r.Amount = w.ID, amount
		p, err := batch.Make(r, k)
		if err != nil || p.Status != batch.Tested || p.PotNote != "" || len(p.Loads) == 0 {
			continue
		}
		w.request, w.plan = r, p
		w.body.What = batch.Headline(p.Query, p.Name)
		return
	}
	w.body.Waits = "Plan it in Batch: there is no usual batch to guess its time from."
	if f.Until <= today+1 {
		w.body.Warn = "It will not wait: plan it in Batch and put it on a day, or freeze it."
	}
}

// waitingFor is how long a lot takes: a day of it alone, planned with one load and with all.
func waitingFor(p batch.Plan, k batch.Kitchen, minutes day.Minutes, like store.Day) day.Waiting {
	long := func(loads int) int {
		m := p.Making(k, minutes)
		jars := 0
		for _, x := range m.Portions {
			jars += x.Jars
		}
		m.Portions = m.Portions[:loads]
		part := 0
		for _, x := range m.Portions {
			part += x.Jars
		}
		m.Prepare = m.Prepare * part / max(jars, 1)
		q := day.Problem{Begin: 0, Burners: like.Burners, Pots: max(1, like.Pots), Canners: []day.Canner{{Own: p.Canner.OwnBurner()}}, Tasks: day.Tasks([]day.Making{m})}
		for range like.Cooks {
			q.Cooks = append(q.Cooks, day.Cook{There: day.Span{From: 0, To: 3 * 24 * 60}})
		}
		pl, ok := day.Make(q, day.Effort{Seed: 1, Tries: 40})
		if !ok {
			return 24 * 60
		}
		return pl.Finish
	}
	n := len(p.Loads)
	one, all := long(1), 0
	w := day.Waiting{Loads: n, PerLoad: one}
	if n > 1 {
		all = long(n)
		w.PerLoad = max(1, (all-one+n-2)/(n-1))
		w.Setup = max(0, one-w.PerLoad)
	}
	return w
}

// planLot saves a batch of a lot and puts it on a day.
func (s *server) planLot(ctx context.Context, id, date string, loads int, all bool) (*dayOutput, error) {
	if on, err := s.parseDay(ctx, date, "body.date"); err != nil {
		return nil, err
	} else if on < s.today() {
		return nil, unprocessable([]error{field("body.date", "Accepted: a day from today on.", date)})
	}
	week, _, err := s.store.WeekTimes(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "week")
	}
	_, planned, err := s.evenings(ctx, week, &seasonPlanBody{})
	if err != nil {
		return nil, err
	}
	lots, _, err := s.waiting(ctx, planned)
	if err != nil {
		return nil, err
	}
	i := slices.IndexFunc(lots, func(l waitingLot) bool { return l.ID == id })
	if i < 0 {
		return nil, huma.Error404NotFound("There is nothing left of this lot.")
	}
	l := lots[i]
	if l.body.Waits != "" {
		return nil, unprocessable([]error{field("body.lot", l.body.Waits, id)})
	}
	if r := l.request; !all && loads < len(l.plan.Loads) {
		jars := 0
		for _, x := range l.plan.Loads[:loads] {
			jars += x.Count()
		}
		r.Amount = l.plan.Jar.Count(jars)
		l.request = r
	}
	b, err := s.store.AddBatch(ctx, store.Batch{Request: l.request, Note: "From " + l.Name + "."}, s.now())
	if err != nil {
		return nil, s.storeProblem(err, "batch")
	}
	return s.addToDay(ctx, date, b.ID)
}
