package syrup

// The masses and sizes that recipes rest on.
const (
	WaterDensity  = 0.99821  // kg/l at 20 °C
	LitresPerCup  = 0.236588 // a US cup
	SugarPerCup   = 200.0    // g, granulated
	HoneyPerCup   = 340.0    // g
	HoneySolids   = 0.82     // of its mass
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
