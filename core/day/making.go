package day

import "fmt"

// Portion is one load of a batch.
type Portion struct {
	Jars   int
	Time   int // the process time
	Rest   int
	ToBoil int // from jars in; 0: not known
}

// Part is how much of a batch is done on a day: juice that settles overnight takes two.
type Part string

// The parts of a batch.
const (
	Whole Part = ""
	Juice Part = "juice" // until it stands in the cold
	Jars  Part = "jars"  // from there into jars
)

// Making is a batch that is to be put on a day.
type Making struct {
	Name     string
	Raw      bool // packed raw
	Liquid   bool // syrup or juice is made for it
	Dip      bool // it is dipped in boiling water and peeled
	Prepare  int  // minutes for all of its fruit, dipping included; 0: not known
	Extract  Step // Juicer or Press, where it is made of juice; empty: it is not
	Settle   int  // minutes that its juice stands in the cold before it is put up; 0: none
	Slow     bool // it cooks down in a slow pot
	Part     Part
	Canners  []int
	Cold     int // heating its canner from the tap; 0: not known
	From     int // not before
	First    int // how many of its loads are run before these, on another day
	Of       int // how many loads it has in all; 0: these
	Portions []Portion
	Minutes  Minutes
}

// Loads is the making of some loads of it, from one on up to another, the others being run on
// other days; upto 0: to the last. What it takes to get fruit ready is shared by jars.
func (m Making) Loads(first, upto int) Making {
	if upto == 0 || upto > len(m.Portions) {
		upto = len(m.Portions)
	}
	first = min(max(0, first), upto)
	all := m.jars()
	m.First, m.Of, m.Portions = first, len(m.Portions), m.Portions[first:upto]
	m.Prepare = (m.Prepare*m.jars() + all - 1) / max(1, all)
	return m
}

// Tasks puts batches into steps, each after what it needs: liquid and hot jars before the
// first filling, fruit before its own load, a hot pack cooked at the last.
func Tasks(all []Making) []Task {
	var tasks []Task
	for b, m := range all {
		m.tasks(func(t Task) int {
			t.Batch, t.From = b, m.From
			t.Name = t.Step.Name() + ", " + m.Name
			if of := max(m.Of, len(m.Portions)); of > 1 && t.Portion > 0 {
				t.Name += fmt.Sprintf(", load %d of %d", t.Portion, of)
			}
			tasks = append(tasks, t)
			return len(tasks) - 1
		})
	}
	return tasks
}

func (m Making) tasks(add func(Task) int) {
	if m.Part == Juice {
		m.juice(add)
		return
	}
	first := m.before(add)
	last := -1
	for n, p := range m.Portions {
		after := append([]int(nil), first...)
		// Fruit that is juice or butter already is all made ready before.
		ready := m.Extract != "" || m.Slow
		if !ready {
			last = m.fruit(n, last, add)
			after = append(after, last)
		}
		if !m.Raw {
			cook := m.Minutes.Of(CookMinutes)
			t := Task{Step: Heat, Portion: m.First + n + 1, Minutes: cook, Hands: []Span{{0, cook}}, Burner: true, Pot: true, Hot: true}
			if ready {
				t.After = append([]int(nil), first...)
			} else {
				t.After = []int{last}
			}
			after = append(after, add(t))
		}
		add(Task{Step: Canning, Portion: m.First + n + 1, After: after, Load: m.load(p)})
	}
}

// juice is how juice comes out of its fruit: by itself in a steamer, or by hand.
func (m Making) juice(add func(Task) int) int {
	if m.Extract == Press {
		minutes := m.Minutes.Of(PressMinutes)
		return add(Task{Step: Press, Minutes: minutes, Hands: []Span{{0, minutes}}, Burner: true, Pot: true})
	}
	return add(Task{Step: Juicer, Minutes: m.Minutes.Of(JuicerMinutes), Hands: m.visits(JuicerMinutes, JuicerVisit, JuicerInterval), Burner: true})
}

// visits are when something that runs by itself wants a hand.
func (m Making) visits(whole, visit, interval string) (hands []Span) {
	long := m.Minutes.Of(visit)
	for at := 0; at+long <= m.Minutes.Of(whole); at += max(1, m.Minutes.Of(interval)) {
		hands = append(hands, Span{at, at + long})
	}
	return hands
}

// before adds what is done once, and gives what the first filling waits for.
func (m Making) before(add func(Task) int) (first []int) {
	first = append(first, add(Task{Step: HotJars, Minutes: m.Minutes.Of(JarsMinutes), Hands: []Span{{0, min(m.Minutes.Of(JarsHands), m.Minutes.Of(JarsMinutes))}}}))
	if m.Liquid {
		first = append(first, add(Task{Step: Liquid, Minutes: m.Minutes.Of(SyrupMinutes), Hands: []Span{{0, min(m.Minutes.Of(SyrupHands), m.Minutes.Of(SyrupMinutes))}}, Burner: true, Pot: true, Hot: true}))
	}
	switch {
	case m.First > 0: // its juice or butter is there since the first of them
	case m.Extract != "" && m.Part == Whole:
		first = append(first, m.juice(add))
	case m.Slow:
		all := add(m.prepared(0, m.Minutes.Of(FruitMinutes)*m.jars(), m.Prepare, nil))
		first = append(first, add(Task{Step: Slow, Minutes: m.Minutes.Of(SlowMinutes), Hands: m.visits(SlowMinutes, SlowVisit, SlowInterval), Burner: true, Pot: true, After: []int{all}}))
	}
	return first
}

func (m Making) jars() (n int) {
	for _, p := range m.Portions {
		n += p.Jars
	}
	return n
}

// prepared is fruit made ready by hand, by the cook's own minutes where they are known.
func (m Making) prepared(portion, byTable, known int, after []int) Task {
	minutes := byTable
	if known > 0 {
		minutes = known
	}
	return Task{Step: Fruit, Portion: portion, Cut: true, Minutes: minutes, Hands: []Span{{0, minutes}}, After: after}
}

// fruit makes the fruit of a load ready: dipped and peeled, then cut.
func (m Making) fruit(n, last int, add func(Task) int) int {
	p, jars := m.Portions[n], m.jars()
	var after []int
	if last >= 0 {
		after = []int{last}
	}
	share := (m.Prepare*p.Jars + jars - 1) / max(jars, 1) // its share, rounded up
	if m.Dip {
		dip := m.Minutes.Of(DipMinutes) * p.Jars
		if share > 0 { // what is known is of both
			dip = min(dip, share/2)
			share -= dip
		}
		after = []int{add(Task{Step: Dip, Cut: true, Portion: m.First + n + 1, Minutes: dip, Hands: []Span{{0, dip}}, Burner: true, Pot: true, After: after})}
	}
	return add(m.prepared(m.First+n+1, m.Minutes.Of(FruitMinutes)*p.Jars, share, after))
}

func (m Making) load(p Portion) *Load {
	or := func(minutes int, id string) int {
		if minutes > 0 {
			return minutes
		}
		return m.Minutes.Of(id)
	}
	l := &Load{Fill: p.Jars * m.Minutes.Of(JarMinutes), In: m.Minutes.Of(InMinutes), Boil: or(p.ToBoil, ToBoilMinutes), Time: p.Time, Rest: p.Rest, Out: m.Minutes.Of(OutMinutes), Cold: or(m.Cold, ColdMinutes), Warm: m.Minutes.Of(TopUpMinutes), Canners: m.Canners}
	if m.Raw {
		l.Warm = m.Minutes.Of(TemperMinutes)
	}
	return l
}
