package device

import (
	"context"
	"errors"
	"testing"
)

func TestGazetteer(t *testing.T) {
	own := []Place{{"Corvane, our yard", feet(3512), true}, {"The loft", feet(3530), true}}
	g := Gazetteer{Own: func(context.Context) ([]Place, error) { return own, nil }}
	for name, want := range map[string][]string{
		"corv":   {"Corvane, our yard", "Corvane", "Corvane Mill", "Upper Corvane"},
		" LOFT ": {"The loft"},
		"pass":   {"Hut on the pass"},
		"":       nil,
		"paris":  nil,
	} {
		found, err := g.FindPlaces(t.Context(), name)
		if err != nil || len(found) != len(want) {
			t.Errorf("%q: %v, %v", name, found, err)
			continue
		}
		for i, p := range found {
			if p.Name != want[i] || p.Own != (i == 0 && name != "pass") {
				t.Errorf("%q: %+v, want %s", name, p, want[i])
			}
		}
	}
	if found, _ := (Gazetteer{}).FindPlaces(t.Context(), "e"); len(found) != mostPlaces {
		t.Errorf("%d places", len(found))
	}
	g.Own = func(context.Context) ([]Place, error) { return nil, errors.New("no file") }
	if _, err := g.FindPlaces(t.Context(), "a"); err == nil {
		t.Error("a broken list was passed over")
	}
}
