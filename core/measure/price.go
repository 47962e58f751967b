package measure

import (
	"math"
	"math/big"
	"strings"
)

// Price is an amount of money, in whole hundredths of whatever the cook pays
// with, for a weight or a volume. One of Mass and Volume is over 0.
type Price struct {
	Cents  int64
	Mass   Mass
	Volume Volume
}

// mostCents bounds a price: ten million.
const mostCents = 1_000_000_000

// ParsePrice reads "3.49 for 4 lb", "1.10 a kg", "1.10/kg", "2.50 per 64 fl oz".
// It refuses a price without what it is for, negative ones and over ten million.
func ParsePrice(s string) (Price, error) {
	fail := func(problem string) (Price, error) {
		return Price{}, &ParseError{Input: s, What: "a price", Problem: problem, Accepts: "money and what it buys, such as 3.49 for 4 lb, 1.10 a kg, 2.50 for 2 l"}
	}
	money, of, ok := "", "", false
	for _, sep := range []string{" for ", " per ", "/", " an ", " a "} {
		if money, of, ok = strings.Cut(strings.TrimSpace(s), sep); ok {
			break
		}
	}
	if !ok {
		return fail("it does not say what it buys")
	}
	terms, problem := Terms(money)
	if problem != "" {
		return fail(problem)
	}
	if len(terms) != 1 || terms[0].Word != "" {
		return fail("the money is a plain number")
	}
	cents, whole := round(new(big.Rat).Mul(terms[0].Number, big.NewRat(100, 1)))
	if !whole || cents < 0 || cents > mostCents {
		return fail("it is too large")
	}
	of = strings.TrimSpace(of)
	if of != "" && (of[0] < '0' || of[0] > '9') {
		of = "1 " + of
	}
	p := Price{Cents: cents}
	if m, err := ParseMass(of); err == nil && m > 0 {
		p.Mass = m
		return p, nil
	}
	v, err := ParseVolume(of)
	if err != nil || v <= 0 {
		return fail("what it buys is not a weight or a volume")
	}
	p.Volume = v
	return p, nil
}

// CentsPerKilogram is the price of a kilogram; ok is false where it is by volume.
func (p Price) CentsPerKilogram() (cents float64, ok bool) {
	return float64(p.Cents) * float64(Kilogram) / float64(max(p.Mass, 1)), p.Mass > 0
}

// CentsPerLitre is the price of a litre; ok is false where it is by weight.
func (p Price) CentsPerLitre() (cents float64, ok bool) {
	return float64(p.Cents) * float64(Litre) / float64(max(p.Volume, 1)), p.Volume > 0
}

// Money prints cents as money without a sign of any currency: "3.49".
func Money(cents float64) string {
	s := decimal(int64(math.Round(cents)), 2)
	whole, rest, _ := strings.Cut(s, ".")
	for len(rest) < 2 {
		rest += "0"
	}
	return whole + "." + rest
}

// ParseEach reads what one of something costs: "4.29 for 12", "0.35 each", "0.60 an
// hour", "0.35". It refuses none for the money, and what it does not understand.
func ParseEach(s string) (cents float64, err error) {
	fail := func(problem string) (float64, error) {
		return 0, &ParseError{Input: s, What: "a price", Problem: problem, Accepts: "money, for one or for several, such as 0.35 each or 4.29 for 12"}
	}
	money, of := strings.TrimSpace(s), "1"
	for _, sep := range []string{" for ", " each", " apiece", " an hour", " a jar", " a lid"} {
		if before, after, ok := strings.Cut(money+" ", sep+" "); ok {
			money = before
			if sep == " for " {
				of = after
			}
			break
		} else if before, after, ok := strings.Cut(money, sep); ok && sep == " for " {
			money, of = before, after
			break
		}
	}
	number := func(s string) (*big.Rat, bool) {
		terms, problem := Terms(strings.TrimSpace(s))
		if problem != "" || len(terms) != 1 {
			return nil, false
		}
		switch terms[0].Word {
		case "", "lids", "lid", "jars", "jar", "hours", "pieces":
			return terms[0].Number, true
		}
		return nil, false
	}
	paid, ok := number(money)
	if !ok {
		return fail("the money is a plain number")
	}
	n, ok := number(of)
	if !ok || n.Sign() <= 0 {
		return fail("it does not say for how many")
	}
	cents, _ = new(big.Rat).Quo(new(big.Rat).Mul(paid, big.NewRat(100, 1)), n).Float64()
	if cents < 0 || cents > mostCents {
		return fail("it is too large")
	}
	return cents, nil
}
