package server

import (
	"context"
	"errors"
	"fmt"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// OwnedFields is how many jars of one kind there are.
type OwnedFields struct {
	Jar   string `json:"jar" maxLength:"40"`
	Owned int    `json:"owned" minimum:"0" maximum:"5000"`
	InUse int    `json:"inUse" minimum:"0" maximum:"5000" doc:"full, on the shelf"`
}

// ClosureFields is how many new lids and bands there are for one mouth.
type ClosureFields struct {
	Mouth string `json:"mouth" enum:"regular,wide"`
	Lids  int    `json:"lids" minimum:"0" maximum:"10000"`
	Bands int    `json:"bands" minimum:"0" maximum:"10000"`
}

type stockBody struct {
	Jars   []OwnedFields   `json:"jars" maxItems:"40" nullable:"false"`
	Mouths []ClosureFields `json:"mouths" maxItems:"2" nullable:"false"`
}

type spreadBody struct {
	OK      bool       `json:"ok" doc:"false where jars were not counted, or none can be used"`
	Text    string     `json:"text"`
	Left    string     `json:"left" doc:"for the refrigerator; empty where nothing is over"`
	Minutes int        `json:"minutes"`
	Loads   []loadBody `json:"loads" nullable:"false"`
	Canner  cannerBody `json:"canner"`
}

func (s *server) registerStock(api huma.API) {
	huma.Register(api, huma.Operation{
		OperationID: "stock", Method: "GET", Path: "/api/stock", Summary: "Jars, new lids and bands of the kitchen",
	}, func(ctx context.Context, _ *struct{}) (*struct{ Body stockBody }, error) { return s.stockAnswer(ctx) })
	huma.Register(api, huma.Operation{
		OperationID: "set-stock", Method: "PUT", Path: "/api/stock", MaxBodyBytes: mostBody, Errors: []int{422}, Summary: "Say what was counted",
	}, func(ctx context.Context, in *struct{ Body stockBody }) (*struct{ Body stockBody }, error) {
		st, problems := in.Body.read()
		if len(problems) > 0 {
			return nil, unprocessable(problems)
		}
		if err := s.store.SetStock(ctx, st); err != nil {
			return nil, s.storeProblem(err, "count")
		}
		return s.stockAnswer(ctx)
	})
	huma.Register(api, huma.Operation{
		OperationID: "spread", Method: "POST", Path: "/api/spread", MaxBodyBytes: mostBody, Errors: []int{422},
		Summary: "What the fruit likely gives, put into the jars at hand",
	}, func(ctx context.Context, in *struct {
		Body struct {
			Request requestBody `json:"request"`
			Sizes   int         `json:"sizes" required:"false" minimum:"1" maximum:"3" default:"2" doc:"the most sizes of jar"`
		}
	}) (*struct{ Body spreadBody }, error) {
		k, units, err := s.kitchenNow(ctx)
		if err != nil {
			return nil, err
		}
		r, p, err := makePlan(in.Body.Request, k, "body.request.")
		if err != nil {
			return nil, err
		}
		spread, ok, err := batch.SpreadOver(r, k, in.Body.Sizes)
		var ps batch.Problems
		if errors.As(err, &ps) {
			return nil, bodyProblems(ps, "body.request.")
		}
		return &struct{ Body spreadBody }{spreadAnswer(spread, ok, r, p, units)}, err
	})
}

func (s *server) stockAnswer(ctx context.Context) (*struct{ Body stockBody }, error) {
	st, err := s.store.Stock(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "count")
	}
	k, _, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	b := stockBody{Jars: []OwnedFields{}, Mouths: []ClosureFields{}}
	own := map[jar.ID]bool{}
	for _, j := range batch.JarsOf(k) {
		own[j.ID] = true
	}
	for _, j := range jar.All() {
		if o, counted := st.Jars[j.ID]; counted || own[j.ID] {
			b.Jars = append(b.Jars, OwnedFields{string(j.ID), o.Owned, o.InUse})
		}
	}
	for _, m := range []jar.Mouth{jar.Regular, jar.Wide} {
		b.Mouths = append(b.Mouths, ClosureFields{string(m), st.Lids[m], st.Bands[m]})
	}
	return &struct{ Body stockBody }{b}, nil
}

func (b stockBody) read() (batch.Stock, []error) {
	st := batch.Stock{Jars: map[jar.ID]batch.Owned{}, Lids: map[jar.Mouth]int{}, Bands: map[jar.Mouth]int{}}
	var problems []error
	for i, o := range b.Jars {
		where := fmt.Sprintf("body.jars[%d]", i)
		j, ok := jar.Find(jar.ID(o.Jar))
		switch {
		case !ok:
			problems = append(problems, field(where, "Accepted: a jar of the catalogue.", o.Jar))
		case o.InUse > o.Owned:
			problems = append(problems, field(where, fmt.Sprintf("Of %d %s no more than %d can be full.", o.Owned, j.Many, o.Owned), o.InUse))
		}
		st.Jars[j.ID] = batch.Owned{Owned: o.Owned, InUse: o.InUse}
	}
	for _, m := range b.Mouths {
		st.Lids[jar.Mouth(m.Mouth)], st.Bands[jar.Mouth(m.Mouth)] = m.Lids, m.Bands
	}
	return st, problems
}

func spreadAnswer(s batch.Spread, ok bool, r batch.Request, p batch.Plan, units measure.System) spreadBody {
	b := spreadBody{OK: ok, Minutes: s.Minutes, Loads: loadBodies(s.Loads), Canner: cannerAnswer(r, p, units), Text: batch.FilledText(s.Jars)}
	if s.Left > 0 {
		b.Left = s.Left.Rough(units)
	}
	return b
}

// loadBodies are loads with every jar in its place.
func loadBodies(loads []batch.Load) []loadBody {
	all := []loadBody{}
	for _, l := range loads {
		body := loadBody{Jars: l.Count(), Text: batch.FilledText(l.Jars), Minutes: l.Minutes, Mixed: l.Mixed(), Tiers: []tierBody{}}
		for _, t := range l.Tiers {
			tier := tierBody{Jars: []placedBody{}}
			for _, in := range t {
				tier.Jars = append(tier.Jars, placedBody{string(in.Jar.ID), in.Jar.One, in.Jar.Diameter.Centimetres(), rounded(in.XCm, 2), rounded(in.YCm, 2)})
			}
			body.Tiers = append(body.Tiers, tier)
		}
		all = append(all, body)
	}
	return all
}
