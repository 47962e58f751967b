package guide

import (
	"fmt"
	"strings"
	"testing"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

func plums() OwnSource {
	return OwnSource{
		Name: "spiced crab apples", Title: "A Made-up Book of Jars", Year: 1988, Page: "41", Product: "crab-apples", Pack: Hot,
		Largest: jar.Quart, Minutes: 20, Headspace: 0.5,
	}
}

func TestOwnSourceMinutes(t *testing.T) {
	s := plums()
	for feet, want := range map[int]int{-100: 20, 1000: 20, 1001: 25, 3000: 25, 3001: 30, 6000: 30, 6001: 35, 8000: 35, 8001: 40, 15000: 40} {
		if got := s.MinutesAt(feet); got != want {
			t.Errorf("at %d ft: %d, want %d", feet, got, want)
		}
	}
	s.Additions = [4]int{2, 15, 0, 18} // the source's own, where they are larger
	for feet, want := range map[int]int{1001: 25, 3001: 35, 6001: 35, 8001: 40} {
		if got := s.MinutesAt(feet); got != want {
			t.Errorf("with its own, at %d ft: %d, want %d", feet, got, want)
		}
	}
}

func own(t *testing.T, s OwnSource, q Query) (*OwnTime, string) {
	t.Helper()
	o, v, err := JudgeOwn(q, s, allJars)
	if err != nil {
		return nil, "problem: " + err.Error()
	}
	var codes []string
	for _, r := range v.Reasons {
		codes = append(codes, r.Code.String())
	}
	if (o == nil) == (len(codes) == 0) || o == nil && len(v.Instead) == 0 {
		t.Errorf("%+v: not one verdict with a way out: %+v %+v", s, o, v)
	}
	return o, strings.Join(codes, " ")
}

func TestOwnSourceLiftsWhatIsMerelyUntested(t *testing.T) {
	for what, change := range map[string]func(*OwnSource){
		"a product":            func(*OwnSource) {},
		"a pack":               func(s *OwnSource) { s.Product, s.Pack = "pears", Raw },
		"a form":               func(s *OwnSource) { s.Product, s.Form = "pineapple", "crushed" },
		"a jar":                func(s *OwnSource) { s.Product, s.Kind = "jam", "plum" },
		"whole strawberries":   func(s *OwnSource) { s.Product = "strawberries" },
		"a juice, half-gallon": func(s *OwnSource) { s.Product, s.Largest = "cherry-juice", jar.HalfGallon },
		"elderberry jelly":     func(s *OwnSource) { s.Product, s.Kind, s.Acid = "jelly", "elderberry", "1/4 cup bottled lemon juice" },
		"something else":       func(s *OwnSource) { s.Product, s.Name = "", "moonfruit halves" },
	} {
		s := plums()
		change(&s)
		o, why := own(t, s, at(t, "peaches hot "+string(s.Largest.ID())+" 3480"))
		if o == nil {
			t.Errorf("%s: %s", what, why)
			continue
		}
		if o.Minutes != 30 || o.Cautions[0].Code != "own-source" || o.Cautions[len(o.Cautions)-1].Code != "check-current-guide" || !strings.Contains(o.Cautions[0].Text, "A Made-up Book of Jars (1988), page 41") {
			t.Errorf("%s: %+v", what, o)
		}
	}
}

// TestOwnSourceLiftsNothingHard tries every hard refusal.
func TestOwnSourceLiftsNothingHard(t *testing.T) {
	butter, _ := ParseExtras("butter")
	for _, c := range []struct {
		source func(*OwnSource)
		query  string
		with   Conditions
		want   string
	}{
		{func(s *OwnSource) { s.Product = "banana" }, "peaches hot pint 0", Conditions{}, "problem: not acid enough"},
		{func(s *OwnSource) { s.Product, s.Kind = "peaches", "white-flesh"; s.Minutes = 60 }, "peaches hot pint 0", Conditions{}, "problem: White-fleshed"},
		{func(s *OwnSource) { s.Product = "tomatoes" }, "peaches hot pint 0", Conditions{}, "problem: guide of their own"},
		{func(s *OwnSource) { s.Product = "vegetables" }, "peaches hot pint 0", Conditions{}, "problem: under pressure"},
		{func(s *OwnSource) { s.Product = "elderberries" }, "peaches hot pint 0", Conditions{}, "problem: Later research"},
		{func(s *OwnSource) { s.Product, s.Kind = "jelly", "elderberry" }, "peaches hot half-pint 0", Conditions{}, "problem: Later research"},
		{func(s *OwnSource) { s.Product, s.Kind = "fruit-puree", "fig" }, "peaches hot pint 0", Conditions{}, "problem: No fruit puree of fig"},
		{func(*OwnSource) {}, "peaches hot pint 0 method=oven", Conditions{}, "not-a-process"},
		{func(*OwnSource) {}, "peaches hot pint 0 method=pressure", Conditions{}, "pressure-needed"},
		{func(*OwnSource) {}, "peaches hot pint 0", Conditions{Extras: butter}, "dairy-egg-fat"},
		{func(*OwnSource) {}, "peaches hot pint 0", Conditions{Jars: JarOneTrip}, "one-trip-jar"},
		{func(*OwnSource) {}, "peaches hot pint 0", Conditions{Fruit: FruitSpoilt}, "spoilt-fruit"},
		{func(s *OwnSource) { s.Product, s.Minutes, s.Acid = "figs", 50, "1 tbsp bottled lemon juice a pint" }, "peaches hot pint 0", Conditions{Acid: AcidLeftOut}, "acid-missing"},
		{func(s *OwnSource) { s.Product, s.Minutes = "figs", 50 }, "peaches hot pint 0", Conditions{}, "problem: not safe without it"},
		{func(s *OwnSource) { s.Product, s.Kind, s.Acid = "jelly", "elderberry", "1/4 cup bottled lemon juice" }, "peaches hot half-pint 0", Conditions{Acid: AcidFresh}, "acid-missing"},
		{func(s *OwnSource) { s.Acid = "1 tsp citric acid a jar" }, "peaches hot pint 0", Conditions{Acid: AcidReduced}, "acid-missing"},
		{func(s *OwnSource) { s.Minutes = 40 }, "peaches hot pint 3480 method=steam", Conditions{}, "steam-too-long"},
		{func(s *OwnSource) { s.Product, s.Largest = "plum-juice", jar.HalfGallon }, "peaches hot half-gallon 0 method=steam", Conditions{}, "steam-jar"},
		{func(s *OwnSource) { s.Largest = jar.Pint }, "peaches hot quart 0", Conditions{}, "jar-too-large"},
	} {
		s := plums()
		c.source(&s)
		q := at(t, c.query)
		q.Conditions = c.with
		o, why := own(t, s, q)
		problem, isProblem := strings.CutPrefix(c.want, "problem: ")
		if o != nil || isProblem && !(strings.HasPrefix(why, "problem: ") && strings.Contains(why, problem)) || !isProblem && why != c.want {
			t.Errorf("%+v, %s: %+v, %q; want %q", s.Product, c.query, o, why, c.want)
		}
	}
}

// TestOwnSourceNeverUndercuts holds a source for a tested product to the row, at
// every altitude.
func TestOwnSourceNeverUndercuts(t *testing.T) {
	for _, r := range rows {
		s := plums()
		s.Product, s.Pack, s.Largest, s.Minutes = r.Product, r.Pack, r.Size, r.Minutes[0]
		if demandsAcid(r.Product) {
			s.Acid = "as the guide says"
		}
		if r.Size > jar.Quart && !isJuice(s.info()) {
			continue
		}
		for _, alt := range feet4 {
			q := Query{Jar: r.Size.ID(), Altitude: alt}
			o, why := own(t, s, q)
			if o == nil {
				t.Fatalf("%+v: %s", s, why)
			}
			if tested := r.Minutes[bandOf(alt.Feet())]; o.Minutes < tested {
				t.Errorf("%s %s %s: %d min, tested %d", r.Product, r.Pack, r.Size.ID(), o.Minutes, tested)
			}
		}
		if s.Minutes--; s.Minutes >= 5 {
			if ps := s.Check(); len(ps) != 1 || ps[0].Field != "minutes" {
				t.Errorf("%s: a source under the row is taken: %v", r.Product, ps)
			}
		}
	}
}

func TestOwnSourceDemands(t *testing.T) {
	s := plums()
	s.Minutes = 5
	o, _ := own(t, s, at(t, "peaches hot pint 3480"))
	if o.SterileMinutes != 13 || o.WaterOverJars != 1 {
		t.Errorf("%+v", o)
	}
	s.Minutes = 30
	if o, _ = own(t, s, at(t, "peaches hot pint 3480")); o.SterileMinutes != 0 || o.WaterOverJars != 2 {
		t.Errorf("%+v", o)
	}
	if o, _ = own(t, s, at(t, "peaches hot pint 0 method=steam")); o.WaterOverJars != 0 {
		t.Errorf("%+v", o)
	}
}

func TestOwnSourceAlternatives(t *testing.T) {
	pint, _ := jar.Find("pint")
	quart, _ := jar.Find("quart")
	butter, _ := ParseExtras("butter,salt")
	s := plums()
	s.Largest, s.Acid = jar.Pint, "1 tsp citric acid a jar"
	for _, c := range []struct {
		query string
		with  Conditions
		want  string // jar, method, minutes
	}{
		{"peaches hot quart 3480", Conditions{}, "pint boiling-water 30"},
		{"peaches hot pint 3480 method=oven", Conditions{}, "pint boiling-water 30"},
		{"peaches hot pint 3480", Conditions{Extras: butter}, "pint boiling-water 30"},
		{"peaches hot quart 3480 method=sun", Conditions{Jars: JarChipped}, "pint boiling-water 30"},
		{"peaches hot quart 3480", Conditions{Fruit: FruitSpoilt}, ""},
		{"peaches hot pint 3480", Conditions{Acid: AcidFresh}, "pint boiling-water 30"},
	} {
		q := at(t, c.query)
		q.Conditions = c.with
		o, v, err := JudgeOwn(q, s, []jar.Jar{pint, quart})
		if err != nil || o != nil {
			t.Fatalf("%s: %+v, %v", c.query, o, err)
		}
		got := ""
		if len(v.Alternatives) > 0 {
			a := v.Alternatives[0]
			got = fmt.Sprintf("%s %s %d", a.Jar, a.Method, a.Minutes)
			again, _, err := JudgeOwn(a.Query, s, nil)
			if err != nil || again == nil || again.Minutes != a.Minutes {
				t.Errorf("%s offers %+v, which is %+v, %v", c.query, a, again, err)
			}
		}
		if got != c.want || len(v.Instead) == 0 {
			t.Errorf("%s %+v: %q, want %q; instead %v", c.query, c.with, got, c.want, v.Instead)
		}
	}
}

func TestOwnSourceCheck(t *testing.T) {
	for field, change := range map[string]func(*OwnSource){
		"name": func(s *OwnSource) { s.Name = " " }, "title": func(s *OwnSource) { s.Title = "" }, "page": func(s *OwnSource) { s.Page = strings.Repeat("9", 41) },
		"year": func(s *OwnSource) { s.Year = 0 }, "acid": func(s *OwnSource) { s.Acid = strings.Repeat("x", 201) }, "product": func(s *OwnSource) { s.Product = "stones" },
		"kind": func(s *OwnSource) { s.Kind = "red" }, "form": func(s *OwnSource) { s.Form = "diced" }, "pack": func(s *OwnSource) { s.Pack = "" },
		"largest": func(s *OwnSource) { s.Largest = jar.HalfGallon }, "minutes": func(s *OwnSource) { s.Minutes = 0 },
		"additions": func(s *OwnSource) { s.Additions[2] = -5 }, "headspace": func(s *OwnSource) { s.Headspace = 0 },
	} {
		s := plums()
		change(&s)
		ps := s.Check()
		if len(ps) != 1 || ps[0].Field != field || ps[0].Accepts == "" {
			t.Errorf("%s: %v", field, ps)
		}
	}
	if ps := plums().Check(); len(ps) != 0 {
		t.Error(ps)
	}
	if _, _, err := JudgeOwn(at(t, "peaches hot mug 0"), plums(), allJars); err == nil {
		t.Error("a jar that is none")
	}
}

// FuzzOwnSource throws sources and conditions at the judging: what is taken is
// never under a tested row, at any altitude, and what is hard is never lifted.
func FuzzOwnSource(f *testing.F) {
	f.Add("crab-apples", "", "", "hot", uint8(3), 20, 0, "", "pint", "", "", uint32(0), int64(3480))
	f.Add("figs", "", "whole", "hot", uint8(3), 50, 15, "1 tbsp bottled lemon juice", "quart", "steam", "fresh", uint32(64), int64(-5))
	f.Add("jelly", "elderberry", "", "hot", uint8(1), 10, 0, "1/4 cup", "4-oz", "", "left-out", uint32(1), int64(14999))
	f.Fuzz(func(t *testing.T, product, kind, form, pack string, largest uint8, minutes, more int, acid, id, method, state string, extras uint32, ft int64) {
		s := OwnSource{Name: "a", Title: "b", Year: 1990, Page: "1", Product: Product(product), Kind: Kind(kind), Form: Form(form), Pack: Pack(pack),
			Largest: jar.Size(largest), Minutes: minutes, Additions: [4]int{more, more, more, more}, Headspace: 0.5, Acid: acid}
		alt := measure.Altitude(ft%15_000) * 304_800
		q := Query{Jar: jar.ID(id), Method: Method(method), Altitude: alt, Conditions: Conditions{Acid: AcidState(state), Extras: Extras(extras)}}
		o, v, err := JudgeOwn(q, s, allJars)
		if err != nil {
			if o != nil || v.Reasons != nil {
				t.Fatal("a verdict beside a problem")
			}
			return
		}
		if (o == nil) == (len(v.Reasons) == 0) {
			t.Fatalf("not one verdict: %+v %+v", o, v)
		}
		for _, a := range v.Alternatives {
			if again, _, err := JudgeOwn(a.Query, s, nil); err != nil || again == nil || again.Minutes != a.Minutes {
				t.Fatalf("%+v answers %+v, %v", a, again, err)
			}
		}
		if o == nil {
			return
		}
		a := s.asked(q.Jar)
		hard := fruitRefusals(&a) &^ (bit(StrawberryWhole) | bit(JuiceNoRow) | bit(ProductNotTested))
		if a.Product == "jelly" && s.DemandsAcid() {
			hard &^= bit(Elderberry)
		}
		if row, ok := rowFor(a.info, a.Pack, a.size); hard != 0 || q.Extras&^freeExtras != 0 || ok && o.Minutes < row.Minutes[bandOf(alt.Feet())] || o.Minutes < s.MinutesAt(alt.Feet()) || a.size > s.Largest {
			t.Fatalf("%+v in %+v: %d minutes", s, q, o.Minutes)
		}
	})
}
