package guide

import (
	"fmt"
	"slices"
	"strings"
)

// AcidState is how the acid that a product demands was put in. Empty means as
// demanded. It says nothing about a product that demands none.
type AcidState string

// The ways of putting acid in.
const (
	AcidAsDemanded AcidState = "as-demanded"
	AcidReduced    AcidState = "reduced"
	AcidFresh      AcidState = "fresh" // squeezed from fruit, of uneven strength
	AcidLeftOut    AcidState = "left-out"
)

// FruitState is how the fruit is on the day. Empty means ripe and sound.
type FruitState string

// The states of fruit.
const (
	FruitSound  FruitState = "sound"
	FruitFrozen FruitState = "frozen" // sound, and thawed for this
	FruitSoft   FruitState = "soft"   // past its best, but sound
	FruitSpoilt FruitState = "spoilt" // bruised deep, mouldy or fermenting
)

// JarState is how jars and lids are. Empty means sound jars with new lids.
type JarState string

// The states of jars and lids.
const (
	JarSound     JarState = "sound"
	JarOneTrip   JarState = "one-trip"   // a food jar that was not made for canning
	JarChipped   JarState = "chipped"    // a nick in the rim, or a crack
	JarUsedLids  JarState = "used-lids"  // flat lids a second time
	JarRustyBand JarState = "rusty-band" // rusted or bent
)

var (
	acidStates  = []AcidState{AcidAsDemanded, AcidReduced, AcidFresh, AcidLeftOut}
	fruitStates = []FruitState{FruitSound, FruitFrozen, FruitSoft, FruitSpoilt}
	jarStates   = []JarState{JarSound, JarOneTrip, JarChipped, JarUsedLids, JarRustyBand}
)

// AcidStates, FruitStates and JarStates list what may be said, the usual first.
// The caller owns the slices.
func AcidStates() []AcidState { return clone(acidStates) }

// FruitStates lists how fruit may be, the usual first.
func FruitStates() []FruitState { return clone(fruitStates) }

// JarStates lists how jars and lids may be, the usual first.
func JarStates() []JarState { return clone(jarStates) }

// Extras is a set of what goes into the jar beside fruit, liquid and acid. The
// zero value is nothing.
type Extras uint32

// Extra is one thing that may go into the jar.
type Extra struct {
	ID   string
	Name string
	Free bool // changes nothing about the process
}

// extras are free ones first. A dry spice, zest, vanilla, a tablespoon of
// spirits and salt change nothing; fat, starch and what is not acid do.
var extras = []Extra{
	{"spice", "dry spice", true},
	{"zest", "citrus zest", true},
	{"vanilla", "vanilla", true},
	{"spirits", "up to 1 tbsp of spirits a jar", true},
	{"salt", "salt", true},
	{"milk", "milk or cream", false},
	{"butter", "butter", false},
	{"egg", "egg", false},
	{"oil", "oil", false},
	{"nuts", "nuts", false},
	{"coconut", "coconut", false},
	{"chocolate", "chocolate", false},
	{"vegetables", "vegetables", false},
	{"onion", "onion or garlic", false},
	{"fresh-pepper", "fresh pepper", false},
	{"fresh-herbs", "a bunch of fresh herbs", false},
}

// freeExtras is the set of extras that change nothing.
var freeExtras = func() (free Extras) {
	for i, e := range extras {
		if e.Free {
			free |= 1 << i
		}
	}
	return free
}()

// AllExtras lists what may go into a jar, free ones first. The caller owns the slice.
func AllExtras() []Extra { return clone(extras) }

// ParseExtras reads ids joined by commas; empty is nothing.
func ParseExtras(s string) (Extras, error) {
	var set Extras
	if s == "" {
		return 0, nil
	}
	for _, id := range strings.Split(s, ",") {
		i := slices.IndexFunc(extras, func(e Extra) bool { return e.ID == id })
		if i < 0 {
			return 0, fmt.Errorf("%q is not known; accepted: %s", id, ExtraIDs())
		}
		set |= 1 << i
	}
	return set, nil
}

// ExtraIDs lists the ids of all extras, joined by commas.
func ExtraIDs() string { return (Extras(1)<<len(extras) - 1).String() }

// String joins the ids in s by commas; ParseExtras reads it back.
func (s Extras) String() string {
	var ids []string
	for _, e := range s.each() {
		ids = append(ids, e.ID)
	}
	return strings.Join(ids, ",")
}

func (s Extras) each() []Extra {
	var es []Extra
	for i, e := range extras {
		if s&(1<<i) != 0 {
			es = append(es, e)
		}
	}
	return es
}

// Conditions is what a cook may say beside the way of packing. Its zero value
// is the usual: sound ripe fruit, sound jars with new lids, the acid as
// demanded, nothing else in the jar.
type Conditions struct {
	Acid   AcidState
	Fruit  FruitState
	Jars   JarState
	Extras Extras
}

// check reports what of c is not understood.
func (c Conditions) check(add func(field, given, accepts string)) {
	if c.Acid != "" && !slices.Contains(acidStates, c.Acid) {
		add("acid", string(c.Acid), "one of "+list(acidStates))
	}
	if c.Fruit != "" && !slices.Contains(fruitStates, c.Fruit) {
		add("fruit", string(c.Fruit), "one of "+list(fruitStates))
	}
	if c.Jars != "" && !slices.Contains(jarStates, c.Jars) {
		add("jars", string(c.Jars), "one of "+list(jarStates))
	}
	if c.Extras >= 1<<len(extras) {
		add("extras", fmt.Sprint(uint32(c.Extras)), "a set of "+ExtraIDs())
	}
}

// inFull says whether the acid went in as demanded.
func (s AcidState) inFull() bool { return s == "" || s == AcidAsDemanded }

// conditionCodes are the refusals that lie in the conditions.
const conditionCodes codes = 1<<SpoiltFruit | 1<<AcidMissing | 1<<DairyEggFat | 1<<OneTripJar

// refusals are those that lie in the conditions.
func (c Conditions) refusals(p Product) codes {
	var why codes
	if c.Fruit == FruitSpoilt {
		why |= bit(SpoiltFruit)
	}
	if !c.Acid.inFull() && demandsAcid(p) {
		why |= bit(AcidMissing)
	}
	if c.Extras&^freeExtras != 0 {
		why |= bit(DairyEggFat)
	}
	if c.Jars != "" && c.Jars != JarSound {
		why |= bit(OneTripJar)
	}
	return why
}

// mended is c with everything put right that can be: all but the fruit.
func (c Conditions) mended() Conditions {
	return Conditions{Fruit: c.Fruit, Extras: c.Extras & freeExtras}
}
