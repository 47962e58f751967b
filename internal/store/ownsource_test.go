package store

import (
	"context"
	"errors"
	"testing"

	"mellisca/core/guide"
	"mellisca/core/jar"
)

func TestOwnSources(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	src := guide.OwnSource{Name: "spiced “crab” apples", Title: "A Made-up Book", Year: 1988, Page: "41-43", Product: "crab-apples", Pack: guide.Hot,
		Largest: jar.Quart, Minutes: 20, Additions: [4]int{0, 12, 0, 30}, Headspace: 0.75, Acid: "1 tbsp"}
	id, err := s.AddOwnSource(ctx, src, noon)
	if err != nil {
		t.Fatal(err)
	}
	all, err := s.OwnSources(ctx)
	if err != nil || len(all) != 1 || all[0] != (OwnSource{ID: id, Version: 1, Source: src}) {
		t.Fatalf("%+v, %v", all, err)
	}
	src.Minutes, src.Headspace = 25, 0.25
	if err := s.ChangeOwnSource(ctx, OwnSource{ID: id, Version: 1, Source: src}, noon); err != nil {
		t.Fatal(err)
	}
	if err := s.ChangeOwnSource(ctx, OwnSource{ID: id, Version: 1, Source: src}, noon); !errors.Is(err, ErrChanged) {
		t.Errorf("a stale change: %v", err)
	}
	for _, retired := range []bool{true, false} {
		if err := s.RetireOwnSource(ctx, id, retired, noon); err != nil {
			t.Fatal(err)
		}
		if all, _ := s.OwnSources(ctx); all[0].Retired != retired || all[0].Source != src {
			t.Errorf("%+v", all[0])
		}
	}
	if err := s.RetireOwnSource(ctx, "nothing", true, noon); !errors.Is(err, ErrNotFound) {
		t.Error(err)
	}
	src.Year = 3
	if _, err := s.AddOwnSource(ctx, src, noon); err == nil {
		t.Error("the year 3 was kept")
	}
}

func TestMergeOwnSources(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	src := guide.OwnSource{Name: "crab apples", Title: "A Made-up Book", Year: 1988, Page: "41", Product: "crab-apples", Pack: guide.Hot, Largest: jar.Quart, Minutes: 20, Headspace: 0.5}
	more := src
	more.Minutes = 25
	merge := func(want Merged, all ...OwnSource) {
		t.Helper()
		if n, err := s.MergeOwnSources(ctx, all, noon); err != nil || n != want {
			t.Errorf("%+v, %v; want %+v", n, err, want)
		}
	}
	a, b := OwnSource{ID: "aaaaaaaa", Source: src}, OwnSource{ID: "bbbbbbbb", Source: more, Retired: true}
	merge(Merged{Added: 2}, a, b)
	merge(Merged{Same: 2}, a, b)
	merge(Merged{Same: 1}, OwnSource{Source: src}) // the very same without an id
	a.Source.Page, b.Retired = "42", false
	merge(Merged{Changed: 2}, a, b)
	third := src
	third.Name = "another"
	merge(Merged{Added: 1}, OwnSource{Source: third})
	all, err := s.OwnSources(ctx)
	if err != nil || len(all) != 3 || all[1].Version != 2 || all[1].Source.Page != "42" || all[2].Retired {
		t.Errorf("%+v, %v", all, err)
	}
	third.Name, third.Year = "bad", 3
	if _, err := s.MergeOwnSources(ctx, []OwnSource{{Source: more}, {Source: third}}, noon); err == nil {
		t.Error("the year 3 was kept")
	}
	if now, _ := s.OwnSources(ctx); len(now) != 3 {
		t.Errorf("half of a file was kept: %d", len(now))
	}
}
