package batch

import (
	"fmt"
	"strings"

	"mellisca/core/canner"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Owned is how many jars of one kind there are, and how many of them are full.
type Owned struct{ Owned, InUse int }

// Stock is what the kitchen has of jars, new flat lids and bands.
type Stock struct {
	Jars        map[jar.ID]Owned
	Lids, Bands map[jar.Mouth]int
}

// Free is how many jars of a kind are empty.
func (s Stock) Free(id jar.ID) int { return s.Jars[id].Owned - s.Jars[id].InUse }

// Counted says whether anything was counted at all.
func (s Stock) Counted() bool {
	for _, o := range s.Jars {
		if o.Owned > 0 {
			return true
		}
	}
	return false
}

// short is what a batch wants and the stock does not have, for the high end of its
// range; empty where it has all.
func (s Stock) short(want []fruit.Filled) []string {
	if !s.Counted() {
		return nil
	}
	var lines []string
	say := func(need, have int, one, many string) {
		if miss := need - have; miss == 1 {
			lines = append(lines, "1 "+one)
		} else if miss > 1 {
			lines = append(lines, fmt.Sprintf("%d %s", miss, many))
		}
	}
	mouths := map[jar.Mouth]int{}
	for _, f := range want {
		say(f.Count, s.Free(f.Jar.ID), f.Jar.One, f.Jar.Many)
		mouths[f.Jar.Mouth] += f.Count
	}
	for _, m := range []jar.Mouth{jar.Regular, jar.Wide} {
		say(mouths[m], s.Lids[m], "new "+string(m)+" lid", "new "+string(m)+" lids")
		say(mouths[m], s.Bands[m], string(m)+" band", string(m)+" bands")
	}
	return lines
}

// shortText says what is short and by how many.
func shortText(lines []string) string {
	if len(lines) == 0 {
		return ""
	}
	return "Short by " + strings.Join(lines, ", ") + "."
}

// Spread is a yield put into the jars at hand.
type Spread struct {
	Jars    []fruit.Filled
	Left    measure.Volume // for the refrigerator
	Minutes int            // of all loads together
	Loads   []Load
	Sizes   int // the most sizes that were allowed
}

// SpreadOver puts what a request's fruit likely gives into the jars at hand, of at
// most mostSizes kinds (1 to 3), each tested for it: the least left over, then the
// fewest minutes of all loads, then the fewest jars; no more than there are lids for.
// ok is false where jars were not counted, nothing is tested, or the amount is not
// fruit.
func SpreadOver(r Request, k Kitchen, mostSizes int) (s Spread, ok bool, err error) {
	p, err := Make(r, k)
	if err != nil || p.Status != Tested || p.Jars == nil || !p.Jars.FromFruit || !k.Stock.Counted() {
		return Spread{}, false, err
	}
	var shelves []fruit.Shelf
	var minutes []int
	for _, j := range jar.All() {
		q := p.Query
		q.Jar = j.ID
		v, err := guide.JudgeAmong(q, nil)
		free := min(k.Stock.Free(j.ID), k.Stock.Lids[j.Mouth])
		if err != nil || v.Tested == nil || free <= 0 || k.Memo.Capacity(p.Pot, j) == 0 || !deepEnough(p.Pot, j, v.Tested) {
			continue
		}
		shelves = append(shelves, fruit.Shelf{Jar: j, Stock: free})
		minutes = append(minutes, v.Tested.Minutes)
	}
	need, _ := fruit.FruitLearned(r.Product, 1, p.Jar, p.seen(read{kitchen: k}).Ratios)
	yield := measure.Volume(float64(p.Amount.Fruit) / float64(need.Likely) * float64(p.Jar.Capacity))
	tables := map[string]*canner.Table{}
	table := func(used []int) *canner.Table {
		key := fmt.Sprint(used)
		if t, ok := tables[key]; ok {
			return t
		}
		var kinds []jar.Jar
		var limit, each []int
		for _, i := range used {
			kinds = append(kinds, shelves[i].Jar)
			limit = append(limit, min(shelves[i].Stock, int(yield/shelves[i].Jar.Capacity)))
			each = append(each, minutes[i])
		}
		t := k.Memo.Patterns(p.Pot, kinds).Table(limit, each, true)
		tables[key] = t
		return t
	}
	a := fruit.Allocate(yield, shelves, min(max(mostSizes, 1), 3), func(used []int) func([]int) (int, bool) {
		return func(counts []int) (int, bool) {
			lids := map[jar.Mouth]int{}
			for n, i := range used {
				lids[shelves[i].Jar.Mouth] += counts[n]
			}
			for m, n := range lids {
				if n > k.Stock.Lids[m] {
					return 0, false
				}
			}
			return table(used).Minutes(counts)
		}
	})
	s = Spread{Left: a.Left, Minutes: a.Minutes, Sizes: mostSizes}
	var used, counts, each []int
	for i, n := range a.Counts {
		if n > 0 {
			used, counts, each = append(used, i), append(counts, n), append(each, minutes[i])
			s.Jars = append(s.Jars, fruit.Filled{Jar: shelves[i].Jar, Count: n})
		}
	}
	if len(used) == 0 {
		return s, false, nil
	}
	split, _ := table(used).Split(counts)
	s.Loads = placed(p.Pot, split, s.Jars, each)
	return s, true, nil
}

// deepEnough says whether a pot covers a jar as its process demands.
func deepEnough(p canner.Pot, j jar.Jar, t *guide.Time) bool {
	return p.Kind == canner.Steam || p.Deep(j, measure.Inches(float64(t.WaterOverJars))) == nil
}
