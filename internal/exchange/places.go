package exchange

import (
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"strings"
	"unicode/utf8"

	"mellisca/core/measure"
)

// Place is somewhere with its altitude.
type Place struct {
	Name     string
	Altitude measure.Altitude
}

// mostPlaces bounds a file.
const mostPlaces = 5000

// ReadPlaces reads a CSV of places: a header with the columns name and altitude,
// in either order and with others beside them, then a place a line, such as
//
//	name,altitude
//	Corvane,"3,480 ft"
//
// Semicolons and tabs may stand for the commas. A file with anything wrong is
// refused whole, with line and column.
func ReadPlaces(r io.Reader) ([]Place, error) {
	raw, err := io.ReadAll(r)
	if err != nil {
		return nil, fmt.Errorf("reading the file: %w", err)
	}
	if !utf8.Valid(raw) {
		return nil, errors.New("the file is not text in UTF-8; accepted: a CSV saved as UTF-8")
	}
	text := strings.TrimPrefix(string(raw), "\ufeff")
	in := csv.NewReader(strings.NewReader(text))
	in.Comma = separator(text)
	in.TrimLeadingSpace = in.Comma != '\t'
	head, err := in.Read()
	if err != nil {
		return nil, csvProblem(err)
	}
	name, altitude := -1, -1
	for i, h := range head {
		switch strings.ToLower(strings.TrimSpace(h)) {
		case "name":
			name = i
		case "altitude":
			altitude = i
		}
	}
	if name < 0 || altitude < 0 {
		return nil, fmt.Errorf("line 1: the header is %q; accepted: one with the columns name and altitude", strings.Join(head, ", "))
	}
	var places []Place
	seen := map[string]int{}
	for {
		row, err := in.Read()
		if errors.Is(err, io.EOF) {
			break
		}
		if err != nil {
			return nil, csvProblem(err)
		}
		line, _ := in.FieldPos(name)
		p := Place{Name: strings.TrimSpace(row[name])}
		if p.Name == "" || len(p.Name) > 80 {
			return nil, fmt.Errorf("line %d, name: %q; accepted: 1 to 80 letters", line, clip(p.Name))
		}
		if at, twice := seen[strings.ToLower(p.Name)]; twice {
			return nil, fmt.Errorf("line %d, name: %q stands on line %d already; accepted: each place once", line, clip(p.Name), at)
		}
		seen[strings.ToLower(p.Name)] = line
		if p.Altitude, err = measure.ParseAltitude(row[altitude]); err != nil {
			return nil, fmt.Errorf("line %d, altitude: %w", line, err)
		}
		if places = append(places, p); len(places) > mostPlaces {
			return nil, fmt.Errorf("line %d: the file is too long; accepted: %d places", line, mostPlaces)
		}
	}
	if len(places) == 0 {
		return nil, errors.New("line 2: there is no place; accepted: a place a line after the header")
	}
	return places, nil
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

func csvProblem(err error) error {
	var pe *csv.ParseError
	switch {
	case errors.Is(err, io.EOF):
		return errors.New("line 1: the file is empty; accepted: a header with the columns name and altitude, then a place a line")
	case errors.As(err, &pe):
		return fmt.Errorf("line %d: %s; an altitude with a comma in it stands in quotes, as in \"3,480 ft\"", pe.Line, strings.TrimPrefix(pe.Err.Error(), "record on line"))
	}
	return err
}

func clip(s string) string {
	if len(s) > 60 {
		return strings.ToValidUTF8(s[:60], "") + "…"
	}
	return s
}
