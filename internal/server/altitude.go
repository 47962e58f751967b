package server

import (
	"context"
	"fmt"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/canner"
	"mellisca/core/guide"
	"mellisca/core/measure"
	"mellisca/internal/device"
	"mellisca/internal/exchange"
	"mellisca/internal/store"
)

// FoundAltitude is an altitude with the column it means.
type FoundAltitude struct {
	Altitude string `json:"altitude" doc:"to be set as it stands"`
	Band     string `json:"band" doc:"the column of the table, in words"`
	BoilsAt  string `json:"boilsAt"`
	Near     string `json:"near" doc:"that the next column is near, in words; empty where it is not"`
	Cautious string `json:"cautious" doc:"the altitude to set where the figure is rough: the lowest of the next column; empty where it is not near"`
}

type placeBody struct {
	Name string `json:"name"`
	Own  bool   `json:"own" doc:"the cook's own entry"`
	FoundAltitude
}

type placesOutput struct {
	Body struct {
		Places []placeBody `json:"places" nullable:"false"`
		Own    int         `json:"own" doc:"how many places of the cook's own there are"`
	}
}

type boilingOutput struct {
	Body struct {
		FoundAltitude
		Text string `json:"text" doc:"what the reading means"`
	}
}

// How near the next column is worth a word, in feet: a figure that was typed is a
// map's or a neighbour's, that of a place is for its middle.
const (
	nearTyped = 100
	nearPlace = 300
)

func (s *server) registerAltitude(api huma.API) {
	huma.Register(api, huma.Operation{
		OperationID: "altitude", Method: "GET", Path: "/api/altitude", Errors: []int{422}, Summary: "What an altitude means, as typed",
	}, func(ctx context.Context, in *struct {
		Typed string `query:"typed" maxLength:"200"`
	}) (*struct{ Body FoundAltitude }, error) {
		a, err := measure.ParseAltitude(in.Typed)
		if err != nil {
			return nil, unprocessable([]error{field("query.typed", err.Error(), in.Typed)})
		}
		_, units, err := s.kitchenNow(ctx)
		return &struct{ Body FoundAltitude }{foundAt(a, nearTyped, units)}, err
	})
	huma.Register(api, huma.Operation{
		OperationID: "altitude-by-boiling", Method: "GET", Path: "/api/altitude/boiling", Errors: []int{422},
		Summary: "The altitude from a thermometer in boiling water: the highest that weather leaves open",
	}, func(ctx context.Context, in *struct {
		At string `query:"at" maxLength:"200" doc:"as typed: 205.4 °F"`
	}) (*boilingOutput, error) {
		return s.altitudeByBoiling(ctx, in.At)
	})
	huma.Register(api, huma.Operation{
		OperationID: "find-places", Method: "GET", Path: "/api/places", Summary: "Places by a part of their name, the cook's own first",
	}, func(ctx context.Context, in *struct {
		Find string `query:"find" maxLength:"200"`
	}) (*placesOutput, error) {
		return s.findPlaces(ctx, in.Find)
	})
	huma.Register(api, huma.Operation{
		OperationID: "import-places", Method: "POST", Path: "/api/places", MaxBodyBytes: mostBody, Errors: []int{422},
		Summary: "Keep places of the cook's own from a CSV with the columns name and altitude; anything wrong refuses it whole",
	}, func(ctx context.Context, in *struct {
		Body struct {
			CSV string `json:"csv"`
		}
	}) (*placesOutput, error) {
		places, err := exchange.ReadPlaces(strings.NewReader(in.Body.CSV))
		if err != nil {
			return nil, unprocessable([]error{field("body.csv", "Nothing was taken over. "+upper(err.Error())+".", "")})
		}
		kept := make([]store.Place, len(places))
		for i, p := range places {
			kept[i] = store.Place(p)
		}
		if err := s.store.AddPlaces(ctx, kept); err != nil {
			return nil, s.storeProblem(err, "places")
		}
		return s.findPlaces(ctx, "")
	})
}

func (s *server) altitudeByBoiling(ctx context.Context, typed string) (*boilingOutput, error) {
	t, err := measure.ParseTemperature(typed)
	if err != nil {
		return nil, unprocessable([]error{field("query.at", err.Error(), typed)})
	}
	found, err := canner.AltitudeWhereBoils(t)
	if err != nil {
		return nil, unprocessable([]error{field("query.at", upper(err.Error())+".", typed)})
	}
	_, units, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	out := &boilingOutput{}
	high, _ := measure.ParseAltitude(found.High.Text(units)) // whole feet or metres, upwards
	out.Body.FoundAltitude = foundAt(high, 0, units)
	out.Body.Text = fmt.Sprintf("In usual weather water boils so at %s. Weather moves it, so it may be anywhere from %s to %s: take %s.",
		found.Likely.Text(units), found.Low.Text(units), found.High.Text(units), high.Text(units))
	return out, nil
}

// foundAt says what an altitude means, and that the next column is near where it
// is within so many feet.
func foundAt(a measure.Altitude, near int, units measure.System) FoundAltitude {
	f := FoundAltitude{Altitude: a.Exact(units), Band: bandText(guide.BandOf(a), units), BoilsAt: canner.BoilingPoint(a).Text(units)}
	if next, ft, ok := guide.NextBand(a); ok && ft <= near {
		f.Cautious = next.Exact(units)
		f.Near = fmt.Sprintf("The next column starts %s higher. If this figure is rough, or your kitchen lies higher up, take %s: longer is safe, shorter is not.",
			measure.Altitude(int64(ft)*int64(measure.Foot)).Text(units), next.Text(units))
	}
	return f
}

func (s *server) findPlaces(ctx context.Context, name string) (*placesOutput, error) {
	_, units, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	own, err := s.store.Places(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "places")
	}
	found, err := s.places(own).FindPlaces(ctx, name)
	if err != nil {
		return nil, s.storeProblem(err, "places")
	}
	out := &placesOutput{}
	out.Body.Own, out.Body.Places = len(own), []placeBody{}
	for _, p := range found {
		out.Body.Places = append(out.Body.Places, placeBody{p.Name, p.Own, foundAt(p.Altitude, nearPlace, units)})
	}
	return out, nil
}

// places is the finder with the cook's own places before the made-up ones.
func (s *server) places(own []store.Place) device.PlaceFinder {
	return device.Gazetteer{Own: func(context.Context) ([]device.Place, error) {
		all := make([]device.Place, len(own))
		for i, p := range own {
			all[i] = device.Place{Name: p.Name, Altitude: p.Altitude, Own: true}
		}
		return all, nil
	}}
}

func upper(s string) string {
	if s == "" {
		return s
	}
	return strings.ToUpper(s[:1]) + s[1:]
}
