package guide

import (
	"mellisca/core/jar"
)

// Source is where a number comes from.
type Source struct {
	Title   string
	Part    string
	Edition int
}

// The guide that the rows are transcribed from.
const (
	guideTitle   = "Complete Guide to Home Canning"
	guideEdition = 2015
)

// Time is a tested process time and what it demands.
type Time struct {
	Minutes   int
	TestedAs  jar.Size
	Band      Band
	Headspace float64 // inches
	// SterileMinutes is how long empty jars are boiled first; 0 where clean and
	// hot is enough.
	SterileMinutes int
	// WaterOverJars is inches of water over the lids; 0 in a steam canner.
	WaterOverJars int
	Acid          *Acid // nil where the fruit is acid enough
	Cautions      []Caution
	Source        Source
	Row           Row // the row whose minutes rule; of a blend that of one of its fruits may be the longest
}

// Reason is why a way of packing is refused.
type Reason struct {
	Code Code
	Text string
}

// Verdict is the one answer to a Query: Tested, or refused with Reasons.
type Verdict struct {
	// Query is what was judged, with what was left out filled in. Kind stays
	// empty where the product has no single kind that it was tested with.
	Query
	Tested       *Time // nil: refused
	Reasons      []Reason
	Alternatives []Alternative
	Instead      []Instead
}

// Judge gives the verdict for a query, its alternatives among all jars. It errs
// with Problems where a value is not understood.
func Judge(q Query) (Verdict, error) { return JudgeAmong(q, allJars) }

// JudgeAmong is Judge for a cook who has only some jars: alternatives are
// offered in these and in the jar that was asked for.
func JudgeAmong(q Query, jars []jar.Jar) (Verdict, error) {
	a, err := understand(q)
	if err != nil {
		return Verdict{}, err
	}
	j := judge(&a)
	v := Verdict{Query: a.Query}
	if j.why == 0 {
		v.Tested = tested(&a, j)
		return v, nil
	}
	for _, c := range j.why.each() {
		v.Reasons = append(v.Reasons, reasonsOf(c, &a)...)
	}
	v.Alternatives = alternatives(&a, jars)
	v.Instead = instead(&a, j.why, len(v.Alternatives) > 0)
	return v, nil
}

var allJars = jar.All()

func tested(a *asked, j judged) *Time {
	feet := a.Altitude.Feet()
	t := &Time{
		Minutes:   j.minutes,
		TestedAs:  j.row.Size,
		Band:      BandOf(a.Altitude),
		Headspace: j.row.Headspace,
		Acid:      acidFor(a.Product, a.Jar),
		Cautions:  cautions(a),
		Source:    Source{guideTitle, j.rules.Part, guideEdition},
		Row:       *j.rules,
	}
	// Judged by the first band: the longer time higher up only makes good the cooler boil.
	if j.row.Minutes[0] < 10 {
		t.SterileMinutes = sterileMinutes(feet)
	}
	if a.Method == BoilingWater {
		t.WaterOverJars = 1
		if j.minutes > 30 {
			t.WaterOverJars = 2
		}
	}
	return t
}
