package fruit

import "testing"

func TestSeasons(t *testing.T) {
	for product, want := range map[string]Season{
		"peaches": {7, 9}, "peach-pie-filling": {7, 9}, "pears": {8, 10}, "pineapple": {}, "pineapple-juice": {}, "applesauce": {9, 11}, "strawberries": {5, 6}, "berries": {7, 8}, "citrus-sections": {12, 3}, "mango": {}, "mixed-fruit": {},
	} {
		if got := SeasonOf(product, nil); got != want {
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
	if s := SeasonOf("pears", nil).Text(); s != "August to October" {
		t.Error(s)
	}
	own := map[string]Season{"pear": {10, 10}, "berr": {6, 8}, "nothing": {1, 2}}
	if s := SeasonOf("pears", own).Text(); s != "October" {
		t.Error(s)
	}
	if s := SeasonOf("asian-pears", own); s != (Season{8, 10}) {
		t.Error("Asian pears go by pears:", s)
	}
	if p, ok := PickedFor("berry-syrup", own); !ok || p.Name != "other berries" || p.Season != (Season{6, 8}) {
		t.Error(p, ok)
	}
	if _, ok := PickedFor("mango", own); ok {
		t.Error("a mango is in no season here")
	}
	if got := Seasons(own); len(got) != len(Seasons(nil)) || Seasons(nil)[11].Season != (Season{8, 10}) {
		t.Error("what the cook said of one kitchen is kept for all")
	}
}
