package server

import (
	"encoding/json"
	"reflect"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// codeText is a code with what it means in words.
type codeText struct {
	Code string `json:"code"`
	Text string `json:"text"`
}

type wayText struct {
	Way  string `json:"way" enum:"freeze,refrigerate,own-source,other-guide,add-on-opening"`
	Text string `json:"text"`
}

type bandBody struct {
	FromFt *int `json:"fromFt"`
	ToFt   *int `json:"toFt"`
}

type amountBody struct {
	Amount float64 `json:"amount"`
	Unit   string  `json:"unit" enum:"tsp,tbsp"`
}

type batchAmountBody struct {
	Amount float64 `json:"amount"`
	Unit   string  `json:"unit" enum:"tsp,tbsp"`
	Makes  string  `json:"makes"`
}

type acidBody struct {
	What     string           `json:"what"`
	PerJar   *amountBody      `json:"perJar"`
	PerBatch *batchAmountBody `json:"perBatch"`
	Or       []acidOrBody     `json:"or" nullable:"false"`
}

type acidOrBody struct {
	What     string           `json:"what"`
	PerJar   *amountBody      `json:"perJar"`
	PerBatch *batchAmountBody `json:"perBatch"`
}

type sourceBody struct {
	Title   string `json:"title"`
	Part    string `json:"part"`
	Edition int    `json:"edition"`
}

// AskedBody is what was judged, with defaults filled in.
type AskedBody struct {
	Product    string  `json:"product"`
	Kind       *string `json:"kind" doc:"null where the product has no single kind that it was tested with"`
	Form       *string `json:"form"`
	Pack       string  `json:"pack"`
	Jar        string  `json:"jar"`
	Method     string  `json:"method"`
	Thickener  string  `json:"thickener"`
	AltitudeFt int     `json:"altitudeFt"`
}

type testedBody struct {
	Verdict string `json:"verdict" enum:"tested"`
	AskedBody
	TestedAs            string     `json:"testedAs"`
	Minutes             int        `json:"minutes"`
	AltitudeBand        bandBody   `json:"altitudeBand"`
	HeadspaceInches     float64    `json:"headspaceInches"`
	SterileJars         bool       `json:"sterileJars"`
	SterileMinutes      *int       `json:"sterileMinutes"`
	WaterOverJarsInches *int       `json:"waterOverJarsInches"`
	Acid                *acidBody  `json:"acid"`
	Cautions            []codeText `json:"cautions" nullable:"false"`
	Source              sourceBody `json:"source"`
}

type refusedBody struct {
	Verdict string `json:"verdict" enum:"refused"`
	AskedBody
	Reasons      []codeText        `json:"reasons" nullable:"false"`
	Alternatives []alternativeBody `json:"alternatives" nullable:"false"`
	Instead      []wayText         `json:"instead" nullable:"false"`
}

type alternativeBody struct {
	Product   string `json:"product"`
	Kind      string `json:"kind,omitempty"`
	Form      string `json:"form,omitempty"`
	Thickener string `json:"thickener,omitempty"`
	Pack      string `json:"pack"`
	Jar       string `json:"jar"`
	Method    string `json:"method"`
	Minutes   int    `json:"minutes"`
}

// verdictBody is either of the two answers.
type verdictBody struct{ answer any }

// MarshalJSON sends the answer itself.
func (b verdictBody) MarshalJSON() ([]byte, error) { return json.Marshal(b.answer) }

// Schema describes either answer.
func (verdictBody) Schema(r huma.Registry) *huma.Schema {
	return &huma.Schema{OneOf: []*huma.Schema{
		r.Schema(reflect.TypeFor[testedBody](), true, "TestedVerdict"),
		r.Schema(reflect.TypeFor[refusedBody](), true, "RefusedVerdict"),
	}}
}

type verdictOutput struct{ Body verdictBody }

var processTimeParams = []string{"product", "pack", "jar", "altitudeFt", "altitudeM", "method", "thickener", "form", "kind"}

func registerProcessTime(api huma.API) {
	products := guide.Products()
	ids := make([]guide.Product, len(products))
	for i, p := range products {
		ids[i] = p.ID
	}
	calculator(api, huma.Operation{
		OperationID: "process-time", Path: "/api/process-time",
		Summary:     "The tested process time for a way of packing, or why there is none",
		Description: "A refusal is an answer (200). A value that is not understood is a problem (422), never a time.",
		Parameters: []*huma.Param{
			param("product", "What is canned", true, ids...),
			param("pack", "Raw or hot", true, guide.Packs()...),
			param("jar", "The jar", true, jar.IDs()...),
			numberParam("altitudeFt", "Altitude in feet; this or altitudeM", false, measure.LowestFeet, measure.HighestFeet),
			numberParam("altitudeM", "Altitude in metres; this or altitudeFt", false, -426.999, 4572),
			param("method", "What is done to the jars; boiling-water where left out", false, guide.Methods()...),
			param("thickener", "What thickens it; the product's own where left out", false, guide.Thickeners()...),
			param("form", "How the fruit is cut; as tested where left out", false, guide.Forms()...),
			param[string]("kind", "The kind of fruit, one that belongs to the product", false),
		},
	}, processTime)
}

func processTime(raw string) (*verdictOutput, error) {
	p := readParams(raw, processTimeParams...)
	altitude := readAltitude(p)
	q := guide.Query{
		Product: guide.Product(p.text("product")), Kind: guide.Kind(p.text("kind")), Form: guide.Form(p.text("form")),
		Pack: guide.Pack(p.text("pack")), Jar: jar.ID(p.text("jar")), Method: guide.Method(p.text("method")),
		Thickener: guide.Thickener(p.text("thickener")), Altitude: altitude,
	}
	for _, problem := range guide.Check(q) {
		if problem.Given == "" {
			p.fail(problem.Field, "is missing; accepted: "+problem.Accepts)
		} else {
			p.fail(problem.Field, "is not known; accepted: "+problem.Accepts)
		}
	}
	if len(p.problems) > 0 {
		return nil, unprocessable(p.problems)
	}
	v, err := guide.Judge(q)
	if err != nil {
		return nil, err
	}
	return &verdictOutput{verdictBody{verdictAnswer(v)}}, nil
}

const altitudeAccepts = "altitudeFt from -1400 to 15000, or the same in metres as altitudeM"

// readAltitude takes exactly one of the two spellings.
func readAltitude(p *params) measure.Altitude {
	ft, m := p.has("altitudeFt"), p.has("altitudeM")
	switch {
	case ft && m:
		p.fail("altitudeFt", "is given as well as altitudeM; accepted: one of them")
		p.fail("altitudeM", "is given as well as altitudeFt; accepted: one of them")
		return 0
	case !ft && !m:
		p.fail("altitudeFt", "is missing; accepted: "+altitudeAccepts)
		return 0
	}
	name, from := "altitudeFt", measure.AltitudeFromFeet
	if m {
		name, from = "altitudeM", measure.AltitudeFromMetres
	}
	n, ok := p.number(name, altitudeAccepts)
	if !ok {
		return 0
	}
	a, err := from(n)
	if err != nil {
		p.fail(name, "is out of range: "+err.Error()+"; accepted: "+altitudeAccepts)
	}
	return a
}

func verdictAnswer(v guide.Verdict) any {
	asked := AskedBody{
		Product: string(v.Product), Kind: orNull(v.Kind), Form: orNull(v.Form), Pack: string(v.Pack), Jar: string(v.Jar),
		Method: string(v.Method), Thickener: string(v.Thickener), AltitudeFt: v.Altitude.Feet(),
	}
	if v.Tested == nil {
		b := refusedBody{Verdict: "refused", AskedBody: asked, Reasons: reasonBodies(v.Reasons), Alternatives: []alternativeBody{}, Instead: insteadBodies(v.Instead)}
		for _, a := range v.Alternatives {
			b.Alternatives = append(b.Alternatives, alternativeBody{
				string(a.Product), string(a.Kind), string(a.Form), string(a.Thickener), string(a.Pack), string(a.Jar), string(a.Method), a.Minutes,
			})
		}
		return b
	}
	t := v.Tested
	return testedBody{
		Verdict: "tested", AskedBody: asked, TestedAs: string(t.TestedAs.ID()), Minutes: t.Minutes,
		AltitudeBand: bandBody{t.Band.FromFt, t.Band.ToFt}, HeadspaceInches: t.Headspace,
		SterileJars: t.SterileMinutes > 0, SterileMinutes: orNone(t.SterileMinutes), WaterOverJarsInches: orNone(t.WaterOverJars),
		Acid: acidAnswer(t.Acid), Cautions: cautionBodies(t.Cautions), Source: sourceBody(t.Source),
	}
}

func acidAnswer(a *guide.Acid) *acidBody {
	if a == nil {
		return nil
	}
	b := acidBody{What: a.What, Or: []acidOrBody{}}
	b.PerJar, b.PerBatch = acidAmounts(*a)
	for _, o := range a.Or {
		or := acidOrBody{What: o.What}
		or.PerJar, or.PerBatch = acidAmounts(o)
		b.Or = append(b.Or, or)
	}
	return &b
}

func acidAmounts(a guide.Acid) (*amountBody, *batchAmountBody) {
	var jarAmount *amountBody
	var batchAmount *batchAmountBody
	if a.PerJar != nil {
		jarAmount = &amountBody{a.PerJar.Amount, a.PerJar.Unit}
	}
	if a.PerBatch != nil {
		batchAmount = &batchAmountBody{a.PerBatch.Amount.Amount, a.PerBatch.Unit, a.PerBatch.Makes}
	}
	return jarAmount, batchAmount
}

func reasonBodies(rs []guide.Reason) []codeText {
	out := []codeText{}
	for _, r := range rs {
		out = append(out, codeText{r.Code.String(), r.Text})
	}
	return out
}

func cautionBodies(cs []guide.Caution) []codeText {
	out := []codeText{}
	for _, c := range cs {
		out = append(out, codeText{c.Code, c.Text})
	}
	return out
}

func insteadBodies(is []guide.Instead) []wayText {
	out := []wayText{}
	for _, i := range is {
		out = append(out, wayText{i.Way, i.Text})
	}
	return out
}

func orNull[T ~string](v T) *string {
	if v == "" {
		return nil
	}
	s := string(v)
	return &s
}

func orNone(n int) *int {
	if n == 0 {
		return nil
	}
	return &n
}
