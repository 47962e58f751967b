package store

import (
	"context"
	"database/sql"

	"mellisca/core/day"
	"mellisca/core/fruit"
)

// Week is when the cook has time, by weekday from Sunday; equal ends mean none.
type Week [7]day.Span

// WeekTimes reads when the cook has time in the week; ok is false where that was never said.
func (s *Store) WeekTimes(ctx context.Context) (w Week, ok bool, err error) {
	err = s.each(ctx, `SELECT weekday, from_minute, to_minute FROM week_time`, func(row *sql.Rows) error {
		var n int
		var t day.Span
		err := row.Scan(&n, &t.From, &t.To)
		w[n], ok = t, true
		return err
	})
	return w, ok, err
}

// SetWeekTimes keeps when the cook has time in the week.
func (s *Store) SetWeekTimes(ctx context.Context, w Week) error {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return wrapped("keeping the week", err)
	}
	defer tx.Rollback()
	for n, t := range w {
		if _, err := tx.ExecContext(ctx, `INSERT OR REPLACE INTO week_time (weekday, from_minute, to_minute) VALUES (?, ?, ?)`, n, t.From, t.To); err != nil {
			return wrapped("keeping the week", err)
		}
	}
	return wrapped("keeping the week", tx.Commit())
}

// DayTimes reads the days from one on that differ from the week.
func (s *Store) DayTimes(ctx context.Context, from fruit.Day) (all map[fruit.Day]day.Span, err error) {
	all = map[fruit.Day]day.Span{}
	err = s.each(ctx, `SELECT day, from_minute, to_minute FROM day_time WHERE day >= ?`, func(row *sql.Rows) error {
		var d fruit.Day
		var t day.Span
		err := row.Scan(&d, &t.From, &t.To)
		all[d] = t
		return err
	}, from)
	return all, err
}

// SetDayTime says when the cook has time on one day; with nil it is as in every week.
func (s *Store) SetDayTime(ctx context.Context, on fruit.Day, t *day.Span) error {
	var err error
	if t == nil {
		_, err = s.write.ExecContext(ctx, `DELETE FROM day_time WHERE day = ?`, on)
	} else {
		_, err = s.write.ExecContext(ctx, `INSERT OR REPLACE INTO day_time (day, from_minute, to_minute) VALUES (?, ?, ?)`, on, t.From, t.To)
	}
	return wrapped("keeping a day's time", err)
}

// StepMinutes reads how long steps take, where the cook said so.
func (s *Store) StepMinutes(ctx context.Context) (m day.Minutes, err error) {
	m = day.Minutes{}
	err = s.each(ctx, `SELECT step, minutes FROM step_minutes`, func(row *sql.Rows) error {
		var step string
		var n int
		err := row.Scan(&step, &n)
		m[step] = n
		return err
	})
	return m, err
}

// SetStepMinutes says how long a step takes; with 0 it is as in the table.
func (s *Store) SetStepMinutes(ctx context.Context, step string, minutes int) error {
	var err error
	if minutes == 0 {
		_, err = s.write.ExecContext(ctx, `DELETE FROM step_minutes WHERE step = ?`, step)
	} else {
		_, err = s.write.ExecContext(ctx, `INSERT OR REPLACE INTO step_minutes (step, minutes) VALUES (?, ?)`, step, minutes)
	}
	return wrapped("keeping minutes", err)
}
