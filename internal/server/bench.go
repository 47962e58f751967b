package server

import (
	"context"
	"maps"
	"slices"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/shelf"
	"mellisca/internal/store"
)

// MarkFields is the cook's own opinion of a jar.
type MarkFields struct {
	Marks map[string]int `json:"marks" doc:"0 to 10 by criterion; what is left out goes by the record"`
	Place int            `json:"place" minimum:"0" maximum:"500" doc:"that the cook gave it; 0: by its marks"`
	Note  string         `json:"note" maxLength:"300"`
}

type benchMark struct {
	Criterion string `json:"criterion"`
	Text      string `json:"text"`
	Mark      int    `json:"mark" doc:"-1: none yet"`
	Own       bool   `json:"own" doc:"the cook's; otherwise by the record of the seal check"`
}

type benchEntry struct {
	Rank  int          `json:"rank"`
	Jar   ShelfJarBody `json:"jar"`
	Marks []benchMark  `json:"marks" nullable:"false"`
	Sum   int          `json:"sum"`
	Place int          `json:"place" doc:"that the cook gave it; 0: by its marks"`
	Note  string       `json:"note"`
}

type benchBody struct {
	Year    int          `json:"year"`
	Years   []int        `json:"years" nullable:"false" doc:"of which there are opinions"`
	Entries []benchEntry `json:"entries" nullable:"false" doc:"the best first"`
}

type benchOutput struct{ Body benchBody }

// BenchPath names a year of the show.
type BenchPath struct {
	Year int `path:"year" minimum:"1900" maximum:"2200"`
}

func (s *server) registerBench(api huma.API) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 422}}
	}
	huma.Register(api, op("bench", "GET", "/api/bench/{year}", "The jars on a year's bench for the show, by the cook's own opinion"), func(ctx context.Context, in *BenchPath) (*benchOutput, error) {
		return s.bench(ctx, in.Year)
	})
	huma.Register(api, op("mark-for-show", "PUT", "/api/bench/{year}/{jar}", "Put a jar on the bench, or mark it"), func(ctx context.Context, in *struct {
		BenchPath
		Jar  string `path:"jar" maxLength:"40"`
		Body MarkFields
	}) (*benchOutput, error) {
		if _, _, err := s.store.Jar(ctx, in.Jar); err != nil {
			return nil, s.storeProblem(err, "jar")
		}
		m := store.Marked{Jar: in.Jar, Marks: map[shelf.Criterion]int{}, Place: in.Body.Place, Note: in.Body.Note}
		for c, n := range in.Body.Marks {
			if !slices.Contains(shelf.Criteria(), shelf.Criterion(c)) || n < 0 || n > shelf.MostMarks {
				return nil, unprocessable([]error{field("body.marks", "Accepted: 0 to 10 for each of the things that judges look at.", n)})
			}
			m.Marks[shelf.Criterion(c)] = n
		}
		if err := s.store.MarkForShow(ctx, in.Year, m); err != nil {
			return nil, s.storeProblem(err, "bench")
		}
		return s.bench(ctx, in.Year)
	})
	huma.Register(api, op("off-the-bench", "DELETE", "/api/bench/{year}/{jar}", "Take a jar off the bench"), func(ctx context.Context, in *struct {
		BenchPath
		Jar string `path:"jar" maxLength:"40"`
	}) (*benchOutput, error) {
		if err := s.store.OffTheBench(ctx, in.Year, in.Jar); err != nil {
			return nil, s.storeProblem(err, "jar on the bench")
		}
		return s.bench(ctx, in.Year)
	})
}

func (s *server) bench(ctx context.Context, year int) (*benchOutput, error) {
	b := benchBody{Year: year, Years: []int{}, Entries: []benchEntry{}}
	years, err := s.store.ShowYears(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "bench")
	}
	b.Years = append(b.Years, years...)
	marked, err := s.store.ShowMarks(ctx, year)
	if err != nil {
		return nil, s.storeProblem(err, "bench")
	}
	places, err := s.store.ShelfPlaces(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "bench")
	}
	var entries []shelf.Entry
	of := map[string]store.Marked{}
	jars := map[string]store.Jar{}
	for _, m := range marked {
		j, _, err := s.store.Jar(ctx, m.Jar)
		if err != nil {
			return nil, s.storeProblem(err, "jar")
		}
		marks, err := s.suggested(ctx, j)
		if err != nil {
			return nil, s.storeProblem(err, "jar")
		}
		maps.Copy(marks, m.Marks)
		entries = append(entries, shelf.Entry{Jar: m.Jar, Marks: marks, Place: m.Place})
		of[m.Jar], jars[m.Jar] = m, j
	}
	for i, e := range shelf.Rank(entries) {
		m := of[e.Jar]
		entry := benchEntry{Rank: i + 1, Jar: shelfJar(jars[e.Jar], s.today(), placeNames(places)), Sum: e.Sum(), Place: e.Place, Note: m.Note, Marks: []benchMark{}}
		for _, c := range shelf.Criteria() {
			mark, known := e.Marks[c]
			_, own := m.Marks[c]
			if !known {
				mark = -1
			}
			entry.Marks = append(entry.Marks, benchMark{string(c), shelf.CriterionText(c), mark, own})
		}
		b.Entries = append(b.Entries, entry)
	}
	return &benchOutput{b}, nil
}

// suggested is the marks that the seal check of a jar leads to.
func (s *server) suggested(ctx context.Context, j store.Jar) (map[shelf.Criterion]int, error) {
	if j.Load == "" {
		return map[shelf.Criterion]int{}, nil
	}
	l, err := store.Stove{Store: s.store}.TrayLoad(ctx, j.Load)
	if err != nil {
		return nil, err
	}
	now := shelf.Fold(l.Load.Jars, l.Told)
	if j.Number < 1 || j.Number > len(now) {
		return map[shelf.Criterion]int{}, nil
	}
	return shelf.Suggested(now[j.Number-1].Finding), nil
}
