// Package fruit turns fruit into jars and jars into fruit, by the published
// quantities, and always as a likely figure with a range: the same bushel gives
// one cook 16 quarts and another 24.
//
//	a, err := fruit.ParseAmount("half a bushel", "peaches", quart)
//	y, ok := fruit.JarsFrom("peaches", a.Fruit, quart)
//	y.Low, y.Likely, y.High // 8, 10, 12
package fruit
