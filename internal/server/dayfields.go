package server

import (
	"fmt"
	"strings"

	"mellisca/core/day"
	"mellisca/core/measure"
	"mellisca/internal/store"
)

// readClock reads a typed time of day, and adds what is wrong with it. An empty one is 0
// where it may be left out.
func readClock(typed, where string, empty bool, problems *[]error) int {
	if empty && strings.TrimSpace(typed) == "" {
		return 0
	}
	minute, ok := measure.ParseClock(typed)
	if !ok {
		*problems = append(*problems, field(where, "Accepted: a time of day such as 8:30, 14:00 or 2 pm.", typed))
	}
	return minute
}

// read takes the fields into a day; what is wrong with them is told, all of it.
func (f DayFields) read(d *store.Day) (problems []error) {
	d.Begin = readClock(f.Begin, "body.begin", false, &problems)
	if d.Begin >= 24*60 {
		problems = append(problems, field("body.begin", "Accepted: a time before midnight.", f.Begin))
	}
	d.By, d.Late = readClock(f.By, "body.by", true, &problems), readClock(f.Late, "body.late", true, &problems)
	if d.By > 0 && d.By <= d.Begin && len(problems) == 0 {
		problems = append(problems, field("body.by", "Accepted: an hour after the day begins, or none.", f.By))
	}
	d.Burners, d.Pots, d.Cooks = f.Burners, f.Pots, nil
	for i, c := range f.Cooks {
		at := fmt.Sprintf("body.cooks[%d].", i)
		cook := day.Cook{Name: strings.TrimSpace(c.Name)}
		if cook.Name == "" {
			problems = append(problems, field(at+"name", "Accepted: a name, so that it can be said who does what.", c.Name))
		}
		was := len(problems)
		cook.There = day.Span{From: readClock(c.From, at+"from", false, &problems), To: readClock(c.To, at+"to", false, &problems)}
		if was == len(problems) && cook.There.To <= cook.There.From {
			problems = append(problems, field(at+"to", "Accepted: a time after the one that "+cook.Name+" comes at.", c.To))
		}
		for n, b := range c.Breaks {
			in := fmt.Sprintf("%sbreaks[%d].", at, n)
			was := len(problems)
			s := day.Span{From: readClock(b.From, in+"from", false, &problems), To: readClock(b.To, in+"to", false, &problems)}
			if was == len(problems) && s.To <= s.From {
				problems = append(problems, field(in+"to", "Accepted: a time after the one that the break begins at.", b.To))
			}
			cook.Breaks = append(cook.Breaks, s)
		}
		d.Cooks = append(d.Cooks, cook)
	}
	return problems
}

// fieldsOf is a day as its fields are typed.
func fieldsOf(d store.Day) DayFields {
	or := func(minute int) string {
		if minute == 0 {
			return ""
		}
		return measure.ClockText(minute)
	}
	f := DayFields{Begin: measure.ClockText(d.Begin), By: or(d.By), Late: or(d.Late), Burners: d.Burners, Pots: d.Pots, Cooks: []CookFields{}}
	for _, c := range d.Cooks {
		cook := CookFields{Name: c.Name, From: measure.ClockText(c.There.From), To: measure.ClockText(c.There.To), Breaks: []BreakFields{}}
		for _, b := range c.Breaks {
			cook.Breaks = append(cook.Breaks, BreakFields{measure.ClockText(b.From), measure.ClockText(b.To)})
		}
		f.Cooks = append(f.Cooks, cook)
	}
	return f
}
