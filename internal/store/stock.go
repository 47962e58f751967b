package store

import (
	"context"
	"database/sql"

	"mellisca/core/batch"
	"mellisca/core/jar"
)

// Stock reads the jars, lids and bands of the kitchen.
func (s *Store) Stock(ctx context.Context) (batch.Stock, error) {
	st := batch.Stock{Jars: map[jar.ID]batch.Owned{}, Lids: map[jar.Mouth]int{}, Bands: map[jar.Mouth]int{}}
	err := s.each(ctx, `SELECT jar, owned, in_use FROM stock`, func(row *sql.Rows) error {
		var id jar.ID
		var o batch.Owned
		err := row.Scan(&id, &o.Owned, &o.InUse)
		st.Jars[id] = o
		return err
	})
	if err != nil {
		return st, err
	}
	return st, s.each(ctx, `SELECT mouth, lids, bands FROM closure`, func(row *sql.Rows) error {
		var m jar.Mouth
		var lids, bands int
		err := row.Scan(&m, &lids, &bands)
		st.Lids[m], st.Bands[m] = lids, bands
		return err
	})
}

// SetStock puts these in place of what was counted before.
func (s *Store) SetStock(ctx context.Context, st batch.Stock) error {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return wrapped("keeping the count", err)
	}
	defer tx.Rollback()
	for _, clear := range []string{`DELETE FROM stock`, `DELETE FROM closure`} {
		if _, err := tx.ExecContext(ctx, clear); err != nil {
			return wrapped("keeping the count", err)
		}
	}
	for id, o := range st.Jars {
		if _, err := tx.ExecContext(ctx, `INSERT INTO stock (jar, owned, in_use) VALUES (?, ?, ?)`, id, o.Owned, o.InUse); err != nil {
			return wrapped("keeping the count", err)
		}
	}
	for _, m := range []jar.Mouth{jar.Regular, jar.Wide} {
		if _, err := tx.ExecContext(ctx, `INSERT INTO closure (mouth, lids, bands) VALUES (?, ?, ?)`, m, st.Lids[m], st.Bands[m]); err != nil {
			return wrapped("keeping the count", err)
		}
	}
	return tx.Commit()
}
