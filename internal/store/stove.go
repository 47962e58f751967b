package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"slices"

	"mellisca/core/run"
)

// KeptLoad is a load with all that was told of it.
type KeptLoad struct {
	ID     string
	Batch  string // that it is of; empty in practice
	Load   run.Load
	Opened int64  // when it was opened, milliseconds since 1970; read by LoadsOf alone
	About  string // what the page draws it with, as the server put it; not looked at here
	Events []run.Event
}

// StoveLine is one thing told, of a load or of a side clock, with its place in all that was
// ever told.
type StoveLine struct {
	ID    int64
	Load  string // empty: of a side clock
	Event run.Event
	Side  run.SideEvent
}

// Stove is the store as the Log of what happens on the hob.
type Stove struct{ *Store }

// newestLines is how many lines are read for pages that come back.
const newestLines = 500

const (
	selectOnHob    = `SELECT id, batch, plan, about FROM canner_load WHERE put_away = 0 ORDER BY opened_wall_ms, rowid`
	selectLoadsOf  = `SELECT id, plan, about, opened_wall_ms FROM canner_load WHERE batch = ? ORDER BY rowid`
	selectOfLoad   = `SELECT data FROM stove_line WHERE load = ? ORDER BY seq`
	selectSides    = `SELECT data FROM stove_line WHERE load IS NULL AND id > ? ORDER BY id`
	selectNewest   = `SELECT id, coalesce(load, ''), data FROM stove_line ORDER BY id DESC LIMIT ?`
	sidesLookedFor = 20_000 // lines back in which a side clock may have been started
)

// Everything gives the loads on the hob, what was done with side clocks, and the newest
// lines.
func (s Stove) Everything(ctx context.Context) (loads []KeptLoad, sides []run.SideEvent, newest []StoveLine, err error) {
	err = s.each(ctx, selectOnHob, func(row *sql.Rows) error {
		var k KeptLoad
		var plan string
		if err := row.Scan(&k.ID, &k.Batch, &plan, &k.About); err != nil {
			return err
		}
		loads = append(loads, k)
		return json.Unmarshal([]byte(plan), &loads[len(loads)-1].Load)
	})
	if err != nil {
		return nil, nil, nil, err
	}
	for i := range loads {
		if loads[i].Events, err = s.LoadEvents(ctx, loads[i].ID); err != nil {
			return nil, nil, nil, err
		}
	}
	err = s.each(ctx, selectNewest, func(row *sql.Rows) error {
		var l StoveLine
		var data string
		if err := row.Scan(&l.ID, &l.Load, &data); err != nil {
			return err
		}
		newest = append(newest, l)
		if l.Load == "" {
			return json.Unmarshal([]byte(data), &newest[len(newest)-1].Side)
		}
		return json.Unmarshal([]byte(data), &newest[len(newest)-1].Event)
	}, newestLines)
	slices.Reverse(newest)
	if err != nil || len(newest) == 0 {
		return loads, nil, nil, err
	}
	err = s.each(ctx, selectSides, func(row *sql.Rows) error {
		var data string
		if err := row.Scan(&data); err != nil {
			return err
		}
		sides = append(sides, run.SideEvent{})
		return json.Unmarshal([]byte(data), &sides[len(sides)-1])
	}, newest[len(newest)-1].ID-sidesLookedFor)
	return loads, sides, newest, err
}

// LoadEvents gives all that was told of a load, in order.
func (s Stove) LoadEvents(ctx context.Context, load string) (all []run.Event, err error) {
	err = s.each(ctx, selectOfLoad, func(row *sql.Rows) error {
		var data string
		if err := row.Scan(&data); err != nil {
			return err
		}
		all = append(all, run.Event{})
		return json.Unmarshal([]byte(data), &all[len(all)-1])
	}, load)
	return all, err
}

// LoadsOf gives the loads of a batch with what was told of them, whether put away or
// not.
func (s Stove) LoadsOf(ctx context.Context, batch string) (loads []KeptLoad, err error) {
	err = s.each(ctx, selectLoadsOf, func(row *sql.Rows) error {
		k := KeptLoad{Batch: batch}
		var plan string
		if err := row.Scan(&k.ID, &plan, &k.About, &k.Opened); err != nil {
			return err
		}
		loads = append(loads, k)
		return json.Unmarshal([]byte(plan), &loads[len(loads)-1].Load)
	}, batch)
	if err != nil {
		return nil, err
	}
	for i := range loads {
		if loads[i].Events, err = s.LoadEvents(ctx, loads[i].ID); err != nil {
			return nil, err
		}
	}
	return loads, nil
}

// OpenLoad keeps a load as it is put on the hob.
func (s Stove) OpenLoad(ctx context.Context, k KeptLoad, now run.Stamp) error {
	plan, err := json.Marshal(k.Load)
	if err != nil {
		return fmt.Errorf("keeping a load: %w", err)
	}
	_, err = s.write.ExecContext(ctx, `INSERT INTO canner_load (id, batch, plan, about, opened_wall_ms, opened_boot_ms, opened_boot) VALUES (?, ?, ?, ?, ?, ?, ?)`,
		k.ID, k.Batch, string(plan), k.About, now.WallMs, now.BootMs, now.Boot)
	return wrapped("keeping a load", err)
}

// Append keeps what was told of a load before it is acknowledged.
func (s Stove) Append(ctx context.Context, load string, e run.Event) (int64, error) {
	data, err := json.Marshal(e)
	if err != nil {
		return 0, fmt.Errorf("keeping what was told: %w", err)
	}
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return 0, wrapped("keeping what was told", err)
	}
	defer tx.Rollback()
	id, err := addLine(ctx, tx, load, e.Seq, string(e.Kind), e.Told, data)
	if err != nil {
		return 0, wrapped("keeping what was told", err)
	}
	if e.Kind == run.PutAway {
		if _, err := tx.ExecContext(ctx, `UPDATE canner_load SET put_away = 1 WHERE id = ?`, load); err != nil {
			return 0, wrapped("clearing the hob", err)
		}
	}
	return id, wrapped("keeping what was told", tx.Commit())
}

// AppendSide keeps what was done with a side clock.
func (s Stove) AppendSide(ctx context.Context, e run.SideEvent) (int64, error) {
	data, err := json.Marshal(e)
	if err != nil {
		return 0, fmt.Errorf("keeping a clock: %w", err)
	}
	id, err := addLine(ctx, s.write, nil, 0, string(e.Act), e.Told, data)
	return id, wrapped("keeping a clock", err)
}

func addLine(ctx context.Context, to execer, load any, seq int, kind string, told run.Stamp, data []byte) (int64, error) {
	res, err := to.ExecContext(ctx, `INSERT INTO stove_line (load, seq, kind, told_wall_ms, told_boot_ms, told_boot, data) VALUES (?, ?, ?, ?, ?, ?, ?)`,
		load, seq, kind, told.WallMs, told.BootMs, told.Boot, string(data))
	if err != nil {
		return 0, err
	}
	return res.LastInsertId()
}

// Alive notes that the machine runs.
func (s Stove) Alive(ctx context.Context, now run.Stamp) error {
	_, err := s.write.ExecContext(ctx, `INSERT INTO alive (boot, boot_ms, wall_ms, noted) VALUES (?, ?, ?, (SELECT coalesce(max(noted), 0) + 1 FROM alive))
		ON CONFLICT (boot) DO UPDATE SET boot_ms = max(boot_ms, excluded.boot_ms), wall_ms = excluded.wall_ms, noted = excluded.noted`, now.Boot, now.BootMs, now.WallMs)
	return wrapped("noting that the machine runs", err)
}

// LastAlive is when the machine was last known to run on a start before this one: by
// its notes or by the newest line told, whichever is later.
func (s Stove) LastAlive(ctx context.Context, boot string) (run.Stamp, error) {
	var noted, told run.Stamp
	err := s.read.QueryRowContext(ctx, `SELECT wall_ms, boot_ms, boot FROM alive WHERE boot <> ? ORDER BY noted DESC LIMIT 1`, boot).Scan(&noted.WallMs, &noted.BootMs, &noted.Boot)
	if err != nil && !errors.Is(err, sql.ErrNoRows) {
		return run.Stamp{}, fmt.Errorf("reading when the machine last ran: %w", err)
	}
	err = s.read.QueryRowContext(ctx, `SELECT told_wall_ms, told_boot_ms, told_boot FROM stove_line WHERE told_boot <> ? ORDER BY id DESC LIMIT 1`, boot).Scan(&told.WallMs, &told.BootMs, &told.Boot)
	if err != nil && !errors.Is(err, sql.ErrNoRows) {
		return run.Stamp{}, fmt.Errorf("reading when the machine last ran: %w", err)
	}
	if told.Boot == "" || told.Before(noted) {
		return noted, nil
	}
	return told, nil
}
