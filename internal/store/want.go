package store

import (
	"context"
	"database/sql"
	"encoding/json"

	"mellisca/core/shelf"
)

// Wants gives what is wanted, in the order in which it was said, with the cook's notes by
// id.
func (s *Store) Wants(ctx context.Context) (all []shelf.Wish, notes map[string]string, err error) {
	notes = map[string]string{}
	err = s.each(ctx, `SELECT id, whom, product, form, jar, jars, by_day, note FROM want ORDER BY rowid`, func(row *sql.Rows) error {
		var w shelf.Wish
		var note string
		err := row.Scan(&w.ID, &w.For, &w.Product, &w.Form, &w.Jar, &w.Count, &w.By, &note)
		all = append(all, w)
		notes[w.ID] = note
		return err
	})
	return all, notes, err
}

// KeepWant adds what is wanted, or changes the one of its ID.
func (s *Store) KeepWant(ctx context.Context, w shelf.Wish, note string) error {
	if w.ID == "" {
		_, err := s.write.ExecContext(ctx, `INSERT INTO want (id, whom, product, form, jar, jars, by_day, note) VALUES (?, ?, ?, ?, ?, ?, ?, ?)`, newID(), w.For, w.Product, w.Form, w.Jar, w.Count, w.By, note)
		return wrapped("keeping what is wanted", err)
	}
	return s.one(ctx, "keeping what is wanted", `UPDATE want SET whom = ?, product = ?, form = ?, jar = ?, jars = ?, by_day = ?, note = ? WHERE id = ?`, w.For, w.Product, w.Form, w.Jar, w.Count, w.By, note, w.ID)
}

// RemoveWant takes one away.
func (s *Store) RemoveWant(ctx context.Context, id string) error {
	return s.one(ctx, "wanting no more", `DELETE FROM want WHERE id = ?`, id)
}

// Marked is the cook's opinion of a jar for a show.
type Marked struct {
	Jar   string
	Marks map[shelf.Criterion]int
	Place int // 0: by its marks
	Note  string
}

// ShowMarks gives the opinions of a year.
func (s *Store) ShowMarks(ctx context.Context, year int) (all []Marked, err error) {
	err = s.each(ctx, `SELECT jar, marks, place, note FROM show_mark WHERE year = ? ORDER BY jar`, func(row *sql.Rows) error {
		var m Marked
		var raw string
		if err := row.Scan(&m.Jar, &raw, &m.Place, &m.Note); err != nil {
			return err
		}
		all = append(all, m)
		return json.Unmarshal([]byte(raw), &all[len(all)-1].Marks)
	}, year)
	return all, err
}

// ShowYears gives the years that there are opinions of, the newest first.
func (s *Store) ShowYears(ctx context.Context) (all []int, err error) {
	err = s.each(ctx, `SELECT DISTINCT year FROM show_mark ORDER BY year DESC`, func(row *sql.Rows) error {
		var y int
		err := row.Scan(&y)
		all = append(all, y)
		return err
	})
	return all, err
}

// MarkForShow keeps the opinion of a jar in a year.
func (s *Store) MarkForShow(ctx context.Context, year int, m Marked) error {
	raw, err := json.Marshal(m.Marks)
	if err != nil {
		return wrapped("keeping marks", err)
	}
	_, err = s.write.ExecContext(ctx, `INSERT INTO show_mark (year, jar, marks, place, note) VALUES (?, ?, ?, ?, ?) ON CONFLICT (year, jar) DO UPDATE SET marks = excluded.marks, place = excluded.place, note = excluded.note`, year, m.Jar, string(raw), m.Place, m.Note)
	return wrapped("keeping marks", err)
}

// OffTheBench takes a jar off a year's bench.
func (s *Store) OffTheBench(ctx context.Context, year int, jar string) error {
	return s.one(ctx, "taking a jar off the bench", `DELETE FROM show_mark WHERE year = ? AND jar = ?`, year, jar)
}
