package syrup

// Adjustment is what to stir into a syrup to change its strength.
type Adjustment struct {
	Sugar, Water Part    // one of them is zero
	Litres       float64 // of the syrup afterwards
	Brix         float64 // what it was made
}

// Adjust says what turns litres of a syrup of one °Brix into another, by the
// balance of its sugar: up with m·(B2 − B1)/(100 − B2) of sugar, down with
// m·(B1/B2 − 1) of water, where m is the mass of the syrup. Both strengths are
// 0 to 65 °Brix; down to 0 is not possible and gives ok false.
func Adjust(litres, from, to float64) (a Adjustment, ok bool) {
	mass := litres * Density(from) * 1000
	a.Brix = to
	switch {
	case to > from:
		grams := mass * (to - from) / (100 - to)
		a.Sugar = part("granulated sugar", grams, grams/SugarPerCup)
		mass += grams
	case to < from:
		if to <= 0 {
			return Adjustment{}, false
		}
		grams := mass * (from/to - 1)
		a.Water = part("water", grams, grams/1000/WaterDensity/LitresPerCup)
		mass += grams
	}
	a.Litres = mass / 1000 / Density(to)
	return a, true
}

// Mixture is what was put into a pot, in cups.
type Mixture struct {
	Water, Sugar, Brown, Honey, Corn float64
}

// Mix is what a mixture comes to; ok is false where it holds no liquid or more
// sugar than stays dissolved.
func Mix(m Mixture) (brix, litres float64, ok bool) {
	solids := m.Sugar*SugarPerCup + m.Brown*BrownPerCup + m.Honey*HoneyPerCup*HoneySolids + m.Corn*CornPerCup*CornSolids
	mass := m.Water*LitresPerCup*WaterDensity*1000 +
		m.Sugar*SugarPerCup + m.Brown*BrownPerCup + m.Honey*HoneyPerCup + m.Corn*CornPerCup
	if mass <= 0 {
		return 0, 0, false
	}
	brix = 100 * solids / mass
	if brix > StrongestBrix {
		return brix, 0, false
	}
	return brix, mass / 1000 / Density(brix), true
}

// Juice is juice that is at hand, topped up with water for a load of jars.
type Juice struct {
	Brix  float64 // of what goes into the jars
	Water Part    // to top up with
	Short float64 // litres still wanting where no water is added
	Over  float64 // litres of juice that are left
}

// TopUp says what water makes needLitres of haveLitres of juice of the given
// °Brix, and how strong it then is.
func TopUp(haveLitres, brix, needLitres float64) Juice {
	if haveLitres >= needLitres {
		return Juice{Brix: brix, Over: haveLitres - needLitres, Water: part("water", 0, 0)}
	}
	j := Juice{Short: needLitres - haveLitres}
	j.Brix, _ = BrixOf(SugarIn(brix, haveLitres), needLitres)
	grams := 1000 * (needLitres*Density(j.Brix) - haveLitres*Density(brix))
	j.Water = part("water", grams, grams/1000/WaterDensity/LitresPerCup)
	return j
}
