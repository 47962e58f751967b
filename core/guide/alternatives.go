package guide

import (
	"cmp"
	"math/bits"
	"slices"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// mostAlternatives is how many are offered at the most.
const mostAlternatives = 5

// Alternative is a tested way near to a refused one. Kind, Form and Thickener
// are empty where the default is meant: sent as a Query at the same altitude it
// is tested with these minutes.
type Alternative struct {
	Query
	Minutes int
	Changed int    // how many parameters differ from what was asked
	Mended  []Code // which refused conditions must be put right
}

// A change is the set of parameters in which a way differs from what was asked.
// Of two equally large sets, the one with the larger value is offered first.
type change uint8

const (
	changesProduct change = 1 << iota // or which fruits a blend is of
	changesMethod
	changesJar
	changesPack
	changesForm
	changesThickener
	changesConditions // the acid, the extras or the jars put right
)

// way is one tested candidate.
type way struct {
	asked
	change  change
	minutes int
	holds   measure.Volume
}

// alternatives finds tested ways to use the same fruit, nearest first. A way is
// left out where a part of its changes is enough. Where there are more than can
// be offered, every kind of change has its turn before any has a second.
func alternatives(a *asked, jars []jar.Jar) []Alternative {
	if !slices.ContainsFunc(jars, func(j jar.Jar) bool { return j.ID == a.Jar }) {
		if j, ok := jar.Find(a.Jar); ok {
			jars = append(clone(jars), j)
		}
	}
	jars = clone(jars)
	slices.SortStableFunc(jars, func(a, b jar.Jar) int { return -cmp.Compare(a.Capacity, b.Capacity) })
	f := finder{jars: jars, wanted: a, found: make([]way, 0, 32)}
	f.sameProduct()
	f.soundBlend()
	for _, r := range relatives(a) {
		f.otherProduct(r.product, r.kind)
	}
	out := []Alternative{}
	for _, w := range f.pick() {
		out = append(out, f.alternative(w))
	}
	return out
}

type finder struct {
	jars   []jar.Jar
	wanted *asked
	found  []way
	enough []change // changes within the same product that are enough
}

// sets lists the sets of changes out of those allowed, smaller sets first.
func sets(allowed change) []change {
	var all []change
	for c := change(1); c <= allowed; c++ {
		if c&^allowed == 0 {
			all = append(all, c)
		}
	}
	slices.SortStableFunc(all, func(a, b change) int {
		return cmp.Compare(bits.OnesCount8(uint8(a)), bits.OnesCount8(uint8(b)))
	})
	return all
}

var (
	sameProductSets  = sets(changesMethod | changesJar | changesPack | changesForm | changesThickener | changesConditions)
	otherProductSets = append([]change{0}, sets(changesMethod|changesJar|changesPack|changesConditions)...)
)

func within(c change, of []change) bool {
	return slices.ContainsFunc(of, func(e change) bool { return e&^c == 0 })
}

func (f *finder) sameProduct() {
	if fruitRefusals(f.wanted) != 0 || f.wanted.Conditions.Fruit == FruitSpoilt {
		return // nothing that may change here mends the fruit
	}
	for _, c := range sameProductSets {
		if within(c, f.enough) {
			continue
		}
		if f.try(*f.wanted, c) {
			f.enough = append(f.enough, c)
		}
	}
}

// soundBlend looks for a blend without the fruits that refuse it.
func (f *finder) soundBlend() {
	base, ok := f.wanted.sound()
	if !ok || f.wanted.Conditions.Fruit == FruitSpoilt {
		return
	}
	var enough []change
	for _, c := range otherProductSets {
		if !within(c, enough) && f.try(base, c|changesProduct) {
			enough = append(enough, c)
		}
	}
}

// otherProduct looks for the same fruit in another product. Form and thickener
// belong to a product, so that of the other one is not counted as a change.
func (f *finder) otherProduct(p Product, k Kind) {
	if f.wanted.Conditions.Fruit == FruitSpoilt {
		return
	}
	base := *f.wanted
	base.Product, base.info = p, productByID[p]
	base.Kind, base.kindSet, base.Blend = k, k != "", 0
	if k == "" {
		base.Kind = base.info.Kind
	}
	if !slices.Contains(base.info.Forms, base.Form) {
		base.Form = ownForm(base.info)
	}
	base.Thickener = ownThickener(base.info)
	var enough []change
	for _, c := range otherProductSets {
		if within(c, f.enough) || within(c, enough) {
			continue
		}
		if f.try(base, c|changesProduct) {
			enough = append(enough, c)
		}
	}
}

// try gathers the tested ways that differ from base in exactly these parameters,
// the larger jars first and no more than could be offered.
func (f *finder) try(base asked, c change) bool {
	if !f.mayHelp(&base, c) {
		return false
	}
	if c&changesConditions != 0 {
		if base.Conditions == base.Conditions.mended() {
			return false
		}
		base.Conditions = base.Conditions.mended()
	}
	jars := f.jars
	if c&changesJar == 0 {
		same, _ := jar.Find(base.Jar)
		jars = []jar.Jar{same}
	}
	thickeners := values(c&changesThickener != 0, base.Thickener, []Thickener{ownThickener(base.info), NoThickener})
	forms := values(c&changesForm != 0, base.Form, base.info.Forms)
	packs := values(c&changesPack != 0, base.Pack, packs)
	methods := values(c&changesMethod != 0, base.Method, testedMethods)
	now, left := base, mostAlternatives
	for i := range jars {
		if c&changesJar != 0 && jars[i].ID == base.Jar {
			continue
		}
		now.Jar, now.size = jars[i].ID, jars[i].TestedAs
		for _, now.Thickener = range thickeners {
			for _, now.Form = range forms {
				for _, now.Pack = range packs {
					for _, now.Method = range methods {
						if j := judge(&now); j.why == 0 && left > 0 {
							f.found = append(f.found, way{now, c, j.minutes, jars[i].Capacity})
							left--
						}
					}
				}
			}
		}
		if left == 0 {
			break
		}
	}
	return left < mostAlternatives
}

// mayHelp says whether changing these parameters of base could lift every
// refusal that lies in one parameter alone, so that most sets need no search.
func (f *finder) mayHelp(base *asked, c change) bool {
	switch {
	case fruitRefusals(base) != 0,
		c&changesConditions == 0 && base.Conditions.refusals(base.Product) != 0,
		c&changesForm == 0 && !slices.Contains(base.info.Forms, base.Form),
		c&changesMethod == 0 && !slices.Contains(testedMethods, base.Method),
		c&changesThickener == 0 && base.Thickener != NoThickener && !(base.Thickener == CookTypeStarch && isFilling(base.info)):
		return false
	}
	return true
}

// values is what to try for a parameter: all others where it changes.
func values[T ~string](changes bool, now T, all []T) []T {
	if !changes {
		return []T{now}
	}
	var others []T
	for _, v := range all {
		if v != now && !slices.Contains(others, v) {
			others = append(others, v)
		}
	}
	return others
}

// pick chooses what to offer and sorts it, nearest first. It sorts places in
// f.found, since a way is large to move.
func (f *finder) pick() []way {
	nearest := func(i, j int) int {
		a, b := &f.found[i], &f.found[j]
		return cmp.Or(
			cmp.Compare(bits.OnesCount8(uint8(a.change)), bits.OnesCount8(uint8(b.change))),
			-cmp.Compare(a.change, b.change),
			-cmp.Compare(a.holds, b.holds),
			cmp.Compare(i, j), // as the tables have them
		)
	}
	places := make([]int, len(f.found))
	for i := range places {
		places[i] = i
	}
	slices.SortFunc(places, nearest)
	type group struct {
		change  change
		product *ProductInfo
	}
	turn := make([]int, len(places))
	seen := map[group]int{}
	for i, place := range places {
		g := group{f.found[place].change, f.found[place].info}
		turn[i] = seen[g]
		seen[g]++
	}
	var chosen []int
	for round := 0; len(chosen) < min(mostAlternatives, len(places)); round++ {
		for i, place := range places {
			if turn[i] == round && len(chosen) < mostAlternatives {
				chosen = append(chosen, place)
			}
		}
	}
	slices.SortFunc(chosen, nearest)
	ways := make([]way, len(chosen))
	for i, place := range chosen {
		ways[i] = f.found[place]
	}
	return ways
}

// alternative drops from w what need not be said.
func (f *finder) alternative(w way) Alternative {
	alt := Alternative{Query: w.Query, Minutes: w.minutes, Changed: bits.OnesCount8(uint8(w.change))}
	if w.change&changesConditions != 0 {
		alt.Mended = f.wanted.Conditions.refusals(f.wanted.Product).each()
	}
	if !w.kindSet || w.Kind == w.info.Kind && w.Product != "mango-sauce" {
		alt.Kind = ""
	}
	if w.Form == ownForm(w.info) {
		alt.Form = ""
	}
	if w.Thickener == ownThickener(w.info) {
		alt.Thickener = ""
	}
	return alt
}
