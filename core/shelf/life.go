package shelf

import (
	"fmt"
	"slices"

	"mellisca/core/fruit"
)

// State is where a jar is in its life.
type State string

// Where a jar may be. Of a jar that was pulled nothing but throwing away is left.
const (
	Standing  State = "shelf"
	Cold      State = "refrigerator" // it did not seal, or lost too much: until its day
	Frozen    State = "freezer"
	Opened    State = "open" // in the refrigerator, until its day
	Eaten     State = "eaten"
	Given     State = "given"
	Smashed   State = "broken"
	Discarded State = "discarded"
	Pulled    State = "pulled" // taken off the shelf by a recall, to be thrown away
)

// States lists them.
func States() []State {
	return []State{Standing, Cold, Frozen, Opened, Eaten, Given, Smashed, Discarded, Pulled}
}

// Here says whether the jar is still in the house.
func (s State) Here() bool {
	return slices.Contains([]State{Standing, Cold, Frozen, Opened, Pulled}, s)
}

// Process is what is known of how a jar was processed.
type Process string

// What may be known. Told is the cook's own word, without a record; only Tested and Told
// count as tested.
const (
	Tested       Process = "tested" // run here by a tested row
	TestedAsTold Process = "told"   // by a tested time, as the cook says
	OwnBook      Process = "own"    // by an own source
	Unknown      Process = "unknown"
)

// Processes lists them.
func Processes() []Process { return []Process{Tested, TestedAsTold, OwnBook, Unknown} }

// Counts says whether a jar is counted among those of a tested process.
func (p Process) Counts() bool { return p == Tested || p == TestedAsTold }

// Act is what is done with a jar.
type Act string

// What may be done with a jar. The first line of a jar is Begun, and so is that of one
// that was decided on anew from the tray; Undone takes back the
// line of the number it names.
const (
	Begun     Act = "begun"
	Moved     Act = "moved"
	Took      Act = "opened"
	Finished  Act = "eaten"
	Gave      Act = "given"
	Broke     Act = "broken"
	ThrewAway Act = "discarded"
	Looked    Act = "looked" // over, and found sound
	Pull      Act = "pulled"
	Warned    Act = "warned" // who has it was told of a recall
	Undone    Act = "undone"
)

// Line is one thing told of a jar. Lines are kept in order and never changed.
type Line struct {
	Act    Act
	Day    fruit.Day
	State  State     `json:",omitempty"` // of Begun
	Place  string    `json:",omitempty"` // of Begun and Moved
	Until  fruit.Day `json:",omitempty"` // of Begun: the last day in the refrigerator
	Looked fruit.Day `json:",omitempty"` // of Begun: over last, before it came here
	Who    string    `json:",omitempty"` // of Gave, and of Begun where it begins as given
	Why    string    `json:",omitempty"` // of ThrewAway, Broke, Pull and Begun
	Recall string    `json:",omitempty"` // of Pull and Warned
	Undoes int       `json:",omitempty"` // of Undone: the number of a line, from 1
}

// Life is a jar as it stands.
type Life struct {
	State  State
	Place  string
	Since  fruit.Day
	Until  fruit.Day // in the refrigerator; 0: no such day
	Who    string
	Why    string
	Looked fruit.Day // over last; 0: never
	Recall string    // it is called back
	Warned bool      // whoever has it was told so
	Last   int       // the number of the line that Undone would take back; 0: none
}

// OpenDays is how long an opened jar is kept in the refrigerator: as one that did not
// seal, since no longer time is tested.
const OpenDays = UnsealedDays

// FoldLife works out how a jar stands from all that was told of it.
func FoldLife(lines []Line) Life {
	undone := map[int]bool{}
	for _, l := range lines {
		if l.Act == Undone {
			undone[l.Undoes] = true
		}
	}
	var now Life
	for i, l := range lines {
		if n := i + 1; l.Act != Undone && !undone[n] {
			now = now.after(l)
			if now.Last = n; l.Act == Begun || l.Act == Pull {
				now.Last = 0 // a recall is undone as a whole
			}
		}
	}
	return now
}

// after is the life of a jar after a line.
func (j Life) after(l Line) Life {
	moved := func(s State) {
		j.State, j.Since, j.Until = s, l.Day, 0
	}
	switch l.Act {
	case Begun:
		moved(l.State)
		j.Place, j.Until, j.Why, j.Who = l.Place, l.Until, l.Why, l.Who
		j.Looked = max(j.Looked, l.Looked)
	case Moved:
		j.Place, j.Since = l.Place, l.Day
	case Took:
		moved(Opened)
		j.Until = l.Day + OpenDays
	case Finished:
		moved(Eaten)
	case Gave:
		moved(Given)
		j.Who = l.Who
	case Broke:
		moved(Smashed)
		j.Why = l.Why
	case ThrewAway:
		moved(Discarded)
		j.Why = l.Why
	case Looked:
		j.Looked = l.Day
	case Warned:
		j.Warned = true
	case Pull:
		j.Recall = l.Recall
		if j.State.Here() {
			moved(Pulled)
			j.Why = l.Why
		}
	}
	return j
}

// Can lists what may be done with a jar as it stands, the usual first.
func (j Life) Can() []Act {
	switch j.State {
	case Standing:
		return []Act{Took, Finished, Gave, Moved, Looked, ThrewAway, Broke}
	case Cold, Opened:
		return []Act{Finished, ThrewAway, Broke}
	case Frozen:
		return []Act{Took, Finished, Gave, ThrewAway, Broke}
	case Pulled:
		return []Act{ThrewAway}
	case Given:
		if j.Recall != "" && !j.Warned {
			return []Act{Warned}
		}
	}
	return nil
}

// May says whether a line may be told of a jar as it stands, or why not in words.
func (j Life) May(l Line) error {
	switch {
	case l.Act == Undone:
		if j.Last == 0 || l.Undoes != j.Last {
			return fmt.Errorf("there is nothing to take back, or something came after it")
		}
	case l.Act == Pull:
	case j.State == Pulled && l.Act != ThrewAway:
		return fmt.Errorf("it was called back: %s It is not to be eaten or given away", j.Why)
	case !slices.Contains(j.Can(), l.Act):
		return fmt.Errorf("it %s", stateWords[j.State])
	case l.Act == Gave && l.Who == "":
		return fmt.Errorf("say who has it now, so that it can be called back")
	case l.Act == ThrewAway && l.Why == "":
		return fmt.Errorf("say why, so that its sisters can be looked at")
	case l.Day < j.Since:
		return fmt.Errorf("that is before the last thing told of it")
	}
	return nil
}

var stateWords = map[State]string{
	Standing: "stands on the shelf", Cold: "is in the refrigerator and was never for the shelf", Frozen: "is in the freezer", Opened: "is open already", Eaten: "was eaten",
	Given: "was given away", Smashed: "is broken", Discarded: "was thrown away", Pulled: "was called back",
}
