package shelf

import (
	"slices"
	"strings"
	"testing"

	"mellisca/core/fruit"
)

func TestLifeOfAJar(t *testing.T) {
	begun := Line{Act: Begun, Day: 100, State: Standing, Place: "cellar"}
	for name, c := range map[string]struct {
		lines []Line
		want  Life
	}{
		"begun":          {[]Line{begun}, Life{State: Standing, Place: "cellar", Since: 100}},
		"in the cold":    {[]Line{{Act: Begun, Day: 100, State: Cold, Until: 105}}, Life{State: Cold, Since: 100, Until: 105}},
		"opened":         {[]Line{begun, {Act: Took, Day: 200}}, Life{State: Opened, Place: "cellar", Since: 200, Until: 205, Last: 2}},
		"and eaten":      {[]Line{begun, {Act: Took, Day: 200}, {Act: Finished, Day: 203}}, Life{State: Eaten, Place: "cellar", Since: 203, Last: 3}},
		"and taken back": {[]Line{begun, {Act: Took, Day: 200}, {Act: Undone, Day: 200, Undoes: 2}}, Life{State: Standing, Place: "cellar", Since: 100}},
		"twice back":     {[]Line{begun, {Act: Moved, Day: 150, Place: "loft"}, {Act: Took, Day: 200}, {Act: Undone, Undoes: 3}, {Act: Undone, Undoes: 2}}, Life{State: Standing, Place: "cellar", Since: 100}},
		"given":          {[]Line{begun, {Act: Gave, Day: 150, Who: "Hanne"}}, Life{State: Given, Place: "cellar", Since: 150, Who: "Hanne", Last: 2}},
		"given, called back, warned": {[]Line{begun, {Act: Gave, Day: 150, Who: "Hanne"}, {Act: Pull, Day: 160, Recall: "r", Why: "short"}, {Act: Warned, Day: 161}},
			Life{State: Given, Place: "cellar", Since: 150, Who: "Hanne", Recall: "r", Warned: true, Last: 4}},
		"looked over": {[]Line{begun, {Act: Looked, Day: 400}}, Life{State: Standing, Place: "cellar", Since: 100, Looked: 400, Last: 2}},
		"pulled":      {[]Line{begun, {Act: Pull, Day: 160, Recall: "r", Why: "short"}}, Life{State: Pulled, Place: "cellar", Since: 160, Why: "short", Recall: "r"}},
	} {
		if got := FoldLife(c.lines); got != c.want {
			t.Errorf("%s: %+v, want %+v", name, got, c.want)
		}
	}
}

// TestNothingComesBackToTheShelf tries every act on every state: what is pulled, in the
// refrigerator, thrown away or never stood there is never shelved again.
func TestNothingComesBackToTheShelf(t *testing.T) {
	acts := []Act{Moved, Took, Finished, Gave, Broke, ThrewAway, Looked, Pull, Warned, Undone}
	allowed := 0
	for _, s := range States() {
		start := Life{State: s, Since: 100, Recall: map[bool]string{true: "r"}[s == Pulled]}
		for _, a := range acts {
			l := Line{Act: a, Day: 120, Who: "Hanne", Why: "mould", Place: "loft", Recall: "r"}
			if start.May(l) != nil {
				continue
			}
			allowed++
			after := start.after(l)
			if after.State == Standing && s != Standing {
				t.Errorf("%s: %s puts it on the shelf", s, a)
			}
			if s == Pulled && !slices.Contains([]State{Discarded, Pulled}, after.State) {
				t.Errorf("pulled: %s makes it %s", a, after.State)
			}
			if (s == Cold || s == Opened) && after.State.Here() && after.State != s && after.State != Pulled {
				t.Errorf("%s: %s keeps it as %s", s, a, after.State)
			}
		}
	}
	if allowed < 20 {
		t.Errorf("only %d were tried", allowed)
	}
	on := Life{State: Standing, Since: 100}
	for l, says := range map[Line]string{
		{Act: Gave, Day: 120}:                       "say who",
		{Act: ThrewAway, Day: 120}:                  "say why",
		{Act: Took, Day: 99}:                        "before the last thing",
		{Act: Undone, Day: 120, Undoes: 7}:          "nothing to take back",
		{Act: Warned, Day: 120}:                     "stands on the shelf",
		{Act: Act("sold"), Day: 120, Who: "nobody"}: "stands on the shelf",
	} {
		if err := on.May(l); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%+v: %v, want %q", l, err, says)
		}
	}
	if err := (Life{State: Pulled, Why: "Too short."}).May(Line{Act: Finished}); err == nil || !strings.Contains(err.Error(), "Too short.") {
		t.Error(err)
	}
}

func TestAges(t *testing.T) {
	for days, want := range map[fruit.Day]Age{0: Best, 365: Best, 366: Past, 548: Past, 549: Old, 5000: Old} {
		if got := AgeOf(20000, 20000+days); got != want {
			t.Errorf("after %d days: %s", days, got)
		}
	}
	for _, c := range []struct {
		look Look
		want fruit.Day
	}{
		{Look{Canned: 1000}, 1365},
		{Look{Canned: 1000, Looked: 1200}, 1565},
		{Look{Canned: 1000, Looked: 1365}, 1547},
		{Look{Canned: 1000, UseFirst: true}, 1182},
		{Look{Canned: 1000, Process: Unknown, Looked: 1100}, 1282},
	} {
		if got := c.look.Due(); got != c.want {
			t.Errorf("%+v: %d", c.look, got)
		}
	}
	for _, s := range Signs() {
		if text, ok := SignText(s.ID); !ok || text != s.Text {
			t.Error(s)
		}
	}
	if _, ok := SignText("pretty"); ok {
		t.Error("a sign that is none")
	}
	jars := []Offer{{ID: "c", Canned: 10, Number: 2}, {ID: "d", Canned: 90, UseFirst: true}, {ID: "b", Canned: 10, Number: 1}, {ID: "a", Canned: 10, Number: 2}}
	slices.SortFunc(jars, Offer.Before)
	if jars[0].ID != "d" || jars[1].ID != "b" || jars[2].ID != "a" || jars[3].ID != "c" {
		t.Error(jars)
	}
}
