package exchange

import (
	"errors"
	"fmt"
	"io"
	"strings"

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
	file, err := openCSV(r, "a header with the columns name and altitude, then a place a line")
	if err != nil {
		return nil, err
	}
	name, altitude := file.column("name"), file.column("altitude")
	if name < 0 || altitude < 0 {
		return nil, fmt.Errorf("line 1: the header is %q; accepted: one with the columns name and altitude", clip(strings.Join(file.head, ", ")))
	}
	var places []Place
	seen := map[string]int{}
	for {
		row, line, err := file.next()
		if errors.Is(err, io.EOF) {
			break
		}
		if err != nil {
			return nil, err
		}
		p := Place{Name: row[name]}
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
