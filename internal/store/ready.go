package store

import (
	"context"
	"database/sql"
)

// ReadyTicks lists what is laid out already of the list of these batches.
func (s *Store) ReadyTicks(ctx context.Context, batches string) (map[string]bool, error) {
	ticked := map[string]bool{}
	return ticked, s.each(ctx, `SELECT item FROM ready_tick WHERE batches = ?`, func(row *sql.Rows) error {
		var item string
		err := row.Scan(&item)
		ticked[item] = true
		return err
	}, batches)
}

// TickReady says that something is laid out, or not yet.
func (s *Store) TickReady(ctx context.Context, batches, item string, ticked bool) error {
	change := `DELETE FROM ready_tick WHERE batches = ? AND item = ?`
	if ticked {
		change = `INSERT INTO ready_tick (batches, item) VALUES (?, ?) ON CONFLICT DO NOTHING`
	}
	_, err := s.write.ExecContext(ctx, change, batches, item)
	return wrapped("ticking", err)
}
