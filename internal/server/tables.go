package server

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/guide"
	"mellisca/core/measure"
	"mellisca/internal/store"
)

type tableColumn struct {
	Text  string `json:"text"`
	Short string `json:"short" doc:"the same, for the head of a narrow column"`
	Own   bool   `json:"own" doc:"the kitchen's altitude lies in it"`
}

type tableLine struct {
	Pack      string `json:"pack"`
	Jar       string `json:"jar"`
	Headspace string `json:"headspace"`
	Minutes   []int  `json:"minutes" nullable:"false" doc:"one for each column"`
	Sterile   bool   `json:"sterile" doc:"needs sterile jars"`
}

type tablePart struct {
	Name    string      `json:"name"`
	Product string      `json:"product"`
	Title   string      `json:"title"`
	Rows    []tableLine `json:"rows" nullable:"false"`
	Checked *time.Time  `json:"checked" doc:"when the cook held it against the printed guide; null where not, or where the numbers changed since"`
}

type tablesBody struct {
	Source  string        `json:"source"`
	Ask     string        `json:"ask"`
	Columns []tableColumn `json:"columns" nullable:"false"`
	Parts   []tablePart   `json:"parts" nullable:"false"`
	Checked int           `json:"checked" doc:"how many parts are checked"`
}

type tablesOutput struct{ Body tablesBody }

type partInput struct {
	Body struct {
		Part string `json:"part" maxLength:"100"`
	}
}

func (s *server) registerTables(api huma.API) {
	huma.Register(api, huma.Operation{
		OperationID: "tables", Method: "GET", Path: "/api/tables", Summary: "The tested rows as the guide prints them, and which of them the cook has checked",
	}, func(ctx context.Context, _ *struct{}) (*tablesOutput, error) { return s.tables(ctx) })
	huma.Register(api, huma.Operation{
		OperationID: "check-table", Method: "POST", Path: "/api/tables/checks", MaxBodyBytes: mostBody, Errors: []int{422},
		Summary: "Say that a part was held against the printed guide today",
	}, func(ctx context.Context, in *partInput) (*tablesOutput, error) {
		for _, p := range guide.Parts() {
			if p.Name == in.Body.Part {
				err := s.store.CheckTable(ctx, store.TableCheck{Part: p.Name, Fingerprint: p.Fingerprint(), At: s.now()})
				if err != nil {
					return nil, s.storeProblem(err, "check")
				}
				return s.tables(ctx)
			}
		}
		return nil, unprocessable([]error{field("body.part", "That is not a part of the tables. Accepted: a name as /api/tables gives it, such as Guide 2: Peaches.", in.Body.Part)})
	})
	huma.Register(api, huma.Operation{
		OperationID: "uncheck-table", Method: "POST", Path: "/api/tables/checks/undo", MaxBodyBytes: mostBody,
		Summary: "Take a check back",
	}, func(ctx context.Context, in *partInput) (*tablesOutput, error) {
		if err := s.store.UncheckTable(ctx, in.Body.Part); err != nil {
			return nil, s.storeProblem(err, "check")
		}
		return s.tables(ctx)
	})
}

func (s *server) tables(ctx context.Context) (*tablesOutput, error) {
	k, units, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	checks, err := s.store.TableChecks(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "checks")
	}
	src := guide.GuideSource()
	b := tablesBody{Source: sourceText(src), Ask: guide.AskToCheck, Columns: []tableColumn{}, Parts: []tablePart{}}
	for i, band := range guide.Bands() {
		b.Columns = append(b.Columns, tableColumn{bandText(band, units), bandShort(band, units), k.Altitude != nil && guide.BandIndex(*k.Altitude) == i})
	}
	for _, p := range guide.Parts() {
		part := tablePart{Name: p.Name, Product: string(p.Product), Title: p.Title}
		for _, r := range p.Rows {
			part.Rows = append(part.Rows, tableLine{
				guide.PackName(r.Pack), string(r.Size.ID()), measure.Inches(r.Headspace).Text(units), r.Minutes[:], r.Minutes[0] < 10,
			})
		}
		if c, ok := checks[p.Name]; ok && c.Fingerprint == p.Fingerprint() {
			part.Checked = &c.At
			b.Checked++
		}
		b.Parts = append(b.Parts, part)
	}
	return &tablesOutput{b}, nil
}
