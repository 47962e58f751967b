package jar

import (
	"encoding/csv"
	"os"
	"testing"

	"mellisca/core/measure"
)

// TestAgainstTable compares every cell with a second transcription, both ways.
func TestAgainstTable(t *testing.T) {
	f, err := os.Open("testdata/jars.csv")
	if err != nil {
		t.Fatal(err)
	}
	defer f.Close()
	rows, err := csv.NewReader(f).ReadAll()
	if err != nil {
		t.Fatal(err)
	}
	if len(rows)-1 != len(All()) {
		t.Fatalf("%d jars in the table, %d in the code", len(rows)-1, len(All()))
	}
	for _, row := range rows[1:] {
		j, ok := Find(ID(row[0]))
		if !ok {
			t.Errorf("%s is missing", row[0])
			continue
		}
		same := func(what string, got any, text, unit string, parse func(string) (any, error)) {
			if want, err := parse(text + unit); err != nil || got != want {
				t.Errorf("%s %s: %v, table %v %v", j.ID, what, got, want, err)
			}
		}
		volume := func(s string) (any, error) { return measure.ParseVolume(s) }
		length := func(s string) (any, error) { return measure.ParseLength(s) }
		mass := func(s string) (any, error) { return measure.ParseMass(s) }
		same("capacity", j.Capacity, row[1], " ml", volume)
		same("diameter", j.Diameter, row[2], " cm", length)
		same("height", j.Height, row[3], " cm", length)
		same("outside", j.Outside, row[4], " l", volume)
		same("glass", j.Glass, row[5], " kg", mass)
		if string(j.Mouth) != row[6] || string(j.TestedAs.ID()) != row[7] {
			t.Errorf("%s: mouth %s tested as %s, table %s %s", j.ID, j.Mouth, j.TestedAs.ID(), row[6], row[7])
		}
	}
}

func TestCount(t *testing.T) {
	q, _ := Find("quart")
	if q.Count(1) != "1 quart" || q.Count(7) != "7 quarts" {
		t.Errorf("%q, %q", q.Count(1), q.Count(7))
	}
	if _, ok := Find("Quart"); ok {
		t.Error("an id is exact")
	}
}
