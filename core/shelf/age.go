package shelf

import (
	"cmp"
	"slices"

	"mellisca/core/fruit"
)

// A year of a jar's quality, and how long some keep to. Neither is a date after which it
// is unsafe. Source: Complete Guide to Home Canning, Guide 1 (2015).
const (
	BestDays = 365
	OldDays  = 548
)

// Age is how a jar stands to its best.
type Age string

// The ages.
const (
	Best Age = "best"
	Past Age = "past" // its best: eat it first
	Old  Age = "old"  // past a year and a half
)

// AgeOf says how a jar canned on a day stands today.
func AgeOf(canned, today fruit.Day) Age {
	switch {
	case today-canned > OldDays:
		return Old
	case today-canned > BestDays:
		return Past
	}
	return Best
}

// Standing jars are looked over once a year; those that need an eye, twice: our own
// habit.
const (
	LookDays     = 365
	LookSoonDays = 182
)

// Look is what decides when a jar is to be looked over.
type Look struct {
	Canned   fruit.Day
	Looked   fruit.Day // last; 0: never
	UseFirst bool
	Process  Process
}

// Due is the day on which a jar is to be looked over next.
func (l Look) Due() fruit.Day {
	last := max(l.Canned, l.Looked)
	if l.UseFirst || l.Process == Unknown {
		return last + LookSoonDays
	}
	if past := l.Canned + BestDays; last >= past {
		return last + LookSoonDays
	}
	return last + LookDays
}

// Sign is something that a look-over may find.
type Sign struct {
	ID   string
	Text string
}

// Signs lists what to look for, and that a jar with any of it is not tasted. Source:
// Complete Guide to Home Canning, Guide 1 (2015).
func Signs() []Sign {
	return []Sign{
		{"bulging", "The lid bulges or springs"},
		{"leaking", "It leaks, or its rim is wet or crusted"},
		{"loose", "The seal has let go"},
		{"spurting", "It spurts or bubbles"},
		{"mould", "Mould, on top or under the lid"},
		{"smell", "An odd smell"},
		{"colour", "An odd colour, or cloudier than it was"},
	}
}

// SignText says a sign in words.
func SignText(id string) (string, bool) {
	all := Signs()
	if i := slices.IndexFunc(all, func(s Sign) bool { return s.ID == id }); i >= 0 {
		return all[i].Text, true
	}
	return "", false
}

// What a jar that shows a sign comes to, and what is said of one that nobody knows the
// process of.
const (
	SpoiltText  = "Do not taste it. Keep it from people and animals, and throw it away closed, as the local food-safety service says. Botulism can kill and may show no sign."
	UnknownText = "Nobody can tell by looking whether it was processed safely. It is never counted as tested; when in doubt, throw it away unopened."
)

// Offer is what decides which of several like jars is taken first.
type Offer struct {
	ID       string
	UseFirst bool
	Canned   fruit.Day
	Number   int // within its load
}

// Before orders jars for the kitchen: those to be used first, then the oldest.
func (o Offer) Before(p Offer) int {
	if o.UseFirst != p.UseFirst {
		if o.UseFirst {
			return -1
		}
		return 1
	}
	return cmp.Or(cmp.Compare(o.Canned, p.Canned), cmp.Compare(o.Number, p.Number), cmp.Compare(o.ID, p.ID))
}
