package server

import (
	"context"
	"crypto/rand"
	"encoding/json"
	"fmt"
	"slices"
	"strings"

	"mellisca/core/batch"
	"mellisca/core/canner"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
	"mellisca/core/run"
	"mellisca/internal/store"
)

// aboutLoad is what a load is drawn with, kept as it was when it was opened.
type aboutLoad struct {
	Headline   string      `json:"headline"`
	Product    string      `json:"product"`
	Kind       string      `json:"kind"`
	Canner     string      `json:"canner" doc:"its name"`
	CannerID   string      `json:"cannerId"`
	DiameterCm float64     `json:"diameterCm" doc:"0 for a rectangular one"`
	LengthCm   float64     `json:"lengthCm"`
	WidthCm    float64     `json:"widthCm"`
	Tiers      []tierBody  `json:"tiers" nullable:"false" doc:"from below; the jars are numbered through them"`
	Jars       string      `json:"jars" doc:"7 quarts"`
	ToBoil     float64     `json:"toBoil" doc:"minutes that were worked out from jars in to the boil; 0: not known"`
	FillMin    float64     `json:"fillMin" doc:"minutes to fill such a load"`
	Altitude   string      `json:"altitude"`
	Source     string      `json:"source"`
	Own        bool        `json:"own" doc:"by the cook's own source"`
	Request    requestBody `json:"request"`
	Hazards    []string    `json:"hazards" nullable:"false" doc:"of the pot on its burner"`
	AgainOf    string      `json:"againOf" doc:"the load of which jars are processed again; empty for a first time"`
	Index      int         `json:"index" doc:"which load of its batch"`
}

// fillPerJar is how long a jar takes to fill and close, in minutes: our own guess.
const fillPerJar = 2.0

// opened makes a load for the hob of one of a batch's loads; what cannot go on a hob is
// a problem in the cook's words.
func opened(r batch.Request, index int, k batch.Kitchen) (store.KeptLoad, batch.Plan, error) {
	p, err := batch.Make(r, k)
	if err != nil {
		return store.KeptLoad{}, p, err
	}
	switch {
	case p.Status == batch.Refused:
		return store.KeptLoad{}, p, unprocessable([]error{field("body.batch", "There is no tested time for this batch, so no load of it goes on the hob.", nil)})
	case p.Status == batch.Incomplete:
		return store.KeptLoad{}, p, unprocessable([]error{field("body.batch", p.Missing[0].Text, nil)})
	case p.PotNote != "":
		return store.KeptLoad{}, p, unprocessable([]error{field("body.batch", p.PotNote, nil)})
	case index < 0 || index >= len(p.Loads):
		return store.KeptLoad{}, p, unprocessable([]error{field("body.load", fmt.Sprintf("This batch has %d loads.", len(p.Loads)), index)})
	}
	l := p.Loads[index]
	load := run.Load{
		Name: batch.Headline(p.Query, p.Name), Jars: l.Count(), Minutes: l.Minutes, RestMinutes: 5, Steam: p.Query.Method == guide.Steam,
		Hot: p.Query.Pack == guide.Hot, Acid: acidIn(p), BoilC: canner.BoilingPoint(*p.Altitude).Celsius(),
	}
	if k.School("rest") == "10" {
		load.RestMinutes = 10
	}
	load.HigherMinutes, load.TopBand = higher(r, p, k)
	about := aboutLoad{
		Headline: load.Name, Product: string(p.Query.Product), Kind: string(p.Query.Kind), Canner: p.Canner.TheName(), CannerID: p.Canner.ID,
		DiameterCm: p.Pot.Diameter.Centimetres(), LengthCm: p.Pot.Length.Centimetres(), WidthCm: p.Pot.Width.Centimetres(),
		Tiers: loadBodies([]batch.Load{l})[0].Tiers, Jars: batch.FilledText(l.Jars), FillMin: fillPerJar * float64(l.Count()),
		Altitude: p.Altitude.Text(k.Units), Request: requestOf(r), Index: index, Own: p.Own != nil, Hazards: []string{},
	}
	for _, c := range p.Cautions {
		if slices.Contains([]string{"glass-top", "narrow-burner", "outdoors"}, c.Code) {
			about.Hazards = append(about.Hazards, c.Text)
		}
	}
	if t := p.Verdict.Tested; t != nil {
		about.Source = sourceText(t.Source)
	} else {
		about.Source = p.Own.Source.Cite()
	}
	if p.Water != nil && p.Water.Heating != nil && !p.Water.Heating.Never {
		about.ToBoil = p.Water.Heating.ToBoil
	}
	raw, err := json.Marshal(about)
	return store.KeptLoad{ID: strings.ToLower(rand.Text()[:16]), Load: load, About: string(raw)}, p, err
}

// acidIn says whether acid must be in every jar, or in the pot that fills them.
func acidIn(p batch.Plan) bool {
	if p.Own != nil {
		return p.Own.Source.Acid != ""
	}
	return p.Verdict.Tested.Acid != nil
}

// higher is the time of the band above the one that a plan is for; top is true where
// there is none above, and 0 minutes mean that nothing is tested there.
func higher(r batch.Request, p batch.Plan, k batch.Kitchen) (minutes int, top bool) {
	var band guide.Band
	if p.Own != nil {
		band = p.Own.Band
	} else {
		band = p.Verdict.Tested.Band
	}
	if band.ToFt == nil {
		return 0, true
	}
	r.Altitude = fmt.Sprintf("%d ft", *band.ToFt+1)
	above, err := batch.Make(r, k)
	if err != nil {
		return 0, false
	}
	return above.Minutes(), false
}

// minutesAt judges a load's batch anew at an altitude that was looked up again.
func minutesAt(about aboutLoad, altitude string, k batch.Kitchen) (minutes int, err error) {
	r, err := about.Request.request()
	if err != nil {
		return 0, err
	}
	r.Altitude = altitude
	if _, err := measure.ParseAltitude(altitude); err != nil {
		return 0, unprocessable([]error{field("body.altitude", upper(err.Error())+".", altitude)})
	}
	p, err := batch.Make(r, k)
	return p.Minutes(), err
}

// aboutOf reads what opened kept of a load.
func aboutOf(kept string) (about aboutLoad) {
	_ = json.Unmarshal([]byte(kept), &about) // it was made by opened
	return about
}

// openLoad puts a load of a saved batch on the hob.
func (s *server) openLoad(ctx context.Context, id string, which *int, pot string) error {
	b, err := s.store.Batch(ctx, id)
	if err != nil {
		return s.storeProblem(err, "batch")
	}
	if r, err := s.recallOf(ctx, "", id); err != nil {
		return s.storeProblem(err, "recall")
	} else if r != nil && !r.Short { // a short load says nothing against the next one
		return unprocessable([]error{field("body.batch", "What this batch is made of was called back: "+r.Why+" Take other fruit, or take the recall back.", nil)})
	}
	k, _, err := s.kitchenNow(ctx)
	if err != nil {
		return err
	}
	index := 0
	if which != nil {
		index = *which
	} else if index, err = s.nextLoad(ctx, b, k); err != nil {
		return err
	}
	r := b.Request
	if pot != "" && pot != r.Canner {
		r.Canner = pot
		if err := sameLoads(b.Request, r, k); err != nil {
			return err
		}
	}
	kept, _, err := opened(r, index, k)
	if err != nil {
		return err
	}
	kept.Batch = id
	for _, on := range s.stove.Now().Loads {
		about, mine := aboutOf(on.About), aboutOf(kept.About)
		if on.Batch == id && about.Index == index {
			return unprocessable([]error{field("body.load", "This load is on the hob already.", index)})
		}
		if about.CannerID == mine.CannerID && mine.CannerID != "" && !slices.Contains([]run.Phase{run.Cooling}, on.State.Phase) {
			return unprocessable([]error{field("body.load", upper(mine.Canner)+" has a load in it. Clear that first, or take another canner.", index)})
		}
	}
	return s.stove.Open(ctx, kept)
}

// sameLoads says whether a batch has the same loads in another canner: a day is planned by
// that.
func sameLoads(r, other batch.Request, k batch.Kitchen) error {
	p, err := batch.Make(r, k)
	if err != nil {
		return err
	}
	o, err := batch.Make(other, k)
	if err != nil {
		return err
	}
	if o.Canner.ID != other.Canner || !o.SameLoads(p) {
		return unprocessable([]error{field("body.canner", "Its loads are others in that canner. Accepted: a canner in which they are the same, or the batch's own.", other.Canner)})
	}
	return nil
}

// nextLoad is the first load of a batch that was not on the hob yet.
func (s *server) nextLoad(ctx context.Context, b store.Batch, k batch.Kitchen) (int, error) {
	p, err := batch.Make(b.Request, k)
	if err != nil {
		return 0, err
	}
	kept, err := store.Stove{Store: s.store}.LoadsOf(ctx, b.ID)
	if err != nil {
		return 0, s.storeProblem(err, "loads")
	}
	were := map[int]bool{}
	for _, l := range kept {
		were[aboutOf(l.About).Index] = true
	}
	for i := range p.Loads {
		if !were[i] {
			return i, nil
		}
	}
	if len(p.Loads) > 0 {
		return 0, unprocessable([]error{field("body.batch", "All its loads were on the hob. Save it as a new batch to run it again.", nil)})
	}
	return 0, nil
}

// practiceRun is a load of peaches in pints in the usual canner, and its pot.
func practiceRun(k batch.Kitchen) (store.KeptLoad, canner.Simulated, []jar.Jar, error) {
	altitude := measure.Altitude(0)
	if k.Altitude != nil {
		altitude = *k.Altitude
	}
	plain := batch.Kitchen{Altitude: &altitude, Units: k.Units, Schools: k.Schools, Memo: k.Memo}
	r := batch.First("peaches", plain)
	r.Jar, r.Amount, r.Pack = "pint", "7 jars", guide.Hot
	kept, p, err := opened(r, 0, plain)
	if err != nil {
		return kept, canner.Simulated{}, nil, err
	}
	pint, _ := jar.Find("pint")
	pot := canner.Simulated{
		Pot: p.Pot, Burner: canner.Burner{Watts: 4500, Kind: canner.Gas}, Boil: canner.BoilingPoint(altitude), Room: measure.Celsius(22), Litres: p.Water.Pour.Litres(),
	}
	return kept, pot, slices.Repeat([]jar.Jar{pint}, p.Loads[0].Count()), nil
}
