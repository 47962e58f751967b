package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"

	"mellisca/core/day"
	"mellisca/core/fruit"
)

// Day is a canning day. Minutes count from its midnight.
type Day struct {
	Day     fruit.Day
	Begin   int
	By      int // all is to be done; 0: no such hour
	Late    int // hands-on after it is avoided; 0: no such hour
	Burners int
	Pots    int
	Cooks   []day.Cook
	Batches []DayBatch
	Locks   map[string]int // minutes by step
	Placed  string         // the plan as it was made, JSON as the server put it
}

// DayBatch is a batch, or a part of it, on a day.
type DayBatch struct {
	Batch string
	Part  day.Part
	From  int // not before; 0: any time
	By    int // 0: no such hour
	First int // loads run before, on another day
	Last  int // the last load that is run on this day, from 1; 0: the last there is
}

// Breaks are a cook's, as they are kept.
type Breaks struct {
	Spans []day.Span `json:"spans"`
}

// DayLine is something told of a step.
type DayLine struct {
	ID     int64
	Step   string
	Kind   string // begun, done, or back: it was not so
	WallMs int64
}

// ErrNoDay says that nothing is planned on a day.
var ErrNoDay = errors.New("nothing is planned on that day")

// Day reads one; ErrNoDay where there is none.
func (s *Store) Day(ctx context.Context, on fruit.Day) (d Day, err error) {
	d = Day{Day: on, Locks: map[string]int{}}
	err = s.read.QueryRowContext(ctx, `SELECT begin_minute, by_minute, late_minute, burners, pots, placed FROM day_plan WHERE day = ?`, on).Scan(&d.Begin, &d.By, &d.Late, &d.Burners, &d.Pots, &d.Placed)
	if errors.Is(err, sql.ErrNoRows) {
		return d, ErrNoDay
	}
	if err != nil {
		return d, wrapped("reading a day", err)
	}
	err = s.each(ctx, `SELECT name, from_minute, to_minute, breaks FROM day_cook WHERE day = ? ORDER BY number`, func(row *sql.Rows) error {
		var c day.Cook
		var breaks string
		if err := row.Scan(&c.Name, &c.There.From, &c.There.To, &breaks); err != nil {
			return err
		}
		var b Breaks
		err := json.Unmarshal([]byte(breaks), &b)
		c.Breaks = b.Spans
		d.Cooks = append(d.Cooks, c)
		return err
	}, on)
	if err != nil {
		return d, err
	}
	err = s.each(ctx, `SELECT batch, part, from_minute, by_minute, first_load, last_load FROM day_batch WHERE day = ? ORDER BY number, batch, part`, func(row *sql.Rows) error {
		var b DayBatch
		err := row.Scan(&b.Batch, &b.Part, &b.From, &b.By, &b.First, &b.Last)
		d.Batches = append(d.Batches, b)
		return err
	}, on)
	if err != nil {
		return d, err
	}
	return d, s.each(ctx, `SELECT step, minute FROM day_lock WHERE day = ?`, func(row *sql.Rows) error {
		var step string
		var at int
		err := row.Scan(&step, &at)
		d.Locks[step] = at
		return err
	}, on)
}

// DayOn is a planned day in a list.
type DayOn struct {
	Day     fruit.Day
	Batches int
}

// Days lists the planned days from one on to another, that one included.
func (s *Store) Days(ctx context.Context, from, to fruit.Day) (all []DayOn, err error) {
	err = s.each(ctx, `SELECT day, (SELECT count(*) FROM day_batch b WHERE b.day = p.day) FROM day_plan p WHERE day BETWEEN ? AND ? ORDER BY day`, func(row *sql.Rows) error {
		var d DayOn
		err := row.Scan(&d.Day, &d.Batches)
		all = append(all, d)
		return err
	}, from, to)
	return all, err
}

// DaysOf gives the days from one on that a part of a batch is on, in order.
func (s *Store) DaysOf(ctx context.Context, batch string, part day.Part, from fruit.Day) (all []fruit.Day, err error) {
	err = s.each(ctx, `SELECT day FROM day_batch WHERE batch = ? AND part = ? AND day >= ? ORDER BY day`, func(row *sql.Rows) error {
		var d fruit.Day
		err := row.Scan(&d)
		all = append(all, d)
		return err
	}, batch, string(part), from)
	return all, err
}

// KeepDays puts these days in place of what was planned on them, all or none.
func (s *Store) KeepDays(ctx context.Context, days ...Day) error {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return wrapped("keeping a day", err)
	}
	defer tx.Rollback()
	for _, d := range days {
		if err := keepDay(ctx, tx, d); err != nil {
			return wrapped("keeping a day", err)
		}
	}
	return wrapped("keeping a day", tx.Commit())
}

func keepDay(ctx context.Context, tx *sql.Tx, d Day) error {
	do := func(query string, args ...any) (err error) {
		_, err = tx.ExecContext(ctx, query, args...)
		return err
	}
	if err := do(`DELETE FROM day_plan WHERE day = ?`, d.Day); err != nil { // and with it all that is on it
		return err
	}
	if err := do(`INSERT INTO day_plan (day, begin_minute, by_minute, late_minute, burners, pots, placed) VALUES (?, ?, ?, ?, ?, ?, ?)`, d.Day, d.Begin, d.By, d.Late, d.Burners, d.Pots, d.Placed); err != nil {
		return err
	}
	for n, c := range d.Cooks {
		breaks, err := json.Marshal(Breaks{append([]day.Span{}, c.Breaks...)})
		if err != nil {
			return err
		}
		if err := do(`INSERT INTO day_cook (day, number, name, from_minute, to_minute, breaks) VALUES (?, ?, ?, ?, ?, ?)`, d.Day, n, c.Name, c.There.From, c.There.To, string(breaks)); err != nil {
			return err
		}
	}
	for n, b := range d.Batches {
		if err := do(`INSERT INTO day_batch (day, batch, part, number, from_minute, by_minute, first_load, last_load) VALUES (?, ?, ?, ?, ?, ?, ?, ?)`, d.Day, b.Batch, string(b.Part), n, b.From, b.By, b.First, b.Last); err != nil {
			return err
		}
	}
	for step, at := range d.Locks {
		if err := do(`INSERT INTO day_lock (day, step, minute) VALUES (?, ?, ?)`, d.Day, step, at); err != nil {
			return err
		}
	}
	return nil
}

// RemoveDay plans nothing on a day any more.
func (s *Store) RemoveDay(ctx context.Context, on fruit.Day) error {
	return s.one(ctx, "clearing a day", `DELETE FROM day_plan WHERE day = ?`, on)
}

// TellDay keeps what was told of a step of a day.
func (s *Store) TellDay(ctx context.Context, on fruit.Day, l DayLine) error {
	_, err := s.write.ExecContext(ctx, `INSERT INTO day_line (day, step, kind, told_wall_ms) VALUES (?, ?, ?, ?)`, on, l.Step, l.Kind, l.WallMs)
	return wrapped("telling of a step", err)
}

// DayLines gives what was told of the steps of a day, in order.
func (s *Store) DayLines(ctx context.Context, on fruit.Day) (all []DayLine, err error) {
	err = s.each(ctx, `SELECT id, step, kind, told_wall_ms FROM day_line WHERE day = ? ORDER BY id`, func(row *sql.Rows) error {
		var l DayLine
		err := row.Scan(&l.ID, &l.Step, &l.Kind, &l.WallMs)
		all = append(all, l)
		return err
	}, on)
	return all, err
}
