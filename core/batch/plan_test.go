package batch

import (
	"strings"
	"testing"

	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
	"mellisca/core/syrup"
)

func corvane(t testing.TB) Kitchen {
	t.Helper()
	a, err := measure.ParseAltitude("3,480 ft")
	if err != nil {
		t.Fatal(err)
	}
	return Kitchen{Altitude: &a, Units: measure.US}
}

func peaches() Request {
	return Request{
		Product: "peaches", Kind: "freestone", Form: "halves", Pack: guide.Hot, Jar: "quart", Amount: "12 lb",
		Liquid: Liquid{Kind: Syrup, Strength: "light"},
	}
}

func makeOK(t testing.TB, r Request, k Kitchen) Plan {
	t.Helper()
	p, err := Make(r, k)
	if err != nil {
		t.Fatalf("%+v: %v", r, err)
	}
	return p
}

func TestPlanFromFruit(t *testing.T) {
	p := makeOK(t, peaches(), corvane(t))
	if p.Status != Tested || p.Verdict.Tested.Minutes != 35 || *p.Jars != (JarCount{5, 4, 6, false, true, 0}) {
		t.Fatalf("%s %+v %+v", p.Status, p.Verdict, p.Jars)
	}
	if p.Pour.Syrup.Brix != 20 || p.Pour.Name != "light syrup" || p.Pour.Liquid.Sweetener != syrup.Sugar || p.Capacity != 7 {
		t.Errorf("%+v", p.Pour)
	}
	if len(p.Loads) != 1 || p.Loads[0].Count() != 5 || len(p.Loads[0].Tiers) != 1 || len(p.Loads[0].Tiers[0]) != 5 {
		t.Errorf("%+v", p.Loads)
	}
	all := strings.Join(append(p.Prepare, p.InEachJar...), "\n")
	for _, want := range []string{"ascorbic acid", "Bring the fruit to a boil in light syrup", "1/2 in of headspace", "keep them hot"} {
		if !strings.Contains(all, want) {
			t.Errorf("nothing says %q in\n%s", want, all)
		}
	}
	if cs := p.Cautions; cs[len(cs)-1].Code != "check-current-guide" || cs[0].Code != "reactive-pan" {
		t.Errorf("%v", cs)
	}
}

func TestPlanFromJars(t *testing.T) {
	r := peaches()
	r.Amount = "10 jars"
	p := makeOK(t, r, corvane(t))
	if p.Fruit == nil || p.Fruit.Likely.Text(measure.US) != "25 lb" || p.Fruit.Low.Text(measure.US) != "20 lb" || p.Fruit.High.Text(measure.US) != "30 lb" {
		t.Errorf("%+v", p.Fruit)
	}
	if len(p.Loads) != 2 || p.Loads[0].Count() != 5 {
		t.Errorf("%+v", p.Loads)
	}
	r.Amount = "40 jars"
	if p := makeOK(t, r, corvane(t)); len(p.Loads) != 6 {
		t.Errorf("40 quarts in %d loads", len(p.Loads))
	}
}

func TestPlanRefused(t *testing.T) {
	r := peaches()
	r.Product, r.Kind, r.Pack = "pears", "", guide.Raw
	p := makeOK(t, r, corvane(t))
	if p.Status != Refused || p.Jars != nil || p.Pour != nil || p.Loads != nil || p.Verdict.Reasons[0].Code != guide.PackNotTested || p.Verdict.Alternatives[0].Minutes != 35 {
		t.Errorf("%+v", p)
	}
	// A kitchen is offered jars of its own system, and the one that was asked for.
	r = peaches()
	r.Jar = "half-gallon"
	for _, a := range makeOK(t, r, corvane(t)).Verdict.Alternatives {
		if j, _ := jar.Find(a.Jar); j.System != measure.US {
			t.Errorf("offered a %s", a.Jar)
		}
	}
	r.Product, r.Kind, r.Jar = "kumquat surprise", "", "pint"
	p = makeOK(t, r, corvane(t))
	if p.Status != Refused || p.Verdict.Reasons[0].Code != guide.ProductNotTested || !strings.Contains(p.Verdict.Reasons[0].Text, "kumquat surprise") || len(p.Verdict.Instead) == 0 {
		t.Errorf("%+v", p.Verdict)
	}
}

func TestPlanIncomplete(t *testing.T) {
	p := makeOK(t, peaches(), Kitchen{Units: measure.US})
	if p.Status != Incomplete || p.Missing[0].Field != "altitude" || p.Verdict.Tested != nil || p.Jars == nil || p.Pour == nil {
		t.Errorf("%+v", p)
	}
	r := peaches()
	r.Product, r.Kind, r.Form = "berries", "", ""
	if p := makeOK(t, r, corvane(t)); p.Status != Incomplete || p.Missing[0].Field != "kind" {
		t.Errorf("%+v", p)
	}
	r = peaches()
	r.Altitude = "305 m"
	if p := makeOK(t, r, Kitchen{Units: measure.Metric}); p.Status != Tested || p.Verdict.Tested.Minutes != 30 || !strings.Contains(strings.Join(p.InEachJar, " "), "1.3 cm") {
		t.Errorf("%+v", p)
	}
}

func TestPlanWithoutPublishedQuantity(t *testing.T) {
	r := peaches()
	r.Product, r.Kind, r.Form, r.Jar = "jam", "peach", "", "half-pint"
	p := makeOK(t, r, corvane(t))
	if p.Status != Tested || p.Jars != nil || !strings.Contains(p.AmountNote, "how many jars") || p.Pour != nil || p.Loads != nil {
		t.Errorf("%+v", p)
	}
	r.Amount = "6 jars"
	p = makeOK(t, r, corvane(t))
	if p.Jars.Planned != 6 || p.Fruit != nil || p.AmountNote == "" {
		t.Errorf("%+v", p)
	}
	if s := strings.Join(p.Prepare, " "); !strings.Contains(s, "13 minutes in boiling water") {
		t.Errorf("jam needs sterile jars: %s", s)
	}
	r = peaches()
	r.Amount = "8 oz"
	if p := makeOK(t, r, corvane(t)); p.Jars != nil || !strings.Contains(p.AmountNote, "not enough") {
		t.Errorf("%+v", p)
	}
}

func TestPlanFilling(t *testing.T) {
	r := peaches()
	r.Product, r.Kind, r.Form, r.Amount = "apple-pie-filling", "", "", "7 quarts"
	p := makeOK(t, r, corvane(t))
	if p.Recipe == nil || !p.Recipe.AsPrinted || len(p.Recipe.Ingredients) != 8 || p.Pour != nil || p.AmountNote != "" {
		t.Errorf("%+v", p)
	}
	if s := strings.Join(p.InEachJar, " "); !strings.Contains(s, "never less") || !strings.Contains(s, "1 in of headspace") {
		t.Error(s)
	}
}

func TestPlanAcidInTheJar(t *testing.T) {
	r := peaches()
	r.Product, r.Kind, r.Form, r.Amount = "figs", "", "", "6 jars"
	p := makeOK(t, r, corvane(t))
	if !strings.HasPrefix(p.InEachJar[0], "2 tbsp of bottled lemon juice, or 1/2 tsp of citric acid") {
		t.Errorf("%q", p.InEachJar)
	}
}

func TestLiquids(t *testing.T) {
	for _, c := range []struct {
		product guide.Product
		liquid  Liquid
		name    string
		brix    float64
	}{
		{"peaches", Liquid{Kind: Ratio, WaterParts: 4, SugarParts: 1}, "syrup of 4 water to 1 sugar", 17.47},
		{"peaches", Liquid{Kind: Brix, Brix: 25}, "syrup of 25 °Brix", 25},
		{"peaches", Liquid{Kind: Water}, "plain water", -1},
		{"peaches", Liquid{}, "light syrup", 20},
		{"figs", Liquid{Kind: Water}, "light syrup", 20}, // figs are boiled in syrup
		{"peaches", Liquid{Kind: Gallon, GallonCups: 4}, "syrup of 4 cups of sugar a gallon", 17.47},
		{"peaches", Liquid{Kind: OwnJuice}, "its own juice", -1},
		{"peaches", Liquid{Kind: InJar, Sugar: "1/4 cup"}, "1/4 cup of sugar in each jar, then hot water", -1},
		{"pineapple", Liquid{Kind: OwnJuice}, "its own juice", -1},
		{"mixed-fruit", Liquid{Kind: Syrup, Strength: "heavy"}, "syrup of 4 water to 3 sugar", 38.85},
	} {
		r := peaches()
		r.Product, r.Liquid, r.Form, r.Kind = string(c.product), c.liquid, "", ""
		if c.product == "mixed-fruit" {
			r.Pack, r.Jar = guide.Raw, "pint"
		}
		r.Amount = "6 jars"
		p := makeOK(t, r, corvane(t))
		if p.Pour == nil || p.Pour.Name != c.name || p.Pour.Litres <= 0 {
			t.Errorf("%s: %+v", c.product, p.Pour)
			continue
		}
		if c.brix < 0 != (p.Pour.Syrup == nil) || p.Pour.Syrup != nil && (p.Pour.Syrup.Brix < c.brix-0.01 || p.Pour.Syrup.Brix > c.brix+0.01) {
			t.Errorf("%s: %+v", c.name, p.Pour.Syrup)
		}
	}
}

func TestPlanConditions(t *testing.T) {
	butter, err := guide.ParseExtras("spice,butter")
	if err != nil {
		t.Fatal(err)
	}
	r := peaches()
	r.Extras, r.Jars = butter, guide.JarUsedLids
	p := makeOK(t, r, corvane(t))
	if p.Status != Refused || len(p.Verdict.Reasons) != 2 || len(p.Verdict.Alternatives) != 1 {
		t.Fatalf("%+v", p.Verdict)
	}
	way := p.Verdict.Alternatives[0]
	if label := Label(p.Query, way); label != "without what does not belong in the jar, in sound canning jars with new lids and bands" {
		t.Error(label)
	}
	again := r.Instead(way)
	if p := makeOK(t, again, corvane(t)); p.Status != Tested || p.Verdict.Tested.Minutes != way.Minutes || again.Extras.String() != "spice" {
		t.Errorf("%+v", p)
	}
	r = peaches()
	r.Conditions.Fruit = guide.FruitSpoilt
	if p := makeOK(t, r, corvane(t)); p.Status != Refused || len(p.Verdict.Alternatives) != 0 || p.Verdict.Instead[0].Way != "discard" {
		t.Errorf("%+v", p.Verdict)
	}
	r = peaches()
	r.Product, r.Kind, r.Form, r.Acid = "figs", "", "", guide.AcidFresh
	p = makeOK(t, r, corvane(t))
	if label := Label(p.Query, p.Verdict.Alternatives[0]); label != "with the acid it demands" {
		t.Error(label)
	}
}

func TestLabels(t *testing.T) {
	for _, c := range []struct {
		change func(*Request)
		want   string
	}{
		{func(r *Request) { r.Product, r.Kind, r.Pack = "pears", "", guide.Raw }, "hot pack"},
		{func(r *Request) { r.Method = "oven" }, "by boiling water"},
		{func(r *Request) { r.Jar = "half-gallon" }, "in quarts"},
		{func(r *Request) { r.Form = "peel-on" }, "in halves"},
		{func(r *Request) { r.Product, r.Kind, r.Form, r.Thickener = "apple-pie-filling", "", "", "flour" }, "with cook-type starch"},
		{func(r *Request) { r.Product, r.Kind, r.Form = "strawberries", "", "" }, "as fruit puree"},
		{func(r *Request) { r.Product, r.Kind, r.Form = "mango", "", "" }, "as mango sauce, only from just-ripe fruit, in half-pints"},
	} {
		r := peaches()
		c.change(&r)
		p := makeOK(t, r, corvane(t))
		if len(p.Verdict.Alternatives) == 0 {
			t.Errorf("%+v: no way out", r)
			continue
		}
		if got := Label(p.Query, p.Verdict.Alternatives[0]); got != c.want {
			t.Errorf("%s: %q, want %q", p.Query.Product, got, c.want)
		}
	}
}

func TestProblems(t *testing.T) {
	for _, c := range []struct {
		change func(*Request)
		fields string
	}{
		{func(r *Request) { r.Amount = "lots" }, "amount"},
		{func(r *Request) { r.Amount = "" }, "amount"},
		{func(r *Request) { r.Altitude = "high up" }, "altitude"},
		{func(r *Request) { r.Altitude = "3480" }, "altitude"},
		{func(r *Request) { r.Product = "  " }, "product"},
		{func(r *Request) { r.Product = strings.Repeat("x", 90) }, "product"},
		{func(r *Request) {
			r.Kind = "purple"
			r.Form = "diced"
			r.Pack = "cold"
			r.Jar = "mug"
			r.Method = "fire"
			r.Thickener = "sand"
		}, "kind form pack jar method thickener"},
		{func(r *Request) { r.Liquid = Liquid{Kind: "wine", Sweetener: "salt"} }, "liquid.kind liquid.sweetener"},
		{func(r *Request) { r.Liquid = Liquid{Kind: Syrup, Strength: "thick"} }, "liquid.strength"},
		{func(r *Request) { r.Liquid = Liquid{Kind: Brix, Brix: 66} }, "liquid.brix"},
		{func(r *Request) { r.Liquid = Liquid{Kind: Ratio, WaterParts: 0, SugarParts: 1} }, "liquid.waterParts"},
		{func(r *Request) { r.Liquid = Liquid{Kind: Ratio, WaterParts: 1, SugarParts: 101} }, "liquid.sugarParts"},
		{func(r *Request) { r.Liquid = Liquid{Kind: Ratio, WaterParts: 1, SugarParts: 3} }, "liquid.sugarParts"},
		{func(r *Request) { r.Liquid = Liquid{Kind: Gallon, GallonCups: 36} }, "liquid.gallonCups"},
		{func(r *Request) { r.Liquid = Liquid{Kind: Gallon, GallonCups: -1} }, "liquid.gallonCups"},
		{func(r *Request) { r.Liquid = Liquid{Kind: InJar, Sugar: "a heap"} }, "liquid.sugar"},
		{func(r *Request) { r.Liquid = Liquid{Kind: InJar, Sugar: "2 cups"} }, "liquid.sugar"},
		{func(r *Request) { r.Liquid = Liquid{Kind: PerQuart, Sugar: "1 kg"} }, "liquid.sugar"},
		{func(r *Request) { r.Liquid = Liquid{Kind: OwnJuice, Have: "some"} }, "liquid.have"},
		{func(r *Request) { r.Liquid = Liquid{Kind: OwnJuice, Have: "2 l", Brix: 70} }, "liquid.brix"},
		{func(r *Request) { r.Dilute = 11 }, "dilute"},
	} {
		r := peaches()
		c.change(&r)
		_, err := Make(r, corvane(t))
		ps, ok := err.(Problems)
		var fields []string
		for _, p := range ps {
			fields = append(fields, p.Field)
			if !strings.HasSuffix(p.Text, ".") {
				t.Errorf("%q is not a sentence", p.Text)
			}
		}
		if !ok || strings.Join(fields, " ") != c.fields || Check(r, corvane(t)) == nil || err.Error() == "" {
			t.Errorf("%v, want %s", err, c.fields)
		}
	}
}

// TestEveryProductHasAPlan makes a plan of each tested product by its first row.
func TestEveryProductHasAPlan(t *testing.T) {
	seen := map[guide.Product]bool{}
	for _, row := range guide.Rows() {
		info, _ := guide.FindProduct(row.Product)
		r := Request{Product: string(row.Product), Pack: row.Pack, Jar: row.Size.ID(), Amount: "6 jars"}
		if row.Product == "berries" && row.Pack == guide.Hot {
			r.Kind = "blueberry"
		}
		p := makeOK(t, r, corvane(t))
		if p.Status != Tested || p.Verdict.Tested.Minutes != row.Minutes[2] || len(p.Prepare) < 2 || len(p.InEachJar) < 2 {
			t.Errorf("%s %s %s: %+v", row.Product, row.Pack, row.Size.ID(), p)
		}
		if p.PotNote == "" && len(p.Loads) == 0 {
			t.Errorf("%s: no loads", info.Name)
		}
		seen[row.Product] = true
	}
	if p := makeOK(t, Request{Product: "apple-juice", Pack: guide.Hot, Jar: "half-gallon", Amount: "3 jars"}, corvane(t)); !strings.Contains(p.PotNote, "too shallow by 2 cm") || p.Loads != nil {
		t.Errorf("half-gallons: %q", p.PotNote)
	}
	if len(seen) != 29 {
		t.Errorf("%d products", len(seen))
	}
}

func BenchmarkPlan(b *testing.B) {
	r, k := peaches(), corvane(b)
	b.ReportAllocs()
	for range b.N {
		makeOK(b, r, k)
	}
}
