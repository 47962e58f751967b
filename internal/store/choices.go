package store

import (
	"context"
	"fmt"
)

// Choices lists which school the kitchen follows, by question.
func (s *Store) Choices(ctx context.Context) (map[string]string, error) {
	return s.pairs(ctx, `SELECT question, choice FROM school`)
}

// Choose keeps the school for a question.
func (s *Store) Choose(ctx context.Context, question, choice string) error {
	_, err := s.write.ExecContext(ctx, `INSERT INTO school (question, choice) VALUES (?, ?)
		ON CONFLICT (question) DO UPDATE SET choice = excluded.choice`, question, choice)
	if err != nil {
		return fmt.Errorf("keeping a choice: %w", err)
	}
	return nil
}

// Prices lists what sweeteners and juice cost, as typed, by what they are.
func (s *Store) Prices(ctx context.Context) (map[string]string, error) {
	return s.pairs(ctx, `SELECT what, typed FROM price`)
}

// SetPrices puts these in place of all prices; an empty one is not said.
func (s *Store) SetPrices(ctx context.Context, prices map[string]string) error {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return fmt.Errorf("keeping prices: %w", err)
	}
	defer tx.Rollback()
	if _, err := tx.ExecContext(ctx, `DELETE FROM price`); err != nil {
		return fmt.Errorf("keeping prices: %w", err)
	}
	for what, typed := range prices {
		if typed == "" {
			continue
		}
		if _, err := tx.ExecContext(ctx, `INSERT INTO price (what, typed) VALUES (?, ?)`, what, typed); err != nil {
			return fmt.Errorf("keeping prices: %w", err)
		}
	}
	return tx.Commit()
}

func (s *Store) pairs(ctx context.Context, query string) (map[string]string, error) {
	rows, err := s.read.QueryContext(ctx, query)
	if err != nil {
		return nil, fmt.Errorf("reading the set-up: %w", err)
	}
	defer rows.Close()
	all := map[string]string{}
	for rows.Next() {
		var key, value string
		if err := rows.Scan(&key, &value); err != nil {
			return nil, fmt.Errorf("reading the set-up: %w", err)
		}
		all[key] = value
	}
	return all, rows.Err()
}
