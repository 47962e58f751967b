package server

import (
	"context"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/guide"
)

type schoolBody struct {
	ID      string `json:"id"`
	Name    string `json:"name"`
	Reason  string `json:"reason"`
	Refused bool   `json:"refused" doc:"cannot be chosen; the reason says why"`
}

type questionBody struct {
	ID      string       `json:"id"`
	Ask     string       `json:"ask"`
	Chosen  string       `json:"chosen"`
	Schools []schoolBody `json:"schools" nullable:"false"`
}

type schoolsOutput struct{ Body []questionBody }

func (s *server) registerSchools(api huma.API) {
	huma.Register(api, huma.Operation{
		OperationID: "schools", Method: "GET", Path: "/api/schools", Summary: "What cooks differ on, with the reasons, and which school this kitchen follows",
	}, func(ctx context.Context, _ *struct{}) (*schoolsOutput, error) { return s.schools(ctx) })
	huma.Register(api, huma.Operation{
		OperationID: "choose-school", Method: "PUT", Path: "/api/schools/{question}", MaxBodyBytes: mostBody, Errors: []int{422},
		Summary: "Follow a school; a refused one cannot be followed",
	}, func(ctx context.Context, in *struct {
		Question string `path:"question" maxLength:"60"`
		Body     struct {
			Choice string `json:"choice" maxLength:"60"`
		}
	}) (*schoolsOutput, error) {
		if !batch.MayChoose(in.Question, in.Body.Choice) {
			return nil, unprocessable([]error{field("body.choice", "That cannot be chosen. Accepted: a school of /api/schools that is not refused.", in.Body.Choice)})
		}
		if err := s.store.Choose(ctx, in.Question, in.Body.Choice); err != nil {
			return nil, s.storeProblem(err, "choice")
		}
		return s.schools(ctx)
	})
	huma.Register(api, huma.Operation{
		OperationID: "first", Method: "GET", Path: "/api/first", Errors: []int{422}, Summary: "The sentence that a new batch starts from, by the kitchen's schools and jars",
	}, func(ctx context.Context, in *struct {
		Product string `query:"product" maxLength:"60" default:"peaches"`
		Lot     string `query:"lot" maxLength:"90" doc:"the id of a lot or of what is left over from it, to begin with all that is left of it"`
	}) (*struct{ Body requestBody }, error) {
		if _, ok := guide.FindProduct(guide.Product(in.Product)); !ok {
			return nil, unprocessable([]error{field("query.product", "That is not a product of the catalogue.", in.Product)})
		}
		k, _, err := s.kitchenNow(ctx)
		if err != nil {
			return nil, err
		}
		r := batch.First(guide.Product(in.Product), k)
		if l, ok := k.Lots[in.Lot]; ok {
			if r.Lots = in.Lot; l.Over == "" {
				r.Amount = "all of it"
			} else {
				r.Amount = "4 jars"
			}
		}
		return &struct{ Body requestBody }{requestOf(r)}, nil
	})
}

func (s *server) schools(ctx context.Context) (*schoolsOutput, error) {
	k, _, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	out := &schoolsOutput{Body: []questionBody{}}
	for _, q := range batch.Questions() {
		b := questionBody{ID: q.ID, Ask: q.Ask, Chosen: k.School(q.ID), Schools: []schoolBody{}}
		for _, o := range q.Schools {
			b.Schools = append(b.Schools, schoolBody(o))
		}
		out.Body = append(out.Body, b)
	}
	return out, nil
}
