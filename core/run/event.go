package run

import "slices"

// Kind is what happened.
type Kind string

// What happens to a load. In steam, Boil is pure steam at the vent.
const (
	Checked    Kind = "checked"     // What was looked at in every jar but Except
	SetAside   Kind = "set-aside"   // Jar goes to the refrigerator instead
	JarsIn     Kind = "jars-in"     // into the water
	LidOn      Kind = "lid-on"      //
	Boil       Kind = "boil"        // it boils hard: the time starts
	BoilLost   Kind = "boil-lost"   // the full time starts again once it is back
	BoilBack   Kind = "boil-back"   //
	ToppedUp   Kind = "topped-up"   // with boiling water, the tops having been under all the time
	TopsBare   Kind = "tops-bare"   // the water was under the tops: a lost boil
	LidLifted  Kind = "lid-lifted"  // during the time: in steam a lost boil
	HeatOff    Kind = "heat-off"    //
	LidOff     Kind = "lid-off"     // the rest starts
	Out        Kind = "out"         // every jar stands on its cloth
	JarBroken  Kind = "jar-broken"  // Jar
	JarLeaking Kind = "jar-leaking" // Jar
	Confirmed  Kind = "confirmed"   // after a held clock: it boiled hard since SinceMs
	Unsure     Kind = "unsure"      // after a held clock: nobody knows
	Plateau    Kind = "plateau"     // the water boils cooler than the set altitude says
	Altitude   Kind = "altitude"    // the altitude was looked up again; Minutes are for it
	Corrected  Kind = "corrected"   // the event Target was ShiftMs later (earlier under 0), or, with Void, did not happen
	Silenced   Kind = "silenced"    // the alarm What was heard
	PutAway    Kind = "put-away"    // its place on the hob is free again
	Note       Kind = "note"        // Text
)

var kinds = []Kind{Checked, SetAside, JarsIn, LidOn, Boil, BoilLost, BoilBack, ToppedUp, TopsBare, LidLifted, HeatOff, LidOff, Out,
	JarBroken, JarLeaking, Confirmed, Unsure, Plateau, Altitude, Corrected, Silenced, PutAway, Note}

// Kinds lists all of them. The caller owns the slice.
func Kinds() []Kind { return slices.Clone(kinds) }

// Check is what is looked at before a jar is closed.
type Check string

// The checks, in the order they are done.
const (
	Acid      Check = "acid" // only where the product demands it
	Headspace Check = "headspace"
	Bubbles   Check = "bubbles"
	TopUp     Check = "topped"
	Rim       Check = "rim"
	FlatLid   Check = "lid"
	Band      Check = "band"
)

// Event is one thing that happened. Events of a load are numbered from 1 and are never
// changed or taken away.
type Event struct {
	Seq     int
	Kind    Kind
	Told    Stamp  // when it was told
	AgoMs   int64  // how long before that it happened
	Jar     int    // from 1; 0: the load
	What    string // of Checked and Silenced
	Except  []int  // of Checked: jars that are not right yet
	Target  int    // of Corrected
	ShiftMs int64  // of Corrected
	Void    bool   // of Corrected
	SinceMs int64  // of Confirmed: how long it has boiled hard, by the cook
	Minutes int    // of Altitude; 0: no tested time there
	Text    string // of Note; of Altitude, in words
	Cooler  Stamp  // of a boil: when a thermometer last read under it; zero where none did
	By      string // of what a device proposed: its name
}

// At is when it happened.
func (e Event) At() Stamp { return e.Told.Back(e.AgoMs) }

// MostEarlier is by how much a boil may be told or moved to have begun earlier.
const MostEarlier = 5 * 60_000

// Mistap is how long a tap that would cost or end a process can be taken back as never
// meant.
const Mistap = 60_000

// change is what corrections come to for one event.
type change struct {
	shift int64
	void  bool
}

// corrections gathers what was corrected, by the number of the event. A correction that
// was itself taken back does not count.
func corrections(events []*Event) map[int]change {
	var all map[int]*Event
	for _, e := range events {
		if e.Kind == Corrected {
			if all == nil {
				all = map[int]*Event{}
			}
			all[e.Seq] = e
		}
	}
	undone := map[int]bool{}
	for _, e := range all {
		if all[e.Target] != nil && e.Void {
			undone[e.Target] = true
		}
	}
	changes := map[int]change{}
	for seq, e := range all {
		if all[e.Target] == nil && !undone[seq] {
			c := changes[e.Target]
			changes[e.Target] = change{c.shift + e.ShiftMs, c.void || e.Void}
		}
	}
	return changes
}

// pointers is the events without a copy of each.
func pointers(events []Event) []*Event {
	all := make([]*Event, len(events))
	for i := range events {
		all[i] = &events[i]
	}
	return all
}

// Changes says by how much each event was moved later and which were taken back, by
// number.
func Changes(events []Event) (shiftMs map[int]int64, void map[int]bool) {
	shiftMs, void = map[int]int64{}, map[int]bool{}
	all := corrections(pointers(events))
	for seq, c := range all {
		shiftMs[seq], void[seq] = c.shift, c.void
	}
	for _, e := range events {
		if e.Kind == Corrected && e.Void {
			void[e.Target] = true // of a correction: it was taken back
		}
	}
	for seq := range void {
		if !all[seq].void && slices.IndexFunc(events, func(e Event) bool { return e.Seq == seq && e.Kind == Corrected }) < 0 {
			void[seq] = false
		}
	}
	return shiftMs, void
}

// inOrder sorts events by when they happened: as they were told, but for those that
// were told late or moved, which stand before what is surely later. Corrections are
// worked in; what was voided, and what is there twice, is left out. A boil is put back
// by MostEarlier at most, whatever it says.
func inOrder(events []Event) []*Event {
	all := pointers(events)
	bySeq := func(a, b *Event) int { return a.Seq - b.Seq }
	if !slices.IsSortedFunc(all, bySeq) {
		slices.SortStableFunc(all, bySeq)
	}
	all = slices.CompactFunc(all, func(a, b *Event) bool { return a.Seq == b.Seq })
	changes := corrections(all)
	out := all[:0:len(all)]
	for _, e := range all {
		var c change
		corrected := false
		if len(changes) > 0 {
			c, corrected = changes[e.Seq]
		}
		if c.void {
			continue
		}
		if corrected || e.AgoMs != 0 {
			moved := *e
			if moved.AgoMs -= c.shift; e.Kind == Boil || e.Kind == BoilBack {
				moved.AgoMs = min(moved.AgoMs, MostEarlier)
			}
			e = &moved
		}
		at := len(out)
		if e.AgoMs != 0 {
			for when := e.At(); at > 0 && when.Before(out[at-1].At()); {
				at--
			}
		}
		out = append(out, nil)
		copy(out[at+1:], out[at:])
		out[at] = e
	}
	return out
}
