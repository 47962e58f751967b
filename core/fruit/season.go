package fruit

import "strings"

// Season is when a fruit is picked, by months 1 to 12; the zero value is all year, as of
// what is bought by its price. It may go over the end of a year.
type Season struct{ From, To int }

// seasons are those of the northern hemisphere; a product is found by the first word
// that stands in its id.
var seasons = []struct {
	word   string
	season Season
}{
	{"strawberr", Season{5, 6}}, {"cherr", Season{6, 7}}, {"apricot", Season{6, 7}}, {"pineapple", Season{}}, {"peach", Season{7, 9}}, {"nectarine", Season{7, 9}},
	{"plum", Season{8, 9}}, {"asian-pear", Season{8, 10}}, {"pear", Season{8, 10}}, {"grape", Season{8, 10}}, {"apple", Season{9, 11}}, {"citrus", Season{12, 3}}, {"orange", Season{12, 3}},
	{"lemon", Season{12, 3}}, {"cranberr", Season{9, 11}}, {"quince", Season{9, 11}}, {"rhubarb", Season{5, 6}}, {"fig", Season{8, 9}}, {"elderberr", Season{8, 9}}, {"berr", Season{7, 8}},
}

// SeasonOf is the season of the fruit of a product; all year where none is known.
func SeasonOf(product string) Season {
	for _, s := range seasons {
		if strings.Contains(product, s.word) {
			return s.season
		}
	}
	return Season{}
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
	return monthNames[s.From-1] + " to " + monthNames[s.To-1]
}

var monthNames = [...]string{"January", "February", "March", "April", "May", "June", "July", "August", "September", "October", "November", "December"}
