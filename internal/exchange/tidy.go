package exchange

import (
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"slices"
	"strconv"
	"strings"
	"time"
	"unicode/utf8"
)

// column is one of a CSV that goes out and comes in again.
type column[T any] struct {
	name string
	get  func(T) string
	set  func(*T, string) error // whose error says what would be accepted
}

// harmless keeps a spreadsheet from running a cell: one that begins like a formula, or like
// the mark that is put before such, gets an apostrophe.
func harmless(cell string) string {
	if cell != "" && strings.ContainsRune("=+-@'\t\r", rune(cell[0])) {
		return "'" + cell
	}
	return cell
}

// asItWas takes that apostrophe off again.
func asItWas(cell string) string {
	if len(cell) > 1 && cell[0] == '\'' && strings.ContainsRune("=+-@'\t\r", rune(cell[1])) {
		return cell[1:]
	}
	return cell
}

// writeTidy writes a header and a row for each. Line ends within a cell are plain ones.
func writeTidy[T any](columns []column[T], all []T) ([]byte, error) {
	var b bytes.Buffer
	w := csv.NewWriter(&b)
	row := make([]string, len(columns))
	for i, c := range columns {
		row[i] = c.name
	}
	if err := w.Write(row); err != nil {
		return nil, err
	}
	for _, v := range all {
		for i, c := range columns {
			row[i] = harmless(strings.ReplaceAll(strings.ReplaceAll(c.get(v), "\r\n", "\n"), "\r", "\n"))
		}
		if err := w.Write(row); err != nil {
			return nil, err
		}
	}
	w.Flush()
	return b.Bytes(), w.Error()
}

// mostTidy bounds a file.
const mostTidy = 100_000

// readTidy reads what writeTidy wrote, or a spreadsheet after it: the columns in any order,
// parted by commas, semicolons or tabs. needed are those that must be there; what is
// wrong is said with its line and column. It gives each row's line as well.
func readTidy[T any](raw []byte, columns []column[T], needed ...string) (all []T, lines []int, err error) {
	if !utf8.Valid(raw) {
		return nil, nil, errors.New("the file is not text in UTF-8; accepted: a CSV saved as UTF-8")
	}
	text := strings.TrimPrefix(string(raw), "\ufeff")
	f := &csvFile{in: csv.NewReader(strings.NewReader(text)), accepts: "a header with the columns " + strings.Join(needed, ", ")}
	f.in.Comma = separator(text)
	head, err := f.in.Read()
	if err != nil {
		return nil, nil, f.problem(err)
	}
	at := make([]int, len(head))
	for i, h := range head {
		h = strings.ToLower(strings.TrimSpace(h))
		if at[i] = slices.IndexFunc(columns, func(c column[T]) bool { return c.name == h }); at[i] < 0 {
			return nil, nil, fmt.Errorf("line 1, %s: no such column is known; accepted: %s", clip(h), strings.Join(tidyNames(columns), ", "))
		}
		if slices.Contains(at[:i], at[i]) {
			return nil, nil, fmt.Errorf("line 1, %s: the column stands there twice", h)
		}
	}
	for _, name := range needed {
		if !slices.ContainsFunc(at, func(i int) bool { return columns[i].name == name }) {
			return nil, nil, fmt.Errorf("line 1: no column is called %s; accepted: a header with %s", name, strings.Join(needed, ", "))
		}
	}
	for {
		row, err := f.in.Read()
		if errors.Is(err, io.EOF) {
			return all, lines, nil
		}
		if err != nil {
			return nil, nil, f.problem(err)
		}
		line, _ := f.in.FieldPos(0)
		var v T
		for i, cell := range row {
			if err := columns[at[i]].set(&v, asItWas(cell)); err != nil {
				return nil, nil, fmt.Errorf("line %d, %s: %w", line, columns[at[i]].name, err)
			}
		}
		if all, lines = append(all, v), append(lines, line); len(all) > mostTidy {
			return nil, nil, fmt.Errorf("line %d: the file is too long; accepted: %d rows", line, mostTidy)
		}
	}
}

func tidyNames[T any](columns []column[T]) (names []string) {
	for _, c := range columns {
		names = append(names, c.name)
	}
	return names
}

// notAccepted is an error that says what a cell was and what it may be.
func notAccepted(cell, what string) error {
	return fmt.Errorf("%q is not understood; accepted: %s", clip(cell), what)
}

// textColumn is a text of up to so many letters.
func textColumn[T any](name string, most int, at func(*T) *string) column[T] {
	return column[T]{name, func(v T) string { return *at(&v) }, func(v *T, cell string) error {
		if utf8.RuneCountInString(cell) > most {
			return fmt.Errorf("it is too long; accepted: up to %d letters", most)
		}
		*at(v) = cell
		return nil
	}}
}

// numberColumn is a whole number from one to another; empty is 0 where that is among them.
func numberColumn[T any, N ~int | ~int64](name string, from, to N, at func(*T) *N) column[T] {
	return column[T]{name, func(v T) string { return strconv.FormatInt(int64(*at(&v)), 10) }, func(v *T, cell string) error {
		if cell == "" && from <= 0 {
			return nil
		}
		n, err := strconv.ParseInt(strings.TrimSpace(cell), 10, 64)
		if err != nil || N(n) < from || N(n) > to {
			return notAccepted(cell, fmt.Sprintf("a whole number from %d to %d", from, to))
		}
		*at(v) = N(n)
		return nil
	}}
}

// boolColumn is yes or no; empty is no.
func boolColumn[T any](name string, at func(*T) *bool) column[T] {
	return column[T]{name, func(v T) string {
		if *at(&v) {
			return "yes"
		}
		return "no"
	}, func(v *T, cell string) error {
		switch strings.ToLower(strings.TrimSpace(cell)) {
		case "yes", "true", "1":
			*at(v) = true
		case "no", "false", "0", "":
		default:
			return notAccepted(cell, "yes or no")
		}
		return nil
	}}
}

// oneOfColumn is one of some words.
func oneOfColumn[T any, S ~string](name string, at func(*T) *S, words ...S) column[T] {
	return column[T]{name, func(v T) string { return string(*at(&v)) }, func(v *T, cell string) error {
		word := S(strings.ToLower(strings.TrimSpace(cell)))
		if !slices.Contains(words, word) {
			var all []string
			for _, w := range words {
				all = append(all, string(w))
			}
			return notAccepted(cell, strings.Join(all, ", "))
		}
		*at(v) = word
		return nil
	}}
}

// dayColumn is a day of the kitchen's calendar; 0 is empty.
func dayColumn[T any, D ~int](name string, at func(*T) *D) column[T] {
	return column[T]{name, func(v T) string { return dayCell(*at(&v)) }, func(v *T, cell string) error {
		if cell == "" {
			return nil
		}
		t, ok := dayNamed(cell)
		if !ok || t.Year() < 1800 || t.Year() > 2200 {
			return notAccepted(cell, "a day as 2026-08-14")
		}
		*at(v) = D(t.Unix() / 86_400)
		return nil
	}}
}

func dayCell[D ~int](d D) string {
	if d == 0 {
		return ""
	}
	return time.Unix(int64(d)*86_400, 0).UTC().Format(time.DateOnly)
}

// momentColumn is a moment to the millisecond, in UTC; the zero time is empty.
func momentColumn[T any](name string, at func(*T) *time.Time) column[T] {
	const layout = "2006-01-02T15:04:05.000Z"
	return column[T]{name, func(v T) string {
		if at(&v).IsZero() {
			return ""
		}
		return at(&v).UTC().Format(layout)
	}, func(v *T, cell string) error {
		if cell == "" {
			return nil
		}
		t, err := time.Parse(time.RFC3339Nano, strings.TrimSpace(cell))
		if err != nil || t.Year() < 1970 || t.Year() > 2200 {
			return notAccepted(cell, "a moment as 2026-08-14T12:00:00Z")
		}
		*at(v) = t.UTC().Truncate(time.Millisecond)
		return nil
	}}
}
