package syrup

// FruitShare is kilograms of fruit in each litre of a jar's capacity: about
// 570 g in a quart, of fruit packed in liquid. Our own figure, from the worked
// example of the cut-out.
const FruitShare = 0.60

// CutOut is the °Brix that fruit and syrup come to once they have exchanged
// their sugar, about two weeks in the jar: (mf·Bf + ms·Bs)/(mf + ms). Masses are
// in one unit, whichever.
func CutOut(fruit, fruitBrix, syrup, syrupBrix float64) float64 {
	if fruit+syrup <= 0 {
		return 0
	}
	return (fruit*fruitBrix + syrup*syrupBrix) / (fruit + syrup)
}

// JarCutOut is CutOut for a jar of the given capacity that holds litres of syrup
// and fruit to FruitShare.
func JarCutOut(capacityLitres, litres, syrupBrix, fruitBrix float64) float64 {
	return CutOut(FruitShare*capacityLitres, fruitBrix, litres*Density(syrupBrix), syrupBrix)
}
