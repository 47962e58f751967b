package run

import "fmt"

var phaseWords = map[Phase]string{
	Filling: "the jars are being filled", Loaded: "the jars are in the water", Heating: "it is heating up", Boiling: "the time runs",
	Lost: "the boil was lost", Held: "the clock is waiting for your answer", TimeUp: "the time is up", Resting: "it rests with the heat off", Cooling: "the jars are out",
}

var kindWords = map[Kind]string{
	Checked: "a check", SetAside: "a jar set aside", JarsIn: "jars in", LidOn: "lid on", Boil: "it boils hard", BoilLost: "the boil was lost",
	BoilBack: "it boils hard again", ToppedUp: "topped up with boiling water", TopsBare: "water under the tops", LidLifted: "the lid was lifted",
	HeatOff: "heat off", LidOff: "lid off", Out: "jars out", JarBroken: "a jar broke", JarLeaking: "a jar leaks", Confirmed: "it boiled all the time",
	Unsure: "not sure that it boiled", Plateau: "boils cooler than it should here", Altitude: "the altitude, looked up again", Corrected: "a correction",
	Silenced: "the alarm was heard", PutAway: "cleared from the hob", Note: "a note",
}

var checkWords = map[Check]string{
	Acid: "acid in", Headspace: "headspace right", Bubbles: "bubbles out", TopUp: "topped up again", Rim: "rim wiped", FlatLid: "new lid on", Band: "band fingertip tight",
}

// Words names a check: "headspace right".
func (c Check) Words() string { return checkWords[c] }

// Words names what happened: "jars in".
func (k Kind) Words() string { return kindWords[k] }

// PhaseWords names the phase of a load: "the time runs".
func (l Load) PhaseWords(s State) string {
	if l.Steam && s.Phase == Lost {
		return "the steam was lost"
	}
	return phaseWords[s.Phase]
}

// Next is the one thing to do, with what to watch for meanwhile.
type Next struct {
	Kind  Kind   // the tap that tells it is done; empty: nothing but to wait
	What  string // of that tap
	Do    string // what to do, in words
	Tap   string // what the key says
	Watch []string
}

// Next is the one thing to do in a state.
func (l Load) Next(s State) Next {
	boil, again, lost := "It boils hard", "It boils hard again", "It stopped boiling"
	if l.Steam {
		boil, again, lost = "Pure steam at the vent", "Pure steam again", "The steam stopped"
	}
	switch s.Phase {
	case Filling:
		if len(s.Checks) > 0 {
			c := s.Checks[0]
			return Next{Checked, string(c), "In every jar: " + checkWords[c] + ".", upperFirst(checkWords[c]) + " in all", checkWatch[c]}
		}
		return Next{JarsIn, "", "Set the jars upright on the rack, in water of like heat.", "All jars are in", l.loadingWatch()}
	case Loaded:
		return Next{LidOn, "", "Put the lid on and turn the heat up.", "Lid is on", []string{"Steam burns: tilt the lid away from your face."}}
	case Heating:
		if l.Steam {
			return Next{Boil, "", "Wait for a steady column of pure steam.", boil, []string{"The time starts at pure steam, not before.", "The lid stays on from here to the end."}}
		}
		return Next{Boil, "", "Wait for a hard boil.", boil, []string{"The time starts when it boils hard, not when the jars go in.", "Water must stand over the tops all the time."}}
	case Boiling:
		watch := []string{"Keep it boiling hard. If it stops, the whole time starts again.", "Top up with boiling water only, before the tops show."}
		if l.Steam {
			watch = []string{"Keep a steady column of steam. If it stops, the whole time starts again.", "Never lift the lid during the time; the base must not boil dry."}
		}
		return Next{BoilLost, "", "Nothing to do but keep it boiling.", lost, watch}
	case Lost:
		if l.Steam {
			return Next{BoilBack, "", fmt.Sprintf("Bring it back to pure steam. The full %s start again.", minutes(s.FullMs)), again, []string{"Look at the water in the base: it must not boil dry."}}
		}
		return Next{BoilBack, "", fmt.Sprintf("Bring it back to a hard boil. The full %s start again.", minutes(s.FullMs)), again, []string{"Top up with boiling water only."}}
	case Held:
		return Next{Confirmed, "", "The clock cannot tell how long it boiled. Did it boil hard all the time?", "Yes, all the time", []string{"When in doubt, say so: the full time runs again, and that is safe."}}
	case TimeUp:
		return Next{HeatOff, "", "The time is up. Turn the heat off.", "Heat is off", l.offWatch()}
	case Resting:
		return l.nextAtRest(s)
	}
	if s.Short {
		return Next{Kind: PutAway, Tap: "Clear the hob", Do: "These jars were not processed in full: not for the shelf. Process them again in full within 24 hours, or refrigerate them now, for 3 days at most.", Watch: coolingWatch}
	}
	return Next{Kind: PutAway, Tap: "Clear the hob", Do: "Leave them untouched for 12 to 24 hours. Then look at the seals.", Watch: coolingWatch}
}

func (l Load) nextAtRest(s State) Next {
	wait := s.LeftMs > 0
	lidOff := Next{LidOff, "", "Take the lid off, away from your face.", "Lid is off", []string{"Steam burns: open the far side first."}}
	out := Next{Out, "", "Lift the jars straight up onto a dry cloth, an inch apart.", "All jars are out", []string{"No tilting, no wiping of lids, no tightening of bands.", "Bare stone, metal or a draught may crack hot glass."}}
	switch {
	case !l.Steam && !s.LidOff:
		return lidOff
	case wait:
		return Next{Do: fmt.Sprintf("Let it rest: %s more, against loss of liquid.", minutes(s.LeftMs)), Watch: []string{"Lay the cloth out meanwhile, out of draughts."}}
	case !s.LidOff:
		return lidOff
	}
	return out
}

func (l Load) loadingWatch() []string {
	if l.Steam {
		return []string{"Hot jars into a hot steamer, in one tier.", "Water in the base to its line."}
	}
	heat := "140 °F (60 °C) for raw pack"
	if l.Hot {
		heat = "180 °F (82 °C) for hot pack"
	}
	return []string{"Water at about " + heat + ".", "Pour water between the jars, not onto them, until the tops are covered."}
}

func (l Load) offWatch() []string {
	if l.Steam {
		return []string{"Leave the lid on until the rest is over."}
	}
	return []string{"Lid off next, away from your face."}
}

var coolingWatch = []string{"Do not press the lids or tighten the bands.", "A jar that does not seal has 24 hours: refrigerator, freezer, or the full process again."}

var checkWatch = map[Check][]string{
	Acid:      {"Without it this fruit is not safe in a jar."},
	Headspace: {"A jar that does not reach it goes to the refrigerator, or into a smaller jar."},
	Bubbles:   {"A plastic or wooden tool, no metal."},
	TopUp:     {"Back up to the headspace once the bubbles are out."},
	Rim:       {"Feel for nicks: a chipped rim does not seal."},
	FlatLid:   {"A new flat lid each time."},
	Band:      {"Fingertip tight: air must get out."},
}

func minutes(ms int64) string {
	n := (ms + 59_999) / 60_000
	if n == 1 {
		return "1 minute"
	}
	return fmt.Sprintf("%d minutes", n)
}

func upperFirst(s string) string {
	if s == "" || s[0] < 'a' || s[0] > 'z' {
		return s
	}
	return string(s[0]-'a'+'A') + s[1:]
}
