package server

import (
	"context"
	"fmt"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/day"
	"mellisca/internal/store"
)

func (s *server) registerDayBatches(api huma.API, op func(id, method, path, summary string) huma.Operation) {
	huma.Register(api, op("day-add-batch", "POST", "/{date}/batches", "Put a saved batch on a day; where its juice settles, its jars go on the day after"), func(ctx context.Context, in *struct {
		DayInput
		Body struct {
			Batch string `json:"batch" maxLength:"40"`
		}
	}) (*dayOutput, error) {
		return s.addToDay(ctx, in.Date, in.Body.Batch)
	})
	huma.Register(api, op("day-set-batch", "PUT", "/{date}/batches/{batch}", "Say when a batch may begin and is to be done"), func(ctx context.Context, in *struct {
		DayInput
		Batch string `path:"batch" maxLength:"40"`
		Body  struct {
			Part string `json:"part" enum:",juice,jars"`
			From string `json:"from" maxLength:"40" doc:"empty: any time"`
			By   string `json:"by" maxLength:"40" doc:"empty: no such hour"`
		}
	}) (*dayOutput, error) {
		return s.changeDay(ctx, in.Date, func(d *store.Day) error {
			i := onDay(d, in.Batch, in.Body.Part)
			if i < 0 {
				return huma.Error404NotFound("This batch is not on that day.")
			}
			var problems []error
			d.Batches[i].From = readClock(in.Body.From, "body.from", true, &problems)
			d.Batches[i].By = readClock(in.Body.By, "body.by", true, &problems)
			if d.Batches[i].By > 0 && d.Batches[i].By <= d.Batches[i].From {
				problems = append(problems, field("body.by", "Accepted: an hour after the one that it begins at, or none.", in.Body.By))
			}
			if len(problems) > 0 {
				return unprocessable(problems)
			}
			return nil
		})
	})
	huma.Register(api, op("day-move-batch", "POST", "/{date}/batches/{batch}/move", "Put a batch on another day, or on none"), func(ctx context.Context, in *struct {
		DayInput
		Batch string `path:"batch" maxLength:"40"`
		Body  struct {
			Part string `json:"part" enum:",juice,jars"`
			To   string `json:"to" maxLength:"10" doc:"2026-08-16; empty: on none"`
			Load int    `json:"load,omitempty" required:"false" minimum:"0" maximum:"500" doc:"only from this load on, from 2; all of it where left out"`
		}
	}) (*dayOutput, error) {
		return s.moveBatch(ctx, in.Date, in.Batch, in.Body.Part, in.Body.To, in.Body.Load)
	})
}

func (s *server) addToDay(ctx context.Context, date, id string) (*dayOutput, error) {
	b, err := s.store.Batch(ctx, id)
	if err != nil {
		return nil, s.storeProblem(err, "batch")
	}
	k, _, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	p, err := batch.Make(b.Request, k)
	if err != nil {
		return nil, err
	}
	if p.Status == batch.Refused {
		return nil, unprocessable([]error{field("body.batch", "There is no tested time for this batch, so it is not put on a day.", id)})
	}
	on, err := s.parseDay(ctx, date, "path.date")
	if err != nil {
		return nil, err
	}
	d, _, err := s.dayFor(ctx, date)
	if err != nil {
		return nil, err
	}
	part := day.Whole
	if batch.Settles(p.Query.Product) {
		part = day.Juice
	}
	switch {
	case onDay(&d, id, string(part)) >= 0:
		return nil, unprocessable([]error{field("body.batch", "This batch is on the day already.", id)})
	case len(d.Batches) >= mostOnDay:
		return nil, unprocessable([]error{field("body.batch", fmt.Sprintf("Accepted: up to %d batches on a day. Put this one on another.", mostOnDay), id)})
	}
	d.Batches = append(d.Batches, store.DayBatch{Batch: id, Part: part})
	w, err := s.planned(ctx, &d)
	if err != nil {
		return nil, err
	}
	days := []store.Day{d}
	if part == day.Juice {
		next, _, err := s.dayFor(ctx, dateOf(on+1).Format(time.DateOnly))
		if err != nil {
			return nil, err
		}
		if onDay(&next, id, string(day.Jars)) < 0 {
			next.Batches = append(next.Batches, store.DayBatch{Batch: id, Part: day.Jars})
			days = append(days, next)
		}
	}
	if err := s.store.KeepDays(ctx, days...); err != nil {
		return nil, s.storeProblem(err, "day")
	}
	for _, next := range days[1:] { // its jars are planned once the day of its juice is there
		if _, err := s.planned(ctx, &next); err != nil {
			return nil, err
		}
		if err := s.store.KeepDays(ctx, next); err != nil {
			return nil, s.storeProblem(err, "day")
		}
	}
	return s.answerDay(ctx, w, true)
}

// moveBatch puts a batch, or its loads from one on, on another day.
func (s *server) moveBatch(ctx context.Context, date, id, part, to string, load int) (*dayOutput, error) {
	from, there, err := s.dayFor(ctx, date)
	if err != nil {
		return nil, err
	}
	i := onDay(&from, id, part)
	if i < 0 || !there {
		return nil, huma.Error404NotFound("This batch is not on that day.")
	}
	moved := from.Batches[i]
	last := moved.Last
	if load > 0 && last == 0 {
		was, err := s.workOn(ctx, from)
		if err != nil {
			return nil, err
		}
		for _, b := range was.batches {
			if b.Batch == id && string(b.Part) == part {
				last = len(b.plan.Loads)
			}
		}
	}
	switch {
	case load == 0:
		from.Batches = slices.Delete(from.Batches, i, i+1)
	case load <= moved.First+1 || load > last:
		return nil, unprocessable([]error{field("body.load", "Accepted: a load of this batch after the first that is run on this day.", load)})
	default:
		from.Batches[i].Last, moved.First = load-1, load-1
	}
	for key := range from.Locks {
		if strings.HasPrefix(key, id+"/"+part+"/") && load == 0 {
			delete(from.Locks, key)
		}
	}
	w, err := s.planned(ctx, &from)
	if err != nil {
		return nil, err
	}
	days := []store.Day{from}
	if to != "" {
		on, err := s.parseDay(ctx, to, "body.to")
		if err != nil {
			return nil, err
		}
		if on < s.today() || on == from.Day {
			return nil, unprocessable([]error{field("body.to", "Accepted: another day, from today on.", to)})
		}
		other, _, err := s.dayFor(ctx, to)
		if err != nil {
			return nil, err
		}
		if n := onDay(&other, id, part); n < 0 {
			moved.From, moved.By = 0, 0
			other.Batches = append(other.Batches, moved)
		} else { // some of its loads are on that day already
			other.Batches[n].First = min(other.Batches[n].First, moved.First)
			if last := other.Batches[n].Last; moved.Last == 0 || last > 0 && last < moved.Last {
				other.Batches[n].Last = moved.Last
			}
		}
		if _, err := s.planned(ctx, &other); err != nil {
			return nil, err
		}
		days = append(days, other)
	}
	if err := s.store.KeepDays(ctx, days...); err != nil {
		return nil, s.storeProblem(err, "day")
	}
	return s.answerDay(ctx, w, true)
}
