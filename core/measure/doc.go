// Package measure holds the quantities a cook handles: mass, volume, length,
// temperature and altitude. Each is a small comparable value in whole minor
// units (milligrams, microlitres, micrometres, thousandths of a degree), so
// that two equal amounts are equal as Go values and can be stored without loss.
//
// Parsing takes what people type, printing gives what people read:
//
//	m, err := measure.ParseMass("12 lb 4 oz")   // also "5.5kg", "½ lb"
//	m.Text(measure.US)                          // "12 lb 4 oz"
//	m.Text(measure.Metric)                      // "5.56 kg"
//	v, err := measure.ParseVolume("3 qt 1 cup")
//	v.Kitchen()                                 // "13 cups"
//	a, err := measure.ParseAltitude("1 200 m")
//	a.Feet()                                    // 3938, rounded up
//
// String prints a value without loss: Parse(x.String()) is x. Text and Kitchen
// round to what a kitchen can measure; what they print parses back to the same
// text, kitchen measures to within the 1 % they promise. The zero value of each type is zero of it (for Temperature
// 0 °C, for Altitude sea level).
//
// Sizes of units are those of the kitchen tables: 1 lb = 453.592 g,
// 1 US cup = 236.588 ml, 1 US quart = 946.353 ml, 1 tbsp = 14.787 ml,
// 1 tsp = 4.929 ml, 1 in = 2.54 cm, 1 ft = 0.3048 m.
package measure
