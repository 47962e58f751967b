package run

// LiftingMs is how long it takes to lift a load and make the water ready for the next:
// our own guess. HotWaitMs is how long hot-packed jars may wait for their load.
const (
	LiftingMs = 5 * minute
	HotWaitMs = 10 * minute
)

// Ahead is when to start filling the jars of the next load.
type Ahead struct {
	InMs      int64 // 0: now
	NotBefore int64 // filled sooner, hot jars would wait too long; 0: now
	Sure      bool  // the time of the load before is running
}

// StartFilling works out when to begin with a next load that takes fillMs to fill, so
// that its jars are ready when the canner is: never so early that hot jars wait more
// than ten minutes. toBoilMs is the forecast while it heats.
func (l Load) StartFilling(s State, fillMs, toBoilMs int64) (a Ahead, ok bool) {
	rest := int64(l.RestMinutes) * minute
	var free int64
	switch s.Phase {
	case Heating, Lost:
		free = toBoilMs + s.FullMs + rest
	case Boiling:
		free, a.Sure = s.LeftMs+rest, true
	case TimeUp:
		free, a.Sure = rest, true
	case Resting:
		free, a.Sure = s.LeftMs, true
	default:
		return Ahead{}, false
	}
	free += LiftingMs
	a.InMs = max(0, free-fillMs)
	a.NotBefore = max(0, free-fillMs-HotWaitMs)
	return a, true
}
