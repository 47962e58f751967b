package store

import (
	"context"
	"fmt"

	"mellisca/core/measure"
)

// Place is somewhere with its altitude.
type Place struct {
	Name     string
	Altitude measure.Altitude
}

// Places lists the cook's own, by name.
func (s *Store) Places(ctx context.Context) ([]Place, error) {
	rows, err := s.read.QueryContext(ctx, `SELECT name, altitude_um FROM place ORDER BY name`)
	if err != nil {
		return nil, fmt.Errorf("listing places: %w", err)
	}
	defer rows.Close()
	var all []Place
	for rows.Next() {
		var p Place
		if err := rows.Scan(&p.Name, &p.Altitude); err != nil {
			return nil, fmt.Errorf("listing places: %w", err)
		}
		all = append(all, p)
	}
	return all, rows.Err()
}

// AddPlaces keeps all of these or none; one of a name that is there takes its place.
func (s *Store) AddPlaces(ctx context.Context, places []Place) error {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return fmt.Errorf("keeping places: %w", err)
	}
	defer tx.Rollback()
	for _, p := range places {
		if _, err := tx.ExecContext(ctx, `INSERT INTO place (name, altitude_um) VALUES (?, ?)
			ON CONFLICT (name) DO UPDATE SET name = excluded.name, altitude_um = excluded.altitude_um`, p.Name, int64(p.Altitude)); err != nil {
			return fmt.Errorf("keeping places: %w", err)
		}
	}
	return tx.Commit()
}
