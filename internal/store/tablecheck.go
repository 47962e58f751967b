package store

import (
	"context"
	"fmt"
	"time"
)

// TableCheck says that the cook held a part of the tables against the printed guide.
type TableCheck struct {
	Part        string
	Fingerprint string // of the numbers that were checked
	At          time.Time
}

// TableChecks lists all checks, by part.
func (s *Store) TableChecks(ctx context.Context) (map[string]TableCheck, error) {
	rows, err := s.read.QueryContext(ctx, `SELECT part, fingerprint, checked_at_ms FROM table_check`)
	if err != nil {
		return nil, fmt.Errorf("reading the checks: %w", err)
	}
	defer rows.Close()
	all := map[string]TableCheck{}
	for rows.Next() {
		var c TableCheck
		var at int64
		if err := rows.Scan(&c.Part, &c.Fingerprint, &at); err != nil {
			return nil, fmt.Errorf("reading the checks: %w", err)
		}
		c.At = time.UnixMilli(at).UTC()
		all[c.Part] = c
	}
	return all, rows.Err()
}

// CheckTable keeps a check; a later one of the same part takes its place.
func (s *Store) CheckTable(ctx context.Context, c TableCheck) error {
	_, err := s.write.ExecContext(ctx, `INSERT INTO table_check (part, fingerprint, checked_at_ms) VALUES (?, ?, ?)
		ON CONFLICT (part) DO UPDATE SET fingerprint = excluded.fingerprint, checked_at_ms = excluded.checked_at_ms`,
		c.Part, c.Fingerprint, c.At.UnixMilli())
	if err != nil {
		return fmt.Errorf("keeping a check: %w", err)
	}
	return nil
}

// UncheckTable takes a check back. Taking back one that is not there is nothing.
func (s *Store) UncheckTable(ctx context.Context, part string) error {
	if _, err := s.write.ExecContext(ctx, `DELETE FROM table_check WHERE part = ?`, part); err != nil {
		return fmt.Errorf("taking a check back: %w", err)
	}
	return nil
}
