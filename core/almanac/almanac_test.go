package almanac

import (
	"math"
	"math/rand/v2"
	"testing"
)

func near(a, b float64) bool { return math.Abs(a-b) < 1e-9 }

var (
	peaches25 = Of{2025, "peaches", "hot", "kettle"}
	peaches26 = Of{2026, "peaches", "hot", "kettle"}
	pears26   = Of{2026, "pears", "raw", ""}
	puts      = []Put{
		{peaches25, 7, 6.6, 8, 900}, {peaches26, 14, 13.2, 15, 1500}, {peaches26, 7, 6.6, 0, -1}, {pears26, 7, 6.6, 9, 700},
	}
	looks = []Look{{peaches25, 7, 1, 0, 2, 3}, {peaches26, 20, 0, 1, 0, 4}, {pears26, 7, 0, 0, 0, 7}}
)

func TestTable(t *testing.T) {
	rows := Table(puts, looks, ByProduct)
	if len(rows) != 2 || rows[0].Key != "peaches" || rows[0].Batches != 3 || rows[0].Jars != 28 || rows[0].Looked != 27 || rows[0].Float != 7 {
		t.Fatalf("%+v", rows)
	}
	if y, ok := rows[0].LitresPerKg(); !ok || !near(y, 19.8/23) { // not of the batch whose fruit nobody weighed
		t.Error(y, ok)
	}
	if worst, best := rows[0].Yields(); !near(worst, 6.6/8) || !near(best, 13.2/15) {
		t.Error(worst, best)
	}
	if c, ok := rows[0].CentsPerLitre(); !ok || !near(c, 2400/19.8) {
		t.Error(c, ok)
	}
	years := Table(puts, looks, ByYear)
	if len(years) != 2 || years[0].Year != 2025 || years[1].Jars != 28 || years[1].Batches != 3 {
		t.Errorf("%+v", years)
	}
	pots := Table(puts, looks, ByPot)
	if len(pots) != 1 || pots[0].Key != "kettle" || pots[0].Jars != 28 {
		t.Errorf("what has no pot has a row: %+v", pots)
	}
	if packs := Table(puts, looks, ByPack); len(packs) != 2 || packs[0].Key != "hot" || packs[1].Float != 7 {
		t.Errorf("%+v", packs)
	}
	if rows := Table(nil, looks, ByProduct); len(rows) != 2 || rows[0].Jars != 0 || rows[0].Key != "peaches" {
		t.Errorf("%+v", rows)
	}
	if _, ok := (Row{}).LitresPerKg(); ok {
		t.Error("nothing gave something")
	}
	if _, ok := (Row{}).CentsPerLitre(); ok {
		t.Error("nothing cost something")
	}
}

func TestYearByYear(t *testing.T) {
	all := YearByYear(puts, looks, []int{2024, 2025, 2026})
	if len(all) != 2 || all[0].Product != "peaches" || len(all[0].Years) != 3 {
		t.Fatalf("%+v", all)
	}
	y := all[0].Years
	if y[0].Jars != 0 || y[0].Year != 2024 || y[1].Jars != 7 || y[1].Unsealed != 1 || y[2].Jars != 21 || y[2].Broken != 1 {
		t.Errorf("%+v", y)
	}
	if all[1].Years[1].Jars != 0 || all[1].Years[2].Jars != 7 {
		t.Errorf("%+v", all[1].Years)
	}
}

// TestShare holds the interval to what made-up loads do: nine of ten times the true share is
// in it, and few jars are said to be few.
func TestShare(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 3))
	for _, truth := range []float64{0.02, 0.1, 0.5} {
		held := 0
		const times = 4000
		for range times {
			row := Row{Look: Look{Looked: 60}}
			n := 0
			for range row.Looked {
				if r.Float64() < truth {
					n++
				}
			}
			if s := row.Share(n); s.Low <= truth && truth <= s.High {
				held++
			}
		}
		if share := float64(held) / times; share < 0.86 || share > 0.995 {
			t.Errorf("a true share of %.2f is in its range %.1f %% of the times", truth, 100*share)
		}
	}
	if s := (Row{Look: Look{Looked: 19, Unsealed: 1, Broken: 1}}).Lost(); !s.Few || s.N != 2 {
		t.Errorf("%+v", s)
	}
	if s := (Row{Look: Look{Looked: 20}}).Lost(); s.Few || s.Low > 1e-9 || s.High < 0.05 {
		t.Errorf("none of twenty: %+v", s)
	}
	if s := (Row{}).Lost(); s.High != 0 || !s.Few {
		t.Errorf("%+v", s)
	}
}

// TestNothingIsLost adds up made-up seasons by every way: each jar is in one row of each.
func TestNothingIsLost(t *testing.T) {
	r := rand.New(rand.NewPCG(4, 4))
	products, packs, pots := []string{"peaches", "pears", "plums"}, []string{"hot", "raw"}, []string{"kettle", "steamer", ""}
	for range 50 {
		var puts []Put
		var looks []Look
		jars, kg, unsealed := 0, 0.0, 0
		some := func() Of {
			return Of{2020 + r.IntN(6), products[r.IntN(3)], packs[r.IntN(2)], pots[r.IntN(3)]}
		}
		for range r.IntN(60) {
			p := Put{some(), 1 + r.IntN(20), r.Float64() * 20, r.Float64() * 20, float64(r.IntN(3000) - 500)}
			puts = append(puts, p)
			jars += p.Jars
			kg += p.Kg
		}
		for range r.IntN(60) {
			l := Look{Of: some(), Looked: 1 + r.IntN(20)}
			l.Unsealed = r.IntN(l.Looked + 1)
			looks = append(looks, l)
			unsealed += l.Unsealed
		}
		for _, by := range []By{ByProduct, ByPack, ByYear} {
			sumJars, sumKg, sumUnsealed := 0, 0.0, 0
			for i, row := range Table(puts, looks, by) {
				sumJars += row.Jars
				sumKg += row.weighedKg
				sumUnsealed += row.Unsealed
				if worst, best := row.Yields(); worst > best {
					t.Errorf("%+v: %f to %f", row, worst, best)
				}
				if y, ok := row.LitresPerKg(); ok {
					if worst, best := row.Yields(); y < worst-1e-9 || y > best+1e-9 {
						t.Errorf("a yield of %f outside of %f to %f", y, worst, best)
					}
				}
				if s := row.Lost(); s.Low < 0 || s.High > 1 || s.Low > s.High {
					t.Errorf("row %d: %+v", i, s)
				}
			}
			if sumJars != jars || math.Abs(sumKg-kg) > 1e-6 || sumUnsealed != unsealed {
				t.Errorf("by %s: %d of %d jars, %f of %f kg, %d of %d unsealed", by, sumJars, jars, sumKg, kg, sumUnsealed, unsealed)
			}
		}
		years := []int{2020, 2021, 2022, 2023, 2024, 2025}
		sum := 0
		for _, c := range YearByYear(puts, looks, years) {
			for _, y := range c.Years {
				sum += y.Jars
			}
		}
		if sum != jars {
			t.Errorf("year by year %d of %d jars", sum, jars)
		}
	}
}
