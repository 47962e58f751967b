package guide

import (
	"fmt"
	"math/bits"
	"slices"
	"strings"
)

// Blend is the set of fruits that a puree holds beside its Kind. Its zero value
// is none: a puree of one fruit.
type Blend uint64

// ParseBlend reads kinds of fruit puree joined by commas; empty is none.
func ParseBlend(s string) (Blend, error) {
	var b Blend
	if s == "" {
		return 0, nil
	}
	for _, k := range strings.Split(s, ",") {
		one, ok := blendOf(Kind(k))
		if !ok {
			return 0, fmt.Errorf("%q is not known as a fruit for a puree; accepted: %s", k, list(pureeKinds))
		}
		b |= one
	}
	return b, nil
}

func blendOf(k Kind) (Blend, bool) {
	i := slices.Index(pureeKinds, k)
	if i < 0 {
		return 0, false
	}
	return 1 << i, true
}

// String joins the kinds in b by commas; ParseBlend reads it back.
func (b Blend) String() string {
	var ids []string
	for rest := b; rest != 0; rest &= rest - 1 {
		ids = append(ids, string(pureeKinds[bits.TrailingZeros64(uint64(rest))]))
	}
	return strings.Join(ids, ",")
}

// Each lists the kinds in b, in the order of the rules.
func (b Blend) Each() []Kind {
	var ks []Kind
	for rest := b; rest != 0; rest &= rest - 1 {
		ks = append(ks, pureeKinds[bits.TrailingZeros64(uint64(rest))])
	}
	return ks
}

func (b Blend) check(p *ProductInfo, add func(field, given, accepts string)) {
	switch {
	case b == 0:
	case p != nil && p.ID != "fruit-puree":
		add("blend", b.String(), "fruits blended in a sauce or puree alone; of whole fruits only mixed fruit, as the guide gives it")
	case b>>len(pureeKinds) != 0:
		add("blend", fmt.Sprint(uint64(b)), "a set of "+list(pureeKinds))
	}
}

// parts lists all fruits of a puree, its own kind first.
func (a *asked) parts() []Kind {
	if a.Kind == "" {
		return a.Blend.Each()
	}
	own, _ := blendOf(a.Kind)
	return append([]Kind{a.Kind}, (a.Blend &^ own).Each()...)
}

// rowsOfFruit are the products whose rows hold for a fruit of a blend: all that
// the fruit by itself is cooked or packed hot as. Where more than one could be
// meant, each counts, since the longest rules.
var rowsOfFruit = map[Kind][]Product{
	"apple": {"applesauce", "apples-sliced"}, "apricot": {"apricots"}, "cherry": {"cherries"}, "grape": {"grapes"},
	"nectarine": {"nectarines"}, "peach": {"peaches"}, "pear": {"pears"}, "plum": {"plums"},
}

// partRow is the row of a part of a blend that takes longest in the same jar, or
// nil where the fruit has none of its own.
func (a *asked) partRow(k Kind) *Row {
	var longest *Row
	of := rowsOfFruit[k]
	if slices.Contains(berryKinds, k) {
		of = []Product{"berries"}
	}
	for _, p := range of {
		if r, ok := rowFor(productByID[p], Hot, a.size); ok && (longest == nil || r.Minutes[a.band] > longest.Minutes[a.band]) {
			longest = r
		}
	}
	return longest
}

// blendMinutes is the longest time of the rows of the parts and of puree itself.
func (a *asked) blendMinutes(v judged) (int, *Row) {
	longest := v.row
	for _, k := range a.parts() {
		if r := a.partRow(k); r != nil && r.Minutes[a.band] > longest.Minutes[a.band] {
			longest = r
		}
	}
	return longest.Minutes[a.band], longest
}

// blendRefusals are those that lie in any of the fruits: one refuses the whole.
func (a *asked) blendRefusals() codes {
	var why codes
	for _, k := range a.Blend.Each() {
		why |= bit(kindRefusal(a.Product, k))
	}
	return why
}

// sound is a with the refused fruits taken out; ok is false where none is left
// or nothing was taken out.
func (a *asked) sound() (asked, bool) {
	kept := *a
	var left []Kind
	for _, k := range a.parts() {
		if kindRefusal(a.Product, k) == 0 {
			left = append(left, k)
		}
	}
	if len(left) == 0 || len(left) == len(a.parts()) {
		return kept, false
	}
	kept.Kind, kept.kindSet, kept.Blend = left[0], true, 0
	for _, k := range left[1:] {
		b, _ := blendOf(k)
		kept.Blend |= b
	}
	return kept, true
}

// BlendName is a blend in a sentence: "apple, pear and plum".
func BlendName(first Kind, b Blend) string {
	a := asked{Query: Query{Kind: first, Blend: b}}
	var names []string
	for _, k := range a.parts() {
		names = append(names, KindName(k))
	}
	if n := len(names); n > 1 {
		return strings.Join(names[:n-1], ", ") + " and " + names[n-1]
	}
	return strings.Join(names, "")
}
