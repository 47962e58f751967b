package store

import (
	"context"
	"errors"
	"path/filepath"
	"slices"
	"testing"
	"time"

	"mellisca/core/batch"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

var noon = time.Date(2026, 8, 14, 12, 0, 0, 0, time.UTC)

func openTest(t testing.TB) (*Store, string) {
	t.Helper()
	path := filepath.Join(t.TempDir(), "a kitchen #1%20.db")
	s, err := Open(context.Background(), path)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { s.Close() })
	return s, path
}

func sample() Batch {
	return Batch{Note: "for “Aunt's” hut; DROP TABLE batch", Request: batch.Request{
		Product: "peaches", Kind: "freestone", Form: "halves", Pack: guide.Hot, Jar: "quart", Amount: "12 lb", Altitude: "3,480 ft",
		Liquid: batch.Liquid{Kind: batch.Ratio, WaterParts: 4.5, SugarParts: 1.25, Brix: 17.123, Strength: "light", Sweetener: "honey",
			GallonCups: 2.5, Sugar: "1/4 cup", Have: "1 1/2 qt", Cores: true},
		Conditions: guide.Conditions{Acid: guide.AcidFresh, Fruit: guide.FruitFrozen, Jars: guide.JarUsedLids, Extras: 33}, Source: "abcdefgh",
		Blend: 5, Dilute: 1.5, Canner: "bigkettle", Lots: "lotlotlot,otherlot",
	}}
}

func TestSettings(t *testing.T) {
	s, _ := openTest(t)
	for pragma, want := range map[string]string{"journal_mode": "wal", "foreign_keys": "1", "synchronous": "2", "busy_timeout": "5000"} {
		var got string
		if err := s.write.QueryRow("PRAGMA " + pragma).Scan(&got); err != nil || got != want {
			t.Errorf("%s is %q, %v; want %q", pragma, got, err, want)
		}
	}
	if _, err := s.read.Exec("DELETE FROM batch"); err == nil {
		t.Error("a reader could write")
	}
}

func TestBatchThereAndBack(t *testing.T) {
	ctx := context.Background()
	s, path := openTest(t)
	b, err := s.AddBatch(ctx, sample(), noon)
	if err != nil {
		t.Fatal(err)
	}
	if err := s.Close(); err != nil {
		t.Fatal(err)
	}
	s, err = Open(ctx, path) // as after a restart
	if err != nil {
		t.Fatal(err)
	}
	defer s.Close()
	got, err := s.Batch(ctx, b.ID)
	if err != nil || got != b || got.Request != sample().Request || got.Note != sample().Note || !got.Created.Equal(noon) {
		t.Fatalf("%+v, %v; want %+v", got, err, b)
	}
}

func TestChangeAndUndo(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	b, err := s.AddBatch(ctx, sample(), noon)
	if err != nil {
		t.Fatal(err)
	}
	b.Request.Amount = "20 lb"
	changed, err := s.ChangeBatch(ctx, b, noon.Add(time.Hour))
	if err != nil || changed.Version != 2 || changed.Request.Amount != "20 lb" || !changed.Updated.After(changed.Created) {
		t.Fatalf("%+v, %v", changed, err)
	}
	if _, err := s.ChangeBatch(ctx, b, noon); !errors.Is(err, ErrChanged) {
		t.Errorf("a stale change: %v", err)
	}
	if err := s.DeleteBatch(ctx, b.ID, noon); err != nil {
		t.Fatal(err)
	}
	for what, err := range map[string]error{
		"read": func() error { _, err := s.Batch(ctx, b.ID); return err }(), "delete": s.DeleteBatch(ctx, b.ID, noon),
		"change": func() error { _, err := s.ChangeBatch(ctx, changed, noon); return err }(),
	} {
		if !errors.Is(err, ErrNotFound) {
			t.Errorf("%s after delete: %v", what, err)
		}
	}
	if all, _ := s.Batches(ctx, 10); len(all) != 0 {
		t.Errorf("listed after delete: %v", all)
	}
	if back, err := s.RestoreBatch(ctx, b.ID); err != nil || back != changed {
		t.Errorf("%+v, %v", back, err)
	}
	if _, err := s.RestoreBatch(ctx, b.ID); !errors.Is(err, ErrNotFound) {
		t.Errorf("restored twice: %v", err)
	}
}

func TestNewestFirst(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	for i := range 5 {
		if _, err := s.AddBatch(ctx, sample(), noon.Add(time.Duration(i)*time.Minute)); err != nil {
			t.Fatal(err)
		}
	}
	all, err := s.Batches(ctx, 3)
	if err != nil || len(all) != 3 || !all[0].Created.After(all[2].Created) {
		t.Errorf("%v, %v", all, err)
	}
}

func TestKitchen(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	k, err := s.Kitchen(ctx)
	if err != nil || k.Altitude != nil || k.Units != measure.US {
		t.Fatalf("a new kitchen: %+v, %v", k, err)
	}
	a, _ := measure.ParseAltitude("1061.5 m")
	k.Altitude, k.Units, k.Name, k.Jars = &a, measure.Metric, "Hütte", []jar.ID{"1-l", "500-ml"}
	set, err := s.SetKitchen(ctx, k, noon)
	if err != nil {
		t.Fatal(err)
	}
	got, err := s.Kitchen(ctx)
	if err != nil || *got.Altitude != a || got.Units != measure.Metric || got.Name != "Hütte" || !slices.Equal(got.Jars, k.Jars) || got.Version != set.Version {
		t.Errorf("%+v, %v", got, err)
	}
	if _, err := s.SetKitchen(ctx, k, noon); !errors.Is(err, ErrChanged) {
		t.Errorf("a stale change: %v", err)
	}
}

func TestRefusesNonsense(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	b := sample()
	b.Request.Pack = "lukewarm"
	if _, err := s.AddBatch(ctx, b, noon); err == nil {
		t.Error("a pack that is none was kept")
	}
	if all, _ := s.Batches(ctx, 10); len(all) != 0 {
		t.Error("half saved")
	}
	if _, err := Open(ctx, filepath.Join(t.TempDir(), "missing", "x.db")); err == nil {
		t.Error("opened a file in a folder that is not there")
	}
}

func TestPlacesChoicesPrices(t *testing.T) {
	ctx := context.Background()
	s, path := openTest(t)
	high, _ := measure.ParseAltitude("1061 m")
	low, _ := measure.ParseAltitude("-12 ft")
	if err := s.AddPlaces(ctx, []Place{{"Hütte", high}, {"Sallow", low}}); err != nil {
		t.Fatal(err)
	}
	if err := s.AddPlaces(ctx, []Place{{"sallow", high}}); err != nil {
		t.Fatal(err)
	}
	if err := s.AddPlaces(ctx, []Place{{"Good", high}, {"", high}}); err == nil {
		t.Error("a place without a name was kept")
	}
	for _, c := range []string{"raw", "hot"} {
		if err := s.Choose(ctx, "pack", c); err != nil {
			t.Fatal(err)
		}
	}
	if err := s.SetPrices(ctx, map[string]string{"sugar": "3.49 for 4 lb", "honey": ""}); err != nil {
		t.Fatal(err)
	}
	if err := s.SetPrices(ctx, map[string]string{"gold": "1 a kg"}); err == nil {
		t.Error("gold was priced")
	}
	if err := s.Close(); err != nil {
		t.Fatal(err)
	}
	s, err := Open(ctx, path) // as after a restart
	if err != nil {
		t.Fatal(err)
	}
	defer s.Close()
	places, err := s.Places(ctx)
	if err != nil || len(places) != 2 || places[0] != (Place{"Hütte", high}) || places[1] != (Place{"sallow", high}) {
		t.Errorf("%+v, %v", places, err)
	}
	if c, err := s.Choices(ctx); err != nil || len(c) != 1 || c["pack"] != "hot" {
		t.Errorf("%v, %v", c, err)
	}
	if p, err := s.Prices(ctx); err != nil || len(p) != 1 || p["sugar"] != "3.49 for 4 lb" {
		t.Errorf("%v, %v", p, err)
	}
}
