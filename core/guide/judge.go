package guide

import (
	"slices"

	"mellisca/core/jar"
)

// steamLimit is the longest time, altitude included, that an atmospheric steam
// canner may run. Source: US land-grant extension guidance of 2015.
const steamLimit = 45

// judged is what a query comes to, before it is put into words.
type judged struct {
	why     codes // empty: tested
	row     *Row  // where hasRow
	rules   *Row  // the row whose minutes rule: of a blend, the longest of its parts
	hasRow  bool
	minutes int // of the row at this altitude
}

// judge is the whole rule book for what a Query can say.
func judge(a *asked) judged {
	var v judged
	v.row, v.hasRow = rowFor(a.info, a.Pack, a.size)
	if v.hasRow {
		v.minutes, v.rules = v.row.Minutes[a.band], v.row
	}
	if a.Blend != 0 && v.hasRow {
		v.minutes, v.rules = a.blendMinutes(v)
	}
	v.why = methodRefusals(a, v) | fruitRefusals(a) | packingRefusals(a) | a.Conditions.refusals(a.Product)
	return v
}

// fruitRefusals are those that lie in the product or its kind.
func fruitRefusals(a *asked) codes {
	return bit(a.info.refused) | bit(kindRefusal(a.Product, a.Kind)) | a.blendRefusals()
}

// kindRefusal is why a kind of a product is refused; 0 where it is not.
func kindRefusal(p Product, k Kind) Code {
	switch k {
	case "white-flesh":
		return WhiteFlesh
	case "elderberry":
		return Elderberry
	case "banana", "melon", "watermelon", "papaya", "mango", "coconut", "avocado", "persimmon", "dragon-fruit", "date", "pumpkin", "squash":
		return LowAcidFruit
	case "ripe": // mango sauce was tested with just-ripe fruit
		return LowAcidFruit
	case "asian-pear", "fig", "tomato", "cranberry": // no tested puree, jam, jelly or syrup of these
		return FormNotTested
	case "strawberry":
		if p == "berries" {
			return StrawberryWhole
		}
	}
	return 0
}

// methodRefusals are those that lie in the method or the thickener.
func methodRefusals(a *asked, v judged) codes {
	var why codes
	switch {
	case a.Method == Steam:
		if a.size == jar.HalfGallon {
			why |= bit(SteamJar)
		}
		if v.hasRow && v.minutes > steamLimit {
			why |= bit(SteamTooLong)
		}
	case a.Method == Pressure:
		why |= bit(PressureNeeded)
	case a.Method != BoilingWater:
		why |= bit(NotAProcess)
	}
	if a.Thickener != NoThickener && !(a.Thickener == CookTypeStarch && isFilling(a.info)) {
		why |= bit(ThickenerInJar)
	}
	return why
}

// packingRefusals are those that lie in the form, the pack or the jar. They are
// held against the rows, so a product without rows has none of them.
func packingRefusals(a *asked) codes {
	if !a.info.Tested() {
		return 0
	}
	var why codes
	if !slices.Contains(a.info.Forms, a.Form) {
		why |= bit(FormNotTested)
	}
	if len(a.info.rows(a.Pack)) == 0 || a.Product == "berries" && a.Pack == Hot && !testedHot(a.Kind) {
		why |= bit(PackNotTested)
	}
	if a.size > largest(a.info, a.Pack) {
		why |= bit(JarTooLarge)
	}
	return why
}

// testedHot says whether whole berries of a kind have a tested hot pack.
// Source: Complete Guide to Home Canning, Guide 2 (2015): berries, whole.
func testedHot(k Kind) bool {
	return k == "blueberry" || k == "currant" || k == "gooseberry" || k == "huckleberry"
}

// KindRefused says whether a kind of a product is refused for what it is.
func KindRefused(p Product, k Kind) bool { return kindRefusal(p, k) != 0 }
