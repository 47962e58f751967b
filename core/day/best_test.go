package day

import (
	"fmt"
	"math/rand/v2"
	"slices"
	"testing"
)

// smallDay is one whose every time is a multiple of ten minutes, so that the best plan is
// one of those on that grid.
func smallDay(r *rand.Rand) Problem {
	ten := func(from, to int) int { return 10 * (from + r.IntN(to-from+1)) }
	p := Problem{Begin: 0, Burners: 1 + r.IntN(2), Pots: 1}
	for range 1 + r.IntN(2) {
		p.Cooks = append(p.Cooks, Cook{There: Span{0, 2000}})
	}
	for range 1 + r.IntN(3-len(p.Cooks)) {
		p.Canners = append(p.Canners, Canner{Own: r.IntN(2) == 0})
	}
	if r.IntN(3) == 0 {
		p.Cooks[0].Breaks = []Span{{60, 60 + ten(1, 3)}}
	}
	for b := range 2 {
		n := len(p.Tasks)
		prepare := Task{Name: fmt.Sprint("fruit ", b), Batch: b, Minutes: ten(1, 3), Burner: r.IntN(3) == 0}
		prepare.Hands = []Span{{0, prepare.Minutes}}
		p.Tasks = append(p.Tasks, prepare)
		l := &Load{Fill: ten(1, 2), In: 10, Boil: ten(1, 2), Time: ten(1, 3), Rest: 10, Out: 10, Cold: ten(2, 4), Warm: 10}
		p.Tasks = append(p.Tasks, Task{Name: fmt.Sprint("load ", b), Batch: b, After: []int{n}, Load: l})
		if syrup := r.IntN(3) == 0; b == 0 && syrup && len(p.Cooks) == 1 {
			p.Tasks = append(p.Tasks, Task{Name: fmt.Sprint("syrup ", b), Batch: b, Minutes: 20, Hands: []Span{{0, 10}}, Pot: true})
		}
	}
	return p
}

// exhaustive tries every place on the grid for every task, in every canner, by every cook,
// and says whether a plan is done before a time.
type exhaustive struct {
	p       Problem
	before  int
	placed  []Placed
	need    []int // from each task's start to the end of what comes after it, at least
	cooks   []slots
	burners []slots
	pots    []slots
	canners []slots
}

// slots are the tens of minutes at which something is taken.
type slots *[256]bool

func manySlots(n int) []slots {
	all := make([]slots, n)
	for i := range all {
		all[i] = new([256]bool)
	}
	return all
}

func searchAll(p Problem, before int) *exhaustive {
	e := &exhaustive{p: p, before: before, placed: make([]Placed, len(p.Tasks)), cooks: manySlots(len(p.Cooks)), burners: manySlots(p.Burners), pots: manySlots(p.Pots), canners: manySlots(len(p.Canners))}
	e.need = make([]int, len(p.Tasks))
	for i := len(p.Tasks) - 1; i >= 0; i-- {
		e.need[i] = p.Tasks[i].length(0)
		for j := i + 1; j < len(p.Tasks); j++ {
			if slices.Contains(p.Tasks[j].After, i) {
				e.need[i] = max(e.need[i], p.Tasks[i].length(0)+e.need[j])
			}
		}
	}
	for i, c := range p.Cooks {
		for _, b := range c.Breaks {
			for at := b.From; at < b.To; at += 10 {
				e.cooks[i][at/10] = true
			}
		}
	}
	return e
}

// each calls f with each thing of a kind that is free in a span, taken meanwhile. Of those
// that are taken at the same times it tries one: they are alike.
func (e *exhaustive) each(all []slots, s Span, alike bool, f func(n int) bool) bool {
	for n, m := range all {
		free, like := true, false
		for at := s.From / 10; at < s.To/10; at++ {
			free = free && !m[at]
		}
		for _, o := range all[:n] {
			like = like || *o == *m
		}
		if !free || alike && like {
			continue
		}
		for at := s.From / 10; at < s.To/10; at++ {
			m[at] = true
		}
		if f(n) {
			return true
		}
		for at := s.From / 10; at < s.To/10; at++ {
			m[at] = false
		}
	}
	return false
}

func (e *exhaustive) hands(t Task, x Placed, k int, then func(Placed) bool) bool {
	want := t.hands(x.Gap)
	if k == len(want) {
		return then(x)
	}
	return e.each(e.cooks, Span{x.Start + want[k].From, x.Start + want[k].To}, true, func(c int) bool {
		y := x
		y.Cooks = append(slices.Clone(x.Cooks), c)
		return e.hands(t, y, k+1, then)
	})
}

func (e *exhaustive) from(i int) bool {
	if i == len(e.p.Tasks) {
		return e.leads()
	}
	t := e.p.Tasks[i]
	ready := e.p.Begin
	for _, a := range t.After {
		ready = max(ready, e.placed[a].End)
	}
	next := func(x Placed) bool {
		e.placed[i] = x
		return e.from(i + 1)
	}
	for start := ready; start+e.need[i] < e.before; start += 10 {
		if t.Load == nil {
			x := Placed{Task: i, Start: start, End: start + t.Minutes, Canner: -1, Burner: -1, Pot: -1}
			ok := e.hands(t, x, 0, func(x Placed) bool {
				pot := func(x Placed) bool {
					if !t.Pot {
						return next(x)
					}
					return e.each(e.pots, Span{x.Start, x.End}, true, func(n int) bool { y := x; y.Pot = n; return next(y) })
				}
				if !t.Burner {
					return pot(x)
				}
				return e.each(e.burners, Span{x.Start, x.End}, true, func(n int) bool { y := x; y.Burner = n; return pot(y) })
			})
			if ok {
				return true
			}
			continue
		}
		for _, gap := range []int{0, 10} {
			for _, lead := range []int{t.Load.Warm, t.Load.Cold} {
				x := Placed{Task: i, Start: start, End: start + t.length(gap), Gap: gap, Lead: lead, Burner: -1, Pot: -1}
				held := x.Held(t.Load)
				if x.End >= e.before || held.From < e.p.Begin {
					continue
				}
				ok := e.hands(t, x, 0, func(x Placed) bool {
					return e.each(e.canners, held, false, func(n int) bool {
						y := x
						if y.Canner = n; e.p.Canners[n].Own {
							return next(y)
						}
						return e.each(e.burners, held, true, func(n int) bool { z := y; z.Burner = n; return next(z) })
					})
				})
				if ok {
					return true
				}
			}
		}
	}
	return false
}

// leads says whether the first load of each canner is heated from cold.
func (e *exhaustive) leads() bool {
	for c := range e.p.Canners {
		firstLoad, at := -1, never
		for i, x := range e.placed {
			if l := e.p.Tasks[i].Load; l != nil && x.Canner == c && x.Held(l).From < at {
				firstLoad, at = i, x.Held(l).From
			}
		}
		if firstLoad >= 0 && e.placed[firstLoad].Lead < e.p.Tasks[firstLoad].Load.Cold {
			return false
		}
	}
	return true
}

// smallDays is how many of them are searched through.
const smallDays = 100

// TestSmallDaysAreTheBest searches every plan of small days: none is done before the one
// that was made, nor before its bound.
func TestSmallDaysAreTheBest(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(5, 5))
	atBound := 0
	for n := range smallDays {
		p := smallDay(r)
		pl, ok := Make(p, Effort{Seed: 1, Tries: 600})
		if !ok {
			t.Fatalf("day %d: no plan", n)
		}
		if err := valid(p, pl); err != nil {
			t.Fatalf("day %d: %v", n, err)
		}
		if pl.Finish == pl.Bound {
			atBound++
		}
		e := searchAll(p, pl.Finish)
		if e.from(0) {
			t.Errorf("day %d: done at %d, and there is a better plan: %+v", n, pl.Finish, e.placed)
		}
		if n%4 == 0 && !searchAll(p, pl.Finish+1).from(0) {
			t.Errorf("day %d: the search through every plan does not find one as good: it would not notice", n)
		}
	}
	t.Logf("%d of %d small days are at their bound", atBound, smallDays)
}

// knownDay is a day with a plan of which it is known that there is no better one: its
// canners are busy from the day's beginning to its end. ok is false where this throw gave
// none.
func knownDay(r *rand.Rand) (p Problem, best int, ok bool) {
	p = Problem{Begin: 480, Burners: 6, Pots: 6}
	for range 1 + r.IntN(3) {
		p.Cooks = append(p.Cooks, Cook{There: Span{480, 4000}})
	}
	canners, loads := 1+r.IntN(3), 2+r.IntN(4)
	cold, warm := 70, 5+5*r.IntN(3)
	busy := make([]line, len(p.Cooks))
	take := func(s Span) bool { // by whoever is free
		for c := range busy {
			if busy[c].is(s) {
				busy[c].take(s)
				return true
			}
		}
		return false
	}
	ends := make([]int, canners)
	type run struct{ in, canner int }
	var runs []run
	var all []*Load
	for c := range canners {
		p.Canners = append(p.Canners, Canner{})
		at := p.Begin + cold
		for n := range loads {
			if n > 0 {
				at += warm
			}
			l := &Load{Fill: 8 + r.IntN(8), In: 3, Boil: 15 + r.IntN(15), Time: 20 + 5*r.IntN(8), Rest: 5, Out: 4, Cold: cold, Warm: warm}
			runs, all = append(runs, run{at, c}), append(all, l)
			at += l.whole()
		}
		ends[c] = at
	}
	best = slices.Max(ends)
	for c := range canners { // the last load of each lasts to the end of the day
		all[(c+1)*loads-1].Time += best - ends[c]
	}
	for i, run := range runs {
		l := all[i]
		if !take(Span{run.in, run.in + l.In}) || !take(Span{run.in + l.whole() - l.Out, run.in + l.whole()}) || !take(Span{run.in - l.Fill, run.in}) {
			return p, 0, false
		}
	}
	for i, run := range runs {
		l, b := all[i], i/loads
		prepare := Task{Name: fmt.Sprint("fruit ", i), Batch: b, Minutes: 10 + r.IntN(25), Pot: r.IntN(3) == 0}
		prepare.Hands = []Span{{0, prepare.Minutes}}
		at, placed := run.in-l.Fill-prepare.Minutes, false
		for ; at >= p.Begin && !placed; at-- {
			placed = take(Span{at, at + prepare.Minutes})
		}
		if !placed {
			return p, 0, false
		}
		p.Tasks = append(p.Tasks, prepare, Task{Name: fmt.Sprint("load ", i), Batch: b, After: []int{len(p.Tasks)}, Load: l})
	}
	return p, best, true
}

// TestKnownBest plans days of which the best plan is known.
func TestKnownBest(t *testing.T) {
	r := rand.New(rand.NewPCG(8, 8))
	var over []float64
	for len(over) < 100 {
		p, best, ok := knownDay(r)
		if !ok {
			continue
		}
		pl, ok := Make(p, usual)
		if !ok {
			t.Fatal("no plan")
		}
		if err := valid(p, pl); err != nil {
			t.Fatal(err)
		}
		if pl.Finish < best {
			t.Fatalf("done at %d, before the best there is at %d", pl.Finish, best)
		}
		if pl.Bound > best {
			t.Fatalf("the bound %d is past a plan done at %d", pl.Bound, best)
		}
		over = append(over, float64(pl.Finish-best)/float64(best-p.Begin))
	}
	slices.Sort(over)
	median, worst := over[len(over)/2], over[len(over)-1]
	t.Logf("over the best there is: median %.2f %%, worst %.2f %%", 100*median, 100*worst)
	if median > 0.02 || worst > 0.08 {
		t.Errorf("median %.1f %%, worst %.1f %%", 100*median, 100*worst)
	}
}

// TestReplan lets a load take longer and a step begin late: what has begun stays, all else
// moves, and every rule is held.
func TestReplan(t *testing.T) {
	p := tenLoads()
	first, ok := Make(p, usual)
	if !ok {
		t.Fatal("no plan")
	}
	now := first.Finish/2 + 240
	var begun []Placed
	for i, x := range first.Placed {
		t := p.Tasks[i]
		if x.Start > now && (t.Load == nil || x.Held(t.Load).From > now) {
			continue
		}
		if l := t.Load; l != nil && x.End > now && x.in(l) <= now { // the boil was lost: its time again
			longer := *l
			longer.Boil += 25
			p.Tasks[i].Load = &longer
			x.End += 25
		}
		begun = append(begun, x)
	}
	if len(begun) == 0 || len(begun) == len(p.Tasks) {
		t.Fatal("nothing has begun, or all of it")
	}
	again, ok := Replan(p, begun, now, usual)
	if !ok {
		t.Fatal("no plan any more")
	}
	for _, f := range begun {
		if x := again.Placed[f.Task]; x.Start != f.Start || x.End != f.End || x.Canner != f.Canner {
			t.Errorf("%s had begun and was moved", p.Tasks[f.Task].Name)
		}
	}
	for i, x := range again.Placed {
		begunHere := slices.ContainsFunc(begun, func(f Placed) bool { return f.Task == i })
		if !begunHere && x.Start < now {
			t.Errorf("%s begins at %d, and it is %d", p.Tasks[i].Name, x.Start, now)
		}
		for _, a := range p.Tasks[i].After {
			if !begunHere && x.Start < again.Placed[a].End {
				t.Errorf("%s does not wait for %s", p.Tasks[i].Name, p.Tasks[a].Name)
			}
		}
	}
	if again.Finish < first.Finish || len(again.Over(first.Finish)) == 0 && again.Finish > first.Finish {
		t.Errorf("done at %d, before at %d", again.Finish, first.Finish)
	}
}

func TestReliefs(t *testing.T) {
	p := tenLoads()
	p.Canners = p.Canners[:1]
	pl, ok := Make(p, usual)
	if !ok {
		t.Fatal("no plan")
	}
	all := Reliefs(p, pl, usual)
	if len(all) == 0 || all[0].What != "a canner" || all[0].Saves < 120 {
		t.Errorf("ten loads in one canner: %+v", all)
	}
	for i := 1; i < len(all); i++ {
		if all[i].Saves > all[i-1].Saves {
			t.Error("not the most first")
		}
	}
}

func TestBadDays(t *testing.T) {
	for name, p := range map[string]Problem{
		"nobody there":          {Tasks: []Task{{Minutes: 5, Hands: []Span{{0, 5}}}}},
		"no canner":             {Cooks: []Cook{{There: Span{0, 900}}}, Tasks: []Task{{Load: &Load{Fill: 5, Time: 20}}}},
		"no burner":             {Cooks: []Cook{{There: Span{0, 900}}}, Canners: []Canner{{}}, Tasks: []Task{{Load: &Load{Fill: 5, Time: 20, Canners: []int{0}}}}},
		"no time":               {Burners: 1, Cooks: []Cook{{There: Span{0, 900}}}, Canners: []Canner{{}}, Tasks: []Task{{Load: &Load{Fill: 5}}}},
		"after itself":          {Tasks: []Task{{After: []int{0}}}},
		"hands out of its time": {Cooks: []Cook{{}}, Tasks: []Task{{Minutes: 5, Hands: []Span{{3, 9}}}}},
		"never there for long":  {Cooks: []Cook{{There: Span{0, 10}}}, Tasks: []Task{{Minutes: 30, Hands: []Span{{0, 30}}}}},
	} {
		if _, ok := Make(p, usual); ok {
			t.Errorf("%s: there is a plan", name)
		}
	}
	if pl, ok := Make(Problem{Begin: 480}, usual); ok && pl.Finish != 480 {
		t.Error("an empty day", pl)
	}
}
