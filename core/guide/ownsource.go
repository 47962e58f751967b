package guide

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"mellisca/core/jar"
)

// OwnSource is a recipe of the cook's own with the published source that the
// cook names. It is never offered as tested and counts only when it is picked.
type OwnSource struct {
	Name  string // of the recipe, as it stands in a sentence
	Title string // of the published source
	Year  int
	Page  string

	Product Product // an id of the guide, or empty for something the guide does not know
	Kind    Kind
	Form    Form
	Pack    Pack
	Largest jar.Size // the largest jar the source is for

	Minutes   int     // at sea level
	Additions [4]int  // the source's own, from 1,001, 3,001, 6,001 and 8,001 ft; 0 where it prints none
	Headspace float64 // inches
	Acid      string  // what the source puts in for safety; empty where nothing
}

// additionFrom and commonAdditions are the published schedule for processes
// whose source prints none, in feet and minutes.
var (
	additionFrom    = [4]int{1001, 3001, 6001, 8001}
	commonAdditions = [4]int{5, 10, 15, 20}
)

// MinutesAt is the source's time at an altitude in whole feet: its minutes at
// sea level and the larger of its own addition and the common one.
func (s OwnSource) MinutesAt(feet int) int {
	add := 0
	for i, from := range additionFrom {
		if feet >= from {
			add = max(add, commonAdditions[i], s.Additions[i])
		}
	}
	return s.Minutes + add
}

// minutes is the source's time for a way of packing: where a tested row exists,
// it is not undercut at any altitude.
func (s OwnSource) minutes(a *asked) int {
	m := s.MinutesAt(a.Altitude.Feet())
	if row, ok := rowFor(a.info, a.Pack, a.size); ok {
		m = max(m, row.Minutes[a.band])
	}
	return m
}

// Cite names the published source: title, year and page.
func (s OwnSource) Cite() string { return fmt.Sprintf("%s (%d), page %s", s.Title, s.Year, s.Page) }

// info is the product that the source is for, one of its own where the guide
// does not know it.
func (s OwnSource) info() *ProductInfo {
	if s.Product == "" {
		return &ProductInfo{Name: s.Name, refused: ProductNotTested}
	}
	return productByID[s.Product]
}

// isJuice says whether a half-gallon may be used: juices alone.
func isJuice(p *ProductInfo) bool {
	return p.Group == Juices && p.ID != "berry-syrup" || p.refused == JuiceNoRow
}

// Check says what of s is not understood or may not be; none where it may be
// kept. A source for what no source can make safe is told here already.
func (s OwnSource) Check() Problems {
	var ps Problems
	add := func(field, given, accepts string) { ps = append(ps, Problem{field, given, accepts}) }
	text := func(field, given, accepts string, most int, needed bool) {
		if t := strings.TrimSpace(given); needed && t == "" || len(given) > most {
			add(field, given, accepts)
		}
	}
	text("name", s.Name, "the name of the recipe, 80 letters at most", 80, true)
	text("title", s.Title, "the title of the published source, 200 letters at most", 200, true)
	text("page", s.Page, "the page in the source, 40 letters at most", 40, true)
	text("acid", s.Acid, "what the source puts in for safety, 200 letters at most, or nothing", 200, false)
	if s.Year < 1800 || s.Year > 2200 {
		add("year", fmt.Sprint(s.Year), "the year it was published, four digits")
	}
	if s.Product != "" && productByID[s.Product] == nil {
		add("product", string(s.Product), "one of "+list(productIDs())+", or nothing for something else")
		return ps
	}
	p := s.info()
	if s.Kind != "" && !slices.Contains(p.Kinds, s.Kind) {
		add("kind", string(s.Kind), "a kind that belongs to "+p.Name+", or nothing")
	}
	if s.Form != "" && !slices.Contains(forms, s.Form) {
		add("form", string(s.Form), "one of "+list(forms)+", or nothing")
	}
	if !slices.Contains(packs, s.Pack) {
		add("pack", string(s.Pack), "one of "+list(packs))
	}
	largest := jar.Quart
	if isJuice(p) {
		largest = jar.HalfGallon
	}
	if s.Largest < jar.HalfPint || s.Largest > largest {
		add("largest", string(sizeID(s.Largest)), "a half-pint, pint or quart; a half-gallon for juice alone")
	}
	if s.Minutes < 5 || s.Minutes > 240 {
		add("minutes", fmt.Sprint(s.Minutes), "the minutes at sea level, 5 to 240")
	}
	for _, m := range s.Additions {
		if m < 0 || m > 120 {
			add("additions", fmt.Sprint(m), "the minutes that the source adds for altitude, 0 to 120")
			break
		}
	}
	if s.Headspace < 0.25 || s.Headspace > 2 {
		add("headspace", fmt.Sprint(s.Headspace), "the inches of headspace, 1/4 to 2")
	}
	if strings.TrimSpace(s.Acid) == "" && demandsAcid(s.Product) {
		add("acid", s.Acid, "the acid that the source puts in: "+p.Name+" are not safe without it")
	}
	if len(ps) > 0 {
		return ps
	}
	if row, ok := rowFor(p, s.Pack, s.Largest); ok && s.Minutes < row.Minutes[0] {
		add("minutes", fmt.Sprint(s.Minutes), fmt.Sprintf("%d at least: that is the tested time, and no source may go under it", row.Minutes[0]))
	}
	a := s.asked(s.Largest.ID())
	for _, c := range s.unlifted(&a).each() {
		add("product", string(s.Product), "something a source can make safe: "+reasonText(c, &a))
	}
	return ps
}

func sizeID(s jar.Size) jar.ID {
	if s > jar.HalfGallon {
		return ""
	}
	return s.ID()
}

// asked is the way of packing that the source describes, in a jar.
func (s OwnSource) asked(id jar.ID) asked {
	a := asked{info: s.info(), kindSet: s.Kind != ""}
	a.Query = Query{Product: s.Product, Kind: s.Kind, Form: s.Form, Pack: s.Pack, Jar: id, Method: BoilingWater, Thickener: NoThickener}
	if a.Kind == "" {
		a.Kind = a.info.Kind
	}
	if a.Form == "" {
		a.Form = ownForm(a.info)
	}
	j, _ := jar.Find(id)
	a.size = j.TestedAs
	return a
}

// unlifted are the refusals of a that the source does not lift: the hard ones,
// and a jar larger than it is for.
func (s OwnSource) unlifted(a *asked) codes {
	v := judge(a)
	why := v.why &^ (bit(PackNotTested) | bit(StrawberryWhole) | bit(JuiceNoRow) | bit(ProductNotTested) | bit(JarTooLarge) | bit(SteamTooLong))
	if kindRefusal(a.Product, a.Kind) != FormNotTested {
		why &^= bit(FormNotTested)
	}
	if a.Product == "jelly" && strings.TrimSpace(s.Acid) != "" {
		why &^= bit(Elderberry)
	}
	if s.DemandsAcid() && !a.Acid.inFull() {
		why |= bit(AcidMissing)
	}
	if a.size > s.Largest {
		why |= bit(JarTooLarge)
	}
	if a.Method == Steam && s.minutes(a) > steamLimit {
		why |= bit(SteamTooLong)
	}
	return why
}

// DemandsAcid says whether the source puts in acid, which may then not be left
// out, reduced or squeezed fresh.
func (s OwnSource) DemandsAcid() bool { return strings.TrimSpace(s.Acid) != "" }

// OwnTime is a process time by the cook's own source.
type OwnTime struct {
	Source         OwnSource
	Minutes        int
	Band           Band
	SterileMinutes int // 0 where clean and hot is enough
	WaterOverJars  int // inches; 0 in a steam canner
	// Acid is what the guide itself demands of such fruit, beside what the source
	// puts in; nil where it demands none.
	Acid     *Acid
	Cautions []Caution
}

// JudgeOwn gives the verdict for a jar, method, altitude and conditions by the
// cook's own source, once the cook has picked it: an OwnTime, or a Verdict that
// refuses for what no source lifts. It errs with Problems where q or s is not
// understood. Of q it takes Jar, Method, Altitude and Conditions; the rest is
// the source's. Alternatives are the same source in one of jars, in boiling
// water, or with what is wrong put right.
func JudgeOwn(q Query, s OwnSource, jars []jar.Jar) (*OwnTime, Verdict, error) {
	if ps := s.Check(); len(ps) > 0 {
		return nil, Verdict{}, ps
	}
	known := Query{Product: "peaches", Pack: s.Pack, Jar: q.Jar, Method: q.Method, Altitude: q.Altitude, Conditions: q.Conditions}
	if ps := Check(known); len(ps) > 0 {
		return nil, Verdict{}, ps
	}
	a := s.asked(q.Jar)
	a.Altitude, a.Conditions = q.Altitude, q.Conditions
	a.band = bandOf(q.Altitude.Feet())
	if q.Method != "" {
		a.Method = q.Method
	}
	if why := s.unlifted(&a); why != 0 {
		v := Verdict{Query: a.Query, Alternatives: s.alternatives(&a, jars), Instead: ownInstead(&a, why)}
		for _, c := range why.each() {
			v.Reasons = append(v.Reasons, Reason{c, s.reasonText(c, &a)})
		}
		return nil, v, nil
	}
	return s.time(&a), Verdict{Query: a.Query}, nil
}

// alternatives are the nearest ways to use the source after all: another jar,
// boiling water, what is wrong put right.
func (s OwnSource) alternatives(a *asked, jars []jar.Jar) []Alternative {
	out := []Alternative{}
	for most := 1; most <= 3 && len(out) == 0; most++ {
		for _, c := range []Conditions{a.Conditions, a.Conditions.mended()} {
			for _, m := range slices.Compact([]Method{a.Method, BoilingWater}) {
				for _, id := range append([]jar.ID{a.Jar}, idsOf(jars)...) {
					n := changed(c != a.Conditions) + changed(m != a.Method) + changed(id != a.Jar)
					if n != most || len(out) == mostAlternatives {
						continue
					}
					w := *a
					j, _ := jar.Find(id)
					w.Conditions, w.Method, w.Jar, w.size = c, m, id, j.TestedAs
					if s.unlifted(&w) != 0 {
						continue
					}
					alt := Alternative{Query: w.Query, Minutes: s.time(&w).Minutes, Changed: n}
					if c != a.Conditions {
						alt.Mended = (s.unlifted(a) & conditionCodes).each()
					}
					out = append(out, alt)
				}
			}
		}
	}
	return out
}

func changed(yes bool) int {
	if yes {
		return 1
	}
	return 0
}

// idsOf lists jars, the larger first.
func idsOf(jars []jar.Jar) []jar.ID {
	js := clone(jars)
	slices.SortStableFunc(js, func(a, b jar.Jar) int { return -cmp.Compare(a.Capacity, b.Capacity) })
	ids := make([]jar.ID, len(js))
	for i, j := range js {
		ids[i] = j.ID
	}
	return slices.DeleteFunc(ids, func(id jar.ID) bool { return id == "" })
}

// ownInstead is instead without the advice to find a source, which the cook has.
func ownInstead(a *asked, why codes) []Instead {
	ways := slices.DeleteFunc(instead(a, why, false), func(i Instead) bool { return i.Way == WayOwnSource })
	if len(ways) == 0 {
		ways = append(ways, Instead{WayRefrigerate, "Keep it in the refrigerator and use it within days."}, Instead{WayFreeze, "Freeze it."})
	}
	return ways
}

// time is the process by the source for a way that nothing refuses.
func (s OwnSource) time(a *asked) *OwnTime {
	feet := a.Altitude.Feet()
	t := &OwnTime{Source: s, Minutes: s.minutes(a), Band: BandOf(a.Altitude), Acid: acidFor(a.Product, a.Jar)}
	if s.Minutes < 10 {
		t.SterileMinutes = sterileMinutes(feet)
	}
	if a.Method == BoilingWater {
		t.WaterOverJars = 1
		if t.Minutes > 30 {
			t.WaterOverJars = 2
		}
	}
	t.Cautions = append([]Caution{{"own-source", "This time is from " + s.Cite() + ", which you named. It is not one of the tested rows here."}}, cautions(a)...)
	return t
}

func (s OwnSource) reasonText(c Code, a *asked) string {
	if c == JarTooLarge {
		return "Your source is for jars up to the " + sizeName(s.Largest) + "."
	}
	return reasonText(c, a)
}
