package syrup

// The masses and sizes that recipes rest on.
const (
	WaterDensity  = 0.99821  // kg/l at 20 °C
	LitresPerCup  = 0.236588 // a US cup
	SugarPerCup   = 200.0    // g, granulated
	HoneyPerCup   = 340.0    // g
	HoneySolids   = 0.82     // of its mass
	BrownPerCup   = 213.0    // g, packed brown sugar
	CornPerCup    = 328.0    // g, light corn syrup
	CornSolids    = 0.76     // of its mass
	StrongestBrix = 65.0     // what is still a syrup
)

// Density is the density in kg/l at 20 °C of a solution of the given °Brix, 0 to 65.
func Density(brix float64) float64 {
	return WaterDensity * SpecificGravity(brix)
}

// SpecificGravity is that of a solution of the given °Brix at 20 °C, 0 to 65:
// SG = 1 + B/(258.6 − 227.1·B/258.2).
func SpecificGravity(brix float64) float64 {
	return 1 + brix/(258.6-227.1*brix/258.2)
}

// RatioBrix is the °Brix of water and granulated sugar mixed by volume.
func RatioBrix(waterParts, sugarParts float64) float64 {
	sugar := sugarParts * SugarPerCup
	water := waterParts * LitresPerCup * WaterDensity * 1000
	return 100 * sugar / (sugar + water)
}

// CupsPerGallon is how many cups of water are in a gallon of it.
const CupsPerGallon = 16.0

// GallonBrix is the °Brix of cups of granulated sugar stirred into a gallon of water.
func GallonBrix(cups float64) float64 { return RatioBrix(CupsPerGallon, cups) }

// BrixOf is the °Brix of a solution of the given litres that holds so many grams
// of sugar: what sugar comes to in a jar that is then filled with water. It is
// at most StrongestBrix; ok is false where more sugar was given than such a
// syrup holds.
func BrixOf(grams, litres float64) (brix float64, ok bool) {
	if grams <= 0 || litres <= 0 {
		return 0, grams <= 0
	}
	if grams > SugarIn(StrongestBrix, litres) {
		return StrongestBrix, false
	}
	low, high := 0.0, StrongestBrix
	for range 60 {
		if mid := (low + high) / 2; SugarIn(mid, litres) < grams {
			low = mid
		} else {
			high = mid
		}
	}
	return (low + high) / 2, true
}

// SugarIn is how many grams of sugar litres of a syrup of the given °Brix hold.
func SugarIn(brix, litres float64) float64 { return litres * Density(brix) * 10 * brix }
