package batch

import (
	"fmt"

	"mellisca/core/measure"
	"mellisca/core/syrup"
)

func (p Plan) whyLiquid(units measure.System) (Why, bool) {
	if p.Pour == nil {
		return Why{}, false
	}
	w := Why{About: "liquid", Title: "Why so much liquid"}
	say := func(format string, args ...any) { w.Lines = append(w.Lines, fmt.Sprintf(format, args...)) }
	say("About %.0f %% of a jar is liquid around the fruit: %.3f l of a %s.", 100*p.Pour.LitresPerJar/p.middling().Capacity.Litres(), p.Pour.LitresPerJar, p.middling().One)
	if in := p.Pour.InJar; in != nil {
		say("%.0f g of sugar in that much liquid is %s °Brix. At most %.0f g dissolve in it.", in.Sugar.Grams, plain(round1(in.Brix)), in.MostGrams)
	} else {
		say("%d jars × %.3f l, and %.0f %% to spare: %.2f l.", p.Jars.Planned, p.Pour.LitresPerJar, p.Pour.SparePercent, p.Pour.Litres)
	}
	if p.Pour.Syrup != nil {
		p.whySyrup(say)
		if p.Pour.Syrup.Published != nil {
			w.Source = fruitSource
		}
	}
	if j := p.Pour.Juice; j != nil && j.Short > 0 {
		say("There is %.2f l of juice and %.2f l are needed, so %.2f l are short. The sugar in the juice stays what it is; spread over all of it, it comes to %s °Brix.",
			p.Pour.Litres-j.Short, p.Pour.Litres, j.Short, plain(round1(j.Brix)))
	}
	if p.Pour.CutOut > 0 {
		p.whyCutOut(say)
	}
	say("How sweet it is makes no difference to safety in plain fruit: it is for taste, colour and firmness.")
	return w, true
}

func (p Plan) whySyrup(say func(string, ...any)) {
	s, l := p.Pour.Syrup, p.Pour.Liquid
	if l.Sweetener == syrup.NoSugar {
		say("A sweetener without sugar goes in on serving: heat changes many of them. Plain hot water goes into the jar, which is safe.")
		return
	}
	mass := p.Pour.Litres * syrup.Density(s.Brix)
	say("%s °Brix means %s %% sugar by weight. Such a syrup weighs %.3f kg a litre, so %.2f l weighs %.2f kg, and %.0f g of that is sugar.",
		plain(round1(s.Brix)), plain(round1(s.Brix)), syrup.Density(s.Brix), p.Pour.Litres, mass, mass*s.Brix*10)
	ratio := func(water, sugar float64) {
		say("A cup of water weighs 236 g and a cup of sugar 200 g: %s to %s by volume is 100 × %s ÷ %s = %s °Brix.",
			plain(water), plain(sugar), plain(round1(sugar*200)), plain(round1(sugar*200+water*236.16)), plain(round1(s.Brix)))
	}
	switch l.Kind {
	case Ratio:
		ratio(l.WaterParts, l.SugarParts)
	case Gallon:
		ratio(syrup.CupsPerGallon, l.GallonCups)
	}
	switch l.Sweetener {
	case syrup.Honey, syrup.HoneyHalf:
		say("Honey is 82 %% sugar. What it brings in water comes off the water.")
	case syrup.CornHalf:
		say("Light corn syrup is 76 %% sugar. What it brings in water comes off the water.")
	}
	if l.Cores {
		say("What cores and peelings bring in sugar is not counted.")
	}
	if s.Published != nil {
		say("The printed cups for %s come out a little weaker than the name, as rounded cups are.", s.Published.ForLoad)
	}
}

// whyCutOut shows the balance of sugar between fruit and liquid, in grams.
func (p Plan) whyCutOut(say func(string, ...any)) {
	fruit := syrup.FruitShare * p.middling().Capacity.Litres() * 1000
	liquid := p.Pour.LitresPerJar * syrup.Density(p.Pour.Brix) * 1000
	say("In about two weeks fruit and liquid share their sugar: (%.0f g of fruit × %s + %.0f g of liquid × %s) ÷ %.0f g = %s °Brix. The weight of the fruit is our own reckoning for a jar.",
		fruit, plain(p.Pour.FruitBrix), liquid, plain(round1(p.Pour.Brix)), fruit+liquid, plain(round1(p.Pour.CutOut)))
}
