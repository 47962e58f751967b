package server

import (
	"context"
	"encoding/json"
	"errors"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/day"
	"mellisca/core/fruit"
	"mellisca/internal/store"
)

// DayInput names a day.
type DayInput struct {
	Date string `path:"date" maxLength:"10" doc:"2026-08-15, or today"`
}

func (s *server) registerDay(api huma.API) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: "/api/days" + path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 409, 422}}
	}
	huma.Register(api, op("day", "GET", "/{date}", "A canning day as it stands"), func(ctx context.Context, in *DayInput) (*dayOutput, error) {
		d, there, err := s.dayFor(ctx, in.Date)
		if err != nil {
			return nil, err
		}
		w, err := s.workOn(ctx, d)
		if err != nil {
			return nil, err
		}
		return s.answerDay(ctx, w, there)
	})
	huma.Register(api, op("set-day", "PUT", "/{date}", "Say who and what is there"), func(ctx context.Context, in *struct {
		DayInput
		Body DayFields
	}) (*dayOutput, error) {
		return s.changeDay(ctx, in.Date, func(d *store.Day) error {
			if problems := in.Body.read(d); len(problems) > 0 {
				return unprocessable(problems)
			}
			return nil
		})
	})
	huma.Register(api, op("clear-day", "DELETE", "/{date}", "Plan nothing on it any more"), func(ctx context.Context, in *DayInput) (*dayOutput, error) {
		d, there, err := s.dayFor(ctx, in.Date)
		if err != nil {
			return nil, err
		}
		if there {
			if err := s.store.RemoveDay(ctx, d.Day); err != nil {
				return nil, s.storeProblem(err, "day")
			}
		}
		if d, _, err = s.dayFor(ctx, in.Date); err != nil {
			return nil, err
		}
		w, err := s.workOn(ctx, d)
		if err != nil {
			return nil, err
		}
		return s.answerDay(ctx, w, false)
	})
	s.registerDayBatches(api, op)
	s.registerDaySteps(api, op)
	s.registerDayPaper(api, op)
}

// night is until when the day before is still today, where its canning went over midnight.
const night = 4

// parseDay reads a date; today by its name too.
func (s *server) parseDay(ctx context.Context, date, where string) (fruit.Day, error) {
	if date == "today" {
		today := s.today()
		if s.now().Hour() < night {
			if days, err := s.store.Days(ctx, today-1, today); err == nil && len(days) == 1 && days[0].Day == today-1 {
				return today - 1, nil
			}
		}
		return today, nil
	}
	t, err := time.Parse(time.DateOnly, date)
	if err != nil || t.Year() < 2000 || t.Year() > 2200 {
		return 0, unprocessable([]error{field(where, "Accepted: a day such as 2026-08-15.", date)})
	}
	return fruit.Day(t.Unix() / 86_400), nil
}

// dayFor reads a day; where nothing is planned on it, it is one like the last that was.
func (s *server) dayFor(ctx context.Context, date string) (d store.Day, there bool, err error) {
	on, err := s.parseDay(ctx, date, "path.date")
	if err != nil {
		return d, false, err
	}
	d, err = s.store.Day(ctx, on)
	if err == nil {
		return d, true, nil
	}
	if !errors.Is(err, store.ErrNoDay) {
		return d, false, s.storeProblem(err, "day")
	}
	d, err = s.likeLast(ctx, on)
	return d, false, err
}

// likeLast is an empty day with the cooks of the last one that was planned.
func (s *server) likeLast(ctx context.Context, on fruit.Day) (store.Day, error) {
	d := store.Day{Day: on, Begin: 8 * 60, Burners: 4, Pots: 2, Locks: map[string]int{}, Placed: "{}", Cooks: []day.Cook{{Name: "First cook", There: day.Span{From: 8 * 60, To: 18 * 60}}}}
	burners, err := s.store.Burners(ctx)
	if err != nil {
		return d, s.storeProblem(err, "burners")
	}
	if len(burners) > 0 {
		d.Burners = min(len(burners), 12)
	}
	pots, err := s.store.Pots(ctx)
	if err != nil {
		return d, s.storeProblem(err, "pots")
	}
	if n := len(slices.DeleteFunc(pots, func(p store.Pot) bool { return p.Kind != store.Cooking })); n > 0 {
		d.Pots = min(n, 12)
	}
	planned, err := s.store.Days(ctx, on-400, on+400)
	if err != nil {
		return d, s.storeProblem(err, "day")
	}
	if len(planned) == 0 {
		return d, nil
	}
	last, err := s.store.Day(ctx, planned[len(planned)-1].Day)
	if err != nil {
		return d, s.storeProblem(err, "day")
	}
	d.Begin, d.Cooks, d.Burners, d.Pots = last.Begin, last.Cooks, last.Burners, last.Pots
	return d, nil
}

// mostOnDay is how many batches a day can hold: more could not be planned at once.
const mostOnDay = 10

func onDay(d *store.Day, batch, part string) int {
	return slices.IndexFunc(d.Batches, func(b store.DayBatch) bool { return b.Batch == batch && string(b.Part) == part })
}

// changeDay changes a day, plans it anew, and keeps both; what has begun stays as it is.
func (s *server) changeDay(ctx context.Context, date string, change func(*store.Day) error) (*dayOutput, error) {
	d, _, err := s.dayFor(ctx, date)
	if err != nil {
		return nil, err
	}
	if err := change(&d); err != nil {
		return nil, err
	}
	w, err := s.planned(ctx, &d)
	if err != nil {
		return nil, err
	}
	if err := s.store.KeepDays(ctx, d); err != nil {
		return nil, s.storeProblem(err, "day")
	}
	return s.answerDay(ctx, w, true)
}

// planned plans a day and puts the plan into it.
func (s *server) planned(ctx context.Context, d *store.Day) (*dayWork, error) {
	w, err := s.workOn(ctx, *d)
	if err != nil {
		return nil, err
	}
	now, err := s.progress(ctx, w)
	if err != nil {
		return nil, err
	}
	p := w.problem
	if len(now.begun) > 0 || now.minute > w.Begin && now.minute < 24*60 && now.minute > 0 {
		prior, _ := w.prior()
		p = (&dayAnswer{w: w, now: now, prior: prior}).underway()
	}
	kept, ok := w.plan(p)
	if !ok {
		return nil, unprocessable([]error{field("body", cannot(p), nil)})
	}
	raw, err := json.Marshal(kept)
	if err != nil {
		return nil, err
	}
	w.kept, d.Placed = kept, string(raw)
	return w, nil
}
