package syrup

import (
	"encoding/csv"
	"math"
	"os"
	"strconv"
	"testing"

	"mellisca/core/jar"
)

func near(t *testing.T, what string, got, want, within float64) {
	t.Helper()
	if math.Abs(got-want) > within {
		t.Errorf("%s: %v, want %v", what, got, want)
	}
}

func find(t testing.TB, id jar.ID) jar.Jar {
	t.Helper()
	j, ok := jar.Find(id)
	if !ok {
		t.Fatal(id)
	}
	return j
}

// TestCheckValues holds the formulas against tables of sugar solutions.
func TestCheckValues(t *testing.T) {
	for brix, sg := range map[float64]float64{0: 1, 10: 1.0400, 20: 1.0830, 30: 1.1292, 40: 1.1790, 50: 1.2330} {
		near(t, "specific gravity", SpecificGravity(brix), sg, 0.00006)
	}
	for _, c := range []struct{ water, sugar, brix float64 }{{10, 1, 7.81}, {5, 1, 14.48}, {16, 1, 5.03}, {8, 1, 9.57}, {4, 1, 17.47}, {1, 0, 0}} {
		near(t, "ratio", RatioBrix(c.water, c.sugar), c.brix, 0.006)
	}
	for _, n := range Strengths() {
		for _, b := range []float64{RatioBrix(n.WaterPints, n.SugarPints), RatioBrix(n.WaterQuarts, n.SugarQuarts)} {
			if b > n.Brix-0.75 || b < n.Brix-4.6 {
				t.Errorf("%s: the published cups come to %.1f °Brix", n.Strength, b)
			}
		}
	}
}

func TestAgainstPublishedTable(t *testing.T) {
	f, err := os.Open("testdata/syrup-strengths.csv")
	if err != nil {
		t.Fatal(err)
	}
	defer f.Close()
	rows, err := csv.NewReader(f).ReadAll()
	if err != nil || len(rows) != len(named)+1 {
		t.Fatal(err, len(rows))
	}
	for i, row := range rows[1:] {
		n := named[i]
		for k, v := range []float64{n.Brix, n.WaterPints, n.SugarPints, n.WaterQuarts, n.SugarQuarts} {
			if s := strconv.FormatFloat(v, 'f', -1, 64); s != row[k+1] {
				t.Errorf("%s, cell %d: %s, table %s", row[0], k+1, s, row[k+1])
			}
		}
		if string(n.Strength) != row[0] {
			t.Errorf("%s, table %s", n.Strength, row[0])
		}
	}
}

func TestMake(t *testing.T) {
	quart := find(t, "quart")
	r := Make(Request{Jars: 7, Jar: quart, Brix: 30, Strength: "medium", SparePercent: 10})
	near(t, "litres", r.Litres, 2.769, 0.0005)
	near(t, "a jar", r.LitresPerJar, 0.3596, 0.00005)
	near(t, "water", r.Water.Grams, 2184.8, 0.05)
	near(t, "water cups", r.Water.Cups, 9.25, 0.005)
	near(t, "water litres", r.Water.Litres(), 2.189, 0.0005)
	near(t, "sugar", r.Sweeteners[0].Grams, 936.4, 0.05)
	if r.Water.Kitchen != "9 1/4 cups" || r.Sweeteners[0].Kitchen != "4 2/3 cups" || *r.Published != (Published{"7 quarts", 8.25, 3.75}) {
		t.Errorf("%+v %+v", r, r.Published)
	}

	half := Make(Request{Jars: 7, Jar: quart, Brix: 30, Sweetener: HoneyHalf, SparePercent: 10})
	near(t, "half: sugar", half.Sweeteners[0].Grams, 391.1, 0.05)
	near(t, "half: honey", half.Sweeteners[1].Grams, 664.9, 0.05)
	near(t, "half: water", half.Water.Grams, 2065.1, 0.06)
	near(t, "half: cups", half.Sweeteners[0].Cups, half.Sweeteners[1].Cups, 1e-9)

	honey := Make(Request{Jars: 7, Jar: quart, Brix: 30, Sweetener: Honey, SparePercent: 10})
	near(t, "honey", honey.Sweeteners[0].Grams, 1141.9, 0.05)
	near(t, "honey: water", honey.Water.Grams, 1979.3, 0.05)

	if r := Make(Request{Jars: 7, Jar: quart}); len(r.Sweeteners) != 0 || r.Published != nil {
		t.Errorf("plain water: %+v", r)
	}
}

// TestStrengthIsHeld gets back the °Brix that was asked for, from what is measured out.
func TestStrengthIsHeld(t *testing.T) {
	for _, s := range []Sweetener{Sugar, HoneyHalf, Honey} {
		for brix := 1.0; brix <= StrongestBrix; brix += 4 {
			r := Make(Request{Jars: 5, Jar: find(t, "pint"), Brix: brix, Sweetener: s, SparePercent: 5})
			mass, solids := r.Water.Grams, 0.0
			for _, p := range r.Sweeteners {
				mass += p.Grams
				if p.Name == "honey" {
					solids += p.Grams * HoneySolids
				} else {
					solids += p.Grams
				}
			}
			near(t, string(s), 100*solids/mass, brix, 1e-9)
			if r.Water.Grams < 0 {
				t.Errorf("%s at %v: %v g of water", s, brix, r.Water.Grams)
			}
		}
	}
}

func TestPublishedOnlyForItsLoad(t *testing.T) {
	base := Request{Jars: 9, Jar: find(t, "pint-wide"), Brix: 20, Strength: "light"}
	if p := Make(base).Published; p == nil || *p != (Published{"9 pints", 5.75, 1.5}) {
		t.Errorf("%+v", p)
	}
	for what, change := range map[string]func(*Request){
		"8 jars": func(r *Request) { r.Jars = 8 }, "500 ml": func(r *Request) { r.Jar = find(t, "500-ml") },
		"by number": func(r *Request) { r.Strength = "" }, "honey": func(r *Request) { r.Sweetener = Honey },
		"own litres": func(r *Request) { r.LitresPerJar = 0.2 },
	} {
		r := base
		change(&r)
		if p := Make(r).Published; p != nil {
			t.Errorf("%s: %+v", what, p)
		}
	}
}

func TestNearest(t *testing.T) {
	for _, c := range []struct {
		brix float64
		want Strength
	}{{4.99, ""}, {5, "very-light"}, {15, "very-light"}, {15.01, "light"}, {30, "medium"}, {45, "heavy"}, {55, "very-heavy"}, {55.1, ""}} {
		n, ok := Nearest(c.brix)
		if ok != (c.want != "") || ok && n.Strength != c.want {
			t.Errorf("%v: %s, %v", c.brix, n.Strength, ok)
		}
	}
}
