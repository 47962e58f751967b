// Package device holds what stands between the kitchen and things outside of it,
// each a small interface with a simulated one beside it.
package device

import (
	"context"
	"strings"

	"mellisca/core/measure"
)

// Place is somewhere with its altitude.
type Place struct {
	Name     string
	Altitude measure.Altitude
	Own      bool // the cook's own entry
}

// PlaceFinder finds places by a part of their name, best first. An empty name
// finds none.
type PlaceFinder interface {
	FindPlaces(ctx context.Context, name string) ([]Place, error)
}

// mostPlaces is how many a finder gives.
const mostPlaces = 12

// Gazetteer is the PlaceFinder of the made-up country around Corvane, with
// places of the cook's own before it.
type Gazetteer struct {
	// Own lists the cook's places; nil: there are none.
	Own func(ctx context.Context) ([]Place, error)
}

// FindPlaces finds the cook's own places first, and those that start with the
// name before those that hold it.
func (g Gazetteer) FindPlaces(ctx context.Context, name string) ([]Place, error) {
	wanted := strings.ToLower(strings.TrimSpace(name))
	if wanted == "" {
		return nil, nil
	}
	var all []Place
	if g.Own != nil {
		own, err := g.Own(ctx)
		if err != nil {
			return nil, err
		}
		all = append(all, own...)
	}
	all = append(all, madeUp...)
	var starts, holds []Place
	for _, p := range all {
		switch at := strings.Index(strings.ToLower(p.Name), wanted); {
		case at == 0:
			starts = append(starts, p)
		case at > 0:
			holds = append(holds, p)
		}
	}
	found := append(starts, holds...)
	return found[:min(len(found), mostPlaces)], nil
}

func feet(ft int64) measure.Altitude { return measure.Altitude(ft) * measure.Altitude(measure.Foot) }

// madeUp is the country around Corvane. None of it exists.
var madeUp = []Place{
	{"Corvane", feet(3480), false},
	{"Corvane Mill", feet(3190), false},
	{"Upper Corvane", feet(3905), false},
	{"Hut on the pass", feet(6240), false},
	{"Sallowmere", feet(-12), false},
	{"Tarnwick", feet(140), false},
	{"Quillon Bay", feet(22), false},
	{"Hesper's Ford", feet(880), false},
	{"Dunmarrow", feet(990), false},
	{"Orrin Green", feet(1415), false},
	{"Pellard", feet(1985), false},
	{"Marrowstone Valley", feet(2640), false},
	{"Ashgill", feet(2950), false},
	{"Velm", feet(4350), false},
	{"Brackwater Down", feet(5120), false},
	{"High Ostrey", feet(5930), false},
	{"Skarn", feet(7310), false},
	{"Lantern Peak village", feet(8460), false},
	{"Upper Wenlow", feet(10340), false},
}
