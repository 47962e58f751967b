package fruit

import (
	"fmt"
	"strconv"
	"strings"
)

// Share is the part that a variety has in a sauce or filling.
type Share struct {
	Name  string
	Parts float64
}

// mostShares and mostParts bound a blend that is typed.
const (
	mostShares = 8
	mostParts  = 100
)

// ParseShares reads a blend of varieties: "2 Mill Sweeting, 1 Corvane Russet", parts by
// weight; a name without a number is one part. Nothing typed is no blend.
func ParseShares(s string) ([]Share, error) {
	var all []Share
	for _, part := range strings.FieldsFunc(strings.ReplaceAll(s, " and ", ","), func(r rune) bool { return strings.ContainsRune(",;+&", r) }) {
		name, parts := strings.TrimSpace(part), 1.0
		if name == "" {
			continue
		}
		if first, rest, ok := strings.Cut(name, " "); ok {
			if n, err := strconv.ParseFloat(strings.Replace(strings.TrimSuffix(first, "x"), "½", ".5", 1), 64); err == nil {
				name, parts = strings.TrimSpace(rest), n
			}
		}
		for _, word := range []string{"parts of ", "part of ", "parts ", "part "} {
			name = strings.TrimPrefix(name, word)
		}
		if !(parts > 0 && parts <= mostParts) {
			return nil, fmt.Errorf("%q has no parts that can be measured; accepted: over 0 to %d of each, as 2 of one, 1 of another", strings.TrimSpace(part), mostParts)
		}
		if _, err := strconv.ParseFloat(name, 64); err == nil || len(name) > 60 {
			return nil, fmt.Errorf("%q does not name a variety; accepted: parts and a name, as 2 of one, 1 of another", strings.TrimSpace(part))
		}
		for _, before := range all {
			if strings.EqualFold(before.Name, name) {
				return nil, fmt.Errorf("%s stands there twice; accepted: each variety once", name)
			}
		}
		all = append(all, Share{name, parts})
	}
	if len(all) > mostShares {
		return nil, fmt.Errorf("that is more than %d varieties", mostShares)
	}
	return all, nil
}

// Variety is what the cook knows of a variety: its taste from 0, sweet, to 10, tart.
type Variety struct {
	Kind, Name string
	Tart       int
	Texture    string
}

// TasteWord names a taste from 0, sweet, to 10, tart.
func TasteWord(tart float64) string {
	switch {
	case tart < 1.5:
		return "sweet"
	case tart < 4:
		return "rather sweet"
	case tart <= 6:
		return "between sweet and tart"
	case tart <= 8.5:
		return "rather tart"
	}
	return "tart"
}
