// Package canner says what fits in a pot: how many jars stand in one layer, how
// deep the pot must be for the water the process demands, and how a batch
// splits into loads.
//
//	c := canner.Default
//	n := c.Capacity(quart)               // 7
//	err := c.Deep(quart, measure.Inches(2)) // nil: deep enough
//	canner.Loads(10, n)                  // [5 5]
package canner
