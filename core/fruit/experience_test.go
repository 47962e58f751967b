package fruit

import (
	"math"
	"testing"

	"mellisca/core/measure"
)

func TestRatio(t *testing.T) {
	quart, pint := find(t, "quart"), find(t, "pint")
	// 17.5 lb of peaches are 7 quarts in the guide.
	for _, c := range []struct {
		lb     float64
		filled []Filled
		want   float64
	}{{17.5, []Filled{{quart, 7}}, 1}, {17.5, []Filled{{quart, 6}}, 6.0 / 7}, {11, []Filled{{pint, 9}}, 1}, {17.5, []Filled{{quart, 4}, {pint, 6}}, (10 + 6*11.0/9) / 17.5}} {
		got, ok := Ratio("peaches", measure.Pounds(c.lb), c.filled)
		if !ok || math.Abs(got-c.want) > 1e-6 {
			t.Errorf("%+v: %v, want %v", c, got, c.want)
		}
	}
	for _, bad := range []struct {
		product string
		m       measure.Mass
		f       []Filled
	}{{"jam", measure.Pound, []Filled{{pint, 2}}}, {"peaches", 0, []Filled{{pint, 2}}}, {"peaches", measure.Pound, nil}} {
		if _, ok := Ratio(bad.product, bad.m, bad.f); ok {
			t.Errorf("%+v has a ratio", bad)
		}
	}
}

func TestJarsLearned(t *testing.T) {
	quart := find(t, "quart")
	bushel := 48 * measure.Pound
	if l, ok := JarsLearned("peaches", bushel, quart, nil); !ok || l.Low != 16 || l.Likely != 19 || l.High != 24 || l.Batches != 0 {
		t.Errorf("%+v", l)
	}
	// A cook who peels thickly gets a sixth less each time.
	l, _ := JarsLearned("peaches", bushel, quart, []float64{0.83, 0.85, 0.82, 0.84, 0.86, 0.83})
	if l.Likely > 17 || l.Likely < 16 || l.Low < 13 || l.High > 20 || l.Batches != 6 {
		t.Errorf("%+v", l)
	}
	if _, ok := JarsLearned("jam", bushel, quart, []float64{1}); ok {
		t.Error("jam has a yield")
	}
}

func TestOtherBeliefs(t *testing.T) {
	if low, likely, high := LiquidShare(nil); math.Abs(low-0.36) > 0.001 || math.Abs(likely-0.38) > 1e-9 || math.Abs(high-0.40) > 0.002 {
		t.Errorf("%v %v %v", low, likely, high)
	}
	if _, likely, _ := LiquidShare([]float64{0.45, 0.46, 0.44, 0.45}); likely < 0.41 || likely > 0.45 {
		t.Error(likely)
	}
	if _, likely, _ := MinutesPerPound([]float64{5, 5, 5, 5, 5, 5}); likely < 3.8 || likely > 5 {
		t.Error(likely)
	}
	if HeatingFactor(nil) != 1 || HeatingFactor([]float64{1.5, 1.4, 1.6}) < 1.2 {
		t.Error("the stove's own pace is not learned")
	}
}

func TestBargain(t *testing.T) {
	for _, c := range []struct {
		price  float64
		others []float64
		want   float64
		ok     bool
	}{{80, []float64{100}, -20, true}, {120, []float64{90, 100, 400}, 20, true}, {100, []float64{80, 120}, 0, true}, {100, nil, 0, false}, {0, []float64{100}, 0, false}, {100, []float64{0}, 0, false}} {
		got, ok := Bargain(c.price, c.others)
		if ok != c.ok || math.Abs(got-c.want) > 1e-9 {
			t.Errorf("%v beside %v: %v, %v", c.price, c.others, got, ok)
		}
	}
}
