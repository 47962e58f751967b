package store

import (
	"context"
	_ "embed" // the seasons
	"errors"
	"slices"
	"strings"
	"testing"

	"mellisca/core/fruit"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

//go:embed testdata/seasons.sql
var seasons string

// manySeasons fills a file with 20,000 lots and batches, all closed and used up but
// the last twelve, up to day 20,679.
func manySeasons(t testing.TB, s *Store) {
	t.Helper()
	if _, err := s.write.Exec(seasons); err != nil {
		t.Fatal(err)
	}
}

// TestQueriesUseIndexes asks SQLite how it means to go about each query that the
// stations wait for: none may read a whole table of what grows with the seasons.
func TestQueriesUseIndexes(t *testing.T) {
	s, _ := openTest(t)
	manySeasons(t, s)
	// Walked in their order up to a limit, or holding only what is at hand.
	walked := []string{"closing_newest", "batch_newest", "lot_left", "load_on_hob", "load_on_tray", "jar_here", "jar_standing", "jar_cold"}
	for name, query := range map[string]string{
		"lots": selectLots, "taps": selectTaps, "uses": selectUses, "prices": selectPrice,
		"closings": selectClosings, "filled": selectFilled, "lots of closings": selectClosingLots, "batches": selectBatches,
		"on the hob": selectOnHob, "of a load": selectOfLoad, "loads of a batch": selectLoadsOf, "side clocks": selectSides, "newest lines": selectNewest, "on the tray": selectOnTray, "told of jars": selectJarTold,
		"a jar": selectJar, "of a jar": selectJarLines, "jars here": selectJarsHere, "of a load, jars": selectJarsOf, "of a batch, jars": selectJarsBatch, "groups": selectGroups, "apart": selectApart, "due": selectDue, "how many due": countDue, "called back": selectOfRecall,
	} {
		plan := explained(t, s, query)
		for _, line := range plan {
			if name == "newest lines" && line == "SCAN stove_line" {
				continue // backwards by the row's number, up to a limit
			}
			if strings.HasPrefix(line, "SCAN ") && !slices.ContainsFunc(walked, func(index string) bool { return strings.HasSuffix(line, " INDEX "+index) }) {
				t.Errorf("%s reads a whole table: %s", name, strings.Join(plan, "; "))
			}
		}
	}
	if plan := explained(t, s, `SELECT id FROM lot WHERE note = ?`); !strings.HasPrefix(plan[0], "SCAN lot") {
		t.Errorf("this test would not notice: %v", plan)
	}
}

func explained(t *testing.T, s *Store, query string) (lines []string) {
	t.Helper()
	args := make([]any, strings.Count(query, "?"))
	for i := range args {
		args[i] = 1
	}
	rows, err := s.read.Query(`EXPLAIN QUERY PLAN `+query, args...)
	if err != nil {
		t.Fatal(err)
	}
	defer rows.Close()
	for rows.Next() {
		var id, parent, unused int
		var line string
		if err := rows.Scan(&id, &parent, &unused, &line); err != nil {
			t.Fatal(err)
		}
		lines = append(lines, line)
	}
	if len(lines) == 0 || rows.Err() != nil {
		t.Fatal(query, rows.Err())
	}
	return lines
}

// TestManySeasons finds the fruit at hand among that of many seasons.
func TestManySeasons(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	manySeasons(t, s)
	lots, err := s.Lots(ctx, 20680)
	if err != nil || len(lots) != 12 {
		t.Fatal(len(lots), err)
	}
	for _, l := range lots {
		if l.Left() != 9_071_847 || len(l.Taps) != 1 {
			t.Errorf("%+v", l)
		}
	}
	if lots, err = s.Lots(ctx, 20670); err != nil || len(lots) != 20 || len(lots[0].Uses) != 1 || lots[0].Left() != 0 {
		t.Error("those used up since", len(lots), err)
	}
	if paid, err := s.Paid(ctx, "apple"); err != nil || len(paid) != 5000 {
		t.Error(len(paid), err)
	}
	if some, err := s.Closings(ctx, 0, 30); err != nil || len(some) != 30 || len(some[29].Filled) != 1 || len(some[29].Lots) != 1 || some[0].Day != 20673 {
		t.Errorf("%d %+v %v", len(some), some[0], err)
	}
}

// TestLotAddsUp holds that no two batches take the same fruit, whatever came between.
func TestLotAddsUp(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	l := Lot{Name: "crate", Kind: "apple", Typed: "20 lb", Bought: fruit.Bought{Mass: 20 * measure.Pound}, PriceCents: -1, Got: 20330}
	var err error
	if l.ID, err = s.KeepLot(ctx, l); err != nil {
		t.Fatal(err)
	}
	quart, _ := jar.Find("quart")
	take := func(m measure.Mass) (string, error) {
		return s.AddClosing(ctx, Closing{Batch: "abcdefgh", Product: "applesauce", Pack: "hot", Fruit: m, Day: 20331,
			Filled: []fruit.Filled{{Jar: quart, Count: 4}}, Lots: []LotUse{{l.ID, fruit.Use{Mass: m, What: "fruit"}}}})
	}
	changes := s.ClosingsChanged()
	first, err := take(15 * measure.Pound)
	if err != nil || s.ClosingsChanged() == changes {
		t.Fatal(err)
	}
	if _, err := take(6 * measure.Pound); err == nil {
		t.Error("21 lb were taken of 20 lb")
	}
	if all, _ := s.Closings(ctx, 0, EveryClosing); len(all) != 1 {
		t.Errorf("half kept: %+v", all)
	}
	l.Bought.Mass = 14 * measure.Pound
	var taken *TakenError
	if _, err := s.KeepLot(ctx, l); !errors.As(err, &taken) || taken.Used != 15*measure.Pound {
		t.Error(err)
	}
	if err := s.RemoveClosing(ctx, first); err != nil {
		t.Fatal(err)
	}
	if _, err := take(20 * measure.Pound); err != nil {
		t.Error("a batch opened again keeps its fruit:", err)
	}
}
