package exchange

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"slices"
	"strings"
)

// part is a value of a JSON file and where it starts.
type part struct {
	raw json.RawMessage
	at  int64
}

// jsonFile reads JSON with the place of every value, so that a problem can name
// its line.
type jsonFile struct{ raw []byte }

func (f *jsonFile) problem(at int64, field, text string) error {
	line := 1 + bytes.Count(f.raw[:min(int(at), len(f.raw))], []byte("\n"))
	if field == "" {
		return fmt.Errorf("line %d: %s", line, text)
	}
	return fmt.Errorf("line %d, %s: %s", line, field, text)
}

// object takes an object apart; at is where raw starts in the file.
func (f *jsonFile) object(at int64, raw []byte, where string, known []string) (map[string]part, error) {
	d := json.NewDecoder(bytes.NewReader(raw))
	open, err := d.Token()
	if err != nil || open != json.Delim('{') {
		return nil, f.syntax(at, d, err, where, "it is not an object; accepted: fields in { }")
	}
	fields := map[string]part{}
	for d.More() {
		key, err := d.Token()
		name, ok := key.(string)
		if err != nil || !ok {
			return nil, f.syntax(at, d, err, where, "a field is not well formed")
		}
		here := at + d.InputOffset()
		full := strings.TrimPrefix(where+"."+name, ".")
		if !slices.Contains(known, name) {
			return nil, f.problem(here, full, "it is not a field; accepted: "+strings.Join(known, ", "))
		}
		if _, twice := fields[name]; twice {
			return nil, f.problem(here, full, "it stands there twice")
		}
		p, err := f.value(at, d)
		if err != nil {
			return nil, f.syntax(at, d, err, full, "")
		}
		fields[name] = p
	}
	if _, err := d.Token(); err != nil {
		return nil, f.syntax(at, d, err, where, "")
	}
	if _, err := d.Token(); !errors.Is(err, io.EOF) {
		return nil, f.problem(at+d.InputOffset(), where, "something follows the end")
	}
	return fields, nil
}

// list takes a list apart; name is that of its field.
func (f *jsonFile) list(p part, name string) ([]part, error) {
	d := json.NewDecoder(bytes.NewReader(p.raw))
	if open, err := d.Token(); err != nil || open != json.Delim('[') {
		return nil, f.problem(p.at, name, "it is not a list; accepted: "+name+" in [ ]")
	}
	var all []part
	for d.More() {
		e, err := f.value(p.at, d)
		if err != nil {
			return nil, f.syntax(p.at, d, err, name, "")
		}
		all = append(all, e)
	}
	return all, nil
}

// value reads the next value with its place; the place of a text or number is
// found by its end.
func (f *jsonFile) value(at int64, d *json.Decoder) (part, error) {
	var v json.RawMessage
	if err := d.Decode(&v); err != nil {
		return part{}, err
	}
	return part{v, at + d.InputOffset() - int64(len(v))}, nil
}

func (f *jsonFile) syntax(at int64, d *json.Decoder, err error, where, otherwise string) error {
	var se *json.SyntaxError
	switch {
	case errors.As(err, &se):
		return f.problem(at+se.Offset, where, "it is not well-formed JSON: "+se.Error())
	case errors.Is(err, io.ErrUnexpectedEOF), errors.Is(err, io.EOF):
		return f.problem(int64(len(f.raw)), where, "the file ends in the middle")
	case err != nil:
		return f.problem(at+d.InputOffset(), where, err.Error())
	}
	return f.problem(at+d.InputOffset(), where, otherwise)
}
