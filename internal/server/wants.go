package server

import (
	"context"
	"fmt"
	"math"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/shelf"
	"mellisca/internal/store"
)

// WantFields is how much of something is wanted in a year.
type WantFields struct {
	For     string `json:"for" enum:"household,guests,gifts"`
	Product string `json:"product" maxLength:"60"`
	Form    string `json:"form,omitempty" required:"false" maxLength:"40" doc:"any where left out"`
	Jar     string `json:"jar" maxLength:"40"`
	Count   int    `json:"count" minimum:"1" maximum:"5000" doc:"jars in a year, or by the day"`
	By      string `json:"by,omitempty" required:"false" maxLength:"10" doc:"2026-12-20; through the year where left out"`
	Note    string `json:"note,omitempty" required:"false" maxLength:"200"`
}

type wantBody struct {
	ID string `json:"id"`
	WantFields
	Name    string  `json:"name" doc:"what is wanted, in words"`
	Whom    string  `json:"whom" doc:"for whom and by when"`
	Want    string  `json:"want" doc:"24 quarts"`
	Have    string  `json:"have"`
	Part    float64 `json:"part" doc:"0 to 1, of what is wanted"`
	Short   string  `json:"short" doc:"empty where there is enough"`
	Over    string  `json:"over" doc:"what nobody wants; empty where there is none"`
	Apart   string  `json:"apart" doc:"like jars that are not counted, and why; empty where there are none"`
	NextPut int     `json:"nextPut"`
}

type putUpBody struct {
	Name   string `json:"name"`
	Text   string `json:"text" doc:"24 quarts"`
	Fruit  string `json:"fruit" doc:"about how much fruit that takes; empty where that is not known"`
	When   string `json:"when" doc:"its next season"`
	Amount string `json:"amount" doc:"for the sentence of a batch"`
	Jar    string `json:"jar"`
	// Product and Form open a batch.
	Product string `json:"product"`
	Form    string `json:"form"`
}

type wantsBody struct {
	Wants   []wantBody  `json:"wants" nullable:"false"`
	Next    []putUpBody `json:"next" nullable:"false" doc:"the next season's list, in the order of the seasons"`
	Nobody  []string    `json:"nobody" nullable:"false" doc:"what is on the shelf and nobody wants"`
	Explain string      `json:"explain"`
}

type wantsOutput struct{ Body wantsBody }

func (s *server) registerWants(api huma.API) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 422}}
	}
	huma.Register(api, op("wants", "GET", "/api/wants", "What is wanted, what there is of it, and the next season's list"), func(ctx context.Context, _ *struct{}) (*wantsOutput, error) {
		return s.wants(ctx)
	})
	keep := func(ctx context.Context, id string, f WantFields) (*wantsOutput, error) {
		w, problems := s.readWant(f)
		if len(problems) > 0 {
			return nil, unprocessable(problems)
		}
		w.ID = id
		if err := s.store.KeepWant(ctx, w, f.Note); err != nil {
			return nil, s.storeProblem(err, "want")
		}
		return s.wants(ctx)
	}
	huma.Register(api, op("add-want", "POST", "/api/wants", "Add something that is wanted"), func(ctx context.Context, in *struct{ Body WantFields }) (*wantsOutput, error) {
		return keep(ctx, "", in.Body)
	})
	huma.Register(api, op("change-want", "PUT", "/api/wants/{id}", "Change what is wanted"), func(ctx context.Context, in *struct {
		PotID
		Body WantFields
	}) (*wantsOutput, error) {
		return keep(ctx, in.ID, in.Body)
	})
	huma.Register(api, op("remove-want", "DELETE", "/api/wants/{id}", "Want it no more"), func(ctx context.Context, in *PotID) (*wantsOutput, error) {
		if err := s.store.RemoveWant(ctx, in.ID); err != nil {
			return nil, s.storeProblem(err, "want")
		}
		return s.wants(ctx)
	})
}

func (s *server) readWant(f WantFields) (w shelf.Wish, problems []error) {
	w = shelf.Wish{For: shelf.For(f.For), Product: f.Product, Form: f.Form, Jar: jar.ID(f.Jar), Count: f.Count}
	info, ok := guide.FindProduct(guide.Product(f.Product))
	if !ok || info.Group == guide.Known {
		problems = append(problems, field("body.product", "Accepted: a product with tested times.", f.Product))
	} else if f.Form != "" && !slices.Contains(info.Forms, guide.Form(f.Form)) {
		problems = append(problems, field("body.form", "That is no form of "+info.Name+".", f.Form))
	}
	if _, ok := jar.Find(w.Jar); !ok {
		problems = append(problems, field("body.jar", "Accepted: a jar of the list.", f.Jar))
	}
	if f.By != "" {
		t, err := time.Parse(time.DateOnly, f.By)
		if w.By = fruit.Day(t.Unix() / 86_400); err != nil || w.By < s.today() || w.By > s.today()+3*366 {
			problems = append(problems, field("body.by", "Accepted: a day from today on, such as 2026-12-20, or none.", f.By))
		}
	}
	return w, problems
}

func (s *server) wants(ctx context.Context) (*wantsOutput, error) {
	today := s.today()
	wishes, notes, err := s.store.Wants(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "want")
	}
	groups, err := s.store.JarGroups(ctx, today)
	if err != nil {
		return nil, s.storeProblem(err, "want")
	}
	var kept []shelf.Kept
	for _, g := range groups {
		k := shelf.Kept{Product: g.Product, Form: g.Form, Jar: g.Jar, Count: g.Count - g.Old, Counts: g.Process.Counts()}
		kept = append(kept, k)
		if g.Old > 0 {
			k.Count, k.Counts = g.Old, false
			kept = append(kept, k)
		}
	}
	month := s.now().Month()
	own, err := s.store.Seasons(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "season")
	}
	months := func(product string) int { return fruit.SeasonOf(product, own).MonthsTo(int(month)) }
	b := wantsBody{Wants: []wantBody{}, Next: []putUpBody{}, Nobody: []string{},
		Explain: "Only jars of a tested process that are no older than a year and a half are counted. Sizes stand in for each other by what they hold, and no jar is counted twice. The next season's list is a year's wish less what will be left when that season begins."}
	put := map[shelf.Wish]int{} // of a product, form and jar
	var order []shelf.Wish
	for _, a := range shelf.Compare(wishes, kept, today, months) {
		b.Wants = append(b.Wants, wantAnswer(a, notes[a.ID], today))
		key := shelf.Wish{Product: a.Product, Form: a.Form, Jar: a.Jar}
		if a.NextPut > 0 {
			if put[key] == 0 {
				order = append(order, key)
			}
			put[key] += a.NextPut
		}
	}
	slices.SortStableFunc(order, func(a, c shelf.Wish) int { return months(a.Product) - months(c.Product) })
	kitchen, _, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	for _, w := range order {
		b.Next = append(b.Next, nextAnswer(w, put[w], kitchen, own))
	}
	b.Nobody = unwanted(wishes, groups)
	return &wantsOutput{b}, nil
}

func wantAnswer(a shelf.Answer, note string, today fruit.Day) wantBody {
	j, _ := jar.Find(a.Jar)
	b := wantBody{ID: a.ID, WantFields: WantFields{For: string(a.For), Product: a.Product, Form: a.Form, Jar: string(a.Jar), Count: a.Count, Note: note}, NextPut: a.NextPut,
		Name: wishName(a.Product, a.Form), Want: j.Count(a.Count), Part: math.Min(1, a.Have/float64(a.Count))}
	whole := int(a.Have + 1e-4)
	if b.Have = j.Count(whole); a.Have-float64(whole) > 0.05 {
		b.Have = fmt.Sprintf("as much as %.1f %s", a.Have, j.Many)
	}
	b.Whom = map[shelf.For]string{shelf.Household: "for the household, through the year", shelf.Guests: "for guests", shelf.Gifts: "as gifts"}[a.For]
	if a.By != 0 {
		b.By = dateOf(a.By).Format(time.DateOnly)
		if b.Whom = map[shelf.For]string{shelf.Household: "for the household", shelf.Guests: "for guests", shelf.Gifts: "as gifts"}[a.For] + ", by " + dateOf(a.By).Format("2 January 2006"); a.By < today {
			b.Whom += " (that is past)"
		}
	}
	if a.Short > 0 {
		b.Short = j.Count(a.Short) + " short"
	}
	if a.Over > 0 {
		b.Over = j.Count(a.Over) + " more than anyone wants"
	}
	if a.Apart > 0 {
		b.Apart = countText(a.Apart, "jar") + " not counted: not by a tested process, or older than a year and a half"
	}
	return b
}

func wishName(product, form string) string {
	name := productName(product)
	if form != "" {
		name += ", " + guide.FormName(guide.Form(form))
	}
	return name
}

// nextAnswer is a line of the next season's list, with the fruit that the plan of such a
// batch asks for.
func nextAnswer(w shelf.Wish, jars int, k batch.Kitchen, own map[string]fruit.Season) putUpBody {
	j, _ := jar.Find(w.Jar)
	b := putUpBody{Name: wishName(w.Product, w.Form), Text: j.Count(jars), Amount: j.Count(jars), Jar: string(w.Jar), Product: w.Product, Form: w.Form, When: fruit.SeasonOf(w.Product, own).Text()}
	for _, pack := range []guide.Pack{guide.Hot, guide.Raw} {
		p, err := batch.Make(batch.Request{Product: w.Product, Form: guide.Form(w.Form), Pack: pack, Jar: w.Jar, Amount: b.Amount}, k)
		if err != nil {
			continue
		}
		if f := fruitAnswer(p, k.Units); f != nil {
			b.Fruit = "about " + f.Text
			break
		}
	}
	return b
}

// unwanted names what stands on the shelf and no wish is for.
func unwanted(wishes []shelf.Wish, groups []store.JarGroup) []string {
	counts := map[string]int{}
	var order []string
	for _, g := range groups {
		if g.Product == "" || slices.ContainsFunc(wishes, func(w shelf.Wish) bool {
			return w.Product == g.Product && (w.Form == "" || w.Form == g.Form)
		}) {
			continue
		}
		name := wishName(g.Product, g.Form)
		if counts[name] == 0 {
			order = append(order, name)
		}
		counts[name] += g.Count
	}
	all := []string{}
	for _, name := range order {
		all = append(all, countText(counts[name], "jar")+" of "+name)
	}
	return all
}
