package exchange

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"strings"

	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Source is an own source with the id that it is kept under; docs/own-sources.schema.json
// describes the file.
type Source struct {
	ID      string
	Retired bool
	Source  guide.OwnSource
}

// SourcesFormat names the file, and its version.
const SourcesFormat = "mellisca-own-sources/1"

// mostSources bounds a file.
const mostSources = 2000

type sourceLine struct {
	ID        string `json:"id,omitempty"`
	Name      string `json:"name"`
	Title     string `json:"title"`
	Year      int    `json:"year"`
	Page      string `json:"page"`
	Product   string `json:"product"`
	Kind      string `json:"kind"`
	Form      string `json:"form"`
	Pack      string `json:"pack"`
	Largest   string `json:"largest"`
	Minutes   int    `json:"minutes"`
	Additions []int  `json:"additions"`
	Headspace string `json:"headspace"`
	Acid      string `json:"acid"`
	Retired   bool   `json:"retired"`
}

// required are the fields that every source must have.
var required = []string{"name", "title", "year", "page", "pack", "largest", "minutes", "headspace"}

// WriteSources writes own sources as JSON; ReadSources reads it back.
func WriteSources(w io.Writer, all []Source) error {
	file := struct {
		Format  string       `json:"format"`
		Sources []sourceLine `json:"sources"`
	}{SourcesFormat, []sourceLine{}}
	for _, s := range all {
		o := s.Source
		file.Sources = append(file.Sources, sourceLine{
			s.ID, o.Name, o.Title, o.Year, o.Page, string(o.Product), string(o.Kind), string(o.Form), string(o.Pack), string(o.Largest.ID()),
			o.Minutes, o.Additions[:], measure.Inches(o.Headspace).String(), o.Acid, s.Retired,
		})
	}
	e := json.NewEncoder(w)
	e.SetEscapeHTML(false)
	e.SetIndent("", "  ")
	return e.Encode(file)
}

// ReadSources reads a file of own sources. A file with anything wrong is refused
// whole, with line, source and field.
func ReadSources(r io.Reader) ([]Source, error) {
	raw, err := io.ReadAll(r)
	if err != nil {
		return nil, fmt.Errorf("reading the file: %w", err)
	}
	f := &jsonFile{raw: raw}
	top, err := f.object(0, raw, "", []string{"format", "sources", "$schema"})
	if err != nil {
		return nil, err
	}
	format, ok := top["format"]
	if !ok || string(format.raw) != `"`+SourcesFormat+`"` {
		return nil, f.problem(format.at, "format", fmt.Sprintf("it is %s; accepted: %q", orMissing(format.raw), SourcesFormat))
	}
	list, ok := top["sources"]
	if !ok {
		return nil, f.problem(0, "sources", "it is missing; accepted: a list of sources, which may be empty")
	}
	elements, err := f.list(list, "sources")
	if err != nil {
		return nil, err
	}
	if len(elements) > mostSources {
		return nil, f.problem(list.at, "sources", fmt.Sprintf("there are %d; accepted: %d", len(elements), mostSources))
	}
	all := []Source{}
	ids := map[string]int{}
	for i, e := range elements {
		s, err := f.source(e, fmt.Sprintf("sources[%d]", i))
		if err != nil {
			return nil, err
		}
		if s.ID != "" {
			if before, twice := ids[s.ID]; twice {
				return nil, f.problem(e.at, fmt.Sprintf("sources[%d].id", i), fmt.Sprintf("%q is that of sources[%d] too; accepted: each id once", clip(s.ID), before))
			}
			ids[s.ID] = i
		}
		all = append(all, s)
	}
	return all, nil
}

// source reads one, strictly: every field known, of its type, and the whole of it
// something that may be kept.
func (f *jsonFile) source(e part, where string) (Source, error) {
	fields, err := f.object(e.at, e.raw, where, []string{
		"id", "name", "title", "year", "page", "product", "kind", "form", "pack", "largest", "minutes", "additions", "headspace", "acid", "retired",
	})
	if err != nil {
		return Source{}, err
	}
	for _, name := range required {
		if _, ok := fields[name]; !ok {
			return Source{}, f.problem(e.at, where+"."+name, "it is missing")
		}
	}
	var l sourceLine
	into := map[string]any{
		"id": &l.ID, "name": &l.Name, "title": &l.Title, "year": &l.Year, "page": &l.Page, "product": &l.Product, "kind": &l.Kind, "form": &l.Form,
		"pack": &l.Pack, "largest": &l.Largest, "minutes": &l.Minutes, "additions": &l.Additions, "headspace": &l.Headspace, "acid": &l.Acid, "retired": &l.Retired,
	}
	for name, p := range fields {
		if bytes.Equal(p.raw, []byte("null")) {
			return Source{}, f.problem(p.at, where+"."+name, "it is null; leave out what there is not")
		}
		if err := json.Unmarshal(p.raw, into[name]); err != nil {
			return Source{}, f.problem(p.at, where+"."+name, "it is "+clip(string(p.raw))+"; accepted: "+accepted(into[name]))
		}
	}
	at := func(name string) int64 {
		if p, ok := fields[name]; ok {
			return p.at
		}
		return e.at
	}
	if l.ID != "" && (len(l.ID) < 8 || len(l.ID) > 40 || strings.Trim(l.ID, "abcdefghijklmnopqrstuvwxyz0123456789-") != "") {
		return Source{}, f.problem(at("id"), where+".id", "accepted: 8 to 40 small letters, digits and hyphens, or leave it out")
	}
	if n := len(l.Additions); n != 0 && n != 4 {
		return Source{}, f.problem(at("additions"), where+".additions", "accepted: four numbers, from 1,001, 3,001, 6,001 and 8,001 ft, or leave it out")
	}
	space, err := measure.ParseLength(l.Headspace)
	if err != nil {
		return Source{}, f.problem(at("headspace"), where+".headspace", err.Error())
	}
	o := guide.OwnSource{
		Name: l.Name, Title: l.Title, Year: l.Year, Page: l.Page, Product: guide.Product(l.Product), Kind: guide.Kind(l.Kind), Form: guide.Form(l.Form),
		Pack: guide.Pack(l.Pack), Minutes: l.Minutes, Headspace: space.Inches(), Acid: l.Acid,
	}
	copy(o.Additions[:], l.Additions)
	if j, ok := jar.Find(jar.ID(l.Largest)); ok && j.ID == j.TestedAs.ID() {
		o.Largest = j.TestedAs
	}
	if ps := o.Check(); len(ps) > 0 {
		return Source{}, f.problem(at(ps[0].Field), where+"."+ps[0].Field, "accepted: "+ps[0].Accepts)
	}
	return Source{l.ID, l.Retired, o}, nil
}

func accepted(into any) string {
	switch into.(type) {
	case *int:
		return "a whole number"
	case *bool:
		return "true or false"
	case *[]int:
		return "a list of four whole numbers"
	}
	return "a text in quotes"
}

func orMissing(raw []byte) string {
	if raw == nil {
		return "missing"
	}
	return clip(string(raw))
}
