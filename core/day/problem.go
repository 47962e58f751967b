package day

import "fmt"

// MostGap is how many minutes a hot-filled load waits for its canner at most. Source:
// Complete Guide to Home Canning, Guide 1 (2015): hot food goes in hot.
const MostGap = 10

// Span is a stretch of minutes, To not in it.
type Span struct{ From, To int }

// Cook is a pair of hands, and when it is there.
type Cook struct {
	Name   string
	There  Span
	Breaks []Span
}

// Canner is one that loads can be run in.
type Canner struct {
	Name string
	Own  bool // it heats itself and takes no burner
	Lit  int  // since when its water has been heating for its first load; 0: it is not yet
}

// Load is a load's way through a canner, in minutes.
type Load struct {
	Fill    int   // by hand
	In      int   // jars in, by hand
	Boil    int   // to the boil
	Time    int   // the process time
	Rest    int   // before they are lifted
	Out     int   // jars out, by hand
	Cold    int   // heating the canner before its first load
	Warm    int   // topping up between loads; longer for a raw pack, which may not go into boiling water
	Canners []int // in which of them it can be run; none: in any
}

// whole is how long a load is in its canner, without heating.
func (l Load) whole() int { return l.In + l.Boil + l.Time + l.Rest + l.Out }

// Task is a step of a batch, or a load of it.
type Task struct {
	Name    string
	Batch   int
	Minutes int    // of a step; of a load its parts count
	Hands   []Span // within a step: each by one cook from its beginning to its end
	Burner  bool   // a step takes one for all of it
	Pot     bool   // and a big pot
	Hot     bool   // what comes of it waits hot for those after it
	Cut     bool   // what comes of it waits cut
	After   []int  // tasks that must be over before it begins
	From    int    // not before
	Load    *Load
	Locked  bool // it begins At, and nothing moves it
	At      int
	Step    Step
	Portion int // which load of its batch it is for, from 1; 0: for all of them
}

// Problem is a day to be planned.
type Problem struct {
	Begin   int // not before
	Cooks   []Cook
	Burners int
	Pots    int
	Canners []Canner
	Tasks   []Task // after those that they come after
	Late    int    // hands-on after this is avoided; 0: no such hour
	By      []int  // when each batch is to be done, by batch; 0 or none: no such time
	Fixed   []Placed
}

// due is when a task's batch is to be done; 0: no such time.
func (p Problem) due(t Task) int {
	if t.Batch < len(p.By) {
		return p.By[t.Batch]
	}
	return 0
}

// Placed is a task with its times. Of a load Start is when filling begins.
type Placed struct {
	Task   int
	Start  int
	End    int
	Gap    int // between filled and in the canner
	Lead   int // heating or topping up before the jars go in
	Canner int // -1: none
	Burner int // -1: none
	Pot    int // -1: none
	Cooks  []int
}

// in is when a load's jars go into the canner.
func (p Placed) in(l *Load) int { return p.Start + l.Fill + p.Gap }

// Held is how long a load holds its canner.
func (p Placed) Held(l *Load) Span { return Span{p.in(l) - p.Lead, p.in(l) + l.whole()} }

// hands lists when a task wants a cook, from its start; of a load after a gap.
func (t Task) hands(gap int) []Span {
	if l := t.Load; l != nil {
		in := l.Fill + gap
		end := in + l.whole()
		return []Span{{0, l.Fill}, {in, in + l.In}, {end - l.Out, end}}
	}
	return t.Hands
}

// HandSpans is when a task wants a cook, from its start; of a load that waits so long between
// filled and in.
func (t Task) HandSpans(gap int) []Span { return t.hands(gap) }

// length is how long a task takes from its start; of a load after a gap.
func (t Task) length(gap int) int {
	if t.Load != nil {
		return t.Load.Fill + gap + t.Load.whole()
	}
	return t.Minutes
}

// Check says what is wrong with a problem: what cannot be put on any day. What has begun is
// as it is.
func (p Problem) Check() error {
	begun := map[int]bool{}
	for _, f := range p.Fixed {
		begun[f.Task] = true
	}
	for i, t := range p.Tasks {
		if begun[i] {
			continue
		}
		for _, a := range t.After {
			if a < 0 || a >= i {
				return fmt.Errorf("%s comes after something that stands behind it", t.Name)
			}
		}
		if t.Load == nil {
			if t.Minutes < 0 {
				return fmt.Errorf("%s takes less than nothing", t.Name)
			}
			for _, h := range t.Hands {
				if h.From < 0 || h.To > t.Minutes || h.From > h.To {
					return fmt.Errorf("%s wants hands outside of its own time", t.Name)
				}
			}
			if t.Pot && p.Pots == 0 || t.Burner && p.Burners == 0 || len(t.Hands) > 0 && len(p.Cooks) == 0 {
				return fmt.Errorf("there is nothing to do %s with: hands, a burner or a pot are missing", t.Name)
			}
			continue
		}
		l := t.Load
		if min(l.Fill, l.In, l.Boil, l.Time, l.Rest, l.Out, l.Cold, l.Warm) < 0 || l.Time == 0 {
			return fmt.Errorf("%s has no time", t.Name)
		}
		if len(p.Cooks) == 0 || len(p.Canners) == 0 {
			return fmt.Errorf("there is no canner for %s, or nobody to fill it", t.Name)
		}
		for _, c := range l.Canners {
			if c < 0 || c >= len(p.Canners) {
				return fmt.Errorf("%s is for a canner that is not there", t.Name)
			}
			if !p.Canners[c].Own && p.Burners == 0 {
				return fmt.Errorf("there is no burner for %s", p.Canners[c].Name)
			}
		}
	}
	return nil
}

// canners lists in which a load can be run.
func (p Problem) canners(l *Load) []int {
	if len(l.Canners) > 0 {
		return l.Canners
	}
	all := make([]int, len(p.Canners))
	for i := range all {
		all[i] = i
	}
	return all
}
