package server

import (
	"context"
	"crypto/rand"
	"errors"
	"net/http"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/measure"
	"mellisca/core/run"
	"mellisca/internal/live"
	"mellisca/internal/store"
)

// TellFields is what is told of a load.
type TellFields struct {
	Kind     string `json:"kind" maxLength:"20" doc:"jars-in, lid-on, boil, boil-lost and so on"`
	What     string `json:"what,omitempty" required:"false" maxLength:"60"`
	Jar      int    `json:"jar,omitempty" required:"false" minimum:"0" maximum:"500" doc:"from 1; 0 for the load"`
	Except   []int  `json:"except,omitempty" required:"false" maxItems:"100" doc:"of a check: jars that are not right yet"`
	AgoMs    int64  `json:"agoMs,omitempty" required:"false" minimum:"0" maximum:"86400000" doc:"how long ago it happened"`
	Target   int    `json:"target,omitempty" required:"false" doc:"of a correction: the number of what is corrected"`
	ShiftMs  int64  `json:"shiftMs,omitempty" required:"false" doc:"of a correction: by how much later, earlier under 0"`
	Void     bool   `json:"void,omitempty" required:"false" doc:"of a correction: it did not happen"`
	SinceMs  int64  `json:"sinceMs,omitempty" required:"false" minimum:"0" doc:"of confirmed: for how long it has boiled hard"`
	Altitude string `json:"altitude,omitempty" required:"false" maxLength:"60" doc:"of altitude, as typed"`
	Text     string `json:"text,omitempty" required:"false" maxLength:"500" doc:"of a note"`
	By       string `json:"by,omitempty" required:"false" maxLength:"40" doc:"the device that proposed it"`
	After    int    `json:"after" doc:"the number of the last event that was seen, so that the same thing told by two is one"`
}

type stoveOutput struct{ Body stoveBody }

// hob is where a station's loads are: the kitchen's, or practice.
type hob struct {
	path     string
	stove    func() *live.Stove
	practice func() *live.Practice
}

func (s *server) registerStove(api huma.API) {
	kitchen := hob{"/api/stove", func() *live.Stove { return s.stove }, func() *live.Practice { return nil }}
	s.registerHob(api, kitchen, "")
	practice := hob{"/api/practice", s.practiceStove, s.practiceNow}
	s.registerHob(api, practice, "practice-")
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 409, 422}}
	}
	huma.Register(api, op("open-load", "POST", "/api/stove/loads", "Put a load of a saved batch on the hob"), func(ctx context.Context, in *struct {
		Body struct {
			Batch  string `json:"batch" maxLength:"40"`
			Load   *int   `json:"load,omitempty" required:"false" minimum:"0" maximum:"500" doc:"which of its loads, from 0; the next one that was not on the hob where left out"`
			Canner string `json:"canner,omitempty" required:"false" maxLength:"40" doc:"in another canner than the batch says, where its loads are the same in it"`
		}
	}) (*stoveOutput, error) {
		if err := s.openLoad(ctx, in.Body.Batch, in.Body.Load, in.Body.Canner); err != nil {
			return nil, err
		}
		return s.stoveNow(ctx, kitchen)
	})
	huma.Register(api, op("start-practice", "POST", "/api/practice", "Begin a practice run, in place of the one before"), func(ctx context.Context, in *struct {
		Body struct {
			Times float64 `json:"times" minimum:"1" maximum:"120" doc:"how many times as fast"`
			Seed  uint64  `json:"seed,omitempty" required:"false" doc:"the same one brings the same troubles"`
		}
	}) (*stoveOutput, error) {
		if err := s.startPractice(ctx, in.Body.Times, in.Body.Seed); err != nil {
			return nil, err
		}
		return s.stoveNow(ctx, practice)
	})
	huma.Register(api, op("end-practice", "DELETE", "/api/practice", "End practice; nothing of it is kept"), func(context.Context, *struct{}) (*struct{}, error) {
		s.endPractice()
		return nil, nil
	})
	huma.Register(api, op("batch-ran", "GET", "/api/batches/{id}/ran", "What the stove remembers of a batch, for closing it"), func(ctx context.Context, in *BatchID) (*struct{ Body ranBody }, error) {
		loads, err := store.Stove{Store: s.store}.LoadsOf(ctx, in.ID)
		if err != nil {
			return nil, s.storeProblem(err, "loads")
		}
		b := ranAnswer(loads)
		b.PrepareMinutes, b.CookMinutes, err = s.timedByDay(ctx, in.ID)
		return &struct{ Body ranBody }{b}, err
	})
	s.registerDevices(api)
}

// registerHob registers what is the same in the kitchen and in practice.
func (s *server) registerHob(api huma.API, h hob, prefix string) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: prefix + id, Method: method, Path: h.path + path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 409, 422}}
	}
	huma.Register(api, op("stove", "GET", "", "The hob with its loads and clocks, as it is now"), func(ctx context.Context, _ *struct{}) (*stoveOutput, error) {
		return s.stoveNow(ctx, h)
	})
	huma.Register(api, op("tell", "POST", "/loads/{id}/tell", "Tell what happened to a load"), func(ctx context.Context, in *struct {
		PotID
		Body TellFields
	}) (*stoveOutput, error) {
		stove := h.stove()
		if stove == nil {
			return nil, huma.Error404NotFound("No practice is running. Begin one first.")
		}
		e, err := s.eventOf(ctx, stove, in.ID, in.Body)
		if err != nil {
			return nil, err
		}
		before := stove.Now()
		if err := stove.Tell(ctx, in.ID, e, in.Body.After); err != nil {
			return nil, s.liveProblem(err)
		}
		if e.Kind == run.PutAway {
			if err := watchSeals(ctx, stove, before, in.ID); err != nil {
				return nil, s.liveProblem(err)
			}
		}
		return s.stoveNow(ctx, h)
	})
	huma.Register(api, op("start-clock", "POST", "/clocks", "Start a clock beside the loads"), func(ctx context.Context, in *struct {
		Body struct {
			Kind    string  `json:"kind" maxLength:"20"`
			Name    string  `json:"name,omitempty" required:"false" maxLength:"60"`
			Minutes float64 `json:"minutes,omitempty" required:"false" minimum:"0" maximum:"10000" doc:"its usual time where left out"`
		}
	}) (*stoveOutput, error) {
		e, err := run.Start(strings.ToLower(rand.Text()[:12]), run.SideKind(in.Body.Kind), strings.TrimSpace(in.Body.Name), int64(in.Body.Minutes*60_000), run.Stamp{})
		if err != nil {
			return nil, s.liveProblem(err)
		}
		return s.side(ctx, h, e)
	})
	for path, act := range map[string]run.SideAct{"heard": run.Heard, "stopped": run.Stopped} {
		huma.Register(api, op("clock-"+path, "POST", "/clocks/{id}/"+path, "Say that a clock was heard, or that it is not wanted any more"), func(ctx context.Context, in *PotID) (*stoveOutput, error) {
			return s.side(ctx, h, run.SideEvent{ID: in.ID, Act: act})
		})
	}
}

// watchSeals starts the clocks that outlast a load on the hob: when to look at its seals,
// and how long a jar that did not seal has.
func watchSeals(ctx context.Context, stove *live.Stove, before live.Moment, id string) error {
	for _, l := range before.Loads {
		if l.ID != id || l.State.Short {
			continue
		}
		name := "seals of " + aboutOf(l.About).Canner
		for kind, whole := range map[run.SideKind]int64{run.Cool: 12 * 60 * 60_000, run.Reprocess: 24 * 60 * 60_000} {
			left := whole - l.State.SinceOut
			if left <= 0 {
				continue
			}
			e := run.SideEvent{ID: sealClock(kind, id), Act: run.Started, Kind: kind, Name: clip(name), ForMs: left}
			if err := stove.Side(ctx, e); err != nil {
				return err
			}
		}
	}
	return nil
}

// sealClock names the clock of a kind that watches the seals of a load.
func sealClock(kind run.SideKind, load string) string { return string(kind) + "-" + load }

// endSealClocks ends the clocks that no jar of a load needs any more: the first once all
// were looked at, the other once all were decided on.
func (s *server) endSealClocks(ctx context.Context, load string, looked, done bool) error {
	for kind, over := range map[run.SideKind]bool{run.Cool: looked || done, run.Reprocess: done} {
		if !over {
			continue
		}
		err := s.stove.Side(ctx, run.SideEvent{ID: sealClock(kind, load), Act: run.Stopped})
		if err != nil && !errors.Is(err, live.ErrNoClock) {
			return err
		}
	}
	return nil
}

func (s *server) side(ctx context.Context, h hob, e run.SideEvent) (*stoveOutput, error) {
	stove := h.stove()
	if stove == nil {
		return nil, huma.Error404NotFound("No practice is running. Begin one first.")
	}
	if err := stove.Side(ctx, e); err != nil {
		return nil, s.liveProblem(err)
	}
	return s.stoveNow(ctx, h)
}

// eventOf is what the fields tell. An altitude is judged anew for the load.
func (s *server) eventOf(ctx context.Context, stove *live.Stove, load string, f TellFields) (run.Event, error) {
	e := run.Event{
		Kind: run.Kind(f.Kind), What: f.What, Jar: f.Jar, Except: f.Except, AgoMs: f.AgoMs, Target: f.Target, ShiftMs: f.ShiftMs, Void: f.Void,
		SinceMs: f.SinceMs, Text: strings.TrimSpace(f.Text), By: f.By,
	}
	if e.Kind != run.Altitude {
		return e, nil
	}
	a, err := measure.ParseAltitude(f.Altitude)
	if err != nil {
		return e, unprocessable([]error{field("body.altitude", upper(err.Error())+".", f.Altitude)})
	}
	k, units, err := s.kitchenNow(ctx)
	if err != nil {
		return e, err
	}
	for _, l := range stove.Now().Loads {
		if l.ID == load {
			about := aboutOf(l.About)
			e.Text = a.Text(units)
			e.Minutes, err = minutesAt(about, f.Altitude, k)
			return e, err
		}
	}
	return e, s.liveProblem(live.ErrNoLoad)
}

// liveProblem turns an error of the stove into one for people.
func (s *server) liveProblem(err error) error {
	var r *run.Refusal
	switch {
	case errors.As(err, &r):
		return unprocessable([]error{field("body."+r.Field, r.Text, nil)})
	case errors.Is(err, live.ErrNoLoad), errors.Is(err, live.ErrNoClock):
		return huma.Error404NotFound(upper(err.Error()) + ". Somebody may have cleared it.")
	}
	s.log.Error("the stove failed", "error", err)
	return huma.Error500InternalServerError("That could not be kept: the file did not answer. Nothing was changed; tell it again.")
}

func (s *server) stoveNow(ctx context.Context, h hob) (*stoveOutput, error) {
	b, err := s.momentOf(ctx, h)
	return &stoveOutput{b}, err
}

// momentOf is the hob now, ready to be shown.
func (s *server) momentOf(ctx context.Context, h hob) (stoveBody, error) {
	k, err := s.store.Kitchen(ctx)
	if err != nil {
		return stoveBody{}, s.storeProblem(err, "kitchen")
	}
	loc := s.now().Location()
	stove := h.stove()
	if stove == nil {
		return stoveAnswer(live.Moment{At: run.Stamp{WallMs: s.now().UnixMilli()}}, k.Units, loc), nil
	}
	b := stoveAnswer(stove.Now(), k.Units, loc)
	if p := h.practice(); p != nil {
		b.Practice = &practiceBody{Times: p.Clock.Times(), Sees: notNil(p.Sees())}
		well, better, over := p.Account()
		b.Practice.Well, b.Practice.Better, b.Practice.Over = notNil(well), notNil(better), over
	}
	return b, nil
}

// beat is how often a page that is open is told how the hob stands.
const beat = time.Second

// quickBeat is the same in practice.
const quickBeat = 200 * time.Millisecond

// events is the live stream of a hob: what was told, each once and in order, with its
// number as the event's id, so that a page that comes back goes on where it was; and
// how the hob stands, at each change and every second.
func (s *server) events(h hob) http.HandlerFunc {
	return func(w http.ResponseWriter, r *http.Request) {
		stove := h.stove()
		if stove == nil {
			writeProblem(w, http.StatusNotFound, "No practice is running. Begin one first.")
			return
		}
		s.stream(w, r, h, stove)
	}
}
