package server

import (
	"fmt"
	"slices"

	"mellisca/core/jar"
	"mellisca/core/label"
	"mellisca/core/shelf"
	"mellisca/internal/exchange"
	"mellisca/internal/store"
)

// labelOf is what stands on a jar's label.
func labelOf(j store.Jar, address string) exchange.LabelText {
	number := ""
	if j.Number > 0 {
		number = fmt.Sprintf(", no. %d", j.Number)
	}
	lines := []label.Line{
		{Text: upper(j.What), Pt: 14, Least: 6, Bold: true},
		{Text: j.Strength, Pt: 9, Least: 5.5, Rank: 2},
		{Text: "Canned " + cannedText(j), Pt: 10, Least: 5.5},
		{Text: "Best by " + dateOf(j.Canned+shelf.BestDays).Format("January 2006"), Pt: 9, Least: 5.5, Rank: 1},
	}
	switch j.Process {
	case shelf.OwnBook:
		lines = append(lines, label.Line{Text: "By own source: " + j.Source, Pt: 8, Least: 5.5})
	case shelf.Unknown:
		lines = append(lines, label.Line{Text: "Process not known", Pt: 9, Least: 5.5, Bold: true})
	}
	if j.MadeBy != "" && j.Origin == "present" {
		lines = append(lines, label.Line{Text: "From " + j.MadeBy, Pt: 8, Least: 5.5, Rank: 2})
	}
	if j.Allergens != "" {
		lines = append(lines, label.Line{Text: "Contains " + j.Allergens, Pt: 9, Least: 5.5, Bold: true})
	}
	lines = append(lines, label.Line{Text: "Jar " + j.ID + number, Pt: 9, Least: 5.5}, label.Line{Text: j.Note, Pt: 7.5, Least: 5.5, Rank: 3})
	l := exchange.LabelText{Lines: lines}
	if address != "" {
		l.Link = address + "/shelf/jar/" + j.ID
	}
	return l
}

// boxEnd is what stands on the end of a box: what is in it, most first.
func boxEnd(name string, groups []store.JarGroup, address string) exchange.LabelText {
	l := exchange.LabelText{Lines: []label.Line{{Text: upper(name), Pt: 34, Least: 14, Bold: true}}}
	slices.SortStableFunc(groups, func(a, b store.JarGroup) int { return b.Count - a.Count })
	for i, g := range groups {
		j, _ := jar.Find(g.Jar)
		text := j.Count(g.Count) + " of " + g.What + ", from " + dateOf(g.Oldest).Format("2006")
		if mark := markText(g.Process); mark != "" {
			text += " (" + mark + ")"
		}
		l.Lines = append(l.Lines, label.Line{Text: text, Pt: 18, Least: 9, Rank: 1 + i})
	}
	if address != "" {
		l.Link = address + "/shelf"
	}
	return l
}
