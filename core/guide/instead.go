package guide

// Instead is a way to use the fruit without a process.
type Instead struct {
	Way  string // one of the Way constants
	Text string
}

// The ways without a process.
const (
	WayFreeze       = "freeze"
	WayRefrigerate  = "refrigerate"
	WayOwnSource    = "own-source"
	WayOtherGuide   = "other-guide"
	WayAddOnOpening = "add-on-opening"
	WayDiscard      = "discard"
)

// instead lists the ways without a process that the refusals point to, each
// once, in the order of the refusals; never none where there is no alternative.
func instead(a *asked, why codes, hasAlternatives bool) []Instead {
	ways := []Instead{}
	say := func(way, text string) {
		for _, w := range ways {
			if w.Way == way {
				return
			}
		}
		ways = append(ways, Instead{way, text})
	}
	ownSource := mayTakeOwnSource(a, why)
	for _, c := range why.each() {
		switch c {
		case SpoiltFruit:
			return []Instead{{WayDiscard, "Put it on the compost, and can what is sound."}}
		case AcidMissing:
			say(WayFreeze, "Freeze it: the freezer asks nothing of the acid.")
		case DairyEggFat:
			say(WayAddOnOpening, "Can it without, and stir that in when you open the jar.")
		case OneTripJar:
			say(WayRefrigerate, "Such a jar is good for the refrigerator: use it within days.")
		case LowAcidFruit, WhiteFlesh:
			if _, ok := a.sound(); ok {
				say(WayAddOnOpening, "Can the other fruit, and stir this one in when you open the jar.")
			}
			say(WayFreeze, "Freeze it: the freezer asks nothing of the acid.")
		case Elderberry:
			say(WayFreeze, "Freeze the berries or their juice.")
			say(WayOtherGuide, "Ask your local food-safety service for a tested, acidified elderberry jelly.")
		case PressureNeeded:
			if a.info.refused == PressureNeeded {
				say(WayOtherGuide, "Use a tested pressure-canning recipe from the current guide or your local food-safety service.")
				say(WayFreeze, "Freeze it.")
			}
		case OtherGuide:
			say(WayOtherGuide, "Look in the current printed guide, in the part on tomatoes or on pickles, for a tested recipe.")
		case NotAProcess:
			say(WayRefrigerate, "Jars closed this way are not for the shelf: keep them in the refrigerator and use them within days.")
		case ThickenerInJar:
			say(WayAddOnOpening, "Can it plain, and thicken it when you open the jar.")
		case FormNotTested:
			if !ownSource {
				say(WayFreeze, "Freeze it.")
			}
		case StrawberryWhole:
			say(WayFreeze, "Freeze them whole: they keep colour and shape far better.")
		case JuiceNoRow, ProductNotTested:
			say(WayFreeze, "Freeze it.")
		}
	}
	if ownSource {
		say(WayOwnSource, "If you have a published, tested source for exactly this, can by that source and name it.")
	}
	if len(ways) == 0 && !hasAlternatives {
		say(WayRefrigerate, "Keep it in the refrigerator and use it within days.")
		say(WayFreeze, "Freeze it.")
	}
	return ways
}

// mayTakeOwnSource says whether a published source of the cook's own could lift
// every one of these refusals: only what is merely untested, a quart at most
// (juice a half-gallon), and never a puree that was refused for its fruit.
func mayTakeOwnSource(a *asked, why codes) bool {
	for _, c := range why.each() {
		switch c {
		case PackNotTested, StrawberryWhole, JuiceNoRow, ProductNotTested:
		case FormNotTested:
			if kindRefusal(a.Product, a.Kind) == FormNotTested {
				return false
			}
		case JarTooLarge:
			if a.size > quart {
				return false
			}
		default:
			return false
		}
	}
	return true
}
