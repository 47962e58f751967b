package server

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
)

type readyItem struct {
	ID     string `json:"id"`
	Text   string `json:"text"`
	Short  string `json:"short" doc:"what is missing of it; empty where nothing is known to be"`
	Ticked bool   `json:"ticked"`
}

type readyGroup struct {
	Name  string      `json:"name"`
	Items []readyItem `json:"items" nullable:"false"`
}

type readyBody struct {
	Headlines []string     `json:"headlines" nullable:"false"`
	Groups    []readyGroup `json:"groups" nullable:"false"`
	Left      int          `json:"left" doc:"how many are not laid out yet"`
}

// ReadyInput names the saved batches of one list.
type ReadyInput struct {
	Batches string `query:"batches" maxLength:"400" doc:"the ids of saved batches, joined by commas"`
}

func (s *server) registerReady(api huma.API) {
	huma.Register(api, huma.Operation{
		OperationID: "ready", Method: "GET", Path: "/api/ready", Errors: []int{404, 422}, Summary: "Everything to have ready for one or several saved batches",
	}, func(ctx context.Context, in *ReadyInput) (*struct{ Body readyBody }, error) {
		b, err := s.ready(ctx, in.Batches)
		return &struct{ Body readyBody }{b}, err
	})
	huma.Register(api, huma.Operation{
		OperationID: "ready-text", Method: "GET", Path: "/api/ready.txt", Errors: []int{404, 422}, Summary: "The same list as plain text",
	}, func(ctx context.Context, in *ReadyInput) (*fileOutput, error) {
		b, err := s.ready(ctx, in.Batches)
		if err != nil {
			return nil, err
		}
		return &fileOutput{ContentType: "text/plain; charset=utf-8", Disposition: `inline; filename="get-ready.txt"`, Body: []byte(b.text())}, nil
	})
	huma.Register(api, huma.Operation{
		OperationID: "tick-ready", Method: "POST", Path: "/api/ready/ticks", MaxBodyBytes: mostBody, Errors: []int{404, 422}, Summary: "Say that something is laid out, or not yet",
	}, func(ctx context.Context, in *struct {
		Body struct {
			Batches string `json:"batches" maxLength:"400"`
			Item    string `json:"item" minLength:"1" maxLength:"300"`
			Ticked  bool   `json:"ticked"`
		}
	}) (*struct{ Body readyBody }, error) {
		if _, err := s.ready(ctx, in.Body.Batches); err != nil {
			return nil, err
		}
		if err := s.store.TickReady(ctx, listOf(in.Body.Batches), in.Body.Item, in.Body.Ticked); err != nil {
			return nil, s.storeProblem(err, "list")
		}
		b, err := s.ready(ctx, in.Body.Batches)
		return &struct{ Body readyBody }{b}, err
	})
}

// listOf is the name of a list: its batches in order, each once.
func listOf(batches string) string {
	ids := slices.DeleteFunc(strings.Split(batches, ","), func(id string) bool { return id == "" })
	slices.Sort(ids)
	return strings.Join(slices.Compact(ids), ",")
}

func (s *server) ready(ctx context.Context, batches string) (readyBody, error) {
	b := readyBody{Headlines: []string{}, Groups: []readyGroup{}}
	list := listOf(batches)
	if list == "" {
		return b, unprocessable([]error{field("query.batches", "Say for which batches. Accepted: ids of saved batches, joined by commas.", batches)})
	}
	k, units, err := s.kitchenNow(ctx)
	if err != nil {
		return b, err
	}
	var plans []batch.Plan
	for _, id := range strings.Split(list, ",") {
		saved, err := s.store.Batch(ctx, id)
		if err != nil {
			return b, s.storeProblem(err, "batch")
		}
		p, err := batch.Make(saved.Request, k)
		if err != nil {
			continue // kept by an earlier version that understood it
		}
		plans = append(plans, p)
		b.Headlines = append(b.Headlines, batch.Headline(p.Query, p.Name))
	}
	ticked, err := s.store.ReadyTicks(ctx, list)
	if err != nil {
		return b, s.storeProblem(err, "list")
	}
	for _, i := range batch.GetReady(plans, units) {
		at := slices.IndexFunc(b.Groups, func(g readyGroup) bool { return g.Name == i.Group })
		if at < 0 {
			at = len(b.Groups)
			b.Groups = append(b.Groups, readyGroup{Name: i.Group})
		}
		b.Groups[at].Items = append(b.Groups[at].Items, readyItem{i.ID, i.Text, i.Short, ticked[i.ID]})
		if !ticked[i.ID] {
			b.Left++
		}
	}
	return b, nil
}

// text is the list to be printed or sent.
func (b readyBody) text() string {
	var t strings.Builder
	fmt.Fprintf(&t, "Get ready for %s\n", strings.Join(b.Headlines, "; "))
	for _, g := range b.Groups {
		fmt.Fprintf(&t, "\n%s\n", g.Name)
		for _, i := range g.Items {
			mark := "[ ]"
			if i.Ticked {
				mark = "[x]"
			}
			fmt.Fprintf(&t, "%s %s\n", mark, i.Text)
			if i.Short != "" {
				fmt.Fprintf(&t, "    %s\n", i.Short)
			}
		}
	}
	return t.String()
}
