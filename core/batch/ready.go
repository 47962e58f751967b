package batch

import (
	"fmt"
	"math"
	"slices"

	"mellisca/core/canner"
	"mellisca/core/guide"
	"mellisca/core/jar"
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
	}
	for _, p := range usable {
		l.jars(p)
	}
	l.addUp()
	l.water()
	for _, p := range usable {
		l.tools(p)
		l.stove(p)
	}
	if goes := math.Ceil(l.juicer.Grams() / juicerFruit); goes > 0 {
		text := "For a steam juicer about " + measure.Litres(juicerLitres).Rough(l.units) + " of water in the base"
		if goes > 1 {
			text += fmt.Sprintf(" for each of %.0f goes", goes)
		}
		l.once("juicer", ReadyStove, text+", and hot water to add every 45 to 60 minutes: never dry (our own guess; yours may hold more)")
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
	bath   measure.Mass // of fruit that browns
	juicer measure.Mass // of fruit for juice
	order  []string     // of what is added up
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
		l.pour(t.Acid.What, p.acidLitres())
	}
	if p.Own != nil && p.Own.Source.Acid != "" {
		l.once("own acid "+p.Name, ReadyFruit, "Acid, as your source says: "+p.Own.Source.Acid)
	}
	if browns(p.Query.Product) {
		l.bath += p.FruitMass()
	}
}

// acidLitres is the acid for every jar that is had ready.
func (p Plan) acidLitres() float64 {
	tsp := func(a *guide.Acid, n int) float64 { return measure.Cups(a.PerJar.Amount/48).Litres() * float64(n) }
	if len(p.Sizes) == 0 {
		return tsp(p.Verdict.Tested.Acid, p.Jars.High)
	}
	all := 0.0
	for i, f := range p.Ready() {
		all += tsp(p.Sizes[i].Acid, f.Count)
	}
	return all
}

// What baths and juicers hold: our own guesses.
const (
	dipLitres    = 4.0
	dipFruit     = 1000.0 // grams
	bathFruit    = 3600.0 // grams that lie in a gallon, before it is made anew
	juicerFruit  = 5000.0 // grams in a steam juicer
	juicerLitres = 3.0    // in its base, for each go
)

// water is that of the bath against browning, for all the fruit that browns.
func (l *readyList) water() {
	if l.bath == 0 {
		return
	}
	n := math.Max(1, math.Ceil(l.bath.Grams()/bathFruit-1e-9))
	text := "A bath against browning: 1 tsp (3 g) of ascorbic acid in 1 gallon (3.8 l) of cold water"
	if n > 1 {
		text = fmt.Sprintf("Baths against browning, %.0f in all: each 1 tsp (3 g) of ascorbic acid in 1 gallon (3.8 l) of cold water, for about %s of fruit", n, measure.Grams(bathFruit).Text(l.units))
	}
	l.withFruit(ReadyItem{ID: "browning", Group: ReadyFruit, Text: text + "; for colour, never in place of acid in the jars"})
}

// addUp puts what was gathered from all batches into the list.
func (l *readyList) addUp() {
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
	l.withFruit(sums...)
}

// withFruit puts items at the end of the fruit and what goes with it.
func (l *readyList) withFruit(items ...ReadyItem) {
	at := slices.IndexFunc(l.items, func(i ReadyItem) bool { return i.Group != ReadyFruit })
	if at < 0 {
		at = len(l.items)
	}
	l.items = slices.Insert(l.items, at, items...)
}

func (l *readyList) jars(p Plan) {
	if p.Jars == nil {
		return
	}
	ready := p.Ready()
	lids := map[jar.Mouth]int{}
	for _, f := range ready {
		lids[f.Jar.Mouth] += f.Count
	}
	l.items = append(l.items, ReadyItem{ID: "jars " + p.Name, Group: ReadyJars, Text: FilledText(ready) + " for the " + p.Name + ", rims felt for nicks, washed, hot", Short: p.Short})
	for _, m := range []jar.Mouth{jar.Regular, jar.Wide} {
		if n := lids[m]; n > 0 {
			id := "lids " + p.Name
			if len(lids) > 1 {
				id += " " + string(m)
			}
			l.items = append(l.items, ReadyItem{ID: id, Group: ReadyJars, Text: fmt.Sprintf("%d new %s lids, and bands that run true", n, m)})
		}
	}
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
		l.once("dip", ReadyTools, "A pot with "+measure.Litres(dipLitres).Rough(l.units)+" of boiling water for the dip, "+measure.Grams(dipFruit).Text(l.units)+" of fruit at a time in a wire basket (our own guess), and as much cold water")
	case "applesauce", "apple-butter", "fruit-puree", "mango-sauce":
		l.once("mill", ReadyTools, "Food mill or sieve. A blender only half full with hot fruit")
	case "apple-juice", "grape-juice", "berry-syrup", "jelly":
		l.once("strain", ReadyTools, "Juicer or strainer and cloth, a big jug to settle in")
		l.juicer += p.FruitMass()
	case "jam":
		l.once("thermometer", ReadyTools, "A thermometer. Boiling sugar burns: long sleeves")
	}
	if p.Query.Product == "jelly" {
		l.once("thermometer", ReadyTools, "A thermometer. Boiling sugar burns: long sleeves")
	}
}

func (l *readyList) stove(p Plan) {
	pot := p.Canner.TheName()
	l.once("canner "+pot, ReadyStove, upperFirst(pot)+", with its rack and lid")
	if w := p.Water; w != nil {
		l.once("water "+pot, ReadyStove, "Water in "+pot+": "+w.Pour.Rough(l.units)+" at "+w.FillAt.Text(l.units)+"; a kettle of boiling water to top up")
		if h := w.Heating; h != nil && !h.Never {
			minutes := p.flameMinutes()
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

// Minutes is the process time, by the guide or the cook's source: of several sizes or
// loads the longest; 0 where there is none.
func (p Plan) Minutes() int {
	switch {
	case p.Own != nil:
		return p.Own.Minutes
	case p.Verdict.Tested != nil:
		return p.Verdict.Tested.Minutes
	}
	return 0
}
