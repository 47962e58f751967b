package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"slices"
	"time"

	"mellisca/core/fruit"
	"mellisca/core/shelf"
)

// Recall is that the jars of a load, a batch or a lot were called back.
type Recall struct {
	ID     string
	Of     string // load, batch or lot
	Ref    string
	Name   string // as it was called then
	Why    string
	Short  bool // its process was short
	Told   time.Time
	Undone bool
}

const (
	selectRecalls  = `SELECT id, of, ref, name, why, short, told_wall_ms, undone FROM recall ORDER BY rowid DESC`
	selectOfRecall = `SELECT ` + jarColumns + ` FROM jar WHERE recall = ? AND recall <> '' ORDER BY canned_day, number, id`
	// Batches that took fruit of a lot: those closed, and those that only name it.
	selectBatchesOfLot = `SELECT DISTINCT c.batch FROM lot_use u JOIN closing c ON c.id = u.closing WHERE u.lot = ? AND c.batch <> ''
		UNION SELECT id FROM batch WHERE ',' || lots || ',' GLOB '*,' || ? || '[,~]*' AND deleted_at_ms IS NULL`
	selectLotsOfBatch = `SELECT DISTINCT u.lot FROM lot_use u JOIN closing c ON c.id = u.closing WHERE c.batch = ?`
	selectLoadBatch   = `SELECT batch FROM canner_load WHERE id = ?`
)

// Recalls lists them, the newest first.
func (s *Store) Recalls(ctx context.Context) (all []Recall, err error) {
	err = s.each(ctx, selectRecalls, func(row *sql.Rows) error {
		var r Recall
		var ms int64
		err := row.Scan(&r.ID, &r.Of, &r.Ref, &r.Name, &r.Why, &r.Short, &ms, &r.Undone)
		r.Told = time.UnixMilli(ms)
		all = append(all, r)
		return err
	})
	return all, err
}

// JarsOfRecall gives the jars that are called back by a recall.
func (s *Store) JarsOfRecall(ctx context.Context, id string) ([]Jar, error) {
	return s.jars(ctx, selectOfRecall, id)
}

// BatchesOfLot gives the ids of the batches that took fruit of a lot, or are to.
func (s *Store) BatchesOfLot(ctx context.Context, lot string) ([]string, error) {
	return s.ids(ctx, selectBatchesOfLot, lot, lot)
}

// LotsOfBatch gives the ids of the lots that a closed batch took fruit of.
func (s *Store) LotsOfBatch(ctx context.Context, batch string) ([]string, error) {
	return s.ids(ctx, selectLotsOfBatch, batch)
}

// BatchOfLoad gives the id of the batch that a load is of.
func (s *Store) BatchOfLoad(ctx context.Context, load string) (string, error) {
	ids, err := s.ids(ctx, selectLoadBatch, load)
	if err == nil && len(ids) == 0 {
		err = ErrNotFound
	}
	if err != nil {
		return "", err
	}
	return ids[0], nil
}

func (s *Store) ids(ctx context.Context, query string, args ...any) (all []string, err error) {
	err = s.each(ctx, query, func(row *sql.Rows) error {
		var id string
		err := row.Scan(&id)
		all = append(all, id)
		return err
	}, args...)
	return all, err
}

// AddRecall calls jars back: all of them, and the recall with them, or none.
func (s *Store) AddRecall(ctx context.Context, r Recall, jars []string, today fruit.Day, now time.Time) (string, error) {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return "", wrapped("calling jars back", err)
	}
	defer tx.Rollback()
	r.ID = newID()
	if _, err := tx.ExecContext(ctx, `INSERT INTO recall (id, of, ref, name, why, short, told_wall_ms) VALUES (?, ?, ?, ?, ?, ?, ?)`, r.ID, r.Of, r.Ref, r.Name, r.Why, r.Short, now.UnixMilli()); err != nil {
		return "", wrapped("calling jars back", err)
	}
	if r.Of == "lot" { // no more of it is to be packed
		if _, err := tx.ExecContext(ctx, `UPDATE lot SET gone_at_ms = ? WHERE id = ? AND gone_at_ms IS NULL`, now.UnixMilli(), r.Ref); err != nil {
			return "", wrapped("calling jars back", err)
		}
	}
	for _, id := range jars {
		_, err := tellJar(ctx, tx, id, now.UnixMilli(), func(Jar) (shelf.Line, error) {
			return shelf.Line{Act: shelf.Pull, Day: today, Why: r.Why, Recall: r.ID}, nil
		})
		if err != nil {
			return "", wrapped("calling jars back", err)
		}
	}
	return r.ID, wrapped("calling jars back", tx.Commit())
}

// UndoRecall takes a recall back: its jars stand as if it had not been told.
func (s *Store) UndoRecall(ctx context.Context, id string, today fruit.Day, now time.Time) error {
	jars, err := s.JarsOfRecall(ctx, id)
	if err != nil {
		return err
	}
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return wrapped("taking a recall back", err)
	}
	defer tx.Rollback()
	if err := oneOf(ctx, tx, "taking a recall back", `UPDATE recall SET undone = 1 WHERE id = ? AND undone = 0`, id); err != nil {
		return err
	}
	if _, err := tx.ExecContext(ctx, `UPDATE lot SET gone_at_ms = NULL WHERE EXISTS (SELECT 1 FROM recall WHERE recall.id = ? AND of = 'lot' AND ref = lot.id AND told_wall_ms = gone_at_ms)`, id); err != nil {
		return wrapped("taking a recall back", err)
	}
	for _, j := range jars {
		_, lines, err := readJar(ctx, tx, j.ID)
		if err != nil {
			return err
		}
		at := slices.IndexFunc(lines, func(l shelf.Line) bool { return l.Act == shelf.Pull && l.Recall == id })
		if at < 0 {
			continue
		}
		_, err = tellJar(ctx, tx, j.ID, now.UnixMilli(), func(Jar) (shelf.Line, error) {
			return shelf.Line{Act: shelf.Undone, Day: today, Undoes: at + 1}, nil
		})
		if err != nil {
			return wrapped("taking a recall back", err)
		}
	}
	return wrapped("taking a recall back", tx.Commit())
}

// AnyBatch reads a batch, deleted or not: jars of it may stand on the shelf.
func (s *Store) AnyBatch(ctx context.Context, id string) (Batch, error) {
	b, err := scanBatch(s.read.QueryRowContext(ctx, `SELECT `+batchColumns+` FROM batch WHERE id = ?`, id))
	if errors.Is(err, sql.ErrNoRows) {
		return Batch{}, ErrNotFound
	}
	return b, wrapped("reading a batch", err)
}

// LotName is a lot by what it is called.
type LotName struct {
	ID, Name, Typed string
	Got             fruit.Day
}

// LotNames names lots, whether anything is left of them or not.
func (s *Store) LotNames(ctx context.Context, ids []string) (all []LotName, err error) {
	raw, err := json.Marshal(ids)
	if err != nil {
		return nil, err
	}
	err = s.each(ctx, `SELECT id, name, bought, got_day FROM lot WHERE id IN (SELECT value FROM json_each(?)) ORDER BY got_day DESC, rowid DESC`, func(row *sql.Rows) error {
		var l LotName
		err := row.Scan(&l.ID, &l.Name, &l.Typed, &l.Got)
		all = append(all, l)
		return err
	}, string(raw))
	return all, err
}
