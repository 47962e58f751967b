// Package batch joins the guide, fruit, syrup and canner into the one plan a
// cook reads: how many jars, how much fruit and liquid, the safe time with its
// source, what goes into each jar, and how the jars split into canner loads.
//
//	p, err := batch.Make(batch.Request{
//		Product: "peaches", Kind: "freestone", Form: "halves", Pack: "hot", Jar: "quart",
//		Amount: "12 lb", Liquid: batch.Liquid{Kind: batch.Syrup, Strength: "light"},
//	}, kitchen)
//	// err: batch.Problems, field by field, where something typed is not understood
//	p.Status                 // batch.Tested
//	p.Verdict.Tested.Minutes // 35
//	p.Jars.Planned           // 5
package batch
