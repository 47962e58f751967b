package store

import (
	"context"
	"database/sql"
	"fmt"
	"time"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Kitchen is the cook's own set-up.
type Kitchen struct {
	Name     string
	Altitude *measure.Altitude // nil: not known
	Units    measure.System
	Jars     []jar.ID // that it has; none: all of its units
	Version  int
}

// Kitchen reads the set-up; there is always one.
func (s *Store) Kitchen(ctx context.Context) (Kitchen, error) {
	var k Kitchen
	var alt sql.NullInt64
	err := s.read.QueryRowContext(ctx, `SELECT name, altitude_um, units, version FROM kitchen WHERE id = 1`).
		Scan(&k.Name, &alt, &k.Units, &k.Version)
	if err != nil {
		return Kitchen{}, fmt.Errorf("reading the kitchen: %w", err)
	}
	if alt.Valid {
		a := measure.Altitude(alt.Int64)
		k.Altitude = &a
	}
	rows, err := s.read.QueryContext(ctx, `SELECT jar FROM kitchen_jar ORDER BY rowid`)
	if err != nil {
		return Kitchen{}, fmt.Errorf("reading the kitchen: %w", err)
	}
	defer rows.Close()
	for rows.Next() {
		var id jar.ID
		if err := rows.Scan(&id); err != nil {
			return Kitchen{}, fmt.Errorf("reading the kitchen: %w", err)
		}
		k.Jars = append(k.Jars, id)
	}
	return k, rows.Err()
}

// SetKitchen changes the set-up that was read as version k.Version. It errs
// with ErrChanged where it was changed since.
func (s *Store) SetKitchen(ctx context.Context, k Kitchen, now time.Time) (Kitchen, error) {
	var alt any
	if k.Altitude != nil {
		alt = int64(*k.Altitude)
	}
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return Kitchen{}, fmt.Errorf("changing the kitchen: %w", err)
	}
	defer tx.Rollback()
	res, err := tx.ExecContext(ctx,
		`UPDATE kitchen SET name = ?, altitude_um = ?, units = ?, version = version + 1, updated_at_ms = ? WHERE id = 1 AND version = ?`,
		k.Name, alt, k.Units, now.UnixMilli(), k.Version)
	if err != nil {
		return Kitchen{}, fmt.Errorf("changing the kitchen: %w", err)
	}
	if n, err := res.RowsAffected(); err != nil || n == 0 {
		if err == nil {
			err = ErrChanged
		}
		return Kitchen{}, err
	}
	if _, err := tx.ExecContext(ctx, `DELETE FROM kitchen_jar`); err != nil {
		return Kitchen{}, fmt.Errorf("changing the kitchen: %w", err)
	}
	for _, id := range k.Jars {
		if _, err := tx.ExecContext(ctx, `INSERT INTO kitchen_jar (jar) VALUES (?)`, id); err != nil {
			return Kitchen{}, fmt.Errorf("changing the kitchen: %w", err)
		}
	}
	k.Version++
	return k, tx.Commit()
}
