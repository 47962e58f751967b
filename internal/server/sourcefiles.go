package server

import (
	"bytes"
	"context"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/internal/exchange"
	"mellisca/internal/store"
)

// mostFile is the largest file of own sources that is read, in bytes.
const mostFile = 1 << 20

type importedBody struct {
	Added   int              `json:"added"`
	Changed int              `json:"changed"`
	Same    int              `json:"same"`
	Sources []sourceBodyFull `json:"sources" nullable:"false"`
}

// fileOutput is a file to be kept or printed.
type fileOutput struct {
	ContentType string `header:"Content-Type"`
	Disposition string `header:"Content-Disposition"`
	Body        []byte
}

func (s *server) registerSourceFiles(api huma.API) {
	huma.Register(api, huma.Operation{
		OperationID: "export-sources", Method: "GET", Path: "/api/sources/export", Summary: "All own sources as a file, to be kept or given on",
	}, func(ctx context.Context, _ *struct{}) (*fileOutput, error) {
		all, err := s.store.OwnSources(ctx)
		if err != nil {
			return nil, s.storeProblem(err, "own sources")
		}
		out := &fileOutput{ContentType: "application/json", Disposition: `attachment; filename="own-sources.json"`}
		var b bytes.Buffer
		lines := make([]exchange.Source, len(all))
		for i, o := range all {
			lines[i] = exchange.Source{ID: o.ID, Retired: o.Retired, Source: o.Source}
		}
		if err := exchange.WriteSources(&b, lines); err != nil {
			return nil, err
		}
		out.Body = b.Bytes()
		return out, nil
	})
	huma.Register(api, huma.Operation{
		OperationID: "import-sources", Method: "POST", Path: "/api/sources/import", MaxBodyBytes: mostFile, Errors: []int{422},
		Summary: "Take own sources over from a file; one that is here already by its id is changed to it; anything wrong refuses the file whole",
	}, func(ctx context.Context, in *struct {
		Body struct {
			File string `json:"file" doc:"the text of the file"`
		}
	}) (*struct{ Body importedBody }, error) {
		lines, err := exchange.ReadSources(strings.NewReader(in.Body.File))
		if err != nil {
			return nil, unprocessable([]error{field("body.file", "Nothing was taken over. "+upper(err.Error())+".", "")})
		}
		all := make([]store.OwnSource, len(lines))
		for i, l := range lines {
			all[i] = store.OwnSource{ID: l.ID, Retired: l.Retired, Source: l.Source}
		}
		n, err := s.store.MergeOwnSources(ctx, all, s.now())
		if err != nil {
			return nil, s.storeProblem(err, "own sources")
		}
		now, err := s.sources(ctx)
		if err != nil {
			return nil, err
		}
		return &struct{ Body importedBody }{importedBody{n.Added, n.Changed, n.Same, now.Body}}, nil
	})
}
