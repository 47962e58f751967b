package store

import (
	"context"
	"crypto/rand"
	"database/sql"
	"fmt"
	"slices"
	"strings"
	"time"

	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// OwnSource is a recipe of the cook's own, as it is kept.
type OwnSource struct {
	ID      string
	Version int
	Source  guide.OwnSource
	Retired bool // no longer offered; plans and jars that used it keep it
}

const sourceColumns = `id, version, name, title, year, page, product, kind, form, pack, largest, minutes,
	add_1001ft, add_3001ft, add_6001ft, add_8001ft, headspace_um, acid`

func sourceFields(s guide.OwnSource) []any {
	return []any{s.Name, s.Title, s.Year, s.Page, s.Product, s.Kind, s.Form, s.Pack, string(s.Largest.ID()), s.Minutes,
		s.Additions[0], s.Additions[1], s.Additions[2], s.Additions[3], int64(measure.Inches(s.Headspace)), s.Acid}
}

// OwnSources lists all of them, retired ones too, by name.
func (s *Store) OwnSources(ctx context.Context) ([]OwnSource, error) { return ownSources(ctx, s.read) }

func ownSources(ctx context.Context, db interface {
	QueryContext(context.Context, string, ...any) (*sql.Rows, error)
}) ([]OwnSource, error) {
	rows, err := db.QueryContext(ctx, `SELECT `+sourceColumns+`, retired_at_ms FROM own_source ORDER BY name COLLATE NOCASE, id`)
	if err != nil {
		return nil, fmt.Errorf("listing own sources: %w", err)
	}
	defer rows.Close()
	var all []OwnSource
	for rows.Next() {
		var o OwnSource
		var largest jar.ID
		var headspace int64
		var retired sql.NullInt64
		src := &o.Source
		if err := rows.Scan(&o.ID, &o.Version, &src.Name, &src.Title, &src.Year, &src.Page, &src.Product, &src.Kind, &src.Form, &src.Pack, &largest,
			&src.Minutes, &src.Additions[0], &src.Additions[1], &src.Additions[2], &src.Additions[3], &headspace, &src.Acid, &retired); err != nil {
			return nil, fmt.Errorf("listing own sources: %w", err)
		}
		if j, ok := jar.Find(largest); ok {
			src.Largest = j.TestedAs
		}
		src.Headspace = measure.Length(headspace).Inches()
		o.Retired = retired.Valid
		all = append(all, o)
	}
	return all, rows.Err()
}

// AddOwnSource keeps a new one and gives it its id, version 1.
func (s *Store) AddOwnSource(ctx context.Context, src guide.OwnSource, now time.Time) (string, error) {
	o := OwnSource{ID: newID(), Source: src}
	return o.ID, insertOwnSource(ctx, s.write, o, now)
}

func newID() string { return strings.ToLower(rand.Text()[:16]) }

type execer interface {
	ExecContext(context.Context, string, ...any) (sql.Result, error)
}

func insertOwnSource(ctx context.Context, db execer, o OwnSource, now time.Time) error {
	args := append([]any{o.ID, 1}, sourceFields(o.Source)...)
	args = append(args, now.UnixMilli(), now.UnixMilli(), retiredAt(o.Retired, now))
	_, err := db.ExecContext(ctx, `INSERT INTO own_source (`+sourceColumns+`, created_at_ms, updated_at_ms, retired_at_ms)
		VALUES (?`+strings.Repeat(", ?", len(args)-1)+`)`, args...)
	if err != nil {
		return fmt.Errorf("keeping an own source: %w", err)
	}
	return nil
}

func retiredAt(retired bool, now time.Time) any {
	if retired {
		return now.UnixMilli()
	}
	return nil
}

const changeOwnSource = `UPDATE own_source SET name = ?, title = ?, year = ?, page = ?, product = ?, kind = ?, form = ?, pack = ?,
	largest = ?, minutes = ?, add_1001ft = ?, add_3001ft = ?, add_6001ft = ?, add_8001ft = ?, headspace_um = ?, acid = ?,
	updated_at_ms = ?, version = version + 1 WHERE id = ? AND version = ?`

// Merged counts what a merge did.
type Merged struct{ Added, Changed, Same int }

// MergeOwnSources keeps all of these or none: one of an id that is here takes its
// place, and one without an id is new, unless the very same source is here.
func (s *Store) MergeOwnSources(ctx context.Context, all []OwnSource, now time.Time) (Merged, error) {
	var n Merged
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return n, fmt.Errorf("taking own sources over: %w", err)
	}
	defer tx.Rollback()
	here, err := ownSources(ctx, tx)
	if err != nil {
		return n, err
	}
	for _, o := range all {
		i := slices.IndexFunc(here, func(h OwnSource) bool { return h.ID == o.ID || o.ID == "" && h.Source == o.Source })
		switch {
		case i >= 0 && here[i].Source == o.Source && (here[i].Retired == o.Retired || o.ID == ""):
			n.Same++
		case i >= 0:
			args := append(sourceFields(o.Source), now.UnixMilli(), o.ID, here[i].Version)
			if _, err := tx.ExecContext(ctx, changeOwnSource, args...); err != nil {
				return n, fmt.Errorf("changing an own source: %w", err)
			}
			if _, err := tx.ExecContext(ctx, `UPDATE own_source SET retired_at_ms = ? WHERE id = ?`, retiredAt(o.Retired, now), o.ID); err != nil {
				return n, fmt.Errorf("changing an own source: %w", err)
			}
			n.Changed++
		default:
			if o.ID == "" {
				o.ID = newID()
			}
			if err := insertOwnSource(ctx, tx, o, now); err != nil {
				return n, err
			}
			here = append(here, o)
			n.Added++
		}
	}
	return n, tx.Commit()
}

const sourceExists = `SELECT EXISTS (SELECT 1 FROM own_source WHERE id = ?)`

// ChangeOwnSource puts o.Source in place of what was read as o.ID, o.Version.
func (s *Store) ChangeOwnSource(ctx context.Context, o OwnSource, now time.Time) error {
	args := append(sourceFields(o.Source), now.UnixMilli(), o.ID, o.Version)
	res, err := s.write.ExecContext(ctx, changeOwnSource, args...)
	if err != nil {
		return fmt.Errorf("changing an own source: %w", err)
	}
	return changedOne(ctx, s.read, res, sourceExists, o.ID)
}

// RetireOwnSource takes one out of use, or brings it back.
func (s *Store) RetireOwnSource(ctx context.Context, id string, retired bool, now time.Time) error {
	return s.mark(ctx, `UPDATE own_source SET retired_at_ms = ? WHERE id = ?`, retiredAt(retired, now), id)
}
