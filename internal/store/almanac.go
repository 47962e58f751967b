package store

import (
	"context"
	"database/sql"

	"mellisca/core/fruit"
)

// Seasons reads the months of fruit, where the cook said so.
func (s *Store) Seasons(ctx context.Context) (all map[string]fruit.Season, err error) {
	all = map[string]fruit.Season{}
	err = s.each(ctx, `SELECT fruit, from_month, to_month FROM season`, func(row *sql.Rows) error {
		var id string
		var of fruit.Season
		err := row.Scan(&id, &of.From, &of.To)
		all[id] = of
		return err
	})
	return all, err
}

// SetSeason says the months of a fruit; with nil they are as in the table.
func (s *Store) SetSeason(ctx context.Context, id string, of *fruit.Season) error {
	var err error
	if of == nil {
		_, err = s.write.ExecContext(ctx, `DELETE FROM season WHERE fruit = ?`, id)
	} else {
		_, err = s.write.ExecContext(ctx, `INSERT OR REPLACE INTO season (fruit, from_month, to_month) VALUES (?, ?, ?)`, id, of.From, of.To)
	}
	return wrapped("keeping a season", err)
}

// Vow is what the cook swore to do differently the next time.
type Vow struct {
	ID      string
	Product string
	Batch   string // that taught it; empty: none
	Words   string
	Said    fruit.Day
	Kept    fruit.Day // when it was done so; 0: still to be
}

// Vows lists them, the newest first: of a product, or all where it is empty.
func (s *Store) Vows(ctx context.Context, product string) (all []Vow, err error) {
	err = s.each(ctx, `SELECT id, product, batch, words, said_day, kept_day FROM vow WHERE product = ? OR ? = '' ORDER BY said_day DESC, rowid DESC`, func(row *sql.Rows) error {
		var v Vow
		err := row.Scan(&v.ID, &v.Product, &v.Batch, &v.Words, &v.Said, &v.Kept)
		all = append(all, v)
		return err
	}, product, product)
	return all, err
}

const insertVow = `INSERT INTO vow (id, product, batch, words, said_day, kept_day) VALUES (?, ?, ?, ?, ?, ?)`

// AddVow keeps a new one.
func (s *Store) AddVow(ctx context.Context, v Vow) error {
	_, err := s.write.ExecContext(ctx, insertVow, newID(), v.Product, v.Batch, v.Words, v.Said, v.Kept)
	return wrapped("keeping a vow", err)
}

// KeepVow says when it was done so; 0: still to be.
func (s *Store) KeepVow(ctx context.Context, id string, kept fruit.Day) error {
	return s.one(ctx, "keeping a vow", `UPDATE vow SET kept_day = ? WHERE id = ?`, kept, id)
}

// RemoveVow takes one back.
func (s *Store) RemoveVow(ctx context.Context, id string) error {
	return s.one(ctx, "taking a vow back", `DELETE FROM vow WHERE id = ?`, id)
}

const selectAllLifted = `SELECT id, batch, plan, about FROM canner_load WHERE put_away = 1 ORDER BY opened_wall_ms, rowid`

// Lifted gives every load that was lifted out, with what was told of its jars.
func (s Stove) Lifted(ctx context.Context) ([]TrayLoad, error) {
	return s.trayLoads(ctx, selectAllLifted)
}

// LotPrices gives what a kilogram of each lot cost, in cents, of those with a price.
func (s *Store) LotPrices(ctx context.Context) (all map[string]float64, err error) {
	all = map[string]float64{}
	err = s.each(ctx, `SELECT id, price_cents * 1000000.0 / mass_mg FROM lot WHERE price_cents IS NOT NULL AND mass_mg > 0`, func(row *sql.Rows) error {
		var id string
		var cents float64
		err := row.Scan(&id, &cents)
		all[id] = cents
		return err
	})
	return all, err
}
