package run

// Stamp is when something happened, by two clocks. The zero value is never.
type Stamp struct {
	WallMs int64  // milliseconds since 1970 in UTC, by the clock that people set
	BootMs int64  // milliseconds since the machine was started, its sleep included
	Boot   string // which start of the machine that was
}

// IsZero says whether it is never.
func (s Stamp) IsZero() bool { return s == Stamp{} }

// Since is how long ago from was, in milliseconds, at 0 least. On the same start of the
// machine that is sure, whatever was done to the wall clock; otherwise it is what the
// wall clock says, and not sure.
func (s Stamp) Since(from Stamp) (ms int64, sure bool) {
	if s.Boot == from.Boot && s.Boot != "" && s.BootMs >= from.BootMs {
		return s.BootMs - from.BootMs, true
	}
	return max(0, s.WallMs-from.WallMs), false
}

// Before says whether s is surely before t.
func (s Stamp) Before(t Stamp) bool { return s.Boot == t.Boot && s.Boot != "" && s.BootMs < t.BootMs }

// Back is so many milliseconds earlier, by both clocks; later where ms is under 0.
func (s Stamp) Back(ms int64) Stamp {
	s.WallMs -= ms
	s.BootMs -= ms
	return s
}

// AtMost is the most that may be counted as passed since from: what is sure, or else
// the smaller of two readings. One is the wall clock's. The other takes what is sure
// up to seen, when the machine was last known to run on the earlier start, and the
// wall clock's from there, so that a wall clock that was set meanwhile does not count.
func (s Stamp) AtMost(from, seen Stamp) int64 {
	ms, sure := s.Since(from)
	if sure {
		return ms
	}
	if known, ok := seen.Since(from); ok {
		rest, _ := s.Since(seen)
		ms = min(ms, known+rest)
	}
	return ms
}

// AtLeast is how long ago from may have been: what is sure, or else the larger of the
// two readings, and no less than the machine has been running. It is for what spoils.
func (s Stamp) AtLeast(from, seen Stamp) int64 {
	ms, sure := s.Since(from)
	if sure {
		return ms
	}
	if known, ok := seen.Since(from); ok {
		rest, _ := s.Since(seen)
		ms = max(ms, known+rest)
	}
	if s.Boot != from.Boot {
		ms = max(ms, s.BootMs)
	}
	return ms
}
