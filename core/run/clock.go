package run

import (
	"fmt"
	"slices"
)

// SideKind is what a clock beside a load is for.
type SideKind string

// The kinds of clocks beside a load.
const (
	Dip       SideKind = "dip"       // in boiling water, till the skins slip
	OneMinute SideKind = "minute"    // a filling's one-minute boil
	Simmer    SideKind = "simmer"    //
	Juicer    SideKind = "juicer"    // water into the base of the juicer, again and again
	Stir      SideKind = "stir"      // the slow pot, again and again
	Settle    SideKind = "settle"    // juice in the cold
	Cool      SideKind = "cool"      // jars untouched before their seals are looked at
	Reprocess SideKind = "reprocess" // an unsealed jar's day
	Other     SideKind = "other"     //
)

// SideInfo is what is known of a kind of clock. Times are in milliseconds.
type SideInfo struct {
	Kind   SideKind
	Name   string
	Do     string // what to do when it rings
	Usual  int64
	Least  int64 // that it may be set to
	Most   int64
	Again  bool // it starts over when it was heard
	Spoils bool // the sooner it rings the safer, where the clocks cannot tell
}

const (
	second = int64(1000)
	minute = 60 * second
	hour   = 60 * minute
)

// Juicer refills and days are those of the Complete Guide to Home Canning (2015) and of
// common steam-juicer practice; how often a slow pot is stirred is a common habit.
var sides = []SideInfo{
	{Dip, "Dip", "Out, into cold water, and slip the skins.", 45 * second, 30 * second, 60 * second, false, true},
	{OneMinute, "One-minute boil", "Fold in the fruit at once and fill.", minute, minute, minute, false, false},
	{Simmer, "Simmer", "It has simmered.", 10 * minute, minute, 12 * hour, false, false},
	{Juicer, "Juicer", "Hot water into the base: never dry.", 45 * minute, 5 * minute, hour, true, true},
	{Stir, "Slow pot", "Stir it to the bottom.", 2 * hour, 5 * minute, 3 * hour, true, true},
	{Settle, "Settling", "Pour it off the sediment.", 24 * hour, 24 * hour, 48 * hour, false, false},
	{Cool, "Cooling", "Look at the seals.", 12 * hour, 12 * hour, 24 * hour, false, false},
	{Reprocess, "Unsealed jars", "Their day is over: what was not refrigerated or processed again is to be thrown away.", 24 * hour, hour, 24 * hour, false, true},
	{Other, "Clock", "It is time.", 10 * minute, 5 * second, 72 * hour, false, false},
}

// Sides lists what is known of the kinds of clocks. The caller owns the slice.
func Sides() []SideInfo { return slices.Clone(sides) }

// FindSide looks a kind up.
func FindSide(k SideKind) (SideInfo, bool) {
	i := slices.IndexFunc(sides, func(s SideInfo) bool { return s.Kind == k })
	if i < 0 {
		return SideInfo{}, false
	}
	return sides[i], true
}

// SideClock is a clock beside a load.
type SideClock struct {
	ID      string
	Kind    SideKind
	Name    string // "dip of the second basket"
	ForMs   int64
	Started Stamp // for one that starts over, when it was heard last
}

// Ticking is a side clock at a moment.
type Ticking struct {
	LeftMs  int64
	OverMs  int64 // how long it has been ringing
	Ringing bool
	Sure    bool // the clocks can tell
}

// At is where the clock is. Where the clocks cannot tell, one for what spoils rings
// sooner, and one for what must have its time rings later. seen is as for Load.Fold.
func (c SideClock) At(now, seen Stamp) Ticking {
	info, _ := FindSide(c.Kind)
	passed, sure := now.Since(c.Started)
	switch {
	case sure:
	case info.Spoils:
		passed = now.AtLeast(c.Started, seen)
	default:
		passed = now.AtMost(c.Started, seen)
	}
	t := Ticking{Sure: sure, LeftMs: max(0, c.ForMs-passed), OverMs: max(0, passed-c.ForMs)}
	t.Ringing = t.LeftMs == 0
	return t
}

// SideAct is what is done with a side clock.
type SideAct string

// What is done with a side clock. One that starts over does so when it was heard.
const (
	Started SideAct = "started"
	Heard   SideAct = "heard"
	Stopped SideAct = "stopped"
)

// SideEvent is one thing done with a side clock. ForMs, Kind and Name are of Started.
type SideEvent struct {
	ID    string
	Act   SideAct
	Told  Stamp
	Kind  SideKind
	Name  string
	ForMs int64
}

// FoldSides works out which clocks run from all that was done with them, in the order
// it was told. One that was heard and does not start over has ended.
func FoldSides(events []SideEvent) []SideClock {
	var all []SideClock
	for _, e := range events {
		i := slices.IndexFunc(all, func(c SideClock) bool { return c.ID == e.ID })
		switch {
		case e.Act == Started && i < 0:
			all = append(all, SideClock{e.ID, e.Kind, e.Name, e.ForMs, e.Told})
		case i < 0:
		case e.Act == Heard:
			if info, _ := FindSide(all[i].Kind); info.Again {
				all[i].Started = e.Told
				continue
			}
			all = slices.Delete(all, i, i+1)
		case e.Act == Stopped:
			all = slices.Delete(all, i, i+1)
		}
	}
	return all
}

// Start is the event that starts a clock, or a *Refusal. forMs of 0 is its usual time.
func Start(id string, k SideKind, name string, forMs int64, now Stamp) (SideEvent, error) {
	info, ok := FindSide(k)
	if !ok {
		return SideEvent{}, refuse("kind", "There is no such clock.")
	}
	if forMs == 0 {
		forMs = info.Usual
	}
	if forMs < info.Least || forMs > info.Most {
		return SideEvent{}, refuse("minutes", "Accepted: %s to %s.", span(info.Least), span(info.Most))
	}
	if len(name) > 60 {
		return SideEvent{}, refuse("name", "That is too long: 60 letters at most.")
	}
	return SideEvent{id, Started, now, k, name, forMs}, nil
}

// span names a time: "45 seconds", "10 minutes", "24 hours".
func span(ms int64) string {
	switch {
	case ms%hour == 0 && ms > hour:
		return fmt.Sprintf("%d hours", ms/hour)
	case ms%minute == 0:
		return minutes(ms)
	}
	return seconds(ms)
}
