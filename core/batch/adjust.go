package batch

import (
	"fmt"
	"strings"

	"mellisca/core/measure"
	"mellisca/core/syrup"
)

// Measured is a syrup that is at hand, as a cook says it: how much, and how
// strong by a reading or by what was put in. All is as typed.
type Measured struct {
	Have    string // "1.3 l"
	Reading string // °Brix on the refractometer: "20"; empty where it was not read
	At      string // temperature of the prism: "24 °C"; empty: 20 °C
	// What was put in, where it was not read: volumes such as "4 cups". Have may
	// then be empty.
	Water, Sugar, Brown, Honey, Corn string
	Want                             string // °Brix wanted
	Need                             string // how much is needed in all; empty: just this
}

// Adjusted is what to do with a syrup that is at hand.
type Adjusted struct {
	Brix    float64 // what it is
	Read    float64 // what the refractometer showed; 0 where it was not read
	Litres  float64 // what there is
	Want    float64
	Stir    syrup.Adjustment
	Fresh   *syrup.Recipe // to make beside it, at the strength wanted, where it does not reach
	FreshBy float64       // litres of that
	Over    float64       // litres more than is needed
}

// Adjust works out what turns a syrup that is at hand into the one wanted. It
// errs with Problems where something typed is not understood.
func Adjust(m Measured) (Adjusted, error) {
	var ps Problems
	add := func(field, given, text string) { ps = append(ps, Problem{field, given, text}) }
	var a Adjusted
	brix := func(field, s string) float64 {
		v, ok := degrees(s)
		if !ok {
			add(field, s, "A strength is 0 to 65 °Brix, such as 20.")
		}
		return v
	}
	volume := func(field, s string) float64 {
		if strings.TrimSpace(s) == "" {
			return 0
		}
		v, err := measure.ParseVolume(s)
		if err != nil {
			add(field, s, sentence(err.Error()))
		}
		if v.Litres() > mostJuice {
			add(field, s, "That is more than a kitchen holds. Accepted: up to 1,000 l.")
		}
		return v.Litres()
	}
	a.Litres = volume("have", m.Have)
	if strings.TrimSpace(m.Reading) != "" {
		a.Read = brix("reading", m.Reading)
		a.Brix = a.Read
		if strings.TrimSpace(m.At) != "" {
			if t, err := measure.ParseTemperature(m.At); err != nil {
				add("at", m.At, sentence(err.Error()))
			} else if b, err := syrup.CorrectReading(a.Read, t.Celsius()); err != nil && a.Read <= syrup.StrongestBrix {
				add("at", m.At, sentence(err.Error()))
			} else {
				a.Brix = b
			}
		}
		if a.Litres == 0 && len(ps) == 0 {
			add("have", m.Have, "Say how much there is, such as 1.3 l or 5 cups.")
		}
	} else {
		cups := func(field, s string) float64 { return volume(field, s) / syrup.LitresPerCup }
		mix := syrup.Mixture{Water: cups("water", m.Water), Sugar: cups("sugar", m.Sugar), Brown: cups("brown", m.Brown), Honey: cups("honey", m.Honey), Corn: cups("corn", m.Corn)}
		b, litres, ok := syrup.Mix(mix)
		switch {
		case len(ps) > 0:
		case mix == syrup.Mixture{}:
			add("reading", m.Reading, "Say what the refractometer reads, or what was put in: 4 cups of water, 1 cup of sugar.")
		case !ok:
			add("sugar", m.Sugar, "So much sugar does not stay dissolved: 65 °Brix is the most.")
		}
		a.Brix = b
		if a.Litres == 0 {
			a.Litres = litres
		}
	}
	a.Want = brix("want", m.Want)
	need := volume("need", m.Need)
	if len(ps) > 0 {
		return Adjusted{}, ps
	}
	stir, ok := syrup.Adjust(a.Litres, a.Brix, a.Want)
	if !ok {
		return Adjusted{}, Problems{{"want", m.Want, "No water makes plain water of a syrup. Accepted: over 0 °Brix."}}
	}
	a.Stir = stir
	switch {
	case need > stir.Litres+1e-9:
		a.FreshBy = need - stir.Litres
		r := syrup.OfLitres(a.FreshBy, a.Want)
		a.Fresh = &r
	case need > 0:
		a.Over = stir.Litres - need
	}
	return a, nil
}

// Formula is the balance of sugar that the adjustment rests on, with its figures;
// empty where nothing is stirred in.
func (a Adjusted) Formula() string {
	mass := a.Litres * syrup.Density(a.Brix) * 1000
	is, want := plain(round1(a.Brix)), plain(round1(a.Want))
	switch {
	case a.Stir.Sugar.Grams > 0:
		return fmt.Sprintf("It weighs %.0f g. Sugar: %.0f g × (%s − %s) ÷ (100 − %s) = %.0f g.", mass, mass, want, is, want, a.Stir.Sugar.Grams)
	case a.Stir.Water.Grams > 0:
		return fmt.Sprintf("It weighs %.0f g. Water: %.0f g × (%s ÷ %s − 1) = %.0f g.", mass, mass, is, want, a.Stir.Water.Grams)
	}
	return ""
}

// degrees reads a plain number of °Brix, 0 to 65.
func degrees(s string) (float64, bool) {
	s = strings.TrimSpace(strings.TrimSuffix(strings.TrimSuffix(strings.TrimSpace(s), "Brix"), "°"))
	terms, problem := measure.Terms(s)
	if problem != "" || len(terms) != 1 || terms[0].Word != "" {
		return 0, false
	}
	v, _ := terms[0].Number.Float64()
	return v, v >= 0 && v <= syrup.StrongestBrix
}
