package fruit

import (
	"slices"
	"strings"
	"testing"
)

func TestParseShares(t *testing.T) {
	for typed, want := range map[string][]Share{
		"":                                      nil,
		" , ;":                                  nil,
		"Linny":                                 {{"Linny", 1}},
		"2 Mill Sweeting, 1 Corvane Russet":     {{"Mill Sweeting", 2}, {"Corvane Russet", 1}},
		"2 parts Mill Sweeting and Old Wall":    {{"Mill Sweeting", 2}, {"Old Wall", 1}},
		"0.5 x; 1½ part of y & 3x Winter Glory": {{"x", 0.5}, {"y", 1.5}, {"Winter Glory", 3}},
		"Number 9 Sweet + 4 Sour":               {{"Number 9 Sweet", 1}, {"Sour", 4}},
	} {
		if got, err := ParseShares(typed); err != nil || !slices.Equal(got, want) {
			t.Errorf("%q: %v, %v, want %v", typed, got, err, want)
		}
	}
	for typed, says := range map[string]string{
		"0 Linny": "no parts", "-2 Linny": "no parts", "NaN Linny": "no parts", "1e9 Linny": "no parts",
		"2 3": "does not name", "7": "does not name", "2 Linny, 1 linny": "twice", strings.Repeat("x", 61): "does not name",
		"a,b,c,d,e,f,g,h,i": "more than 8",
	} {
		if got, err := ParseShares(typed); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%q: %v, %v, want %q", typed, got, err, says)
		}
	}
}

func FuzzParseShares(f *testing.F) {
	for _, s := range []string{"2 Mill Sweeting, 1 Corvane Russet", "1½ x and y", "3x z"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, s string) {
		all, err := ParseShares(s)
		if err != nil {
			return
		}
		for _, a := range all {
			if a.Name == "" || !(a.Parts > 0 && a.Parts <= mostParts) {
				t.Errorf("%q: %+v", s, a)
			}
		}
	})
}

func TestTasteWord(t *testing.T) {
	last := ""
	var words []string
	for tart := 0.0; tart <= 10; tart += 0.1 {
		if w := TasteWord(tart); w != last {
			words, last = append(words, w), w
		}
	}
	if got := strings.Join(words, ", "); got != "sweet, rather sweet, between sweet and tart, rather tart, tart" {
		t.Error(got)
	}
}
