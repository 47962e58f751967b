package server

import (
	"bytes"
	"context"
	"errors"
	"fmt"
	"image/png"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/label"
	"mellisca/core/shelf"
	"mellisca/internal/device"
	"mellisca/internal/exchange"
	"mellisca/internal/store"
)

// LabelQuery says which labels, and on what.
type LabelQuery struct {
	Sheet   string `query:"sheet" maxLength:"40" doc:"of /api/labels"`
	Jars    string `query:"jars" maxLength:"8000" doc:"ids, joined by commas"`
	Load    string `query:"load" maxLength:"40" doc:"all jars of a load"`
	Place   string `query:"place" maxLength:"40" doc:"all jars of a place; with boxes, its end"`
	Words   string `query:"q" maxLength:"200" doc:"all jars in the house that have these words"`
	Boxes   bool   `query:"boxes" doc:"the end of each box or place instead of jars"`
	First   int    `query:"first" minimum:"1" maximum:"400" default:"1" doc:"the first label of the sheet that is still there"`
	Copies  int    `query:"copies" minimum:"1" maximum:"20" default:"1"`
	NoCode  bool   `query:"noCode" doc:"without a code"`
	Outline bool   `query:"outline" doc:"edges to cut along"`
}

type lookBody struct {
	Text     string   `json:"text" doc:"21 labels on 1 sheet"`
	Warnings []string `json:"warnings" nullable:"false"`
}

// mostLabels bounds what is set at once.
const mostLabels = 2000

// labelsFor gathers a sheet and the labels that a query asks for.
func (s *server) labelsFor(ctx context.Context, q LabelQuery, host string) (label.Sheet, []exchange.LabelText, error) {
	own, err := s.store.LabelSheets(ctx)
	if err != nil {
		return label.Sheet{}, nil, s.storeProblem(err, "sheets of labels")
	}
	sheets := slices.Concat(own, usualSheets)
	at := 0
	if q.Sheet != "" {
		if at = slices.IndexFunc(sheets, func(l store.LabelSheet) bool { return l.ID == q.Sheet }); at < 0 {
			return label.Sheet{}, nil, unprocessable([]error{field("query.sheet", "There is no such sheet of labels. Choose another.", q.Sheet)})
		}
	}
	address := ""
	if !q.NoCode {
		if address, err = s.labelAddress(ctx, host); err != nil {
			return label.Sheet{}, nil, s.storeProblem(err, "address")
		}
	}
	var labels []exchange.LabelText
	if q.Boxes {
		labels, err = s.boxEnds(ctx, q.Place, address)
	} else {
		labels, err = s.jarLabels(ctx, q, address)
	}
	if err != nil {
		return label.Sheet{}, nil, err
	}
	if len(labels) == 0 {
		return label.Sheet{}, nil, unprocessable([]error{field("query.jars", "No jar was chosen. Choose some by a word, a place, a load or one by one.", nil)})
	}
	var all []exchange.LabelText
	for _, l := range labels {
		all = append(all, slices.Repeat([]exchange.LabelText{l}, max(1, q.Copies))...)
	}
	if len(all) > mostLabels {
		return label.Sheet{}, nil, unprocessable([]error{field("query.jars", fmt.Sprintf("That is %d labels. Accepted: %d at once.", len(all), mostLabels), nil)})
	}
	return sheets[at].Sheet, all, nil
}

func (s *server) boxEnds(ctx context.Context, place, address string) (all []exchange.LabelText, err error) {
	places, err := s.store.ShelfPlaces(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "place")
	}
	groups, err := s.store.JarGroups(ctx, s.today())
	if err != nil {
		return nil, s.storeProblem(err, "shelf")
	}
	for _, p := range places {
		if place != "" && p.ID != place || place == "" && p.Kind != "box" {
			continue
		}
		all = append(all, boxEnd(p.Name, slices.DeleteFunc(slices.Clone(groups), func(g store.JarGroup) bool { return g.Place != p.ID }), address))
	}
	return all, nil
}

func (s *server) jarLabels(ctx context.Context, q LabelQuery, address string) (all []exchange.LabelText, err error) {
	var jars []store.Jar
	switch {
	case q.Jars != "":
		for _, id := range strings.Split(q.Jars, ",") {
			j, _, err := s.store.Jar(ctx, strings.ToLower(strings.TrimSpace(id)))
			if err != nil {
				return nil, s.storeProblem(err, "jar")
			}
			jars = append(jars, j)
		}
	case q.Load != "":
		jars, err = s.store.JarsOfLoad(ctx, q.Load)
	case q.Place != "" || strings.TrimSpace(q.Words) != "":
		jars, _, err = s.store.FindJars(ctx, store.Find{Words: q.Words, State: string(shelf.Standing), Place: q.Place, Limit: mostLabels + 1})
	}
	if err != nil {
		return nil, s.storeProblem(err, "jar")
	}
	for _, j := range jars {
		all = append(all, labelOf(j, address))
	}
	return all, nil
}

func (s *server) registerLabelFiles(api huma.API, op func(id, method, path, summary string) huma.Operation) {
	huma.Register(api, op("labels-pdf", "GET", "/api/files/labels.pdf", "Labels on their sheets"), func(ctx context.Context, in *struct {
		HostInput
		LabelQuery
	}) (*fileOutput, error) {
		sheet, labels, err := s.labelsFor(ctx, in.LabelQuery, in.Host)
		if err != nil {
			return nil, err
		}
		if in.First > sheet.PerPage() {
			return nil, unprocessable([]error{field("query.first", fmt.Sprintf("This sheet has %d labels. Accepted: 1 to %d.", sheet.PerPage(), sheet.PerPage()), in.First)})
		}
		pdf, err := exchange.LabelsPDF(sheet, in.First-1, labels, in.Outline)
		if err != nil {
			return nil, labelProblem(err)
		}
		return &fileOutput{"application/pdf", `inline; filename="labels.pdf"`, pdf}, nil
	})
	huma.Register(api, op("look-at-labels", "GET", "/api/labels/look", "How many labels that is, and what of the first of them had no room"), func(ctx context.Context, in *struct {
		HostInput
		LabelQuery
	}) (*struct{ Body lookBody }, error) {
		sheet, labels, err := s.labelsFor(ctx, in.LabelQuery, in.Host)
		if err != nil {
			return nil, err
		}
		_, laid, err := exchange.LabelImage(sheet.Shape(), labels[0])
		if err != nil {
			return nil, labelProblem(err)
		}
		last, _, _ := sheet.Place(in.First - 1 + len(labels) - 1)
		b := lookBody{Text: countText(len(labels), "label") + " on " + countText(last+1, "sheet"), Warnings: []string{}}
		for _, t := range laid.Omitted {
			b.Warnings = append(b.Warnings, "No room for: "+clip(t))
		}
		if labels[0].Link != "" && laid.CodeMm == 0 {
			b.Warnings = append(b.Warnings, "No room for a code that a telephone can read.")
		}
		var text strings.Builder
		for _, l := range labels {
			for _, line := range l.Lines {
				text.WriteString(line.Text)
			}
		}
		if missing := exchange.Printable(text.String()); len(missing) > 0 {
			b.Warnings = append(b.Warnings, "Left out, since the letters of labels are Latin, Greek and Cyrillic: "+clip(string(missing)))
		}
		return &struct{ Body lookBody }{b}, nil
	})
	huma.Register(api, op("label-png", "GET", "/api/files/label.png", "The first of the labels, as it will look"), func(ctx context.Context, in *struct {
		HostInput
		LabelQuery
	}) (*fileOutput, error) {
		sheet, labels, err := s.labelsFor(ctx, in.LabelQuery, in.Host)
		if err != nil {
			return nil, err
		}
		img, _, err := exchange.LabelImage(sheet.Shape(), labels[0])
		if err != nil {
			return nil, labelProblem(err)
		}
		var out bytes.Buffer
		if err := png.Encode(&out, img); err != nil {
			return nil, fmt.Errorf("drawing a label: %w", err)
		}
		return &fileOutput{"image/png", `inline; filename="label.png"`, out.Bytes()}, nil
	})
	huma.Register(api, op("print-labels", "POST", "/api/labels/print", "Print labels on the label printer"), func(ctx context.Context, in *struct {
		HostInput
		LabelQuery
	}) (*labelsOutput, error) {
		if in.Sheet == "" {
			in.Sheet = "strip"
		}
		sheet, labels, err := s.labelsFor(ctx, in.LabelQuery, in.Host)
		if err != nil {
			return nil, err
		}
		for i, l := range labels {
			img, _, err := exchange.LabelImage(sheet.Shape(), l)
			if err != nil {
				return nil, labelProblem(&exchange.LabelError{N: i + 1, Text: l.Lines[0].Text, Err: err})
			}
			if err := s.printer.Print(ctx, img); err != nil {
				if errors.Is(err, device.ErrRollEmpty) {
					return nil, huma.Error409Conflict(fmt.Sprintf("The roll is empty: %d of %d labels were printed. Put a new one in and print the rest.", i, len(labels)))
				}
				return nil, fmt.Errorf("printing a label: %w", err)
			}
		}
		return s.labels(ctx, in.Host)
	})
}

// labelProblem says which label is too small for what must stand on it.
func labelProblem(err error) error {
	var le *exchange.LabelError
	if errors.As(err, &le) && errors.Is(err, label.ErrTooSmall) {
		return unprocessable([]error{field("query.sheet", fmt.Sprintf("What must stand on the label of %q does not fit on it: its contents, date, jar, allergens and process. Accepted: a larger label, or fewer words.", clip(le.Text)), nil)})
	}
	if errors.Is(err, label.ErrTooSmall) {
		return unprocessable([]error{field("query.sheet", "What must stand on the label does not fit on it. Accepted: a larger label, or fewer words.", nil)})
	}
	return fmt.Errorf("making labels: %w", err)
}
