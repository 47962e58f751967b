package server

import (
	"context"
	"fmt"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/jar"
	"mellisca/core/measure"
	"mellisca/core/shelf"
	"mellisca/internal/exchange"
	"mellisca/internal/store"
)

func pdfOutput(d exchange.Document, name string) (*fileOutput, error) {
	pdf, err := d.PDF()
	if err != nil {
		return nil, err
	}
	return &fileOutput{"application/pdf", `inline; filename="` + name + `"`, pdf}, nil
}

func (s *server) registerPaper(api huma.API) {
	op := func(id, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: "GET", Path: path, Summary: summary, Errors: []int{404, 422}}
	}
	huma.Register(api, op("batch-pdf", "/api/files/batches/{id}/card.pdf", "The card of a saved batch, to be laid beside the stove"), func(ctx context.Context, in *BatchID) (*fileOutput, error) {
		b, err := s.store.Batch(ctx, in.ID)
		if err != nil {
			return nil, s.storeProblem(err, "batch")
		}
		k, units, err := s.kitchenNow(ctx)
		if err != nil {
			return nil, err
		}
		p, err := batch.Make(b.Request, k)
		if err != nil {
			return nil, err
		}
		kitchen, err := s.store.Kitchen(ctx)
		if err != nil {
			return nil, s.storeProblem(err, "kitchen")
		}
		return pdfOutput(cardOf(planAnswer(b.Request, p, k), b.Note, kitchen.Name, units == measure.Metric), "batch.pdf")
	})
	huma.Register(api, op("shelf-pdf", "/api/files/shelf.pdf", "All that stands on the shelf, place by place, to be ticked off"), func(ctx context.Context, in *struct {
		Every bool `query:"every" doc:"every jar with its letters, instead of like ones together"`
	}) (*fileOutput, error) {
		k, err := s.store.Kitchen(ctx)
		if err != nil {
			return nil, s.storeProblem(err, "kitchen")
		}
		d, err := s.shelfDocument(ctx, in.Every)
		if err != nil {
			return nil, err
		}
		d.Metric = k.Units == measure.Metric
		return pdfOutput(d, "shelf.pdf")
	})
}

// cardOf is the card of a plan. Nothing on it is worked out here.
func cardOf(p planBody, note, kitchen string, metric bool) exchange.Document {
	d := exchange.Document{Title: upper(p.Headline), Metric: metric}
	d.Lead = strings.Join(nonEmpty(kitchen, p.Altitude, note), ". ")
	if t := p.Time; t != nil {
		how := "in boiling water, from the hard boil"
		if p.Request.Method == "steam" {
			how = "in steam, from pure steam at the vent"
		}
		d.Big, d.BigBy = fmt.Sprintf("%d min", t.Minutes), how+", for "+t.Band+". Headspace "+t.Headspace+"."
		if t.Water != "" {
			d.BigBy += " " + t.Water + " of water over the jars."
		}
		if t.SterileMinutes > 0 {
			d.BigBy += fmt.Sprintf(" Jars boiled empty %d min first.", t.SterileMinutes)
		}
		if t.Acid != "" {
			d.BigBy += " " + t.Acid + "."
		}
		d.Foot = "Source of the time: " + t.Source + ". The current printed guide and the local food-safety service go before it."
		if t.Own {
			d.Foot = "Own source of the time, not a tested row: " + t.Source + "."
		}
	} else {
		d.Big = "No time"
		for _, r := range p.Reasons {
			d.BigBy += r.Text + " "
		}
		for _, m := range p.Missing {
			d.BigBy += m.Text + " "
		}
	}
	add := func(heading string, lines ...string) {
		if lines = nonEmpty(lines...); len(lines) > 0 {
			d.Blocks = append(d.Blocks, exchange.Block{Heading: heading, Lines: lines})
		}
	}
	if j := p.Jars; j != nil {
		text := j.Text
		if p.Fruit != nil {
			text += " from " + p.Fruit.Text + " of fruit"
		}
		add("Jars", upper(text)+".", p.Canner.Text, j.Range)
	}
	if l := p.Liquid; l != nil {
		add(upper(l.Name), append(measureLines(l.Measures), l.Total+" in all, "+l.PerJar+" a jar.")...)
	}
	if r := p.Recipe; r != nil {
		add(r.Title, measureLines(r.Ingredients)...)
	}
	add("Prepare", p.Prepare...)
	add("In each jar", p.InEachJar...)
	var cautions []string
	for _, c := range p.Cautions {
		cautions = append(cautions, c.Text)
	}
	add("Good to know", cautions...)
	return d
}

func measureLines(all []measureBody) (lines []string) {
	for _, m := range all {
		line := m.Name + ": " + m.Amount
		if m.Beside != "" {
			line += " (" + m.Beside + ")"
		}
		lines = append(lines, line)
	}
	return lines
}

func nonEmpty(all ...string) (some []string) {
	for _, t := range all {
		if strings.TrimSpace(t) != "" {
			some = append(some, t)
		}
	}
	return some
}

// shelfDocument is the shelf on paper.
func (s *server) shelfDocument(ctx context.Context, every bool) (exchange.Document, error) {
	today := s.today()
	places, err := s.store.ShelfPlaces(ctx)
	if err != nil {
		return exchange.Document{}, s.storeProblem(err, "shelf")
	}
	here, err := s.store.JarsHere(ctx)
	if err != nil {
		return exchange.Document{}, s.storeProblem(err, "shelf")
	}
	groups, err := s.store.JarGroups(ctx, today)
	if err != nil {
		return exchange.Document{}, s.storeProblem(err, "shelf")
	}
	d := exchange.Document{Title: "The shelf", Lead: "As it stood on " + dateOf(today).Format("2 January 2006") + ": " + whereText(here) + "."}
	for _, p := range append(places, store.ShelfPlace{Name: "No place said"}) {
		b := exchange.Block{Heading: upper(p.Name)}
		if every {
			b.Columns = []exchange.Column{{Part: 0.6, Tick: true}, {Name: "Jar", Part: 1.4}, {Name: "What", Part: 5}, {Name: "In a", Part: 1.6}, {Name: "Canned", Part: 2.6}, {Name: "Best by", Part: 2.4}}
			for _, j := range here {
				if j.Place == p.ID && j.State == shelf.Standing {
					of, _ := jar.Find(j.Jar)
					b.Rows = append(b.Rows, []string{"", j.ID, wordsOf(j.What, j.Strength, markText(j.Process), j.Note), of.One, cannedText(j), dateOf(j.Canned + shelf.BestDays).Format("January 2006")})
				}
			}
		} else {
			b.Columns = []exchange.Column{{Part: 0.6, Tick: true}, {Name: "How many", Part: 2}, {Name: "What", Part: 6}, {Name: "Oldest", Part: 2.4}, {Name: "To know", Part: 3}}
			for _, g := range groups {
				if g.Place == p.ID {
					of, _ := jar.Find(g.Jar)
					var know []string
					if g.UseFirst > 0 {
						know = append(know, fmt.Sprintf("%d to use first", g.UseFirst))
					}
					if g.Past > 0 {
						know = append(know, fmt.Sprintf("%d past their best", g.Past))
					}
					b.Rows = append(b.Rows, []string{"", of.Count(g.Count), wordsOf(g.What, g.Strength), dateOf(g.Oldest).Format("January 2006"), wordsOf(append(know, markText(g.Process))...)})
				}
			}
		}
		if len(b.Rows) > 0 {
			d.Blocks = append(d.Blocks, b)
		}
	}
	var apart []string
	for _, j := range here {
		if j.State != shelf.Standing {
			text, _ := lifeText(j, today, placeNames(places))
			apart = append(apart, upper(wordsOf(j.What, "jar "+j.ID))+": "+text+".")
		}
	}
	if len(apart) > 0 {
		d.Blocks = append(d.Blocks, exchange.Block{Heading: "Open, cold or called back", Lines: apart})
	}
	return d, nil
}

func wordsOf(all ...string) string { return strings.Join(nonEmpty(all...), ", ") }
