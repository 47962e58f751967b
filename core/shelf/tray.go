package shelf

import (
	"fmt"
	"slices"
)

// More that can be done with a jar.
const (
	ToShelf Choice = "shelf"
	Away    Choice = "discard"
)

// Told is one thing told of a jar of a load: what was found of it, or what was done.
type Told struct {
	Jar     int // from 1
	Finding *Finding
	Done    Choice // empty with Finding
}

// JarNow is a jar as it stands.
type JarNow struct {
	Finding Finding
	Done    Choice // empty: still to be decided
}

// Fold works out how the jars of a load stand from all that was told of them, in order.
// A new finding opens again what was done by an older one.
func Fold(jars int, told []Told) []JarNow {
	all := make([]JarNow, jars)
	for _, t := range told {
		switch {
		case t.Jar < 1 || t.Jar > jars:
		case t.Finding != nil:
			all[t.Jar-1] = JarNow{Finding: *t.Finding}
		default:
			all[t.Jar-1].Done = t.Done
		}
	}
	return all
}

// Can lists what may be done with a jar of a fate, the usual first. What is stricter
// than need be is always allowed.
func (f Fate) Can() []Choice {
	switch f.Kind {
	case Keep, UseFirst:
		return []Choice{ToShelf, ToRefrigerator, Away}
	case Refrigerate:
		return []Choice{ToRefrigerator, Away}
	case Choose:
		return append(slices.Clone(f.Choices), Away)
	case Discard:
		return []Choice{Away}
	}
	return nil
}

// May says whether something may be done with a jar, or why not.
func (f Fate) May(c Choice) error {
	if f.Kind == Wait {
		return fmt.Errorf("look at it first")
	}
	if !slices.Contains(f.Can(), c) {
		return fmt.Errorf("%s", f.Why)
	}
	return nil
}

// Check says what is wrong with a finding: a seal that is not known, or more liquid gone
// than there was.
func (f Finding) Check() error {
	if !slices.Contains(Seals(), f.Seal) {
		return fmt.Errorf("say whether it sealed: sealed, unsealed, false-seal or broken")
	}
	if !(f.LiquidLost >= 0 && f.LiquidLost <= 1) {
		return fmt.Errorf("of its liquid between nothing and all can be gone")
	}
	return nil
}
