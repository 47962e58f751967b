package batch

import (
	"testing"

	"mellisca/core/day"
	"mellisca/core/guide"
	"mellisca/core/measure"
)

// TestMaking takes the minutes of a plan's loads as they are, and those of its steps from the
// cook's record before the table.
func TestMaking(t *testing.T) {
	here, _ := measure.ParseAltitude("3,480 ft")
	k := Kitchen{Altitude: &here, Units: measure.US}
	r := First("peaches", k)
	r.Amount = "14 jars"
	p, err := Make(r, k)
	if err != nil || p.Status != Tested {
		t.Fatal(err, p.Status)
	}
	m := p.Making(k, day.Minutes{day.JarMinutes: 4})
	if !m.Dip || m.Raw || !m.Liquid || m.Extract != "" || m.Prepare != 0 || len(m.Portions) != len(p.Loads) {
		t.Errorf("%+v", m)
	}
	jars := 0
	for i, q := range m.Portions {
		jars += q.Jars
		if q.Time != p.Loads[i].Minutes || q.Time != p.Verdict.Tested.Minutes || q.Rest != 5 {
			t.Errorf("load %d: %+v", i, q)
		}
	}
	if jars != 14 || m.Minutes.Of(day.JarMinutes) != 4 {
		t.Error(jars, m.Minutes)
	}
	k.Schools = map[string]string{"rest": "10", "juice": "steam"}
	k.Seen = map[Way]Seen{{"peaches", r.Form, guide.Hot}: {Fill: []float64{2.2, 9, 3.1}, Cook: []float64{1.5}, Prepare: []float64{3, 3, 3}}}
	if p, err = Make(r, k); err != nil {
		t.Fatal(err)
	}
	m = p.Making(k, nil)
	if m.Minutes.Of(day.JarMinutes) != 4 || m.Minutes.Of(day.CookMinutes) != up(1.5*float64(m.Portions[0].Jars)) || m.Prepare == 0 || m.Portions[0].Rest != 10 {
		t.Errorf("%+v", m)
	}
	for product, want := range map[guide.Product]day.Making{
		"grape-juice": {Extract: day.Juicer, Settle: 1440}, "apple-butter": {Slow: true}, "plums": {Liquid: true}, "applesauce": {}, "apple-juice": {Extract: day.Juicer, Settle: 1440},
	} {
		r := First(product, k)
		p, err := Make(r, k)
		if err != nil || p.Status == Refused {
			t.Error(product, err, p.Status)
			continue
		}
		got := p.Making(k, nil)
		if got.Extract != want.Extract || got.Settle != want.Settle || got.Slow != want.Slow || got.Liquid != want.Liquid || got.Dip {
			t.Errorf("%s: %+v", product, got)
		}
		for _, q := range got.Portions {
			if q.Time < 5 {
				t.Errorf("%s: a load of %d min", product, q.Time)
			}
		}
	}
}
