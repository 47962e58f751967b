package measure

import (
	"fmt"
	"math/big"
	"strings"
)

// unit is one word for a unit and its size in the base unit of its dimension.
type unit struct {
	num, den int64 // base units per unit, as a fraction
}

// dimension is what parse needs to know to read one kind of quantity.
type dimension struct {
	what     string
	accepts  string
	units    map[string]unit
	negative bool
	max      int64 // largest magnitude in base units
}

// maxInput bounds what is looked at; no amount a cook types comes near it.
const maxInput = 200

var fractions = strings.NewReplacer(
	"½", " 1/2", "⅓", " 1/3", "⅔", " 2/3", "¼", " 1/4", "¾", " 3/4",
	"⅛", " 1/8", "⅜", " 3/8", "⅝", " 5/8", "⅞", " 7/8", "⅕", " 1/5", "⅙", " 1/6",
	"\u00a0", " ", "\u2009", " ", "\u202f", " ", "−", "-", "–", "-", "⁄", "/", "’", "'",
)

var words = map[string]*big.Rat{
	"half": big.NewRat(1, 2), "half a": big.NewRat(1, 2), "half an": big.NewRat(1, 2),
	"a half": big.NewRat(1, 2), "an half": big.NewRat(1, 2), "quarter": big.NewRat(1, 4),
	"a": big.NewRat(1, 1), "an": big.NewRat(1, 1), "one": big.NewRat(1, 1), "two": big.NewRat(2, 1),
	"three": big.NewRat(3, 1), "four": big.NewRat(4, 1), "five": big.NewRat(5, 1), "six": big.NewRat(6, 1),
	"seven": big.NewRat(7, 1), "eight": big.NewRat(8, 1), "nine": big.NewRat(9, 1), "ten": big.NewRat(10, 1),
	"eleven": big.NewRat(11, 1), "twelve": big.NewRat(12, 1),
}

// Term is one number with the word that follows it, as in "1 1/2 bu".
type Term struct {
	Number *big.Rat // never negative
	Word   string   // lower case, without a closing full stop; empty where none was typed
}

// Terms splits what a cook typed ("half a bushel", "3 qt 1 cup") into its
// numbers and words, without knowing the words. It is for callers with units
// of their own; the problem it returns is a clause for a sentence.
func Terms(input string) (terms []Term, problem string) {
	if len(input) > maxInput {
		return nil, "too long"
	}
	s := strings.ToLower(strings.TrimSpace(fractions.Replace(input)))
	s = strings.TrimPrefix(s, "about ")
	if s == "" {
		return nil, "nothing was given"
	}
	for s != "" {
		if len(terms) > 0 {
			s = skipJoiner(s)
		}
		n, word, rest, problem := takeTerm(s)
		if problem != "" {
			return nil, problem
		}
		terms = append(terms, Term{n, word})
		s = strings.TrimLeft(rest, " ")
	}
	return terms, ""
}

// takeTerm reads one number and the word behind it from the front of s.
func takeTerm(s string) (n *big.Rat, word, rest, problem string) {
	n, rest, problem = scanNumber(s)
	if problem != "" {
		return nil, "", "", problem
	}
	rest = strings.TrimLeft(rest, " ")
	for _, filler := range []string{"of ", "a ", "an "} {
		rest = strings.TrimPrefix(rest, filler)
	}
	word, rest = scanWord(rest)
	return n, word, rest, ""
}

// parse reads a sum of terms ("3 qt 1 cup") into base units.
func (d *dimension) parse(input string) (int64, error) {
	fail := func(problem string) (int64, error) {
		return 0, &ParseError{Input: input, What: d.what, Problem: problem, Accepts: d.accepts}
	}
	s := strings.TrimSpace(fractions.Replace(input))
	minus := strings.HasPrefix(s, "-")
	if minus {
		s = strings.TrimSpace(s[1:])
		if !d.negative {
			return fail("it cannot be less than nothing")
		}
	}
	terms, problem := Terms(s)
	if problem != "" {
		return fail(problem)
	}
	if minus && len(terms) > 1 {
		return fail("a minus goes with one number and one unit")
	}
	sum := new(big.Rat)
	for _, t := range terms {
		if t.Word == "" {
			return fail("a number needs its unit")
		}
		u, ok := d.units[t.Word]
		if !ok {
			return fail(fmt.Sprintf("%q is not a unit of it", t.Word))
		}
		sum.Add(sum, new(big.Rat).Mul(t.Number, big.NewRat(u.num, u.den)))
	}
	if minus {
		sum.Neg(sum)
	}
	v, ok := round(sum)
	if !ok || v > d.max || v < -d.max {
		return fail("it is too large")
	}
	return v, nil
}

// round gives the nearest whole number, half away from zero.
func round(r *big.Rat) (int64, bool) {
	num := new(big.Int).Mul(r.Num(), big.NewInt(2))
	den := new(big.Int).Mul(r.Denom(), big.NewInt(2))
	if num.Sign() >= 0 {
		num.Add(num, r.Denom())
	} else {
		num.Sub(num, r.Denom())
	}
	q := num.Quo(num, den)
	return q.Int64(), q.IsInt64()
}

func unitWords(size unit, names ...string) map[string]unit {
	m := make(map[string]unit, len(names))
	for _, n := range names {
		m[n] = size
	}
	return m
}

func join(maps ...map[string]unit) map[string]unit {
	all := map[string]unit{}
	for _, m := range maps {
		for k, v := range m {
			all[k] = v
		}
	}
	return all
}
