package exchange

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"math"
	"slices"
	"strings"

	"mellisca/core/jar"
	"mellisca/core/run"
	"mellisca/core/shelf"
	"mellisca/internal/store"
)

// WholeFormat and WholeVersion stand at the head of a file of everything.
const (
	WholeFormat  = "mellisca-kitchen"
	WholeVersion = 1
)

// WriteWhole writes everything that a kitchen keeps, a row a line. The same kitchen gives
// the same file.
func WriteWhole(ctx context.Context, w io.Writer, s *store.Store) error {
	var b bytes.Buffer
	fmt.Fprintf(&b, "{\n\"format\": %q,\n\"version\": %d,\n\"tables\": {", WholeFormat, WholeVersion)
	first := true
	err := s.Whole(ctx, func(k store.Kept, columns []store.WholeColumn, rows [][]any) error {
		if !first {
			b.WriteByte(',')
		}
		first = false
		fmt.Fprintf(&b, "\n%q: [", k.Table)
		for n, row := range rows {
			if n > 0 {
				b.WriteByte(',')
			}
			b.WriteString("\n{")
			for i, c := range columns {
				if i > 0 {
					b.WriteString(", ")
				}
				value, err := wholeValue(c, row[i])
				if err != nil {
					return fmt.Errorf("writing %s: %w", k.Table, err)
				}
				fmt.Fprintf(&b, "%q: %s", c.Name, value)
			}
			b.WriteByte('}')
		}
		b.WriteByte(']')
		return nil
	})
	if err != nil {
		return err
	}
	b.WriteString("\n}\n}\n")
	_, err = w.Write(b.Bytes())
	return err
}

func wholeValue(c store.WholeColumn, v any) ([]byte, error) {
	if text, ok := v.(string); ok && c.JSON {
		return []byte(text), nil
	}
	var b bytes.Buffer
	e := json.NewEncoder(&b)
	e.SetEscapeHTML(false)
	err := e.Encode(v)
	return bytes.TrimSpace(b.Bytes()), err
}

// Whole is a file of everything, understood.
type Whole struct {
	Tables []store.WholeRows
	lines  map[string][]int64 // where each row starts
	file   *jsonFile
}

// ReadWhole understands a file of everything; tables that it does not have are left as they
// are. What is wrong is said with its line and field.
func ReadWhole(ctx context.Context, raw []byte, s *store.Store) (*Whole, error) {
	f := &jsonFile{raw: raw}
	top, err := f.object(0, raw, "", []string{"$schema", "format", "version", "tables"})
	if err != nil {
		return nil, err
	}
	var format string
	if p, ok := top["format"]; !ok || json.Unmarshal(p.raw, &format) != nil || format != WholeFormat {
		return nil, f.problem(p.at, "format", "this is not a file of a whole kitchen; accepted: \""+WholeFormat+"\"")
	}
	var version int
	if p, ok := top["version"]; !ok || json.Unmarshal(p.raw, &version) != nil || version != WholeVersion {
		return nil, f.problem(p.at, "version", fmt.Sprintf("it is of a version that is not known here; accepted: %d", WholeVersion))
	}
	p, ok := top["tables"]
	if !ok {
		return nil, f.problem(0, "tables", "there are none; accepted: the tables in { }")
	}
	all := store.WholeTables()
	var names []string
	for _, k := range all {
		names = append(names, k.Table)
	}
	tables, err := f.object(p.at, p.raw, "tables", names)
	if err != nil {
		return nil, err
	}
	w := &Whole{lines: map[string][]int64{}, file: f}
	for _, k := range all {
		part, ok := tables[k.Table]
		if !ok {
			continue
		}
		columns, err := s.WholeColumns(ctx, k)
		if err != nil {
			return nil, err
		}
		rows := store.WholeRows{Kept: k, Columns: columns}
		list, err := f.list(part, k.Table)
		if err != nil {
			return nil, err
		}
		for _, e := range list {
			row, err := f.wholeRow(e, k, columns)
			if err != nil {
				return nil, err
			}
			rows.Rows = append(rows.Rows, row)
			w.lines[k.Table] = append(w.lines[k.Table], e.at)
		}
		w.Tables = append(w.Tables, rows)
	}
	return w, nil
}

func (f *jsonFile) wholeRow(e part, k store.Kept, columns []store.WholeColumn) ([]any, error) {
	var names []string
	for _, c := range columns {
		names = append(names, c.Name)
	}
	fields, err := f.object(e.at, e.raw, k.Table, names)
	if err != nil {
		return nil, err
	}
	row := make([]any, len(columns))
	for i, c := range columns {
		where := k.Table + "." + c.Name
		p, ok := fields[c.Name]
		if !ok {
			return nil, f.problem(e.at, where, "it is missing; accepted: "+columnWords(c))
		}
		if row[i], err = readColumn(p.raw, c); err != nil {
			return nil, f.problem(p.at, where, err.Error())
		}
	}
	if err := checkRow(k.Table, columns, row); err != nil {
		return nil, f.problem(e.at, k.Table, err.Error())
	}
	return row, nil
}

func columnWords(c store.WholeColumn) string {
	words := map[string]string{"INTEGER": "a whole number", "REAL": "a number", "TEXT": "a text"}[c.Type]
	if c.JSON {
		words = "an object"
	}
	if c.Nullable {
		words += ", or null"
	}
	return words
}

// readColumn reads a value as its column keeps it.
func readColumn(raw json.RawMessage, c store.WholeColumn) (any, error) {
	wrong := fmt.Errorf("%s is not accepted; accepted: %s", clip(string(raw)), columnWords(c))
	if string(raw) == "null" {
		if !c.Nullable {
			return nil, wrong
		}
		return nil, nil
	}
	switch {
	case c.JSON:
		var b bytes.Buffer
		if raw[0] != '{' || json.Compact(&b, raw) != nil {
			return nil, wrong
		}
		return b.String(), nil
	case c.Type == "INTEGER":
		var n int64
		if json.Unmarshal(raw, &n) != nil {
			return nil, wrong
		}
		return n, nil
	case c.Type == "REAL":
		var x float64
		if json.Unmarshal(raw, &x) != nil || math.IsInf(x, 0) || math.IsNaN(x) {
			return nil, wrong
		}
		return x, nil
	}
	var s string
	if json.Unmarshal(raw, &s) != nil {
		return nil, wrong
	}
	return s, nil
}

// checkRow holds rows that something is worked out of to what the kitchen itself would
// keep.
func checkRow(table string, columns []store.WholeColumn, row []any) error {
	text := func(name string) string {
		i := slices.IndexFunc(columns, func(c store.WholeColumn) bool { return c.Name == name })
		s, _ := row[i].(string)
		return s
	}
	var err error
	strict := func(name string, into any) {
		if e := json.Unmarshal([]byte(text(name)), into); e != nil && err == nil {
			err = fmt.Errorf("%s is not of the right shape: %w", name, e)
		}
	}
	switch table {
	case "batch":
		if _, ok := jar.Find(jar.ID(text("jar"))); !ok {
			return fmt.Errorf("the jar %q is not known here", clip(text("jar")))
		}
	case "jar", "want":
		if _, ok := jar.Find(jar.ID(text("jar"))); !ok {
			return fmt.Errorf("the jar %q is not known here", clip(text("jar")))
		}
	case "canner_load":
		var l run.Load
		if strict("plan", &l); err == nil && (l.Jars < 1 || l.Jars > 100 || l.Minutes < 1) {
			return errors.New("plan: a load has 1 to 100 jars and a time")
		}
	case "day_cook":
		strict("breaks", &store.Breaks{})
	case "jar_line":
		strict("data", &shelf.Told{})
	case "shelf_line":
		strict("data", &shelf.Line{})
	case "stove_line":
		strict("data", &struct{ Told run.Stamp }{})
	}
	return err
}

// Where says a problem of a row that the file itself did not accept by its line.
func (w *Whole) Where(err error) error {
	var re *store.RowError
	if !errors.As(err, &re) {
		return err
	}
	at := int64(0)
	if lines := w.lines[re.Table]; re.Row >= 0 && re.Row < len(lines) {
		at = lines[re.Row]
	}
	return w.file.problem(at, strings.TrimSuffix(re.Table+"."+re.Field, "."), re.Text)
}

// WholeSchema describes the file of everything as JSON Schema.
func WholeSchema(ctx context.Context, s *store.Store) ([]byte, error) {
	tables, order := map[string]any{}, []string{}
	for _, k := range store.WholeTables() {
		columns, err := s.WholeColumns(ctx, k)
		if err != nil {
			return nil, err
		}
		fields, needed := map[string]any{}, []string{}
		for _, c := range columns {
			kind := map[string]string{"INTEGER": "integer", "REAL": "number", "TEXT": "string"}[c.Type]
			if c.JSON {
				kind = "object"
			}
			fields[c.Name] = map[string]any{"type": kind}
			if c.Nullable {
				fields[c.Name] = map[string]any{"type": []string{kind, "null"}}
			}
			needed = append(needed, c.Name)
		}
		tables[k.Table] = map[string]any{"type": "array", "description": k.About, "items": map[string]any{"type": "object", "properties": fields, "required": needed, "additionalProperties": false}}
		order = append(order, k.Table)
	}
	return json.MarshalIndent(map[string]any{
		"$schema": "https://json-schema.org/draft/2020-12/schema", "title": "A whole kitchen",
		"description": "Everything that a kitchen keeps, a row a line. Units stand in the names: mg, um (micrometres), ul (microlitres), cents; days since 1970-01-01 in the kitchen's own calendar; milliseconds since 1970 in UTC. A row that is here already by its id is changed to the one of the file; what was told is never changed.",
		"type":        "object", "required": []string{"format", "version", "tables"}, "additionalProperties": false,
		"properties": map[string]any{
			"$schema": map[string]any{"type": "string"}, "format": map[string]any{"const": WholeFormat}, "version": map[string]any{"const": WholeVersion},
			"tables": map[string]any{"type": "object", "properties": tables, "additionalProperties": false, "description": "In this order: " + strings.Join(order, ", ") + "."},
		},
	}, "", "  ")
}
