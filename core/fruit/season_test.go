package fruit

import "testing"

func TestSeasons(t *testing.T) {
	for product, want := range map[string]Season{
		"peaches": {7, 9}, "peach-pie-filling": {7, 9}, "pears": {8, 10}, "pineapple": {}, "pineapple-juice": {}, "applesauce": {9, 11}, "strawberries": {5, 6}, "berries": {7, 8}, "citrus-sections": {12, 3}, "mango": {}, "mixed-fruit": {},
	} {
		if got := SeasonOf(product); got != want {
			t.Errorf("%s: %v", product, got)
		}
	}
	for _, c := range []struct {
		season      Season
		month, want int
	}{
		{Season{7, 9}, 7, 0}, {Season{7, 9}, 9, 0}, {Season{7, 9}, 10, 9}, {Season{7, 9}, 6, 1}, {Season{7, 9}, 11, 8},
		{Season{12, 3}, 12, 0}, {Season{12, 3}, 2, 0}, {Season{12, 3}, 4, 8}, {Season{12, 3}, 11, 1}, {Season{}, 5, 0},
	} {
		if got := c.season.MonthsTo(c.month); got != c.want {
			t.Errorf("%v from %d: %d", c.season, c.month, got)
		}
	}
	if s := SeasonOf("pears").Text(); s != "August to October" {
		t.Error(s)
	}
}
