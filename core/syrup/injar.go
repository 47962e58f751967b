package syrup

import "mellisca/core/jar"

// InJar is sugar put dry into each jar, with hot water poured on.
type InJar struct {
	Brix         float64 // of the liquid in the jar, before fruit and liquid exchange sugar
	Sugar, Water Part    // in each jar
	LitresPerJar float64
	MostGrams    float64 // the sugar that the jar's liquid keeps dissolved
}

// SugarInJar works out what grams of granulated sugar in each jar come to, in the
// liquid that such a jar takes. ok is false where that is more than dissolves in
// it; MostGrams then says what does.
func SugarInJar(j jar.Jar, grams float64) (in InJar, ok bool) {
	_, in.LitresPerJar = Volume(1, j, 0, 0)
	in.MostGrams = SugarIn(StrongestBrix, in.LitresPerJar)
	if in.Brix, ok = BrixOf(grams, in.LitresPerJar); !ok {
		return in, false
	}
	water := in.LitresPerJar*Density(in.Brix)*1000 - grams
	in.Sugar = part("granulated sugar", grams, grams/SugarPerCup)
	in.Water = part("water", water, water/1000/WaterDensity/LitresPerCup)
	return in, true
}
