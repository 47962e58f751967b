package server

import (
	"context"
	"fmt"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
	"mellisca/internal/store"
)

// FilledFields is how many jars of one kind were filled.
type FilledFields struct {
	Jar   string `json:"jar" maxLength:"40"`
	Count int    `json:"count" minimum:"0" maximum:"500"`
}

// ClosingFields is what a batch gave, as a cook says it.
type ClosingFields struct {
	Jars           []FilledFields `json:"jars" maxItems:"20" nullable:"false"`
	Fruit          string         `json:"fruit" maxLength:"60" doc:"how much fruit went in, as typed: 24 lb"`
	Liquid         string         `json:"liquid" required:"false" maxLength:"60" doc:"that was made ready; empty where not measured"`
	LiquidLeft     string         `json:"liquidLeft" required:"false" maxLength:"60" doc:"of it, what was left; nothing where left out"`
	PrepareMinutes int            `json:"prepareMinutes" required:"false" minimum:"0" maximum:"6000"`
	CookMinutes    int            `json:"cookMinutes" required:"false" minimum:"0" maximum:"6000"`
	FillMinutes    int            `json:"fillMinutes" required:"false" minimum:"0" maximum:"6000"`
	BoilMinutes    int            `json:"boilMinutes" required:"false" minimum:"0" maximum:"600" doc:"from the jars going in to the boil"`
	Note           string         `json:"note" required:"false" maxLength:"1000"`
	NextTime       string         `json:"nextTime,omitempty" required:"false" maxLength:"300" doc:"what is to be different the next time: it stands beside the next batch of that product"`
	Day            string         `json:"day" required:"false" maxLength:"10" doc:"2026-08-14; today where left out"`
}

// PastFields is a batch of an earlier season.
type PastFields struct {
	Product string `json:"product" maxLength:"60"`
	Form    string `json:"form" required:"false" maxLength:"40"`
	Pack    string `json:"pack" enum:"raw,hot"`
	ClosingFields
}

type closingBody struct {
	ID        string `json:"id"`
	Batch     string `json:"batch" doc:"empty for one of an earlier season"`
	Headline  string `json:"headline"`
	Text      string `json:"text" doc:"what it gave"`
	Steps     string `json:"steps" doc:"how long its steps took, and the liquid; empty where not said"`
	Against   string `json:"against" doc:"beside what the guide leads one to expect; empty where nothing is published"`
	Day       string `json:"day"`
	Forgotten bool   `json:"forgotten" doc:"not learned from"`
	Note      string `json:"note"`
}

// closingsShown is how many closed batches are listed; all of them are learned from.
const closingsShown = 500

type closingsOutput struct{ Body []closingBody }

func (s *server) registerClosings(api huma.API) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 422}}
	}
	huma.Register(api, op("closings", "GET", "/api/closings", "What batches gave, 500 at a time, newest first"), func(ctx context.Context, in *struct {
		Skip int `query:"skip" minimum:"0" maximum:"1000000" doc:"how many of the newest to leave out"`
	}) (*closingsOutput, error) {
		return s.closingsAfter(ctx, in.Skip)
	})
	huma.Register(api, op("close-batch", "POST", "/api/batches/{id}/close", "Say what a batch gave; its fruit comes off the lots that it names"), func(ctx context.Context, in *struct {
		BatchID
		Body ClosingFields
	}) (*closingsOutput, error) {
		b, err := s.store.Batch(ctx, in.ID)
		if err != nil {
			return nil, s.storeProblem(err, "batch")
		}
		return s.closeBatch(ctx, b, in.Body)
	})
	huma.Register(api, op("add-past-batch", "POST", "/api/closings", "Type what a batch of an earlier season gave"), func(ctx context.Context, in *struct{ Body PastFields }) (*closingsOutput, error) {
		info, ok := guide.FindProduct(guide.Product(in.Body.Product))
		if !ok {
			return nil, unprocessable([]error{field("body.product", "That is not a product of the catalogue.", in.Body.Product)})
		}
		c, problems := s.readClosing(in.Body.ClosingFields)
		if len(problems) > 0 {
			return nil, unprocessable(problems)
		}
		c.Product, c.Form, c.Pack = string(info.ID), in.Body.Form, in.Body.Pack
		if c.Form == "" && len(info.Forms) > 0 {
			c.Form = string(info.Forms[0])
		}
		if _, err := s.store.AddClosing(ctx, c); err != nil {
			return nil, s.storeProblem(err, "batch")
		}
		return s.closings(ctx)
	})
	s.registerPast(api, op)
	for path, forget := range map[string]bool{"forget": true, "remember": false} {
		huma.Register(api, op(path+"-closing", "POST", "/api/closings/{id}/"+path, "Learn from a closed batch, or no longer"), func(ctx context.Context, in *PotID) (*closingsOutput, error) {
			if err := s.store.ForgetClosing(ctx, in.ID, forget); err != nil {
				return nil, s.storeProblem(err, "closed batch")
			}
			return s.closings(ctx)
		})
	}
	huma.Register(api, op("open-again", "DELETE", "/api/closings/{id}", "Take back that a batch was closed"), func(ctx context.Context, in *PotID) (*closingsOutput, error) {
		if err := s.store.RemoveClosing(ctx, in.ID); err != nil {
			return nil, s.storeProblem(err, "closed batch")
		}
		return s.closings(ctx)
	})
}

// closeBatch keeps what a saved batch gave, and takes its fruit off its lots, the
// first first.
func (s *server) closeBatch(ctx context.Context, b store.Batch, f ClosingFields) (*closingsOutput, error) {
	k, _, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	p, err := batch.Make(b.Request, k)
	if err != nil {
		return nil, err
	}
	if p.Status == batch.Refused {
		return nil, unprocessable([]error{field("body.jars", "This batch is refused, so there is nothing to close. Jars made so belong in the refrigerator.", nil)})
	}
	c, problems := s.readClosing(f)
	lots, err := s.store.Lots(ctx, dayOf(s.now())-usedUpShown)
	if err != nil {
		return nil, s.storeProblem(err, "lots")
	}
	rest := takeFromLots(&c, b.Request, lots, dayOf(s.now()))
	if b.Request.Lots != "" && rest > 0 && len(problems) == 0 {
		problems = append(problems, field("body.fruit", fmt.Sprintf("The lots that it takes its fruit from hold %s less than that. Change the amount, or the lot.", rest.Text(k.Units)), f.Fruit))
	}
	if len(problems) > 0 {
		return nil, unprocessable(problems)
	}
	c.Batch, c.Product, c.Kind, c.Form, c.Pack = b.ID, string(p.Query.Product), string(p.Query.Kind), string(p.Query.Form), string(p.Query.Pack)
	if w := p.Water; w != nil && w.Heating != nil && !w.Heating.Never && c.BoilMinutes > 0 {
		out := w.Heating.ToBoil
		if p.Canner.Correct > 0 {
			out /= p.Canner.Correct
		}
		c.BoilFactor = float64(c.BoilMinutes) / out
	}
	if _, err := s.store.AddClosing(ctx, c); err != nil {
		return nil, s.storeProblem(err, "batch")
	}
	return s.closings(ctx)
}

// readClosing reads what a batch gave, with a problem for each field that is not
// understood.
func (s *server) readClosing(f ClosingFields) (store.Closing, []error) {
	var problems []error
	c := store.Closing{PrepareMinutes: f.PrepareMinutes, CookMinutes: f.CookMinutes, FillMinutes: f.FillMinutes, BoilMinutes: f.BoilMinutes, Note: f.Note, Vow: strings.TrimSpace(f.NextTime), Day: dayOf(s.now())}
	for _, j := range f.Jars {
		found, ok := jar.Find(jar.ID(j.Jar))
		switch {
		case !ok:
			problems = append(problems, field("body.jars", "Accepted: jars of the catalogue.", j.Jar))
		case j.Count > 0:
			c.Filled = append(c.Filled, fruit.Filled{Jar: found, Count: j.Count})
		}
	}
	if len(c.Filled) == 0 && len(problems) == 0 {
		problems = append(problems, field("body.jars", "Say how many jars were filled: one at least.", nil))
	}
	m, err := measure.ParseMass(f.Fruit)
	if err != nil || m == 0 {
		problems = append(problems, field("body.fruit", "Say how much fruit went in, such as 24 lb.", f.Fruit))
	}
	c.Fruit = m
	problems = append(problems, readLiquid(&c, f)...)
	if f.Day != "" {
		t, err := time.Parse(time.DateOnly, f.Day)
		if err != nil || dayOf(t) > c.Day {
			problems = append(problems, field("body.day", "Accepted: the day of the batch, such as 2026-08-14, today or before.", f.Day))
		}
		c.Day = dayOf(t)
	}
	return c, problems
}

func (s *server) closings(ctx context.Context) (*closingsOutput, error) {
	return s.closingsAfter(ctx, 0)
}

// closingsAfter lists closed batches after the newest so many.
func (s *server) closingsAfter(ctx context.Context, skip int) (*closingsOutput, error) {
	_, units, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	all, err := s.store.Closings(ctx, skip, closingsShown)
	if err != nil {
		return nil, s.storeProblem(err, "closed batches")
	}
	out := &closingsOutput{Body: []closingBody{}}
	for _, c := range all {
		info, _ := guide.FindProduct(guide.Product(c.Product))
		words := []string{info.Name}
		if len(info.Forms) > 1 && c.Form != "" {
			words = append(words, guide.FormName(guide.Form(c.Form)))
		}
		if info.Group == guide.Fruit {
			words = append(words, c.Pack)
		}
		b := closingBody{c.ID, c.Batch, strings.Join(words, ", "), givenText(c, units), stepsText(c, units), "", pastDay(c), c.Forgotten, c.Note}
		if ratio, ok := fruit.Ratio(c.Product, c.Fruit, c.Filled); ok && c.MadeOf == "" {
			b.Against = againstText(ratio)
		}
		out.Body = append(out.Body, b)
	}
	return out, nil
}

// pastDay is the day of a closing, or the year where that alone was said.
func pastDay(c store.Closing) string {
	if d := dateOf(c.Day); c.Batch == "" && d.YearDay() == 1 {
		return d.Format("2006")
	}
	return dateOf(c.Day).Format(time.DateOnly)
}

func againstText(ratio float64) string {
	switch pct := (ratio - 1) * 100; {
	case pct > 3:
		return fmt.Sprintf("%.0f %% more than the guide's likely count", pct)
	case pct < -3:
		return fmt.Sprintf("%.0f %% less than the guide's likely count", -pct)
	}
	return "as the guide leads one to expect"
}

// seen gathers what there is to learn from closed batches, and the stove's own pace;
// 0 where nothing was timed. It is read anew only after a closing changed.
func (s *server) seen(ctx context.Context) (map[batch.Way]batch.Seen, float64, error) {
	changed := s.store.ClosingsChanged()
	s.learning.Lock()
	defer s.learning.Unlock()
	if s.ways != nil && s.learnedAt == changed {
		return s.ways, s.heating, nil
	}
	all, err := s.store.Closings(ctx, 0, store.EveryClosing)
	if err != nil {
		return nil, 0, err
	}
	ways := map[batch.Way]batch.Seen{}
	var heating []float64
	for _, c := range all {
		if c.Forgotten {
			continue
		}
		w := batch.Way{Product: c.Product, Form: guide.Form(c.Form), Pack: guide.Pack(c.Pack)}
		seen := ways[w]
		if ratio, ok := fruit.Ratio(c.Product, c.Fruit, c.Filled); ok && c.MadeOf == "" {
			seen.Ratios = append(seen.Ratios, ratio)
		}
		if c.Liquid > 0 {
			holds := 0.0
			for _, f := range c.Filled {
				holds += float64(f.Count) * f.Jar.Capacity.Litres()
			}
			seen.Liquid = append(seen.Liquid, c.Liquid.Litres()/holds)
		}
		if c.PrepareMinutes > 0 && c.MadeOf == "" {
			seen.Prepare = append(seen.Prepare, float64(c.PrepareMinutes)/c.Fruit.Pounds())
		}
		jars := 0
		for _, f := range c.Filled {
			jars += f.Count
		}
		if jars > 0 && c.CookMinutes > 0 {
			seen.Cook = append(seen.Cook, float64(c.CookMinutes)/float64(jars))
		}
		if jars > 0 && c.FillMinutes > 0 {
			seen.Fill = append(seen.Fill, float64(c.FillMinutes)/float64(jars))
		}
		if c.BoilFactor > 0 {
			heating = append(heating, c.BoilFactor)
		}
		ways[w] = seen
	}
	s.ways, s.heating, s.learnedAt = ways, 0, changed
	if len(heating) > 0 {
		s.heating = fruit.HeatingFactor(heating)
	}
	return s.ways, s.heating, nil
}
