package batch

import (
	"errors"
	"fmt"
	"slices"
	"strings"

	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
	"mellisca/core/syrup"
)

// LiquidKind says what fruit is packed in, or how a sauce is sweetened.
type LiquidKind string

// The liquids. Empty means the product's usual one.
const (
	Syrup           LiquidKind = "syrup"  // a named strength
	Brix            LiquidKind = "brix"   // an exact strength
	Ratio           LiquidKind = "ratio"  // parts of water and sugar
	Gallon          LiquidKind = "gallon" // cups of sugar to a gallon of water
	InJar           LiquidKind = "in-jar" // sugar in each jar, then hot water
	Water           LiquidKind = "water"
	AppleJuice      LiquidKind = "apple-juice"
	WhiteGrapeJuice LiquidKind = "white-grape-juice"
	OwnJuice        LiquidKind = "own-juice"

	// Of sauces and purees, which bring their own liquid.
	Unsweetened LiquidKind = "unsweetened"
	PerQuart    LiquidKind = "per-quart" // sugar stirred into each quart
)

// LiquidKinds lists all of them.
func LiquidKinds() []LiquidKind {
	return []LiquidKind{Syrup, Brix, Ratio, Gallon, InJar, Water, AppleJuice, WhiteGrapeJuice, OwnJuice, Unsweetened, PerQuart}
}

// Liquid is what fruit is packed in and how sweet it is.
type Liquid struct {
	Kind       LiquidKind
	Strength   syrup.Strength // for Syrup
	Brix       float64        // for Brix, 0 to 65; for OwnJuice what it reads, 0 where that is not known
	WaterParts float64        // for Ratio, over 0 to 100
	SugarParts float64        // for Ratio, 0 to 100
	GallonCups float64        // for Gallon: cups of sugar to a gallon of water, 0 to 35
	Sugar      string         // for InJar and PerQuart, as typed: "1/4 cup", "50 g"
	Have       string         // for OwnJuice: how much there is, as typed; empty: as much as is needed
	Cores      bool           // cores or peelings of the fruit are simmered in it, for flavour
	Sweetener  syrup.Sweetener
}

// mostJuice bounds juice that is at hand, in litres.
const mostJuice = 1000

func (l Liquid) check(j jar.Jar) Problems {
	var ps Problems
	add := func(field, given, text string) { ps = append(ps, Problem{"liquid." + field, given, text}) }
	if l.Kind != "" && !slices.Contains(LiquidKinds(), l.Kind) {
		add("kind", string(l.Kind), "That is not a liquid that is known. Accepted: "+idList(LiquidKinds())+".")
	}
	if l.Sweetener != "" && !slices.Contains(syrup.Sweeteners(), l.Sweetener) {
		add("sweetener", string(l.Sweetener), "That is not a sweetener that is known. Accepted: "+idList(syrup.Sweeteners())+".")
	}
	tooSweet := "So much sugar does not stay dissolved: 65 °Brix is the most."
	switch l.Kind {
	case Syrup:
		if _, ok := syrup.FindStrength(l.Strength); !ok {
			add("strength", string(l.Strength), "Name a strength: very-light, light, medium, heavy or very-heavy.")
		}
	case Brix, OwnJuice:
		if !(l.Brix >= 0 && l.Brix <= syrup.StrongestBrix) {
			add("brix", fmt.Sprint(l.Brix), "A strength is 0 to 65 °Brix.")
		}
	case Ratio:
		switch {
		case !(l.WaterParts > 0 && l.WaterParts <= 100):
			add("waterParts", fmt.Sprint(l.WaterParts), "Parts of water are over 0, to 100.")
		case !(l.SugarParts >= 0 && l.SugarParts <= 100):
			add("sugarParts", fmt.Sprint(l.SugarParts), "Parts of sugar are 0 to 100.")
		case syrup.RatioBrix(l.WaterParts, l.SugarParts) > syrup.StrongestBrix:
			add("sugarParts", fmt.Sprint(l.SugarParts), tooSweet)
		}
	case Gallon:
		switch {
		case !(l.GallonCups >= 0 && l.GallonCups <= 100):
			add("gallonCups", fmt.Sprint(l.GallonCups), "Cups of sugar to a gallon of water are 0 to 35.")
		case syrup.GallonBrix(l.GallonCups) > syrup.StrongestBrix:
			add("gallonCups", fmt.Sprint(l.GallonCups), tooSweet+" That is 35 cups to a gallon.")
		}
	case InJar:
		grams, err := sugarGrams(l.Sugar)
		if err != nil {
			add("sugar", l.Sugar, sentence(err.Error()))
		} else if in, ok := syrup.SugarInJar(j, grams); !ok && j.ID != "" {
			add("sugar", l.Sugar, fmt.Sprintf("So much sugar does not dissolve in the liquid of a %s: %s is the most.", j.One, measure.KitchenCups(in.MostGrams/syrup.SugarPerCup)))
		}
	case PerQuart:
		if grams, err := sugarGrams(l.Sugar); err != nil {
			add("sugar", l.Sugar, sentence(err.Error()))
		} else if grams > mostPerQuart {
			add("sugar", l.Sugar, "That is more sugar than sauce. Accepted: up to 2 cups a quart.")
		}
	}
	if l.Kind == OwnJuice && strings.TrimSpace(l.Have) != "" {
		if v, err := measure.ParseVolume(l.Have); err != nil {
			add("have", l.Have, sentence(err.Error()))
		} else if v.Litres() > mostJuice {
			add("have", l.Have, "That is more juice than a kitchen holds. Accepted: up to 1,000 l.")
		}
	}
	return ps
}

// mostPerQuart is grams of sugar in a quart of sauce.
const mostPerQuart = 2 * syrup.SugarPerCup

// sugarGrams reads granulated sugar by weight or by cups and spoons.
func sugarGrams(s string) (float64, error) {
	if m, err := measure.ParseMass(s); err == nil {
		return m.Grams(), nil
	}
	v, err := measure.ParseVolume(s)
	if err != nil {
		var pe *measure.ParseError
		problem := "it was not understood"
		if errors.As(err, &pe) {
			problem = pe.Problem
		}
		return 0, &measure.ParseError{Input: s, What: "an amount of sugar", Problem: problem, Accepts: "cups and spoons as 1/4 cup or 3 tbsp, or a weight as 50 g"}
	}
	return v.Cups() * syrup.SugarPerCup, nil
}

func idList[T ~string](ids []T) string {
	s := make([]string, len(ids))
	for i, id := range ids {
		s[i] = string(id)
	}
	return strings.Join(s, ", ")
}

// PackedIn lists the liquids that a product may be packed in, the usual one
// first; none where it brings its own. How sweet it is is no matter of safety
// for plain fruit, so every school's way is among them.
func PackedIn(p guide.Product) []Liquid {
	named := func(s syrup.Strength) Liquid { return Liquid{Kind: Syrup, Strength: s} }
	strengths := []Liquid{named("light"), named("very-light"), named("medium"), named("heavy"), named("very-heavy")}
	juices := []Liquid{{Kind: Water}, {Kind: AppleJuice}, {Kind: WhiteGrapeJuice}}
	free := []Liquid{{Kind: Ratio, WaterParts: 4, SugarParts: 1}, {Kind: Gallon, GallonCups: 3}, {Kind: Brix, Brix: 25}, {Kind: InJar, Sugar: "1/4 cup"}}
	own := []Liquid{{Kind: OwnJuice}}
	switch p {
	case "peaches", "nectarines", "apricots", "pears", "asian-pears", "plums", "cherries", "berries", "grapes", "citrus-sections", "apples-sliced":
		return slices.Concat(strengths, juices, own, free)
	case "pineapple":
		return slices.Concat(strengths, own, juices, free)
	case "figs":
		return slices.Concat(strengths, free[:3])
	case "mixed-fruit":
		return []Liquid{{Kind: Ratio, WaterParts: 4, SugarParts: 3}}
	case "applesauce", "fruit-puree":
		return []Liquid{{Kind: Unsweetened}, {Kind: PerQuart, Sugar: "1/8 cup"}}
	}
	return nil
}

// MayTakeCores says whether cores or peelings of a product's fruit give a syrup
// flavour. Stones do not: their kernels are bitter, and not to be boiled out.
func MayTakeCores(p guide.Product) bool {
	switch p {
	case "pineapple", "pears", "asian-pears", "apples-sliced":
		return true
	}
	return false
}

// chosen is the liquid that l means for a product: the usual one where it says
// none, or one that the product is not packed in.
func (l Liquid) chosen(p guide.Product) (Liquid, bool) {
	options := PackedIn(p)
	if len(options) == 0 {
		return Liquid{}, false
	}
	if !slices.ContainsFunc(options, func(o Liquid) bool { return o.Kind == l.Kind }) {
		sweetener := l.Sweetener
		l = options[0]
		l.Sweetener = sweetener
	}
	if l.Sweetener == "" {
		l.Sweetener = syrup.Sugar
	}
	if _, makes := l.brix(); !makes && l.Kind != Water || !MayTakeCores(p) {
		l.Cores = false
	}
	return l, true
}

// For is the liquid that l means for a product, with what was left out filled in;
// ok is false where the product brings its own.
func (l Liquid) For(p guide.Product) (Liquid, bool) { return l.chosen(p) }

// brix is the strength that l says, and whether it is a sugar solution to make.
func (l Liquid) brix() (float64, bool) {
	switch l.Kind {
	case Syrup:
		n, _ := syrup.FindStrength(l.Strength)
		return n.Brix, true
	case Brix:
		return l.Brix, true
	case Ratio:
		return syrup.RatioBrix(l.WaterParts, l.SugarParts), true
	case Gallon:
		return syrup.GallonBrix(l.GallonCups), true
	}
	return 0, false
}
