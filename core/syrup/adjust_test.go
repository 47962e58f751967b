package syrup

import "testing"

// litresOf is the volume of grams of a solution.
func litresOf(grams, brix float64) float64 { return grams / 1000 / Density(brix) }

func TestAdjust(t *testing.T) {
	up, ok := Adjust(litresOf(1000, 10), 10, 30)
	near(t, "1 kg at 10 to 30: sugar", up.Sugar.Grams, 285.714, 0.001)
	near(t, "no water", up.Water.Grams, 0, 0)
	if cups := up.Sugar.Grams / SugarPerCup; !ok || up.Sugar.Cups != cups || up.Sugar.Kitchen == "" {
		t.Errorf("%+v", up)
	}
	down, _ := Adjust(litresOf(1000, 40), 40, 20)
	near(t, "1 kg at 40 to 20: water", down.Water.Grams, 1000, 0.001)
	near(t, "no sugar", down.Sugar.Grams, 0, 0)
	near(t, "litres after", down.Litres, litresOf(2000, 20), 1e-9)
	same, ok := Adjust(1.3, 20, 20)
	if !ok || same.Sugar.Grams != 0 || same.Water.Grams != 0 {
		t.Errorf("%+v", same)
	}
	if _, ok := Adjust(1, 20, 0); ok {
		t.Error("thinned a syrup to water")
	}
	// "I have 1.3 l at 20 and want 30", there and back by what was stirred in.
	a, _ := Adjust(1.3, 20, 30)
	sugar := SugarIn(20, 1.3) + a.Sugar.Grams
	brix, _ := BrixOf(sugar, a.Litres)
	near(t, "strength after", brix, 30, 1e-6)
}

func TestMix(t *testing.T) {
	for _, c := range []struct {
		m    Mixture
		brix float64
	}{
		{Mixture{Water: 4, Sugar: 1}, 17.47},
		{Mixture{Water: 10, Sugar: 1}, 7.81},
		{Mixture{Water: 1}, 0},
		{Mixture{Water: 1, Honey: 1}, 100 * 340 * 0.82 / (236.16 + 340)},
		{Mixture{Water: 2, Sugar: 1, Corn: 1}, 100 * (200 + 328*0.76) / (2*236.16 + 528)},
		{Mixture{Water: 2, Brown: 1}, 100 * 213 / (2*236.16 + 213)},
	} {
		brix, litres, ok := Mix(c.m)
		if !ok {
			t.Errorf("%+v was not understood", c.m)
		}
		near(t, "mixture", brix, c.brix, 0.006)
		near(t, "sugar in it", SugarIn(brix, litres), brix/100*litres*Density(brix)*1000, 1e-9)
	}
	for _, bad := range []Mixture{{}, {Sugar: 1}, {Water: 1, Sugar: 3}} {
		if _, _, ok := Mix(bad); ok {
			t.Errorf("%+v is a syrup", bad)
		}
	}
}

// TestSugarInAJar holds sugar spooned into a jar against the same sugar mixed in
// a pot: what is in the jar is the same solution.
func TestSugarInAJar(t *testing.T) {
	for grams := 10.0; grams < 250; grams += 30 {
		brix, ok := BrixOf(grams, 0.36)
		if !ok {
			t.Fatalf("%v g", grams)
		}
		near(t, "sugar back", SugarIn(brix, 0.36), grams, 1e-6)
	}
	most := SugarIn(StrongestBrix, 0.36)
	if brix, ok := BrixOf(most+1, 0.36); ok || brix != StrongestBrix {
		t.Errorf("%v g in 0.36 l: %v", most+1, brix)
	}
	if brix, ok := BrixOf(0, 0.36); !ok || brix != 0 {
		t.Error("no sugar is water")
	}
	near(t, "a cup a gallon", GallonBrix(1), 5.03, 0.006)
	near(t, "two cups a gallon", GallonBrix(2), 9.57, 0.006)
}

func TestTopUp(t *testing.T) {
	j := TopUp(1, 12, 2)
	near(t, "short", j.Short, 1, 0)
	near(t, "sugar is kept", SugarIn(j.Brix, 2), SugarIn(12, 1), 1e-6)
	near(t, "water", j.Water.Grams, 1000*(2*Density(j.Brix)-Density(12)), 1e-9)
	if j.Brix < 6 || j.Brix > 6.3 || j.Over != 0 {
		t.Errorf("%+v", j)
	}
	if j := TopUp(3, 12, 2); j.Short != 0 || j.Over != 1 || j.Brix != 12 || j.Water.Grams != 0 {
		t.Errorf("%+v", j)
	}
}

func TestCutOut(t *testing.T) {
	near(t, "570 g of peach at 10 in 380 g at 30", CutOut(570, 10, 380, 30), 18.0, 1e-9)
	near(t, "nothing", CutOut(0, 10, 0, 30), 0, 0)
	quart := find(t, "quart").Capacity.Litres()
	if got := JarCutOut(quart, Share*quart, 30, 10); got < 17.8 || got > 18.6 {
		t.Errorf("a quart of peaches in medium syrup ends at %.2f", got)
	}
}

// TestCorrectReading holds the corrections against the refractive index of
// water, which is known by itself: what it changes from 20 °C, over what a degree
// Brix changes it.
func TestCorrectReading(t *testing.T) {
	const at20, aBrix = 1.33299, 0.001433
	for celsius, index := range map[float64]float64{10: 1.33369, 15: 1.33339, 25: 1.33250, 30: 1.33194} {
		got, err := CorrectReading(5, celsius)
		if err != nil {
			t.Fatal(err)
		}
		near(t, "water's own index", got-5, (at20-index)/aBrix, 0.06)
	}
	for _, c := range []struct{ read, celsius, want float64 }{
		{20, 20, 20}, {20, 30, 20.80}, {30, 25, 30.40}, {10, 15, 9.69}, {15, 22.5, 15.1875}, {0.2, 10, 0}, {65, 30, 65.81},
	} {
		got, err := CorrectReading(c.read, c.celsius)
		if err != nil {
			t.Fatal(err)
		}
		near(t, "reading", got, c.want, 0.0001)
	}
	for _, bad := range [][2]float64{{20, 9.9}, {20, 30.1}, {20, 80}, {-1, 20}, {66, 20}} {
		if got, err := CorrectReading(bad[0], bad[1]); err == nil {
			t.Errorf("%v °Brix at %v °C: %v", bad[0], bad[1], got)
		}
	}
	// Warmer always reads weaker than it is, and the correction grows without a jump.
	for b := 0.0; b <= 65; b += 2.5 {
		last := -1.0
		for c := 10.0; c <= 30; c += 0.5 {
			got, _ := CorrectReading(b, c)
			if got < last {
				t.Errorf("%v °Brix at %v °C: %v after %v", b, c, got, last)
			}
			last = got
		}
	}
}

func TestCornSyrupAndNoSugar(t *testing.T) {
	r := Make(Request{Jars: 7, Jar: find(t, "quart"), Brix: 30, Sweetener: CornHalf, SparePercent: 10})
	if len(r.Sweeteners) != 2 || r.Sweeteners[1].Name != "light corn syrup" {
		t.Fatalf("%+v", r.Sweeteners)
	}
	near(t, "equal cups", r.Sweeteners[0].Cups, r.Sweeteners[1].Cups, 1e-9)
	solids := r.Sweeteners[0].Grams + r.Sweeteners[1].Grams*CornSolids
	near(t, "strength", 100*solids/(r.Water.Grams+r.Sweeteners[0].Grams+r.Sweeteners[1].Grams), 30, 1e-9)
	none := Make(Request{Jars: 7, Jar: find(t, "quart"), Brix: 30, Sweetener: NoSugar})
	near(t, "plain water", none.Water.Grams, none.Litres*WaterDensity*1000, 1e-9)
	if none.Brix != 0 || len(none.Sweeteners) != 0 {
		t.Errorf("%+v", none)
	}
}
