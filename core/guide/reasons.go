package guide

import (
	"strings"

	"mellisca/core/jar"
)

// reasonText says in a line why a query is refused for c.
func reasonText(c Code, a *asked) string {
	name := a.info.Name
	switch c {
	case SpoiltFruit:
		return "Fruit that is bruised deep, mouldy or fermenting is not for jars at all: what spoils it is in all of it."
	case AcidMissing:
		return acidReason(a)
	case DairyEggFat:
		return upperFirst(extraNames(a.Extras&^freeExtras)) + ": what is fatty, thick or not acid shelters what spoils food, and no time has been tested with it."
	case OneTripJar:
		return jarReason(a.Jars)
	case LowAcidFruit:
		if a.Product == "mango" || a.Product == "mango-sauce" || a.Kind == "mango" {
			return "Ripe mango is not acid enough for boiling water. Only mango sauce from just-ripe fruit has been tested."
		}
		return upperFirst(fruitName(a)) + " is not acid enough for boiling water to make it safe, and no home process has been tested."
	case WhiteFlesh:
		return "White-fleshed peaches and nectarines may not be acid enough, and no process has been tested for them."
	case Elderberry:
		return "Later research found that elderberries may not be acid enough for these times."
	case PressureNeeded:
		if a.Method == Pressure && a.info.refused != PressureNeeded {
			return "Fruit does not need pressure: boiling water is enough, and pressure times are outside what is covered here."
		}
		return upperFirst(name) + " can only be made safe under pressure, which is outside what is covered here."
	case OtherGuide:
		if a.Product == "tomatoes" {
			return "Tomatoes need added acid and have a guide of their own. They are outside what is covered here."
		}
		return "For " + name + " every part of the recipe matters, and there is a guide of its own for that. It is outside what is covered here."
	case NotAProcess:
		return methodReason(a.Method)
	case ThickenerInJar:
		if a.Thickener == CookTypeStarch {
			return "Cook-type starch was tested in the four pie fillings only. Elsewhere it slows the heat on its way to the middle of the jar."
		}
		return upperFirst(thickenerName(a.Thickener)) + " slows the heat on its way to the middle of the jar, and no time has been tested with it."
	case JarTooLarge:
		return "No time has been tested for " + name + " in a jar that counts as a " + sizeName(a.size) + ". The largest tested is the " + sizeName(largest(a.info, a.Pack)) + "."
	case SteamJar:
		return "Steam canners were tested with half-pints, pints and quarts, not with half-gallons."
	case SteamTooLong:
		return "This would take more than 45 minutes in steam, and a steam canner may run dry before it is done."
	case FormNotTested:
		return formReason(a)
	case PackNotTested:
		if a.Product == "berries" && a.Pack == Hot {
			return "Of whole berries only blueberries, currants, gooseberries and huckleberries have a tested hot pack."
		}
		return "No " + string(a.Pack) + " pack of " + name + " has been tested."
	case StrawberryWhole:
		return "Whole strawberries fade and float, and there is no tested time for them."
	case JuiceNoRow:
		return "Apple and grape juice have tested times. There is none for " + name + "."
	}
	return "There is no tested process for " + name + "."
}

// reasonsOf tells a refusal once, or once for each fruit of a blend that it lies in.
func reasonsOf(c Code, a *asked) []Reason {
	var rs []Reason
	for _, k := range a.parts() {
		if a.Blend != 0 && kindRefusal(a.Product, k) == c {
			one := *a
			one.Kind = k
			rs = append(rs, Reason{c, reasonText(c, &one)})
		}
	}
	if len(rs) == 0 {
		rs = append(rs, Reason{c, reasonText(c, a)})
	}
	return rs
}

func formReason(a *asked) string {
	switch {
	case len(a.info.Kinds) > 0 && kindRefusal(a.Product, a.Kind) == FormNotTested:
		if a.Kind == "tomato" {
			return "No " + a.info.Name + " of tomato has been tested. Tomatoes need added acid and have a guide of their own."
		}
		return "No " + a.info.Name + " of " + KindName(a.Kind) + " has been tested."
	case a.Form == "peel-on" && a.Product == "nectarines":
		return "Nectarines are canned in their skins anyway: choose halves or slices."
	case a.Form == "peel-on":
		return "The time for " + a.info.Name + " was tested with peeled fruit: skins carry more to be killed and change how heat moves."
	case a.Form == "crushed" && a.Product == "pineapple":
		return "Crushed pineapple has no tested time. Can chunks, and crush them when you open the jar."
	}
	return "There is no tested time for " + a.info.Name + " " + FormName(a.Form) + ": how fruit is cut decides how fast heat gets in."
}

func methodReason(m Method) string {
	switch m {
	case "open-kettle":
		return "Filling hot, letting it overflow and closing the lid leaves alive what spoils food, and air in the jar. It is not a process."
	case "inversion":
		return "Turning a hot jar over heats neither the middle nor the lid enough, and can break the seal. It is not a process."
	case "oven":
		return "Dry oven heat is uneven and slow, and jars can burst. It is not a process."
	case "dishwasher":
		return "A dishwasher does not come near boiling. It washes jars well; it is not a process."
	case "microwave":
		return "A microwave heats in patches, and jars can burst. It is not a process."
	case "slow-cooker":
		return "A slow cooker heats too slowly and not hot enough. It is not a process."
	case "multicooker":
		return "No setting of a countertop multicooker has been tested for canning. It is not a process."
	case "sun":
		return "The sun never makes a jar hot enough. It is not a process."
	case "wax":
		return "Wax shrinks and leaks, and mould grows under it. It is not a process."
	}
	return "This is not a process."
}

// fruitName is the fruit that is refused: the kind where that is what is refused.
func fruitName(a *asked) string {
	if a.info.Tested() && a.Kind != "" {
		return KindName(a.Kind)
	}
	return strings.TrimSuffix(string(a.info.Name), "s")
}

func thickenerName(t Thickener) string {
	switch t {
	case CookTypeStarch:
		return "cook-type starch"
	case "instant-starch":
		return "instant-type starch"
	case "cornstarch":
		return "ordinary cornstarch"
	}
	return string(t)
}

func sizeName(s jar.Size) string { return string(s.ID()) }

func upperFirst(s string) string {
	if s == "" {
		return s
	}
	return strings.ToUpper(s[:1]) + s[1:]
}

func acidReason(a *asked) string {
	switch a.Acid {
	case AcidFresh:
		return "For " + a.info.Name + " the acid keeps the jar safe, so it must be bottled juice: fresh-squeezed is now strong, now weak."
	case AcidReduced:
		return "For " + a.info.Name + " the acid keeps the jar safe. It may be more, never less."
	}
	return "Without its acid " + a.info.Name + " is not safe in boiling water. The acid is not for taste."
}

func jarReason(s JarState) string {
	switch s {
	case JarChipped:
		return "A nick in the rim does not seal, and a crack opens in the heat."
	case JarUsedLids:
		return "The ring of a flat lid takes one print. A second time it may seal today and fail in the cupboard."
	case JarRustyBand:
		return "A rusted or bent band does not hold its lid down evenly while the jar vents."
	}
	return "A jar that food was sold in is thinner and its rim does not fit: it may crack, or not seal."
}

func extraNames(s Extras) string {
	var names []string
	for _, e := range s.each() {
		names = append(names, e.Name)
	}
	return strings.Join(names, ", ")
}
