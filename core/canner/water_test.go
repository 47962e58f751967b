package canner

import (
	"errors"
	"math"
	"slices"
	"strings"
	"testing"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

func several(j jar.Jar, n int) []jar.Jar { return slices.Repeat([]jar.Jar{j}, n) }

func TestLevels(t *testing.T) {
	quart := find(t, "quart")
	w, err := Default.Levels([][]jar.Jar{several(quart, 7)}, measure.Inches(1))
	if err != nil {
		t.Fatal(err)
	}
	// 31.5 cm across: 779.31 cm²; 1.5 + 17.5 + 2.54 = 21.54 cm; 16.786 l less 7 × 1.18.
	for what, c := range map[string][2]float64{
		"after": {w.After.Centimetres(), 21.54}, "pour": {w.Pour.Litres(), 8.526}, "before": {w.Before.Centimetres(), 10.941}, "room": {w.Room.Centimetres(), 6.46},
	} {
		if math.Abs(c[0]-c[1]) > 0.002 {
			t.Errorf("%s: %.4f, want %.4f", what, c[0], c[1])
		}
	}
	// What is poured in, with what the jars displace, stands at the level after.
	if back := w.Pour.Litres() + 7*quart.Outside.Litres(); math.Abs(back-Default.floor()*w.After.Centimetres()/1000) > 1e-6 {
		t.Errorf("%v l under the lid", back)
	}
	shallow := Default
	shallow.Depth = measure.Centimetres(24)
	var s *ShallowError
	if _, err := shallow.Levels([][]jar.Jar{several(quart, 7)}, measure.Inches(1)); !errors.As(err, &s) || math.Abs(s.Short.Centimetres()-0.08) > 1e-6 {
		t.Errorf("24 cm deep: %v", err)
	}
	if _, err := shallow.Levels([][]jar.Jar{several(find(t, "pint"), 9)}, measure.Inches(2)); err != nil {
		t.Error(err)
	}
	half := find(t, "half-pint")
	two := [][]jar.Jar{several(half, 12), several(half, 12)}
	if w, err := Default.Levels(two, measure.Inches(1)); err != nil || math.Abs(w.After.Centimetres()-(1.5+9.5+1+9.5+2.54)) > 1e-6 {
		t.Errorf("two tiers: %+v, %v", w, err)
	}
	if _, err := Default.Levels(two, measure.Inches(2)); !errors.As(err, &s) || s.Tiers != 2 {
		t.Errorf("two tiers under 2 in: %v", err)
	}
	rect := Pot{Length: measure.Centimetres(50), Width: measure.Centimetres(30), Depth: measure.Centimetres(25), Rack: measure.Centimetres(1)}
	if w, err := rect.Levels([][]jar.Jar{several(half, 10)}, measure.Inches(1)); err != nil || math.Abs(w.Pour.Litres()-(1500*13.04/1000-3.3)) > 1e-3 {
		t.Errorf("%+v, %v", w, err)
	}
}

func TestWithTiers(t *testing.T) {
	half, quart, pint := find(t, "half-pint"), find(t, "quart"), find(t, "pint")
	inch := measure.Inches(1)
	for _, c := range []struct {
		what        string
		pot         Pot
		jars        []jar.Jar
		tiers, left int
	}{
		{"one tier is enough", Default, several(half, 12), 1, 0},
		{"two of half-pints", Default, several(half, 20), 2, 0},
		{"more than two", Default, several(half, 30), 2, 6},
		{"quarts have no room over them", Default, several(quart, 9), 1, 2},
		{"half-pints over pints", Default, slices.Concat(several(pint, 6), several(half, 8)), 2, 0},
		{"in steam one tier only", Pot{Diameter: Default.Diameter, Depth: measure.Centimetres(40), Kind: Steam}, several(half, 14), 1, 2},
	} {
		if c.what == "half-pints over pints" {
			c.pot.Depth = measure.Centimetres(32)
		}
		tiers, left := c.pot.WithTiers(c.jars, inch)
		in := 0
		for i, tier := range tiers {
			standing(t, c.what, c.pot, tier)
			in += len(tier)
			if i > 0 && slices.MaxFunc(jarsOf(tier), byHeight).Height > slices.MinFunc(jarsOf(tiers[i-1]), byHeight).Height {
				t.Errorf("%s: a taller jar stands above", c.what)
			}
		}
		if len(tiers) != c.tiers || len(left) != c.left || in+len(left) != len(c.jars) {
			t.Errorf("%s: %d tiers with %d jars, %d left", c.what, len(tiers), in, len(left))
		}
	}
}

func byHeight(a, b jar.Jar) int { return int(a.Height - b.Height) }

func TestHeatUp(t *testing.T) {
	quart := find(t, "quart")
	w, _ := Default.Levels([][]jar.Jar{several(quart, 7)}, measure.Inches(1))
	gas := Burner{"front", 3500, Gas}
	c := func(x float64) measure.Temperature { return measure.Celsius(x) }
	heat := func(b Burner, correct float64) Heating {
		return Default.HeatUp(b, w, several(quart, 7), c(15), c(82), c(96.6), c(22), correct)
	}
	h := heat(gas, 1)
	// Without losses: (8.526 × 4.186 + 1.8 × 0.5) kJ/K × 67 K over 1.4 kW.
	bare := (8.526*4.186 + 0.9) * 67 / 1.4 / 60
	if h.Never || h.ToFilling < bare || h.ToFilling > bare*1.25 {
		t.Errorf("%.1f min to filling, %.1f without losses", h.ToFilling, bare)
	}
	bareJars := (8.526*4.186 + 0.9 + 7*(0.946353*3.7+0.48*0.84)) * 14.6 / 1.4 / 60
	if h.ToBoil < bareJars || h.ToBoil > bareJars*1.6 {
		t.Errorf("%.1f min to the boil, %.1f without losses", h.ToBoil, bareJars)
	}
	if twice := heat(gas, 2); math.Abs(twice.ToBoil-2*h.ToBoil) > 1e-9 {
		t.Error("the cook's own runs are not taken")
	}
	if more := heat(Burner{"", 3500, Induction}, 1); more.ToBoil >= h.ToBoil || more.ToFilling >= h.ToFilling {
		t.Error("induction is slower than gas of the same rating")
	}
	if weak := heat(Burner{"", 300, Coil}, 1); !weak.Never {
		t.Errorf("210 W boil a canner: %+v", weak)
	}
	if FillTemperature(true).Text(measure.US) != "180 °F" || FillTemperature(false).Text(measure.US) != "140 °F" {
		t.Error("water temperatures")
	}
}

// TestHeatUpByHand holds the model against cases worked by hand and, second by
// second, against the energy that goes in and out.
func TestHeatUpByHand(t *testing.T) {
	c := func(x float64) measure.Temperature { return measure.Celsius(x) }
	quart, pint := find(t, "quart"), find(t, "pint")
	rect := Pot{Length: measure.Centimetres(50), Width: measure.Centimetres(30), Depth: measure.Centimetres(25), Rack: measure.Centimetres(1), Steel: measure.Grams(2500)}
	for _, k := range []struct {
		what                string
		pot                 Pot
		watts               float64 // rated
		kind                BurnerKind
		jars                []jar.Jar
		cold, filling, boil float64
		capacity, full      float64 // kJ/K, worked by hand
		surface             float64 // m², worked by hand
	}{
		// 8.526 l × 4.186 + 1.8 kg × 0.5; with 7 × (0.946 l × 3.7 + 0.48 kg × 0.84).
		{"quarts on gas at 3,480 ft", Default, 3500, Gas, several(quart, 7), 15, 82, 96.6, 36.590, 63.923, 0.43295},
		// 1500 cm² × (1 + 12.9 + 2.54) cm = 24.66 l, less 15 × 0.62 l: 15.36 l × 4.186 + 2.5 kg × 0.5;
		// with 15 × (0.473 l × 3.7 + 0.30 kg × 0.84); 160 cm × 25 cm and twice 1500 cm².
		{"pints on a coil at the sea", rect, 2400, Coil, several(pint, 15), 10, 60, 100, 65.547, 95.588, 0.70},
	} {
		w, err := k.pot.Levels([][]jar.Jar{k.jars}, measure.Inches(1))
		if err != nil {
			t.Fatal(k.what, err)
		}
		got := k.pot.HeatUp(Burner{"", k.watts, k.kind}, w, k.jars, c(k.cold), c(k.filling), c(k.boil), c(22), 1)
		minutes := func(capacity, from, to float64) float64 {
			useful := k.watts * map[BurnerKind]float64{Gas: 0.4, Coil: 0.7}[k.kind]
			at, seconds := from, 0.0
			for at < to {
				at += (useful - 15*k.surface*(at-22)) / (capacity * 1000)
				seconds++
			}
			return seconds / 60
		}
		if want := minutes(k.capacity, k.cold, k.filling); math.Abs(got.ToFilling-want) > 0.05 {
			t.Errorf("%s: %.2f min to filling, second by second %.2f", k.what, got.ToFilling, want)
		}
		if want := minutes(k.full, k.filling, k.boil); math.Abs(got.ToBoil-want) > 0.05 {
			t.Errorf("%s: %.2f min to the boil, second by second %.2f", k.what, got.ToBoil, want)
		}
	}
}

func TestShock(t *testing.T) {
	c := func(x float64) measure.Temperature { return measure.Celsius(x) }
	for _, k := range []struct {
		food, water float64
		says        string
	}{{20, 60, "cool it"}, {20, 49, ""}, {90, 82, ""}, {90, 59, "warm the water"}, {60, 60, ""}} {
		got := Shock(c(k.food), c(k.water), measure.Metric)
		if (got == "") != (k.says == "") || k.says != "" && !strings.Contains(got, k.says) {
			t.Errorf("%v into %v: %q", k.food, k.water, got)
		}
	}
	if HotIntoJar(c(90), c(47), measure.Metric) == "" || HotIntoJar(c(90), c(49), measure.Metric) != "" {
		t.Error("hot food into a cold jar")
	}
}

func TestMemo(t *testing.T) {
	var m Memo
	var none *Memo
	p := Pot{Length: measure.Centimetres(50), Width: measure.Centimetres(25)}
	quart, pint := find(t, "quart"), find(t, "pint")
	for range 2 {
		for _, j := range []jar.Jar{quart, pint} {
			n := p.Capacity(j)
			if m.Capacity(p, j) != n || none.Capacity(p, j) != n || len(m.Arrange(p, j, n)) != n || !slices.Equal(m.Arrange(p, j, 3), none.Arrange(p, j, 3)) {
				t.Errorf("%s: %d", j.ID, n)
			}
		}
	}
	if len(m.capacity) != 2 || len(m.places) != 4 {
		t.Errorf("%d and %d remembered", len(m.capacity), len(m.places))
	}
}
