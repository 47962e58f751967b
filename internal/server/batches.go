package server

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/internal/store"
)

// batchBody is a saved batch.
type batchBody struct {
	ID      string      `json:"id"`
	Version int         `json:"version" doc:"send it back with a change"`
	Note    string      `json:"note"`
	Request requestBody `json:"request"`
	Created time.Time   `json:"created"`
	Updated time.Time   `json:"updated"`
}

// batchLine is a saved batch in a list.
type batchLine struct {
	ID       string    `json:"id"`
	Note     string    `json:"note"`
	Headline string    `json:"headline"`
	Product  string    `json:"product"`
	Kind     string    `json:"kind"`
	Status   string    `json:"status" enum:"tested,own-source,refused,incomplete"`
	Minutes  *int      `json:"minutes"`
	Jars     string    `json:"jars"`
	Created  time.Time `json:"created"`
}

type newBatchBody struct {
	Note    string      `json:"note,omitempty" maxLength:"2000"`
	Request requestBody `json:"request"`
}

type changeBatchBody struct {
	Version int         `json:"version" minimum:"1"`
	Note    string      `json:"note,omitempty" maxLength:"2000"`
	Request requestBody `json:"request"`
}

type BatchID struct {
	ID string `path:"id" maxLength:"40"`
}

type batchOutput struct{ Body batchBody }

// mostBatches is how many are listed.
const mostBatches = 200

func (s *server) registerBatches(api huma.API) {
	huma.Register(api, huma.Operation{
		OperationID: "list-batches", Method: "GET", Path: "/api/batches", Summary: "Saved batches, newest first, 200 at most",
	}, s.listBatches)
	huma.Register(api, huma.Operation{
		OperationID: "save-batch", Method: "POST", Path: "/api/batches", DefaultStatus: 201, MaxBodyBytes: mostBody, Errors: []int{422},
		Summary: "Keep a batch; a refused one is kept as such",
	}, s.saveBatch)
	huma.Register(api, huma.Operation{
		OperationID: "get-batch", Method: "GET", Path: "/api/batches/{id}", Errors: []int{404}, Summary: "A saved batch",
	}, s.getBatch)
	huma.Register(api, huma.Operation{
		OperationID: "change-batch", Method: "PUT", Path: "/api/batches/{id}", MaxBodyBytes: mostBody, Errors: []int{404, 409, 422},
		Summary: "Change a saved batch",
	}, s.changeBatch)
	huma.Register(api, huma.Operation{
		OperationID: "delete-batch", Method: "DELETE", Path: "/api/batches/{id}", DefaultStatus: 204, Errors: []int{404},
		Summary: "Delete a batch; it can be restored",
	}, s.deleteBatch)
	huma.Register(api, huma.Operation{
		OperationID: "restore-batch", Method: "POST", Path: "/api/batches/{id}/restore", Errors: []int{404}, Summary: "Undo the deletion of a batch",
	}, s.restoreBatch)
}

func (s *server) listBatches(ctx context.Context, _ *struct{}) (*struct{ Body []batchLine }, error) {
	k, _, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	all, err := s.store.Batches(ctx, mostBatches)
	if err != nil {
		return nil, s.storeProblem(err, "batches")
	}
	out := &struct{ Body []batchLine }{Body: []batchLine{}}
	for _, b := range all {
		out.Body = append(out.Body, lineOf(b, k))
	}
	return out, nil
}

func lineOf(b store.Batch, k batch.Kitchen) batchLine {
	line := batchLine{ID: b.ID, Note: b.Note, Product: b.Request.Product, Kind: string(b.Request.Kind), Created: b.Created, Status: string(batch.Incomplete)}
	p, err := batch.Make(b.Request, k)
	if err != nil { // kept by an earlier version that understood it
		line.Headline = b.Request.Product
		return line
	}
	line.Headline, line.Status = batch.Headline(p.Query, p.Name), string(p.Status)
	if t := p.Verdict.Tested; t != nil {
		line.Minutes = &t.Minutes
	} else if p.Own != nil {
		line.Minutes = &p.Own.Minutes
	}
	if p.Jars != nil {
		line.Jars = p.JarsText()
	}
	return line
}

func (s *server) saveBatch(ctx context.Context, in *struct{ Body newBatchBody }) (*batchOutput, error) {
	r, err := s.readRequest(ctx, in.Body.Request)
	if err != nil {
		return nil, err
	}
	b, err := s.store.AddBatch(ctx, store.Batch{Note: in.Body.Note, Request: r}, s.now())
	return s.batchAnswer(b, err)
}

func (s *server) changeBatch(ctx context.Context, in *struct {
	BatchID
	Body changeBatchBody
}) (*batchOutput, error) {
	r, err := s.readRequest(ctx, in.Body.Request)
	if err != nil {
		return nil, err
	}
	b, err := s.store.ChangeBatch(ctx, store.Batch{ID: in.ID, Version: in.Body.Version, Note: in.Body.Note, Request: r}, s.now())
	return s.batchAnswer(b, err)
}

// readRequest lets only what is understood be kept.
func (s *server) readRequest(ctx context.Context, b requestBody) (batch.Request, error) {
	k, _, err := s.kitchenNow(ctx)
	if err != nil {
		return batch.Request{}, err
	}
	r, p, err := makePlan(b, k, "body.request.")
	if r.Source != "" && r.Product == "" {
		r.Product = p.Name // the source says what it is
	}
	return r, err
}

func (s *server) getBatch(ctx context.Context, in *BatchID) (*batchOutput, error) {
	return s.batchAnswer(s.store.Batch(ctx, in.ID))
}

func (s *server) deleteBatch(ctx context.Context, in *BatchID) (*struct{}, error) {
	if err := s.store.DeleteBatch(ctx, in.ID, s.now()); err != nil {
		return nil, s.storeProblem(err, "batch")
	}
	return nil, nil
}

func (s *server) restoreBatch(ctx context.Context, in *BatchID) (*batchOutput, error) {
	return s.batchAnswer(s.store.RestoreBatch(ctx, in.ID))
}

func (s *server) batchAnswer(b store.Batch, err error) (*batchOutput, error) {
	if err != nil {
		return nil, s.storeProblem(err, "batch")
	}
	return &batchOutput{batchBody{b.ID, b.Version, b.Note, requestOf(b.Request), b.Created, b.Updated}}, nil
}
