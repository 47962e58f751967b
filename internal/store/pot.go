package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"

	"mellisca/core/canner"
	"mellisca/core/measure"
)

// Cooking is the kind of a pot that is no canner.
const Cooking canner.Kind = "cooking"

// Pot is a canner or a cooking pot with the burner that it uses.
type Pot struct {
	ID     string
	Burner string // id; empty: none said
	Watts  int    // of an electric one
	canner.Pot
}

// Burner is what a pot stands on.
type Burner struct {
	ID string
	canner.Burner
	Across   measure.Length // 0: not said
	Outdoors bool
	GlassTop bool
}

const potColumns = `id, name, kind, across_um, length_um, width_um, depth_um, rack_um, steel_mg, watts, burner`

// Pots lists canners and cooking pots, in the order they were kept.
func (s *Store) Pots(ctx context.Context) ([]Pot, error) {
	rows, err := s.read.QueryContext(ctx, `SELECT `+potColumns+` FROM pot ORDER BY rowid`)
	if err != nil {
		return nil, fmt.Errorf("listing pots: %w", err)
	}
	defer rows.Close()
	var all []Pot
	for rows.Next() {
		var p Pot
		if err := rows.Scan(&p.ID, &p.Name, &p.Kind, &p.Diameter, &p.Length, &p.Width, &p.Depth, &p.Rack, &p.Steel, &p.Watts, &p.Burner); err != nil {
			return nil, fmt.Errorf("listing pots: %w", err)
		}
		all = append(all, p)
	}
	return all, rows.Err()
}

// KeepPot keeps a pot: a new one where it has no id, or in place of the one of its id.
func (s *Store) KeepPot(ctx context.Context, p Pot) (string, error) {
	fields := []any{p.Name, string(p.Kind), int64(p.Diameter), int64(p.Length), int64(p.Width), int64(p.Depth), int64(p.Rack), int64(p.Steel), p.Watts, p.Burner}
	if p.ID == "" {
		p.ID = newID()
		_, err := s.write.ExecContext(ctx, `INSERT INTO pot (`+potColumns+`) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`, append([]any{p.ID}, fields...)...)
		return p.ID, wrapped("keeping a pot", err)
	}
	return p.ID, s.one(ctx, "changing a pot", `UPDATE pot SET name = ?, kind = ?, across_um = ?, length_um = ?, width_um = ?, depth_um = ?, rack_um = ?,
		steel_mg = ?, watts = ?, burner = ? WHERE id = ?`, append(fields, p.ID)...)
}

// RemovePot takes a pot out of the kitchen. Batches that named it take the usual one.
func (s *Store) RemovePot(ctx context.Context, id string) error {
	return s.one(ctx, "removing a pot", `DELETE FROM pot WHERE id = ?`, id)
}

// Burners lists all of them, in the order they were kept.
func (s *Store) Burners(ctx context.Context) ([]Burner, error) {
	rows, err := s.read.QueryContext(ctx, `SELECT id, name, kind, watts, across_um, outdoors, glass_top FROM burner ORDER BY rowid`)
	if err != nil {
		return nil, fmt.Errorf("listing burners: %w", err)
	}
	defer rows.Close()
	var all []Burner
	for rows.Next() {
		var b Burner
		if err := rows.Scan(&b.ID, &b.Name, &b.Kind, &b.Watts, &b.Across, &b.Outdoors, &b.GlassTop); err != nil {
			return nil, fmt.Errorf("listing burners: %w", err)
		}
		all = append(all, b)
	}
	return all, rows.Err()
}

// KeepBurner keeps a burner: a new one where it has no id, or in place of the one
// of its id.
func (s *Store) KeepBurner(ctx context.Context, b Burner) (string, error) {
	fields := []any{b.Name, string(b.Kind), int64(b.Watts), int64(b.Across), b.Outdoors, b.GlassTop}
	if b.ID == "" {
		b.ID = newID()
		_, err := s.write.ExecContext(ctx, `INSERT INTO burner (id, name, kind, watts, across_um, outdoors, glass_top) VALUES (?, ?, ?, ?, ?, ?, ?)`, append([]any{b.ID}, fields...)...)
		return b.ID, wrapped("keeping a burner", err)
	}
	return b.ID, s.one(ctx, "changing a burner", `UPDATE burner SET name = ?, kind = ?, watts = ?, across_um = ?, outdoors = ?, glass_top = ? WHERE id = ?`, append(fields, b.ID)...)
}

// RemoveBurner takes a burner out of the kitchen, and from the pots that stood on it.
func (s *Store) RemoveBurner(ctx context.Context, id string) error {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return wrapped("removing a burner", err)
	}
	defer tx.Rollback()
	if _, err := tx.ExecContext(ctx, `UPDATE pot SET burner = '' WHERE burner = ?`, id); err != nil {
		return wrapped("removing a burner", err)
	}
	if err := oneOf(ctx, tx, "removing a burner", `DELETE FROM burner WHERE id = ?`, id); err != nil {
		return err
	}
	return tx.Commit()
}

// one runs a change of one row; ErrNotFound where there is none.
func (s *Store) one(ctx context.Context, what, change string, args ...any) error {
	return oneOf(ctx, s.write, what, change, args...)
}

func oneOf(ctx context.Context, db execer, what, change string, args ...any) error {
	res, err := db.ExecContext(ctx, change, args...)
	if err != nil {
		return wrapped(what, err)
	}
	n, err := res.RowsAffected()
	if err == nil && n == 0 {
		return ErrNotFound
	}
	return err
}

func wrapped(what string, err error) error {
	if err == nil || errors.Is(err, sql.ErrNoRows) {
		return err
	}
	return fmt.Errorf("%s: %w", what, err)
}
