// Package exchange writes what the kitchen knows in open formats.
//
//	err := exchange.Tables(os.Stdout, exchange.Text, &altitude)
package exchange

import (
	"encoding/csv"
	"encoding/json"
	"fmt"
	"io"
	"strconv"
	"strings"

	"mellisca/core/guide"
	"mellisca/core/measure"
)

// Format is an open format.
type Format string

// The formats that tables are written in.
const (
	Text Format = "text"
	CSV  Format = "csv"
	JSON Format = "json"
)

// ParseFormat reads "text", "csv" or "json", exactly.
func ParseFormat(s string) (Format, error) {
	switch f := Format(s); f {
	case Text, CSV, JSON:
		return f, nil
	}
	return "", fmt.Errorf("%q is not a format; accepted: text, csv, json", s)
}

// Tables writes every tested row as a guide prints it. Text marks the column
// of the cook's altitude, where one is given.
func Tables(w io.Writer, f Format, altitude *measure.Altitude) error {
	switch f {
	case CSV:
		return tablesCSV(w)
	case JSON:
		return tablesJSON(w)
	}
	return tablesText(w, altitude)
}

var columns = [...]string{"to 1,000", "to 3,000", "to 6,000", "over 6,000"}

func tablesText(w io.Writer, altitude *measure.Altitude) error {
	own := -1
	if altitude != nil {
		own = guide.BandIndex(*altitude)
	}
	src := guide.GuideSource()
	var b strings.Builder
	fmt.Fprintf(&b, "%s (%d). Minutes in boiling water, by altitude in feet.\n%s\n", src.Title, src.Edition, guide.AskToCheck)
	if own >= 0 {
		fmt.Fprintf(&b, "Marked with *: the column for %s.\n", altitude.Text(measure.US))
	}
	for _, p := range guide.Parts() {
		fmt.Fprintf(&b, "\n%s\n%-5s %-11s %9s", p.Name, "pack", "jar", "headspace")
		for i, c := range columns {
			fmt.Fprintf(&b, " %11s%s", c, mark(i == own))
		}
		b.WriteByte('\n')
		for _, r := range p.Rows {
			fmt.Fprintf(&b, "%-5s %-11s %9s", r.Pack, r.Size.ID(), measure.Inches(r.Headspace).Text(measure.US))
			for i, m := range r.Minutes {
				fmt.Fprintf(&b, " %11d%s", m, mark(i == own))
			}
			b.WriteByte('\n')
		}
	}
	_, err := io.WriteString(w, b.String())
	return err
}

func mark(own bool) string {
	if own {
		return "*"
	}
	return " "
}

func tablesCSV(w io.Writer) error {
	out := csv.NewWriter(w)
	if err := out.Write([]string{"product", "pack", "jar", "min_0_1000ft", "min_1001_3000ft", "min_3001_6000ft", "min_above_6000ft", "headspace_in", "guide_part"}); err != nil {
		return err
	}
	for _, r := range guide.Rows() {
		line := []string{string(r.Product), string(r.Pack), string(r.Size.ID())}
		for _, m := range r.Minutes {
			line = append(line, strconv.Itoa(m))
		}
		line = append(line, strconv.FormatFloat(r.Headspace, 'f', -1, 64), r.Part)
		if err := out.Write(line); err != nil {
			return err
		}
	}
	out.Flush()
	return out.Error()
}

type tableRow struct {
	Product         guide.Product `json:"product"`
	Pack            guide.Pack    `json:"pack"`
	Jar             string        `json:"jar"`
	Minutes         guide.Minutes `json:"minutes"`
	HeadspaceInches float64       `json:"headspaceInches"`
	Part            string        `json:"part"`
}

func tablesJSON(w io.Writer) error {
	src := guide.GuideSource()
	doc := struct {
		Title   string     `json:"title"`
		Edition int        `json:"edition"`
		Ask     string     `json:"ask"`
		ToFeet  []*int     `json:"toFeet"`
		Rows    []tableRow `json:"rows"`
	}{Title: src.Title, Edition: src.Edition, Ask: guide.AskToCheck}
	for _, b := range guide.Bands() {
		doc.ToFeet = append(doc.ToFeet, b.ToFt)
	}
	for _, r := range guide.Rows() {
		doc.Rows = append(doc.Rows, tableRow{r.Product, r.Pack, string(r.Size.ID()), r.Minutes, r.Headspace, r.Part})
	}
	enc := json.NewEncoder(w)
	enc.SetIndent("", "  ")
	return enc.Encode(doc)
}
