package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"

	"mellisca/core/run"
	"mellisca/core/shelf"
)

// TrayLoad is a load that was lifted out, with what was told of its jars since.
type TrayLoad struct {
	KeptLoad
	Told []shelf.Told
}

const (
	selectOnTray  = `SELECT id, batch, plan, about FROM canner_load WHERE put_away = 1 AND tray_done = 0 ORDER BY opened_wall_ms, rowid`
	selectJarTold = `SELECT data FROM jar_line WHERE load = ? ORDER BY id`
)

// Tray gives the loads of which jars are still to be decided on, the oldest first.
func (s Stove) Tray(ctx context.Context) ([]TrayLoad, error) {
	return s.trayLoads(ctx, selectOnTray)
}

func (s Stove) trayLoads(ctx context.Context, query string, args ...any) (loads []TrayLoad, err error) {
	err = s.each(ctx, query, func(row *sql.Rows) error {
		var l TrayLoad
		var plan string
		if err := row.Scan(&l.ID, &l.Batch, &plan, &l.About); err != nil {
			return err
		}
		loads = append(loads, l)
		return json.Unmarshal([]byte(plan), &loads[len(loads)-1].Load)
	}, args...)
	for i := range loads {
		l := &loads[i]
		if err != nil {
			break
		}
		if l.Events, err = s.LoadEvents(ctx, l.ID); err != nil {
			break
		}
		err = s.each(ctx, selectJarTold, func(row *sql.Rows) error {
			var data string
			if err := row.Scan(&data); err != nil {
				return err
			}
			l.Told = append(l.Told, shelf.Told{})
			return json.Unmarshal([]byte(data), &l.Told[len(l.Told)-1])
		}, l.ID)
	}
	return loads, err
}

// TellJars keeps what is told of jars of a load, all or none of it, and with it the jars
// that this puts on the shelf, or anywhere else that jars are followed to: jars holds them
// as they then stand. done says that every jar is decided on, so that the load leaves the
// tray.
func (s Stove) TellJars(ctx context.Context, load string, told []shelf.Told, jars []Jar, done bool, now run.Stamp) error {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return wrapped("keeping what was found", err)
	}
	defer tx.Rollback()
	for _, t := range told {
		data, err := json.Marshal(t)
		if err != nil {
			return wrapped("keeping what was found", err)
		}
		if _, err := tx.ExecContext(ctx, `INSERT INTO jar_line (load, jar, told_wall_ms, data) VALUES (?, ?, ?, ?)`, load, t.Jar, now.WallMs, string(data)); err != nil {
			return wrapped("keeping what was found", err)
		}
	}
	for _, j := range jars {
		if err := beginAgain(ctx, tx, j, now.WallMs); err != nil {
			return wrapped("keeping what was found", err)
		}
	}
	if _, err := tx.ExecContext(ctx, `UPDATE canner_load SET tray_done = ? WHERE id = ?`, done, load); err != nil {
		return wrapped("keeping what was found", err)
	}
	return wrapped("keeping what was found", tx.Commit())
}

// beginAgain keeps a jar of a load, or begins the one of its number anew.
func beginAgain(ctx context.Context, tx *sql.Tx, j Jar, wallMs int64) error {
	err := tx.QueryRowContext(ctx, `SELECT id FROM jar WHERE load = ? AND load <> '' AND number = ?`, j.Load, j.Number).Scan(&j.ID)
	if errors.Is(err, sql.ErrNoRows) {
		_, err = addJars(ctx, tx, []Jar{j}, wallMs)
		return err
	}
	if err != nil {
		return err
	}
	kept, err := tellJar(ctx, tx, j.ID, wallMs, func(Jar) (shelf.Line, error) {
		return shelf.Line{Act: shelf.Begun, Day: j.Since, State: j.State, Place: j.Place, Until: j.Until, Why: j.Why}, nil
	})
	if err != nil {
		return err
	}
	_, err = tx.ExecContext(ctx, `UPDATE jar SET use_first = ? WHERE id = ?`, j.UseFirst, kept.ID)
	return err
}

const selectTrayOf = `SELECT id, batch, plan, about FROM canner_load WHERE id = ?`

// TrayLoad gives a load, whether on the tray or not, with what was told of its jars.
func (s Stove) TrayLoad(ctx context.Context, id string) (TrayLoad, error) {
	loads, err := s.trayLoads(ctx, selectTrayOf, id)
	if err == nil && len(loads) == 0 {
		err = ErrNotFound
	}
	if err != nil {
		return TrayLoad{}, err
	}
	return loads[0], nil
}
