package shelf

import "fmt"

// Record is what the stove remembers of a load.
type Record struct {
	Known    bool  // there is a record at all
	RestMs   int64 // from heat off to lifting
	Restarts int   // how often the boil was lost
	TopsBare bool  // the water had been under the tops
	Raw      bool  // packed raw
	Heavy    bool  // in heavy or very heavy syrup
}

// Cause is a likely reason for what was found. Own is one that this load's own record
// tells of; the others are what such things usually come from.
type Cause struct {
	Text string
	Own  bool
}

// Causes lists likely reasons for what was found of a jar, those of its own record
// first. Source: Complete Guide to Home Canning, Guide 1 (2015).
func Causes(f Finding, r Record) []Cause {
	var own, usual []Cause
	say := func(format string, args ...any) { own = append(own, Cause{fmt.Sprintf(format, args...), true}) }
	usually := func(texts ...string) {
		for _, t := range texts {
			usual = append(usual, Cause{Text: t})
		}
	}
	if f.LiquidLost > 0 {
		if r.Known && r.RestMs < 5*minute {
			say("It rested %s after the heat went off; 5 minutes at least, and up to 10, let the pressure in the jars settle.", minutesOf(r.RestMs))
		}
		if r.Restarts > 0 {
			say("The boil was lost and came back %s: heat that goes up and down draws liquid out.", times(r.Restarts))
		}
		if r.TopsBare {
			say("The water had been under the tops.")
		}
		usually("Too little headspace, or bubbles left in.", "Heat turned up and down, or a boil too wild.", "Jars lifted too soon after the heat went off, or tilted.")
	}
	if f.Float {
		if r.Raw {
			say("It was packed raw: the air in the fruit lifts it.")
		}
		if r.Heavy {
			say("The syrup is heavier than the fruit.")
		}
		usually("Fruit that was very ripe, or packed loosely.", "Air in the fruit: a hot pack drives it out.")
	}
	if f.Cloudy {
		usually("Minerals in hard water, or starch from fruit that was not ripe: harmless.", "Fruit that was cooked too soft.", "Spoilage: where it bubbles, smells or leaks too, do not taste it.")
	}
	if f.Seal == Unsealed || f.Seal == FalseSeal {
		if r.TopsBare {
			say("The water had been under the tops.")
		}
		usually("A nick or a crumb on the rim: feel for it.", "A lid used before, or a bent band.", "A band screwed too tight or too loose, or tightened afterwards.", "Too much or too little headspace.")
	}
	if f.Seal == Broken {
		usually("Cold jars into hot water, or hot ones onto stone, metal or into a draught.", "Jars on the bare bottom of the pot, without a rack.", "An old crack, or a jar not made for canning.")
	}
	return append(own, usual...)
}

func minutesOf(ms int64) string {
	if n := ms / minute; n != 1 {
		return fmt.Sprintf("%d minutes", n)
	}
	return "1 minute"
}

func times(n int) string {
	switch n {
	case 1:
		return "once"
	case 2:
		return "twice"
	}
	return fmt.Sprintf("%d times", n)
}
