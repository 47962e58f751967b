package day

import (
	"fmt"
	"math/rand/v2"
	"slices"
	"testing"
)

// happened lets a planned day run until now: what is begun took so much longer or shorter.
func happened(r *rand.Rand, p Problem, pl Plan, now int) (all []Progress) {
	over := map[int]bool{}
	order := slices.Clone(pl.Placed)
	slices.SortFunc(order, func(a, b Placed) int { return a.Start - b.Start })
	for _, x := range order {
		t := p.Tasks[x.Task]
		begun := x.Start + r.IntN(5)
		if begun > now || slices.ContainsFunc(t.After, func(a int) bool { return !over[a] }) && r.IntN(20) > 0 { // now and then nobody told
			continue
		}
		g := Progress{Task: x.Task, Began: begun}
		if end := x.End + r.IntN(15) - 3; end <= now {
			g.Ended = max(end, begun)
			over[x.Task] = true
		}
		if l := t.Load; l != nil {
			if in := x.in(l) + r.IntN(4); in <= now {
				g.In = in
				g.Left, g.Timed = max(1, x.End-l.Out-now+r.IntN(10)), true
			}
			if g.Ended > 0 && (g.In == 0 || g.Ended < g.In+l.Out) {
				g.Ended, over[x.Task] = 0, false
			}
		}
		all = append(all, g)
	}
	return all
}

// TestFollowRandomDays lets random days run a while, some of it late, and holds what is left
// of them to every rule: what has begun stays, nothing else is before now.
func TestFollowRandomDays(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(11, 11))
	stayed, moved := 0, 0
	for n := range 150 {
		p := randomDay(r)
		pl, ok := Make(p, Effort{Seed: 1, Tries: 60})
		if !ok {
			t.Fatal("no plan")
		}
		now := p.Begin + r.IntN(pl.Finish-p.Begin)
		begun := happened(r, p, pl, now)
		q := Underway(p, pl.Placed, begun, now)
		for i := range q.Canners {
			q.Canners[i].Lit = p.Begin
		}
		next, stays, ok := Follow(q, pl.Placed)
		if !ok {
			t.Fatalf("day %d has no rest at %d", n, now)
		}
		if err := valid(q, next); err != nil {
			t.Fatalf("day %d at %d: %v", n, now, err)
		}
		if stays {
			stayed++
		} else {
			moved++
		}
		for _, g := range begun {
			x := next.Placed[g.Task]
			if after := slices.ContainsFunc(begun, func(o Progress) bool { return slices.Contains(p.Tasks[o.Task].After, g.Task) }); after {
				g.Ended = x.End // at the latest when what comes after it began
				if x.End > now {
					t.Fatalf("day %d: %s goes on, and what comes after it has begun", n, p.Tasks[g.Task].Name)
				}
			}
			if x.Start != g.Began || g.Ended > 0 && x.End != g.Ended || g.Ended == 0 && x.End < now {
				t.Fatalf("day %d: begun %+v is placed %+v", n, g, x)
			}
		}
	}
	t.Logf("%d stayed, %d moved", stayed, moved)
	if moved < 30 {
		t.Error("hardly anything ever moved")
	}
}

// plainDay is one batch in two loads, with one cook.
func plainDay() (Problem, Plan) {
	tasks := Tasks([]Making{{Name: "peaches", Liquid: true, Portions: []Portion{{Jars: 7, Time: 35, Rest: 5}, {Jars: 7, Time: 35, Rest: 5}}}})
	p := Problem{Begin: 480, Burners: 3, Pots: 2, Cooks: []Cook{{Name: "Ilse", There: Span{480, 1300}}}, Canners: []Canner{{}}, Tasks: tasks}
	pl, _ := Make(p, usual)
	return p, pl
}

// TestOnTimeStays leaves a day where it is while all goes as planned, and moves the rest
// when a step is late or a load takes longer.
func TestOnTimeStays(t *testing.T) {
	p, pl := plainDay()
	load := slices.IndexFunc(p.Tasks, func(x Task) bool { return x.Key() == "load/1" })
	at := pl.Placed[load]
	var begun []Progress
	for i, x := range pl.Placed {
		if x.Start <= at.Start {
			g := Progress{Task: i, Began: x.Start}
			if x.End <= at.Start+5 {
				g.Ended = x.End
			}
			begun = append(begun, g)
		}
	}
	p.Canners[0].Lit = at.Held(p.Tasks[load].Load).From
	q := Underway(p, pl.Placed, begun, at.Start+5)
	next, stays, ok := Follow(q, pl.Placed)
	if !ok || !stays || next.Finish != pl.Finish {
		t.Errorf("on time, and it is done at %d, not %d (%v)", next.Finish, pl.Finish, stays)
	}
	g := slices.IndexFunc(begun, func(g Progress) bool { return g.Task == load })
	begun[g].In, begun[g].Left, begun[g].Timed = at.in(p.Tasks[load].Load), 100, true // the boil was lost: 25 min more than planned
	now := begun[g].In + 5
	q = Underway(p, pl.Placed, begun, now)
	next, stays, ok = Follow(q, pl.Placed)
	if !ok || stays {
		t.Fatal("a load that takes longer moves nothing")
	}
	second := slices.IndexFunc(p.Tasks, func(x Task) bool { return x.Key() == "load/2" })
	if out := now + 100 + 4; next.Placed[load].End != out || next.Placed[second].Held(p.Tasks[second].Load).From < out {
		t.Errorf("it is out at %d, not %d; the next is heated from %d", next.Placed[load].End, out, next.Placed[second].Held(p.Tasks[second].Load).From)
	}
	if next.Placed[second].Start <= pl.Placed[second].Start {
		t.Error("the second load is as early as if nothing had happened")
	}
	// A whole hour without a hand: all that is ahead begins from now on.
	p.Canners[0].Lit = 0
	late := Underway(p, pl.Placed, nil, p.Begin+60)
	next, stays, ok = Follow(late, pl.Placed)
	if !ok || stays || next.Finish < pl.Finish+20 {
		t.Errorf("an hour late it is done at %d, planned %d", next.Finish, pl.Finish)
	}
	if err := valid(late, next); err != nil {
		t.Error(err)
	}
	// And where the cook leaves before it can be done there is no place for it.
	late.Begin = 1200
	if _, _, ok := Follow(late, pl.Placed); ok {
		t.Error("two loads are done in 100 minutes")
	}
}

func TestStretchedSteps(t *testing.T) {
	step := Task{Minutes: 60, Hands: []Span{{0, 2}, {30, 32}, {50, 60}}}
	step.stretch(80)
	if step.Minutes != 80 || !slices.Equal(step.Hands, []Span{{0, 2}, {30, 32}, {50, 80}}) {
		t.Errorf("%+v", step)
	}
	step = Task{Minutes: 60, Hands: []Span{{0, 2}, {50, 60}}}
	step.stretch(20)
	if !slices.Equal(step.Hands, []Span{{0, 2}, {20, 20}}) {
		t.Errorf("%+v", step)
	}
	for _, c := range []struct {
		g         Progress
		now, ends int
	}{
		{Progress{Began: 100}, 105, 100 + 14 + 3 + 25 + 35 + 5 + 4},                  // being filled
		{Progress{Began: 100}, 130, 130 + 3 + 25 + 35 + 5 + 4},                       // for long
		{Progress{Began: 100, In: 120}, 121, 120 + 3 + 25 + 35 + 5 + 4},              // in, nothing told since
		{Progress{Began: 100, In: 120, Left: 12, Timed: true}, 180, 180 + 12 + 4},    // the stove knows
		{Progress{Began: 100, In: 120, Left: -2, Timed: true}, 180, 178 + 4},         // being lifted
		{Progress{Began: 100, In: 120, Left: -50, Timed: true}, 180, 180},            // lifted, and nobody told
		{Progress{Began: 100, In: 120, Ended: 190}, 200, 190},                        // out
		{Progress{Began: 100, In: 120, Ended: 121}, 200, 121},                        // stopped short at once
		{Progress{Began: 100, In: 120}, 400, 400 + 4},                                // forgotten
		{Progress{Began: 100, In: 120, Ended: 122, Left: 50, Timed: true}, 200, 122}, // over is over
	} {
		l := Load{Fill: 14, In: 3, Boil: 25, Time: 35, Rest: 5, Out: 4}
		if got, waits := l.underway(c.g, 0, c.now); got != c.ends || c.g.Began+l.Fill+waits+l.whole() != got || l.Fill < 0 || l.Time < 0 || l.Out < 0 {
			t.Errorf("%+v at %d: ends at %d, not %d; %+v", c.g, c.now, got, c.ends, l)
		}
	}
}

// TestLocks holds steps where the cook put them; where that cannot be it is said which.
func TestLocks(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(12, 12))
	held := 0
	for n := range 80 {
		p := randomDay(r)
		pl, _ := Make(p, Effort{Seed: 1, Tries: 60})
		i := r.IntN(len(p.Tasks))
		p.Tasks[i].Locked, p.Tasks[i].At = true, pl.Placed[i].Start+r.IntN(90)
		next, ok := Make(p, Effort{Seed: 1, Tries: 60})
		if !ok {
			t.Fatalf("day %d: no plan", n)
		}
		if err := valid(p, next); err != nil {
			t.Fatalf("day %d: %v", n, err)
		}
		if len(next.Unheld) == 0 {
			held++
		}
	}
	if held < 60 {
		t.Errorf("only %d of 80 were held", held)
	}
	p, pl := plainDay()
	load := slices.IndexFunc(p.Tasks, func(x Task) bool { return x.Key() == "load/2" })
	p.Tasks[load].Locked, p.Tasks[load].At = true, pl.Placed[load].Start-60
	if next, ok := Make(p, usual); !ok || !slices.Equal(next.Unheld, []int{load}) {
		t.Errorf("a load is held where it cannot be: %v", next.Unheld)
	}
	p.Tasks[load].At = 1000 // long after all else: the first load still goes before it
	next, ok := Make(p, usual)
	if !ok || next.Placed[load].Start != 1000 || len(next.Unheld) > 0 {
		t.Fatalf("%+v", next)
	}
	if first := slices.IndexFunc(p.Tasks, func(x Task) bool { return x.Key() == "load/1" }); next.Placed[first].End > 800 {
		t.Errorf("the first load waits behind one that is locked: %d", next.Placed[first].End)
	}
}

// TestDeadlines does what is due first, and says what to leave out where not all can be.
func TestDeadlines(t *testing.T) {
	batch := func(name string) Making { return Making{Name: name, Portions: []Portion{{Jars: 7, Time: 30, Rest: 5}}} }
	p := Problem{Begin: 480, Burners: 3, Pots: 2, Cooks: []Cook{{There: Span{480, 2000}}}, Canners: []Canner{{}}, Tasks: Tasks([]Making{batch("a"), batch("b"), batch("c")})}
	end := func(pl Plan, b int) (end int) {
		for i, x := range pl.Placed {
			if p.Tasks[i].Batch == b {
				end = max(end, x.End)
			}
		}
		return end
	}
	plain, _ := Make(p, usual)
	for b := range 3 {
		p.By = []int{0, 0, 0}
		p.By[b] = 480 + 160
		pl, ok := Make(p, usual)
		if !ok || pl.Tardy > 0 || end(pl, b) > p.By[b] {
			t.Errorf("batch %d is to be done by %d and is at %d", b, p.By[b], end(pl, b))
		}
	}
	if len(Drops(p, Effort{Seed: 1, Tries: 60})) == 0 {
		t.Error("a day that fits without one fits without any of them")
	}
	p.By = []int{plain.Finish - 40, plain.Finish - 40, plain.Finish - 40}
	pl, _ := Make(p, usual)
	if pl.Tardy == 0 {
		t.Fatal("it is done before it can be")
	}
	drops := Drops(p, Effort{Seed: 1, Tries: 60})
	if len(drops) != 3 || len(drops[0].Left) != 1 || drops[0].Finish > p.By[0] {
		t.Errorf("%+v", drops)
	}
	p.By = []int{480 + 150, 480 + 150, 480 + 150}
	if drops = Drops(p, Effort{Seed: 1, Tries: 60}); len(drops) == 0 || len(drops[0].Left) != 2 {
		t.Errorf("two must go: %+v", drops)
	}
	first, _ := Make(p, usual)
	begun := Underway(p, first.Placed, []Progress{{Task: 0, Began: 480, Ended: 505}}, 510)
	for _, d := range Drops(begun, Effort{Seed: 1, Tries: 60}) {
		if slices.ContainsFunc(d.Left, func(l Left) bool { return l.Batch == 0 }) {
			t.Error("a batch that has begun is to be left out")
		}
	}
}

func TestWithout(t *testing.T) {
	p, _ := plainDay()
	p.Tasks = Tasks([]Making{{Name: "a", Portions: []Portion{{Jars: 1, Time: 10}}}, {Name: "b", Slow: true, Portions: []Portion{{Jars: 4, Time: 10}}}})
	p.Fixed = []Placed{{Task: len(p.Tasks) - 1, Start: 1}}
	q, kept := p.Without(Left{Batch: 0})
	if err := q.Check(); err != nil {
		t.Fatal(err)
	}
	for n, i := range kept {
		if fmt.Sprint(q.Tasks[n].Name) != p.Tasks[i].Name || p.Tasks[i].Batch != 1 || len(q.Tasks[n].After) != len(p.Tasks[i].After) {
			t.Errorf("%s is kept as %s", p.Tasks[i].Name, q.Tasks[n].Name)
		}
	}
	if len(q.Fixed) != 1 || q.Fixed[0].Task != len(kept)-1 {
		t.Error(q.Fixed)
	}
}

// TestLoadsForAnotherDay leaves loads of a batch that has begun for another day, and makes the
// rest of it there.
func TestLoadsForAnotherDay(t *testing.T) {
	m := Making{Name: "peaches", Liquid: true, Prepare: 90, Portions: []Portion{{Jars: 7, Time: 35, Rest: 5}, {Jars: 7, Time: 35, Rest: 5}, {Jars: 4, Time: 35, Rest: 5}}}
	p := Problem{Begin: 480, Burners: 3, Pots: 2, Cooks: []Cook{{There: Span{480, 2000}}}, Canners: []Canner{{}}, Tasks: Tasks([]Making{m})}
	pl, _ := Make(p, usual)
	p.By = []int{pl.Finish - 20}
	var begun []Progress
	for i, x := range p.Tasks {
		if k := x.Key(); k == "jars/0" || k == "liquid/0" || k == "fruit/1" {
			begun = append(begun, Progress{Task: i, Began: pl.Placed[i].Start, Ended: pl.Placed[i].End})
		}
	}
	now := 0
	for _, g := range begun {
		now = max(now, g.Ended)
	}
	q := Underway(p, pl.Placed, begun, now)
	drops := Drops(q, Effort{Seed: 1, Tries: 60})
	if len(drops) == 0 || drops[0].Left[0] != (Left{0, 3}) {
		t.Fatalf("%+v", drops)
	}
	for _, d := range drops {
		if d.Left[0].From < 2 {
			t.Errorf("a load is left out for which fruit is cut: %+v", d)
		}
	}
	rest := m.Loads(2, 0)
	if rest.Prepare != 20 || len(rest.Portions) != 1 || rest.First != 2 || rest.Of != 3 {
		t.Errorf("%+v", rest)
	}
	var keys []string
	for _, x := range Tasks([]Making{rest}) {
		keys = append(keys, x.Key())
	}
	if !slices.Equal(keys, []string{"jars/0", "liquid/0", "fruit/3", "cook/3", "load/3"}) {
		t.Error(keys)
	}
	if _, x := named(t, Tasks([]Making{m.Loads(0, 2)}), "Load, peaches, load 2 of 3"); x.Portion != 2 {
		t.Error(x)
	}
	butter := Making{Name: "butter", Slow: true, Portions: m.Portions}.Loads(1, 0)
	for _, x := range Tasks([]Making{butter}) {
		if x.Step == Slow || x.Step == Fruit {
			t.Errorf("what cooked down on the first day is cooked again: %s", x.Name)
		}
	}
}
