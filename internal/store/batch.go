package store

import (
	"context"
	"crypto/rand"
	"database/sql"
	"errors"
	"fmt"
	"strings"
	"time"

	"mellisca/core/batch"
	"mellisca/core/guide"
)

// Batch is a saved plan: the sentence as the cook left it.
type Batch struct {
	ID      string
	Version int // counts changes, from 1
	Note    string
	Request batch.Request
	Created time.Time
	Updated time.Time
}

const batchColumns = `id, version, note, product, kind, form, pack, jar, method, thickener, altitude, amount,
	liquid_kind, liquid_strength, liquid_brix, liquid_water_parts, liquid_sugar_parts, liquid_sweetener,
	acid, fruit_state, jar_state, extras, source,
	blend, liquid_gallon_cups, liquid_sugar, liquid_have, liquid_cores, dilute, canner, lots, sizes, tiers, varieties, created_at_ms, updated_at_ms`

func scanBatch(row interface{ Scan(...any) error }) (Batch, error) {
	var b Batch
	var created, updated int64
	var blend string
	r, l := &b.Request, &b.Request.Liquid
	err := row.Scan(&b.ID, &b.Version, &b.Note, &r.Product, &r.Kind, &r.Form, &r.Pack, &r.Jar, &r.Method, &r.Thickener, &r.Altitude, &r.Amount,
		&l.Kind, &l.Strength, &l.Brix, &l.WaterParts, &l.SugarParts, &l.Sweetener,
		&r.Acid, &r.Conditions.Fruit, &r.Jars, &r.Extras, &r.Source,
		&blend, &l.GallonCups, &l.Sugar, &l.Have, &l.Cores, &r.Dilute, &r.Canner, &r.Lots, &r.Sizes, &r.Tiers, &r.Varieties, &created, &updated)
	if err == nil {
		r.Blend, err = guide.ParseBlend(blend)
	}
	b.Created, b.Updated = time.UnixMilli(created).UTC(), time.UnixMilli(updated).UTC()
	return b, err
}

func fields(r batch.Request) []any {
	l := r.Liquid
	return []any{r.Product, r.Kind, r.Form, r.Pack, r.Jar, r.Method, r.Thickener, r.Altitude, r.Amount,
		l.Kind, l.Strength, l.Brix, l.WaterParts, l.SugarParts, l.Sweetener,
		r.Acid, r.Conditions.Fruit, r.Jars, int64(r.Extras), r.Source,
		r.Blend.String(), l.GallonCups, l.Sugar, l.Have, l.Cores, r.Dilute, r.Canner, r.Lots, r.Sizes, r.Tiers, r.Varieties}
}

// AddBatch saves a new batch and gives it its id, version 1.
func (s *Store) AddBatch(ctx context.Context, b Batch, now time.Time) (Batch, error) {
	b.ID, b.Version = strings.ToLower(rand.Text()[:16]), 1
	b.Created = now.Truncate(time.Millisecond).UTC()
	b.Updated = b.Created
	args := append([]any{b.ID, b.Version, b.Note}, fields(b.Request)...)
	args = append(args, b.Created.UnixMilli(), b.Updated.UnixMilli())
	_, err := s.write.ExecContext(ctx, `INSERT INTO batch (`+batchColumns+`) VALUES (?`+strings.Repeat(", ?", len(args)-1)+`)`, args...)
	if err != nil {
		return Batch{}, fmt.Errorf("saving a batch: %w", err)
	}
	return b, nil
}

// Batch reads one that is not deleted.
func (s *Store) Batch(ctx context.Context, id string) (Batch, error) {
	b, err := scanBatch(s.read.QueryRowContext(ctx, `SELECT `+batchColumns+` FROM batch WHERE id = ? AND deleted_at_ms IS NULL`, id))
	if errors.Is(err, sql.ErrNoRows) {
		return Batch{}, ErrNotFound
	}
	if err != nil {
		return Batch{}, fmt.Errorf("reading a batch: %w", err)
	}
	return b, nil
}

const selectBatches = `SELECT ` + batchColumns + ` FROM batch WHERE deleted_at_ms IS NULL ORDER BY created_at_ms DESC, id LIMIT ?`

// Batches lists up to limit batches that are not deleted, newest first.
func (s *Store) Batches(ctx context.Context, limit int) ([]Batch, error) {
	rows, err := s.read.QueryContext(ctx, selectBatches, limit)
	if err != nil {
		return nil, fmt.Errorf("listing batches: %w", err)
	}
	defer rows.Close()
	var all []Batch
	for rows.Next() {
		b, err := scanBatch(rows)
		if err != nil {
			return nil, fmt.Errorf("listing batches: %w", err)
		}
		all = append(all, b)
	}
	return all, rows.Err()
}

const batchExists = `SELECT EXISTS (SELECT 1 FROM batch WHERE id = ? AND deleted_at_ms IS NULL)`

// ChangeBatch puts b's note and request in place of those of the batch that was
// read as b.ID, b.Version. It errs with ErrNotFound or ErrChanged.
func (s *Store) ChangeBatch(ctx context.Context, b Batch, now time.Time) (Batch, error) {
	args := append([]any{b.Note}, fields(b.Request)...)
	args = append(args, now.UnixMilli(), b.ID, b.Version)
	res, err := s.write.ExecContext(ctx, `UPDATE batch SET note = ?, product = ?, kind = ?, form = ?, pack = ?, jar = ?, method = ?,
		thickener = ?, altitude = ?, amount = ?, liquid_kind = ?, liquid_strength = ?, liquid_brix = ?, liquid_water_parts = ?,
		liquid_sugar_parts = ?, liquid_sweetener = ?, acid = ?, fruit_state = ?, jar_state = ?, extras = ?, source = ?,
		blend = ?, liquid_gallon_cups = ?, liquid_sugar = ?, liquid_have = ?, liquid_cores = ?, dilute = ?, canner = ?, lots = ?, sizes = ?, tiers = ?, varieties = ?, updated_at_ms = ?, version = version + 1
		WHERE id = ? AND version = ? AND deleted_at_ms IS NULL`, args...)
	if err != nil {
		return Batch{}, fmt.Errorf("changing a batch: %w", err)
	}
	if err := changedOne(ctx, s.read, res, batchExists, b.ID); err != nil {
		return Batch{}, err
	}
	return s.Batch(ctx, b.ID)
}

// DeleteBatch hides a batch; RestoreBatch brings it back.
func (s *Store) DeleteBatch(ctx context.Context, id string, now time.Time) error {
	return s.mark(ctx, `UPDATE batch SET deleted_at_ms = ? WHERE id = ? AND deleted_at_ms IS NULL`, now.UnixMilli(), id)
}

// RestoreBatch undoes DeleteBatch.
func (s *Store) RestoreBatch(ctx context.Context, id string) (Batch, error) {
	if err := s.mark(ctx, `UPDATE batch SET deleted_at_ms = NULL WHERE id = ? AND deleted_at_ms IS NOT NULL`, id); err != nil {
		return Batch{}, err
	}
	return s.Batch(ctx, id)
}

func (s *Store) mark(ctx context.Context, update string, args ...any) error {
	res, err := s.write.ExecContext(ctx, update, args...)
	if err != nil {
		return fmt.Errorf("marking: %w", err)
	}
	if n, err := res.RowsAffected(); err != nil || n == 0 {
		if err == nil {
			err = ErrNotFound
		}
		return err
	}
	return nil
}
