package server

import (
	"context"
	"errors"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/measure"
)

type planInput struct{ Body requestBody }

type planOutput struct{ Body planBody }

func (s *server) registerPlan(api huma.API) {
	huma.Register(api, huma.Operation{
		OperationID: "plan", Method: "POST", Path: "/api/plan", MaxBodyBytes: mostBody, Errors: []int{422},
		Summary: "The plan of a batch, without keeping it",
	}, func(ctx context.Context, in *planInput) (*planOutput, error) {
		k, _, err := s.kitchenNow(ctx)
		if err != nil {
			return nil, err
		}
		r, p, err := makePlan(in.Body, k, "body.")
		if err != nil {
			return nil, err
		}
		return &planOutput{planAnswer(r, p, k)}, nil
	})
}

// kitchenNow is what plans take from the kitchen as it is set up.
func (s *server) kitchenNow(ctx context.Context) (batch.Kitchen, measure.System, error) {
	k, err := s.store.Kitchen(ctx)
	if err != nil {
		return batch.Kitchen{}, "", s.storeProblem(err, "kitchen")
	}
	kitchen := batch.Kitchen{Altitude: k.Altitude, Units: k.Units, Jars: k.Jars, Memo: s.memo, Sources: map[string]guide.OwnSource{}}
	if kitchen.Schools, err = s.store.Choices(ctx); err != nil {
		return batch.Kitchen{}, "", s.storeProblem(err, "kitchen")
	}
	if kitchen.Canners, kitchen.Pots, err = s.canners(ctx); err != nil {
		return batch.Kitchen{}, "", s.storeProblem(err, "canners")
	}
	if err := s.learned(ctx, &kitchen); err != nil {
		return batch.Kitchen{}, "", err
	}
	all, err := s.store.OwnSources(ctx)
	if err != nil {
		return batch.Kitchen{}, "", s.storeProblem(err, "own sources")
	}
	for _, o := range all {
		kitchen.Sources[o.ID] = o.Source
	}
	return kitchen, k.Units, nil
}

// learned puts what the cook's own batches gave, and the fruit at hand, into a kitchen.
func (s *server) learned(ctx context.Context, k *batch.Kitchen) error {
	ways, heating, err := s.seen(ctx)
	if err != nil {
		return s.storeProblem(err, "closed batches")
	}
	k.Seen = ways
	for i := range k.Canners {
		k.Canners[i].Correct = heating
	}
	typed, err := s.pricesAnswer(ctx)
	if err != nil {
		return err
	}
	k.Prices, _ = typed.Body.read()
	if k.Stock, err = s.store.Stock(ctx); err != nil {
		return s.storeProblem(err, "count of jars")
	}
	varieties, err := s.store.Varieties(ctx)
	if err != nil {
		return s.storeProblem(err, "varieties")
	}
	for _, v := range varieties {
		k.Known = append(k.Known, fruit.Variety{Kind: v.Kind, Name: v.Name, Tart: v.Tart, Texture: v.Texture})
	}
	lots, err := s.store.Lots(ctx, dayOf(s.now())-usedUpShown)
	if err != nil {
		return s.storeProblem(err, "lots")
	}
	k.Lots = map[string]batch.LotAtHand{}
	for _, l := range lots {
		at := batch.LotAtHand{Name: l.Name, Kind: l.Kind, Left: l.Left(), CentsPerKg: -1}
		if l.PriceCents >= 0 {
			at.CentsPerKg = float64(l.PriceCents) / (l.Bought.Mass.Grams() / 1000)
		}
		k.Lots[l.ID] = at
		for _, over := range leftOvers(l, dayOf(s.now())) {
			k.Lots[batch.LeftOverID(l.ID, over.use)] = batch.LotAtHand{Name: "the " + over.What + " of " + l.Name, Kind: l.Kind, Left: over.left, Over: over.What}
		}
	}
	return nil
}

// makePlan makes a plan, or a problem whose fields start with prefix.
func makePlan(b requestBody, k batch.Kitchen, prefix string) (batch.Request, batch.Plan, error) {
	r, err := b.request()
	var p batch.Plan
	if err == nil {
		p, err = batch.Make(r, k)
	}
	var ps batch.Problems
	if errors.As(err, &ps) {
		return r, p, bodyProblems(ps, prefix)
	}
	return r, p, err
}
