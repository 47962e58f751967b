package measure

import (
	"fmt"
	"math/big"
	"strings"
)

// scanNumber reads a number from the front of s: "12", "5.5", "1,5", "3,480",
// "1 200", "1/2", "1 1/2", "half a".
func scanNumber(s string) (n *big.Rat, rest, problem string) {
	if n, rest, ok := scanNumberWord(s); ok {
		return n, rest, ""
	}
	whole, rest := scanDigits(s)
	if whole == "" {
		return nil, "", fmt.Sprintf("no number was found at %q", s)
	}
	if strings.HasPrefix(rest, "/") {
		below, after := scanDigits(rest[1:])
		n, problem = ratio(whole, below)
		return n, after, problem
	}
	whole, rest = scanThousands(whole, rest)
	text := whole
	if decimals, after, ok := scanDecimals(rest); ok {
		text, rest = whole+"."+decimals, after
	}
	n, ok := new(big.Rat).SetString(text)
	if !ok {
		return nil, "", fmt.Sprintf("%q is not a number", text)
	}
	above, after := scanDigits(strings.TrimLeft(rest, " -"))
	if above == "" || !strings.HasPrefix(after, "/") {
		return n, rest, ""
	}
	if text != whole {
		return nil, "", "it mixes decimals with a fraction"
	}
	below, after := scanDigits(after[1:])
	f, problem := ratio(above, below)
	if problem != "" {
		return nil, "", problem
	}
	return n.Add(n, f), after, ""
}

// scanThousands takes the groups of three that follow: ",480", " 200".
func scanThousands(whole, rest string) (string, string) {
	if len(whole) > 3 {
		return whole, rest
	}
	for rest != "" && (rest[0] == ' ' || rest[0] == ',') {
		group, after := scanDigits(rest[1:])
		if len(group) != 3 || strings.HasPrefix(after, "/") {
			break
		}
		whole, rest = whole+group, after
	}
	return whole, rest
}

// scanDecimals takes ".25", or ",5" where one or two digits follow the comma.
func scanDecimals(rest string) (decimals, after string, ok bool) {
	if rest == "" || (rest[0] != '.' && rest[0] != ',') {
		return "", rest, false
	}
	decimals, after = scanDigits(rest[1:])
	if decimals == "" || rest[0] == ',' && len(decimals) > 2 {
		return "", rest, false
	}
	return decimals, after, true
}

func scanNumberWord(s string) (n *big.Rat, rest string, ok bool) {
	longest := ""
	for w := range words {
		if len(w) > len(longest) && strings.HasPrefix(s, w) && (len(s) == len(w) || s[len(w)] == ' ') {
			longest = w
		}
	}
	if longest == "" {
		return nil, s, false
	}
	return new(big.Rat).Set(words[longest]), s[len(longest):], true
}

func scanDigits(s string) (digits, rest string) {
	i := 0
	for i < len(s) && s[i] >= '0' && s[i] <= '9' {
		i++
	}
	return s[:i], s[i:]
}

// scanWord takes the word for a unit; "fl oz" is one word.
func scanWord(s string) (word, rest string) {
	if after, ok := strings.CutPrefix(s, "fl oz"); ok {
		return "fl oz", after
	}
	i := strings.IndexAny(s, " ,+0123456789")
	if i < 0 {
		i = len(s)
	}
	return strings.TrimSuffix(s[:i], "."), s[i:]
}

// skipJoiner passes over what may stand between two terms: "+", "and", a comma.
func skipJoiner(s string) string {
	s = strings.TrimLeft(s, " ")
	for _, j := range []string{"+", "and ", ","} {
		if after, ok := strings.CutPrefix(s, j); ok {
			return strings.TrimLeft(after, " ")
		}
	}
	return s
}

func ratio(above, below string) (*big.Rat, string) {
	r, ok := new(big.Rat).SetString(above + "/" + below)
	if below == "" || !ok {
		return nil, "a fraction needs a number other than 0 below the line"
	}
	return r, ""
}
