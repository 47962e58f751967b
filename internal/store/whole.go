package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"slices"
	"strings"

	"modernc.org/sqlite"

	"mellisca/core/shelf"
)

// Kept is a table as it goes out of a kitchen and into another: what it is, what names its
// rows, and which of its columns stay at home because they follow from others.
type Kept struct {
	Table   string
	About   string
	Key     []string // that name a row; none: a row is itself
	Derived []string // worked out from the rest
	Lines   bool     // what was told: never changed once it is there
}

// wholeTables are all tables that go out, so that what refers to another comes after it.
var wholeTables = []Kept{
	{Table: "kitchen", About: "The kitchen: its name, altitude and units.", Key: []string{"id"}},
	{Table: "kitchen_jar", About: "The sizes of jars it uses.", Key: []string{"jar"}},
	{Table: "school", About: "Which way it goes where cooks differ.", Key: []string{"question"}},
	{Table: "price", About: "What things cost, as typed.", Key: []string{"what"}},
	{Table: "place", About: "Places of the cook's own, with their altitude.", Key: []string{"name"}},
	{Table: "setting", About: "Other settings.", Key: []string{"name"}},
	{Table: "table_check", About: "Tables that were held against the printed guide.", Key: []string{"part"}},
	{Table: "own_source", About: "Own sources of times.", Key: []string{"id"}},
	{Table: "burner", About: "Burners.", Key: []string{"id"}},
	{Table: "pot", About: "Canners and cooking pots.", Key: []string{"id"}},
	{Table: "stock", About: "Jars that are owned and in use.", Key: []string{"jar"}},
	{Table: "closure", About: "New lids, and bands.", Key: []string{"mouth"}},
	{Table: "container", About: "Containers that were weighed once.", Key: []string{"name", "kind"}},
	{Table: "variety", About: "What is known of varieties.", Key: []string{"kind", "name"}},
	{Table: "lot", About: "Fruit as it came in.", Key: []string{"id"}, Derived: []string{"used_mg"}},
	{Table: "lot_tap", About: "How ripe a lot was on a day.", Key: []string{"lot", "day"}},
	{Table: "batch", About: "Saved batches: the sentence as it was left.", Key: []string{"id"}},
	{Table: "closing", About: "What batches gave.", Key: []string{"id"}},
	{Table: "closing_jar", About: "The jars of a closed batch.", Key: []string{"closing", "jar"}},
	{Table: "lot_use", About: "What was taken of lots.", Key: []string{"id"}},
	{Table: "ready_tick", About: "What is laid out already.", Key: []string{"batches", "item"}},
	{Table: "canner_load", About: "Loads, as they were to be when they were opened.", Key: []string{"id"}},
	{Table: "stove_line", About: "What was told at the stove, of loads and of side clocks, in order.", Derived: []string{"id"}, Lines: true},
	{Table: "jar_line", About: "What was found of the jars of loads, and done with them, in order.", Derived: []string{"id"}, Lines: true},
	{Table: "shelf_place", About: "Places where jars stand.", Key: []string{"id"}},
	{Table: "jar", About: "Jars after the canner; how they stand follows from what was told of them.", Key: []string{"id"},
		Derived: []string{"state", "place", "until_day", "since_day", "who", "looked_day", "recall", "hay"}},
	{Table: "shelf_line", About: "What was told of jars, in order.", Key: []string{"jar", "seq"}, Lines: true},
	{Table: "recall", About: "What was called back.", Key: []string{"id"}},
	{Table: "want", About: "What is wanted in a year.", Key: []string{"id"}},
	{Table: "day_plan", About: "Canning days, and how they were planned.", Key: []string{"day"}},
	{Table: "day_cook", About: "Who is there on a day.", Key: []string{"day", "number"}},
	{Table: "day_batch", About: "What is made on a day.", Key: []string{"day", "batch", "part"}},
	{Table: "day_lock", About: "Steps of a day that nothing moves.", Key: []string{"day", "step"}},
	{Table: "day_line", About: "What was told of the steps of days, in order.", Derived: []string{"id"}, Lines: true},
	{Table: "week_time", About: "When the cook has time in the week.", Key: []string{"weekday"}},
	{Table: "day_time", About: "Days on which that differs.", Key: []string{"day"}},
	{Table: "step_minutes", About: "How long steps take, where the cook said so.", Key: []string{"step"}},
	{Table: "season", About: "Months of fruit, where the cook said so.", Key: []string{"fruit"}},
	{Table: "vow", About: "What the cook swore to do differently.", Key: []string{"id"}},
	{Table: "show_mark", About: "The cook's opinion of jars for a show.", Key: []string{"year", "jar"}},
	{Table: "label_sheet", About: "Grids of labels.", Key: []string{"id"}},
}

// homeTables stay: they are of this machine alone.
var homeTables = []string{"alive", "goose_db_version", "sqlite_sequence"}

// WholeTables lists what goes out, in the order in which it comes in. The caller owns the
// slice.
func WholeTables() []Kept { return slices.Clone(wholeTables) }

// WholeColumn is a column that goes out.
type WholeColumn struct {
	Name     string
	Type     string // INTEGER, REAL or TEXT
	Nullable bool
	JSON     bool // its text is JSON, and goes out as such
	Default  bool // it may be left out
}

// WholeColumns describes the columns of a table that go out, in their order.
func (s *Store) WholeColumns(ctx context.Context, k Kept) (all []WholeColumn, err error) {
	var made string
	if err := s.read.QueryRowContext(ctx, `SELECT sql FROM sqlite_master WHERE type = 'table' AND name = ?`, k.Table).Scan(&made); err != nil {
		return nil, wrapped("describing "+k.Table, err)
	}
	err = s.each(ctx, `SELECT name, type, "notnull", dflt_value IS NOT NULL FROM pragma_table_info(?) ORDER BY cid`, func(row *sql.Rows) error {
		var c WholeColumn
		var notNull bool
		if err := row.Scan(&c.Name, &c.Type, &notNull, &c.Default); err != nil {
			return err
		}
		c.Nullable = !notNull && !slices.Contains(k.Key, c.Name)
		c.JSON = strings.Contains(made, "json_valid("+c.Name+")")
		if !slices.Contains(k.Derived, c.Name) {
			all = append(all, c)
		}
		return nil
	}, k.Table)
	return all, err
}

// Whole reads everything that goes out, in one piece, and hands on each row: nil, int64,
// float64 or string in the order of its columns.
func (s *Store) Whole(ctx context.Context, each func(k Kept, columns []WholeColumn, rows [][]any) error) error {
	tx, err := s.read.BeginTx(ctx, nil)
	if err != nil {
		return wrapped("reading everything", err)
	}
	defer tx.Rollback()
	for _, k := range wholeTables {
		columns, err := s.WholeColumns(ctx, k)
		if err != nil {
			return err
		}
		rows, err := readRows(ctx, tx, k, columns, "", nil)
		if err != nil {
			return wrapped("reading "+k.Table, err)
		}
		if err := each(k, columns, rows); err != nil {
			return err
		}
	}
	return nil
}

func readRows(ctx context.Context, tx *sql.Tx, k Kept, columns []WholeColumn, where string, args []any) (all [][]any, err error) {
	order := "rowid"
	if k.Table == "shelf_line" {
		order = "jar, seq" // it has no other
	}
	rows, err := tx.QueryContext(ctx, `SELECT `+columnList(columns)+` FROM `+k.Table+where+` ORDER BY `+order, args...)
	if err != nil {
		return nil, err
	}
	defer rows.Close()
	for rows.Next() {
		row := make([]any, len(columns))
		into := make([]any, len(columns))
		for i := range row {
			into[i] = &row[i]
		}
		if err := rows.Scan(into...); err != nil {
			return nil, err
		}
		all = append(all, row)
	}
	return all, rows.Err()
}

func columnList(columns []WholeColumn) string {
	names := make([]string, len(columns))
	for i, c := range columns {
		names[i] = c.Name
	}
	return strings.Join(names, ", ")
}

// Took counts what came of the rows of a table.
type Took struct {
	Table              string
	New, Changed, Same int
}

// RowError says which row of what was taken in the file did not accept, and why.
type RowError struct {
	Table string
	Row   int // from 0
	Field string
	Text  string
}

func (e *RowError) Error() string {
	return fmt.Sprintf("%s, row %d: %s", e.Table, e.Row+1, e.Text)
}

// WholeRows is rows of a table as they come in.
type WholeRows struct {
	Kept
	Columns []WholeColumn
	Rows    [][]any
}

// TakeIn takes rows in: new ones are added, those that are here by their key are changed to
// what comes in, and what was told stays as it is. It is all or nothing; where only is
// true it is nothing either way, and only counted. It errs with a *RowError.
func (s *Store) TakeIn(ctx context.Context, all []WholeRows, only bool) ([]Took, error) {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return nil, wrapped("taking records in", err)
	}
	defer tx.Rollback()
	var took []Took
	for _, t := range all {
		one, err := takeTable(ctx, tx, t)
		if err != nil {
			return nil, err
		}
		took = append(took, one)
	}
	if err := foldAgain(ctx, tx); err != nil {
		return nil, err
	}
	if only {
		return took, nil
	}
	defer s.closings.Add(1)
	return took, wrapped("taking records in", tx.Commit())
}

func takeTable(ctx context.Context, tx *sql.Tx, t WholeRows) (took Took, err error) {
	took.Table = t.Table
	key := t.Key
	if len(key) == 0 {
		for _, c := range t.Columns {
			key = append(key, c.Name)
		}
	}
	conds := make([]string, len(key))
	at := make([]int, len(key))
	for i, name := range key {
		conds[i] = name + " IS ?"
		at[i] = slices.IndexFunc(t.Columns, func(c WholeColumn) bool { return c.Name == name })
	}
	where := " WHERE " + strings.Join(conds, " AND ")
	insert, err := tx.PrepareContext(ctx, insertOf(t))
	if err != nil {
		return took, wrapped("taking "+t.Table+" in", err)
	}
	defer insert.Close()
	sets := make([]string, len(t.Columns))
	for i, c := range t.Columns {
		sets[i] = c.Name + " = ?"
	}
	if t.Table == "jar" {
		sets = append(sets, "hay = ''") // worked out anew
	}
	same, err := tx.PrepareContext(ctx, `SELECT `+columnList(t.Columns)+` FROM `+t.Table+where)
	if err != nil {
		return took, wrapped("taking "+t.Table+" in", err)
	}
	defer same.Close()
	for n, row := range t.Rows {
		named := make([]any, len(key))
		for i, c := range at {
			named[i] = row[c]
		}
		here := make([]any, len(row))
		into := make([]any, len(row))
		for i := range here {
			into[i] = &here[i]
		}
		err := same.QueryRowContext(ctx, named...).Scan(into...)
		if err == nil && t.Table == "canner_load" && !sameLoad(t.Columns, here, row) {
			return took, &RowError{t.Table, n, "", "this load was put on the stove otherwise here; what was run, and for how long, is never changed"}
		}
		switch {
		case errors.Is(err, sql.ErrNoRows):
			_, err = insert.ExecContext(ctx, row...)
			took.New++
		case err != nil:
		case slices.Equal(here, row):
			took.Same++
		case t.Lines:
			return took, &RowError{t.Table, n, "", "something else was told here already under that number; what was told is never changed"}
		default:
			_, err = tx.ExecContext(ctx, `UPDATE `+t.Table+` SET `+strings.Join(sets, ", ")+where, append(slices.Clone(row), named...)...)
			took.Changed++
		}
		if err != nil {
			if text, ok := refusedBy(err); ok {
				return took, &RowError{t.Table, n, "", text}
			}
			return took, wrapped("taking "+t.Table+" in", err)
		}
	}
	return took, nil
}

// sameLoad says whether a load that comes in is the one that is here, and keeps it as far
// along as either has it: cleared from the hob, and from the tray.
func sameLoad(columns []WholeColumn, here, row []any) bool {
	for i, c := range columns {
		switch c.Name {
		case "put_away", "tray_done":
			h, _ := here[i].(int64)
			r, _ := row[i].(int64)
			row[i] = max(h, r)
		default:
			if here[i] != row[i] {
				return false
			}
		}
	}
	return true
}

// insertOf adds a row; what follows from others is filled in afterwards.
func insertOf(t WholeRows) string {
	columns, marks := columnList(t.Columns), "?"+strings.Repeat(", ?", len(t.Columns)-1)
	if t.Table == "jar" {
		columns += ", state, place, until_day, since_day, who, looked_day, recall, hay"
		marks += ", 'discarded', '', 0, 0, '', 0, '', ''"
	}
	return `INSERT INTO ` + t.Table + ` (` + columns + `) VALUES (` + marks + `)`
}

// foldAgain works out how every jar stands, of those whose lines may have come in, after
// nothing that was told is found to be missing.
func foldAgain(ctx context.Context, tx *sql.Tx) error {
	for _, gap := range [][2]string{
		{"shelf_line", `SELECT jar FROM shelf_line GROUP BY jar HAVING max(seq) <> count(*) LIMIT 1`},
		{"stove_line", `SELECT load FROM stove_line WHERE load IS NOT NULL GROUP BY load HAVING max(seq) <> count(*) LIMIT 1`},
	} {
		var id string
		err := tx.QueryRowContext(ctx, gap[1]).Scan(&id)
		if err == nil {
			return &RowError{gap[0], -1, "seq", "of " + id + " something that was told is missing in between"}
		}
		if !errors.Is(err, sql.ErrNoRows) {
			return wrapped("taking records in", err)
		}
	}
	rows, err := tx.QueryContext(ctx, `SELECT id FROM jar WHERE hay = '' OR EXISTS (SELECT 1 FROM shelf_line l WHERE l.jar = jar.id AND l.seq > 1)`)
	if err != nil {
		return wrapped("taking jars in", err)
	}
	var ids []string
	for rows.Next() {
		var id string
		if err := rows.Scan(&id); err != nil {
			rows.Close()
			return wrapped("taking jars in", err)
		}
		ids = append(ids, id)
	}
	if err := errors.Join(rows.Err(), rows.Close()); err != nil {
		return wrapped("taking jars in", err)
	}
	for _, id := range ids {
		j, lines, err := readJar(ctx, tx, id)
		if err != nil {
			return err
		}
		if len(lines) == 0 || lines[0].Act != shelf.Begun || !slices.Contains(shelf.States(), j.State) {
			return &RowError{"jar", -1, "id", "of jar " + id + " nothing is told that begins it"}
		}
		if err := keepLife(ctx, tx, j); err != nil {
			return wrapped("taking jars in", err)
		}
	}
	return nil
}

// refusedBy says in words which rule of the file refused a row.
func refusedBy(err error) (string, bool) {
	var se *sqlite.Error
	if !errors.As(err, &se) {
		return "", false
	}
	switch se.Code() & 0xff {
	case 19: // a constraint
		text := se.Error()
		if _, rule, ok := strings.Cut(text, "constraint failed: "); ok {
			text, _, _ = strings.Cut(rule, " (")
		}
		switch {
		case strings.Contains(se.Error(), "FOREIGN KEY"):
			return "it belongs to something that is neither here nor in the file", true
		case strings.Contains(se.Error(), "UNIQUE"):
			return "another one is called the same: " + text, true
		case strings.Contains(se.Error(), "NOT NULL"):
			return "something is missing: " + text, true
		}
		return "it is out of its range: " + text, true
	case 20: // a mismatch
		return "a number stands where a text belongs, or the other way round", true
	}
	return "", false
}

// RowOf puts values by the names of their columns into a row; what is not named is its
// column's empty value.
func RowOf(columns []WholeColumn, values map[string]any) []any {
	row := make([]any, len(columns))
	for i, c := range columns {
		v, ok := values[c.Name]
		switch {
		case ok:
			row[i] = v
		case c.Nullable:
		case c.Type == "INTEGER":
			row[i] = int64(0)
		case c.Type == "REAL":
			row[i] = 0.0
		default:
			row[i] = ""
		}
	}
	return row
}
