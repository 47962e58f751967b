package store

import (
	"context"
	"database/sql"
	"errors"

	"mellisca/core/fruit"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Closing is what a batch gave.
type Closing struct {
	ID             string
	Batch          string // id; empty: typed for an earlier season
	Product        string
	Kind           string
	Form           string
	Pack           string
	Fruit          measure.Mass
	MadeOf         string         // what was left over from another batch; empty: fruit
	Liquid         measure.Volume // that went into jars; 0: not said
	LiquidLeft     measure.Volume // that was over
	PrepareMinutes int
	CookMinutes    int
	FillMinutes    int
	BoilMinutes    int
	BoilFactor     float64 // of what was worked out; 0: not said
	Note           string
	Vow            string // what is to be different the next time; kept when it is closed
	Day            fruit.Day
	Forgotten      bool // not learned from
	Filled         []fruit.Filled
	Lots           []LotUse
}

// LotUse is what a batch took of a lot.
type LotUse struct {
	Lot string
	fruit.Use
}

// newestClosings picks the newest so many.
const newestClosings = `SELECT id FROM closing ORDER BY day DESC, rowid DESC LIMIT ? OFFSET ?`

const (
	selectClosings = `SELECT id, batch, product, kind, form, pack, fruit_mg, liquid_ul, prepare_minutes, boil_minutes, boil_factor, note, day, forgotten,
		liquid_left_ul, cook_minutes, fill_minutes, made_of FROM closing ORDER BY day DESC, rowid DESC LIMIT ? OFFSET ?`
	selectFilled      = `SELECT closing, jar, filled FROM closing_jar WHERE closing IN (` + newestClosings + `) ORDER BY rowid`
	selectClosingLots = `SELECT closing, lot, id, of, what, mass_mg FROM lot_use WHERE closing IN (` + newestClosings + `) ORDER BY rowid`
)

// EveryClosing is a limit that holds all of them.
const EveryClosing = -1

// Closings lists up to so many of them, newest first, after the first skip.
func (s *Store) Closings(ctx context.Context, skip, limit int) ([]Closing, error) {
	var all []Closing
	at := map[string]int{}
	err := s.each(ctx, selectClosings, func(row *sql.Rows) error {
		var c Closing
		err := row.Scan(&c.ID, &c.Batch, &c.Product, &c.Kind, &c.Form, &c.Pack, &c.Fruit, &c.Liquid, &c.PrepareMinutes, &c.BoilMinutes, &c.BoilFactor, &c.Note, &c.Day, &c.Forgotten,
			&c.LiquidLeft, &c.CookMinutes, &c.FillMinutes, &c.MadeOf)
		at[c.ID] = len(all)
		all = append(all, c)
		return err
	}, limit, skip)
	if err != nil {
		return nil, err
	}
	err = s.each(ctx, selectFilled, func(row *sql.Rows) error {
		var id string
		var of jar.ID
		var n int
		err := row.Scan(&id, &of, &n)
		i, known := at[id]
		if j, ok := jar.Find(of); ok && known {
			all[i].Filled = append(all[i].Filled, fruit.Filled{Jar: j, Count: n})
		}
		return err
	}, limit, skip)
	if err != nil {
		return nil, err
	}
	return all, s.each(ctx, selectClosingLots, func(row *sql.Rows) error {
		var id string
		var u LotUse
		err := row.Scan(&id, &u.Lot, &u.ID, &u.Of, &u.What, &u.Mass)
		if i, ok := at[id]; ok {
			all[i].Lots = append(all[i].Lots, u)
		}
		return err
	}, limit, skip)
}

// ClosingsChanged counts the changes to closings since the file was opened: what was
// worked out from them at the same count still holds.
func (s *Store) ClosingsChanged() int64 { return s.closings.Load() }

// AddClosing keeps what a batch gave, with its jars and what it took of lots, all
// or nothing.
func (s *Store) AddClosing(ctx context.Context, c Closing) (string, error) {
	ids, err := s.AddClosings(ctx, []Closing{c})
	if err != nil {
		return "", err
	}
	return ids[0], nil
}

// AddClosings keeps several, all or none of them, and tells their ids.
func (s *Store) AddClosings(ctx context.Context, all []Closing) (ids []string, err error) {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return nil, wrapped("closing a batch", err)
	}
	defer tx.Rollback()
	for _, c := range all {
		c.ID = newID()
		if err := addClosing(ctx, tx, c); err != nil {
			return nil, wrapped("closing a batch", err)
		}
		ids = append(ids, c.ID)
	}
	if err := tx.Commit(); err != nil {
		return nil, wrapped("closing a batch", err)
	}
	s.closings.Add(1)
	return ids, nil
}

func addClosing(ctx context.Context, tx execer, c Closing) error {
	_, err := tx.ExecContext(ctx, `INSERT INTO closing (id, batch, product, kind, form, pack, fruit_mg, liquid_ul, prepare_minutes, boil_minutes, boil_factor, note, day, forgotten,
		liquid_left_ul, cook_minutes, fill_minutes, made_of) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		c.ID, c.Batch, c.Product, c.Kind, c.Form, c.Pack, int64(c.Fruit), int64(c.Liquid), c.PrepareMinutes, c.BoilMinutes, c.BoilFactor, c.Note, int64(c.Day), c.Forgotten,
		int64(c.LiquidLeft), c.CookMinutes, c.FillMinutes, c.MadeOf)
	if err != nil {
		return err
	}
	if c.Vow != "" {
		if _, err := tx.ExecContext(ctx, insertVow, newID(), c.Product, c.Batch, c.Vow, int64(c.Day), 0); err != nil {
			return err
		}
	}
	for _, f := range c.Filled {
		if _, err := tx.ExecContext(ctx, `INSERT INTO closing_jar (closing, jar, filled) VALUES (?, ?, ?)`, c.ID, f.Jar.ID, f.Count); err != nil {
			return err
		}
	}
	for _, u := range c.Lots {
		if u.ID == "" {
			u.ID = newID()
		}
		if _, err := tx.ExecContext(ctx, `INSERT INTO lot_use (id, lot, closing, of, what, mass_mg) VALUES (?, ?, ?, ?, ?, ?)`, u.ID, u.Lot, c.ID, u.Of, u.What, int64(u.Mass)); err != nil {
			return err
		}
	}
	if c.Batch == "" {
		return nil // an earlier season's jars are not counted now
	}
	return fillStock(ctx, tx, c.Filled, 1)
}

// ErrLeftOverUsed says that another batch took what was left over from this one.
var ErrLeftOverUsed = errors.New("what was left over from it is in another batch")

// ForgetClosing takes a batch out of what is learned from, or back into it.
func (s *Store) ForgetClosing(ctx context.Context, id string, forgotten bool) error {
	defer s.closings.Add(1)
	return s.one(ctx, "changing a closed batch", `UPDATE closing SET forgotten = ? WHERE id = ?`, forgotten, id)
}

// RemoveClosing opens a batch again: its jars and what it took of lots go with it.
// The lids stay used. It errs with ErrLeftOverUsed where another batch took what was
// left over from this one.
func (s *Store) RemoveClosing(ctx context.Context, id string) error {
	all, err := s.Closings(ctx, 0, EveryClosing)
	if err != nil {
		return err
	}
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return wrapped("opening a batch again", err)
	}
	defer tx.Rollback()
	var used bool
	if err := tx.QueryRowContext(ctx, `SELECT EXISTS (SELECT 1 FROM lot_use o JOIN lot_use u ON u.lot = o.lot AND u.of = o.id WHERE o.closing = ? AND u.closing IS NOT o.closing)`, id).Scan(&used); err != nil {
		return wrapped("opening a batch again", err)
	}
	if used {
		return ErrLeftOverUsed
	}
	for _, c := range all {
		if c.ID == id && c.Batch != "" {
			if err := fillStock(ctx, tx, c.Filled, -1); err != nil {
				return err
			}
		}
	}
	if err := oneOf(ctx, tx, "opening a batch again", `DELETE FROM closing WHERE id = ?`, id); err != nil {
		return err
	}
	defer s.closings.Add(1)
	return tx.Commit()
}

// fillStock counts jars as full, and their lids as used; by -1 the jars as empty
// again. What was never counted stays so.
func fillStock(ctx context.Context, tx execer, filled []fruit.Filled, by int) error {
	for _, f := range filled {
		if _, err := tx.ExecContext(ctx, `UPDATE stock SET in_use = max(0, min(owned, in_use + ?)) WHERE jar = ?`, by*f.Count, f.Jar.ID); err != nil {
			return wrapped("counting jars", err)
		}
		if by < 0 {
			continue
		}
		if _, err := tx.ExecContext(ctx, `UPDATE closure SET lids = max(0, lids - ?) WHERE mouth = ?`, f.Count, f.Jar.Mouth); err != nil {
			return wrapped("counting lids", err)
		}
	}
	return nil
}
