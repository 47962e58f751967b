package server

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
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

func (s *server) registerDaySteps(api huma.API, op func(id, method, path, summary string) huma.Operation) {
	huma.Register(api, op("day-lock", "POST", "/{date}/locks", "Hold a step at an hour, or let it go"), func(ctx context.Context, in *struct {
		DayInput
		Body struct {
			Step string `json:"step" maxLength:"120"`
			At   string `json:"at" maxLength:"40" doc:"empty: let it go"`
		}
	}) (*dayOutput, error) {
		return s.changeDay(ctx, in.Date, func(d *store.Day) error {
			if strings.TrimSpace(in.Body.At) == "" {
				delete(d.Locks, in.Body.Step)
				return nil
			}
			var problems []error
			at := readClock(in.Body.At, "body.at", false, &problems)
			if len(problems) > 0 {
				return unprocessable(problems)
			}
			w, err := s.workOn(ctx, *d)
			if err != nil {
				return err
			}
			if !slices.Contains(w.keys, in.Body.Step) {
				return huma.Error404NotFound("There is no such step on that day.")
			}
			d.Locks[in.Body.Step] = at
			return nil
		})
	})
	huma.Register(api, op("day-tell", "POST", "/{date}/steps", "Tell that a step has begun or is done, or that it was not so"), func(ctx context.Context, in *struct {
		DayInput
		Body struct {
			Step string `json:"step" maxLength:"120"`
			Kind string `json:"kind" enum:"begun,done,back"`
			Next string `json:"next,omitempty" required:"false" maxLength:"120" doc:"a step that begins now"`
		}
	}) (*dayOutput, error) {
		return s.tellDay(ctx, in.Date, in.Body.Step, in.Body.Kind, in.Body.Next)
	})
	huma.Register(api, op("day-order", "POST", "/{date}/order", "Plan what is ahead anew, in whatever order is best"), func(ctx context.Context, in *DayInput) (*dayOutput, error) {
		return s.changeDay(ctx, in.Date, func(*store.Day) error { return nil })
	})
	huma.Register(api, huma.Operation{OperationID: "step-minutes", Method: "GET", Path: "/api/step-minutes", Summary: "How long steps take where no record of the cook's says so"}, func(ctx context.Context, _ *struct{}) (*stepMinutesOutput, error) {
		return s.stepMinutes(ctx)
	})
	huma.Register(api, huma.Operation{OperationID: "set-step-minutes", Method: "PUT", Path: "/api/step-minutes/{step}", Summary: "Say how long a step takes; 0: as in the table", MaxBodyBytes: mostBody, Errors: []int{404, 422}}, func(ctx context.Context, in *struct {
		Step string `path:"step" maxLength:"20"`
		Body struct {
			Minutes int `json:"minutes" minimum:"0" maximum:"1440"`
		}
	}) (*stepMinutesOutput, error) {
		if !slices.ContainsFunc(day.Defaults(), func(d day.Default) bool { return d.ID == in.Step }) {
			return nil, huma.Error404NotFound("There is no such step.")
		}
		if err := s.store.SetStepMinutes(ctx, in.Step, in.Body.Minutes); err != nil {
			return nil, s.storeProblem(err, "minutes of steps")
		}
		return s.stepMinutes(ctx)
	})
}

type stepMinutesBody struct {
	Step    string `json:"step"`
	Name    string `json:"name"`
	Minutes int    `json:"minutes"`
	Usual   int    `json:"usual" doc:"of the table; our own guess"`
	Own     bool   `json:"own" doc:"said by the cook"`
}

type stepMinutesOutput struct{ Body []stepMinutesBody }

func (s *server) stepMinutes(ctx context.Context) (*stepMinutesOutput, error) {
	m, err := s.store.StepMinutes(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "minutes of steps")
	}
	out := &stepMinutesOutput{Body: []stepMinutesBody{}}
	for _, d := range day.Defaults() {
		_, own := m[d.ID]
		out.Body = append(out.Body, stepMinutesBody{d.ID, d.Name, m.Of(d.ID), d.Minutes, own})
	}
	return out, nil
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
		return nil, unprocessable([]error{field("body", "This day cannot be planned: "+fmt.Sprint(w.problem.Check())+".", nil)})
	}
	raw, err := json.Marshal(kept)
	if err != nil {
		return nil, err
	}
	w.kept, d.Placed = kept, string(raw)
	return w, nil
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
	part := day.Whole
	if batch.Settles(p.Query.Product) {
		part = day.Juice
		next, _, err := s.dayFor(ctx, dateOf(on+1).Format(time.DateOnly))
		if err != nil {
			return nil, err
		}
		if onDay(&next, id, string(day.Jars)) < 0 {
			next.Batches = append(next.Batches, store.DayBatch{Batch: id, Part: day.Jars})
			if _, err := s.planned(ctx, &next); err != nil {
				return nil, err
			}
			if err := s.store.KeepDays(ctx, next); err != nil {
				return nil, s.storeProblem(err, "day")
			}
		}
	}
	out, err := s.changeDay(ctx, date, func(d *store.Day) error {
		if onDay(d, id, string(part)) >= 0 {
			return unprocessable([]error{field("body.batch", "This batch is on the day already.", id)})
		}
		if len(d.Batches) >= mostOnDay {
			return unprocessable([]error{field("body.batch", fmt.Sprintf("Accepted: up to %d batches on a day. Put this one on another.", mostOnDay), id)})
		}
		d.Batches = append(d.Batches, store.DayBatch{Batch: id, Part: part})
		return nil
	})
	if err != nil || part != day.Juice {
		return out, err
	}
	return out, s.jarsAfterJuice(ctx, id, on+1)
}

// jarsAfterJuice lets the jars of juice begin no sooner than it has settled.
func (s *server) jarsAfterJuice(ctx context.Context, id string, on fruit.Day) error {
	_, ready, err := s.juiceReady(ctx, id, on)
	if err != nil {
		return err
	}
	_, err = s.changeDay(ctx, dateOf(on).Format(time.DateOnly), func(d *store.Day) error {
		if i := onDay(d, id, string(day.Jars)); i >= 0 {
			d.Batches[i].From = min(max(0, ready), 24*60)
		}
		return nil
	})
	return err
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

// tellDay keeps what is told of a step, by the kitchen's clock.
func (s *server) tellDay(ctx context.Context, date, step, kind, next string) (*dayOutput, error) {
	d, there, err := s.dayFor(ctx, date)
	if err != nil {
		return nil, err
	}
	if !there {
		return nil, huma.Error404NotFound("Nothing is planned on that day.")
	}
	w, err := s.workOn(ctx, d)
	if err != nil {
		return nil, err
	}
	known := func(key string) bool {
		canner, lit := strings.CutPrefix(key, "lit/")
		i := slices.Index(w.keys, key)
		return lit && slices.ContainsFunc(w.canners, func(c workCanner) bool { return c.id == canner }) || i >= 0 && w.problem.Tasks[i].Load == nil
	}
	if !known(step) || next != "" && !known(next) {
		return nil, huma.Error404NotFound("There is no such step on that day, or it is told at the stove.")
	}
	if n := int(d.Day - s.today()); n > 0 || n < -1 {
		return nil, unprocessable([]error{field("path.date", "What happens is told on the day itself.", date)})
	}
	wall := s.stove.Now().At.WallMs
	if err := s.store.TellDay(ctx, d.Day, store.DayLine{Step: step, Kind: kind, WallMs: wall}); err != nil {
		return nil, s.storeProblem(err, "day")
	}
	if next != "" {
		if err := s.store.TellDay(ctx, d.Day, store.DayLine{Step: next, Kind: "begun", WallMs: wall}); err != nil {
			return nil, s.storeProblem(err, "day")
		}
	}
	return s.answerDay(ctx, w, true)
}
