package batch

import (
	"encoding/csv"
	"math"
	"os"
	"testing"

	"mellisca/core/guide"
	"mellisca/core/measure"
)

// TestFillingsAgainstTable compares every line with a second transcription.
func TestFillingsAgainstTable(t *testing.T) {
	f, err := os.Open("testdata/pie-fillings.csv")
	if err != nil {
		t.Fatal(err)
	}
	defer f.Close()
	rows, err := csv.NewReader(f).ReadAll()
	if err != nil {
		t.Fatal(err)
	}
	lines := 0
	for _, l := range fillings {
		lines += len(l)
	}
	if lines != len(rows)-1 {
		t.Fatalf("%d lines here, %d in the table", lines, len(rows)-1)
	}
	next := map[string]int{}
	for _, row := range rows[1:] {
		l := fillings[guide.Product(row[0]+"-pie-filling")][next[row[0]]]
		next[row[0]]++
		if l.name != row[1] || string(l.role) != row[4] && row[4] != "acid (never reduce)" {
			t.Errorf("%s: %q (%s), table %q (%s)", row[0], l.name, l.role, row[1], row[4])
		}
		for i, tsp := range []float64{l.oneQuart, l.sevenQt} {
			want, err := measure.ParseVolume(row[2+i])
			if got := measure.Cups(tsp / cup); err != nil || math.Abs(float64(got-want)) > 1e-3*float64(want) {
				t.Errorf("%s, %s: %s, table %s %v", row[0], l.name, got.Kitchen(), row[2+i], err)
			}
		}
	}
}

func TestFill(t *testing.T) {
	acid := func(p guide.Product, quarts float64) (tsp float64) {
		b, ok := fill(p, guide.CookTypeStarch, quarts)
		if !ok {
			t.Fatal(p)
		}
		for _, i := range b.Ingredients {
			if i.Role == AcidRole {
				return math.Round(i.Amount.Cups()*cup*100) / 100
			}
		}
		return 0
	}
	for _, c := range []struct {
		product guide.Product
		quarts  float64
		tsp     float64
	}{
		{"apple-pie-filling", 1, 6}, {"apple-pie-filling", 7, 36}, {"apple-pie-filling", 2, 12}, {"apple-pie-filling", 6, 36},
		{"apple-pie-filling", 6.5, 39}, {"blueberry-pie-filling", 3, 10.5}, {"blueberry-pie-filling", 0.5, 2}, {"blueberry-pie-filling", 7, 24},
		{"cherry-pie-filling", 4.5, 18}, {"peach-pie-filling", 7, 84}, {"peach-pie-filling", 5, 60}, {"peach-pie-filling", 10, 60},
	} {
		if got := acid(c.product, c.quarts); got != c.tsp {
			t.Errorf("%v quarts of %s: %v tsp of acid, want %v", c.quarts, c.product, got, c.tsp)
		}
	}
	// Whatever the size but the printed ones, no pot has less acid a quart than either column.
	for p, lines := range fillings {
		for q := 0.25; q < 30; q += 0.25 {
			b, _ := fill(p, guide.CookTypeStarch, q)
			if b.Quarts > mostFilling || b.Quarts*float64(b.Pots) != q {
				t.Errorf("%v quarts: %d pots of %v", q, b.Pots, b.Quarts)
			}
			for _, l := range lines {
				if share := max(l.oneQuart, l.sevenQt/7); l.role == AcidRole && !b.AsPrinted && acid(p, q) < share*b.Quarts-0.01 {
					t.Errorf("%s, %v quarts: too little acid", p, q)
				}
			}
		}
	}
	plain, _ := fill("apple-pie-filling", guide.NoThickener, 2)
	for _, i := range plain.Ingredients {
		if i.Role == ThickenerRole {
			t.Error("starch in a filling without it")
		}
	}
	if b, _ := fill("peach-pie-filling", guide.CookTypeStarch, 15); b.Pots != 3 || b.Quarts != 5 {
		t.Errorf("15 quarts: %+v", b)
	}
}
