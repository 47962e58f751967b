package measure

import (
	"strconv"
	"strings"
)

// thousandths prints v/1000 without loss and without closing zeros.
func thousandths(v int64) string { return decimal(v, 3) }

// decimal prints v/10^places without loss and without closing zeros.
func decimal(v int64, places int) string {
	sign := ""
	if v < 0 {
		sign, v = "-", -v
	}
	s := strconv.FormatInt(v, 10)
	for len(s) <= places {
		s = "0" + s
	}
	whole, rest := s[:len(s)-places], strings.TrimRight(s[len(s)-places:], "0")
	if rest == "" {
		return sign + whole
	}
	return sign + whole + "." + rest
}

// trim prints x to at most the given places, without closing zeros.
func trim(x float64, places int) string {
	s := strconv.FormatFloat(x, 'f', places, 64)
	if strings.Contains(s, ".") {
		s = strings.TrimRight(strings.TrimRight(s, "0"), ".")
	}
	if s == "-0" {
		return "0"
	}
	return s
}

// grouped puts a comma between thousands.
func grouped(s string) string {
	sign := ""
	if strings.HasPrefix(s, "-") {
		sign, s = "-", s[1:]
	}
	whole, rest, _ := strings.Cut(s, ".")
	for i := len(whole) - 3; i > 0; i -= 3 {
		whole = whole[:i] + "," + whole[i:]
	}
	if rest != "" {
		whole += "." + rest
	}
	return sign + whole
}

// mixed prints n/d as a whole number and a fraction in lowest terms: "2 1/2".
func mixed(n, d int64) string {
	whole, n := n/d, n%d
	if n == 0 {
		return strconv.FormatInt(whole, 10)
	}
	for n%2 == 0 && d%2 == 0 {
		n, d = n/2, d/2
	}
	f := strconv.FormatInt(n, 10) + "/" + strconv.FormatInt(d, 10)
	if whole == 0 {
		return f
	}
	return strconv.FormatInt(whole, 10) + " " + f
}

func trimMinus(s string) string {
	return strings.TrimPrefix(strings.TrimSpace(fractions.Replace(s)), "-")
}
