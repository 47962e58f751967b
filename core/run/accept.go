package run

import (
	"fmt"
	"slices"
	"strings"
)

// Refusal is an event that cannot be taken, with why and what can be.
type Refusal struct {
	Field string // of the event, in lower camel case
	Text  string
}

func (r *Refusal) Error() string { return r.Text }

func refuse(field, format string, args ...any) error {
	return &Refusal{field, fmt.Sprintf(format, args...)}
}

// Early is the What of a HeatOff that is meant though the time is not up: the load is
// then short for good.
const Early = "early"

// open says which kinds a phase takes. What is told late is taken by Late.
var open = map[Phase][]Kind{
	Filling: {Checked, SetAside, JarsIn, JarBroken},
	Loaded:  {LidOn, ToppedUp, JarBroken, JarLeaking},
	Heating: {Boil, ToppedUp, LidLifted, HeatOff, Plateau, Altitude, JarBroken, JarLeaking},
	Boiling: {BoilLost, TopsBare, ToppedUp, LidLifted, HeatOff, Plateau, Altitude, JarBroken, JarLeaking},
	Lost:    {BoilBack, ToppedUp, LidLifted, HeatOff, Plateau, Altitude, JarBroken, JarLeaking},
	Held:    {Confirmed, Unsure, JarBroken, JarLeaking, Altitude},
	TimeUp:  {HeatOff, BoilLost, TopsBare, ToppedUp, LidLifted, JarBroken, JarLeaking, Plateau, Altitude},
	Resting: {LidOff, Out, JarBroken, JarLeaking},
	Cooling: {PutAway, JarBroken, JarLeaking},
}

// late are the facts about the boil that may be told after it has ended.
var late = []Kind{BoilLost, TopsBare, LidLifted}

// Taps lists what may be told of a load in its state.
func (s State) Taps() []Kind { return slices.Clone(open[s.Phase]) }

// Already finds an event that was told after the one numbered after and says the same
// as e, so that two people who tap the same thing tell it once.
func Already(events []Event, e Event, after int) (Event, bool) {
	for _, was := range events {
		if was.Seq > after && was.Kind == e.Kind && was.Jar == e.Jar && was.What == e.What && was.Target == e.Target && was.ShiftMs == e.ShiftMs && was.Void == e.Void {
			return was, true
		}
	}
	return Event{}, false
}

// Witness is what a thermometer in the pot has to say about when it boiled. The zero
// value is no thermometer.
type Witness struct {
	Cooler Stamp // when it last read under the boil; zero: never, or not known
}

// Accept takes an event as told now, or errs with a *Refusal that says why not. It
// gives the event its number and its time. seen is as for Fold.
func (l Load) Accept(events []Event, e Event, now, seen Stamp, w Witness) (Event, error) {
	s := l.Fold(events, now, seen)
	e.Told, e.Seq = now, s.Seq+1
	if !slices.Contains(kinds, e.Kind) {
		return Event{}, refuse("kind", "%q is nothing that happens to a load.", e.Kind)
	}
	if e.AgoMs < 0 {
		return Event{}, refuse("agoMs", "That is still to come. Tell it when it happens.")
	}
	if e.Jar < 0 || e.Jar > l.Jars || e.Jar == 0 && (e.Kind == JarBroken || e.Kind == JarLeaking || e.Kind == SetAside) {
		return Event{}, refuse("jar", "Say which jar: 1 to %d.", l.Jars)
	}
	for _, j := range e.Except {
		if j < 1 || j > l.Jars {
			return Event{}, refuse("except", "The jars are 1 to %d.", l.Jars)
		}
	}
	switch e.Kind {
	case Silenced, Note:
		return e, nil
	case Corrected:
		return l.correct(events, s, e, w)
	}
	told := slices.Contains(late, e.Kind) && (s.Phase == Resting || s.Phase == Cooling)
	if !told && !slices.Contains(open[s.Phase], e.Kind) {
		return Event{}, refuse("kind", "Not now: %s. What can be told now: %s.", phaseWords[s.Phase], kindList(open[s.Phase]))
	}
	switch e.Kind {
	case Checked:
		if e.What != "" && !slices.Contains(l.Checks(), Check(e.What)) {
			return Event{}, refuse("what", "That is not looked at here.")
		}
	case JarsIn:
		if len(s.Checks) > 0 {
			return Event{}, refuse("kind", "First, in every jar: %s.", checkList(s.Checks))
		}
		if !slices.ContainsFunc(s.Jars, func(j JarState) bool { return !j.Aside && !j.Broken }) {
			return Event{}, refuse("kind", "No jar is left to go in.")
		}
	case Boil, BoilBack:
		if s.NoTime && !s.AltitudeAsked {
			return Event{}, refuse("kind", "There is no tested time at this altitude, so no time can run. Heat off, and the jars into the refrigerator.")
		}
		if e.Cooler = w.Cooler; e.AgoMs > 0 {
			return e, s.mayBegin(e.At(), e.AgoMs, w)
		}
	case HeatOff:
		if (s.Phase == Boiling || s.Phase == Heating || s.Phase == Lost) && e.What != Early {
			return Event{}, refuse("what", "The time is not up. If the heat is off all the same, say so: the load is then short, and its jars are not for the shelf.")
		}
	case Confirmed:
		e.SinceMs = max(0, min(e.SinceMs, s.ReadingMs))
	}
	return e, nil
}

// mayBegin says whether a boil may be told to have begun at a moment before now.
func (s State) mayBegin(at Stamp, earlierMs int64, w Witness) error {
	switch {
	case earlierMs > MostEarlier:
		return refuse("agoMs", "A boil can be put back by 5 minutes at most. When in doubt, the longer time.")
	case at.Before(s.lidOn):
		return refuse("agoMs", "The lid was not on yet then.")
	case at.Before(s.lastLoss):
		return refuse("agoMs", "The boil had been lost then.")
	case !w.Cooler.IsZero() && at.Before(w.Cooler):
		return refuse("agoMs", "The thermometer read under the boil then.")
	}
	return nil
}

// correct takes a correction: an event that was later or, for a boil and within limits,
// earlier than it was told, or that did not happen.
func (l Load) correct(events []Event, s State, e Event, w Witness) (Event, error) {
	i := slices.IndexFunc(events, func(was Event) bool { return was.Seq == e.Target })
	if i < 0 {
		return Event{}, refuse("target", "There is no such event to correct.")
	}
	was := events[i]
	ago, sure := e.Told.Since(was.Told)
	running := s.Phase == Boiling
	shifts, voids := Changes(events)
	moved := shifts[e.Target]
	if voids[e.Target] {
		return Event{}, refuse("target", "It was taken back already.")
	}
	if was.Kind == Corrected {
		if !e.Void || !sure || ago > Mistap || slices.ContainsFunc(events, func(o Event) bool { return o.Seq == was.Target && o.Kind == Corrected }) {
			return Event{}, refuse("target", "A correction can be taken back within a minute, and only once.")
		}
		return e, nil
	}
	if e.Void {
		switch was.Kind {
		case BoilLost, TopsBare, LidLifted, HeatOff, Unsure, Plateau, Altitude, Confirmed:
			if !sure || ago > Mistap {
				return Event{}, refuse("void", "That can be taken back within a minute only. When in doubt, the longer time.")
			}
		case Out, LidOff, JarsIn, LidOn, Boil, BoilBack, Checked, SetAside, JarBroken, JarLeaking, ToppedUp, Note:
		default:
			return Event{}, refuse("void", "That cannot be taken back.")
		}
		return e, nil
	}
	at := was.At().Back(-moved - e.ShiftMs)
	switch {
	case e.ShiftMs == 0:
		return Event{}, refuse("shiftMs", "Say by how much, or that it did not happen.")
	case e.Told.Before(at):
		return Event{}, refuse("shiftMs", "That would be later than now.")
	case e.ShiftMs > 0 && slices.Contains([]Kind{BoilLost, TopsBare, HeatOff}, was.Kind) && e.ShiftMs+moved > 0:
		return Event{}, refuse("shiftMs", "That would lengthen the time that counts. It can be put earlier, not later.")
	case e.ShiftMs < 0 && (was.Kind == Boil || was.Kind == BoilBack):
		if !running || s.BoilSeq != was.Seq {
			return Event{}, refuse("shiftMs", "A boil can be put back only while its time runs.")
		}
		earlier, _ := e.Told.Since(at)
		whole := was.AgoMs - moved - e.ShiftMs // before it was told
		if whole > MostEarlier {
			earlier = whole
		} else {
			earlier = min(earlier, MostEarlier)
		}
		if w.Cooler.IsZero() {
			w.Cooler = was.Cooler // what was read before the server went down is in the event
		}
		return e, s.mayBegin(at, earlier, w)
	}
	return e, nil
}

func kindList(all []Kind) string {
	words := make([]string, len(all))
	for i, k := range all {
		words[i] = kindWords[k]
	}
	return strings.Join(words, ", ")
}

func checkList(all []Check) string {
	words := make([]string, len(all))
	for i, c := range all {
		words[i] = checkWords[c]
	}
	return strings.Join(words, ", ")
}
