package fruit

import (
	"fmt"
	"math"
	"math/big"
	"slices"
	"strings"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// MostJars is the largest batch that is planned.
const MostJars = 500

// Amount is what a cook starts from: fruit, or jars to fill.
type Amount struct {
	Fruit measure.Mass // 0 where jars were given
	Jars  int          // 0 where fruit was given
	// Container is what was typed where fruit was counted and not weighed: "1 bushel".
	Container string
}

const accepts = "fruit as 12 lb, 5.5 kg or half a bushel, or jars as 7 jars or 7 quarts"

var jarWords = map[string]measure.Volume{
	"quart": measure.Quart, "quarts": measure.Quart, "qt": measure.Quart, "qts": measure.Quart,
	"pint": measure.Pint, "pints": measure.Pint, "pt": measure.Pint, "pts": measure.Pint,
	"half-pint": measure.Cup, "half-pints": measure.Cup,
	"half-gallon": 2 * measure.Quart, "half-gallons": 2 * measure.Quart,
	"litre": measure.Litre, "litres": measure.Litre, "liter": measure.Litre, "liters": measure.Litre, "l": measure.Litre,
}

// ParseAmount reads "12 lb", "1 1/2 bu", "half a bushel", "7 jars", "7 quarts".
// Quarts and the like are jars to fill: 7 quarts in pint jars are 14. A
// container is taken only for a product that has a published weight for it. It
// refuses nothing at all and more than 500 jars, with a *measure.ParseError.
func ParseAmount(s, product string, j jar.Jar) (Amount, error) {
	fail := func(problem string) (Amount, error) {
		return Amount{}, &measure.ParseError{Input: s, What: "an amount", Problem: problem, Accepts: accepts}
	}
	spelled := strings.NewReplacer("half pint", "half-pint", "half gallon", "half-gallon").Replace(strings.ToLower(s))
	terms, problem := measure.Terms(spelled)
	if problem != "" {
		return fail(problem)
	}
	if len(terms) == 1 {
		a, problem, ok := counted(terms[0], product, j)
		switch {
		case problem != "":
			return fail(problem)
		case ok:
			if a.Fruit > 0 {
				a.Container = strings.TrimSpace(s)
			}
			return a, nil
		}
	}
	m, err := measure.ParseMass(s)
	if err != nil {
		if pe, ok := err.(*measure.ParseError); ok {
			return fail(pe.Problem)
		}
		return Amount{}, err
	}
	if m == 0 {
		return fail("there is nothing to plan with")
	}
	return Amount{Fruit: m}, nil
}

// counted reads jars and containers; ok is false where the word is neither.
func counted(t measure.Term, product string, j jar.Jar) (a Amount, problem string, ok bool) {
	n, _ := t.Number.Float64()
	if size, isJar := jarWords[t.Word]; isJar || t.Word == "jars" || t.Word == "jar" {
		if isJar {
			n = math.Ceil(n*float64(size)/float64(j.Capacity) - 0.001)
		} else if !t.Number.IsInt() {
			return a, "a jar is filled or it is not: give whole jars", false
		}
		if n < 1 || n > MostJars {
			return a, fmt.Sprintf("a batch is 1 to %d jars", MostJars), false
		}
		return Amount{Jars: int(n)}, "", true
	}
	peck := t.Word == "peck" || t.Word == "pecks"
	if !peck && !slices.Contains(bushel, t.Word) && !slices.Contains(lug, t.Word) && !slices.Contains(crate, t.Word) {
		return a, "", false
	}
	q, found := Find(product)
	lb := q.ContainerLb
	switch {
	case !found || q.Container == "":
		return a, "there is no published weight of a " + strings.TrimSuffix(t.Word, "s") + " of it, so weigh it", false
	case peck && q.containerWords[0] == "bushel":
		lb /= 4
	case !slices.Contains(q.containerWords, t.Word):
		return a, "it is published by the " + q.Container + ", so weigh it or count that", false
	}
	if n == 0 {
		return a, "there is nothing to plan with", false
	}
	if n > 10_000 {
		return a, "it is too large", false
	}
	exact, _ := new(big.Rat).Mul(t.Number, new(big.Rat).SetFloat64(lb)).Float64()
	return Amount{Fruit: measure.Pounds(exact)}, "", true
}
