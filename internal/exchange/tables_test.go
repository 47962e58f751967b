package exchange

import (
	"bytes"
	"encoding/csv"
	"encoding/json"
	"os"
	"strings"
	"testing"

	"mellisca/core/guide"
	"mellisca/core/measure"
)

// TestTablesCSVIsTheTranscription: what goes out is what the rows were checked against.
func TestTablesCSVIsTheTranscription(t *testing.T) {
	var out bytes.Buffer
	if err := Tables(&out, CSV, nil); err != nil {
		t.Fatal(err)
	}
	want, err := os.ReadFile("../../core/guide/testdata/process-times.csv")
	if err != nil {
		t.Fatal(err)
	}
	if got := strings.TrimSpace(out.String()); got != strings.TrimSpace(strings.ReplaceAll(string(want), "\r\n", "\n")) {
		t.Errorf("differs from the transcription:\n%.400s", got)
	}
	if rows, err := csv.NewReader(&out).ReadAll(); err != nil || len(rows) != 73 {
		t.Error(err, len(rows))
	}
}

func TestTablesText(t *testing.T) {
	var out bytes.Buffer
	a, _ := measure.ParseAltitude("3,480 ft")
	if err := Tables(&out, Text, &a); err != nil {
		t.Fatal(err)
	}
	for _, want := range []string{"have not been held against", "Marked with *: the column for 3,480 ft", "Guide 2: Peaches",
		"raw   quart          1/2 in          30           35           40*          45 "} {
		if !strings.Contains(out.String(), want) {
			t.Errorf("nothing says %q", want)
		}
	}
	out.Reset()
	if err := Tables(&out, Text, nil); err != nil || strings.Contains(out.String(), "*") {
		t.Error("a column was marked for nobody", err)
	}
}

func TestTablesJSON(t *testing.T) {
	var out bytes.Buffer
	if err := Tables(&out, JSON, nil); err != nil {
		t.Fatal(err)
	}
	var doc struct {
		ToFeet []*int
		Rows   []struct {
			Minutes guide.Minutes
			Part    string
		}
	}
	if err := json.Unmarshal(out.Bytes(), &doc); err != nil || len(doc.Rows) != 72 || len(doc.ToFeet) != 4 || *doc.ToFeet[2] != 6000 || doc.ToFeet[3] != nil || doc.Rows[71].Part != "Guide 7: Jellies" {
		t.Errorf("%v %+v", err, doc)
	}
}

func TestParseFormat(t *testing.T) {
	if _, err := ParseFormat("XML"); err == nil || !strings.Contains(err.Error(), "accepted: text, csv, json") {
		t.Error(err)
	}
}
