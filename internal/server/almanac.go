package server

import (
	"context"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/almanac"
	"mellisca/core/fruit"
	"mellisca/core/measure"
	"mellisca/core/run"
	"mellisca/core/shelf"
	"mellisca/internal/store"
)

type lossBody struct {
	Name  string  `json:"name" doc:"did not seal, broken, lost liquid, floats"`
	Count int     `json:"count"`
	Part  float64 `json:"part" doc:"0 to 1, of the jars looked at"`
	Low   float64 `json:"low" doc:"what it likely is for the next jars, at least"`
	High  float64 `json:"high"`
}

type almanacRow struct {
	Key     string     `json:"key"`
	Name    string     `json:"name"`
	Jars    int        `json:"jars"`
	Text    string     `json:"text" doc:"12 batches, 84 jars"`
	Part    float64    `json:"part" doc:"0 to 1, of the row with the most jars"`
	Yield   string     `json:"yield" doc:"how much fruit a litre or quart takes; empty where nobody weighed it"`
	Range   string     `json:"range" doc:"the poorest and the richest batch; empty for one"`
	Cost    string     `json:"cost" doc:"of a litre or quart; empty where nothing was priced"`
	Looked  string     `json:"looked" doc:"how many jars were looked at, and whether they are few"`
	Losses  []lossBody `json:"losses" nullable:"false"`
	Product string     `json:"product" doc:"by which it is drawn; empty: none"`
}

type yearCell struct {
	Year int     `json:"year"`
	Jars int     `json:"jars"`
	Part float64 `json:"part" doc:"0 to 1, of the most jars of any product in any year"`
	Text string  `json:"text" doc:"yield, cost, losses; empty where there was nothing"`
}

type yearsRow struct {
	Product string     `json:"product"`
	Name    string     `json:"name"`
	Years   []yearCell `json:"years" nullable:"false"`
	Change  string     `json:"change" doc:"the last year beside the one before"`
}

type seasonBody struct {
	Fruit string `json:"fruit"`
	Name  string `json:"name"`
	From  int    `json:"from" doc:"month, 1 to 12; 0: all year"`
	To    int    `json:"to"`
	Text  string `json:"text"`
	Own   bool   `json:"own" doc:"said by the cook"`
	Put   []int  `json:"put" nullable:"false" doc:"jars that were put up of it in each of the twelve months, over all years"`
	In    int    `json:"in" doc:"in how many months it is next; 0: now"`
}

type almanacBody struct {
	By      map[string][]almanacRow `json:"by" doc:"product, pack, pot, year"`
	Years   []int                   `json:"years" nullable:"false"`
	Beside  []yearsRow              `json:"beside" nullable:"false" doc:"year beside year"`
	Seasons []seasonBody            `json:"seasons" nullable:"false"`
	Month   int                     `json:"month"`
	Explain string                  `json:"explain"`
	Jars    int                     `json:"jars" doc:"that were ever put up"`
}

type almanacOutput struct{ Body almanacBody }

func (s *server) registerAlmanac(api huma.API) {
	huma.Register(api, huma.Operation{OperationID: "almanac", Method: "GET", Path: "/api/almanac", Summary: "What the seasons taught"}, func(ctx context.Context, _ *struct{}) (*almanacOutput, error) {
		return s.almanac(ctx)
	})
	huma.Register(api, huma.Operation{OperationID: "set-season", Method: "PUT", Path: "/api/almanac/seasons/{fruit}", Summary: "Say in which months a fruit is picked", MaxBodyBytes: mostBody, Errors: []int{404, 422}}, func(ctx context.Context, in *struct {
		Fruit string `path:"fruit" maxLength:"20"`
		Body  struct {
			From  int  `json:"from" minimum:"0" maximum:"12" doc:"0: all year"`
			To    int  `json:"to" minimum:"0" maximum:"12"`
			Usual bool `json:"usual,omitempty" required:"false" doc:"as in the table again"`
		}
	}) (*almanacOutput, error) {
		if !slices.ContainsFunc(fruit.Seasons(nil), func(p fruit.Picked) bool { return p.ID == in.Fruit }) {
			return nil, huma.Error404NotFound("There is no such fruit in the calendar.")
		}
		if (in.Body.From == 0) != (in.Body.To == 0) {
			return nil, unprocessable([]error{field("body.to", "Accepted: the first and the last month, or neither for all year.", in.Body.To)})
		}
		of := &fruit.Season{From: in.Body.From, To: in.Body.To}
		if in.Body.Usual {
			of = nil
		}
		if err := s.store.SetSeason(ctx, in.Fruit, of); err != nil {
			return nil, s.storeProblem(err, "season")
		}
		return s.almanac(ctx)
	})
}

// yearsBeside is how many years stand side by side.
const yearsBeside = 5

func (s *server) almanac(ctx context.Context) (*almanacOutput, error) {
	units, err := s.units(ctx)
	if err != nil {
		return nil, err
	}
	loads, err := store.Stove{Store: s.store}.Lifted(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "loads")
	}
	puts, months, err := s.puts(ctx, loads)
	if err != nil {
		return nil, err
	}
	looks := looksAt(loads, s.now().Location())
	pots, err := s.store.Pots(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "pots")
	}
	names := map[string]string{"hot": "hot pack", "raw": "raw pack"}
	for _, p := range pots {
		names[p.ID] = p.Name
	}
	b := almanacBody{By: map[string][]almanacRow{}, Years: []int{}, Beside: []yearsRow{}, Seasons: []seasonBody{}, Month: int(s.now().Month()),
		Explain: "Yield and cost come from closed batches; cost is fruit, lids and a share of the jars, where the fruit was priced. Losses come from the tray: what was found of the jars of loads that ran on the stove here. The thin line is what the next jars likely do, nine times of ten."}
	for _, p := range puts {
		b.Jars += p.Jars
	}
	for _, by := range []almanac.By{almanac.ByProduct, almanac.ByPack, almanac.ByPot, almanac.ByYear} {
		rows := almanac.Table(puts, looks, by)
		most := 0
		for _, r := range rows {
			most = max(most, r.Jars)
		}
		b.By[string(by)] = []almanacRow{}
		for _, r := range rows {
			b.By[string(by)] = append(b.By[string(by)], rowAnswer(r, by, most, names, units))
		}
	}
	s.beside(&b, puts, looks, units)
	own, err := s.store.Seasons(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "season")
	}
	for _, p := range fruit.Seasons(own) {
		_, said := own[p.ID]
		b.Seasons = append(b.Seasons, seasonBody{Fruit: p.ID, Name: p.Name, From: p.Season.From, To: p.Season.To, Text: p.Season.Text(), Own: said, Put: months[p.ID][:], In: p.Season.MonthsTo(b.Month)})
	}
	return &almanacOutput{b}, nil
}

// units is what the kitchen measures by.
func (s *server) units(ctx context.Context) (measure.System, error) {
	k, err := s.store.Kitchen(ctx)
	if err != nil {
		return "", s.storeProblem(err, "kitchen")
	}
	return k.Units, nil
}

// puts are what batches gave, and the jars of each fruit of the calendar by month.
func (s *server) puts(ctx context.Context, loads []store.TrayLoad) (all []almanac.Put, months map[string]*[12]int, err error) {
	months = map[string]*[12]int{}
	for _, p := range fruit.Seasons(nil) {
		months[p.ID] = new([12]int)
	}
	closings, err := s.store.Closings(ctx, 0, store.EveryClosing)
	if err != nil {
		return nil, nil, s.storeProblem(err, "closed batches")
	}
	perKg, err := s.store.LotPrices(ctx)
	if err != nil {
		return nil, nil, s.storeProblem(err, "lots")
	}
	typed, err := s.pricesAnswer(ctx)
	if err != nil {
		return nil, nil, err
	}
	prices, _ := typed.Body.read()
	perJar, _ := prices.PerFilledJar()
	pots := potsOfBatches(loads)
	picked := map[string]string{} // the fruit of the calendar, by product
	for _, c := range closings {
		day := dateOf(c.Day)
		p := almanac.Put{Of: almanac.Of{Year: day.Year(), Product: c.Product, Pack: c.Pack, Pot: pots[c.Batch]}, Cents: -1}
		for _, f := range c.Filled {
			p.Jars += f.Count
			p.Litres += float64(f.Count) * f.Jar.Capacity.Litres()
		}
		if c.MadeOf == "" {
			p.Kg = c.Fruit.Grams() / 1000
		}
		if cents, ok := fruitCents(c, perKg); ok {
			p.Cents = cents + perJar*float64(p.Jars)
		}
		id, seen := picked[c.Product]
		if !seen {
			of, _ := fruit.PickedFor(c.Product, nil)
			id = of.ID
			picked[c.Product] = id
		}
		if id != "" {
			months[id][day.Month()-1] += p.Jars
		}
		all = append(all, p)
	}
	return all, months, nil
}

// fruitCents is what the fruit of a batch cost; ok is false unless all of it came from lots
// with a price.
func fruitCents(c store.Closing, perKg map[string]float64) (cents float64, ok bool) {
	taken := measure.Mass(0)
	for _, u := range c.Lots {
		price, known := perKg[u.Lot]
		if !known {
			return 0, false
		}
		taken += u.Mass
		cents += price * u.Mass.Grams() / 1000
	}
	return cents, c.Fruit > 0 && taken >= c.Fruit-measure.Gram
}

// potsOfBatches gives the canner in which a batch ran first.
func potsOfBatches(loads []store.TrayLoad) map[string]string {
	pots := map[string]string{}
	for _, l := range loads {
		if id := aboutOf(l.About).CannerID; pots[l.Batch] == "" {
			pots[l.Batch] = id
		}
	}
	return pots
}

// looksAt are what was found of the jars of loads.
func looksAt(loads []store.TrayLoad, zone *time.Location) (all []almanac.Look) {
	for _, l := range loads {
		about := aboutOf(l.About)
		ms := run.TimesOf(l.Events).Out
		if ms == 0 {
			continue
		}
		look := almanac.Look{Of: almanac.Of{Year: time.UnixMilli(ms).In(zone).Year(), Product: about.Product, Pack: about.Request.Pack, Pot: about.CannerID}}
		state := l.Load.Fold(l.Events, run.Stamp{WallMs: ms}, run.Stamp{})
		for i, j := range shelf.Fold(l.Load.Jars, l.Told) {
			broke := i < len(state.Jars) && state.Jars[i].Broken
			if j.Finding.Seal == "" && !broke {
				continue
			}
			look.Looked++
			switch {
			case broke || j.Finding.Seal == shelf.Broken:
				look.Broken++
			case j.Finding.Seal != shelf.Sealed:
				look.Unsealed++
			}
			if j.Finding.LiquidLost > 0 {
				look.Liquid++
			}
			if j.Finding.Float {
				look.Float++
			}
		}
		if look.Looked > 0 {
			all = append(all, look)
		}
	}
	return all
}
