package server

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/guide"
	"mellisca/core/shelf"
	"mellisca/internal/store"
)

type linkBody struct {
	ID   string `json:"id"`
	Text string `json:"text"`
}

// traceBody is where jars came from and where they are now.
type traceBody struct {
	Of      string         `json:"of" enum:"load,batch,lot"`
	Ref     string         `json:"ref"`
	Name    string         `json:"name"`
	Lots    []linkBody     `json:"lots" nullable:"false" doc:"of which they are"`
	Batches []linkBody     `json:"batches" nullable:"false"`
	Loads   []linkBody     `json:"loads" nullable:"false"`
	Jars    []ShelfJarBody `json:"jars" nullable:"false" doc:"every one that was decided on, wherever it is"`
	Others  []string       `json:"others" nullable:"false" doc:"jars that are not on any shelf: in the canner, on the tray, broken"`
	Text    string         `json:"text" doc:"how many, and where"`
	Recall  string         `json:"recall" doc:"the recall that stands against them; empty where there is none"`
}

type recallLine struct {
	ID   string `json:"id"`
	Text string `json:"text"`
	Done bool   `json:"done" doc:"nothing of it is left to do"`
}

// RecallFields calls jars back.
type RecallFields struct {
	Of    string `json:"of" enum:"load,batch,lot"`
	Ref   string `json:"ref" maxLength:"40"`
	Why   string `json:"why" maxLength:"300"`
	Short bool   `json:"short,omitempty" required:"false" doc:"their process was short: within 24 h of lifting they may be run again in full"`
}

type recallBody struct {
	ID     string         `json:"id"`
	Of     string         `json:"of"`
	Name   string         `json:"name"`
	Why    string         `json:"why"`
	Day    string         `json:"day"`
	Undone bool           `json:"undone"`
	Text   string         `json:"text" doc:"how many jars, and what is left to do"`
	What   string         `json:"what" doc:"what to do with the jars"`
	Pulled []ShelfJarBody `json:"pulled" nullable:"false" doc:"in the house, to be thrown away"`
	Given  []ShelfJarBody `json:"given" nullable:"false" doc:"given away, to be told of"`
	Gone   []ShelfJarBody `json:"gone" nullable:"false" doc:"eaten, broken or thrown away"`
	Others []string       `json:"others" nullable:"false" doc:"jars that are not on any shelf"`
}

type traceOutput struct{ Body traceBody }
type recallOutput struct{ Body recallBody }

func (s *server) registerTrace(api huma.API) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 409, 422}}
	}
	huma.Register(api, op("trace", "GET", "/api/trace/{of}/{ref}", "Back to the fruit and forward to the sisters"), func(ctx context.Context, in *struct {
		Of  string `path:"of" enum:"load,batch,lot"`
		Ref string `path:"ref" maxLength:"40"`
	}) (*traceOutput, error) {
		t, err := s.trace(ctx, in.Of, in.Ref)
		if err != nil {
			return nil, s.storeProblem(err, in.Of)
		}
		return &traceOutput{t}, nil
	})
	huma.Register(api, op("recalls", "GET", "/api/recalls", "What was called back, the newest first"), func(ctx context.Context, _ *struct{}) (*struct{ Body []recallLine }, error) {
		all, err := s.store.Recalls(ctx)
		if err != nil {
			return nil, s.storeProblem(err, "recall")
		}
		out := []recallLine{}
		for _, r := range all {
			b, err := s.recall(ctx, r)
			if err != nil {
				return nil, s.storeProblem(err, "recall")
			}
			out = append(out, recallLine{r.ID, upper(r.Name) + ", " + b.Day + ": " + b.Text, r.Undone || len(b.Pulled) == 0 && !slices.ContainsFunc(b.Given, func(j ShelfJarBody) bool { return len(j.Can) > 0 })})
		}
		return &struct{ Body []recallLine }{out}, nil
	})
	huma.Register(api, op("recall", "GET", "/api/recalls/{id}", "A recall, with every jar of it and where it is"), func(ctx context.Context, in *PotID) (*recallOutput, error) {
		return s.recallAnswer(ctx, in.ID)
	})
	huma.Register(api, op("call-back", "POST", "/api/recalls", "Call every jar of a load, a batch or a lot back"), func(ctx context.Context, in *struct{ Body RecallFields }) (*recallOutput, error) {
		f := in.Body
		if f.Why = strings.TrimSpace(f.Why); f.Why == "" {
			return nil, unprocessable([]error{field("body.why", "Say why: it stands on the list, and whoever was given a jar is told it.", nil)})
		}
		if !strings.HasSuffix(f.Why, ".") {
			f.Why += "."
		}
		t, err := s.trace(ctx, f.Of, f.Ref)
		if err != nil {
			return nil, s.storeProblem(err, f.Of)
		}
		if t.Recall != "" {
			return nil, huma.Error409Conflict("It was called back already.")
		}
		var ids []string
		for _, j := range t.Jars {
			ids = append(ids, j.ID)
		}
		id, err := s.store.AddRecall(ctx, store.Recall{Of: f.Of, Ref: f.Ref, Name: t.Name, Why: f.Why, Short: f.Short}, ids, s.today(), s.now())
		if err != nil {
			return nil, s.storeProblem(err, "recall")
		}
		return s.recallAnswer(ctx, id)
	})
	huma.Register(api, op("undo-recall", "DELETE", "/api/recalls/{id}", "Take a recall back: its jars stand as before"), func(ctx context.Context, in *PotID) (*recallOutput, error) {
		if err := s.store.UndoRecall(ctx, in.ID, s.today(), s.now()); err != nil {
			return nil, s.storeProblem(err, "recall")
		}
		return s.recallAnswer(ctx, in.ID)
	})
}

// trace follows a load, a batch or a lot back to the fruit and forward to every jar. It
// errs with store.ErrNotFound.
func (s *server) trace(ctx context.Context, of, ref string) (traceBody, error) {
	t := traceBody{Of: of, Ref: ref, Lots: []linkBody{}, Batches: []linkBody{}, Loads: []linkBody{}, Jars: []ShelfJarBody{}, Others: []string{}}
	var batches []string
	var err error
	switch of {
	case "lot":
		batches, err = s.store.BatchesOfLot(ctx, ref)
	case "batch":
		batches = []string{ref}
	default:
		var id string
		id, err = s.store.BatchOfLoad(ctx, ref)
		batches = []string{id}
	}
	if err != nil {
		return t, err
	}
	lots := []string{ref}
	var jars []store.Jar
	for _, id := range batches {
		b, err := s.store.AnyBatch(ctx, id)
		if errors.Is(err, store.ErrNotFound) && of == "batch" {
			return t, err
		}
		if err == nil {
			t.Batches = append(t.Batches, linkBody{id, headlineOf(b.Request)})
		} else if !errors.Is(err, store.ErrNotFound) {
			return t, err
		}
		if of != "lot" {
			if lots, err = s.lotsOf(ctx, id); err != nil {
				return t, err
			}
		}
		loads, err := store.Stove{Store: s.store}.LoadsOf(ctx, id)
		if err != nil {
			return t, err
		}
		for _, l := range loads {
			if of == "load" && l.ID != ref {
				continue
			}
			about := aboutOf(l.About)
			name := fmt.Sprintf("load %d of %s, %s", about.Index+1, about.Headline, about.Canner)
			t.Loads = append(t.Loads, linkBody{l.ID, name})
			kept, err := s.store.JarsOfLoad(ctx, l.ID)
			if err != nil {
				return t, err
			}
			if jars = append(jars, kept...); of == "load" {
				t.Name = name
			}
			others, err := s.notKept(ctx, l.ID, kept)
			if err != nil {
				return t, err
			}
			t.Others = append(t.Others, others...)
		}
		if of != "load" {
			byHand, err := s.store.JarsOfBatch(ctx, id)
			if err != nil {
				return t, err
			}
			for _, j := range byHand {
				if j.Load == "" {
					jars = append(jars, j)
				}
			}
		}
	}
	if of == "load" && t.Name == "" {
		return t, store.ErrNotFound
	}
	named, err := s.store.LotNames(ctx, lots)
	if err != nil {
		return t, err
	}
	for _, l := range named {
		t.Lots = append(t.Lots, linkBody{l.ID, l.Name + ", " + l.Typed + ", " + dayWords(l.Got, s.today())})
	}
	switch {
	case of == "batch":
		t.Name = t.Batches[0].Text
	case of == "lot" && len(named) == 0:
		return t, store.ErrNotFound
	case of == "lot":
		t.Name = named[0].Name
	}
	places, err := s.store.ShelfPlaces(ctx)
	if err != nil {
		return t, err
	}
	t.Jars = s.jarBodies(jars, placeNames(places))
	t.Text = whereText(jars)
	recalls, err := s.store.Recalls(ctx)
	for _, r := range recalls {
		if r.Of == of && r.Ref == ref && !r.Undone {
			t.Recall = r.ID
		}
	}
	return t, err
}

// notKept says where those jars of a load are that nothing was decided of.
func (s *server) notKept(ctx context.Context, id string, kept []store.Jar) (all []string, err error) {
	l, err := store.Stove{Store: s.store}.TrayLoad(ctx, id)
	if err != nil {
		return nil, err
	}
	m := s.stove.Now()
	state := l.Load.Fold(l.Events, m.At, m.Seen)
	count := map[string]int{}
	var order []string
	for i, j := range shelf.Fold(l.Load.Jars, l.Told) {
		if slices.ContainsFunc(kept, func(k store.Jar) bool { return k.Number == i+1 }) {
			continue
		}
		where := ""
		switch now := state.Jars[i]; {
		case now.Broken:
			where = "broke in the canner"
		case now.Aside:
			where = "set aside for the refrigerator before the canner"
		case j.Done == shelf.ProcessAgain:
			where = "processed again, as a load of their own"
		case state.Away:
			where = "on the tray, not decided on yet"
		default:
			where = "on the stove"
		}
		if count[where]++; count[where] == 1 {
			order = append(order, where)
		}
	}
	about := aboutOf(l.About)
	for _, where := range order {
		all = append(all, fmt.Sprintf("Of load %d, %s: %s.", about.Index+1, countText(count[where], "jar"), where))
	}
	return all, nil
}

// whereText counts jars by where they are.
func whereText(jars []store.Jar) string {
	words := []struct {
		state shelf.State
		text  string
	}{
		{shelf.Standing, "on the shelf"}, {shelf.Pulled, "called back in the house"}, {shelf.Opened, "open"}, {shelf.Cold, "in the refrigerator"}, {shelf.Frozen, "in the freezer"},
		{shelf.Given, "given away"}, {shelf.Eaten, "eaten"}, {shelf.Discarded, "thrown away"}, {shelf.Smashed, "broken"},
	}
	var parts []string
	for _, w := range words {
		n := 0
		for _, j := range jars {
			if j.State == w.state {
				n++
			}
		}
		if n > 0 {
			parts = append(parts, fmt.Sprintf("%d %s", n, w.text))
		}
	}
	if len(parts) == 0 {
		return "No jar of it was put on the shelf"
	}
	return countText(len(jars), "jar") + ": " + strings.Join(parts, ", ")
}

func (s *server) recallAnswer(ctx context.Context, id string) (*recallOutput, error) {
	all, err := s.store.Recalls(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "recall")
	}
	i := slices.IndexFunc(all, func(r store.Recall) bool { return r.ID == id })
	if i < 0 {
		return nil, huma.Error404NotFound("There is no such recall.")
	}
	b, err := s.recall(ctx, all[i])
	if err != nil {
		return nil, s.storeProblem(err, "recall")
	}
	return &recallOutput{b}, nil
}

func (s *server) recall(ctx context.Context, r store.Recall) (recallBody, error) {
	b := recallBody{ID: r.ID, Of: r.Of, Name: r.Name, Why: r.Why, Day: r.Told.In(s.now().Location()).Format("2 January 2006"), Undone: r.Undone, What: shelf.SpoiltText, Pulled: []ShelfJarBody{}, Given: []ShelfJarBody{}, Gone: []ShelfJarBody{}, Others: []string{}}
	if r.Short {
		b.What = "Their process was short. What came out of the canner less than 24 hours ago can be processed again in full from the tray. All others: " + shelf.SpoiltText
	}
	jars, err := s.store.JarsOfRecall(ctx, r.ID)
	if err != nil {
		return b, err
	}
	places, err := s.store.ShelfPlaces(ctx)
	if err != nil {
		return b, err
	}
	toTell := 0
	for _, j := range jars {
		if j, _, err = s.store.Jar(ctx, j.ID); err != nil {
			return b, err
		}
		body := shelfJar(j, s.today(), placeNames(places))
		switch j.State {
		case shelf.Pulled:
			b.Pulled = append(b.Pulled, body)
		case shelf.Given:
			if b.Given = append(b.Given, body); !j.Warned {
				toTell++
			}
		default:
			b.Gone = append(b.Gone, body)
		}
	}
	if r.Undone {
		b.Text = "taken back"
		return b, nil
	}
	var parts []string
	if n := len(b.Pulled); n > 0 {
		parts = append(parts, countText(n, "jar")+" to throw away")
	}
	if toTell > 0 {
		parts = append(parts, countText(toTell, "jar")+" given away of which to tell")
	}
	if b.Text = strings.Join(parts, ", "); b.Text == "" {
		b.Text = "nothing is left to do"
	}
	t, err := s.trace(ctx, r.Of, r.Ref)
	if err == nil {
		b.Others = t.Others
	}
	if errors.Is(err, store.ErrNotFound) {
		err = nil
	}
	return b, err
}

// headlineOf names a saved batch.
func headlineOf(r batch.Request) string {
	name := string(r.Product)
	if info, ok := guide.FindProduct(guide.Product(r.Product)); ok {
		name = info.Name
	}
	q := guide.Query{Product: guide.Product(r.Product), Kind: r.Kind, Form: r.Form, Pack: r.Pack, Jar: r.Jar, Method: r.Method, Blend: r.Blend}
	return batch.Headline(q, name)
}
