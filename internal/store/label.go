package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"

	"mellisca/core/label"
)

// LabelSheet is a grid of labels that the cook measured.
type LabelSheet struct {
	ID   string
	Name string
	label.Sheet
}

// LabelSheets lists them.
func (s *Store) LabelSheets(ctx context.Context) (all []LabelSheet, err error) {
	err = s.each(ctx, `SELECT id, name, data FROM label_sheet ORDER BY rowid`, func(row *sql.Rows) error {
		var l LabelSheet
		var data string
		if err := row.Scan(&l.ID, &l.Name, &data); err != nil {
			return err
		}
		if err := json.Unmarshal([]byte(data), &l.Sheet); err != nil {
			return err
		}
		all = append(all, l)
		return nil
	})
	return all, err
}

// KeepLabelSheet adds one, or changes the one of its ID, and tells its id.
func (s *Store) KeepLabelSheet(ctx context.Context, l LabelSheet) (string, error) {
	data, err := json.Marshal(l.Sheet)
	if err != nil {
		return "", wrapped("keeping a sheet of labels", err)
	}
	if l.ID == "" {
		l.ID = newID()
		_, err := s.write.ExecContext(ctx, `INSERT INTO label_sheet (id, name, data) VALUES (?, ?, ?)`, l.ID, l.Name, string(data))
		return l.ID, wrapped("keeping a sheet of labels", err)
	}
	return l.ID, s.one(ctx, "keeping a sheet of labels", `UPDATE label_sheet SET name = ?, data = ? WHERE id = ?`, l.Name, string(data), l.ID)
}

// RemoveLabelSheet takes one away.
func (s *Store) RemoveLabelSheet(ctx context.Context, id string) error {
	return s.one(ctx, "taking a sheet of labels away", `DELETE FROM label_sheet WHERE id = ?`, id)
}

// Setting is what a name was set to; empty where it was not.
func (s *Store) Setting(ctx context.Context, name string) (value string, err error) {
	err = s.read.QueryRowContext(ctx, `SELECT value FROM setting WHERE name = ?`, name).Scan(&value)
	if errors.Is(err, sql.ErrNoRows) {
		return "", nil
	}
	return value, wrapped("reading a setting", err)
}

// Set sets it.
func (s *Store) Set(ctx context.Context, name, value string) error {
	_, err := s.write.ExecContext(ctx, `INSERT INTO setting (name, value) VALUES (?, ?) ON CONFLICT (name) DO UPDATE SET value = excluded.value`, name, value)
	return wrapped("keeping a setting", err)
}
