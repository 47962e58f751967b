package fruit

import (
	"math"
	"slices"
)

// Day counts days of the kitchen's own calendar from 1 January 1970.
type Day int

// Ripeness is how far fruit is.
type Ripeness string

// The stages, in the order that fruit goes through them.
const (
	Hard   Ripeness = "hard"
	Nearly Ripeness = "nearly" // a day or some from ready
	Ready  Ripeness = "ready"  // ripe and firm: fit for any pack
	Past   Ripeness = "past"   // soft: sauce, juice or jam, today
)

var stages = []Ripeness{Hard, Nearly, Ready, Past}

// Stages lists them in order.
func Stages() []Ripeness { return slices.Clone(stages) }

// Kind is a fruit as it comes in.
type Kind struct {
	ID   string
	Name string
	// Quantity is the product that its published container is of; empty where none is.
	Quantity string
	// Days is how long it stays hard, then nearly ready, then ready, at the warmth of
	// a kitchen. These are our own guesses, corrected by what the cook sees.
	Days [3]float64
	// Piece is what one weighs, in grams: our own guess; 0 where nobody counts them.
	Piece float64
	// Firm and Soft are the products made of it while it holds its shape, and after.
	Firm, Soft []string
}

var kindsOfFruit = []Kind{
	{"apple", "apples", "applesauce", [3]float64{10, 10, 30}, 180, []string{"apples-sliced", "apple-pie-filling", "spiced-apple-rings"}, []string{"applesauce", "apple-butter", "apple-juice", "fruit-puree"}},
	{"apricot", "apricots", "apricots", [3]float64{3, 2, 2}, 45, []string{"apricots"}, []string{"fruit-puree", "jam"}},
	{"asian-pear", "Asian pears", "", [3]float64{0, 2, 20}, 250, []string{"asian-pears"}, nil},
	{"berry", "berries", "berries", [3]float64{0, 0, 2}, 0, []string{"berries"}, []string{"jam", "jelly", "berry-syrup", "fruit-puree"}},
	{"blueberry", "blueberries", "berries", [3]float64{0, 0, 2}, 0, []string{"berries", "blueberry-pie-filling"}, []string{"jam", "jelly", "berry-syrup", "fruit-puree"}},
	{"cherry", "cherries", "cherries", [3]float64{0, 0, 4}, 8, []string{"cherries", "cherry-pie-filling"}, []string{"jam", "jelly", "berry-syrup", "fruit-puree"}},
	{"citrus", "grapefruit and oranges", "", [3]float64{0, 0, 14}, 220, []string{"citrus-sections"}, nil},
	{"fig", "figs", "", [3]float64{0, 1, 2}, 45, []string{"figs"}, nil},
	{"grape", "grapes", "grapes", [3]float64{0, 2, 6}, 0, []string{"grapes"}, []string{"grape-juice", "jelly", "jam", "fruit-puree"}},
	{"mango", "mangoes", "", [3]float64{4, 2, 2}, 350, []string{"mango-sauce"}, nil},
	{"nectarine", "nectarines", "nectarines", [3]float64{4, 2, 3}, 140, []string{"nectarines"}, []string{"fruit-puree", "jam"}},
	{"peach", "peaches", "peaches", [3]float64{4, 2, 3}, 150, []string{"peaches", "peach-pie-filling", "mixed-fruit"}, []string{"fruit-puree", "jam"}},
	{"pear", "pears", "pears", [3]float64{7, 3, 3}, 180, []string{"pears", "mixed-fruit"}, []string{"fruit-puree", "jam"}},
	{"pineapple", "pineapples", "", [3]float64{3, 2, 3}, 1600, []string{"pineapple"}, []string{"jam"}},
	{"plum", "plums", "plums", [3]float64{3, 2, 4}, 60, []string{"plums"}, []string{"jam", "jelly", "fruit-puree"}},
	{"quince", "quinces", "", [3]float64{14, 7, 14}, 250, []string{"jelly", "jam"}, []string{"jelly", "jam"}},
	{"rhubarb", "rhubarb", "rhubarb", [3]float64{0, 0, 6}, 0, []string{"rhubarb"}, []string{"jam"}},
	{"strawberry", "strawberries", "", [3]float64{0, 0, 2}, 15, []string{"jam", "berry-syrup"}, []string{"jam", "jelly", "berry-syrup", "fruit-puree"}},
}

// Kinds lists the fruit that comes in. The caller owns the slice.
func Kinds() []Kind { return slices.Clone(kindsOfFruit) }

// FindKind looks a fruit up by its exact id.
func FindKind(id string) (Kind, bool) {
	i := slices.IndexFunc(kindsOfFruit, func(k Kind) bool { return k.ID == id })
	if i < 0 {
		return Kind{}, false
	}
	return kindsOfFruit[i], true
}

// Tap is what a cook saw of a lot on a day.
type Tap struct {
	Day      Day
	Ripeness Ripeness
}

// Fit is when a lot can be canned: our own guess, by what kind it is and what was
// seen of it.
type Fit struct {
	From  Day     // ready from this day; the day of the tap where it is ready already
	Until Day     // the last day that it is likely fit for whole packs
	Pace  float64 // how fast this lot ripens, over the guess for its kind: 2 is twice as long
	Seen  int     // how many changes the pace was learned from
}

// Forecast is the days that a lot is fit to can, from its kind and what was seen,
// the last tap counting as its state on that day. Where two taps saw it change, the
// days between them correct the pace, by half to double. ok is false without a tap.
func (k Kind) Forecast(taps []Tap) (f Fit, ok bool) {
	if len(taps) == 0 {
		return Fit{}, false
	}
	taps = slices.Clone(taps)
	slices.SortStableFunc(taps, func(a, b Tap) int { return int(a.Day - b.Day) })
	f.Pace, f.Seen = k.pace(taps)
	last := taps[len(taps)-1]
	day := float64(last.Day)
	switch last.Ripeness {
	case Hard:
		f.From = Day(math.Round(day + f.Pace*(k.Days[0]+k.Days[1])))
	case Nearly:
		f.From = Day(math.Round(day + f.Pace*k.Days[1]))
	case Ready:
		f.From = last.Day
	case Past:
		return Fit{From: last.Day, Until: last.Day, Pace: f.Pace, Seen: f.Seen}, true
	}
	// The window counts from the first time it was seen ready since it last was not.
	start := f.From
	if last.Ripeness == Ready {
		for i := len(taps) - 1; i >= 0 && taps[i].Ripeness == Ready; i-- {
			start = taps[i].Day
		}
	}
	f.Until = max(start+Day(math.Round(f.Pace*k.Days[2])), f.From)
	return f, true
}

// pace compares the days between changes that were seen with the guess for them.
func (k Kind) pace(taps []Tap) (pace float64, seen int) {
	took, guess := 0.0, 0.0
	for i := 1; i < len(taps); i++ {
		from, to := slices.Index(stages, taps[i-1].Ripeness), slices.Index(stages, taps[i].Ripeness)
		if to <= from {
			continue // nothing changed, or it was looked at again
		}
		for s := from; s < min(to, len(k.Days)); s++ {
			guess += k.Days[s]
		}
		took += float64(taps[i].Day - taps[i-1].Day)
		seen++
	}
	if guess == 0 {
		return 1, 0
	}
	return min(max(took/guess, 0.5), 2), seen
}

// Now is how far a lot likely is on a day: what was seen last, moved on by the
// forecast.
func (k Kind) Now(taps []Tap, on Day) Ripeness {
	f, ok := k.Forecast(taps)
	if !ok {
		return ""
	}
	last := slices.MaxFunc(taps, func(a, b Tap) int { return int(a.Day - b.Day) })
	switch {
	case on > f.Until && last.Day < on:
		return Past
	case on >= f.From:
		if last.Ripeness == Past {
			return Past
		}
		return Ready
	case last.Ripeness == Hard && float64(on-last.Day) >= f.Pace*k.Days[0]:
		return Nearly
	}
	return last.Ripeness
}

// Make lists the products to make of a fruit at a ripeness, nearest first: firm
// fruit whole or in pieces, soft fruit in sauce, butter, juice or jam.
func (k Kind) Make(r Ripeness) []string {
	switch r {
	case Past:
		return slices.Clone(k.Soft)
	case Ready:
		return append(slices.Clone(k.Firm), k.Soft...)
	}
	return slices.Clone(k.Firm)
}
