// Package guide gives the one verdict for any way of packing fruit: a tested
// time with its source, or a refusal with its reasons and the nearest tested
// ways to use the same fruit. It never interpolates, averages or shortens; what
// it does not understand it does not judge.
//
//	v, err := guide.Judge(guide.Query{
//		Product: "peaches", Pack: guide.Hot, Jar: "quart", Altitude: alt,
//	})
//	if err != nil {
//		// guide.Problems: a value was not understood, field by field
//	}
//	if v.Tested != nil {
//		v.Tested.Minutes // 35 at 3,480 ft
//	} else {
//		v.Reasons, v.Alternatives, v.Instead
//	}
//
// The rows are transcribed from the public-domain "Complete Guide to Home
// Canning" (US Department of Agriculture, 2015 revision), Guides 2 and 7. They
// have not been held against the printed pages, which is why every tested
// verdict carries the caution to check the current guide.
package guide
