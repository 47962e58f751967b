package canner

import (
	"math"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// What things take to warm, in kJ/kg K.
const (
	waterHeat = 4.186
	fruitHeat = 3.7 // fruit in syrup
	glassHeat = 0.84
	steelHeat = 0.5
)

// lossPerArea is what a covered pot loses over its surface, in W/m² K.
const lossPerArea = 15.0

// Burner is what a pot stands on.
type Burner struct {
	Name  string
	Watts float64 // its rating
	Kind  BurnerKind
}

// BurnerKind is how a burner heats, which says how much of its rating reaches the pot.
type BurnerKind string

// The kinds of burner.
const (
	Gas       BurnerKind = "gas"
	Coil      BurnerKind = "coil"
	Induction BurnerKind = "induction"
)

// BurnerKinds lists all of them.
func BurnerKinds() []BurnerKind { return []BurnerKind{Gas, Coil, Induction} }

// Useful is the part of the rating that reaches the pot, in watts.
func (b Burner) Useful() float64 {
	return b.Watts * map[BurnerKind]float64{Gas: 0.40, Coil: 0.70, Induction: 0.85}[b.Kind]
}

// FillTemperature is how warm the water should be when jars go in, so that glass
// meets water of like heat. Source: Complete Guide to Home Canning, Guide 1 (2015).
func FillTemperature(hotPack bool) measure.Temperature {
	if hotPack {
		return measure.Fahrenheit(180)
	}
	return measure.Fahrenheit(140)
}

// Heating is how long a load takes to boil.
type Heating struct {
	ToFilling float64 // minutes from cold water to where the jars may go in
	ToBoil    float64 // minutes from there to the boil, with the jars
	Never     bool    // the burner does not bring it to the boil
}

// HeatUp works out how long a pot takes on a burner: the energy of all that is
// warmed over the useful power, less what the covered pot loses on the way. cold
// is the water from the tap, filling the water when the jars go in, whose contents
// are as warm; boil is the local boiling point, room the kitchen. correct is what
// the cook's own runs took over what was worked out; 1 where there are none.
func (p Pot) HeatUp(b Burner, w Water, jars []jar.Jar, cold, filling, boil, room measure.Temperature, correct float64) Heating {
	water := float64(w.Pour) / float64(measure.Litre) // kg, near enough
	empty := water*waterHeat + p.Steel.Grams()/1000*steelHeat
	full := empty
	for _, j := range jars {
		full += j.Capacity.Litres()*fruitHeat + j.Glass.Grams()/1000*glassHeat
	}
	loss := lossPerArea * p.surface()
	first, ok1 := warm(empty, b.Useful(), loss, cold, filling, room)
	second, ok2 := warm(full, b.Useful(), loss, filling, boil, room)
	if !ok1 || !ok2 {
		return Heating{Never: true}
	}
	return Heating{ToFilling: first * correct / 60, ToBoil: second * correct / 60}
}

// surface is the outside of a covered pot, in square metres.
func (p Pot) surface() float64 {
	round := math.Pi * p.Diameter.Centimetres()
	if p.Diameter == 0 {
		round = 2 * (p.Length.Centimetres() + p.Width.Centimetres())
	}
	return (round*p.Depth.Centimetres() + 2*p.floor()) / 1e4
}

// warm is the seconds that take a heat capacity of kJ/K from one temperature to
// another under constant power with losses to the room: the solution of
// C·dT/dt = P − U·(T − Troom). ok is false where it never gets there.
func warm(capacity, watts, loss float64, from, to, room measure.Temperature) (seconds float64, ok bool) {
	if to <= from {
		return 0, true
	}
	left := func(t measure.Temperature) float64 { return watts - loss*(t.Celsius()-room.Celsius()) }
	if left(to) <= 0 {
		return 0, false
	}
	c := capacity * 1000
	if loss < 1e-9 {
		return c * (to.Celsius() - from.Celsius()) / watts, true
	}
	return c / loss * math.Log(left(from)/left(to)), true
}

// Shock says how jars and water should be brought closer before a jar goes in; empty
// where they are of like heat. The glass may crack where its sides differ by some
// 42 °C at once, so a difference of 30 °C is warned of.
func Shock(food, water measure.Temperature, units measure.System) string {
	const most = 30.0
	switch d := food.Celsius() - water.Celsius(); {
	case d > most:
		return "The jars are much hotter than the water: warm the water first, to " + measure.Celsius(food.Celsius()-most).Text(units) + " at least."
	case d < -most:
		return "The water is much hotter than the jars: cool it with cold water first, to " + measure.Celsius(food.Celsius()+most).Text(units) + " at most."
	}
	return ""
}

// HotIntoJar says that a jar is too cold for what goes into it; empty where it is not.
func HotIntoJar(food, jar measure.Temperature, units measure.System) string {
	const most = 42.0
	if food.Celsius()-jar.Celsius() > most {
		return "The jar is too cold for food this hot and may crack: warm it to " + measure.Celsius(food.Celsius()-most).Text(units) + " at least."
	}
	return ""
}
