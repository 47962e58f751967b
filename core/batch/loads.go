package batch

import (
	"fmt"
	"slices"

	"mellisca/core/canner"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Load is one filling of the canner, of one size of jar or several.
type Load struct {
	Jars    []fruit.Filled
	Minutes int               // the longest of them; 0 where there is no time
	Tiers   [][]canner.Placed // from below
}

// Count is how many jars there are in all.
func (l Load) Count() int {
	n := 0
	for _, f := range l.Jars {
		n += f.Count
	}
	return n
}

// Mixed says whether there are jars of several sizes.
func (l Load) Mixed() bool { return len(l.Jars) > 1 }

// each lists the jars of a tier.
func each(tier []canner.Placed) []jar.Jar {
	all := make([]jar.Jar, len(tier))
	for i, at := range tier {
		all[i] = at.Jar
	}
	return all
}

// tiers are the jars of each tier from below.
func (l Load) tiers() [][]jar.Jar {
	all := make([][]jar.Jar, len(l.Tiers))
	for i, t := range l.Tiers {
		all[i] = each(t)
	}
	return all
}

// load splits the jars into loads, after asking whether the canner takes them at all.
func (p *Plan) load(in read) {
	sizes := p.filled()
	if sizes == nil {
		sizes = []fruit.Filled{{Jar: in.jar}}
	}
	cover, timed := p.waterOverJars()
	for _, f := range sizes {
		takes := in.kitchen.Memo.Capacity(p.Pot, f.Jar)
		if f.Jar.ID == in.jar.ID {
			p.Capacity = takes
		}
		if takes == 0 {
			p.Capacity = 0
			p.PotNote = upperFirst(p.Canner.TheName()) + " is too narrow for " + f.Jar.Many + ". Take a wider pot or a smaller jar."
			return
		}
		if timed && p.Pot.Kind != canner.Steam {
			if err := p.Pot.Deep(f.Jar, cover); err != nil {
				p.PotNote = upperFirst(p.Canner.TheName()) + " is " + err.Error() + ". Take a deeper pot or a smaller jar."
				return
			}
		}
	}
	two := in.Tiers == 2 && timed && p.twoTiers(sizes, cover)
	if two {
		p.Capacity *= 2
	} else if in.Tiers == 2 && timed {
		p.LoadOffers = append(p.LoadOffers, LoadOffer{Text: upperFirst(p.Canner.TheName()) + " is not deep enough for two tiers of these jars, so one is planned."})
	}
	switch {
	case p.Jars == nil:
	case len(p.Sizes) > 1:
		p.mixedLoads(in, sizes, two)
	default:
		j := sizes[0].Jar
		for _, n := range canner.Loads(p.Jars.Planned, p.Capacity) {
			l := Load{Jars: []fruit.Filled{{Jar: j, Count: n}}, Minutes: p.Minutes()}
			tiers := []int{n}
			if two && n > p.Capacity/2 {
				tiers = canner.Loads(n, p.Capacity/2)
			}
			for _, t := range tiers {
				l.Tiers = append(l.Tiers, standing(j, in.kitchen.Memo.Arrange(p.Pot, j, t)))
			}
			p.Loads = append(p.Loads, l)
		}
	}
}

func standing(j jar.Jar, spots []canner.Spot) []canner.Placed {
	all := make([]canner.Placed, len(spots))
	for i, s := range spots {
		all[i] = canner.Placed{Jar: j, Spot: s}
	}
	return all
}

// twoTiers says whether two tiers of these jars stand under their water, the tallest
// below and above, with room for the boil.
func (p *Plan) twoTiers(sizes []fruit.Filled, cover measure.Length) bool {
	if p.Pot.Kind == canner.Steam {
		return false
	}
	tallest := measure.Length(0)
	for _, f := range sizes {
		tallest = max(tallest, f.Jar.Height)
	}
	return p.Pot.Rack+2*tallest+canner.Divider+cover+canner.BoilRoom <= p.Pot.Depth
}

// mixedLoads splits jars of several sizes: the fewest loads, the same size together
// where that costs none, and the longest time of a mixed load rules it. With two tiers
// every two of such layers are one load.
func (p *Plan) mixedLoads(in read, sizes []fruit.Filled, two bool) {
	minutes := make([]int, len(p.Sizes))
	for i, s := range p.Sizes {
		minutes[i] = s.Minutes
	}
	layers := splitMixed(in.kitchen.Memo, p.Pot, sizes, minutes)
	if !two {
		p.Loads = layers
		return
	}
	for i := 0; i < len(layers); i += 2 {
		l := layers[i]
		if i+1 < len(layers) {
			above := layers[i+1]
			if tallestOf(above) > tallestOf(l) {
				l, above = above, l
			}
			l = Load{Jars: addFilled(l.Jars, above.Jars), Minutes: max(l.Minutes, above.Minutes), Tiers: [][]canner.Placed{l.Tiers[0], above.Tiers[0]}}
		}
		p.Loads = append(p.Loads, l)
	}
}

func tallestOf(l Load) measure.Length {
	h := measure.Length(0)
	for _, f := range l.Jars {
		h = max(h, f.Jar.Height)
	}
	return h
}

// addFilled adds up jars, the larger first.
func addFilled(a, b []fruit.Filled) []fruit.Filled {
	all := slices.Clone(a)
	for _, f := range b {
		if i := slices.IndexFunc(all, func(g fruit.Filled) bool { return g.Jar.ID == f.Jar.ID }); i >= 0 {
			all[i].Count += f.Count
		} else {
			all = append(all, f)
		}
	}
	slices.SortStableFunc(all, largerFirst)
	return all
}

// splitMixed splits jars of up to three sizes, of the given minutes, into single-tier
// loads of a pot: the fewest loads first.
func splitMixed(memo *canner.Memo, pot canner.Pot, sizes []fruit.Filled, minutes []int) []Load {
	var kinds []jar.Jar
	var counts []int
	for _, f := range sizes {
		kinds, counts = append(kinds, f.Jar), append(counts, f.Count)
	}
	split, _ := memo.Patterns(pot, kinds).Table(counts, minutes, false).Split(counts)
	return placed(pot, split, sizes, minutes)
}

// placed gives the loads of a split their jars and places.
func placed(pot canner.Pot, split canner.Split, sizes []fruit.Filled, minutes []int) []Load {
	var loads []Load
	for _, l := range split.Loads {
		load := Load{}
		var all []jar.Jar
		for i, c := range l {
			if c == 0 {
				continue
			}
			load.Jars = append(load.Jars, fruit.Filled{Jar: sizes[i].Jar, Count: c})
			load.Minutes = max(load.Minutes, minutes[i])
			all = append(all, slices.Repeat([]jar.Jar{sizes[i].Jar}, c)...)
		}
		in, _ := pot.Spread(all)
		load.Tiers = [][]canner.Placed{in}
		loads = append(loads, load)
	}
	return loads
}

// waterOverJars is how deep the jars stand under water, where there is a time.
func (p *Plan) waterOverJars() (measure.Length, bool) {
	switch {
	case p.Own != nil:
		return measure.Inches(float64(p.Own.WaterOverJars)), true
	case p.Verdict.Tested != nil:
		return measure.Inches(float64(p.Verdict.Tested.WaterOverJars)), true
	}
	return 0, false
}

// LoadOffer is another way to load.
type LoadOffer struct {
	Text   string
	Canner string // the id of the canner to take instead; empty: none
	Tiers  int    // how many tiers to take instead; 0: as they are
}

// offerLoads says what else could be done where the jars take more than one load:
// another canner of the kitchen that takes fewer, a second tier where the pot is deep
// enough, and, where just a few are over, what to do with those. Jars packed hot do not
// wait for their load longer than ten minutes, so they are filled load by load.
func (p *Plan) offerLoads(in read) {
	n := len(p.Loads)
	offer := func(o LoadOffer) { p.LoadOffers = append(p.LoadOffers, o) }
	if n > 0 && len(p.Loads[0].Tiers) == 2 {
		text := "Two tiers, with a rack between. In one tier they take more loads."
		if len(p.Sizes) < 2 {
			text = fmt.Sprintf("Two tiers, with a rack between. In one tier they take %s.", loadsWord(len(canner.Loads(p.Jars.Planned, p.Capacity/2))))
		}
		offer(LoadOffer{Text: text, Tiers: 1})
	}
	if n < 2 {
		return
	}
	cover, ok := p.waterOverJars()
	if !ok {
		return
	}
	if p.Query.Pack == guide.Hot {
		offer(LoadOffer{Text: "Fill the jars of a load when its water is ready: packed hot, they wait 10 minutes at most."})
	}
	steam := p.Pot.Kind == canner.Steam
	one := len(p.Sizes) < 2
	for _, c := range in.kitchen.Canners {
		if !one || c.ID == p.Canner.ID || (c.Pot.Kind == canner.Steam) != steam || !steam && c.Pot.Deep(in.jar, cover) != nil {
			continue
		}
		if takes := in.kitchen.Memo.Capacity(c.Pot, in.jar); takes > 0 {
			if loads := len(canner.Loads(p.Jars.Planned, takes)); loads < n {
				offer(LoadOffer{Text: fmt.Sprintf("%s takes %d: %s.", upperFirst(c.TheName()), takes, loadsWord(loads)), Canner: c.ID})
			}
		}
	}
	if in.Tiers != 2 && p.twoTiers(p.filled(), cover) {
		fewer := (n + 1) / 2
		text := fmt.Sprintf("It is deep enough for two tiers with a rack between: %s.", loadsWord(fewer))
		if one {
			fewer = len(canner.Loads(p.Jars.Planned, 2*p.Capacity))
			text = fmt.Sprintf("It is deep enough for two tiers with a rack between: %d at once, %s.", 2*p.Capacity, loadsWord(fewer))
		}
		offer(LoadOffer{Text: text, Tiers: 2})
	}
	if over := p.Jars.Planned - (n-1)*p.Capacity; one && over <= max(1, p.Capacity/3) {
		offer(LoadOffer{Text: fmt.Sprintf("%s more than %s: a second pot beside it, smaller jars, or the refrigerator till the next batch.", p.Jar.Count(over), loadsWord(n-1))})
	}
}

// Taking is the request that an offer makes of r.
func (r Request) Taking(o LoadOffer) Request {
	if o.Canner != "" {
		r.Canner, r.Tiers = o.Canner, 0
	}
	if o.Tiers > 0 {
		r.Tiers = o.Tiers
	}
	return r
}

func loadsWord(n int) string {
	if n == 1 {
		return "one load"
	}
	return fmt.Sprintf("%d loads", n)
}
