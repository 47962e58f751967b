package syrup

import (
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Sweetener says what the sugar of a syrup comes from.
type Sweetener string

// The sweeteners.
const (
	Sugar     Sweetener = "sugar"
	HoneyHalf Sweetener = "honey-half" // equal cups of sugar and honey
	Honey     Sweetener = "honey"
	CornHalf  Sweetener = "corn-half" // equal cups of sugar and light corn syrup
	NoSugar   Sweetener = "no-sugar"  // a sweetener without sugar: added on serving, so plain water goes into the jar
)

// Sweeteners lists all of them, the usual one first.
func Sweeteners() []Sweetener { return []Sweetener{Sugar, HoneyHalf, Honey, CornHalf, NoSugar} }

// Share is how much of a jar's capacity its liquid takes, of fruit packed in
// liquid. The published loads lie between 0.36 and 0.40.
const Share = 0.38

// DefaultSpare is percent made over what the jars take.
const DefaultSpare = 10.0

// Request is a load of jars and the syrup for it.
type Request struct {
	Jars         int
	Jar          jar.Jar
	Brix         float64   // 0 to 65
	Strength     Strength  // where it was asked for by name; Brix is then that of the name
	Sweetener    Sweetener // empty: Sugar
	SparePercent float64
	LitresPerJar float64 // 0: Share of the jar's capacity
}

// Part is one thing to measure out.
type Part struct {
	Name    string
	Grams   float64
	Cups    float64
	Kitchen string // the same cups in measures a cook owns
}

// Recipe is what to measure out for a load.
type Recipe struct {
	Brix         float64
	Litres       float64
	LitresPerJar float64
	Water        Part
	Sweeteners   []Part     // none for plain water
	Published    *Published // where the table has this very load
}

// Published is the printed cup measure of a load, beside the exact one.
type Published struct {
	ForLoad              string // "7 quarts"
	WaterCups, SugarCups float64
}

// Volume is how much liquid a load takes, in litres, with the share of each jar.
func Volume(jars int, j jar.Jar, litresPerJar, sparePercent float64) (litres, perJar float64) {
	perJar = litresPerJar
	if perJar == 0 {
		perJar = Share * j.Capacity.Litres()
	}
	return float64(jars) * perJar * (1 + sparePercent/100), perJar
}

// Make works a recipe out, unrounded. The strength is held whatever the
// sweetener: honey counts as 82 % solids, light corn syrup as 76 %, and their water
// comes off the water. NoSugar alone holds none: it is plain water.
func Make(r Request) Recipe {
	litres, perJar := Volume(r.Jars, r.Jar, r.LitresPerJar, r.SparePercent)
	out := mixed(litres, r.Brix, r.Sweetener)
	out.LitresPerJar, out.Published = perJar, published(r)
	return out
}

// OfLitres is Make for so many litres of a syrup of sugar, whatever they are for.
func OfLitres(litres, brix float64) Recipe { return mixed(litres, brix, Sugar) }

func mixed(litres, brix float64, s Sweetener) Recipe {
	mass := litres * Density(brix) * 1000
	solids := mass * brix / 100
	out := Recipe{Brix: brix, Litres: litres}
	var sugar, honey, corn float64
	switch s {
	case Honey:
		honey = solids / HoneySolids
	case HoneyHalf:
		cups := solids / (SugarPerCup + HoneyPerCup*HoneySolids)
		sugar, honey = cups*SugarPerCup, cups*HoneyPerCup
	case CornHalf:
		cups := solids / (SugarPerCup + CornPerCup*CornSolids)
		sugar, corn = cups*SugarPerCup, cups*CornPerCup
	case NoSugar:
		out.Brix, mass = 0, litres*Density(0)*1000
	default:
		sugar = solids
	}
	if sugar > 0 {
		out.Sweeteners = append(out.Sweeteners, part("granulated sugar", sugar, sugar/SugarPerCup))
	}
	if honey > 0 {
		out.Sweeteners = append(out.Sweeteners, part("honey", honey, honey/HoneyPerCup))
	}
	if corn > 0 {
		out.Sweeteners = append(out.Sweeteners, part("light corn syrup", corn, corn/CornPerCup))
	}
	water := mass - sugar - honey - corn
	out.Water = part("water", water, water/1000/WaterDensity/LitresPerCup)
	return out
}

func part(name string, grams, cups float64) Part {
	return Part{name, grams, cups, measure.KitchenCups(cups)}
}

// Litres is the volume of a Part of water.
func (p Part) Litres() float64 { return p.Grams / 1000 / WaterDensity }

// published is the printed load, for exactly 7 quarts or 9 pints of a named
// strength made with sugar alone, with the usual liquid in each jar.
func published(r Request) *Published {
	n, ok := FindStrength(r.Strength)
	if !ok || r.LitresPerJar != 0 || r.Sweetener != Sugar && r.Sweetener != "" {
		return nil
	}
	switch {
	case r.Jars == 7 && (r.Jar.ID == "quart" || r.Jar.ID == "quart-wide"):
		return &Published{"7 quarts", n.WaterQuarts, n.SugarQuarts}
	case r.Jars == 9 && (r.Jar.ID == "pint" || r.Jar.ID == "pint-wide"):
		return &Published{"9 pints", n.WaterPints, n.SugarPints}
	}
	return nil
}
