package server

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/fruit"
	"mellisca/internal/exchange"
	"mellisca/internal/store"
)

// PastTyped is what a batch of an earlier season gave, as it was written down.
type PastTyped struct {
	Product string `json:"product" maxLength:"80" doc:"peaches"`
	Form    string `json:"form" required:"false" maxLength:"40" doc:"halves; needed where there are several"`
	Pack    string `json:"pack" required:"false" maxLength:"10" doc:"raw or hot; needed for fruit"`
	Fruit   string `json:"fruit" maxLength:"60" doc:"24 lb"`
	Jars    string `json:"jars" maxLength:"200" doc:"9 quarts, 1 pint"`
	Day     string `json:"day" maxLength:"40" doc:"2025-08-14, or the year alone"`
	Liquid  string `json:"liquid" required:"false" maxLength:"60"`
	Minutes string `json:"minutes" required:"false" maxLength:"20" doc:"of getting the fruit ready"`
	Note    string `json:"note" required:"false" maxLength:"1000"`
}

type pastOutput struct {
	Body struct {
		Added    int           `json:"added"`
		Same     int           `json:"same" doc:"that were here already"`
		Closings []closingBody `json:"closings" nullable:"false"`
	}
}

func (s *server) registerPast(api huma.API, op func(id, method, path, summary string) huma.Operation) {
	huma.Register(api, op("type-past-batch", "POST", "/api/closings/typed", "Keep what a batch of an earlier season gave, as it was written down"), func(ctx context.Context, in *struct{ Body PastTyped }) (*pastOutput, error) {
		b := in.Body
		typed := exchange.PastTyped{Product: b.Product, Form: b.Form, Pack: b.Pack, Fruit: b.Fruit, Jars: b.Jars, Liquid: b.Liquid, Minutes: b.Minutes, Note: b.Note, Day: b.Day}
		p, found := typed.Read(dateOf(dayOf(s.now())))
		var problems []error
		for _, f := range found {
			problems = append(problems, field("body."+f.Column, upper(f.Problem)+".", nil))
		}
		if len(problems) > 0 {
			return nil, unprocessable(problems)
		}
		return s.keepPast(ctx, []exchange.Past{p})
	})
	file := op("import-past-batches", "POST", "/api/closings/import", "Take over what batches of earlier seasons gave from a CSV; anything wrong refuses it whole, and what is here already is left as it is")
	file.MaxBodyBytes = mostFile
	huma.Register(api, file, func(ctx context.Context, in *struct {
		Body struct {
			CSV string `json:"csv"`
		}
	}) (*pastOutput, error) {
		past, err := exchange.ReadPast(strings.NewReader(in.Body.CSV), dateOf(dayOf(s.now())))
		if err != nil {
			return nil, unprocessable([]error{field("body.csv", "Nothing was taken over. "+upper(err.Error())+".", "")})
		}
		return s.keepPast(ctx, past)
	})
}

// keepPast keeps those that are not here yet.
func (s *server) keepPast(ctx context.Context, past []exchange.Past) (*pastOutput, error) {
	known, err := s.store.Closings(ctx, 0, store.EveryClosing)
	if err != nil {
		return nil, s.storeProblem(err, "closed batches")
	}
	out := &pastOutput{}
	here := map[string]bool{}
	for _, c := range known {
		here[pastKey(c)] = true
	}
	var fresh []store.Closing
	for _, p := range past {
		c := store.Closing{Product: string(p.Product), Form: string(p.Form), Pack: string(p.Pack), Fruit: p.Fruit, Liquid: p.Liquid, PrepareMinutes: p.Minutes, Note: p.Note, Day: dayOf(p.Day)}
		for _, f := range p.Filled {
			c.Filled = append(c.Filled, fruit.Filled(f))
		}
		if here[pastKey(c)] {
			out.Body.Same++
			continue
		}
		fresh = append(fresh, c)
	}
	if len(fresh) > 0 {
		if _, err := s.store.AddClosings(ctx, fresh); err != nil {
			return nil, s.storeProblem(err, "closed batches")
		}
	}
	out.Body.Added = len(fresh)
	all, err := s.closings(ctx)
	if err != nil {
		return nil, err
	}
	out.Body.Closings = all.Body
	return out, nil
}

// pastKey is the same for two closings that tell of the same batch.
func pastKey(c store.Closing) string {
	filled := slices.Clone(c.Filled)
	slices.SortFunc(filled, func(a, b fruit.Filled) int { return strings.Compare(string(a.Jar.ID), string(b.Jar.ID)) })
	key := fmt.Sprint(c.Product, c.Form, c.Pack, int64(c.Fruit), int64(c.Day))
	for _, f := range filled {
		key += fmt.Sprint(" ", f.Jar.ID, f.Count)
	}
	return key
}
