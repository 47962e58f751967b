package store

import (
	"context"
	"crypto/rand"
	"database/sql"
	"encoding/json"
	"errors"
	"slices"
	"strings"
	"time"

	"mellisca/core/fruit"
	"mellisca/core/jar"
	"mellisca/core/shelf"
)

// ShelfPlace is where jars stand.
type ShelfPlace struct {
	ID   string
	Name string
	Kind string // shelf, box or loft
	Sort int
}

// Jar is a jar after the canner.
type Jar struct {
	ID        string
	Load      string // empty: it was not run here
	Number    int    // within its load
	Batch     string
	Origin    string // load, batch, before or present
	What      string
	Strength  string // pack and liquid
	Product   string
	Kind      string
	Form      string
	Jar       jar.ID
	Canned    fruit.Day
	YearOnly  bool // Canned is then the first of the year
	MadeBy    string
	Process   shelf.Process
	Source    string
	UseFirst  bool
	Note      string
	Allergens string
	shelf.Life
}

const jarColumns = `id, load, number, batch, origin, what, strength, product, kind, form, jar, canned_day, year_only, made_by, process, source, use_first, note, allergens,
	state, place, until_day, since_day, who, looked_day, recall`

const (
	selectJar       = `SELECT ` + jarColumns + ` FROM jar WHERE id = ?`
	selectJarLines  = `SELECT data FROM shelf_line WHERE jar = ? ORDER BY seq`
	whereHere       = `state IN ('shelf', 'refrigerator', 'freezer', 'open', 'pulled')`
	selectJarsHere  = `SELECT ` + jarColumns + ` FROM jar INDEXED BY jar_here WHERE ` + whereHere + ` ORDER BY canned_day, number, id`
	selectJarsOf    = `SELECT ` + jarColumns + ` FROM jar WHERE load = ? AND load <> '' ORDER BY number`
	selectJarsBatch = `SELECT ` + jarColumns + ` FROM jar WHERE batch = ? AND batch <> '' ORDER BY canned_day, number, id`
)

func scanJar(row interface{ Scan(...any) error }) (Jar, error) {
	var j Jar
	err := row.Scan(&j.ID, &j.Load, &j.Number, &j.Batch, &j.Origin, &j.What, &j.Strength, &j.Product, &j.Kind, &j.Form, &j.Jar, &j.Canned, &j.YearOnly, &j.MadeBy, &j.Process, &j.Source, &j.UseFirst, &j.Note, &j.Allergens,
		&j.State, &j.Place, &j.Until, &j.Since, &j.Who, &j.Looked, &j.Recall)
	return j, err
}

// ShelfPlaces lists the places in their order.
func (s *Store) ShelfPlaces(ctx context.Context) (all []ShelfPlace, err error) {
	err = s.each(ctx, `SELECT id, name, kind, sort FROM shelf_place ORDER BY sort, rowid`, func(row *sql.Rows) error {
		var p ShelfPlace
		err := row.Scan(&p.ID, &p.Name, &p.Kind, &p.Sort)
		all = append(all, p)
		return err
	})
	return all, err
}

// KeepShelfPlace adds a place, or changes the one of its ID.
func (s *Store) KeepShelfPlace(ctx context.Context, p ShelfPlace) error {
	if p.ID == "" {
		_, err := s.write.ExecContext(ctx, `INSERT INTO shelf_place (id, name, kind, sort) VALUES (?, ?, ?, (SELECT coalesce(max(sort), 0) + 1 FROM shelf_place))`, newID(), p.Name, p.Kind)
		return wrapped("keeping a place", err)
	}
	return s.one(ctx, "keeping a place", `UPDATE shelf_place SET name = ?, kind = ? WHERE id = ?`, p.Name, p.Kind, p.ID)
}

// ErrPlaceFull says that jars stand in a place.
var ErrPlaceFull = errors.New("jars stand there")

// RemoveShelfPlace takes a place away. It errs with ErrPlaceFull where jars stand in it.
func (s *Store) RemoveShelfPlace(ctx context.Context, id string) error {
	var full bool
	if err := s.read.QueryRowContext(ctx, `SELECT EXISTS (SELECT 1 FROM jar WHERE place = ? AND `+whereHere+`)`, id).Scan(&full); err != nil {
		return wrapped("taking a place away", err)
	}
	if full {
		return ErrPlaceFull
	}
	return s.one(ctx, "taking a place away", `DELETE FROM shelf_place WHERE id = ?`, id)
}

// JarGroup is like jars in one place.
type JarGroup struct {
	Place, What, Strength string
	Product, Kind, Form   string
	Jar                   jar.ID
	Process               shelf.Process
	Count                 int
	UseFirst              int    // of them
	Past                  int    // their best
	Old                   int    // past a year and a half
	Next                  string // the jar to take first
	Oldest                fruit.Day
}

// The next of a group is as shelf.Offer.Before has it; a test holds them together.
const selectGroups = `SELECT place, what, strength, product, kind, form, jar, process, count(*), sum(use_first), sum(canned_day < ?), sum(canned_day < ?), min(canned_day),
	min((1 - use_first) * 100000000 + canned_day * 1000 + number), id
	FROM jar INDEXED BY jar_standing WHERE state = 'shelf' GROUP BY place, what, strength, jar, process ORDER BY place, what, strength, jar, process`

// JarGroups gives the jars that stand on shelves, like ones together.
func (s *Store) JarGroups(ctx context.Context, today fruit.Day) (all []JarGroup, err error) {
	err = s.each(ctx, selectGroups, func(row *sql.Rows) error {
		var g JarGroup
		var order int64
		err := row.Scan(&g.Place, &g.What, &g.Strength, &g.Product, &g.Kind, &g.Form, &g.Jar, &g.Process, &g.Count, &g.UseFirst, &g.Past, &g.Old, &g.Oldest, &order, &g.Next)
		all = append(all, g)
		return err
	}, today-shelf.BestDays, today-shelf.OldDays)
	return all, err
}

const (
	selectApart = `SELECT ` + jarColumns + ` FROM jar INDEXED BY jar_cold WHERE state IN ('refrigerator', 'freezer', 'open', 'pulled') ORDER BY until_day, canned_day, number`
	// As shelf.Look.Due has it: whoever changes one changes the other; a test holds them together.
	dueDay    = `CASE WHEN use_first = 1 OR process = 'unknown' OR max(canned_day, looked_day) >= canned_day + 365 THEN max(canned_day, looked_day) + 182 ELSE max(canned_day, looked_day) + 365 END`
	selectDue = `SELECT ` + jarColumns + ` FROM jar INDEXED BY jar_standing WHERE state = 'shelf' AND ` + dueDay + ` <= ? ORDER BY place, canned_day, number, id`
	countDue  = `SELECT count(*) FROM jar INDEXED BY jar_standing WHERE state = 'shelf' AND ` + dueDay + ` <= ?`
)

// JarsApart gives those that are open, in the refrigerator, frozen or called back.
func (s *Store) JarsApart(ctx context.Context) ([]Jar, error) { return s.jars(ctx, selectApart) }

// JarsDue gives those that are to be looked over by a day.
func (s *Store) JarsDue(ctx context.Context, day fruit.Day) ([]Jar, error) {
	return s.jars(ctx, selectDue, day)
}

// CountDue counts them.
func (s *Store) CountDue(ctx context.Context, day fruit.Day) (n int, err error) {
	err = s.read.QueryRowContext(ctx, countDue, day).Scan(&n)
	return n, wrapped("counting jars", err)
}

// JarsHere gives all jars in the house, the oldest first.
func (s *Store) JarsHere(ctx context.Context) ([]Jar, error) { return s.jars(ctx, selectJarsHere) }

// JarsOfLoad gives the jars of a load; JarsOfBatch those of a batch.
func (s *Store) JarsOfLoad(ctx context.Context, load string) ([]Jar, error) {
	return s.jars(ctx, selectJarsOf, load)
}

// JarsOfBatch gives the jars of a batch.
func (s *Store) JarsOfBatch(ctx context.Context, batch string) ([]Jar, error) {
	return s.jars(ctx, selectJarsBatch, batch)
}

func (s *Store) jars(ctx context.Context, query string, args ...any) (all []Jar, err error) {
	err = s.each(ctx, query, func(row *sql.Rows) error {
		j, err := scanJar(row)
		all = append(all, j)
		return err
	}, args...)
	return all, err
}

// Find is what jars are looked for by.
type Find struct {
	Words  string // all of them, anywhere in what is known of a jar
	State  string // here, gone or empty for all; or a state
	Place  string
	Newest bool // first; otherwise the oldest
	Skip   int
	Limit  int
}

// FindJars gives jars in order, and how many there are in all.
func (s *Store) FindJars(ctx context.Context, f Find) (all []Jar, total int, err error) {
	where, args := []string{"1"}, []any{}
	switch f.State {
	case "":
	case "here":
		where = append(where, whereHere)
	case "gone":
		where = append(where, `state IN ('eaten', 'given', 'broken', 'discarded')`)
	default:
		where, args = append(where, `state = ?`), append(args, f.State)
	}
	if f.Place != "" {
		where, args = append(where, `place = ?`), append(args, f.Place)
	}
	for _, w := range strings.Fields(strings.ToLower(f.Words)) {
		where, args = append(where, `instr(hay, ?) > 0`), append(args, w)
	}
	order := `canned_day, number, id`
	if f.Newest {
		order = `canned_day DESC, number DESC, id DESC`
	}
	// All that fit are walked once for their ids: they are counted, and only a page is read.
	ids, err := s.ids(ctx, `SELECT id FROM jar WHERE `+strings.Join(where, " AND ")+` ORDER BY `+order, args...)
	if err != nil {
		return nil, 0, wrapped("finding jars", err)
	}
	page := ids[min(f.Skip, len(ids)):min(f.Skip+f.Limit, len(ids))]
	raw, err := json.Marshal(page)
	if err != nil {
		return nil, 0, err
	}
	all, err = s.jars(ctx, `SELECT `+jarColumns+` FROM jar WHERE id IN (SELECT value FROM json_each(?)) ORDER BY `+order, string(raw))
	return all, len(ids), err
}

// Jar reads one with all that was told of it.
func (s *Store) Jar(ctx context.Context, id string) (Jar, []shelf.Line, error) {
	return readJar(ctx, s.read, id)
}

type querier interface {
	QueryContext(ctx context.Context, query string, args ...any) (*sql.Rows, error)
	QueryRowContext(ctx context.Context, query string, args ...any) *sql.Row
}

func readJar(ctx context.Context, db querier, id string) (Jar, []shelf.Line, error) {
	j, err := scanJar(db.QueryRowContext(ctx, selectJar, id))
	if errors.Is(err, sql.ErrNoRows) {
		return j, nil, ErrNotFound
	}
	if err != nil {
		return j, nil, wrapped("reading a jar", err)
	}
	rows, err := db.QueryContext(ctx, selectJarLines, id)
	if err != nil {
		return j, nil, wrapped("reading a jar", err)
	}
	defer rows.Close()
	var lines []shelf.Line
	for rows.Next() {
		var data string
		if err := rows.Scan(&data); err != nil {
			return j, nil, wrapped("reading a jar", err)
		}
		lines = append(lines, shelf.Line{})
		if err := json.Unmarshal([]byte(data), &lines[len(lines)-1]); err != nil {
			return j, nil, wrapped("reading a jar", err)
		}
	}
	j.Life = shelf.FoldLife(lines)
	return j, lines, wrapped("reading a jar", rows.Err())
}

// jarLetters leave out those that are taken for one another.
const jarLetters = "23456789abcdefghjkmnpqrstuvwxyz"

// newJarID is short, since it is written on a lid.
func newJarID() string {
	b := make([]byte, 6)
	rand.Read(b)
	for i := range b {
		b[i] = jarLetters[int(b[i])%len(jarLetters)]
	}
	return string(b)
}

// AddJars keeps jars, each with what begins its life, all or none, and tells their ids.
func (s *Store) AddJars(ctx context.Context, jars []Jar, now time.Time) ([]string, error) {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return nil, wrapped("keeping jars", err)
	}
	defer tx.Rollback()
	ids, err := addJars(ctx, tx, jars, now.UnixMilli())
	if err != nil {
		return nil, wrapped("keeping jars", err)
	}
	return ids, wrapped("keeping jars", tx.Commit())
}

func addJars(ctx context.Context, tx *sql.Tx, jars []Jar, wallMs int64) (ids []string, err error) {
	for _, j := range jars {
		if j.ID == "" {
			for taken := true; taken; {
				j.ID = newJarID()
				if err := tx.QueryRowContext(ctx, `SELECT EXISTS (SELECT 1 FROM jar WHERE id = ?)`, j.ID).Scan(&taken); err != nil {
					return nil, err
				}
			}
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO jar (`+jarColumns+`, hay) VALUES (?`+strings.Repeat(", ?", 26)+`)`,
			j.ID, j.Load, j.Number, j.Batch, j.Origin, j.What, j.Strength, j.Product, j.Kind, j.Form, j.Jar, j.Canned, j.YearOnly, j.MadeBy, j.Process, j.Source, j.UseFirst, j.Note, j.Allergens,
			j.State, j.Place, j.Until, j.Since, j.Who, j.Looked, j.Recall, hay(j))
		if err != nil {
			return nil, err
		}
		if err := addShelfLine(ctx, tx, j.ID, 1, shelf.Line{Act: shelf.Begun, Day: j.Since, State: j.State, Place: j.Place, Until: j.Until, Who: j.Who, Why: j.Why, Looked: j.Looked}, wallMs); err != nil {
			return nil, err
		}
		ids = append(ids, j.ID)
	}
	return ids, nil
}

func addShelfLine(ctx context.Context, tx *sql.Tx, jar string, seq int, l shelf.Line, wallMs int64) error {
	data, err := json.Marshal(l)
	if err != nil {
		return err
	}
	_, err = tx.ExecContext(ctx, `INSERT INTO shelf_line (jar, seq, told_wall_ms, data) VALUES (?, ?, ?, ?)`, jar, seq, wallMs, string(data))
	return err
}

// hay is the text in which a jar is found.
func hay(j Jar) string {
	of, _ := jar.Find(j.Jar)
	words := []string{j.ID, j.What, j.Strength, j.Product, j.Kind, j.Form, of.One, of.Many, dayOf(j.Canned).Format("2006-01-02 2 January 2006"), j.MadeBy, string(j.Process), j.Source, j.Note, j.Allergens, string(j.State), j.Who}
	return strings.ToLower(strings.Join(words, "\n"))
}

func dayOf(d fruit.Day) time.Time { return time.Unix(int64(d)*86_400, 0).UTC() }

// TellJar keeps one thing told of a jar, if may allows it of the jar as it stands; both
// happen in one piece, so that of two taps one is told no. It gives the jar afterwards.
func (s *Store) TellJar(ctx context.Context, id string, now time.Time, next func(Jar) (shelf.Line, error)) (Jar, error) {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return Jar{}, wrapped("telling of a jar", err)
	}
	defer tx.Rollback()
	j, err := tellJar(ctx, tx, id, now.UnixMilli(), next)
	if err != nil {
		return j, err
	}
	return j, wrapped("telling of a jar", tx.Commit())
}

func tellJar(ctx context.Context, tx *sql.Tx, id string, wallMs int64, next func(Jar) (shelf.Line, error)) (Jar, error) {
	j, lines, err := readJar(ctx, tx, id)
	if err != nil {
		return j, err
	}
	l, err := next(j)
	if err != nil {
		return j, err
	}
	if err := addShelfLine(ctx, tx, id, len(lines)+1, l, wallMs); err != nil {
		return j, wrapped("telling of a jar", err)
	}
	j.Life = shelf.FoldLife(append(slices.Clone(lines), l))
	return j, wrapped("telling of a jar", keepLife(ctx, tx, j))
}

// keepLife keeps how a jar stands beside it.
func keepLife(ctx context.Context, tx *sql.Tx, j Jar) error {
	_, err := tx.ExecContext(ctx, `UPDATE jar SET state = ?, place = ?, until_day = ?, since_day = ?, who = ?, looked_day = ?, recall = ?, hay = ? WHERE id = ?`,
		j.State, j.Place, j.Until, j.Since, j.Who, j.Looked, j.Recall, hay(j), j.ID)
	return err
}

// ChangeJar keeps what is known of a jar anew: all but its life, its load and its id.
func (s *Store) ChangeJar(ctx context.Context, j Jar) error {
	return s.one(ctx, "changing a jar", `UPDATE jar SET what = ?, strength = ?, product = ?, kind = ?, form = ?, jar = ?, canned_day = ?, year_only = ?, made_by = ?, process = ?, source = ?, use_first = ?, note = ?, allergens = ?, hay = ? WHERE id = ?`,
		j.What, j.Strength, j.Product, j.Kind, j.Form, j.Jar, j.Canned, j.YearOnly, j.MadeBy, j.Process, j.Source, j.UseFirst, j.Note, j.Allergens, hay(j), j.ID)
}

const selectLastPlace = `SELECT place FROM jar WHERE state = 'shelf' AND place IN (SELECT id FROM shelf_place) ORDER BY rowid DESC LIMIT 1`

// LastPlace is where a jar was put last; empty where none stands anywhere.
func (s *Store) LastPlace(ctx context.Context) (string, error) {
	ids, err := s.ids(ctx, selectLastPlace)
	if err != nil || len(ids) == 0 {
		return "", err
	}
	return ids[0], nil
}
