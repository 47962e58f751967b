package batch

import (
	"fmt"
	"slices"

	"mellisca/core/guide"
	"mellisca/core/syrup"
)

// LiquidKind says what fruit is packed in.
type LiquidKind string

// The liquids. Empty means the product's usual one.
const (
	Syrup           LiquidKind = "syrup" // a named strength
	Brix            LiquidKind = "brix"  // an exact strength
	Ratio           LiquidKind = "ratio" // parts of water and sugar
	Water           LiquidKind = "water"
	AppleJuice      LiquidKind = "apple-juice"
	WhiteGrapeJuice LiquidKind = "white-grape-juice"
	OwnJuice        LiquidKind = "own-juice"
)

// LiquidKinds lists all of them.
func LiquidKinds() []LiquidKind {
	return []LiquidKind{Syrup, Brix, Ratio, Water, AppleJuice, WhiteGrapeJuice, OwnJuice}
}

// Liquid is what fruit is packed in and how sweet it is.
type Liquid struct {
	Kind       LiquidKind
	Strength   syrup.Strength // for Syrup
	Brix       float64        // for Brix, 0 to 65
	WaterParts float64        // for Ratio, over 0 to 100
	SugarParts float64        // for Ratio, 0 to 100
	Sweetener  syrup.Sweetener
}

func (l Liquid) check() Problems {
	var ps Problems
	add := func(field, given, text string) { ps = append(ps, Problem{"liquid." + field, given, text}) }
	if l.Kind != "" && !slices.Contains(LiquidKinds(), l.Kind) {
		add("kind", string(l.Kind), "That is not a liquid that is known. Accepted: syrup, brix, ratio, water, apple-juice, white-grape-juice, own-juice.")
	}
	if l.Sweetener != "" && !slices.Contains(syrup.Sweeteners(), l.Sweetener) {
		add("sweetener", string(l.Sweetener), "That is not a sweetener that is known. Accepted: sugar, honey-half, honey.")
	}
	switch l.Kind {
	case Syrup:
		if _, ok := syrup.FindStrength(l.Strength); !ok {
			add("strength", string(l.Strength), "Name a strength: very-light, light, medium, heavy or very-heavy.")
		}
	case Brix:
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
			add("sugarParts", fmt.Sprint(l.SugarParts), "So much sugar does not stay dissolved: 65 °Brix is the most.")
		}
	}
	return ps
}

// PackedIn lists the liquids that a product may be packed in, the usual one
// first; none where it brings its own.
func PackedIn(p guide.Product) []Liquid {
	named := func(s syrup.Strength) Liquid { return Liquid{Kind: Syrup, Strength: s} }
	strengths := []Liquid{named("light"), named("very-light"), named("medium"), named("heavy"), named("very-heavy")}
	juices := []Liquid{{Kind: Water}, {Kind: AppleJuice}, {Kind: WhiteGrapeJuice}}
	free := []Liquid{{Kind: Ratio, WaterParts: 4, SugarParts: 1}, {Kind: Brix, Brix: 25}}
	switch p {
	case "peaches", "nectarines", "apricots", "pears", "asian-pears", "plums", "cherries", "berries", "grapes", "citrus-sections", "apples-sliced":
		return slices.Concat(strengths, juices, free)
	case "pineapple":
		return slices.Concat(strengths, []Liquid{{Kind: OwnJuice}}, juices, free)
	case "figs":
		return slices.Concat(strengths, free)
	case "mixed-fruit":
		return []Liquid{{Kind: Ratio, WaterParts: 4, SugarParts: 3}}
	}
	return nil
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
	return l, true
}

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
	}
	return 0, false
}
