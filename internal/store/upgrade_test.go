package store

import (
	"context"
	"io/fs"
	"path/filepath"
	"testing"

	"github.com/pressly/goose/v3"

	"mellisca/core/measure"
)

// TestUpgradeAddsUpLots opens a file from before what was taken of a lot stood beside
// it: nothing is lost, and a lot that more was taken of than there was is empty.
func TestUpgradeAddsUpLots(t *testing.T) {
	ctx := context.Background()
	path := filepath.Join(t.TempDir(), "old.db")
	db, err := open(path, "")
	if err != nil {
		t.Fatal(err)
	}
	files, err := fs.Sub(migrations, "migrations")
	if err != nil {
		t.Fatal(err)
	}
	p, err := goose.NewProvider(goose.DialectSQLite3, db, files)
	if err != nil {
		t.Fatal(err)
	}
	if _, err := p.UpTo(ctx, 10); err != nil {
		t.Fatal(err)
	}
	for _, query := range []string{
		`INSERT INTO lot (` + lotColumns + `) VALUES ('untouched', 'a', 'apple', '', '20 lb', 9000000, 0, NULL, '', 20330, ''),
			('half-taken', 'b', 'apple', '', '20 lb', 9000000, 0, NULL, '', 20331, ''), ('overdrawn', 'c', 'apple', '', '20 lb', 9000000, 0, NULL, '', 20332, '')`,
		`INSERT INTO closing (id, batch, product, kind, form, pack, fruit_mg, liquid_ul, prepare_minutes, boil_minutes, boil_factor, note, day, forgotten)
			VALUES ('a-closing', 'a-batch-', 'applesauce', '', 'sauce', 'hot', 4000000, 0, 0, 0, 0, '', 20333, 0)`,
		`INSERT INTO lot_use (id, lot, closing, of, what, mass_mg) VALUES ('use-one-', 'half-taken', 'a-closing', '', 'fruit', 4000000),
			('use-two-', 'half-taken', 'a-closing', 'use-one-', 'pulp', 3000000), ('use-three', 'overdrawn', NULL, '', 'fruit', 9500000)`,
	} {
		if _, err := db.Exec(query); err != nil {
			t.Fatal(err)
		}
	}
	if err := db.Close(); err != nil {
		t.Fatal(err)
	}
	s, err := Open(ctx, path)
	if err != nil {
		t.Fatal(err)
	}
	defer s.Close()
	lots, err := s.Lots(ctx, 20330)
	if err != nil || len(lots) != 3 {
		t.Fatal(lots, err)
	}
	for i, left := range []measure.Mass{9_000_000, 5_000_000, 0} {
		if lots[i].Left() != left {
			t.Errorf("%s: %v left, want %v", lots[i].ID, lots[i].Left(), left)
		}
	}
	if lots, err = s.Lots(ctx, 20400); err != nil || len(lots) != 2 {
		t.Errorf("%d lots with something left, %v", len(lots), err)
	}
	if err := s.RemoveClosing(ctx, "a-closing"); err != nil {
		t.Fatal(err)
	}
	if lots, err = s.Lots(ctx, 20400); err != nil || lots[1].Left() != 9_000_000 {
		t.Errorf("opened again: %+v, %v", lots, err)
	}
}
