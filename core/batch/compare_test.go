package batch

import (
	"math"
	"strings"
	"testing"
)

func TestCompare(t *testing.T) {
	r := peaches()
	r.Liquid = Liquid{Kind: Ratio, WaterParts: 3, SugarParts: 1}
	c, err := Compare(r, corvane(t), Prices{SugarPerKg: 200, JuicePerLitre: 150}, 0)
	if err != nil || c.Jars != 5 || c.FruitBrix != 10 {
		t.Fatalf("%+v, %v", c, err)
	}
	last, chosen, names := -1.0, 0, map[string]Choice{}
	for _, o := range c.Choices {
		if o.Brix < last {
			t.Errorf("%s at %v after %v", o.Name, o.Brix, last)
		}
		last = o.Brix
		names[o.Name] = o
		if o.Chosen {
			chosen++
		}
		// Between the fruit's own and the liquid's, always.
		if lo, hi := min(o.Brix, 10), max(o.Brix, 10); o.CutOut < lo-1e-9 || o.CutOut > hi+1e-9 {
			t.Errorf("%s comes to %v", o.Name, o.CutOut)
		}
	}
	if chosen != 1 || !names["syrup of 3 water to 1 sugar"].Chosen {
		t.Errorf("%d chosen of %v", chosen, len(c.Choices))
	}
	for _, want := range []string{"plain water", "apple juice", "its own juice", "very heavy syrup", "1/4 cup of sugar in each jar, then hot water", "syrup of 3 cups of sugar a gallon"} {
		if _, ok := names[want]; !ok {
			t.Errorf("%s is missing", want)
		}
	}
	light := names["light syrup"]
	if math.Abs(light.CutOut-14.1) > 0.1 || light.Cents == nil || math.Abs(*light.Cents-0.4276*200) > 0.5 || light.SugarPerServing < 9 || light.SugarPerServing > 10.5 {
		t.Errorf("%+v", light)
	}
	if w := names["plain water"]; w.Cents == nil || *w.Cents != 0 || w.SugarPerServing != 0 {
		t.Errorf("%+v", w)
	}
	r.Liquid.Sweetener = "honey"
	if c, _ = Compare(r, corvane(t), Prices{SugarPerKg: 200}, 15); c.FruitBrix != 15 {
		t.Errorf("the cook's own reading: %v", c.FruitBrix)
	}
	for _, o := range c.Choices {
		if o.Liquid.Kind == Ratio && o.Cents != nil {
			t.Errorf("honey without a price costs %v", *o.Cents)
		}
	}
	for _, product := range []string{"jam", "banana"} {
		r.Product, r.Kind, r.Form, r.Amount = product, "", "", "5 jars"
		if c, err := Compare(r, corvane(t), Prices{}, 0); err != nil || len(c.Choices) != 0 {
			t.Errorf("%s: %+v, %v", product, c, err)
		}
	}
}

// TestUnknownFruitHasNoCutOut: raspberries have no usual figure, so nothing is said
// until the cook reads one.
func TestUnknownFruitHasNoCutOut(t *testing.T) {
	r := peaches()
	r.Product, r.Kind, r.Form, r.Pack, r.Jar = "berries", "raspberry", "", "raw", "pint"
	c, err := Compare(r, corvane(t), Prices{}, 0)
	if err != nil || c.FruitBrix != 0 {
		t.Fatalf("%+v, %v", c, err)
	}
	for _, o := range c.Choices {
		if o.CutOut != 0 || o.Liquid.Kind == OwnJuice && o.BrixKnown {
			t.Errorf("%+v", o)
		}
	}
	if last := c.Choices[len(c.Choices)-1]; last.Liquid.Kind != OwnJuice {
		t.Errorf("what is not known comes last, not %s", last.Name)
	}
	if c, _ := Compare(r, corvane(t), Prices{}, 8); c.Choices[0].CutOut == 0 {
		t.Error("a reading was not taken")
	}
}

func TestAdjustAsTyped(t *testing.T) {
	a, err := Adjust(Measured{Have: "1.3 l", Reading: "20", Want: "30"})
	if err != nil || math.Abs(a.Stir.Sugar.Grams-1.3*1081.06*10/70) > 0.5 || a.Brix != 20 || a.Fresh != nil || a.Over != 0 {
		t.Errorf("%+v, %v", a, err)
	}
	a, err = Adjust(Measured{Have: "1 l", Reading: "20 °Brix", At: "86 °F", Want: "10", Need: "1 l"})
	if err != nil || math.Abs(a.Brix-20.8) > 0.01 || a.Read != 20 || a.Stir.Water.Grams <= 0 || a.Over <= 0 {
		t.Errorf("%+v, %v", a, err)
	}
	a, err = Adjust(Measured{Water: "4 cups", Sugar: "1 cup", Want: "30", Need: "3 l"})
	if err != nil || math.Abs(a.Brix-17.47) > 0.01 || math.Abs(a.Litres-1.07) > 0.01 || a.Fresh == nil || math.Abs(a.FreshBy+a.Stir.Litres-3) > 1e-9 {
		t.Errorf("%+v, %v", a, err)
	}
	if a.Fresh.Brix != 30 || math.Abs(a.Fresh.Litres-a.FreshBy) > 1e-9 {
		t.Errorf("%+v", a.Fresh)
	}
	a, err = Adjust(Measured{Have: "2 cups", Water: "4 cups", Sugar: "1 cup", Want: "17.47"})
	if err != nil || math.Abs(a.Litres-0.473) > 0.001 {
		t.Errorf("part of it: %+v, %v", a, err)
	}
	for _, c := range []struct {
		m      Measured
		fields string
	}{
		{Measured{Want: "30"}, "reading"},
		{Measured{Reading: "20", Want: "30"}, "have"},
		{Measured{Have: "1 l", Reading: "very sweet", Want: "much"}, "reading want"},
		{Measured{Have: "1 l", Reading: "66", Want: "30"}, "reading"},
		{Measured{Have: "some", Reading: "20", At: "hot", Want: "30", Need: "a lot"}, "have at need"},
		{Measured{Have: "1 l", Reading: "20", At: "80 °C", Want: "30"}, "at"},
		{Measured{Water: "1 cup", Sugar: "4 cups", Want: "30"}, "sugar"},
		{Measured{Have: "1 l", Reading: "20", Want: "0"}, "want"},
		{Measured{Have: "1 l", Reading: "20", Want: ""}, "want"},
		{Measured{Have: "5000 l", Reading: "20", Want: "20"}, "have"},
	} {
		_, err := Adjust(c.m)
		ps, _ := err.(Problems)
		var fields []string
		for _, p := range ps {
			fields = append(fields, p.Field)
		}
		if strings.Join(fields, " ") != c.fields {
			t.Errorf("%+v: %v, want %s", c.m, err, c.fields)
		}
	}
}

// TestPours plans each liquid for peaches and looks at what is measured out.
func TestPours(t *testing.T) {
	for _, c := range []struct {
		l     Liquid
		check func(Pour) bool
	}{
		{Liquid{Kind: InJar, Sugar: "1/4 cup"}, func(p Pour) bool { return p.InJar.Sugar.Grams == 50 && p.Left(5) == 0 && p.Brix > 13 && p.Brix < 14 }},
		{Liquid{Kind: InJar, Sugar: "70 g"}, func(p Pour) bool { return p.InJar.Sugar.Grams == 70 }},
		{Liquid{Kind: OwnJuice, Have: "1 l", Brix: 11}, func(p Pour) bool {
			return p.Juice.Short > 0.97 && p.Juice.Short < 0.98 && p.Brix < 6 && p.BrixKnown && !p.BrixAbout
		}},
		{Liquid{Kind: OwnJuice, Have: "1 gal"}, func(p Pour) bool { return p.Juice.Over > 1.8 && p.Brix == 10 && p.BrixAbout }},
		{Liquid{Kind: OwnJuice}, func(p Pour) bool { return p.Juice == nil && p.BrixAbout }},
		{Liquid{Kind: Gallon, GallonCups: 2}, func(p Pour) bool { return math.Abs(p.Brix-9.57) < 0.005 && p.Left(5) > 0.17 }},
		{Liquid{Kind: Syrup, Strength: "light", Sweetener: "corn-half"}, func(p Pour) bool { return len(p.Syrup.Sweeteners) == 2 }},
		{Liquid{Kind: Syrup, Strength: "light", Sweetener: "no-sugar"}, func(p Pour) bool { return p.Brix == 0 && len(p.Syrup.Sweeteners) == 0 && p.CutOut < 10 }},
	} {
		r := peaches()
		r.Liquid = c.l
		p := makeOK(t, r, corvane(t))
		if p.Pour == nil || !c.check(*p.Pour) {
			t.Errorf("%+v: %+v", c.l, p.Pour)
		}
		if text := explained(t, p, "liquid"); !strings.Contains(text, "makes no difference to safety") {
			t.Errorf("%+v: %s", c.l, text)
		}
		codes := ""
		for _, caution := range p.Cautions {
			codes += caution.Code + " "
		}
		if want := map[string]string{"corn-half": "honey", "no-sugar": "no-sugar-sweetener"}[string(c.l.Sweetener)]; !strings.Contains(codes, want) {
			t.Errorf("%+v: cautions %s", c.l, codes)
		}
	}
	r := peaches()
	r.Liquid.Cores = true // stones are not boiled out
	if p := makeOK(t, r, corvane(t)); p.Pour.Liquid.Cores {
		t.Error("peach stones in the syrup")
	}
	r.Product, r.Kind, r.Form = "pineapple", "", ""
	if p := makeOK(t, r, corvane(t)); !p.Pour.Liquid.Cores || !strings.Contains(explained(t, p, "liquid"), "not counted") {
		t.Errorf("%+v", p.Pour)
	}
}
