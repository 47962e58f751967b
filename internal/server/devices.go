package server

import (
	"context"
	"sync"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/measure"
	"mellisca/core/run"
)

// scales holds the last reading of each kitchen scale.
type scales struct {
	mu   sync.Mutex
	last map[string]weighed
}

type weighed struct {
	mass measure.Mass
	at   run.Stamp
}

// mostScales bounds what is held of scales.
const mostScales = 20

type scaleBody struct {
	Name   string `json:"name"`
	Weight string `json:"weight"`
	Fresh  bool   `json:"fresh" doc:"read within the last half minute"`
}

// registerDevices registers where devices post their readings: anything that can send
// JSON over HTTP, a home-built sensor too.
func (s *server) registerDevices(api huma.API) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary, MaxBodyBytes: 1 << 10, Errors: []int{404, 422}}
	}
	huma.Register(api, op("thermometer-reading", "POST", "/api/thermometers/readings", "A reading of the thermometer in a canner; it only ever proposes"), func(ctx context.Context, in *struct {
		Body struct {
			Canner     string   `json:"canner" maxLength:"60" doc:"its name or id, or the id of the load in it"`
			Celsius    *float64 `json:"celsius,omitempty" required:"false" minimum:"-50" maximum:"400"`
			Fahrenheit *float64 `json:"fahrenheit,omitempty" required:"false" minimum:"-58" maximum:"752"`
		}
	}) (*struct{}, error) {
		b := in.Body
		if (b.Celsius == nil) == (b.Fahrenheit == nil) {
			return nil, unprocessable([]error{field("body.celsius", "Accepted: celsius or fahrenheit, one of them.", nil)})
		}
		celsius := 0.0
		if b.Celsius != nil {
			celsius = *b.Celsius
		} else {
			celsius = (*b.Fahrenheit - 32) / 1.8
		}
		for _, l := range s.stove.Now().Loads {
			about := aboutOf(l.About)
			if l.ID == b.Canner || about.CannerID == b.Canner && b.Canner != "" || about.Canner == b.Canner {
				if err := s.stove.Read(ctx, l.ID, celsius); err != nil {
					return nil, s.liveProblem(err)
				}
				return nil, nil
			}
		}
		return nil, huma.Error404NotFound("No load is in a canner of that name or id.")
	})
	huma.Register(api, op("scale-reading", "POST", "/api/scales/{name}/readings", "A reading of a kitchen scale"), func(_ context.Context, in *struct {
		Name string `path:"name" maxLength:"60"`
		Body struct {
			Grams float64 `json:"grams" minimum:"0" maximum:"200000"`
		}
	}) (*struct{}, error) {
		s.scales.mu.Lock()
		defer s.scales.mu.Unlock()
		if _, known := s.scales.last[in.Name]; !known && len(s.scales.last) >= mostScales {
			return nil, unprocessable([]error{field("path.name", "There are 20 scales already.", in.Name)})
		}
		if s.scales.last == nil {
			s.scales.last = map[string]weighed{}
		}
		s.scales.last[in.Name] = weighed{measure.Grams(in.Body.Grams), s.clock.Now()}
		return nil, nil
	})
	huma.Register(api, op("scales", "GET", "/api/scales", "What kitchen scales read last"), func(ctx context.Context, _ *struct{}) (*struct{ Body []scaleBody }, error) {
		k, err := s.store.Kitchen(ctx)
		if err != nil {
			return nil, s.storeProblem(err, "kitchen")
		}
		s.scales.mu.Lock()
		defer s.scales.mu.Unlock()
		all := []scaleBody{}
		now := s.clock.Now()
		for name, w := range s.scales.last {
			ago, sure := now.Since(w.at)
			all = append(all, scaleBody{name, w.mass.Text(k.Units), sure && ago <= 30_000})
		}
		return &struct{ Body []scaleBody }{all}, nil
	})
}
