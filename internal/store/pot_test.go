package store

import (
	"context"
	"errors"
	"reflect"
	"testing"

	"mellisca/core/batch"
	"mellisca/core/canner"
	"mellisca/core/fruit"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

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
