package server

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/measure"
	"mellisca/internal/store"
)

// LotFields is fruit as it came in, as a cook says it.
type LotFields struct {
	Name    string `json:"name" maxLength:"80" doc:"Tuesday's crate"`
	Kind    string `json:"kind" maxLength:"60" doc:"a fruit of /api/fruit"`
	Variety string `json:"variety" required:"false" maxLength:"80"`
	Bought  string `json:"bought" maxLength:"80" doc:"as typed: 2 bushels, 20 lb, 3 green pails"`
	Price   string `json:"price" required:"false" maxLength:"40" doc:"for all of it, a plain number; empty where not said"`
	From    string `json:"from" required:"false" maxLength:"120"`
	Got     string `json:"got" required:"false" maxLength:"10" doc:"the day it came, 2026-08-14; today where left out"`
	Note    string `json:"note" required:"false" maxLength:"500"`
}

type madeOf struct {
	Product string `json:"product"`
	Name    string `json:"name"`
}

type lotBody struct {
	ID string `json:"id"`
	LotFields
	KindName string         `json:"kindName"`
	Weight   string         `json:"weight"`
	Guess    bool           `json:"guess" doc:"the weight is our own guess, by pieces or flats"`
	Left     string         `json:"left"`
	LeftPart float64        `json:"leftPart" doc:"0 to 1"`
	Bargain  string         `json:"bargain" doc:"beside what the same fruit cost before; empty where that is not known"`
	Came     string         `json:"came" doc:"when it came, in words"`
	PerUnit  string         `json:"perUnit" doc:"what a pound or a kilogram cost; empty where not said"`
	Seen     string         `json:"seen" enum:"hard,nearly,ready,past," doc:"what was seen last; empty where nothing was"`
	Now      string         `json:"now" enum:"hard,nearly,ready,past," doc:"how it likely is today"`
	Fit      string         `json:"fit" doc:"the days it is fit to can, in words; our own guess"`
	Urgent   string         `json:"urgent" enum:"stop,wait,go" doc:"stop: today; wait: within two days; go: later"`
	Make     []madeOf       `json:"make" nullable:"false" doc:"what to make of it as it is now, nearest first"`
	Products []string       `json:"products" nullable:"false" doc:"all that may be made of it, however ripe"`
	Uses     []string       `json:"uses" nullable:"false"`
	Over     []leftOverBody `json:"over" nullable:"false" doc:"what is left over from batches, while it keeps"`
}

type fruitKindBody struct {
	ID   string `json:"id"`
	Name string `json:"name"`
	Like string `json:"like" doc:"how much of it might be typed"`
}

// ContainerFields is a container of the cook's own, weighed once.
type ContainerFields struct {
	Name   string `json:"name" maxLength:"60"`
	Kind   string `json:"kind" maxLength:"60"`
	Weight string `json:"weight" maxLength:"60" doc:"of the fruit in it, as typed"`
}

// VarietyFields is what the cook knows of a variety.
type VarietyFields struct {
	Kind    string `json:"kind" maxLength:"60"`
	Name    string `json:"name" maxLength:"80"`
	Tart    int    `json:"tart" minimum:"0" maximum:"10" doc:"0 sweet, 10 tart"`
	Texture string `json:"texture" required:"false" maxLength:"80"`
	Months  string `json:"months" required:"false" maxLength:"80"`
	Note    string `json:"note" required:"false" maxLength:"300"`
}

type fruitOutput struct {
	Body struct {
		Today      string            `json:"today"`
		Lots       []lotBody         `json:"lots" nullable:"false" doc:"what must be done first stands first"`
		Kinds      []fruitKindBody   `json:"kinds" nullable:"false"`
		Containers []ContainerFields `json:"containers" nullable:"false"`
		Varieties  []VarietyFields   `json:"varieties" nullable:"false"`
	}
}

func (s *server) registerFruit(api huma.API) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 422}}
	}
	huma.Register(api, op("fruit", "GET", "/api/fruit", "The fruit at hand, what must be done first standing first"),
		func(ctx context.Context, _ *struct{}) (*fruitOutput, error) { return s.fruit(ctx) })
	keep := func(ctx context.Context, id string, f LotFields) (*fruitOutput, error) {
		l, err := s.lot(ctx, f)
		if err != nil {
			return nil, err
		}
		l.ID = id
		_, err = s.store.KeepLot(ctx, l)
		var taken *store.TakenError
		if errors.As(err, &taken) {
			return nil, unprocessable([]error{field("body.bought", upper(taken.Error())+". Accepted: that much, or more.", f.Bought)})
		}
		if err != nil {
			return nil, s.storeProblem(err, "lot")
		}
		return s.fruit(ctx)
	}
	huma.Register(api, op("add-lot", "POST", "/api/lots", "Keep a lot that came in"),
		func(ctx context.Context, in *struct{ Body LotFields }) (*fruitOutput, error) {
			return keep(ctx, "", in.Body)
		})
	huma.Register(api, op("change-lot", "PUT", "/api/lots/{id}", "Change a lot"), func(ctx context.Context, in *struct {
		PotID
		Body LotFields
	}) (*fruitOutput, error) {
		return keep(ctx, in.ID, in.Body)
	})
	huma.Register(api, op("tap-lot", "POST", "/api/lots/{id}/tap", "Say how ripe a lot is today"), func(ctx context.Context, in *struct {
		PotID
		Body struct {
			Ripeness string `json:"ripeness" enum:"hard,nearly,ready,past"`
		}
	}) (*fruitOutput, error) {
		if err := s.store.TapLot(ctx, in.ID, fruit.Tap{Day: dayOf(s.now()), Ripeness: fruit.Ripeness(in.Body.Ripeness)}); err != nil {
			return nil, s.storeProblem(err, "lot")
		}
		return s.fruit(ctx)
	})
	huma.Register(api, op("lot-gone", "POST", "/api/lots/{id}/gone", "Say that a lot is no longer there, or take that back"), func(ctx context.Context, in *struct {
		PotID
		Body struct {
			Gone bool `json:"gone"`
		}
	}) (*fruitOutput, error) {
		if err := s.store.LotGone(ctx, in.ID, in.Body.Gone, s.now()); err != nil {
			return nil, s.storeProblem(err, "lot")
		}
		return s.fruit(ctx)
	})
	huma.Register(api, op("keep-container", "POST", "/api/containers", "Name a container that was weighed once"), func(ctx context.Context, in *struct{ Body ContainerFields }) (*fruitOutput, error) {
		c := fruit.Container{Name: strings.TrimSpace(in.Body.Name), Kind: in.Body.Kind}
		var problems []error
		if _, ok := fruit.FindKind(c.Kind); !ok {
			problems = append(problems, field("body.kind", "Accepted: a fruit of /api/fruit.", in.Body.Kind))
		}
		if c.Name == "" {
			problems = append(problems, field("body.name", "Give it a name, such as green pail.", in.Body.Name))
		}
		m, err := measure.ParseMass(in.Body.Weight)
		if err != nil || m == 0 {
			problems = append(problems, field("body.weight", "Accepted: what the fruit in it weighs, such as 11 lb.", in.Body.Weight))
		}
		if len(problems) > 0 {
			return nil, unprocessable(problems)
		}
		c.Mass = m
		if err := s.store.KeepContainer(ctx, c); err != nil {
			return nil, s.storeProblem(err, "container")
		}
		return s.fruit(ctx)
	})
	huma.Register(api, op("keep-variety", "POST", "/api/varieties", "Keep what is known of a variety"), func(ctx context.Context, in *struct{ Body VarietyFields }) (*fruitOutput, error) {
		v := store.Variety(in.Body)
		if _, ok := fruit.FindKind(v.Kind); !ok || strings.TrimSpace(v.Name) == "" {
			return nil, unprocessable([]error{field("body.name", "Accepted: a name, and a fruit of /api/fruit.", v.Name)})
		}
		if err := s.store.KeepVariety(ctx, v); err != nil {
			return nil, s.storeProblem(err, "variety")
		}
		return s.fruit(ctx)
	})
}

// usedUpShown is how many days a lot that was used up is still shown, from when it
// came: to see where it went.
const usedUpShown = 30

// dayOf is the day of the kitchen's own calendar.
func dayOf(t time.Time) fruit.Day {
	_, offset := t.Zone()
	return fruit.Day((t.Unix() + int64(offset)) / 86_400)
}

func dateOf(d fruit.Day) time.Time { return time.Unix(int64(d)*86_400, 0).UTC() }

// dayText names a day: "Friday, 14 August".
func dayText(d fruit.Day) string { return dateOf(d).Format("Monday, 2 January") }

func (s *server) fruit(ctx context.Context) (*fruitOutput, error) {
	_, units, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	today := dayOf(s.now())
	lots, err := s.store.Lots(ctx, today-usedUpShown)
	if err != nil {
		return nil, s.storeProblem(err, "lots")
	}
	containers, err := s.store.Containers(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "containers")
	}
	varieties, err := s.store.Varieties(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "varieties")
	}
	slices.SortStableFunc(lots, func(a, b store.Lot) int { return int(until(a) - until(b)) })
	out := &fruitOutput{}
	b := &out.Body
	b.Today, b.Lots, b.Kinds, b.Containers, b.Varieties = dateOf(today).Format(time.DateOnly), []lotBody{}, []fruitKindBody{}, []ContainerFields{}, []VarietyFields{}
	paid := map[string][]float64{}
	for _, l := range lots {
		answer := lotAnswer(l, today, units)
		if _, read := paid[l.Kind]; !read && l.PriceCents > 0 {
			if paid[l.Kind], err = s.store.Paid(ctx, l.Kind); err != nil {
				return nil, s.storeProblem(err, "prices of lots")
			}
		}
		answer.Bargain = bargainText(l, paid[l.Kind])
		b.Lots = append(b.Lots, answer)
	}
	for _, k := range fruit.Kinds() {
		like := "20 lb"
		if q, ok := fruit.Find(k.Quantity); ok && q.Container != "" {
			like = "1 " + q.Container
		}
		b.Kinds = append(b.Kinds, fruitKindBody{k.ID, k.Name, like})
	}
	for _, c := range containers {
		b.Containers = append(b.Containers, ContainerFields{c.Name, c.Kind, c.Mass.Text(units)})
	}
	for _, v := range varieties {
		b.Varieties = append(b.Varieties, VarietyFields(v))
	}
	return out, nil
}

// until is the day by which a lot must be done; a lot of which nothing was seen
// stands last.
func until(l store.Lot) fruit.Day {
	k, _ := fruit.FindKind(l.Kind)
	if f, ok := k.Forecast(l.Taps); ok && l.Left() > 0 {
		return f.Until
	}
	return 1 << 30
}

func lotAnswer(l store.Lot, today fruit.Day, units measure.System) lotBody {
	k, _ := fruit.FindKind(l.Kind)
	left := l.Left()
	b := lotBody{
		ID: l.ID, KindName: k.Name, Came: cameText(l.Got, today), Weight: l.Bought.Mass.Text(units), Guess: l.Bought.Guess, Left: left.Text(units),
		LeftPart: rounded(float64(left)/float64(l.Bought.Mass), 3), Urgent: "go", Make: []madeOf{}, Products: append(slices.Clone(k.Firm), k.Soft...), Uses: []string{}, Over: leftOverBodies(l, today),
		LotFields: LotFields{Name: l.Name, Kind: l.Kind, Variety: l.Variety, Bought: l.Typed, From: l.From, Got: dateOf(l.Got).Format(time.DateOnly), Note: l.Note},
	}
	if l.PriceCents >= 0 {
		b.Price = measure.Money(float64(l.PriceCents))
		per, unit := l.Bought.Mass.Pounds(), "lb"
		if units == measure.Metric {
			per, unit = l.Bought.Mass.Grams()/1000, "kg"
		}
		if b.PerUnit = measure.Money(float64(l.PriceCents)/per) + " a " + unit; l.PriceCents == 0 {
			b.PerUnit = "for nothing"
		}
	}
	for _, u := range l.Uses {
		use := u.Mass.Text(units) + " of " + u.What
		if info, ok := guide.FindProduct(guide.Product(l.UsedFor[u.ID].Product)); ok {
			use += " for " + info.Name
		}
		b.Uses = append(b.Uses, use)
	}
	f, ok := k.Forecast(l.Taps)
	if !ok {
		b.Fit = "Say how ripe it is, for a guess at its days."
		return b
	}
	b.Seen, b.Now = string(l.Taps[len(l.Taps)-1].Ripeness), string(k.Now(l.Taps, today))
	for _, p := range k.Make(fruit.Ripeness(b.Now)) {
		info, _ := guide.FindProduct(guide.Product(p))
		b.Make = append(b.Make, madeOf{p, info.Name})
	}
	b.Fit, b.Urgent = fitText(f, fruit.Ripeness(b.Now), today)
	if left == 0 {
		b.Fit, b.Urgent, b.Make = "Nothing is left of it.", "go", []madeOf{}
	}
	return b
}

// bargainText holds the price of a lot beside what lots of the same fruit cost, its
// own among them, in cents a gram.
func bargainText(l store.Lot, paid []float64) string {
	own := float64(l.PriceCents) / l.Bought.Mass.Grams()
	if at := slices.Index(paid, own); at >= 0 {
		paid = slices.Delete(slices.Clone(paid), at, at+1)
	}
	percent, ok := fruit.Bargain(own, paid)
	switch {
	case !ok:
		return ""
	case percent < -3:
		return fmt.Sprintf("%.0f %% under what you paid before", -percent)
	case percent > 3:
		return fmt.Sprintf("%.0f %% over what you paid before", percent)
	}
	return "as much as before"
}

func cameText(got, today fruit.Day) string {
	switch days := today - got; {
	case days <= 0:
		return "today"
	case days == 1:
		return "yesterday"
	case days < 30:
		return fmt.Sprintf("%d days ago", days)
	}
	return dayText(got)
}

// fitText says when a lot is fit to can, and how urgent that is.
func fitText(f fruit.Fit, now fruit.Ripeness, today fruit.Day) (text, urgent string) {
	learned := "our own guess"
	if f.Seen > 0 {
		learned = "our guess, by how it ripened so far"
	}
	switch {
	case now == fruit.Past:
		return "Past its best: sauce, juice, jam or the freezer, today. Whole packs ask for firmer fruit.", "stop"
	case today < f.From:
		return fmt.Sprintf("Ready about %s, fit till %s (%s).", dayText(f.From), dayText(f.Until), learned), "go"
	case f.Until-today <= 0:
		return fmt.Sprintf("Fit to can today, hardly longer (%s).", learned), "stop"
	case f.Until-today <= 2:
		return fmt.Sprintf("Fit to can till %s (%s).", dayText(f.Until), learned), "wait"
	}
	return fmt.Sprintf("Fit to can till %s (%s).", dayText(f.Until), learned), "go"
}

// lot reads the fields, or a problem that names each that is not understood.
func (s *server) lot(ctx context.Context, f LotFields) (store.Lot, error) {
	var problems []error
	l := store.Lot{Name: strings.TrimSpace(f.Name), Kind: f.Kind, Variety: strings.TrimSpace(f.Variety), Typed: strings.TrimSpace(f.Bought), From: f.From, Note: f.Note, PriceCents: -1, Got: dayOf(s.now())}
	if l.Name == "" {
		problems = append(problems, field("body.name", "Give it a name to know it by, such as Tuesday's crate.", f.Name))
	}
	k, ok := fruit.FindKind(f.Kind)
	if !ok {
		problems = append(problems, field("body.kind", "Say which fruit it is.", f.Kind))
	} else {
		own, err := s.store.Containers(ctx)
		if err != nil {
			return l, s.storeProblem(err, "containers")
		}
		if l.Bought, err = k.ParseBought(f.Bought, own); err != nil {
			problems = append(problems, field("body.bought", upper(err.Error())+".", f.Bought))
		}
	}
	if p := strings.TrimSpace(f.Price); p != "" {
		price, err := measure.ParsePrice(p + " for 1 kg") // read as the money alone
		if err != nil {
			problems = append(problems, field("body.price", "Accepted: what all of it cost, a plain number such as 18.50.", f.Price))
		}
		l.PriceCents = price.Cents
	}
	if f.Got != "" {
		t, err := time.Parse(time.DateOnly, f.Got)
		switch d := dayOf(t); {
		case err != nil:
			problems = append(problems, field("body.got", "Accepted: the day it came, such as 2026-08-14.", f.Got))
		case d > dayOf(s.now()):
			problems = append(problems, field("body.got", "That day is still to come. Accepted: today or before.", f.Got))
		default:
			l.Got = d
		}
	}
	if len(problems) > 0 {
		return l, unprocessable(problems)
	}
	return l, nil
}
