package server

import (
	"context"
	"slices"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/jar"
	"mellisca/core/measure"
	"mellisca/internal/store"
)

// kitchenBody is the cook's own set-up.
type kitchenBody struct {
	Name         string   `json:"name" maxLength:"200"`
	Altitude     string   `json:"altitude" maxLength:"200" doc:"as typed, such as 3,480 ft; empty where not known"`
	Units        string   `json:"units" enum:"us,metric"`
	Jars         []string `json:"jars" required:"false" maxItems:"40" doc:"the ids of the jars it has; empty: all of its units. Left out of a change: as they are"`
	Version      int      `json:"version" minimum:"1"`
	AltitudeBand string   `json:"altitudeBand" readOnly:"true" required:"false" doc:"the band it lies in, in words"`
	BoilsAt      string   `json:"boilsAt" readOnly:"true" required:"false" doc:"where water boils there"`
	Near         string   `json:"near" readOnly:"true" required:"false" doc:"that the next band is near, in words; empty where it is not"`
	Cautious     string   `json:"cautious" readOnly:"true" required:"false" doc:"the altitude to set where the figure is rough"`
}

func (s *server) registerKitchen(api huma.API) {
	huma.Register(api, huma.Operation{
		OperationID: "get-kitchen", Method: "GET", Path: "/api/kitchen", Summary: "The kitchen's name, altitude and units",
	}, func(ctx context.Context, _ *struct{}) (*kitchenOutput, error) {
		return s.kitchenAnswer(s.store.Kitchen(ctx))
	})
	huma.Register(api, huma.Operation{
		OperationID: "set-kitchen", Method: "PUT", Path: "/api/kitchen", MaxBodyBytes: mostBody, Errors: []int{409, 422},
		Summary: "Change the kitchen's name, altitude and units",
	}, s.setKitchen)
}

type kitchenOutput struct{ Body kitchenBody }

func (s *server) setKitchen(ctx context.Context, in *struct{ Body kitchenBody }) (*kitchenOutput, error) {
	k := store.Kitchen{Name: in.Body.Name, Version: in.Body.Version}
	var problems []error
	units, err := measure.ParseSystem(in.Body.Units)
	if err != nil {
		problems = append(problems, field("body.units", err.Error(), in.Body.Units))
	}
	k.Units = units
	if in.Body.Altitude != "" {
		a, err := measure.ParseAltitude(in.Body.Altitude)
		if err != nil {
			problems = append(problems, field("body.altitude", err.Error(), in.Body.Altitude))
		}
		k.Altitude = &a
	}
	for _, id := range in.Body.Jars {
		if _, ok := jar.Find(jar.ID(id)); !ok || slices.Contains(k.Jars, jar.ID(id)) {
			problems = append(problems, field("body.jars", "Accepted: each once, of "+ids(jar.IDs())+".", id))
			continue
		}
		k.Jars = append(k.Jars, jar.ID(id))
	}
	if len(problems) > 0 {
		return nil, unprocessable(problems)
	}
	if in.Body.Jars == nil {
		now, err := s.store.Kitchen(ctx)
		if err != nil {
			return nil, s.storeProblem(err, "kitchen")
		}
		k.Jars = now.Jars
	}
	return s.kitchenAnswer(s.store.SetKitchen(ctx, k, s.now()))
}

func (s *server) kitchenAnswer(k store.Kitchen, err error) (*kitchenOutput, error) {
	if err != nil {
		return nil, s.storeProblem(err, "kitchen")
	}
	b := kitchenBody{Name: k.Name, Units: string(k.Units), Version: k.Version, Jars: []string{}}
	for _, id := range k.Jars {
		b.Jars = append(b.Jars, string(id))
	}
	if k.Altitude != nil {
		f := foundAt(*k.Altitude, nearTyped, k.Units)
		b.Altitude, b.AltitudeBand, b.BoilsAt, b.Near, b.Cautious = f.Altitude, f.Band, f.BoilsAt, f.Near, f.Cautious
	}
	return &kitchenOutput{b}, nil
}
