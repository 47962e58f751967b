// Package day puts the steps of several batches on hands, burners, pots and canners, with
// the clock.
//
//	plan := day.Make(day.Problem{Cooks: …, Canners: …, Tasks: …}, day.Effort{Seed: 1, Tries: 1500})
//	plan.Finish      // minutes from midnight
//	plan.Bound       // no plan whatsoever is done before
//
// A load is filled by hand, stands filled for ten minutes at most, and then goes through
// the canner without a gap: jars in, to the boil, the time, the rest, jars out. Everything
// else is a step of so many minutes that may want a pair of hands for parts of it. All
// times are whole minutes from midnight of the first day.
//
// The search is a serial one along a list of the tasks, tried with many lists: those of
// several rules of thumb first, then changes to the best. It is the same each time for the
// same seed. The bound is proven, so the gap between the two is known.
package day
