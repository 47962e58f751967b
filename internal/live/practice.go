package live

import (
	"context"
	"fmt"
	"math/rand/v2"
	"slices"
	"sync"
	"time"

	"mellisca/core/canner"
	"mellisca/core/jar"
	"mellisca/core/measure"
	"mellisca/core/run"
	"mellisca/internal/device"
	"mellisca/internal/store"
)

// Practice is a Stove with a simulated pot on a quick clock, on which things go wrong.
// Nothing of it is kept.
type Practice struct {
	*Stove
	Clock *device.Quick
	Load  string // the id of its one load

	jars []jar.Jar

	mu       sync.Mutex
	pot      canner.Simulated
	reads    *device.PotThermometer
	last     run.Stamp
	troubles []run.Trouble
	short    int // the jar that does not reach its headspace
	breaks   int // the jar that breaks
	loseAt   int64
	breakAt  int64
	deadAt   int64
	weak     bool // the flame has gone low
	in       bool // the jars are in
}

// practiceHeat is how warm the water and the jars are when they go in.
var practiceHeat = measure.Fahrenheit(180)

// NewPractice sets out a practice run of a load in a pot with its water. The same seed
// brings the same troubles.
func NewPractice(ctx context.Context, k store.KeptLoad, pot canner.Simulated, jars []jar.Jar, clock *device.Quick, seed uint64) (*Practice, error) {
	s, err := New(ctx, &Memory{}, clock)
	if err != nil {
		return nil, err
	}
	r := rand.New(rand.NewPCG(seed, 17))
	full := int64(k.Load.Minutes) * 60_000
	p := &Practice{Stove: s, Clock: clock, Load: k.ID, jars: jars, pot: pot, last: clock.Now()}
	p.reads = device.NewPotThermometer(&p.pot, seed)
	p.short = 1 + r.IntN(len(jars))
	p.breaks = 1 + (p.short+r.IntN(max(1, len(jars)-1)))%len(jars)
	p.loseAt = full/4 + r.Int64N(full/4)
	p.breakAt = full/3 + r.Int64N(full/4)
	p.deadAt = full*2/3 + r.Int64N(full/6)
	p.pot.Celsius, p.pot.Heat = practiceHeat.Celsius(), 0.1
	if err := s.Open(ctx, k); err != nil {
		return nil, err
	}
	p.troubles = append(p.troubles, run.Trouble{Kind: run.Checked, Jar: p.short, At: p.last})
	return p, nil
}

// Simulate lets the pot go on until ctx ends.
func (p *Practice) Simulate(ctx context.Context) {
	tick := time.NewTicker(50 * time.Millisecond)
	defer tick.Stop()
	for {
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
			p.step()
		}
	}
}

// readEvery is how often the simulated thermometer reads, in milliseconds.
const readEvery = 5000

// step brings the pot up to the clock.
func (p *Practice) step() {
	p.mu.Lock()
	defer p.mu.Unlock()
	now := p.Clock.Now()
	passed, sure := now.Since(p.last)
	if !sure || passed < readEvery {
		if !sure {
			p.last = now
		}
		return
	}
	p.last = now
	p.Stove.mu.Lock()
	i := p.find(p.Load)
	var s run.State
	if i >= 0 {
		s = p.loads[i].Load.Fold(p.loads[i].Events, now, p.seen)
	}
	p.Stove.mu.Unlock()
	if i < 0 {
		return
	}
	p.follow(s)
	p.reads.Run(float64(passed) / 1000)
	celsius, _ := p.reads.ReadCelsius(context.Background()) // a simulated one always answers
	_ = p.Read(context.Background(), p.Load, celsius)       // unless the load was cleared meanwhile
	p.goWrong(s, now)
}

// follow does at the pot what the cook has told.
func (p *Practice) follow(s run.State) {
	if s.Phase != run.Filling && !p.in {
		p.in = true
		var in []jar.Jar
		for n, j := range p.jars {
			if !s.Jars[n].Aside {
				in = append(in, j)
			}
		}
		p.pot.PutIn(in, practiceHeat)
	}
	switch {
	case s.HeatOff:
		p.pot.Heat = 0
	case !s.LidOn:
		p.pot.Heat = 0.1
	case s.Phase == run.Lost:
		p.weak = false // the cook has seen it and turned it up
		p.pot.Heat = 1
	case p.weak:
		p.pot.Heat = 0
	default:
		p.pot.Heat = 1
	}
	p.pot.Litres = max(p.pot.Litres, 4) // somebody tops it up
}

// goWrong brings on what goes wrong when its moment has come.
func (p *Practice) goWrong(s run.State, now run.Stamp) {
	once := func(k run.Kind) bool {
		return !slices.ContainsFunc(p.troubles, func(t run.Trouble) bool { return t.Kind == k })
	}
	if s.Phase != run.Boiling {
		return
	}
	switch {
	case once(run.BoilLost) && s.CountedMs >= p.loseAt:
		p.weak = true
		p.troubles = append(p.troubles, run.Trouble{Kind: run.BoilLost, At: now})
	case p.weak, once(run.BoilLost):
	case once(run.JarBroken) && s.CountedMs >= p.breakAt:
		p.troubles = append(p.troubles, run.Trouble{Kind: run.JarBroken, Jar: p.breaks, At: now})
	case once(run.Unsure) && s.CountedMs >= p.deadAt:
		p.Clock.Restart(2 * time.Minute)
		p.last = p.Clock.Now()
		p.troubles = append(p.troubles, run.Trouble{Kind: run.Unsure, At: p.last})
		p.restarted(now)
	}
}

// Sees is what a cook would see, hear and feel at the pot: in practice nobody can look.
func (p *Practice) Sees() []string {
	p.mu.Lock()
	defer p.mu.Unlock()
	m := p.Now()
	if len(m.Loads) == 0 {
		return nil
	}
	s := m.Loads[0].State
	var all []string
	say := func(format string, args ...any) { all = append(all, fmt.Sprintf(format, args...)) }
	switch s.Phase {
	case run.Filling:
		if !s.Jars[p.short-1].Aside {
			say("Jar %d stands well under its headspace, and there is no fruit left.", p.short)
		}
	case run.Heating, run.Lost, run.Boiling, run.TimeUp, run.Held:
		switch {
		case p.pot.Boiling():
			say("It boils hard, with steam all round the lid.")
		case p.weak:
			say("The bubbles have died down. The flame is out.")
		default:
			say("Small bubbles, no boil yet.")
		}
	}
	for _, t := range p.troubles {
		if t.Kind == run.JarBroken && !s.Jars[t.Jar-1].Broken {
			say("A crack, and fruit in the water: jar %d has broken.", t.Jar)
		}
		if t.Kind == run.Unsure && s.Phase == run.Held {
			say("The tablet had died. It is back after two minutes; you stood at the pot, and it boiled all the time.")
		}
	}
	return all
}

// Account is what was done right in the run and what is to be done otherwise, once the
// heat is off; ok is false before.
func (p *Practice) Account() (well, better []string, ok bool) {
	p.mu.Lock()
	defer p.mu.Unlock()
	m := p.Now()
	if len(m.Loads) == 0 || !m.Loads[0].State.HeatOff {
		return nil, nil, false
	}
	well, better = m.Loads[0].Load.Account(m.Loads[0].Events, p.troubles, m.At)
	return well, better, true
}
