package guide

import "strings"

// FormName is a form as it follows the fruit in a sentence: "halved".
func FormName(f Form) string {
	switch f {
	case "halves":
		return "in halves"
	case "quarters":
		return "in quarters"
	case "slices":
		return "in slices"
	case "chunks":
		return "in chunks"
	case "rings":
		return "in rings"
	case "sections":
		return "in sections"
	case "pieces":
		return "in pieces"
	case "sauce":
		return "cooked down"
	case "peel-on":
		return "with the peel on"
	}
	return string(f)
}

// KindName is a kind as it stands before or for the fruit in a sentence:
// "white-fleshed", "asian pear".
func KindName(k Kind) string {
	switch k {
	case "yellow-flesh":
		return "yellow-fleshed"
	case "white-flesh":
		return "white-fleshed"
	case "asian-pear":
		return "Asian pear"
	}
	return strings.ReplaceAll(string(k), "-", " ")
}

// PackName is a pack in a sentence.
func PackName(p Pack) string { return string(p) }

// MethodName is a method in a sentence: "boiling water".
func MethodName(m Method) string {
	switch m {
	case BoilingWater:
		return "boiling water"
	case Steam:
		return "atmospheric steam"
	case "open-kettle":
		return "filling hot and closing"
	case "inversion":
		return "turning the jar over"
	case "oven":
		return "the oven"
	case "dishwasher":
		return "the dishwasher"
	case "microwave":
		return "the microwave"
	case "slow-cooker":
		return "a slow cooker"
	case "multicooker":
		return "a countertop multicooker"
	case "sun":
		return "the sun"
	case "wax":
		return "a wax seal"
	case Pressure:
		return "pressure"
	}
	return string(m)
}

// ThickenerName is a thickener in a sentence: "no thickener".
func ThickenerName(t Thickener) string {
	if t == NoThickener {
		return "no thickener"
	}
	return thickenerName(t)
}

// AcidName is an AcidState in a sentence: "the acid as demanded".
func AcidName(s AcidState) string {
	switch s {
	case AcidReduced:
		return "less of the acid"
	case AcidFresh:
		return "fresh-squeezed lemon for the acid"
	case AcidLeftOut:
		return "no acid"
	}
	return "the bottled acid in full"
}

// FruitName is a FruitState before "fruit" in a sentence: "ripe, sound".
func FruitName(s FruitState) string {
	switch s {
	case FruitFrozen:
		return "thawed"
	case FruitSoft:
		return "soft but sound"
	case FruitSpoilt:
		return "bruised deep, mouldy or fermenting"
	}
	return "ripe, sound"
}

// JarStateName is a JarState after "in" in a sentence: "sound jars with new lids".
func JarStateName(s JarState) string {
	switch s {
	case JarOneTrip:
		return "jars that food was sold in"
	case JarChipped:
		return "jars with a chip or crack"
	case JarUsedLids:
		return "sound jars with used flat lids"
	case JarRustyBand:
		return "sound jars with rusted or bent bands"
	}
	return "sound jars with new lids"
}
