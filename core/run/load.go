package run

// Load is what is planned for one filling of a canner; its events tell what became of
// it.
type Load struct {
	Name          string // "peaches, in quarts"
	Jars          int
	Minutes       int     // of the process, for the altitude as it is set
	HigherMinutes int     // for the next band up: used while the altitude is in doubt; 0: no tested time there
	TopBand       bool    // there is no band above, so HigherMinutes says nothing
	RestMinutes   int     // between heat off and lifting
	Steam         bool    // by atmospheric steam
	Hot           bool    // packed hot
	Acid          bool    // acid must be in every jar
	BoilC         float64 // where water boils at the set altitude, in °C
}

// Checks lists what is looked at before its jars are closed, in order.
func (l Load) Checks() []Check {
	all := []Check{Headspace, Bubbles, TopUp, Rim, FlatLid, Band}
	if l.Acid {
		all = append([]Check{Acid}, all...)
	}
	return all
}

// fullMs is the process time that counts: the longer one while the altitude is in doubt.
// ok is false where there is no tested time.
func (s *State) full(l Load) {
	minutes := l.Minutes
	if s.answered {
		minutes = s.minutes
	}
	s.NoTime = minutes <= 0
	if s.AltitudeAsked && !l.TopBand {
		if l.HigherMinutes <= 0 {
			s.NoTime = true
		}
		minutes = max(minutes, l.HigherMinutes)
	}
	s.FullMs = int64(minutes) * 60_000
}
