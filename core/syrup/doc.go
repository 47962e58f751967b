// Package syrup works out sugar solutions: how strong a recipe is, and what to
// measure out for a load of jars.
//
//	r := syrup.Make(syrup.Request{Jars: 7, Jar: quart, Brix: 30})
//	r.Litres                // 2.769
//	r.Sweeteners[0].Kitchen // "4 2/3 cups"
//
// Strength is percent sugar by weight (°Brix) throughout. The density of a
// solution is 0.99821 kg/l × SG at 20 °C, with SG = 1 + B/(258.6 − 227.1·B/258.2).
package syrup
