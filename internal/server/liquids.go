package server

import (
	"context"
	"errors"
	"fmt"
	"math"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/measure"
)

// choiceOfLiquid is one liquid among those a product may be packed in.
type choiceOfLiquid struct {
	Name    string     `json:"name"`
	Liquid  liquidBody `json:"liquid" doc:"to be put into the request"`
	Chosen  bool       `json:"chosen"`
	Brix    *float64   `json:"brix" doc:"of what goes into the jar; null where nobody measured it"`
	About   bool       `json:"about" doc:"a usual figure, not made or measured"`
	CutOut  *float64   `json:"cutOut" doc:"of the jar after about two weeks; null where it cannot be told"`
	Serving string     `json:"serving" doc:"sugar added to half a cup of what is in the jar"`
	Cost    string     `json:"cost" doc:"for the batch; empty where a price is missing"`
}

type liquidsBody struct {
	Jars      string           `json:"jars"`
	FruitBrix *float64         `json:"fruitBrix" doc:"of the fruit by itself; null where there is no figure"`
	Choices   []choiceOfLiquid `json:"choices" nullable:"false" doc:"weakest first; none where the product brings its own liquid"`
}

type pricesBody struct {
	Sugar  string `json:"sugar" required:"false" maxLength:"60" doc:"as typed: 3.49 for 4 lb"`
	Honey  string `json:"honey" required:"false" maxLength:"60"`
	Corn   string `json:"corn" required:"false" maxLength:"60" doc:"light corn syrup"`
	Juice  string `json:"juice" required:"false" maxLength:"60" doc:"bought juice, by volume"`
	Lid    string `json:"lid" required:"false" maxLength:"60" doc:"new flat lids: 4.29 for 12"`
	Jar    string `json:"jar" required:"false" maxLength:"60" doc:"a jar: 14 for 12"`
	Hour   string `json:"hour" required:"false" maxLength:"60" doc:"an hour of a burner"`
	Bought string `json:"bought" required:"false" maxLength:"60" doc:"such fruit bought in jars, by volume: 4.50 a quart"`
}

type adjustBody struct {
	Have    string `json:"have" required:"false" maxLength:"60" doc:"as typed: 1.3 l"`
	Reading string `json:"reading" required:"false" maxLength:"60" doc:"°Brix on the refractometer"`
	At      string `json:"at" required:"false" maxLength:"60" doc:"temperature of the prism; 20 °C where left out"`
	Water   string `json:"water" required:"false" maxLength:"60" doc:"put in, where it was not read: 4 cups"`
	Sugar   string `json:"sugar" required:"false" maxLength:"60"`
	Brown   string `json:"brown" required:"false" maxLength:"60"`
	Honey   string `json:"honey" required:"false" maxLength:"60"`
	Corn    string `json:"corn" required:"false" maxLength:"60"`
	Want    string `json:"want" maxLength:"60" doc:"°Brix wanted"`
	Need    string `json:"need" required:"false" maxLength:"60" doc:"how much is needed in all"`
}

type adjustedBody struct {
	Is     string        `json:"is" doc:"what the syrup at hand is"`
	Do     string        `json:"do" doc:"what to do with it"`
	Stir   []measureBody `json:"stir" nullable:"false" doc:"what to stir in"`
	Gives  string        `json:"gives"`
	Why    string        `json:"why" doc:"the formula with its figures; empty where nothing is stirred in"`
	Beside string        `json:"beside" doc:"what to make or keep beside it; empty where nothing"`
	Fresh  []measureBody `json:"fresh" nullable:"false" doc:"what to make beside it, where it does not reach"`
}

func (s *server) registerLiquids(api huma.API) {
	huma.Register(api, huma.Operation{
		OperationID: "liquids", Method: "POST", Path: "/api/liquids", MaxBodyBytes: mostBody, Errors: []int{422},
		Summary: "Every liquid of a batch side by side: strength, cut-out, sugar, cost",
	}, func(ctx context.Context, in *struct {
		Body struct {
			Request   requestBody `json:"request"`
			FruitBrix float64     `json:"fruitBrix" required:"false" minimum:"0" maximum:"40" doc:"read of the fruit; the usual figure where left out"`
		}
	}) (*struct{ Body liquidsBody }, error) {
		return s.liquids(ctx, in.Body.Request, in.Body.FruitBrix)
	})
	huma.Register(api, huma.Operation{
		OperationID: "prices", Method: "GET", Path: "/api/prices", Summary: "What sweeteners and juice cost, as typed",
	}, func(ctx context.Context, _ *struct{}) (*struct{ Body pricesBody }, error) { return s.pricesAnswer(ctx) })
	huma.Register(api, huma.Operation{
		OperationID: "set-prices", Method: "PUT", Path: "/api/prices", MaxBodyBytes: mostBody, Errors: []int{422}, Summary: "Say what sweeteners and juice cost",
	}, func(ctx context.Context, in *struct{ Body pricesBody }) (*struct{ Body pricesBody }, error) {
		if _, problems := in.Body.read(); len(problems) > 0 {
			return nil, unprocessable(problems)
		}
		b := in.Body
		if err := s.store.SetPrices(ctx, map[string]string{
			"sugar": b.Sugar, "honey": b.Honey, "corn": b.Corn, "juice": b.Juice, "lid": b.Lid, "jar": b.Jar, "hour": b.Hour, "bought": b.Bought,
		}); err != nil {
			return nil, s.storeProblem(err, "prices")
		}
		return s.pricesAnswer(ctx)
	})
	huma.Register(api, huma.Operation{
		OperationID: "adjust-syrup", Method: "POST", Path: "/api/syrup/adjust", MaxBodyBytes: mostBody, Errors: []int{422},
		Summary: "What turns a syrup at hand into the strength wanted",
	}, func(ctx context.Context, in *struct{ Body adjustBody }) (*struct{ Body adjustedBody }, error) {
		k, _, err := s.kitchenNow(ctx)
		if err != nil {
			return nil, err
		}
		a, err := batch.Adjust(batch.Measured(in.Body))
		var ps batch.Problems
		if errors.As(err, &ps) {
			return nil, bodyProblems(ps, "body.")
		}
		return &struct{ Body adjustedBody }{adjustedAnswer(a, scaleOf(k))}, err
	})
}

func (s *server) liquids(ctx context.Context, b requestBody, fruitBrix float64) (*struct{ Body liquidsBody }, error) {
	k, units, err := s.kitchenNow(ctx)
	if err != nil {
		return nil, err
	}
	r, err := b.request()
	var c batch.Comparison
	if err == nil {
		c, err = batch.Compare(r, k, k.Prices, fruitBrix)
	}
	var ps batch.Problems
	if errors.As(err, &ps) {
		return nil, bodyProblems(ps, "body.request.")
	}
	if err != nil {
		return nil, err
	}
	out := liquidsBody{Choices: []choiceOfLiquid{}, Jars: c.Jar.Count(c.Jars)}
	if c.FruitBrix > 0 {
		out.FruitBrix = &c.FruitBrix
	}
	for _, o := range c.Choices {
		out.Choices = append(out.Choices, choiceOf(o, units))
	}
	return &struct{ Body liquidsBody }{out}, nil
}

func choiceOf(o batch.Choice, units measure.System) choiceOfLiquid {
	b := choiceOfLiquid{Name: o.Name, Liquid: liquidOf(o.Liquid), Chosen: o.Chosen, About: o.BrixAbout}
	if o.BrixKnown {
		brix := rounded(o.Brix, 1)
		b.Brix = &brix
		b.Serving = "none"
		if o.SugarPerServing > 0 {
			b.Serving = fmt.Sprintf("%.0f g", math.Max(1, o.SugarPerServing))
		}
	}
	if o.CutOut > 0 {
		cut := rounded(o.CutOut, 1)
		b.CutOut = &cut
	}
	if o.Cents != nil {
		b.Cost = measure.Money(*o.Cents)
	}
	return b
}

func (s *server) pricesAnswer(ctx context.Context) (*struct{ Body pricesBody }, error) {
	p, err := s.store.Prices(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "prices")
	}
	return &struct{ Body pricesBody }{pricesBody{p["sugar"], p["honey"], p["corn"], p["juice"], p["lid"], p["jar"], p["hour"], p["bought"]}}, nil
}

// read reads the prices, with a problem for each that is not understood.
func (b pricesBody) read() (batch.Prices, []error) {
	var problems []error
	price := func(name, typed string, by func(measure.Price) (float64, bool), of string) float64 {
		if strings.TrimSpace(typed) == "" {
			return 0
		}
		p, err := measure.ParsePrice(typed)
		if err != nil {
			problems = append(problems, field("body."+name, err.Error(), typed))
			return 0
		}
		cents, ok := by(p)
		if !ok {
			problems = append(problems, field("body."+name, "Say it by "+of+".", typed))
		}
		return cents
	}
	each := func(name, typed string) float64 {
		if strings.TrimSpace(typed) == "" {
			return 0
		}
		cents, err := measure.ParseEach(typed)
		if err != nil {
			problems = append(problems, field("body."+name, err.Error(), typed))
		}
		return cents
	}
	perKilo := func(p measure.Price) (float64, bool) { return p.CentsPerKilogram() }
	prices := batch.Prices{
		SugarPerKg: price("sugar", b.Sugar, perKilo, "weight: 3.49 for 4 lb"),
		HoneyPerKg: price("honey", b.Honey, perKilo, "weight: 12 a kg"),
		CornPerKg:  price("corn", b.Corn, perKilo, "weight: 4 a kg"),
		JuicePerLitre: price("juice", b.Juice, func(p measure.Price) (float64, bool) { return p.CentsPerLitre() },
			"volume: 2.50 for 2 l"),
		Lid: each("lid", b.Lid), Jar: each("jar", b.Jar), Hour: each("hour", b.Hour),
		BoughtPerLitre: price("bought", b.Bought, func(p measure.Price) (float64, bool) { return p.CentsPerLitre() },
			"volume: 4.50 a quart"),
	}
	return prices, problems
}

func adjustedAnswer(a batch.Adjusted, in scale) adjustedBody {
	units := in.units
	litres := func(l float64) string { return measure.Litres(l).Text(units) }
	b := adjustedBody{Is: fmt.Sprintf("You have %s at %v °Brix.", litres(a.Litres), rounded(a.Brix, 1)), Stir: []measureBody{}, Fresh: []measureBody{}}
	if a.Read > 0 && a.Read != a.Brix {
		b.Is = fmt.Sprintf("You have %s at %v °Brix: the reading of %v, corrected for the warmth of the prism.", litres(a.Litres), rounded(a.Brix, 1), rounded(a.Read, 1))
	}
	switch {
	case a.Stir.Sugar.Grams > 0:
		b.Do = "Stir in sugar and warm it until it is clear:"
		b.Stir = append(b.Stir, in.measured(a.Stir.Sugar.Name, a.Stir.Sugar.Kitchen, measure.Grams(a.Stir.Sugar.Grams).Text(units)))
	case a.Stir.Water.Grams > 0:
		b.Do = "Stir in water:"
		b.Stir = append(b.Stir, in.measured("water", a.Stir.Water.Kitchen, measure.Litres(a.Stir.Water.Litres()).Text(measure.Metric)))
	default:
		b.Do = "It is as strong as you want it."
	}
	b.Gives = fmt.Sprintf("That gives %s at %v °Brix.", litres(a.Stir.Litres), rounded(a.Want, 1))
	b.Why = a.Formula()
	switch {
	case a.Fresh != nil:
		b.Beside = fmt.Sprintf("It does not reach: make %s more beside it.", litres(a.FreshBy))
		b.Fresh = append(b.Fresh, in.measured("water", a.Fresh.Water.Kitchen, measure.Litres(a.Fresh.Water.Litres()).Text(measure.Metric)))
		for _, p := range a.Fresh.Sweeteners {
			b.Fresh = append(b.Fresh, in.measured(p.Name, p.Kitchen, measure.Grams(p.Grams).Text(units)))
		}
	case a.Over > 0.0005:
		b.Beside = litres(a.Over) + " is over. " + batch.KeepSyrup
	}
	return b
}
