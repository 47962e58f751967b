package batch

import (
	"strings"
	"testing"

	"mellisca/core/guide"
	"mellisca/core/measure"
)

// explained gives the lines of one explanation as a text.
func explained(t *testing.T, p Plan, about string) string {
	t.Helper()
	for _, w := range p.Why(measure.US) {
		if w.About == about {
			if w.Title == "" || len(w.Lines) == 0 {
				t.Errorf("%s explains nothing", about)
			}
			return strings.Join(w.Lines, " ") + " " + w.Source
		}
	}
	return ""
}

func TestWhy(t *testing.T) {
	for _, c := range []struct {
		change func(*Request)
		about  string
		says   []string
	}{
		{func(*Request) {}, "time", []string{"25 minutes to 1,000 ft, 30 to 3,000 ft, 35 to 6,000 ft, 40 above", "Your altitude is 3,480 ft", "under 2 in of it", "Guide 2: Peaches (2015)"}},
		{func(r *Request) { r.Jar = "12-oz" }, "time", []string{"A 12-ounce jar counts as a pint"}},
		{func(r *Request) { r.Jar = "half-pint" }, "time", []string{"a half-pint takes the time of the pint"}},
		{func(r *Request) { r.Method = guide.Steam }, "time", []string{"same minutes as boiling water"}},
		{func(r *Request) { r.Product, r.Kind, r.Form = "apple-juice", "", "" }, "time", []string{"under 10 minutes", "13 here"}},
		{func(r *Request) { r.Product, r.Kind, r.Form = "figs", "", "" }, "time", []string{"1 tbsp of bottled lemon juice a pint. A quart takes 2 tbsp", "never less"}},
		{func(r *Request) { r.Product, r.Kind, r.Form, r.Amount = "apple-pie-filling", "", "", "3 jars" }, "time", []string{"the larger share counts: 2 tbsp a quart"}},
		{func(r *Request) {
			r.Product, r.Kind, r.Form, r.Amount, r.Blend = "applesauce", "", "", "3 jars", 1<<15
		}, "time", []string{"longest time of the rows", "The tested row is"}},
		{func(*Request) {}, "jars", []string{"17.5 lb, so a quart takes about 2 lb 8 oz", "16 to 24 quarts", "4 to 6 full jars, most likely 5"}},
		{func(r *Request) { r.Product, r.Kind, r.Form = "pineapple", "", "" }, "jars", []string{"our own guess"}},
		{func(r *Request) { r.Product, r.Kind, r.Form = "apple-juice", "", "" }, "jars", []string{"3 to 4 lb for a quart"}},
		{func(*Request) {}, "liquid", []string{"5 jars × 0.360 l, and 10 % to spare: 1.98 l", "weighs 1.081 kg a litre", "428 g of that is sugar"}},
		{func(r *Request) { r.Liquid = Liquid{Kind: Ratio, WaterParts: 4, SugarParts: 1} }, "liquid", []string{"100 × 200 ÷ 1144.6 = 17.5 °Brix"}},
		{func(r *Request) { r.Liquid.Sweetener = "honey" }, "liquid", []string{"Honey is 82 % sugar"}},
		{func(*Request) {}, "loads", []string{"(31.5 + 0.6) ÷ (9.5 + 0.6) = 3.18. Up to 7", "5 quarts in the fewest loads of at most 7"}},
		{func(*Request) {}, "loads", []string{"Water: the floor is 779 cm²", "less 5 × 1.18 l", "stay free to the rim"}},
		{func(r *Request) { r.Product, r.Kind, r.Form, r.Amount = "apple-pie-filling", "", "", "10 jars" }, "recipe", []string{"5 quarts scale from the seven-quart column", "never less", "2 batches"}},
		{func(r *Request) { r.Product, r.Kind, r.Form, r.Amount = "apple-pie-filling", "", "", "7 jars" }, "recipe", []string{"the printed column"}},
		{func(r *Request) { r.Product, r.Kind, r.Form, r.Pack = "pears", "", "", guide.Raw }, "refusal", []string{"No raw pack", "hot in pint, quart", "only a test"}},
		{func(r *Request) { r.Product, r.Kind, r.Form = "moonfruit", "", "" }, "refusal", []string{"no tested row for moonfruit"}},
	} {
		r := peaches()
		c.change(&r)
		text := explained(t, makeOK(t, r, corvane(t)), c.about)
		for _, want := range c.says {
			if !strings.Contains(text, want) {
				t.Errorf("%s of %s does not say %q: %s", c.about, r.Product, want, text)
			}
		}
	}
}

// TestWhyOnlyWhatIsAnswered: a refusal is not explained as a time, and the other way round.
func TestWhyOnlyWhatIsAnswered(t *testing.T) {
	r := peaches()
	if p := makeOK(t, r, corvane(t)); explained(t, p, "refusal") != "" {
		t.Error("a tested plan explains a refusal")
	}
	r.Method = "oven"
	for _, about := range []string{"time", "jars", "liquid", "loads"} {
		if s := explained(t, makeOK(t, r, corvane(t)), about); s != "" {
			t.Errorf("a refused plan explains %s: %s", about, s)
		}
	}
	if p := makeOK(t, peaches(), Kitchen{Units: measure.US}); explained(t, p, "time") != "" || explained(t, p, "jars") == "" {
		t.Error("without an altitude")
	}
}
