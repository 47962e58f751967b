package jar

import (
	"fmt"
	"strconv"
	"strings"
)

// Count names n jars: "1 quart", "7 quarts", "1 4-ounce jar".
func (j Jar) Count(n int) string {
	if n == 1 {
		return "1 " + j.One
	}
	return strconv.Itoa(n) + " " + j.Many
}

// Counted is a number of one kind of jar.
type Counted struct {
	Jar   Jar
	Count int
}

// mostCounted bounds the jars of one kind in a batch.
const mostCounted = 500

// ParseCounts reads jars as people write them: "7 quarts", "7 quarts, 3 pints", "2 500
// ml jars and 1 half-pint". Each kind stands once, 1 to 500 of it.
func ParseCounts(s string) ([]Counted, error) {
	var all []Counted
	seen := map[ID]bool{}
	for _, part := range strings.FieldsFunc(strings.ReplaceAll(s, " and ", ","), func(r rune) bool { return strings.ContainsRune(",;+&", r) }) {
		if strings.TrimSpace(part) == "" {
			continue
		}
		number, name, _ := strings.Cut(strings.TrimSpace(part), " ")
		n, err := strconv.Atoi(number)
		if err != nil || n < 1 || n > mostCounted {
			return nil, fmt.Errorf("%q does not begin with a number of jars; accepted: 1 to %d of a kind, as 7 quarts, 3 pints", strings.TrimSpace(part), mostCounted)
		}
		j, ok := FindName(name)
		if !ok {
			return nil, fmt.Errorf("%q is no jar known here; accepted: quarts, pints, half-pints, 500 ml jars and so on", strings.TrimSpace(name))
		}
		if seen[j.ID] {
			return nil, fmt.Errorf("%s stand there twice; accepted: each kind once", j.Many)
		}
		seen[j.ID] = true
		all = append(all, Counted{j, n})
	}
	if len(all) == 0 {
		return nil, fmt.Errorf("no jars are said; accepted: how many of which, as 7 quarts, 3 pints")
	}
	return all, nil
}

// FindName looks a jar up by what people call it: "quarts", "Quart jar", "500 ml",
// "wide-mouth pints", or its id.
func FindName(name string) (Jar, bool) {
	wanted := plain(name)
	for _, j := range all {
		if wanted == plain(string(j.ID)) || wanted == plain(j.One) || wanted == plain(j.Many) {
			return j, true
		}
	}
	return Jar{}, false
}

// plain is a jar's name without what people leave out.
func plain(name string) string {
	name = strings.Join(strings.Fields(strings.ReplaceAll(strings.ToLower(name), "-", " ")), " ")
	name = strings.TrimSuffix(strings.TrimSuffix(name, " jars"), " jar")
	return strings.TrimSuffix(name, "s")
}
