package server

import (
	"context"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/day"
	"mellisca/internal/store"
)

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
