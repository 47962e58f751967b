package server

import (
	"fmt"

	"mellisca/core/batch"
	"mellisca/core/fruit"
	"mellisca/core/measure"
)

// sharesAnswer says how much of each variety a blend takes, and how it tastes.
func sharesAnswer(s *batch.Shares, units measure.System) *sharesBody {
	if s == nil {
		return nil
	}
	b := &sharesBody{Parts: []shareBody{}}
	for _, p := range s.Parts {
		part := shareBody{Name: p.Name, Note: "no notes on it yet"}
		switch {
		case p.Mass > 0:
			part.Amount = p.Mass.Text(units)
		case p.Volume > 0:
			part.Amount = p.Volume.Text(units) + " prepared"
		}
		if p.Known {
			part.Note = p.Texture
		}
		b.Parts = append(b.Parts, part)
	}
	if s.Knows {
		b.Taste = fmt.Sprintf("Together %s, %.0f of 10 towards tart by your notes.", fruit.TasteWord(s.Tart), s.Tart)
	}
	return b
}
