package fruit

import (
	"slices"
	"strings"
)

// Season is when a fruit is picked, by months 1 to 12; the zero value is all year, as of
// what is bought by its price. It may go over the end of a year.
type Season struct{ From, To int }

// Picked is a fruit of the calendar of seasons.
type Picked struct {
	ID     string // the word that stands in the ids of its products
	Name   string
	Season Season
}

// picked are those of the northern hemisphere; a product is found by the first word that
// stands in its id.
var picked = []Picked{
	{"strawberr", "strawberries", Season{5, 6}}, {"rhubarb", "rhubarb", Season{5, 6}}, {"cherr", "cherries", Season{6, 7}}, {"apricot", "apricots", Season{6, 7}}, {"peach", "peaches", Season{7, 9}},
	{"nectarine", "nectarines", Season{7, 9}}, {"elderberr", "elderberries", Season{8, 9}}, {"cranberr", "cranberries", Season{9, 11}}, {"plum", "plums", Season{8, 9}}, {"fig", "figs", Season{8, 9}},
	{"asian-pear", "Asian pears", Season{8, 10}}, {"pear", "pears", Season{8, 10}}, {"grape", "grapes", Season{8, 10}}, {"pineapple", "pineapple", Season{}}, {"apple", "apples", Season{9, 11}},
	{"quince", "quinces", Season{9, 11}}, {"citrus", "citrus", Season{12, 3}}, {"orange", "oranges", Season{12, 3}}, {"lemon", "lemons", Season{12, 3}}, {"berr", "other berries", Season{7, 8}},
}

// Seasons lists the fruit of the calendar with its months: those that the cook said, by ID,
// else the usual ones.
func Seasons(own map[string]Season) []Picked {
	all := slices.Clone(picked)
	for i, p := range all {
		if s, ok := own[p.ID]; ok {
			all[i].Season = s
		}
	}
	return all
}

// PickedFor is the fruit of the calendar that a product is made of; ok is false where it is
// in none.
func PickedFor(product string, own map[string]Season) (Picked, bool) {
	for _, p := range Seasons(own) {
		if strings.Contains(product, p.ID) {
			return p, true
		}
	}
	return Picked{}, false
}

// SeasonOf is the season of the fruit of a product; all year where none is known.
func SeasonOf(product string, own map[string]Season) Season {
	p, _ := PickedFor(product, own)
	return p.Season
}

// MonthsTo is in how many months the season is next, 0 to 11, from a month: 0 while it
// lasts and for what comes all year.
func (s Season) MonthsTo(month int) int {
	if s.From == 0 || (month-s.From+12)%12 <= (s.To-s.From+12)%12 {
		return 0
	}
	return (s.From - month + 12) % 12
}

// Text says it in words.
func (s Season) Text() string {
	if s.From == 0 {
		return "all year, by its price"
	}
	if s.From == s.To {
		return monthNames[s.From-1]
	}
	return monthNames[s.From-1] + " to " + monthNames[s.To-1]
}

var monthNames = [...]string{"January", "February", "March", "April", "May", "June", "July", "August", "September", "October", "November", "December"}
