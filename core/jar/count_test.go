package jar

import (
	"fmt"
	"strings"
	"testing"
)

func TestParseCounts(t *testing.T) {
	for in, want := range map[string]string{
		"7 quarts":                        "quart 7",
		" 7 Quart jars, 3 pints ":         "quart 7, pint 3",
		"1 half pint and 2 500 ml jars":   "half-pint 1, 500-ml 2",
		"4 wide-mouth pints + 1 1 litre":  "pint-wide 4, 1-l 1",
		"12 4-oz;1 12-ounce jar":          "4-oz 12, 12-oz 1",
		"500 half-gallons & 1 quart wide": "half-gallon 500, quart-wide 1",
	} {
		got, err := ParseCounts(in)
		var words []string
		for _, c := range got {
			words = append(words, fmt.Sprint(c.Jar.ID, " ", c.Count))
		}
		if s := strings.Join(words, ", "); err != nil || s != want {
			t.Errorf("%q: %q, %v; want %q", in, s, err, want)
		}
	}
	for in, says := range map[string]string{
		"": "no jars are said", " , ": "no jars are said", "quarts": "does not begin with a number", "0 quarts": "1 to 500", "-1 quart": "1 to 500",
		"501 pints": "1 to 500", "7 mugs": "no jar known here", "7": "no jar known here", "2.5 quarts": "does not begin", "3 pints, 1 pint": "stand there twice",
	} {
		if got, err := ParseCounts(in); err == nil || got != nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%q: %v, %v; want %q", in, got, err, says)
		}
	}
	for _, j := range All() {
		for _, name := range []string{string(j.ID), j.One, j.Many, strings.ToUpper(j.Many)} {
			if found, ok := FindName(name); !ok || found.ID != j.ID {
				t.Errorf("%q is %q", name, found.ID)
			}
		}
	}
}
