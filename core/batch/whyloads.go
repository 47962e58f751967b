package batch

import (
	"fmt"

	"mellisca/core/canner"
	"mellisca/core/measure"
)

func (p Plan) whyLoads(units measure.System) (Why, bool) {
	if len(p.Loads) == 0 {
		return Why{}, false
	}
	w := Why{About: "loads", Title: "Why these loads"}
	say := func(format string, args ...any) { w.Lines = append(w.Lines, fmt.Sprintf(format, args...)) }
	d, g, across := p.Pot.Diameter.Centimetres(), canner.Gap.Centimetres(), p.Jar.Diameter.Centimetres()
	if p.Pot.Diameter > 0 && p.Capacity <= 20 {
		say("The canner is %s cm wide inside and a %s %s cm across, with %s cm between jars for the water: (%s + %s) ÷ (%s + %s) = %.2f. Up to %d equal circles fit at that ratio.",
			plain(d), p.Jar.One, plain(across), plain(g), plain(d), plain(g), plain(across), plain(g), (d+g)/(across+g), p.Capacity)
	} else {
		say("A %s is %s cm across, and %s cm are kept between jars for the water. Places were looked for by pushing the jars apart from many beginnings: %d found room.",
			p.Jar.One, plain(across), plain(g), p.Capacity)
	}
	switch {
	case len(p.Sizes) > 1:
		say("%s in the fewest loads that were found, the same size together where that costs no load. Where sizes stand together, the longest of their times rules.", p.JarsText())
	case len(p.Loads[0].Tiers) == 2:
		say("Two tiers with a rack of %s between. %s in the fewest loads of at most %d, and as even as they come.", canner.Divider.Text(units), p.JarsText(), p.Capacity)
	default:
		say("%s in the fewest loads of at most %d, and as even as they come.", p.JarsText(), p.Capacity)
	}
	if p.Water != nil {
		p.whyWater(units, say)
	}
	return w, true
}

// whyWater shows the water of the first load and its heating, with the figures.
func (p Plan) whyWater(units measure.System, say func(string, ...any)) {
	w := p.Water
	var parts []string
	displaced := 0.0
	for _, f := range p.Loads[0].Jars {
		parts = append(parts, fmt.Sprintf("%d × %.2f l", f.Count, f.Jar.Outside.Litres()))
		displaced += float64(f.Count) * f.Jar.Outside.Litres()
	}
	floor := (w.Pour.Litres() + displaced) * 1000 / w.After.Centimetres()
	say("Water: the floor is %.0f cm², and the water stands %s high over rack and jars: %.2f l, less %s that the jars displace, is %.2f l. Before the jars it stands %s high.",
		floor, w.After.Text(units), floor*w.After.Centimetres()/1000, andList(parts), w.Pour.Litres(), w.Before.Text(units))
	say("%s stay free to the rim; a hard boil needs %s.", w.Room.Text(units), canner.BoilRoom.Text(units))
	h := w.Heating
	if h == nil || h.Never || p.Canner.Burner == nil {
		return
	}
	b := *p.Canner.Burner
	correct := "It is not corrected by runs of your own yet."
	if p.Canner.Correct > 0 {
		correct = fmt.Sprintf("Your own runs took %.2f times as long as worked out, and so is this.", p.Canner.Correct)
	}
	say("Heating: of %.0f W about %.0f W reach the pot (%s). They warm water (4.186 kJ/kg K), fruit (3.7), glass (0.84) and steel (0.5), less what the covered pot loses (15 W/m² K). %s",
		b.Watts, b.Useful(), b.Kind, correct)
}
