package batch

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// SizeTime is one size of jar of a batch, as it was judged.
type SizeTime struct {
	fruit.Filled
	Minutes   int
	Headspace float64     // inches
	Acid      *guide.Acid // nil where the fruit is acid enough, or an own source says it
}

// readSizes reads the jars of a batch that is kept in several sizes, the larger first.
func (in *read) readSizes(add func(field, given, text string)) {
	if strings.TrimSpace(in.Sizes) == "" {
		return
	}
	counted, err := jar.ParseCounts(in.Sizes)
	total := 0
	for _, c := range counted {
		in.sizes = append(in.sizes, fruit.Filled(c))
		total += c.Count
	}
	switch {
	case err != nil:
		add("sizes", in.Sizes, sentence(err.Error()))
		return
	case len(counted) > 3:
		add("sizes", in.Sizes, "A batch goes into three sizes of jar at most.")
		return
	case total > fruit.MostJars:
		add("sizes", in.Sizes, "That is more than 500 jars. Split it into batches.")
		return
	}
	slices.SortStableFunc(in.sizes, largerFirst)
	in.jar, in.Jar = in.sizes[0].Jar, in.sizes[0].Jar.ID
}

func largerFirst(a, b fruit.Filled) int { return cmp.Compare(b.Jar.Capacity, a.Jar.Capacity) }

// judgeSizes judges every size of a batch and makes the one that rules its jar: a
// refused one before all, then the one with the longest time, then the largest. It
// does nothing where the batch is in one size.
func (p *Plan) judgeSizes(in *read) error {
	if len(in.sizes) == 0 || p.Status == Incomplete {
		return nil
	}
	longest := -1
	for i := range in.sizes {
		one, at := Plan{}, *in
		at.jar, at.Jar = in.sizes[i].Jar, in.sizes[i].Jar.ID
		if err := one.judgeOne(at); err != nil {
			return err
		}
		if one.Status == Refused {
			in.jar, in.Jar = at.jar, at.Jar
			return nil
		}
		s := SizeTime{Filled: in.sizes[i], Minutes: one.Minutes()}
		if t := one.Verdict.Tested; t != nil {
			s.Headspace, s.Acid = t.Headspace, t.Acid
		} else {
			s.Headspace = one.Own.Source.Headspace
		}
		p.Sizes = append(p.Sizes, s)
		if s.Minutes > longest {
			longest = s.Minutes
			in.jar, in.Jar = at.jar, at.Jar
		}
	}
	return nil
}

// filled is the jars that are planned, by size.
func (p Plan) filled() []fruit.Filled {
	switch {
	case p.Jars == nil:
		return nil
	case len(p.Sizes) == 0:
		return []fruit.Filled{{Jar: p.Jar, Count: p.Jars.Planned}}
	}
	all := make([]fruit.Filled, len(p.Sizes))
	for i, s := range p.Sizes {
		all[i] = s.Filled
	}
	return all
}

// Ready is the jars to have ready, by size: for the high end of the range, and where
// there are several sizes with the smallest to spare.
func (p Plan) Ready() []fruit.Filled {
	all := p.filled()
	if len(all) > 0 {
		all[len(all)-1].Count += p.Jars.High - p.Jars.Planned
	}
	return all
}

// JarsText names the jars that are planned: "5 quarts and 3 pints".
func (p Plan) JarsText() string { return FilledText(p.filled()) }

// FilledText joins jars, the larger first: "6 quarts and 2 pints".
func FilledText(jars []fruit.Filled) string {
	jars = slices.Clone(jars)
	slices.SortStableFunc(jars, largerFirst)
	words := make([]string, len(jars))
	for i, f := range jars {
		words[i] = f.Jar.Count(f.Count)
	}
	return andList(words)
}

func andList(words []string) string {
	if len(words) < 2 {
		return strings.Join(words, "")
	}
	return strings.Join(words[:len(words)-1], ", ") + " and " + words[len(words)-1]
}

// litres is what the jars hold that are planned.
func (p Plan) litres() float64 {
	all := 0.0
	for _, f := range p.filled() {
		all += float64(f.Count) * f.Jar.Capacity.Litres()
	}
	return all
}

// middling is a jar that stands for those planned: of one size that itself, of several
// one that holds as much as they do on average.
func (p Plan) middling() jar.Jar {
	j := p.Jar
	if len(p.Sizes) > 1 {
		j = jar.Jar{One: "jar", Many: "jars", Capacity: measure.Litres(p.litres() / float64(p.Jars.Planned))}
	}
	return j
}

// countSizes takes the jars as the sentence says them, and says how that agrees with
// the fruit.
func (p *Plan) countSizes(in read) {
	p.Jars = &JarCount{}
	known := true
	var need fruit.Need
	smallest := p.Sizes[0].Jar
	for _, s := range p.Sizes {
		p.Jars.Planned += s.Count
		n, ok := fruit.FruitLearned(in.Product, s.Count, s.Jar, p.seen(in).Ratios)
		known = known && ok
		need.Low, need.Likely, need.High, need.OwnGuess = need.Low+n.Low, need.Likely+n.Likely, need.High+n.High, n.OwnGuess
		if s.Jar.Capacity < smallest.Capacity {
			smallest = s.Jar
		}
	}
	p.Jars.Low, p.Jars.High = p.Jars.Planned, p.Jars.Planned
	switch have := in.amount.Fruit; {
	case !known && !hasRecipe(guide.Product(in.Product)):
		p.AmountNote = "There is no published quantity of fruit for " + p.Name + "; go by your recipe."
	case !known:
	case have == 0:
		p.Fruit = &need
		if in.amount.Jars > 0 && in.amount.Jars != p.Jars.Planned {
			p.AmountNote = fmt.Sprintf("The jars are those of the sizes, %d of them.", p.Jars.Planned)
		}
	case have < need.Likely*97/100:
		p.AmountNote = "These jars likely take " + need.Likely.Text(in.kitchen.Units) + ". What is too little for a full jar belongs in the refrigerator."
	default:
		over := float64(have-need.Likely) / float64(need.Likely) * p.litres()
		rich := float64(have-need.Low) / float64(need.Low) * p.litres()
		if n := int(over / smallest.Capacity.Litres()); n > 0 && have > need.Likely*105/100 {
			p.AmountNote = fmt.Sprintf("The fruit likely gives %s more.", smallest.Count(n))
		}
		p.Jars.High += max(0, int(math.Floor(rich/smallest.Capacity.Litres())))
	}
}

// acidBySize is the acid of each size, a line for one: "2 tbsp of bottled lemon juice
// in each quart"; nil where no acid goes into each jar.
func (p Plan) acidBySize() []string {
	var lines []string
	for _, s := range p.Sizes {
		if s.Acid != nil && s.Acid.PerJar != nil {
			lines = append(lines, acidLine(*s.Acid)+" in each "+s.Jar.One)
		}
	}
	return lines
}

// liquidBySize is the liquid of a jar, or of a jar of each size.
func (p Plan) liquidBySize(units measure.System) string {
	if len(p.Sizes) < 2 {
		return measure.Litres(p.Pour.LitresPerJar).Text(units)
	}
	words := make([]string, len(p.Sizes))
	for i, s := range p.Sizes {
		words[i] = measure.Litres(p.Pour.LitresPerJar*p.ShareOf(s.Jar)).Text(units) + " in a " + s.Jar.One
	}
	return andList(words)
}

// ShareOf is what a jar holds over what the jars of a batch hold on average.
func (p Plan) ShareOf(j jar.Jar) float64 {
	return float64(j.Capacity) / float64(p.middling().Capacity)
}

// headspaceBySize is the headspace, by size where that differs.
func (p Plan) headspaceBySize(ruling float64, units measure.System) string {
	same := true
	words := make([]string, len(p.Sizes))
	for i, s := range p.Sizes {
		same = same && s.Headspace == ruling
		words[i] = measure.Inches(s.Headspace).Text(units) + " in a " + s.Jar.One
	}
	if same {
		return measure.Inches(ruling).Text(units)
	}
	return andList(words)
}

// AcidBySize joins the acid of every size of a batch in several; empty where it is in
// one size or no acid goes into each jar.
func (p Plan) AcidBySize() string {
	if len(p.Sizes) < 2 {
		return ""
	}
	return strings.Join(p.acidBySize(), "; ")
}
