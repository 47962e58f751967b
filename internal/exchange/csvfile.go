package exchange

import (
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"strings"
	"unicode/utf8"
)

// csvFile reads a CSV whose first line names its columns; commas, semicolons or tabs
// part them, and a byte order mark may stand before them.
type csvFile struct {
	in      *csv.Reader
	head    []string // lower case, trimmed
	accepts string   // what a file should be, for problems
}

// openCSV reads the header.
func openCSV(r io.Reader, accepts string) (*csvFile, error) {
	raw, err := io.ReadAll(r)
	if err != nil {
		return nil, fmt.Errorf("reading the file: %w", err)
	}
	if !utf8.Valid(raw) {
		return nil, errors.New("the file is not text in UTF-8; accepted: a CSV saved as UTF-8")
	}
	text := strings.TrimPrefix(string(raw), "\ufeff")
	f := &csvFile{in: csv.NewReader(strings.NewReader(text)), accepts: accepts}
	f.in.Comma = separator(text)
	f.in.TrimLeadingSpace = f.in.Comma != '\t'
	head, err := f.in.Read()
	if err != nil {
		return nil, f.problem(err)
	}
	for _, h := range head {
		f.head = append(f.head, strings.ToLower(strings.TrimSpace(h)))
	}
	return f, nil
}

// column is where a column stands; -1: nowhere.
func (f *csvFile) column(name string) int {
	for i, h := range f.head {
		if h == name {
			return i
		}
	}
	return -1
}

// next reads a row, trimmed, with its line; io.EOF after the last.
func (f *csvFile) next() (row []string, line int, err error) {
	row, err = f.in.Read()
	if errors.Is(err, io.EOF) {
		return nil, 0, io.EOF
	}
	if err != nil {
		return nil, 0, f.problem(err)
	}
	for i := range row {
		row[i] = strings.TrimSpace(row[i])
	}
	line, _ = f.in.FieldPos(0)
	return row, line, nil
}

func (f *csvFile) problem(err error) error {
	var pe *csv.ParseError
	switch {
	case errors.Is(err, io.EOF):
		return errors.New("line 1: the file is empty; accepted: " + f.accepts)
	case errors.As(err, &pe):
		return fmt.Errorf("line %d: %s; what has a comma in it stands in quotes, as in \"3,480 ft\"", pe.Line, strings.TrimPrefix(pe.Err.Error(), "record on line"))
	}
	return err
}

// separator is what parts the columns of the first line.
func separator(text string) rune {
	head, _, _ := strings.Cut(text, "\n")
	for _, c := range []rune{';', '\t'} {
		if strings.ContainsRune(head, c) {
			return c
		}
	}
	return ','
}

func clip(s string) string {
	if len(s) > 60 {
		return strings.ToValidUTF8(s[:60], "") + "…"
	}
	return s
}
