package batch

import (
	"strings"
	"testing"

	"mellisca/core/guide"
	"mellisca/core/measure"
)

func listed(items []ReadyItem) string {
	var lines []string
	for _, i := range items {
		lines = append(lines, i.Text+" "+i.Short)
	}
	return strings.Join(lines, "\n")
}

func TestGetReady(t *testing.T) {
	k := withCanners(t)
	one := makeOK(t, peaches(), k)
	text := listed(GetReady([]Plan{one}, measure.US))
	for _, want := range []string{"Peaches: 12 lb", "Granulated sugar: 15 oz", "6 quarts for the peaches", "6 new regular lids", "for the dip", "1 tsp (3 g) of ascorbic acid in 1 gallon", "The big kettle, with its rack", "at 180 °F", "of flame or plate", "outdoors only", "tied hair"} {
		if !strings.Contains(text, want) {
			t.Errorf("nothing says %q in\n%s", want, text)
		}
	}
	// Of two batches what they share stands once, and sugar is added up.
	r := peaches()
	r.Product, r.Kind, r.Form = "pears", "", "halves"
	items := GetReady([]Plan{one, makeOK(t, r, k)}, measure.US)
	text = listed(items)
	if strings.Count(text, "tied hair") != 1 || strings.Count(text, "Granulated sugar") != 1 || strings.Contains(text, "sugar: 15 oz") || !strings.Contains(text, "for the pears") || strings.Count(text, "with its rack") != 1 {
		t.Error(text)
	}
	ids := map[string]bool{}
	group := -1
	order := []string{ReadyFruit, ReadyJars, ReadyTools, ReadyStove, ReadySelf}
	for _, i := range items {
		if ids[i.ID] {
			t.Errorf("%s stands twice", i.ID)
		}
		ids[i.ID] = true
		for g, name := range order {
			if name == i.Group {
				group = max(group, g)
			}
		}
		if i.Group == "" || i.Text == "" {
			t.Errorf("%+v", i)
		}
	}
	if group != len(order)-1 {
		t.Error("a group is missing")
	}
}

// TestReadyAcidIsNeverLess: the lemon juice of all jars together is no less than
// each jar's, whatever the jar.
func TestReadyAcidIsNeverLess(t *testing.T) {
	r := peaches()
	r.Product, r.Kind, r.Form, r.Amount = "figs", "", "", "7 jars"
	text := listed(GetReady([]Plan{makeOK(t, r, corvane(t))}, measure.US))
	if !strings.Contains(text, "Bottled lemon juice: 3/4 cup + 2 tbsp") {
		t.Error(text)
	}
	r.Product, r.Amount = "apple-pie-filling", "7 jars"
	if text = listed(GetReady([]Plan{makeOK(t, r, corvane(t))}, measure.US)); !strings.Contains(text, "Bottled lemon juice: 3/4 cup") || !strings.Contains(text, "Cook-type modified starch: 1 1/2 cups") {
		t.Error(text)
	}
	r.Method = "oven"
	if items := GetReady([]Plan{makeOK(t, r, corvane(t))}, measure.US); items != nil {
		t.Errorf("a refused batch wants %v", items)
	}
	r = peaches()
	r.Method = guide.Steam
	if text = listed(GetReady([]Plan{makeOK(t, r, corvane(t))}, measure.US)); !strings.Contains(text, "the vent clear") {
		t.Error(text)
	}
}

// TestReadyWaters counts the baths, the dip and the juicer by the fruit that goes in.
func TestReadyWaters(t *testing.T) {
	list := func(plans ...Plan) string {
		var all []string
		last := ""
		for _, i := range GetReady(plans, measure.US) {
			if i.Group < last && i.Group == ReadyFruit {
				t.Errorf("%q stands apart from the fruit", i.Text)
			}
			last = i.Group
			all = append(all, i.Text)
		}
		return strings.Join(all, "\n")
	}
	r := peaches()
	r.Amount = "6 lb"
	if got := list(makeOK(t, r, corvane(t))); !strings.Contains(got, "A bath against browning") || !strings.Contains(got, "of boiling water for the dip, 2 lb") || strings.Contains(got, "juicer about") {
		t.Error(got)
	}
	r.Amount = "20 lb"
	pears := Request{Product: "pears", Form: "halves", Pack: guide.Hot, Jar: "quart", Amount: "17 1/2 lb"}
	if got := list(makeOK(t, r, corvane(t)), makeOK(t, pears, corvane(t))); !strings.Contains(got, "Baths against browning, 5 in all") {
		t.Error(got)
	}
	juice := Request{Product: "grape-juice", Pack: guide.Hot, Jar: "quart", Amount: "26 lb"}
	if got := list(makeOK(t, juice, corvane(t))); !strings.Contains(got, "for each of 3 goes") || strings.Contains(got, "browning") {
		t.Error(got)
	}
}
