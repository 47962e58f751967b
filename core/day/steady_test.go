package day

import (
	"math/rand/v2"
	"slices"
	"testing"
)

// onTime is what has begun and is over at a minute of a day that goes exactly as planned.
func onTime(p Problem, pl Plan, now int) (begun []Progress, lit []int) {
	lit = make([]int, len(p.Canners))
	for i, x := range pl.Placed {
		l := p.Tasks[i].Load
		if l != nil {
			if from := x.Held(l).From; from <= now && x.Lead == l.Cold && (lit[x.Canner] == 0 || from < lit[x.Canner]) {
				lit[x.Canner] = from
			}
		}
		if x.Start > now {
			continue
		}
		g := Progress{Task: i, Began: x.Start}
		if x.End <= now {
			g.Ended = x.End
		}
		if l != nil {
			if in := x.in(l); in <= now {
				g.In = in
				if g.Ended == 0 {
					g.Left, g.Timed = x.End-l.Out-now, true
				}
			}
		}
		begun = append(begun, g)
	}
	return begun, lit
}

// TestADayOnTimeNeverMoves follows days that go as planned, through all their hours: nothing
// ever moves, and they are done when they were to be.
func TestADayOnTimeNeverMoves(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(13, 13))
	better := 0
	for n := range 60 {
		p := randomDay(r)
		pl, ok := Make(p, Effort{Seed: 1, Tries: 60})
		if !ok {
			t.Fatal("no plan")
		}
		for now := p.Begin; now < pl.Finish; now += 7 {
			begun, lit := onTime(p, pl, now)
			q := Underway(p, pl.Placed, begun, now)
			q.Canners = slices.Clone(p.Canners)
			for c := range q.Canners {
				q.Canners[c].Lit = lit[c]
			}
			next, stays, ok := Follow(q, pl.Placed)
			if ok && !stays && next.Finish < pl.Finish-Worth {
				better++ // the order alone does better than the plan of so few tries
				break
			}
			if !ok || !stays || next.Finish != pl.Finish {
				t.Fatalf("day %d at %d: stays %v (%v), done at %d, planned %d", n, now, stays, ok, next.Finish, pl.Finish)
			}
			for i, x := range next.Placed {
				if x.Start != pl.Placed[i].Start || x.End != pl.Placed[i].End {
					t.Fatalf("day %d at %d: %s moved from %d–%d to %d–%d", n, now, p.Tasks[i].Name, pl.Placed[i].Start, pl.Placed[i].End, x.Start, x.End)
				}
			}
		}
	}
	if better > 6 {
		t.Errorf("%d of 60 days were done better by chance", better)
	}
}

// TestWhatIsBegunStays tells late days minute by minute: what was begun once is never moved by
// what comes later, and the finish is never before what still has to be done.
func TestWhatIsBegunStays(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(14, 14))
	for n := range 25 {
		p := randomDay(r)
		pl, _ := Make(p, Effort{Seed: 1, Tries: 60})
		prior := pl.Placed
		known := map[int]Progress{}
		for now := p.Begin; now < pl.Finish+60; now += 11 {
			q := Underway(p, prior, progressOf(known), now)
			q.Canners, q.Cooks = slices.Clone(p.Canners), slices.Clone(p.Cooks)
			for c := range q.Canners {
				q.Canners[c].Lit = p.Begin
			}
			next, _, ok := Follow(q, prior)
			if !ok { // too much was left for too late: somebody has to stay longer
				for c := range q.Cooks {
					q.Cooks[c].There.To = horizon
				}
				if _, _, ok := Follow(q, prior); !ok {
					t.Fatalf("day %d has no rest at %d: %v", n, now, q.Check())
				}
				break
			}
			for i, g := range known {
				if next.Placed[i].Start != g.Began {
					t.Fatalf("day %d: %s began at %d and is at %d", n, p.Tasks[i].Name, g.Began, next.Placed[i].Start)
				}
			}
			for i, x := range next.Placed { // what is due begins, most of the time
				if _, ok := known[i]; ok || x.Start > now || r.IntN(4) == 0 {
					continue
				}
				if slices.ContainsFunc(p.Tasks[i].After, func(a int) bool { return known[a].Ended == 0 }) {
					continue
				}
				known[i] = Progress{Task: i, Began: now}
			}
			for i, g := range known { // and what has had its time is over, most of the time
				if end := next.Placed[i].End; g.Ended == 0 && end <= now && r.IntN(4) > 0 {
					g.Ended = now
					if p.Tasks[i].Load != nil {
						g.In = g.Began
					}
					known[i] = g
				}
			}
		}
	}
}

func progressOf(known map[int]Progress) (all []Progress) {
	for _, g := range known {
		all = append(all, g)
	}
	slices.SortFunc(all, func(a, b Progress) int { return a.Task - b.Task })
	return all
}

// TestTardyIsCounted adds up what batches miss of their hours again.
func TestTardyIsCounted(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(15, 15))
	for n := range 60 {
		p := randomDay(r)
		batches := 0
		for _, x := range p.Tasks {
			batches = max(batches, x.Batch+1)
		}
		free, _ := Make(p, Effort{Seed: 1, Tries: 60})
		for range batches {
			p.By = append(p.By, r.IntN(2)*(p.Begin+60+r.IntN(free.Finish-p.Begin)))
		}
		pl, ok := Make(p, Effort{Seed: 1, Tries: 120})
		if !ok {
			t.Fatal("no plan")
		}
		if err := valid(p, pl); err != nil {
			t.Fatalf("day %d: %v", n, err)
		}
		missed := 0
		for b, by := range p.By {
			end := 0
			for i, x := range pl.Placed {
				if p.Tasks[i].Batch == b {
					end = max(end, x.End)
				}
			}
			if by > 0 {
				missed += max(0, end-by)
			}
		}
		if missed != pl.Tardy {
			t.Fatalf("day %d: %d min are missed, and it says %d", n, missed, pl.Tardy)
		}
		over := pl.Over(pl.Finish - 1)
		if len(over) == 0 || len(pl.Over(pl.Finish)) != 0 {
			t.Errorf("over at its finish: %v", over)
		}
	}
}

// TestWhatHoldsItUp names what holds a day up, for days that one thing plainly does, and leaves the
// day as it is.
func TestWhatHoldsItUp(t *testing.T) {
	step := func(minutes int, hands, burner, pot bool) Task {
		x := Task{Name: "step", Minutes: minutes, Burner: burner, Pot: pot}
		if hands {
			x.Hands = []Span{{0, minutes}}
		}
		return x
	}
	load := func() Task {
		return Task{Name: "load", Load: &Load{Fill: 5, In: 2, Boil: 20, Time: 60, Rest: 5, Out: 2, Cold: 20, Warm: 5, Canners: []int{0}}}
	}
	two := []Cook{{There: Span{0, 3000}}, {There: Span{0, 3000}}}
	for _, c := range []struct {
		name string
		p    Problem
		want string
	}{
		{"hands", Problem{Burners: 4, Pots: 4, Cooks: two[:1], Canners: []Canner{{}}, Tasks: []Task{step(60, true, false, false), step(60, true, false, false)}}, "a pair of hands"},
		{"canner", Problem{Burners: 2, Pots: 1, Cooks: two, Canners: []Canner{{}}, Tasks: []Task{load(), load(), load()}}, "a canner"},
		{"burner", Problem{Burners: 1, Pots: 4, Cooks: two, Canners: []Canner{{}}, Tasks: []Task{step(60, false, true, false), step(60, false, true, false)}}, "a burner"},
		{"pot", Problem{Burners: 4, Pots: 1, Cooks: two, Canners: []Canner{{}}, Tasks: []Task{step(60, false, false, true), step(60, false, false, true)}}, "a big pot"},
		{"nothing", Problem{Burners: 4, Pots: 4, Cooks: two, Canners: []Canner{{}}, Tasks: []Task{step(60, true, true, true)}}, ""},
	} {
		pl, ok := Make(c.p, usual)
		if !ok {
			t.Fatal(c.name)
		}
		cooks, canners := len(c.p.Cooks), slices.Clone(c.p.Tasks[0].Hands)
		all := Reliefs(c.p, pl, usual)
		got := ""
		if len(all) > 0 {
			got = all[0].What
		}
		if got != c.want || got != "" && all[0].Saves <= 0 {
			t.Errorf("%s: %+v, want %s", c.name, all, c.want)
		}
		if len(c.p.Cooks) != cooks || !slices.Equal(c.p.Tasks[0].Hands, canners) || c.p.Tasks[0].Load != nil && len(c.p.Tasks[0].Load.Canners) != 1 {
			t.Errorf("%s: asking what would help changed the day", c.name)
		}
	}
}
