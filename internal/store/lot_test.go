package store

import (
	"context"
	"errors"
	"reflect"
	"testing"

	"mellisca/core/fruit"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

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
	c := Closing{Batch: "abcdefgh", Product: "apple-juice", Pack: "hot", Fruit: 20 * lb, Liquid: 5 * measure.Litre, LiquidLeft: measure.Litre, PrepareMinutes: 40, CookMinutes: 30, FillMinutes: 20, BoilMinutes: 25, BoilFactor: 1.2, Day: 20332,
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
	all, err := s.Closings(ctx, 0, EveryClosing)
	if err != nil || len(all) != 2 || !reflect.DeepEqual(all[1], c) {
		t.Errorf("%+v, %v; want %+v", all, err, c)
	}
	if err := s.ForgetClosing(ctx, c.ID, true); err != nil {
		t.Fatal(err)
	}
	if all, _ = s.Closings(ctx, 0, EveryClosing); !all[1].Forgotten {
		t.Error("not forgotten")
	}
	if by := lots[0].UsedFor["juicejuice"]; by.Product != "apple-juice" || by.Day != 20332 {
		t.Errorf("%+v", lots[0].UsedFor)
	}
	// Of 20 lb that went into juice, 12 lb of pulp went into sauce: no 9 lb more, whatever asks.
	more := sauce
	more.MadeOf, more.Lots = "pulp", []LotUse{{id, fruit.Use{Of: "juicejuice", Mass: 9 * lb, What: "pulp"}}}
	if _, err := s.AddClosing(ctx, more); err == nil {
		t.Error("more pulp than fruit")
	}
	more.Lots[0].Of = "nothing!"
	if _, err := s.AddClosing(ctx, more); err == nil {
		t.Error("pulp of nothing")
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
	if all, _ = s.Closings(ctx, 0, EveryClosing); len(all) != 2 {
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
