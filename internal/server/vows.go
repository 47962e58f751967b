package server

import (
	"context"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/internal/store"
)

type vowBody struct {
	ID      string `json:"id"`
	Product string `json:"product"`
	Name    string `json:"name"`
	Words   string `json:"words"`
	Said    string `json:"said"`
	Kept    string `json:"kept" doc:"when it was done so; empty: still to be"`
	Batch   string `json:"batch" doc:"that taught it; empty: none"`
}

// VowFields is what the cook swears to do differently.
type VowFields struct {
	Product string `json:"product" maxLength:"60"`
	Words   string `json:"words" maxLength:"300"`
	Batch   string `json:"batch,omitempty" required:"false" maxLength:"40"`
}

type vowsOutput struct{ Body []vowBody }

func (s *server) registerVows(api huma.API) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 422}}
	}
	huma.Register(api, op("vows", "GET", "/api/vows", "What the cook swore to do differently the next time"), func(ctx context.Context, in *struct {
		Product string `query:"product" maxLength:"60" doc:"all where left out"`
	}) (*vowsOutput, error) {
		return s.vows(ctx, in.Product)
	})
	huma.Register(api, op("add-vow", "POST", "/api/vows", "Swear to do something differently"), func(ctx context.Context, in *struct{ Body VowFields }) (*vowsOutput, error) {
		v := store.Vow{Product: in.Body.Product, Words: strings.TrimSpace(in.Body.Words), Batch: in.Body.Batch, Said: s.today()}
		var problems []error
		if _, ok := guide.FindProduct(guide.Product(v.Product)); !ok {
			problems = append(problems, field("body.product", "Accepted: a product of the catalogue.", v.Product))
		}
		if v.Words == "" {
			problems = append(problems, field("body.words", "Say what is to be different, as: cook the pears a minute less.", in.Body.Words))
		}
		if len(problems) > 0 {
			return nil, unprocessable(problems)
		}
		if err := s.store.AddVow(ctx, v); err != nil {
			return nil, s.storeProblem(err, "vow")
		}
		return s.vows(ctx, "")
	})
	huma.Register(api, op("keep-vow", "POST", "/api/vows/{id}/kept", "Say that it was done so, or is still to be"), func(ctx context.Context, in *struct {
		PotID
		Body struct {
			Kept bool `json:"kept"`
		}
	}) (*vowsOutput, error) {
		var on fruit.Day
		if in.Body.Kept {
			on = s.today()
		}
		if err := s.store.KeepVow(ctx, in.ID, on); err != nil {
			return nil, s.storeProblem(err, "vow")
		}
		return s.vows(ctx, "")
	})
	huma.Register(api, op("remove-vow", "DELETE", "/api/vows/{id}", "Take a vow back"), func(ctx context.Context, in *PotID) (*vowsOutput, error) {
		if err := s.store.RemoveVow(ctx, in.ID); err != nil {
			return nil, s.storeProblem(err, "vow")
		}
		return s.vows(ctx, "")
	})
}

func (s *server) vows(ctx context.Context, product string) (*vowsOutput, error) {
	all, err := s.store.Vows(ctx, product)
	if err != nil {
		return nil, s.storeProblem(err, "vow")
	}
	out := &vowsOutput{Body: []vowBody{}}
	for _, v := range all {
		b := vowBody{ID: v.ID, Product: v.Product, Name: productName(v.Product), Words: v.Words, Batch: v.Batch, Said: dateOf(v.Said).Format("2 January 2006")}
		if v.Kept > 0 {
			b.Kept = dateOf(v.Kept).Format("2 January 2006")
		}
		out.Body = append(out.Body, b)
	}
	return out, nil
}
