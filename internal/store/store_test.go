package store

import (
	"context"
	"errors"
	"path/filepath"
	"reflect"
	"slices"
	"testing"
	"time"

	"mellisca/core/batch"
	"mellisca/core/canner"
	"mellisca/core/fruit"
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

func TestPotsAndBurners(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	b := Burner{Burner: canner.Burner{Name: "front left", Watts: 3500, Kind: canner.Gas}, Across: measure.Centimetres(24), GlassTop: false, Outdoors: true}
	id, err := s.KeepBurner(ctx, b)
	if err != nil {
		t.Fatal(err)
	}
	b.ID = id
	p := Pot{Burner: id, Pot: canner.Pot{Name: "the big kettle", Kind: canner.BoilingWater, Diameter: measure.Centimetres(36), Depth: measure.Centimetres(30), Rack: measure.Centimetres(1.5), Steel: 2 * measure.Kilogram}}
	if p.ID, err = s.KeepPot(ctx, p); err != nil {
		t.Fatal(err)
	}
	p.Depth, b.Watts = measure.Centimetres(31), 3000
	if _, err := s.KeepPot(ctx, p); err != nil {
		t.Fatal(err)
	}
	if _, err := s.KeepBurner(ctx, b); err != nil {
		t.Fatal(err)
	}
	pots, err := s.Pots(ctx)
	if err != nil || len(pots) != 1 || pots[0] != p {
		t.Errorf("%+v, %v", pots, err)
	}
	if all, err := s.Burners(ctx); err != nil || len(all) != 1 || all[0] != b {
		t.Errorf("%+v, %v", all, err)
	}
	if err := s.RemoveBurner(ctx, id); err != nil {
		t.Fatal(err)
	}
	if pots, _ := s.Pots(ctx); pots[0].Burner != "" {
		t.Error("the pot stands on a burner that is gone")
	}
	for what, err := range map[string]error{
		"a burner twice":          s.RemoveBurner(ctx, id),
		"a pot that is not there": func() error { _, err := s.KeepPot(ctx, Pot{ID: "nothing!", Pot: p.Pot}); return err }(),
	} {
		if !errors.Is(err, ErrNotFound) {
			t.Errorf("%s: %v", what, err)
		}
	}
	p.ID, p.Length = "", measure.Centimetres(20)
	if _, err := s.KeepPot(ctx, p); err == nil {
		t.Error("a pot both round and rectangular")
	}
	if err := s.RemovePot(ctx, pots[0].ID); err != nil {
		t.Error(err)
	}
}

func TestLotsAndClosings(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	lb := measure.Pound
	l := Lot{Name: "Tuesday's crate", Kind: "apple", Variety: "Corvane Russet", Typed: "1 bushel", Bought: fruit.Bought{Mass: 48 * lb}, PriceCents: 1850, From: "the upper orchard", Got: 20330}
	id, err := s.KeepLot(ctx, l)
	if err != nil {
		t.Fatal(err)
	}
	for _, r := range []fruit.Ripeness{fruit.Nearly, fruit.Ready} { // the last of a day counts
		if err := s.TapLot(ctx, id, fruit.Tap{Day: 20331, Ripeness: r}); err != nil {
			t.Fatal(err)
		}
	}
	quart, _ := jar.Find("quart")
	c := Closing{Batch: "abcdefgh", Product: "apple-juice", Pack: "hot", Fruit: 20 * lb, Liquid: 5 * measure.Litre, PrepareMinutes: 40, BoilMinutes: 25, BoilFactor: 1.2, Day: 20332,
		Filled: []fruit.Filled{{Jar: quart, Count: 5}}, Lots: []LotUse{{id, fruit.Use{ID: "juicejuice", Mass: 20 * lb, What: "fruit"}}}}
	if c.ID, err = s.AddClosing(ctx, c); err != nil {
		t.Fatal(err)
	}
	sauce := Closing{Product: "applesauce", Pack: "hot", Fruit: 12 * lb, Day: 20332, Filled: []fruit.Filled{{Jar: quart, Count: 3}}, Lots: []LotUse{{id, fruit.Use{Of: "juicejuice", Mass: 12 * lb, What: "pulp"}}}}
	if sauce.ID, err = s.AddClosing(ctx, sauce); err != nil {
		t.Fatal(err)
	}
	lots, err := s.Lots(ctx, 20330)
	if err != nil || len(lots) != 1 || lots[0].Left() != 28*lb || len(lots[0].Taps) != 1 || lots[0].Taps[0].Ripeness != fruit.Ready || len(lots[0].Uses) != 2 || lots[0].PriceCents != 1850 {
		t.Fatalf("%+v, %v", lots, err)
	}
	all, err := s.Closings(ctx, EveryClosing)
	if err != nil || len(all) != 2 || !reflect.DeepEqual(all[1], c) {
		t.Errorf("%+v, %v; want %+v", all, err, c)
	}
	if err := s.ForgetClosing(ctx, c.ID, true); err != nil {
		t.Fatal(err)
	}
	if all, _ = s.Closings(ctx, EveryClosing); !all[1].Forgotten {
		t.Error("not forgotten")
	}
	bad := sauce
	bad.Lots = []LotUse{{"nothing!", fruit.Use{Mass: lb, What: "fruit"}}}
	if _, err := s.AddClosing(ctx, bad); err == nil {
		t.Error("fruit of a lot that is not there")
	}
	bad.Lots, bad.Filled = nil, []fruit.Filled{{Jar: quart, Count: 0}}
	if _, err := s.AddClosing(ctx, bad); err == nil {
		t.Error("no jars were filled")
	}
	if all, _ = s.Closings(ctx, EveryClosing); len(all) != 2 {
		t.Errorf("half kept: %d", len(all))
	}
	if err := s.RemoveClosing(ctx, c.ID); !errors.Is(err, ErrLeftOverUsed) {
		t.Errorf("juice opened again whose pulp is in sauce: %v", err)
	}
	if err := s.RemoveClosing(ctx, sauce.ID); err != nil {
		t.Fatal(err)
	}
	if lots, _ = s.Lots(ctx, 20330); len(lots[0].Uses) != 1 {
		t.Error("a batch opened again still takes fruit")
	}
	if err := s.LotGone(ctx, id, true, noon); err != nil {
		t.Fatal(err)
	}
	if lots, _ = s.Lots(ctx, 20330); len(lots) != 0 {
		t.Error("a lot that is gone is listed")
	}
	if err := s.TapLot(ctx, "nothing!", fruit.Tap{}); !errors.Is(err, ErrNotFound) {
		t.Error(err)
	}
	for _, m := range []measure.Mass{11 * lb, 12 * lb} {
		if err := s.KeepContainer(ctx, fruit.Container{Name: "Green pail", Kind: "apple", Mass: m}); err != nil {
			t.Fatal(err)
		}
	}
	if cs, err := s.Containers(ctx); err != nil || len(cs) != 1 || cs[0].Mass != 12*lb {
		t.Errorf("%+v, %v", cs, err)
	}
	v := Variety{"apple", "Corvane Russet", 7, "firm", "Oct", "keeps till spring"}
	if err := s.KeepVariety(ctx, v); err != nil {
		t.Fatal(err)
	}
	if vs, err := s.Varieties(ctx); err != nil || len(vs) != 1 || vs[0] != v {
		t.Errorf("%+v, %v", vs, err)
	}
}

func TestStockFollowsBatches(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	quart, _ := jar.Find("quart")
	st := batch.Stock{Jars: map[jar.ID]batch.Owned{"quart": {Owned: 20, InUse: 4}, "pint": {}}, Lids: map[jar.Mouth]int{jar.Regular: 12, jar.Wide: 3}, Bands: map[jar.Mouth]int{jar.Regular: 30, jar.Wide: 0}}
	if err := s.SetStock(ctx, st); err != nil {
		t.Fatal(err)
	}
	if got, err := s.Stock(ctx); err != nil || !reflect.DeepEqual(got, st) {
		t.Errorf("%+v, %v", got, err)
	}
	c := Closing{Batch: "abcdefgh", Product: "peaches", Pack: "hot", Fruit: 12 * measure.Pound, Filled: []fruit.Filled{{Jar: quart, Count: 5}}}
	id, err := s.AddClosing(ctx, c)
	if err != nil {
		t.Fatal(err)
	}
	if got, _ := s.Stock(ctx); got.Jars["quart"].InUse != 9 || got.Lids[jar.Regular] != 7 {
		t.Errorf("%+v", got)
	}
	c.Batch = "" // of an earlier season: its jars were emptied long ago
	if _, err := s.AddClosing(ctx, c); err != nil {
		t.Fatal(err)
	}
	if err := s.RemoveClosing(ctx, id); err != nil {
		t.Fatal(err)
	}
	if got, _ := s.Stock(ctx); got.Jars["quart"].InUse != 4 || got.Lids[jar.Regular] != 7 {
		t.Errorf("opened again: %+v", got)
	}
	st.Jars["quart"] = batch.Owned{Owned: 1, InUse: 2}
	if err := s.SetStock(ctx, st); err == nil {
		t.Error("more full jars than there are")
	}
	if got, _ := s.Stock(ctx); got.Jars["quart"].Owned != 20 {
		t.Errorf("half kept: %+v", got)
	}
}
