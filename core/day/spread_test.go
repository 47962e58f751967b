package day

import (
	"math/rand/v2"
	"slices"
	"testing"
)

// fewestLost tries every number of loads of every lot on every evening.
func fewestLost(lots []Waiting, evenings []Evening) Spread {
	best := Spread{Left: make([]int, len(lots))}
	for i, l := range lots {
		best.Left[i] = l.Loads
	}
	free := make([]int, len(evenings))
	for i, e := range evenings {
		free[i] = e.Minutes
	}
	now := Spread{Left: slices.Clone(best.Left)}
	var try func(n int)
	try = func(n int) {
		if n == len(lots)*len(evenings) {
			if now.before(best, evenings) < 0 {
				best = Spread{slices.Clone(now.Turns), slices.Clone(now.Left)}
			}
			return
		}
		i, e := n/len(evenings), n%len(evenings)
		l := lots[i]
		for loads := 0; loads <= now.Left[i]; loads++ {
			minutes := l.Setup + loads*l.PerLoad
			if loads == 0 {
				try(n + 1)
				continue
			}
			if minutes > free[e] || evenings[e].Day < l.From || evenings[e].Day > l.Until {
				break
			}
			now.Turns = append(now.Turns, Turn{i, e, loads, minutes})
			free[e] -= minutes
			now.Left[i] -= loads
			try(n + 1)
			now.Left[i] += loads
			free[e] += minutes
			now.Turns = now.Turns[:len(now.Turns)-1]
		}
	}
	try(0)
	return best
}

func randomWeek(r *rand.Rand, lots, evenings int) (all []Waiting, times []Evening) {
	for range lots {
		from := r.IntN(4)
		all = append(all, Waiting{From: from, Until: from + r.IntN(4), Loads: 1 + r.IntN(3), Setup: 60 + r.IntN(40), PerLoad: 30 + r.IntN(30)})
	}
	for e := range evenings {
		times = append(times, Evening{Day: e * 2, Minutes: 100 + r.IntN(200)})
	}
	return all, times
}

// TestSpreadAgainstAll holds the spread of small weeks to every possible one.
func TestSpreadAgainstAll(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(7, 7))
	worseTurns := 0
	for n := range 400 {
		lots, evenings := randomWeek(r, 1+r.IntN(3), 1+r.IntN(3))
		got, best := SpreadOver(lots, evenings, 1), fewestLost(lots, evenings)
		checkSpread(t, lots, evenings, got)
		if got.lost() > best.lost() {
			t.Errorf("week %d: %d loads lost, %d need to be\n%+v\n%+v\n%+v", n, got.lost(), best.lost(), lots, evenings, best)
		} else if got.lost() == best.lost() && len(got.Turns) > len(best.Turns) {
			worseTurns++
		}
	}
	t.Logf("one turn too many in %d of 400", worseTurns)
	if worseTurns > 8 {
		t.Errorf("lots are taken up more often than they need be in %d of 400 weeks", worseTurns)
	}
}

// checkSpread holds one to the rules: within its evening, while the lot is fit, every load
// once.
func checkSpread(t *testing.T, lots []Waiting, evenings []Evening, s Spread) {
	t.Helper()
	used := make([]int, len(evenings))
	loads := slices.Clone(s.Left)
	for _, x := range s.Turns {
		l, e := lots[x.Lot], evenings[x.Evening]
		if e.Day < l.From || e.Day > l.Until {
			t.Fatalf("%+v on day %d", l, e.Day)
		}
		if x.Loads < 1 || x.Minutes != l.Setup+x.Loads*l.PerLoad {
			t.Fatalf("%+v takes %+v", l, x)
		}
		used[x.Evening] += x.Minutes
		loads[x.Lot] += x.Loads
	}
	for i, l := range lots {
		if loads[i] != l.Loads || s.Left[i] < 0 {
			t.Fatalf("lot %d has %d loads and %d are told of", i, l.Loads, loads[i])
		}
	}
	for e, n := range used {
		if n > evenings[e].Minutes {
			t.Fatalf("evening %d has %d minutes and %d are taken", e, evenings[e].Minutes, n)
		}
	}
}

// TestSpreadOfManyLots is held to the rules, is the same each time, and loses no more than
// taking the lot that turns first.
func TestSpreadOfManyLots(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(8, 8))
	for range 30 {
		lots, evenings := randomWeek(r, 12, 5)
		got := SpreadOver(lots, evenings, 1)
		checkSpread(t, lots, evenings, got)
		if !slices.Equal(got.Turns, SpreadOver(lots, evenings, 1).Turns) {
			t.Fatal("another spread of the same week")
		}
		order := []int{0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11}
		slices.SortStableFunc(order, func(a, b int) int { return lots[a].Until - lots[b].Until })
		if first := spreadBy(lots, evenings, order, make([]fill, 12)); got.before(first, evenings) > 0 {
			t.Errorf("%d loads lost, and %d by what turns first", got.lost(), first.lost())
		}
	}
	if s := SpreadOver(nil, nil, 1); len(s.Turns) != 0 || len(s.Left) != 0 {
		t.Error(s)
	}
	if s := SpreadOver([]Waiting{{Loads: 2, PerLoad: 10}}, nil, 1); s.Left[0] != 2 {
		t.Error("a lot found time that nobody has")
	}
}
