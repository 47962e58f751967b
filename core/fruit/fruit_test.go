package fruit

import (
	"encoding/csv"
	"os"
	"strconv"
	"strings"
	"testing"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

func find(t testing.TB, id jar.ID) jar.Jar {
	t.Helper()
	j, ok := jar.Find(id)
	if !ok {
		t.Fatal(id)
	}
	return j
}

func TestAgainstPublishedTable(t *testing.T) {
	f, err := os.Open("testdata/fruit-quantities.csv")
	if err != nil {
		t.Fatal(err)
	}
	defer f.Close()
	rows, err := csv.NewReader(f).ReadAll()
	if err != nil || len(rows) != len(quantities)+1 {
		t.Fatal(err, len(rows))
	}
	number := func(v float64) string {
		if v == 0 {
			return ""
		}
		return strconv.FormatFloat(v, 'f', -1, 64)
	}
	for _, row := range rows[1:] {
		q, ok := Find(row[0])
		if !ok {
			t.Errorf("%s is missing", row[0])
			continue
		}
		got := []string{q.Product, number(q.LbPer7Quarts), number(q.LbPer9Pints), number(q.LbPerQuart), q.Container, number(q.ContainerLb), number(q.QuartsLow), number(q.QuartsHigh)}
		if strings.Join(got, ",") != strings.Join(row, ",") {
			t.Errorf("%v, table %v", got, row)
		}
	}
}

func TestParseAmount(t *testing.T) {
	quart, pint := find(t, "quart"), find(t, "pint")
	for _, c := range []struct {
		in, product string
		jar         jar.Jar
		want        Amount
	}{
		{"12 lb", "peaches", quart, Amount{Fruit: 12 * measure.Pound}},
		{"5.5 kg", "peaches", quart, Amount{Fruit: 5500 * measure.Gram}},
		{"half a bushel", "peaches", quart, Amount{Fruit: 24 * measure.Pound, Container: "half a bushel"}},
		{"1 1/2 bu", "pears", quart, Amount{Fruit: 75 * measure.Pound, Container: "1 1/2 bu"}},
		{"a peck", "peaches", quart, Amount{Fruit: 12 * measure.Pound, Container: "a peck"}},
		{"2 lugs", "cherries", quart, Amount{Fruit: 50 * measure.Pound, Container: "2 lugs"}},
		{"1 crate", "berries", quart, Amount{Fruit: 36 * measure.Pound, Container: "1 crate"}},
		{"7 jars", "jam", pint, Amount{Jars: 7}}, {"7 qt", "peaches", quart, Amount{Jars: 7}}, {"7 quarts", "peaches", pint, Amount{Jars: 14}},
		{"9 pints", "peaches", quart, Amount{Jars: 5}}, {"6 half-pints", "jam", find(t, "half-pint"), Amount{Jars: 6}},
		{"6 half pints", "jam", find(t, "half-pint"), Amount{Jars: 6}}, {"500 jars", "jam", pint, Amount{Jars: 500}},
	} {
		if got, err := ParseAmount(c.in, c.product, c.jar); err != nil || got != c.want {
			t.Errorf("%q of %s: %+v, %v; want %+v", c.in, c.product, got, err, c.want)
		}
	}
	for in, says := range map[string]string{
		"": "nothing was given", "12": "needs its unit", "0 lb": "nothing to plan", "-3 lb": "no number", "0 jars": "1 to 500",
		"501 jars": "1 to 500", "1000000000 lb": "too large", "2 1/2 jars": "whole jars", "a lug": "by the bushel", "3 miles": "not a unit",
		"20000 bushels": "too large", "0 bu": "nothing to plan",
	} {
		if _, err := ParseAmount(in, "peaches", quart); err == nil || !strings.Contains(err.Error(), says) || !strings.Contains(err.Error(), "12 lb") {
			t.Errorf("%q: %v, want %q", in, err, says)
		}
	}
	if _, err := ParseAmount("a bushel", "pineapple", quart); err == nil || !strings.Contains(err.Error(), "weigh it") {
		t.Errorf("a bushel of pineapple: %v", err)
	}
}

func TestYield(t *testing.T) {
	for _, c := range []struct {
		product           string
		lb                float64
		jar               jar.ID
		low, likely, high int
		own               bool
	}{
		{"peaches", 48, "quart", 16, 19, 24, false}, // a bushel, as published
		{"peaches", 12, "quart", 4, 5, 6, false},
		{"berries", 36, "quart", 18, 21, 24, false},
		{"plums", 56, "quart", 22, 28, 36, false},
		{"rhubarb", 28, "quart", 14, 19, 28, false},
		{"peaches", 11, "pint", 7, 9, 11, false},
		{"pineapple", 21, "quart", 6, 7, 8, true},
		{"figs", 11, "pint", 7, 9, 10, true},
		{"citrus-sections", 13, "pint", 7, 9, 10, true},
		{"apple-juice", 28, "quart", 7, 8, 9, false},
		{"peaches", 0.5, "quart", 0, 0, 0, false},
	} {
		y, ok := JarsFrom(c.product, measure.Pounds(c.lb), find(t, c.jar))
		if want := (Yield{c.low, c.likely, c.high, c.own}); !ok || y != want {
			t.Errorf("%v lb of %s in %ss: %+v, want %+v", c.lb, c.product, c.jar, y, want)
		}
	}
	if _, ok := JarsFrom("jam", measure.Pound, find(t, "pint")); ok {
		t.Error("jam has no published quantity")
	}
}

func TestFruitFor(t *testing.T) {
	n, ok := FruitFor("peaches", 7, find(t, "quart"))
	if !ok || n.Likely.Text(measure.US) != "17 lb 8 oz" || n.Low.Text(measure.US) != "14 lb" || n.High.Text(measure.US) != "21 lb" {
		t.Errorf("%s, %s to %s", n.Likely.Text(measure.US), n.Low.Text(measure.US), n.High.Text(measure.US))
	}
	if n, _ := FruitFor("peaches", 9, find(t, "pint")); n.Likely.Text(measure.US) != "11 lb" {
		t.Errorf("9 pints take %s", n.Likely.Text(measure.US))
	}
}

// TestThereAndBack: the fruit that n jars likely take likely gives n jars.
func TestThereAndBack(t *testing.T) {
	for _, q := range quantities {
		for _, j := range jar.All() {
			for n := 1; n <= 60; n++ {
				need, _ := FruitFor(q.Product, n, j)
				y, _ := JarsFrom(q.Product, need.Likely, j)
				if y.Likely != n || y.Low > n || y.High < n {
					t.Fatalf("%d %ss of %s take %v, which give %+v", n, j.ID, q.Product, need.Likely, y)
				}
			}
		}
	}
}

func FuzzParseAmount(f *testing.F) {
	for _, s := range []string{"12 lb", "half a bushel", "7 quarts", "1 peck", "6 half pints", "1/0 bu", "9999999999 jars"} {
		f.Add(s)
	}
	quart := find(f, "quart")
	f.Fuzz(func(t *testing.T, s string) {
		a, err := ParseAmount(s, "peaches", quart)
		if err == nil && (a.Fruit <= 0) == (a.Jars <= 0) {
			t.Fatalf("%q: %+v is neither fruit nor jars, or both", s, a)
		}
	})
}
