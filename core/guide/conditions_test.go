package guide

import (
	"slices"
	"strings"
	"testing"
)

func TestConditions(t *testing.T) {
	butter, err := ParseExtras("butter,spice")
	if err != nil {
		t.Fatal(err)
	}
	free, err := ParseExtras("spice,zest,vanilla,spirits,salt")
	if err != nil {
		t.Fatal(err)
	}
	for _, c := range []struct {
		query      string
		conditions Conditions
		reasons    string // or the cautions of a tested one
		first      string // alternative
		instead    string
	}{
		{"peaches hot quart 3480 kind=freestone", Conditions{Extras: free}, "check-current-guide", "", ""},
		{"peaches hot quart 3480 kind=freestone", Conditions{AcidAsDemanded, FruitSound, JarSound, 0}, "check-current-guide", "", ""},
		{"peaches hot quart 3480 kind=freestone", Conditions{Fruit: FruitSoft}, "past-its-best check-current-guide", "", ""},
		{"berries raw quart 3480 kind=raspberry", Conditions{Fruit: FruitFrozen}, "frozen-fruit check-current-guide", "", ""},
		{"peaches hot quart 3480", Conditions{Fruit: FruitSpoilt}, "spoilt-fruit", "", "discard"},
		{"peaches hot quart 3480", Conditions{Extras: butter}, "dairy-egg-fat", "peaches hot quart boiling-water 35", "add-on-opening"},
		{"peaches hot quart 3480", Conditions{Jars: JarOneTrip}, "one-trip-jar", "peaches hot quart boiling-water 35", "refrigerate"},
		{"peaches hot quart 3480", Conditions{Jars: JarUsedLids}, "one-trip-jar", "peaches hot quart boiling-water 35", "refrigerate"},
		{"peaches hot quart 3480", Conditions{Acid: AcidLeftOut}, "kind-assumed check-current-guide", "", ""}, // peaches demand none
		{"figs hot quart 3480", Conditions{Acid: AcidFresh}, "acid-missing", "figs hot quart boiling-water 60", "freeze"},
		{"asian-pears hot pint 0", Conditions{Acid: AcidReduced}, "acid-missing", "asian-pears hot pint boiling-water 20", "freeze"},
		{"mango-sauce hot half-pint 0", Conditions{Acid: AcidLeftOut}, "acid-missing", "mango-sauce hot half-pint boiling-water 15", "freeze"},
		{"apple-pie-filling hot quart 0", Conditions{Acid: AcidReduced, Extras: butter}, "acid-missing dairy-egg-fat", "apple-pie-filling hot quart boiling-water 25", "freeze add-on-opening"},
		{"pears raw quart 3480 method=oven thickener=flour", Conditions{Jars: JarChipped, Extras: butter}, "not-a-process thickener dairy-egg-fat one-trip-jar pack-not-tested",
			"pears hot quart boiling-water 35", "refrigerate add-on-opening"},
		{"banana raw pint 0", Conditions{Extras: butter}, "low-acid-fruit dairy-egg-fat", "", "freeze add-on-opening"},
	} {
		q := at(t, c.query)
		q.Conditions = c.conditions
		v := judgeOK(t, q)
		var said, ways []string
		for _, r := range v.Reasons {
			said = append(said, r.Code.String())
		}
		for _, i := range v.Instead {
			ways = append(ways, i.Way)
		}
		if v.Tested != nil {
			for _, ca := range v.Tested.Cautions {
				said = append(said, ca.Code)
			}
		}
		if strings.Join(said, " ") != c.reasons || strings.Join(ways, " ") != c.instead {
			t.Errorf("%s %+v: %v, instead %v", c.query, c.conditions, said, ways)
		}
		if c.first == "" {
			if len(v.Alternatives) > 0 {
				t.Errorf("%s %+v: offers %s", c.query, c.conditions, spell(v.Alternatives[0]))
			}
			continue
		}
		a := v.Alternatives[0]
		if spell(a) != c.first || len(a.Mended) == 0 || a.Conditions.refusals(a.Product) != 0 {
			t.Errorf("%s %+v: offers %s, mending %v", c.query, c.conditions, spell(a), a.Mended)
		}
	}
}

func TestFreeExtrasStayInTheJar(t *testing.T) {
	both, _ := ParseExtras("vanilla,cream")
	if both != 0 {
		t.Error("cream is not an id")
	}
	both, _ = ParseExtras("vanilla,milk")
	q := at(t, "peaches hot quart 0")
	q.Extras = both
	if a := judgeOK(t, q).Alternatives[0]; a.Extras.String() != "vanilla" {
		t.Errorf("left of %s: %s", both, a.Extras)
	}
}

func TestExtrasReadBack(t *testing.T) {
	for _, e := range AllExtras() {
		set, err := ParseExtras(e.ID)
		if err != nil || set.String() != e.ID {
			t.Errorf("%s: %s, %v", e.ID, set, err)
		}
	}
	if all, err := ParseExtras(ExtraIDs()); err != nil || all.String() != ExtraIDs() {
		t.Error(all, err)
	}
	for _, bad := range []string{"butter,", "sand", "Butter", ","} {
		if _, err := ParseExtras(bad); err == nil || !strings.Contains(err.Error(), "accepted: ") {
			t.Errorf("%q: %v", bad, err)
		}
	}
}

func TestConditionsNotUnderstood(t *testing.T) {
	q := at(t, "peaches hot quart 0")
	q.Conditions = Conditions{"some", "odd", "bent", 1 << 31}
	_, err := Judge(q)
	var fields []string
	for _, p := range err.(Problems) {
		fields = append(fields, p.Field)
	}
	if !slices.Equal(fields, []string{"acid", "fruit", "jars", "extras"}) {
		t.Error(fields)
	}
}
