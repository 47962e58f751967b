package day

import "fmt"

// Default is how long a step takes where the cook's own record does not say: our own
// guesses, to be shown as a table and overruled.
type Default struct {
	ID      string
	Name    string
	Minutes int
}

// The defaults by what they are of.
const (
	SyrupMinutes   = "syrup"
	SyrupHands     = "syrup-hands"
	JarsMinutes    = "jars"
	JarsHands      = "jars-hands"
	JarMinutes     = "jar"      // to fill and close one
	InMinutes      = "in"       // jars into the canner
	OutMinutes     = "out"      // and out
	TopUpMinutes   = "top-up"   // between loads, of a hot pack
	TemperMinutes  = "temper"   // between loads, of a raw pack, which may not go into boiling water
	FruitMinutes   = "fruit"    // a quart jar's worth made ready
	CookMinutes    = "cook"     // a hot pack brought to the boil
	ColdMinutes    = "cold"     // a canner heated from the tap
	ToBoilMinutes  = "to-boil"  // from jars in to the boil
	JuicerVisit    = "juicer"   // water into its base
	JuicerInterval = "juicer-i" // and how often
)

// Defaults lists them.
func Defaults() []Default {
	return []Default{
		{SyrupMinutes, "Syrup or juice brought to the boil", 20}, {SyrupHands, "of that, hands on", 5}, {JarsMinutes, "Jars washed and hot", 25}, {JarsHands, "of that, hands on", 10},
		{FruitMinutes, "Fruit for a jar made ready", 6}, {CookMinutes, "A hot pack brought to the boil", 10}, {JarMinutes, "A jar filled and closed", 2},
		{InMinutes, "Jars into the canner", 3}, {OutMinutes, "Jars lifted out", 4}, {ColdMinutes, "A canner heated from the tap", 40}, {ToBoilMinutes, "From jars in to the boil", 25},
		{TopUpMinutes, "Water topped up between loads", 5}, {TemperMinutes, "Water tempered for a raw pack", 15}, {JuicerVisit, "Water into the juicer's base", 2}, {JuicerInterval, "and how often", 45},
	}
}

// Minutes are those of the cook where they are known, else the defaults.
type Minutes map[string]int

// Of is how long something takes.
func (m Minutes) Of(id string) int {
	if n, ok := m[id]; ok {
		return n
	}
	for _, d := range Defaults() {
		if d.ID == id {
			return d.Minutes
		}
	}
	return 0
}

// Portion is one load of a batch.
type Portion struct {
	Jars   int
	Time   int // the process time
	Rest   int
	ToBoil int // from jars in; 0: not known
}

// Making is a batch that is to be put on a day.
type Making struct {
	Name     string
	Raw      bool // packed raw
	Liquid   bool // syrup or juice is made for it
	Prepare  int  // minutes for all of its fruit; 0: not known
	Juicer   int  // minutes in a steam juicer before anything can be filled; 0: none
	Canners  []int
	Cold     int // heating its canner from the tap; 0: not known
	From     int // not before
	Portions []Portion
	Minutes  Minutes
}

// Tasks puts batches into steps, each after what it needs: liquid and hot jars before the
// first filling, fruit before its own load, a hot pack cooked at the last.
func Tasks(all []Making) []Task {
	var tasks []Task
	add := func(t Task) int {
		tasks = append(tasks, t)
		return len(tasks) - 1
	}
	for b, m := range all {
		first := m.before(b, add)
		jars := 0
		for _, p := range m.Portions {
			jars += p.Jars
		}
		last := -1
		for n, p := range m.Portions {
			name := func(what string) string {
				if len(m.Portions) == 1 {
					return what + ", " + m.Name
				}
				return fmt.Sprintf("%s, %s, load %d of %d", what, m.Name, n+1, len(m.Portions))
			}
			after := first
			if m.Juicer == 0 {
				minutes := m.Minutes.Of(FruitMinutes) * p.Jars
				if m.Prepare > 0 {
					minutes = (m.Prepare*p.Jars + jars - 1) / jars // its share, rounded up
				}
				fruit := Task{Name: name("Fruit"), Batch: b, Minutes: minutes, From: m.From}
				fruit.Hands = []Span{{0, minutes}}
				if last >= 0 {
					fruit.After = []int{last}
				}
				last = add(fruit)
				after = append(append([]int(nil), first...), last)
				if !m.Raw {
					cook := m.Minutes.Of(CookMinutes)
					after = append(after, add(Task{Name: name("Cook"), Batch: b, Minutes: cook, Hands: []Span{{0, cook}}, Burner: true, Pot: true, Hot: true, After: []int{last}, From: m.From}))
				}
			}
			add(Task{Name: name("Load"), Batch: b, After: after, From: m.From, Load: m.load(p)})
		}
	}
	return tasks
}

// before adds what is done once, and gives what the first filling waits for.
func (m Making) before(b int, add func(Task) int) (first []int) {
	hands := m.Minutes.Of(JarsHands)
	first = append(first, add(Task{Name: "Hot jars, " + m.Name, Batch: b, Minutes: m.Minutes.Of(JarsMinutes), Hands: []Span{{0, hands}}, From: m.From}))
	if m.Liquid {
		first = append(first, add(Task{Name: "Liquid, " + m.Name, Batch: b, Minutes: m.Minutes.Of(SyrupMinutes), Hands: []Span{{0, m.Minutes.Of(SyrupHands)}}, Burner: true, Pot: true, Hot: true, From: m.From}))
	}
	if m.Juicer > 0 {
		t := Task{Name: "Juicer, " + m.Name, Batch: b, Minutes: m.Juicer, Burner: true, From: m.From}
		for at, visit := 0, m.Minutes.Of(JuicerVisit); at+visit <= m.Juicer; at += max(1, m.Minutes.Of(JuicerInterval)) {
			t.Hands = append(t.Hands, Span{at, at + visit})
		}
		first = append(first, add(t))
	}
	return first
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
