package batch

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"mellisca/core/canner"
	"mellisca/core/guide"
	"mellisca/core/measure"
)

// Canner is a canner of the kitchen with what heats it.
type Canner struct {
	ID       string
	Pot      canner.Pot
	Burner   *canner.Burner // nil: not said, so that no time to the boil is told
	Across   measure.Length // of the burner; 0: not said
	Outdoors bool
	GlassTop bool
	Correct  float64 // what the cook's own runs took over what was worked out; 0: none yet
}

// usual is the canner of a kitchen that has told of none.
var usual = Canner{Pot: canner.Default}

// cannerFor is the canner that a batch is planned for: the one that it names where that is of
// its process, or the first of its process. Nothing for boiling water is planned in a steamer.
func cannerFor(in read) Canner {
	kind := canner.BoilingWater
	if in.Method == guide.Steam {
		kind = canner.Steam
	}
	of := func(c Canner) bool {
		return c.Pot.Kind == kind || kind == canner.BoilingWater && (c.Pot.Kind == canner.Electric || c.Pot.Kind == "")
	}
	for _, c := range in.kitchen.Canners {
		if c.ID == in.Canner && in.Canner != "" && of(c) {
			return c
		}
	}
	for _, c := range in.kitchen.Canners {
		if of(c) {
			return c
		}
	}
	c := usual
	c.Pot.Kind = kind
	return c
}

// TheName is the canner in a sentence.
func (c Canner) TheName() string {
	if c.ID == "" {
		return "the " + c.Pot.Name
	}
	return c.Pot.Name
}

func upperFirst(s string) string {
	if s == "" {
		return s
	}
	return strings.ToUpper(s[:1]) + s[1:]
}

// CannerWater is the water of one load and how long it takes to boil.
type CannerWater struct {
	canner.Water
	FillAt  measure.Temperature // how warm it should be when the jars go in
	Heating *canner.Heating     // nil where the burner or the altitude is not known
}

// From the tap, and the room.
const (
	tap  = 15 // °C
	room = 22
)

// water works out the water of the first load, which is the largest.
func (p *Plan) water(in read, c Canner) {
	cover, ok := p.waterOverJars()
	if !ok || len(p.Loads) == 0 || c.Pot.Kind == canner.Steam {
		return
	}
	tiers := p.Loads[0].tiers()
	jars := slices.Concat(tiers...)
	w, err := c.Pot.Levels(tiers, cover)
	if err != nil {
		return // said in PotNote
	}
	p.Water = &CannerWater{Water: w, FillAt: canner.FillTemperature(p.Query.Pack == guide.Hot)}
	if c.Burner == nil || in.altitude == nil {
		return
	}
	correct := c.Correct
	if correct == 0 {
		correct = 1
	}
	h := c.Pot.HeatUp(*c.Burner, w, jars, measure.Celsius(tap), p.Water.FillAt, canner.BoilingPoint(*in.altitude), measure.Celsius(room), correct)
	p.Water.Heating = &h
}

// potCautions are what a pot on its burner must be told with.
func potCautions(c Canner) []guide.Caution {
	var cs []guide.Caution
	if c.GlassTop {
		cs = append(cs, guide.Caution{Code: "glass-top", Text: "A full canner may be too heavy for a glass-top stove. Look up what yours bears, and do not slide the pot."})
	}
	wide := c.Pot.Diameter
	if wide == 0 {
		wide = max(c.Pot.Length, c.Pot.Width)
	}
	if c.Across > 0 && wide-c.Across > measure.Inches(4) {
		cs = append(cs, guide.Caution{Code: "narrow-burner", Text: fmt.Sprintf("The burner is %.0f cm narrower than the pot, more than 10: the rim heats late, and some stoves overheat under so wide a pot.", math.Floor((wide - c.Across).Centimetres()))})
	}
	if c.Outdoors {
		cs = append(cs, guide.Caution{Code: "outdoors", Text: "Propane burns outdoors only, never in a closed porch or garage."})
	}
	return cs
}
