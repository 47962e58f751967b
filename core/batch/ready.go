package batch

import (
	"fmt"
	"math"

	"mellisca/core/canner"
	"mellisca/core/guide"
	"mellisca/core/measure"
)

// ReadyItem is one thing to have ready, with how much of it.
type ReadyItem struct {
	ID    string // stays the same for the same thing, so that a tick stays with it
	Group string // one of the ready groups
	Text  string
	Short string // what is missing of it; empty where nothing is known to be
}

// The groups of a list, in the order they are laid out.
const (
	ReadyFruit = "Fruit and what goes with it"
	ReadyJars  = "Jars, lids, bands"
	ReadyTools = "Tools and cloths"
	ReadyStove = "Stove and water"
	ReadySelf  = "You and the room"
)

// GetReady is everything to have ready for one or several batches: what they share
// stands once, amounts of the same thing are added up. Refused batches want nothing.
func GetReady(plans []Plan, units measure.System) []ReadyItem {
	l := readyList{units: units}
	var usable []Plan
	for _, p := range plans {
		if p.Status != Refused {
			usable = append(usable, p)
		}
	}
	if len(usable) == 0 {
		return nil
	}
	for _, p := range usable {
		l.fruit(p)
		l.jars(p)
	}
	l.addUp()
	for _, p := range usable {
		l.tools(p)
		l.stove(p)
	}
	l.once("hair", ReadySelf, "Clean hands, an apron, tied hair")
	l.once("children", ReadySelf, "Children and pets out of the way of hot pots")
	l.once("landing", ReadySelf, "A padded, dry place out of draughts, where the jars stand a day")
	return l.items
}

type readyList struct {
	units  measure.System
	items  []ReadyItem
	grams  map[string]float64
	litres map[string]float64
	order  []string // of what is added up
}

func (l *readyList) once(id, group, text string) {
	for _, i := range l.items {
		if i.ID == id {
			return
		}
	}
	l.items = append(l.items, ReadyItem{ID: id, Group: group, Text: text})
}

func (l *readyList) weigh(name string, grams float64) {
	if l.grams == nil {
		l.grams = map[string]float64{}
	}
	if _, ok := l.grams[name]; !ok {
		l.order = append(l.order, name)
	}
	l.grams[name] += grams
}

func (l *readyList) pour(name string, litres float64) {
	if l.litres == nil {
		l.litres = map[string]float64{}
	}
	if _, ok := l.litres[name]; !ok {
		l.order = append(l.order, name)
	}
	l.litres[name] += litres
}

func (l *readyList) fruit(p Plan) {
	mass := p.Amount.Fruit
	if mass == 0 && p.Fruit != nil {
		mass = p.Fruit.Likely
	}
	item := ReadyItem{ID: "fruit " + p.Name, Group: ReadyFruit, Text: upperFirst(p.Name), Short: p.LotNote}
	if mass > 0 {
		item.Text += ": " + mass.Text(l.units)
	}
	l.items = append(l.items, item)
	if pour := p.Pour; pour != nil {
		switch {
		case pour.Syrup != nil:
			for _, s := range pour.Syrup.Sweeteners {
				l.weigh(s.Name, s.Grams)
			}
		case pour.InJar != nil:
			l.weigh("granulated sugar", pour.InJar.Sugar.Grams*float64(p.Jars.Planned))
		case pour.Liquid.Kind == AppleJuice, pour.Liquid.Kind == WhiteGrapeJuice:
			l.pour(pour.Name, pour.Litres)
		}
	}
	if r := p.Recipe; r != nil {
		for _, i := range r.Ingredients {
			switch {
			case i.Role == FruitRole || i.Name == "cold water":
			case i.Name == "granulated sugar":
				l.weigh(i.Name, i.Amount.Cups()*200*float64(r.Pots))
			default:
				l.pour(i.Name, i.Amount.Litres()*float64(r.Pots))
			}
		}
	}
	if t := p.Verdict.Tested; t != nil && t.Acid != nil && t.Acid.PerJar != nil && p.Jars != nil {
		l.pour(t.Acid.What, measure.Cups(t.Acid.PerJar.Amount/48).Litres()*float64(p.Jars.High))
	}
	if p.Own != nil && p.Own.Source.Acid != "" {
		l.once("own acid "+p.Name, ReadyFruit, "Acid, as your source says: "+p.Own.Source.Acid)
	}
	if browns(p.Query.Product) {
		l.once("browning", ReadyFruit, "A bath against browning: 1 tsp (3 g) of ascorbic acid in 1 gallon (3.8 l) of cold water; for colour, never in place of acid in the jars")
	}
}

// addUp puts what was gathered from all batches into the list.
func (l *readyList) addUp() {
	at := len(l.items)
	for i, item := range l.items {
		if item.Group != ReadyFruit {
			at = i
			break
		}
	}
	var sums []ReadyItem
	for _, name := range l.order {
		amount := measure.Grams(l.grams[name]).Text(l.units)
		if litres, ok := l.litres[name]; ok {
			amount = measure.Litres(litres).Text(l.units)
			if name == "bottled lemon juice" { // never less
				amount = measure.Litres(litres).AtLeast(l.units)
			}
		}
		sums = append(sums, ReadyItem{ID: "of " + name, Group: ReadyFruit, Text: upperFirst(name) + ": " + amount})
	}
	l.items = append(l.items[:at:at], append(sums, l.items[at:]...)...)
}

func (l *readyList) jars(p Plan) {
	if p.Jars == nil {
		return
	}
	n := p.Jars.High
	l.items = append(l.items,
		ReadyItem{ID: "jars " + p.Name, Group: ReadyJars, Text: p.Jar.Count(n) + " for the " + p.Name + ", rims felt for nicks, washed, hot", Short: p.Short},
		ReadyItem{ID: "lids " + p.Name, Group: ReadyJars, Text: fmt.Sprintf("%d new %s lids, and bands that run true", n, p.Jar.Mouth)})
	if t := p.Verdict.Tested; t != nil && t.SterileMinutes > 0 {
		l.once("sterile", ReadyJars, fmt.Sprintf("A pot to boil the empty jars in, %d minutes", t.SterileMinutes))
	}
}

func (l *readyList) tools(p Plan) {
	l.once("funnel", ReadyTools, "Funnel, ladle, a headspace gauge or ruler")
	l.once("bubbles", ReadyTools, "A plastic or wooden tool for the bubbles, no metal")
	l.once("lifter", ReadyTools, "Jar lifter, dry cloths, a clean cloth for the rims")
	l.once("knives", ReadyTools, "Knives and boards, bowls of steel, enamel, glass or food plastic")
	l.once("pen", ReadyTools, "Labels and a pen")
	switch p.Query.Product {
	case "peaches", "mixed-fruit", "peach-pie-filling":
		l.once("dip", ReadyTools, "A pot of boiling water for the dip, a wire basket, a bowl of cold water")
	case "applesauce", "apple-butter", "fruit-puree", "mango-sauce":
		l.once("mill", ReadyTools, "Food mill or sieve. A blender only half full with hot fruit")
	case "apple-juice", "grape-juice", "berry-syrup", "jelly":
		l.once("strain", ReadyTools, "Juicer or strainer and cloth, a big jug to settle in")
	case "jam":
		l.once("thermometer", ReadyTools, "A thermometer. Boiling sugar burns: long sleeves")
	}
	if p.Query.Product == "jelly" {
		l.once("thermometer", ReadyTools, "A thermometer. Boiling sugar burns: long sleeves")
	}
}

func (l *readyList) stove(p Plan) {
	pot := p.Canner.theName()
	l.once("canner "+pot, ReadyStove, upperFirst(pot)+", with its rack and lid")
	if w := p.Water; w != nil {
		l.once("water "+pot, ReadyStove, "Water in "+pot+": "+w.Pour.Rough(l.units)+" at "+w.FillAt.Text(l.units)+"; a kettle of boiling water to top up")
		if h := w.Heating; h != nil && !h.Never {
			loads := float64(len(p.Loads))
			minutes := h.ToFilling + loads*(h.ToBoil+float64(p.minutes()))
			text := fmt.Sprintf("About %.0f min of flame or plate under %s", math.Ceil(minutes/5)*5, pot)
			if p.Canner.Burner != nil && p.Canner.Burner.Kind != canner.Gas {
				text += fmt.Sprintf(", %.1f kWh at the most", p.Canner.Burner.Watts*minutes/60/1000)
			}
			l.once("fuel "+pot, ReadyStove, text)
		}
	}
	if p.Canner.Outdoors {
		l.once("gas", ReadyStove, "Gas enough, outdoors only")
	}
	if p.Query.Method == guide.Steam {
		l.once("steam", ReadyStove, "Water in the base to its line, hot; the vent clear")
	}
}

// minutes is the time of a load, by the guide or the cook's source.
func (p Plan) minutes() int {
	switch {
	case p.Own != nil:
		return p.Own.Minutes
	case p.Verdict.Tested != nil:
		return p.Verdict.Tested.Minutes
	}
	return 0
}
