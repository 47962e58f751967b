package run

// AgainMs is how long a lost boil takes to come back: our own guess.
const AgainMs = 10 * minute

// Times is when parts of a load happened, by the wall clock in milliseconds since 1970,
// corrections and all; 0: not yet.
type Times struct {
	JarsIn int64
	Out    int64 // the jars stand on their cloth
}

// TimesOf reads them from what was told.
func TimesOf(events []Event) (t Times) {
	for _, e := range inOrder(events) {
		switch e.Kind {
		case JarsIn:
			t.JarsIn = e.At().WallMs
		case Out:
			t.Out = e.At().WallMs
		}
	}
	return t
}

// Left is how long it likely takes until the jars of a load may be lifted, in milliseconds,
// for planning alone: no clock goes by it. toBoilMs is what is expected from jars in to the
// boil; under 0: since when they may be. ok is false before the jars are in and once they are
// out.
func (l Load) Left(s State, now Stamp, toBoilMs int64) (ms int64, ok bool) {
	rest := int64(l.RestMinutes) * minute
	since := func() int64 {
		ms, ok := now.Since(s.Began)
		if !ok {
			return 0
		}
		return ms
	}
	switch s.Phase {
	case Loaded:
		return toBoilMs + s.FullMs + rest, true
	case Heating:
		return max(minute, toBoilMs-since()) + s.FullMs + rest, true
	case Lost:
		return AgainMs + s.FullMs + rest, true
	case Held:
		return s.FullMs + rest, true
	case Boiling:
		return s.LeftMs + rest, true
	case TimeUp:
		return rest, true
	case Resting:
		if s.LeftMs == 0 {
			return min(0, rest-since()), true
		}
		return s.LeftMs, true
	}
	return 0, false
}
