package server

import (
	"math"
	"slices"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/jar"
	"mellisca/core/syrup"
)

type waterBody struct {
	Grams   float64 `json:"grams"`
	Litres  float64 `json:"litres"`
	Cups    float64 `json:"cups"`
	Kitchen string  `json:"kitchen"`
}

type sweetenerBody struct {
	Name    string  `json:"name"`
	Grams   float64 `json:"grams"`
	Cups    float64 `json:"cups"`
	Kitchen string  `json:"kitchen"`
}

type publishedBody struct {
	ForLoad   string  `json:"forLoad"`
	WaterCups float64 `json:"waterCups"`
	SugarCups float64 `json:"sugarCups"`
}

type syrupBody struct {
	Brix          float64         `json:"brix"`
	StrengthName  *string         `json:"strengthName"`
	Litres        float64         `json:"litres"`
	LitresPerJar  float64         `json:"litresPerJar"`
	Water         waterBody       `json:"water"`
	Sweeteners    []sweetenerBody `json:"sweeteners" nullable:"false"`
	PublishedCups *publishedBody  `json:"publishedCups,omitempty"`
}

type syrupOutput struct{ Body syrupBody }

var syrupParams = []string{"jars", "jar", "strength", "brix", "waterParts", "sugarParts", "sweetener", "sparePercent", "litresPerJar"}

func registerSyrup(api huma.API) {
	calculator(api, huma.Operation{
		OperationID: "syrup", Path: "/api/syrup",
		Summary:     "What to measure out for the syrup of a load of jars",
		Description: "Say how strong with one of strength, brix, or waterParts with sugarParts.",
		Parameters: []*huma.Param{
			numberParam("jars", "How many jars, a whole number", true, 1, 500),
			param("jar", "The jar", true, jar.IDs()...),
			param("strength", "A named strength", false, strengthIDs()...),
			numberParam("brix", "Percent sugar by weight", false, 0, syrup.StrongestBrix),
			numberParam("waterParts", "Parts of water by volume, over 0", false, 0, 100),
			numberParam("sugarParts", "Parts of granulated sugar by volume", false, 0, 100),
			param("sweetener", "What sweetens it; sugar where left out", false, calculatorSweeteners...),
			numberParam("sparePercent", "Made over what the jars take; 10 where left out", false, 0, 50),
			numberParam("litresPerJar", "Liquid in each jar, over 0 to its capacity; 0.38 of it where left out", false, 0, 2),
		},
	}, syrupFor)
}

// calculatorSweeteners are those of the calculator's contract.
var calculatorSweeteners = []syrup.Sweetener{syrup.Sugar, syrup.HoneyHalf, syrup.Honey}

func strengthIDs() []syrup.Strength {
	var ids []syrup.Strength
	for _, n := range syrup.Strengths() {
		ids = append(ids, n.Strength)
	}
	return ids
}

func syrupFor(raw string) (*syrupOutput, error) {
	p := readParams(raw, syrupParams...)
	r := syrup.Request{SparePercent: syrup.DefaultSpare, Sweetener: syrup.Sugar}
	r.Jars = readJars(p)
	readJar(p, &r)
	readStrength(p, &r)
	if p.has("sweetener") {
		if r.Sweetener = syrup.Sweetener(p.text("sweetener")); !slices.Contains(calculatorSweeteners, r.Sweetener) {
			p.fail("sweetener", "is not known; accepted: sugar, honey-half, honey")
		}
	}
	if v, ok := p.between("sparePercent", 0, 50, false, " percent"); ok {
		r.SparePercent = v
	}
	if len(p.problems) > 0 {
		return nil, unprocessable(p.problems)
	}
	return &syrupOutput{syrupAnswer(syrup.Make(r))}, nil
}

func readJars(p *params) int {
	const accepts = "a whole number from 1 to 500"
	if !p.has("jars") {
		p.fail("jars", "is missing; accepted: "+accepts)
		return 0
	}
	n, ok := p.number("jars", accepts)
	if !ok {
		return 0
	}
	v, _ := n.Float64()
	if !n.IsInt() || v < 1 || v > 500 {
		p.fail("jars", "is out of range; accepted: "+accepts)
		return 0
	}
	return int(v)
}

func readJar(p *params, r *syrup.Request) {
	j, ok := jar.Find(jar.ID(p.text("jar")))
	switch {
	case !p.has("jar"):
		p.fail("jar", "is missing; accepted: one of "+ids(jar.IDs()))
	case !ok:
		p.fail("jar", "is not known; accepted: one of "+ids(jar.IDs()))
	}
	r.Jar = j
	most := 2.0 // with a jar that is not known, what the largest may hold is told
	if ok {
		most = j.Capacity.Litres()
	}
	if v, ok := p.between("litresPerJar", 0, most, true, " litres"); ok {
		r.LitresPerJar = v
	}
}

// readStrength takes exactly one way of saying how strong.
func readStrength(p *params, r *syrup.Request) {
	const accepts = "one of strength, brix, or waterParts with sugarParts"
	ratio := p.has("waterParts") || p.has("sugarParts")
	ways := 0
	for _, given := range []bool{p.has("strength"), p.has("brix"), ratio} {
		if given {
			ways++
		}
	}
	if ways == 0 {
		p.fail("strength", "is missing; accepted: "+accepts)
	}
	if ways > 1 {
		for _, name := range []string{"strength", "brix", "waterParts", "sugarParts"} {
			if p.has(name) {
				p.fail(name, "is given beside another strength; accepted: "+accepts)
			}
		}
		return
	}
	if p.has("strength") {
		n, ok := syrup.FindStrength(syrup.Strength(p.text("strength")))
		if !ok {
			p.fail("strength", "is not known; accepted: "+ids(strengthIDs()))
		}
		r.Strength, r.Brix = n.Strength, n.Brix
	}
	if v, ok := p.between("brix", 0, syrup.StrongestBrix, false, " °Brix"); ok {
		r.Brix = v
	}
	if ratio {
		readRatio(p, r)
	}
}

func readRatio(p *params, r *syrup.Request) {
	for _, name := range []string{"waterParts", "sugarParts"} {
		if !p.has(name) {
			p.fail(name, "is missing; accepted: waterParts and sugarParts together")
		}
	}
	water, okWater := p.between("waterParts", 0, 100, true, " parts")
	sugar, okSugar := p.between("sugarParts", 0, 100, false, " parts")
	if !okWater || !okSugar {
		return
	}
	if r.Brix = syrup.RatioBrix(water, sugar); r.Brix > syrup.StrongestBrix {
		p.fail("sugarParts", "makes it stronger than 65 °Brix, which does not stay dissolved; accepted: less sugar to the water")
	}
}

func syrupAnswer(r syrup.Recipe) syrupBody {
	b := syrupBody{
		Brix: rounded(r.Brix, 2), Litres: rounded(r.Litres, 3), LitresPerJar: rounded(r.LitresPerJar, 4),
		Water:      waterBody{rounded(r.Water.Grams, 1), rounded(r.Water.Litres(), 3), rounded(r.Water.Cups, 2), r.Water.Kitchen},
		Sweeteners: []sweetenerBody{},
	}
	if n, ok := syrup.Nearest(r.Brix); ok {
		b.StrengthName = orNull(n.Strength)
	}
	for _, s := range r.Sweeteners {
		b.Sweeteners = append(b.Sweeteners, sweetenerBody{s.Name, rounded(s.Grams, 1), rounded(s.Cups, 2), s.Kitchen})
	}
	if r.Published != nil {
		b.PublishedCups = &publishedBody{r.Published.ForLoad, r.Published.WaterCups, r.Published.SugarCups}
	}
	return b
}

// rounded rounds half away from zero. A half that the arithmetic left a hair
// short of one counts as a half.
func rounded(x float64, places int) float64 {
	f := math.Pow10(places)
	return math.Round(x*f*(1+1e-13)) / f
}

func ids[T ~string](all []T) string {
	s := ""
	for i, id := range all {
		if i > 0 {
			s += ", "
		}
		s += string(id)
	}
	return s
}
