package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"time"

	"mellisca/core/fruit"
	"mellisca/core/measure"
)

// Lot is fruit as it came in, with what was seen of it and what was taken.
type Lot struct {
	ID         string
	Name       string // "Tuesday's crate"
	Kind       string
	Variety    string
	Typed      string // how much, as typed
	Bought     fruit.Bought
	PriceCents int64 // for all of it; -1: not said
	From       string
	Got        fruit.Day
	Note       string
	Taps       []fruit.Tap
	Uses       []fruit.Use
	UsedFor    map[string]UsedFor // by the id of the use
}

// UsedFor is what a use of a lot was for.
type UsedFor struct {
	Product string
	Day     fruit.Day
}

// Left is how much of the lot there is still.
func (l Lot) Left() measure.Mass {
	left, err := fruit.Left(l.Bought.Mass, l.Uses)
	if err != nil {
		return 0
	}
	return left
}

// TakenError says that batches took more of a lot than it would then weigh.
type TakenError struct{ Used measure.Mass }

func (e *TakenError) Error() string {
	return "batches took " + e.Used.Text(measure.US) + " of it already"
}

const lotColumns = `id, name, kind, variety, bought, mass_mg, guess, price_cents, came_from, got_day, note`

// lotsHere picks lots that are not gone: with something left of them, or in since a
// day. The indexes are named since the planner, of itself, walks all lots.
const lotsHere = `SELECT id FROM lot INDEXED BY lot_left WHERE gone_at_ms IS NULL AND used_mg < mass_mg
	UNION ALL SELECT id FROM lot INDEXED BY lot_got WHERE gone_at_ms IS NULL AND got_day >= ?`

const (
	selectLots = `SELECT ` + lotColumns + ` FROM lot WHERE id IN (` + lotsHere + `) ORDER BY got_day, rowid`
	selectTaps = `SELECT lot, day, ripeness FROM lot_tap WHERE lot IN (` + lotsHere + `) ORDER BY day`
	selectUses = `SELECT u.lot, u.id, u.of, u.what, u.mass_mg, coalesce(c.product, ''), coalesce(c.day, 0)
		FROM lot_use u LEFT JOIN closing c ON c.id = u.closing WHERE u.lot IN (` + lotsHere + `) ORDER BY u.rowid`
	selectPrice = `SELECT price_cents, mass_mg FROM lot WHERE kind = ? AND price_cents > 0`
)

// Lots lists those that are not gone, in the order they came: what something is left
// of, and what came in since a day though all of it was used.
func (s *Store) Lots(ctx context.Context, since fruit.Day) ([]Lot, error) {
	var all []Lot
	at := map[string]int{}
	err := s.each(ctx, selectLots, func(row *sql.Rows) error {
		var l Lot
		var price sql.NullInt64
		err := row.Scan(&l.ID, &l.Name, &l.Kind, &l.Variety, &l.Typed, &l.Bought.Mass, &l.Bought.Guess, &price, &l.From, &l.Got, &l.Note)
		l.PriceCents = -1
		if price.Valid {
			l.PriceCents = price.Int64
		}
		at[l.ID] = len(all)
		all = append(all, l)
		return err
	}, int64(since))
	if err != nil {
		return nil, err
	}
	return all, errors.Join(
		s.each(ctx, selectTaps, func(row *sql.Rows) error {
			var lot string
			var t fruit.Tap
			err := row.Scan(&lot, &t.Day, &t.Ripeness)
			if i, ok := at[lot]; ok {
				all[i].Taps = append(all[i].Taps, t)
			}
			return err
		}, int64(since)),
		s.each(ctx, selectUses, func(row *sql.Rows) error {
			var lot string
			var u fruit.Use
			var by UsedFor
			err := row.Scan(&lot, &u.ID, &u.Of, &u.What, &u.Mass, &by.Product, &by.Day)
			if i, ok := at[lot]; ok {
				if all[i].UsedFor == nil {
					all[i].UsedFor = map[string]UsedFor{}
				}
				all[i].UsedFor[u.ID] = by
				all[i].Uses = append(all[i].Uses, u)
			}
			return err
		}, int64(since)))
}

// Paid lists what every lot of a fruit cost, gone or not, in cents a gram.
func (s *Store) Paid(ctx context.Context, kind string) (all []float64, err error) {
	err = s.each(ctx, selectPrice, func(row *sql.Rows) error {
		var cents int64
		var mass measure.Mass
		err := row.Scan(&cents, &mass)
		all = append(all, float64(cents)/mass.Grams())
		return err
	}, kind)
	return all, err
}

// each reads every row of a query.
func (s *Store) each(ctx context.Context, query string, read func(*sql.Rows) error, args ...any) error {
	rows, err := s.read.QueryContext(ctx, query, args...)
	if err != nil {
		return fmt.Errorf("reading the records: %w", err)
	}
	defer rows.Close()
	for rows.Next() {
		if err := read(rows); err != nil {
			return fmt.Errorf("reading the records: %w", err)
		}
	}
	return rows.Err()
}

// KeepLot keeps a lot: a new one where it has no id, or in place of the one of its
// id. Its taps and uses are kept apart. It errs with a *TakenError where batches took
// more of it than it would then weigh.
func (s *Store) KeepLot(ctx context.Context, l Lot) (string, error) {
	var price any
	if l.PriceCents >= 0 {
		price = l.PriceCents
	}
	fields := []any{l.Name, l.Kind, l.Variety, l.Typed, int64(l.Bought.Mass), l.Bought.Guess, price, l.From, int64(l.Got), l.Note}
	if l.ID == "" {
		l.ID = newID()
		_, err := s.write.ExecContext(ctx, `INSERT INTO lot (`+lotColumns+`) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`, append([]any{l.ID}, fields...)...)
		return l.ID, wrapped("keeping a lot", err)
	}
	var used measure.Mass
	if err := s.read.QueryRowContext(ctx, `SELECT used_mg FROM lot WHERE id = ?`, l.ID).Scan(&used); err == nil && used > l.Bought.Mass {
		return "", &TakenError{used}
	}
	return l.ID, s.one(ctx, "changing a lot", `UPDATE lot SET name = ?, kind = ?, variety = ?, bought = ?, mass_mg = ?, guess = ?, price_cents = ?, came_from = ?,
		got_day = ?, note = ? WHERE id = ?`, append(fields, l.ID)...)
}

// TapLot keeps what was seen of a lot on a day; a later tap of the same day takes
// its place.
func (s *Store) TapLot(ctx context.Context, lot string, t fruit.Tap) error {
	var there bool
	if err := s.read.QueryRowContext(ctx, `SELECT EXISTS (SELECT 1 FROM lot WHERE id = ?)`, lot).Scan(&there); err != nil || !there {
		return errors.Join(err, ErrNotFound)
	}
	_, err := s.write.ExecContext(ctx, `INSERT INTO lot_tap (lot, day, ripeness) VALUES (?, ?, ?)
		ON CONFLICT (lot, day) DO UPDATE SET ripeness = excluded.ripeness`, lot, int64(t.Day), string(t.Ripeness))
	return wrapped("keeping how ripe a lot is", err)
}

// LotGone says that a lot is no longer there, or takes that back.
func (s *Store) LotGone(ctx context.Context, id string, gone bool, now time.Time) error {
	return s.one(ctx, "changing a lot", `UPDATE lot SET gone_at_ms = ? WHERE id = ?`, retiredAt(gone, now), id)
}

// Containers lists the cook's own.
func (s *Store) Containers(ctx context.Context) (all []fruit.Container, err error) {
	err = s.each(ctx, `SELECT name, kind, mass_mg FROM container ORDER BY name`, func(row *sql.Rows) error {
		var c fruit.Container
		err := row.Scan(&c.Name, &c.Kind, &c.Mass)
		all = append(all, c)
		return err
	})
	return all, err
}

// KeepContainer keeps a container of the cook's own; one of its name takes its place.
func (s *Store) KeepContainer(ctx context.Context, c fruit.Container) error {
	_, err := s.write.ExecContext(ctx, `INSERT INTO container (name, kind, mass_mg) VALUES (?, ?, ?)
		ON CONFLICT (name, kind) DO UPDATE SET mass_mg = excluded.mass_mg`, c.Name, c.Kind, int64(c.Mass))
	return wrapped("keeping a container", err)
}

// Variety is what the cook knows of a variety.
type Variety struct {
	Kind, Name string
	Tart       int // 0 sweet to 10 tart
	Texture    string
	Months     string
	Note       string
}

// Varieties lists all of them, by fruit and name.
func (s *Store) Varieties(ctx context.Context) (all []Variety, err error) {
	err = s.each(ctx, `SELECT kind, name, tart, texture, months, note FROM variety ORDER BY kind, name`, func(row *sql.Rows) error {
		var v Variety
		err := row.Scan(&v.Kind, &v.Name, &v.Tart, &v.Texture, &v.Months, &v.Note)
		all = append(all, v)
		return err
	})
	return all, err
}

// KeepVariety keeps what is known of a variety; one of its name takes its place.
func (s *Store) KeepVariety(ctx context.Context, v Variety) error {
	_, err := s.write.ExecContext(ctx, `INSERT INTO variety (kind, name, tart, texture, months, note) VALUES (?, ?, ?, ?, ?, ?)
		ON CONFLICT (kind, name) DO UPDATE SET tart = excluded.tart, texture = excluded.texture, months = excluded.months, note = excluded.note`,
		v.Kind, v.Name, v.Tart, v.Texture, v.Months, v.Note)
	return wrapped("keeping a variety", err)
}

// LotGoneAt is when a lot was eaten, given away or spoilt, in milliseconds since 1970; 0
// where it was not, or is not known.
func (s *Store) LotGoneAt(ctx context.Context, id string) (ms int64, err error) {
	err = s.read.QueryRowContext(ctx, `SELECT coalesce(gone_at_ms, 0) FROM lot WHERE id = ?`, id).Scan(&ms)
	if errors.Is(err, sql.ErrNoRows) {
		return 0, nil
	}
	return ms, wrapped("reading a lot", err)
}

// EveryLot gives all lots that ever came in, with what was seen of them, in the order they
// came.
func (s *Store) EveryLot(ctx context.Context) (all []Lot, err error) {
	at := map[string]int{}
	err = s.each(ctx, `SELECT `+lotColumns+` FROM lot ORDER BY got_day, rowid`, func(row *sql.Rows) error {
		var l Lot
		var cents sql.NullInt64
		err := row.Scan(&l.ID, &l.Name, &l.Kind, &l.Variety, &l.Typed, &l.Bought.Mass, &l.Bought.Guess, &cents, &l.From, &l.Got, &l.Note)
		if l.PriceCents = -1; cents.Valid {
			l.PriceCents = cents.Int64
		}
		at[l.ID] = len(all)
		all = append(all, l)
		return err
	})
	if err != nil {
		return nil, err
	}
	return all, s.each(ctx, `SELECT lot, day, ripeness FROM lot_tap ORDER BY lot, day`, func(row *sql.Rows) error {
		var lot string
		var t fruit.Tap
		err := row.Scan(&lot, &t.Day, &t.Ripeness)
		if i, ok := at[lot]; ok {
			all[i].Taps = append(all[i].Taps, t)
		}
		return err
	})
}
