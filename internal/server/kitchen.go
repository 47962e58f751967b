package server

import (
	"context"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/canner"
	"mellisca/core/guide"
	"mellisca/core/measure"
	"mellisca/internal/store"
)

// kitchenBody is the cook's own set-up.
type kitchenBody struct {
	Name         string `json:"name" maxLength:"200"`
	Altitude     string `json:"altitude" maxLength:"200" doc:"as typed, such as 3,480 ft; empty where not known"`
	Units        string `json:"units" enum:"us,metric"`
	Version      int    `json:"version" minimum:"1"`
	AltitudeBand string `json:"altitudeBand" readOnly:"true" required:"false" doc:"the band it lies in, in words"`
	BoilsAt      string `json:"boilsAt" readOnly:"true" required:"false" doc:"where water boils there"`
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
	if len(problems) > 0 {
		return nil, unprocessable(problems)
	}
	return s.kitchenAnswer(s.store.SetKitchen(ctx, k, s.now()))
}

func (s *server) kitchenAnswer(k store.Kitchen, err error) (*kitchenOutput, error) {
	if err != nil {
		return nil, s.storeProblem(err, "kitchen")
	}
	b := kitchenBody{Name: k.Name, Units: string(k.Units), Version: k.Version}
	if k.Altitude != nil {
		b.Altitude = k.Altitude.Exact(k.Units)
		b.AltitudeBand = bandText(guide.BandOf(*k.Altitude), k.Units)
		b.BoilsAt = canner.BoilingPoint(*k.Altitude).Text(k.Units)
	}
	return &kitchenOutput{b}, nil
}
