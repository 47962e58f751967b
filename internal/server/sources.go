package server

import (
	"context"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
	"mellisca/internal/store"
)

// SourceFields is a recipe of the cook's own with its published source.
type SourceFields struct {
	Name      string `json:"name" maxLength:"200" doc:"of the recipe, as it stands in the sentence"`
	Title     string `json:"title" maxLength:"400" doc:"of the published source"`
	Year      int    `json:"year"`
	Page      string `json:"page" maxLength:"200"`
	Product   string `json:"product" required:"false" maxLength:"60" doc:"an id of the catalogue; empty for something else"`
	Kind      string `json:"kind" required:"false" maxLength:"60"`
	Form      string `json:"form" required:"false" maxLength:"60"`
	Pack      string `json:"pack" maxLength:"60"`
	Largest   string `json:"largest" maxLength:"60" doc:"the largest jar it is for: half-pint, pint, quart, or half-gallon for juice"`
	Minutes   int    `json:"minutes" doc:"at sea level"`
	Additions []int  `json:"additions" required:"false" maxItems:"4" nullable:"false" doc:"what the source itself adds from 1,001, 3,001, 6,001 and 8,001 ft; the larger of these and 5, 10, 15, 20 counts"`
	Headspace string `json:"headspace" maxLength:"200" doc:"as typed: 1/2 in"`
	Acid      string `json:"acid" required:"false" maxLength:"400" doc:"what the source puts in for safety"`
}

type sourceBodyFull struct {
	ID        string `json:"id"`
	Version   int    `json:"version"`
	Retired   bool   `json:"retired" doc:"no longer offered"`
	Cite      string `json:"cite"`
	NeedsAcid bool   `json:"needsAcid" doc:"it puts in acid, which may not be left out"`
	SourceFields
}

type changeSourceBody struct {
	Version int `json:"version" minimum:"1"`
	SourceFields
}

type sourcesOutput struct{ Body []sourceBodyFull }

func (s *server) registerSources(api huma.API) {
	huma.Register(api, huma.Operation{
		OperationID: "list-sources", Method: "GET", Path: "/api/sources", Summary: "The cook's own sources, by name, retired ones too",
	}, func(ctx context.Context, _ *struct{}) (*sourcesOutput, error) { return s.sources(ctx) })
	huma.Register(api, huma.Operation{
		OperationID: "add-source", Method: "POST", Path: "/api/sources", DefaultStatus: 201, MaxBodyBytes: mostBody, Errors: []int{422},
		Summary: "Keep an own recipe with the published source it is from",
	}, func(ctx context.Context, in *struct{ Body SourceFields }) (*sourcesOutput, error) {
		src, err := in.Body.source()
		if err != nil {
			return nil, err
		}
		if _, err := s.store.AddOwnSource(ctx, src, s.now()); err != nil {
			return nil, s.storeProblem(err, "own source")
		}
		return s.sources(ctx)
	})
	huma.Register(api, huma.Operation{
		OperationID: "change-source", Method: "PUT", Path: "/api/sources/{id}", MaxBodyBytes: mostBody, Errors: []int{404, 409, 422}, Summary: "Change an own source",
	}, func(ctx context.Context, in *struct {
		BatchID
		Body changeSourceBody
	}) (*sourcesOutput, error) {
		src, err := in.Body.source()
		if err != nil {
			return nil, err
		}
		if err := s.store.ChangeOwnSource(ctx, store.OwnSource{ID: in.ID, Version: in.Body.Version, Source: src}, s.now()); err != nil {
			return nil, s.storeProblem(err, "own source")
		}
		return s.sources(ctx)
	})
	s.registerSourceFiles(api)
	for path, retired := range map[string]bool{"retire": true, "restore": false} {
		huma.Register(api, huma.Operation{
			OperationID: path + "-source", Method: "POST", Path: "/api/sources/{id}/" + path, Errors: []int{404}, Summary: "Take an own source out of use, or bring it back",
		}, func(ctx context.Context, in *BatchID) (*sourcesOutput, error) {
			if err := s.store.RetireOwnSource(ctx, in.ID, retired, s.now()); err != nil {
				return nil, s.storeProblem(err, "own source")
			}
			return s.sources(ctx)
		})
	}
}

func (s *server) sources(ctx context.Context) (*sourcesOutput, error) {
	_, units, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	all, err := s.store.OwnSources(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "own sources")
	}
	out := &sourcesOutput{Body: []sourceBodyFull{}}
	for _, o := range all {
		src := o.Source
		out.Body = append(out.Body, sourceBodyFull{o.ID, o.Version, o.Retired, src.Cite(), src.DemandsAcid(), SourceFields{
			src.Name, src.Title, src.Year, src.Page, string(src.Product), string(src.Kind), string(src.Form), string(src.Pack),
			string(src.Largest.ID()), src.Minutes, src.Additions[:], measure.Inches(src.Headspace).Text(units), src.Acid,
		}})
	}
	return out, nil
}

// source reads the fields, or a problem that names each that is not understood.
func (f SourceFields) source() (guide.OwnSource, error) {
	src := guide.OwnSource{
		Name: f.Name, Title: f.Title, Year: f.Year, Page: f.Page, Product: guide.Product(f.Product), Kind: guide.Kind(f.Kind),
		Form: guide.Form(f.Form), Pack: guide.Pack(f.Pack), Minutes: f.Minutes, Acid: f.Acid,
	}
	copy(src.Additions[:], f.Additions)
	if j, ok := jar.Find(jar.ID(f.Largest)); ok && j.ID == j.TestedAs.ID() {
		src.Largest = j.TestedAs
	}
	var fields []error
	space, err := measure.ParseLength(f.Headspace)
	if err != nil {
		fields = append(fields, field("body.headspace", err.Error(), f.Headspace))
		space = measure.Inch // one problem is enough for the field
	}
	src.Headspace = space.Inches()
	for _, p := range src.Check() {
		fields = append(fields, field("body."+p.Field, "Accepted: "+p.Accepts+".", p.Given))
	}
	if len(fields) > 0 {
		return src, unprocessable(fields)
	}
	return src, nil
}
