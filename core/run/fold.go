package run

import "slices"

// Phase is where a load is.
type Phase string

// The phases, in their usual order.
const (
	Filling Phase = "filling" // jars are being filled and closed
	Loaded  Phase = "loaded"  // in the water, lid off
	Heating Phase = "heating" // lid on
	Boiling Phase = "boiling" // the time runs
	Lost    Phase = "lost"    // the boil was lost
	Held    Phase = "held"    // the clocks cannot tell: the cook is asked
	TimeUp  Phase = "time-up" // the full time has run
	Resting Phase = "resting" // heat off
	Cooling Phase = "cooling" // out, or stopped short
)

// JarState is what became of one jar.
type JarState struct {
	Missing  []Check // not right yet
	Aside    bool    // in the refrigerator, not in the canner
	Broken   bool
	Leaking  bool
	Short    bool // its process was cut short: never for the shelf
	Mistaken bool // something about it was corrected
}

// State is a load at a moment.
type State struct {
	Phase     Phase
	Seq       int   // the last event
	Began     Stamp // the phase
	CountedMs int64 // towards the process time, from the last boil
	FullMs    int64 // of the process; while the altitude is in doubt the longer one
	LeftMs    int64 // until the time is up; of Resting until the jars may be lifted
	NoTime    bool  // for the altitude that is in doubt nothing was tested
	Restarts  int   // how often the full time began again

	AltitudeAsked bool // the water boils too cool for the set altitude: it is to be looked up again
	Short         bool // the process was cut short
	ShortMs       int64
	Corrected     bool // something was corrected
	Jars          []JarState
	Checks        []Check // still to be done for some jar
	LidOn         bool
	HeatOff       bool
	LidOff        bool
	BoilSeq       int   // the event that the time runs from; 0: none
	ReadingMs     int64 // of Held: the most that may count
	SinceOut      int64 // of Cooling: milliseconds since the jars came out, at least
	Silenced      []string
	Away          bool // cleared from the hob

	answered bool // the altitude
	minutes  int
	base     int64 // counted before anchor
	anchor   Stamp
	lidOn    Stamp
	lastLoss Stamp
	heatOff  Stamp
	out      Stamp
}

// Fold works out where a load is at a moment from all of its events, in whatever order
// they are given. seen is when the machine was last known to run before now on the
// start before this one; the zero stamp where that is not known.
func (l Load) Fold(events []Event, now, seen Stamp) State {
	s := State{Phase: Filling, Jars: make([]JarState, l.Jars)}
	for i := range s.Jars {
		s.Jars[i].Missing = l.Checks()
	}
	for _, e := range events {
		s.Seq = max(s.Seq, e.Seq)
		if e.Kind == Corrected {
			s.Corrected = true
		}
	}
	for _, e := range inOrder(events) {
		s.full(l)
		s.apply(l, e)
	}
	s.full(l)
	s.mark(events)
	s.at(l, now, seen)
	return s
}

// ToBoil is how long a load took from its jars going in to the first boil; ok is false
// where that was not told, or the clocks cannot tell.
func ToBoil(events []Event) (ms int64, ok bool) {
	var in Stamp
	for _, e := range inOrder(events) {
		switch {
		case e.Kind == JarsIn:
			in = e.At()
		case e.Kind == Boil && !in.IsZero():
			return e.At().Since(in)
		}
	}
	return 0, false
}

// apply takes one event in. What cannot happen in the phase is passed over, so that
// any list of events has a state.
func (s *State) apply(l Load, e *Event) {
	at := e.At()
	begin := func(p Phase) { s.Phase, s.Began = p, at }
	running := s.Phase == Boiling
	switch e.Kind {
	case Checked:
		if s.Phase == Filling {
			s.check(e)
		}
	case SetAside:
		if j := s.jar(e.Jar); j != nil && s.Phase == Filling {
			j.Aside, j.Missing = true, nil
		}
	case JarsIn:
		if s.Phase == Filling {
			begin(Loaded)
		}
	case LidOn:
		if s.Phase == Loaded || s.Phase == Filling {
			s.LidOn, s.lidOn = true, at
			begin(Heating)
		}
	case Boil, BoilBack:
		if s.Phase == Heating || s.Phase == Lost {
			at = s.boilAt(e)
			s.base, s.anchor, s.BoilSeq = 0, at, e.Seq
			begin(Boiling)
		}
	case BoilLost, TopsBare:
		if running {
			s.lose(at)
		}
	case LidLifted:
		if running && l.Steam {
			s.lose(at)
		}
	case Confirmed:
		if running {
			s.base, s.anchor = s.confirmed(e), at
		}
	case Unsure:
		if running {
			s.lose(at)
		}
	case HeatOff:
		s.stop(l, at, begin)
	case LidOff:
		if s.Phase == Resting {
			s.LidOff = true
		}
	case Out:
		if !s.HeatOff {
			s.stop(l, at, begin)
		}
		if s.Phase == Resting {
			s.out = at
			begin(Cooling)
		}
	case JarBroken:
		if j := s.jar(e.Jar); j != nil {
			j.Broken = true
		}
	case JarLeaking:
		if j := s.jar(e.Jar); j != nil {
			j.Leaking = true
		}
	case Plateau:
		s.AltitudeAsked = !s.answered && !s.HeatOff
	case Altitude:
		s.AltitudeAsked, s.answered, s.minutes = false, true, e.Minutes
		if e.Minutes > 0 {
			s.minutes = max(e.Minutes, l.Minutes) // looking it up again never shortens a time
		}
	case PutAway:
		s.Away = s.Phase == Cooling
	case Silenced:
		s.Silenced = append(s.Silenced, e.What)
	}
}

// boilAt is when a boil began: as told, but no more than MostEarlier before that, not
// before the lid was on and not before the boil was lost.
func (s *State) boilAt(e *Event) Stamp {
	at := e.Told.Back(min(e.AgoMs, MostEarlier))
	for _, floor := range []Stamp{s.lidOn, s.lastLoss} {
		if at.Before(floor) {
			at = floor
		}
	}
	return at
}

func (s *State) lose(at Stamp) {
	s.Phase, s.Began, s.lastLoss = Lost, at, at
	s.base, s.anchor, s.BoilSeq = 0, Stamp{}, 0
	s.Restarts++
}

// counted is what counts towards the process time at a moment; sure is false where the
// clocks cannot tell, and then it is what was sure before.
func (s *State) counted(at, seen Stamp) (ms int64, sure bool) {
	passed, sure := at.Since(s.anchor)
	if sure {
		return s.base + passed, true
	}
	known, ok := seen.Since(s.anchor)
	if !ok {
		known = 0
	}
	return s.base + known, false
}

// confirmed is what counts once the cook has said since when it boiled hard: never more
// than the wall clock says. Accept has held it to the smaller reading before.
func (s *State) confirmed(e *Event) int64 {
	passed, _ := e.At().Since(s.anchor)
	return max(0, min(e.SinceMs, s.base+passed))
}

// stop ends the process. Anything under the full time, or that is not sure, is short.
func (s *State) stop(l Load, at Stamp, begin func(Phase)) {
	if s.HeatOff || s.Phase == Filling || s.Phase == Loaded {
		return
	}
	ms, sure := int64(0), true
	if s.Phase == Boiling {
		ms, sure = s.counted(at, Stamp{})
	}
	s.CountedMs = ms
	if s.ShortMs = s.FullMs - ms; s.ShortMs > 0 || !sure || s.NoTime {
		s.Short, s.ShortMs = true, max(0, s.ShortMs)
	}
	s.HeatOff, s.heatOff = true, at
	begin(Resting)
}

// at is the state at a moment: what has run since the last event.
func (s *State) at(l Load, now, seen Stamp) {
	for i := range s.Jars {
		s.Jars[i].Short = s.Short && !s.Jars[i].Aside
	}
	for _, c := range l.Checks() {
		if slices.ContainsFunc(s.Jars, func(j JarState) bool { return slices.Contains(j.Missing, c) }) {
			s.Checks = append(s.Checks, c)
		}
	}
	switch s.Phase {
	case Boiling:
		ms, sure := s.counted(now, seen)
		s.CountedMs, s.LeftMs = min(ms, s.FullMs), max(0, s.FullMs-ms)
		switch {
		case !sure:
			s.Phase = Held
			s.ReadingMs = s.base + now.AtMost(s.anchor, seen)
		case s.LeftMs == 0 && !s.NoTime:
			s.Phase = TimeUp
		}
	case Resting:
		passed, sure := now.Since(s.heatOff)
		if !sure { // what was since the machine was started again is sure
			passed = now.BootMs
			if now.Boot == s.heatOff.Boot {
				passed = 0
			}
			passed = min(passed, now.AtMost(s.heatOff, seen))
		}
		s.LeftMs = max(0, int64(l.RestMinutes)*60_000-passed)
	case Cooling:
		s.SinceOut = now.AtLeast(s.out, seen)
	}
}

func (s *State) jar(n int) *JarState {
	if n < 1 || n > len(s.Jars) {
		return nil
	}
	return &s.Jars[n-1]
}

// check takes a check off every jar but those that are not right yet.
func (s *State) check(e *Event) {
	for i := range s.Jars {
		j := &s.Jars[i]
		switch {
		case j.Aside:
		case slices.Contains(e.Except, i+1):
			if !slices.Contains(j.Missing, Check(e.What)) {
				j.Missing = append(j.Missing, Check(e.What))
			}
		case e.Jar == 0 || e.Jar == i+1:
			j.Missing = slices.DeleteFunc(slices.Clone(j.Missing), func(c Check) bool { return e.What == "" || string(c) == e.What })
		}
	}
}

// mark shows on a jar that something about it was corrected.
func (s *State) mark(events []Event) {
	if !s.Corrected {
		return
	}
	for _, c := range events {
		if c.Kind != Corrected {
			continue
		}
		i := c.Target - 1 // where it usually stands
		if i < 0 || i >= len(events) || events[i].Seq != c.Target {
			i = slices.IndexFunc(events, func(e Event) bool { return e.Seq == c.Target })
		}
		if i >= 0 {
			if j := s.jar(events[i].Jar); j != nil {
				j.Mistaken = true
			}
		}
	}
}
