package fruit

import (
	"fmt"
	"math/big"
	"slices"
	"strings"

	"mellisca/core/measure"
)

// Container is a pail, a basket or a crate of the cook's own, weighed once.
type Container struct {
	Name string // "green pail"
	Kind string // the fruit it was weighed with
	Mass measure.Mass
}

// Bought is fruit as it came in.
type Bought struct {
	Mass  measure.Mass
	Guess bool // by a piece or a flat, whose weight is our own guess
}

// flatOfBerries is twelve pint baskets, in pounds: our own guess.
const flatOfBerries = 9.0

// ParseBought reads how much came in: a weight, a published container of that fruit
// ("2 bushels"), pieces, flats of berries, or containers of the cook's own by their
// name ("3 green pails"). It errs with a *measure.ParseError.
func (k Kind) ParseBought(s string, own []Container) (Bought, error) {
	fail := func(problem string) (Bought, error) {
		accepts := "a weight as 20 lb or 9 kg, 1 bushel, 24 pieces, or a container of your own that was weighed, as 2 pails"
		return Bought{}, &measure.ParseError{Input: s, What: "an amount of " + k.Name, Problem: problem, Accepts: accepts}
	}
	if m, err := measure.ParseMass(s); err == nil {
		if m == 0 {
			return fail("there is nothing")
		}
		return Bought{Mass: m}, nil
	}
	number, word, problem := countOf(s)
	if problem != "" {
		return fail(problem)
	}
	n, _ := number.Float64()
	times := func(grams float64, guess bool) (Bought, error) {
		m := measure.Grams(n * grams)
		if m <= 0 || n > 10_000 {
			return fail("that is nothing, or more than a kitchen holds")
		}
		return Bought{m, guess}, nil
	}
	for _, c := range own {
		if c.Kind == k.ID && sameWord(word, c.Name) {
			return times(c.Mass.Grams(), false)
		}
	}
	switch {
	case slices.Contains([]string{"piece", "pieces", "pc", "pcs", k.ID, k.Name}, word):
		if k.Piece == 0 {
			return fail("nobody counts them: weigh them")
		}
		return times(k.Piece, true)
	case word == "flat" || word == "flats":
		if !strings.HasSuffix(k.ID, "berry") {
			return fail("a flat is for berries: weigh it")
		}
		return times(measure.Pounds(flatOfBerries).Grams(), true)
	}
	q, found := Find(k.Quantity)
	if found && q.Container != "" && slices.Contains(q.containerWords, word) {
		return times(measure.Pounds(q.ContainerLb).Grams(), false)
	}
	return fail(fmt.Sprintf("%q is not known for it; weigh one, and name it as a container of your own", word))
}

// countOf parts "3 green pails" into 3 and "green pails".
func countOf(s string) (n *big.Rat, word, problem string) {
	low := strings.ToLower(strings.TrimSpace(s))
	first, rest, ok := strings.Cut(low, " ")
	if !ok {
		return nil, "", "a number needs what was counted"
	}
	if second, more, ok := strings.Cut(rest, " "); ok && strings.Contains(second, "/") {
		first, rest = first+" "+second, more // 1 1/2 pails
	}
	if first == "half" || first == "a" || first == "an" {
		first = map[string]string{"half": "1/2", "a": "1", "an": "1"}[first]
		rest = strings.TrimPrefix(rest, "a ")
	}
	terms, problem := measure.Terms(first)
	if problem != "" || len(terms) != 1 || terms[0].Word != "" {
		return nil, "", "it does not begin with a number"
	}
	return terms[0].Number, strings.TrimSpace(rest), ""
}

// sameWord says whether a word names a container, one of them or many.
func sameWord(word, name string) bool {
	name = strings.ToLower(strings.TrimSpace(name))
	word = strings.TrimPrefix(word, "of ")
	return word == name || word == name+"s" || word == name+"es"
}

// Use is what a batch took of a lot. Of names an earlier use of the same lot where
// this is what was left over from that, such as the pulp from the juicer or the
// cores from peeling: it then weighs nothing of the lot by itself.
type Use struct {
	ID   string
	Of   string // empty: from the lot itself
	Mass measure.Mass
	What string // "fruit", "pulp", "juice", "cores"
}

// Left is how much of a lot is left once the uses were taken from it. It errs where
// they are more than there was, or where what is left over from a use is more than
// that use, so that a lot always adds up.
func Left(bought measure.Mass, uses []Use) (measure.Mass, error) {
	left := bought
	parts := map[string]measure.Mass{}
	for _, u := range uses {
		if u.Mass < 0 {
			return 0, fmt.Errorf("a use cannot weigh less than nothing")
		}
		if u.Of == "" {
			left -= u.Mass
			parts[u.ID] = u.Mass
		}
	}
	if left < 0 {
		return 0, fmt.Errorf("that is %s more than there is", (-left).Text(measure.US))
	}
	taken := map[string]measure.Mass{}
	for _, u := range uses {
		if u.Of == "" {
			continue
		}
		of, ok := parts[u.Of]
		if !ok {
			return 0, fmt.Errorf("%s is left over from a use that is not there", u.What)
		}
		if taken[u.Of] += u.Mass; taken[u.Of] > of {
			return 0, fmt.Errorf("more %s than the fruit that it is left over from", u.What)
		}
	}
	return left, nil
}
