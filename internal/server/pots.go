package server

import (
	"context"
	"fmt"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/canner"
	"mellisca/core/measure"
	"mellisca/internal/store"
)

// PotFields is a canner or a cooking pot as a cook measures it.
type PotFields struct {
	Name   string `json:"name" maxLength:"80"`
	Kind   string `json:"kind" enum:"boiling-water,steam,electric,cooking"`
	Across string `json:"across" required:"false" maxLength:"60" doc:"inside, as typed: 31.5 cm; empty for a rectangular one"`
	Length string `json:"length" required:"false" maxLength:"60"`
	Width  string `json:"width" required:"false" maxLength:"60"`
	Depth  string `json:"depth" maxLength:"60"`
	Rack   string `json:"rack" required:"false" maxLength:"60" doc:"height of the rack; 1.5 cm where left out"`
	Weight string `json:"weight" required:"false" maxLength:"60" doc:"of the empty pot; 1.8 kg where left out"`
	Watts  int    `json:"watts" required:"false" minimum:"0" maximum:"40000" doc:"of an electric one"`
	Burner string `json:"burner" required:"false" maxLength:"40" doc:"the id of the burner it uses"`
}

type takesBody struct {
	Jar  string `json:"jar"`
	Text string `json:"text" doc:"7 quarts, or why none"`
	None bool   `json:"none" doc:"the pot does not take them"`
}

type potBody struct {
	ID string `json:"id"`
	PotFields
	Takes []takesBody `json:"takes" nullable:"false" doc:"of each jar of the kitchen, in one layer"`
}

// BurnerFields is a burner as its maker rates it.
type BurnerFields struct {
	Name     string `json:"name" maxLength:"80"`
	Kind     string `json:"kind" enum:"gas,coil,induction"`
	Watts    int    `json:"watts" minimum:"200" maximum:"40000"`
	Across   string `json:"across" required:"false" maxLength:"60"`
	Outdoors bool   `json:"outdoors" required:"false"`
	GlassTop bool   `json:"glassTop" required:"false"`
}

type burnerBody struct {
	ID string `json:"id"`
	BurnerFields
}

type potsOutput struct {
	Body struct {
		Pots    []potBody    `json:"pots" nullable:"false"`
		Burners []burnerBody `json:"burners" nullable:"false"`
	}
}

type PotID struct {
	ID string `path:"id" maxLength:"40"`
}

func (s *server) registerPots(api huma.API) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 422}}
	}
	huma.Register(api, op("pots", "GET", "/api/pots", "Canners, cooking pots and burners of the kitchen, with what each canner takes"),
		func(ctx context.Context, _ *struct{}) (*potsOutput, error) { return s.pots(ctx) })
	keepPot := func(ctx context.Context, id string, f PotFields) (*potsOutput, error) {
		p, err := f.pot()
		if err != nil {
			return nil, err
		}
		p.ID = id
		if _, err := s.store.KeepPot(ctx, p); err != nil {
			return nil, s.storeProblem(err, "pot")
		}
		return s.pots(ctx)
	}
	huma.Register(api, op("add-pot", "POST", "/api/pots", "Keep a pot"),
		func(ctx context.Context, in *struct{ Body PotFields }) (*potsOutput, error) {
			return keepPot(ctx, "", in.Body)
		})
	huma.Register(api, op("change-pot", "PUT", "/api/pots/{id}", "Change a pot"), func(ctx context.Context, in *struct {
		PotID
		Body PotFields
	}) (*potsOutput, error) {
		return keepPot(ctx, in.ID, in.Body)
	})
	huma.Register(api, op("remove-pot", "DELETE", "/api/pots/{id}", "Take a pot out of the kitchen"), func(ctx context.Context, in *PotID) (*potsOutput, error) {
		if err := s.store.RemovePot(ctx, in.ID); err != nil {
			return nil, s.storeProblem(err, "pot")
		}
		return s.pots(ctx)
	})
	keepBurner := func(ctx context.Context, id string, f BurnerFields) (*potsOutput, error) {
		b, err := f.burner()
		if err != nil {
			return nil, err
		}
		b.ID = id
		if _, err := s.store.KeepBurner(ctx, b); err != nil {
			return nil, s.storeProblem(err, "burner")
		}
		return s.pots(ctx)
	}
	huma.Register(api, op("add-burner", "POST", "/api/burners", "Keep a burner"),
		func(ctx context.Context, in *struct{ Body BurnerFields }) (*potsOutput, error) {
			return keepBurner(ctx, "", in.Body)
		})
	huma.Register(api, op("change-burner", "PUT", "/api/burners/{id}", "Change a burner"), func(ctx context.Context, in *struct {
		PotID
		Body BurnerFields
	}) (*potsOutput, error) {
		return keepBurner(ctx, in.ID, in.Body)
	})
	huma.Register(api, op("remove-burner", "DELETE", "/api/burners/{id}", "Take a burner out of the kitchen"), func(ctx context.Context, in *PotID) (*potsOutput, error) {
		if err := s.store.RemoveBurner(ctx, in.ID); err != nil {
			return nil, s.storeProblem(err, "burner")
		}
		return s.pots(ctx)
	})
}

func (s *server) pots(ctx context.Context) (*potsOutput, error) {
	k, units, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	pots, err := s.store.Pots(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "pots")
	}
	burners, err := s.store.Burners(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "burners")
	}
	out := &potsOutput{}
	out.Body.Pots, out.Body.Burners = []potBody{}, []burnerBody{}
	length := func(l measure.Length) string {
		if l == 0 {
			return ""
		}
		return l.Exact(units)
	}
	for _, p := range pots {
		b := potBody{p.ID, PotFields{
			p.Name, string(p.Kind), length(p.Diameter), length(p.Pot.Length), length(p.Width), length(p.Depth), length(p.Rack),
			p.Steel.Text(units), p.Watts, p.Burner,
		}, []takesBody{}}
		if p.Kind != store.Cooking {
			b.Takes = takes(p.Pot, k)
		}
		out.Body.Pots = append(out.Body.Pots, b)
	}
	for _, o := range burners {
		out.Body.Burners = append(out.Body.Burners, burnerBody{o.ID, BurnerFields{o.Name, string(o.Kind), int(o.Watts), length(o.Across), o.Outdoors, o.GlassTop}})
	}
	return out, nil
}

// takes says how many of each jar a canner takes in one layer, under an inch of
// water, or by how much it is too shallow.
func takes(p canner.Pot, k batch.Kitchen) []takesBody {
	all := []takesBody{}
	for _, j := range batch.JarsOf(k) {
		t := takesBody{Jar: string(j.ID)}
		n := k.Memo.Capacity(p, j)
		err := p.Deep(j, measure.Inch)
		switch {
		case p.Kind == canner.Steam:
			err = nil
		case err == nil && p.Deep(j, 2*measure.Inch) != nil:
			t.Text = ", up to 30 min"
		}
		switch {
		case n == 0:
			t.Text, t.None = j.Many+": too narrow", true
		case err != nil:
			t.Text, t.None = strings.ToUpper(j.Many[:1])+j.Many[1:]+": "+strings.TrimSuffix(err.Error(), " for "+j.Many), true
		default:
			t.Text = j.Count(n) + t.Text
		}
		all = append(all, t)
	}
	return all
}

// pot reads the fields, or a problem that names each that is not understood.
func (f PotFields) pot() (store.Pot, error) {
	var problems []error
	length := func(name, typed string, otherwise measure.Length, least, most float64) measure.Length {
		if strings.TrimSpace(typed) == "" {
			return otherwise
		}
		l, err := measure.ParseLength(typed)
		switch {
		case err != nil:
			problems = append(problems, field("body."+name, err.Error(), typed))
		case l.Centimetres() < least || l.Centimetres() > most:
			problems = append(problems, field("body."+name, fmt.Sprintf("Accepted: %g to %g cm.", least, most), typed))
		}
		return l
	}
	p := store.Pot{Burner: f.Burner, Watts: f.Watts, Pot: canner.Pot{Name: strings.TrimSpace(f.Name), Kind: canner.Kind(f.Kind), Steel: canner.Default.Steel}}
	if p.Name == "" {
		problems = append(problems, field("body.name", "Give it a name, such as the big kettle.", f.Name))
	}
	p.Diameter = length("across", f.Across, 0, 5, 200)
	p.Pot.Length = length("length", f.Length, 0, 5, 200)
	p.Width = length("width", f.Width, 0, 5, 200)
	p.Depth = length("depth", f.Depth, 0, 3, 200)
	p.Rack = length("rack", f.Rack, canner.Default.Rack, 0, 10)
	rectangular := p.Pot.Length > 0 && p.Width > 0
	if len(problems) == 0 && (p.Diameter > 0) == rectangular {
		problems = append(problems, field("body.across", "Say how wide it is inside: across a round one, or length and width of a rectangular one.", f.Across))
	}
	if p.Diameter > 0 {
		p.Pot.Length, p.Width = 0, 0
	}
	if p.Depth == 0 {
		problems = append(problems, field("body.depth", "Say how deep it is inside, such as 28 cm.", f.Depth))
	}
	if strings.TrimSpace(f.Weight) != "" {
		m, err := measure.ParseMass(f.Weight)
		if err != nil || m > 50*measure.Kilogram {
			problems = append(problems, field("body.weight", "Accepted: the weight of the empty pot, such as 1.8 kg, up to 50 kg.", f.Weight))
		}
		p.Steel = m
	}
	if p.Kind == canner.Electric && p.Watts == 0 {
		problems = append(problems, field("body.watts", "Say how many watts it has: it is on its plate.", f.Watts))
	}
	if len(problems) > 0 {
		return p, unprocessable(problems)
	}
	return p, nil
}

func (f BurnerFields) burner() (store.Burner, error) {
	b := store.Burner{Outdoors: f.Outdoors, GlassTop: f.GlassTop}
	b.Name, b.Kind, b.Watts = strings.TrimSpace(f.Name), canner.BurnerKind(f.Kind), float64(f.Watts)
	var problems []error
	if b.Name == "" {
		problems = append(problems, field("body.name", "Give it a name, such as front left.", f.Name))
	}
	if strings.TrimSpace(f.Across) != "" {
		l, err := measure.ParseLength(f.Across)
		if err != nil || l > measure.Metre {
			problems = append(problems, field("body.across", "Accepted: how wide it is, such as 9 in, up to 1 m.", f.Across))
		}
		b.Across = l
	}
	if len(problems) > 0 {
		return b, unprocessable(problems)
	}
	return b, nil
}

// canners are the kitchen's own, each with the burner it stands on, and the pots
// that fruit is cooked in.
func (s *server) canners(ctx context.Context) (all []batch.Canner, cooking []canner.Pot, err error) {
	pots, err := s.store.Pots(ctx)
	if err != nil {
		return nil, nil, err
	}
	burners, err := s.store.Burners(ctx)
	if err != nil {
		return nil, nil, err
	}
	for _, p := range pots {
		if p.Kind == store.Cooking {
			cooking = append(cooking, p.Pot)
			continue
		}
		c := batch.Canner{ID: p.ID, Pot: p.Pot}
		for _, b := range burners {
			if b.ID == p.Burner {
				c.Burner, c.Across, c.Outdoors, c.GlassTop = &b.Burner, b.Across, b.Outdoors, b.GlassTop
			}
		}
		if p.Kind == canner.Electric {
			// Its own heat goes into the water as that of an immersed coil does.
			c.Burner = &canner.Burner{Name: p.Name, Kind: canner.Induction, Watts: float64(p.Watts)}
			c.Across = 0
		}
		all = append(all, c)
	}
	return all, cooking, nil
}
