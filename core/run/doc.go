// Package run is a canner load while it happens: an append-only list of events is
// folded into the state that a cook reads, with the one thing to do next.
//
//	e, err := run.Accept(load, events, run.Event{Kind: run.Boil}, now) // a refusal says why
//	events = append(events, e)
//	s := load.Fold(events, now)
//	s.Phase  // run.Boiling
//	s.LeftMs // until the time is up, from the last boil
//
// Times are kept by two clocks, see Stamp: one that people set and one that nobody
// does. What cannot be told for sure never counts towards a process time: the clock
// holds and asks. Nothing is erased; a correction is an event of its own.
package run
