package run

import "fmt"

// Trouble is something that goes wrong in a practice run.
type Trouble struct {
	Kind Kind // BoilLost, JarBroken, Checked (a headspace that is short), Unsure (the clocks were lost)
	Jar  int
	At   Stamp
}

// Account says in a few lines what a cook did right in a practice run, and what is to be
// done otherwise when it counts. It praises before it asks.
func (l Load) Account(events []Event, troubles []Trouble, now Stamp) (well, better []string) {
	s := l.Fold(events, now, Stamp{})
	say := func(ok bool, good, else_ string) {
		if ok {
			well = append(well, good)
		} else {
			better = append(better, else_)
		}
	}
	checks := 0
	for _, e := range events {
		if e.Kind == Checked {
			checks++
		}
	}
	say(checks > 0, "You looked at every jar before it went in.", "Look at every jar before it goes in: headspace, bubbles, rim, lid, band.")
	for _, t := range troubles {
		e, ago, told := answer(events, t)
		switch t.Kind {
		case BoilLost:
			say(told, fmt.Sprintf("The boil was lost and you saw it, after %s; the full time ran again.", seconds(ago)), "The boil was lost and nobody told: these jars would be short. Watch the water, not the clock.")
		case JarBroken:
			say(told, fmt.Sprintf("Jar %d broke; you told it and left the others in.", t.Jar), fmt.Sprintf("Jar %d broke and was not told. Its contents are to be thrown away; the others stay.", t.Jar))
		case Checked:
			aside := told || e.Kind == SetAside
			say(aside, fmt.Sprintf("Jar %d did not reach its headspace, and you did not process it so.", t.Jar), fmt.Sprintf("Jar %d did not reach its headspace and went in. Such a jar goes to the refrigerator, or into a smaller jar.", t.Jar))
		case Unsure:
			say(told, "The clock could not tell, and you answered it.", "The clock could not tell and stood waiting. Answer it: when in doubt, the full time again.")
		}
	}
	say(s.HeatOff && !s.Short, "Every jar had its full time, from the boil.", "The time was cut short, so these jars would not be for the shelf.")
	return well, better
}

// answer finds what was told of a trouble, and how long after.
func answer(events []Event, t Trouble) (e Event, agoMs int64, ok bool) {
	for _, e := range events {
		after, sure := e.At().Since(t.At)
		if !sure {
			continue
		}
		switch {
		case t.Kind == BoilLost && (e.Kind == BoilLost || e.Kind == TopsBare) && !e.Told.Before(t.At),
			t.Kind == JarBroken && e.Kind == JarBroken && e.Jar == t.Jar,
			t.Kind == Checked && e.Kind == SetAside && e.Jar == t.Jar,
			t.Kind == Unsure && (e.Kind == Confirmed || e.Kind == Unsure):
			return e, after, true
		}
	}
	return Event{}, 0, false
}

func seconds(ms int64) string {
	if n := (ms + 500) / 1000; n != 1 {
		return fmt.Sprintf("%d seconds", n)
	}
	return "1 second"
}
