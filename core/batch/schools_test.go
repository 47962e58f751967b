package batch

import (
	"strings"
	"testing"

	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// TestQuestions holds each to its shape: a usual school first that may be chosen,
// a reason beside every one, refused ones not to be chosen.
func TestQuestions(t *testing.T) {
	refused := 0
	seen := map[string]bool{}
	for _, q := range Questions() {
		if seen[q.ID] || q.Ask == "" || len(q.Schools) == 0 || q.Schools[0].Refused {
			t.Errorf("%+v", q)
		}
		seen[q.ID] = true
		for _, s := range q.Schools {
			if s.Name == "" || !strings.HasSuffix(s.Reason, ".") || MayChoose(q.ID, s.ID) == s.Refused {
				t.Errorf("%s: %+v", q.ID, s)
			}
			if s.Refused {
				refused++
			}
		}
	}
	if refused < 8 || MayChoose("pack", "cold") || MayChoose("nothing", "hot") {
		t.Errorf("%d refused", refused)
	}
	k := Kitchen{Schools: map[string]string{"pack": "raw", "hot-jars": "oven", "rest": "10"}}
	if k.School("pack") != "raw" || k.School("hot-jars") != "water" || k.School("rest") != "10" || k.School("nothing") != "" {
		t.Error("a refused or unknown choice was followed")
	}
}

// TestSchoolsShowInAPlan chooses each school that a plan follows, and reads it there.
func TestSchoolsShowInAPlan(t *testing.T) {
	for _, c := range []struct{ question, choice, says string }{
		{"hot-jars", "water", "keep them hot in water"}, {"hot-jars", "dishwasher", "in the dishwasher"},
		{"lids", "warm", "kept warm"}, {"lids", "simmered", "simmered"}, {"lids", "washed", "at room temperature"},
		{"browning", "bottled-lemon", "bottled lemon juice"}, {"browning", "fresh-lemon", "fresh lemon juice"}, {"browning", "ascorbic", "ascorbic acid or six"},
		{"rest", "5", "Wait 5 minutes"}, {"rest", "10", "Wait 10 minutes"},
	} {
		k := corvane(t)
		k.Schools = map[string]string{c.question: c.choice}
		p := makeOK(t, peaches(), k)
		if all := strings.Join(append(p.Prepare, p.After), " "); !strings.Contains(all, c.says) {
			t.Errorf("%s %s: %s", c.question, c.choice, all)
		}
		if p.Verdict.Tested.Minutes != 35 {
			t.Errorf("a school changed the time to %d", p.Verdict.Tested.Minutes)
		}
	}
}

// TestFirst starts a batch of every tested product under every school: what it
// starts from is tested, and raw or steam only where those are.
func TestFirst(t *testing.T) {
	for _, pack := range []string{"hot", "raw"} {
		for _, process := range []string{"boiling-water", "steam"} {
			for _, sweet := range []string{"light", "heavy", "water", "apple-juice"} {
				k := corvane(t)
				k.Schools = map[string]string{"pack": pack, "process": process, "sweet": sweet}
				k.Jars = []jar.ID{"half-pint", "quart"}
				for _, info := range guide.Products() {
					if !info.Tested() {
						continue
					}
					r := First(info.ID, k)
					if info.ID == "berries" {
						r.Kind = "blueberry"
					}
					p := makeOK(t, r, k)
					if p.Status != Tested && !(r.Jar == "quart" && p.Verdict.Reasons[0].Code == guide.JarTooLarge) {
						t.Errorf("%s starts as %+v: %+v", info.ID, r, p.Verdict.Reasons)
					}
				}
			}
		}
	}
	k := corvane(t)
	if r := First("peaches", k); r.Kind != "freestone" || r.Amount != "12 lb" || r.Jar != "quart-wide" && r.Jar != "quart" || r.Liquid.Strength != "light" || r.Pack != guide.Hot {
		t.Errorf("%+v", r)
	}
	k.Schools = map[string]string{"pack": "raw", "sweet": "water"}
	if r := First("peaches", k); r.Pack != guide.Raw || r.Liquid.Kind != Water {
		t.Errorf("%+v", r)
	}
	if r := First("pears", k); r.Pack != guide.Hot {
		t.Error("pears start raw")
	}
	if r := First("peaches", Kitchen{Units: measure.Metric}); r.Jar != "1-l" {
		t.Errorf("a metric kitchen starts with %s", r.Jar)
	}
}

func TestJarsOf(t *testing.T) {
	k := Kitchen{Units: measure.US, Jars: []jar.ID{"1-l", "pint"}}
	if js := JarsOf(k); len(js) != 2 || js[0].ID != "pint" || js[1].ID != "1-l" {
		t.Errorf("%v", js)
	}
	for _, j := range JarsOf(Kitchen{Units: measure.Metric}) {
		if j.System != measure.Metric {
			t.Errorf("%s", j.ID)
		}
	}
	// Ways out are offered in the jars that there are.
	k = corvane(t)
	k.Jars = []jar.ID{"half-pint", "half-gallon"}
	r := peaches()
	r.Jar = "half-gallon"
	for _, a := range makeOK(t, r, k).Verdict.Alternatives {
		if a.Jar != "half-pint" && a.Jar != "half-gallon" {
			t.Errorf("offered a %s", a.Jar)
		}
	}
}
