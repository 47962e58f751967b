package batch

import (
	"strings"

	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
	"mellisca/core/syrup"
)

// Pour is the liquid for the batch.
type Pour struct {
	Liquid       Liquid
	Name         string // "light syrup", "apple juice"
	Litres       float64
	LitresPerJar float64
	SparePercent float64
	Syrup        *syrup.Recipe // nil for water, juices and sugar in the jar
	InJar        *syrup.InJar  // for sugar in each jar
	Juice        *syrup.Juice  // for own juice of which it was said how much there is
	NearestName  string        // the named strength nearest to it; empty where none is near

	Brix      float64 // of what goes into the jar
	BrixKnown bool    // false for a juice that nobody measured
	BrixAbout bool    // a usual figure, not a measured or made one
	FruitBrix float64 // of the fruit by itself; 0 where there is no figure
	CutOut    float64 // of the jar after about two weeks; 0 where it cannot be told
}

// Juices that are bought, in °Brix: about as sweet as the fruit.
const (
	appleJuiceBrix = 12.0
	grapeJuiceBrix = 17.0
)

// pourFor works out a liquid of a product for so many jars, with so much in each; 0:
// the usual share of the jar.
func pourFor(l Liquid, product guide.Product, kind guide.Kind, jars int, j jar.Jar, perJar float64) Pour {
	p := Pour{Liquid: l, Name: LiquidName(l), SparePercent: syrup.DefaultSpare}
	own, ownKnown := fruit.Brix(string(product), string(kind))
	if ownKnown {
		p.FruitBrix = own
	}
	p.Litres, p.LitresPerJar = syrup.Volume(jars, j, perJar, syrup.DefaultSpare)
	switch brix, makes := l.brix(); {
	case makes:
		r := syrup.Make(syrup.Request{Jars: jars, Jar: j, Brix: brix, Strength: l.Strength, Sweetener: l.Sweetener, SparePercent: syrup.DefaultSpare, LitresPerJar: perJar})
		p.Syrup, p.Brix, p.BrixKnown = &r, r.Brix, true
	case l.Kind == InJar:
		grams, _ := sugarGrams(l.Sugar)
		in, _ := syrup.SugarInJar(j, grams)
		p.InJar, p.Brix, p.BrixKnown = &in, in.Brix, true
	case l.Kind == Water:
		p.BrixKnown = true
	case l.Kind == AppleJuice:
		p.Brix, p.BrixKnown, p.BrixAbout = appleJuiceBrix, true, true
	case l.Kind == WhiteGrapeJuice:
		p.Brix, p.BrixKnown, p.BrixAbout = grapeJuiceBrix, true, true
	case l.Kind == OwnJuice:
		p.ownJuice(ownKnown)
	}
	if p.Syrup != nil || p.InJar != nil {
		if n, ok := syrup.Nearest(p.Brix); ok {
			p.NearestName = n.Name
		}
	}
	if ownKnown && p.BrixKnown {
		p.CutOut = syrup.JarCutOut(j.Capacity.Litres(), p.LitresPerJar, p.Brix, own)
	}
	return p
}

// ownJuice tops the fruit's own juice up with water where there is not enough.
func (p *Pour) ownJuice(fruitKnown bool) {
	switch {
	case p.Liquid.Brix > 0:
		p.Brix, p.BrixKnown = p.Liquid.Brix, true
	case fruitKnown:
		p.Brix, p.BrixKnown, p.BrixAbout = p.FruitBrix, true, true
	}
	if strings.TrimSpace(p.Liquid.Have) == "" {
		return
	}
	have, _ := measure.ParseVolume(p.Liquid.Have)
	j := syrup.TopUp(have.Litres(), p.Brix, p.Litres)
	p.Juice, p.Brix = &j, j.Brix
}

// Left is how much of the liquid is likely over once the jars are filled, in
// litres: what was made to spare.
func (p Pour) Left(jars int) float64 {
	if p.InJar != nil {
		return 0
	}
	return max(0, p.Litres-float64(jars)*p.LitresPerJar)
}

// KeepSyrup is what to do with syrup that is over.
const KeepSyrup = "Keep it covered in the refrigerator for the next load and bring it back to a boil before it goes on fruit; or sweeten drinks, fruit salad and ices with it. Syrup alone is not for the shelf."

// SugarPerServing is grams of sugar that were added for a half-cup serving of
// what is in the jar.
func (p Pour) SugarPerServing(j jar.Jar) float64 {
	if !p.BrixKnown {
		return 0
	}
	const serving = 0.118294 // litres, half a US cup
	return syrup.SugarIn(p.Brix, p.LitresPerJar) * serving / j.Capacity.Litres()
}
