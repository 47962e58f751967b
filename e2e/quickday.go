package e2e

import (
	"fmt"
	"time"
)

// Underway plans a day of peaches and blueberries and runs it until its first load is in the
// canner and late, so that not all is done by two.
func (q *Quick) Underway() error {
	type saved struct{ ID string }
	var peaches, berries saved
	for request, into := range map[string]*saved{
		`{"product":"peaches","kind":"freestone","form":"halves","pack":"hot","jar":"quart","amount":"14 jars","liquid":{"kind":"syrup","strength":"light"}}`: &peaches,
		`{"product":"berries","kind":"blueberry","form":"whole","pack":"raw","jar":"pint","amount":"9 jars","liquid":{"kind":"syrup","strength":"light"}}`:    &berries,
	} {
		if err := q.ask("POST", "/api/batches", `{"request":`+request+`}`, into); err != nil {
			return err
		}
	}
	now := time.UnixMilli(q.Clock.Now().WallMs)
	q.Clock.Forward(time.Date(now.Year(), now.Month(), now.Day()+1, 7, 30, 0, 0, time.Local).Sub(now))
	for _, told := range [][3]string{
		{"PUT", "", `{"begin":"8","by":"14:00","late":"","burners":4,"pots":2,"cooks":[{"name":"Ilse","from":"8:00","to":"18:00","breaks":[{"from":"12:30","to":"13:00"}]},{"name":"Marlow","from":"10:00","to":"18:00","breaks":[]}]}`},
		{"POST", "/batches", `{"batch":"` + peaches.ID + `"}`}, {"POST", "/batches", `{"batch":"` + berries.ID + `"}`},
	} {
		if err := q.ask(told[0], "/api/days/today"+told[1], told[2], nil); err != nil {
			return err
		}
	}
	for range 40 {
		var d struct {
			Now  int
			Main *struct {
				Step, Kind, Next, Batch string
				Number                  int
			}
			Steps []struct {
				Key      string
				From, To int
			}
		}
		if err := q.ask("GET", "/api/days/today", `null`, &d); err != nil || d.Main == nil {
			return err
		}
		for _, s := range d.Steps {
			at := s.From
			if d.Main.Kind == "done" {
				at = s.To
			}
			if s.Key == d.Main.Step && at > d.Now {
				q.Clock.Forward(time.Duration(at-d.Now) * time.Minute)
			}
		}
		if d.Main.Kind == "hob" {
			return q.lateLoad(d.Main.Batch, d.Main.Number)
		}
		if err := q.ask("POST", "/api/days/today/steps", fmt.Sprintf(`{"step":%q,"kind":%q,"next":%q}`, d.Main.Step, d.Main.Kind, d.Main.Next), nil); err != nil {
			return err
		}
	}
	return nil
}

// lateLoad opens a load that takes forty minutes to the boil.
func (q *Quick) lateLoad(batch string, number int) error {
	var hob struct{ Loads []struct{ ID string } }
	if err := q.ask("POST", "/api/stove/loads", fmt.Sprintf(`{"batch":%q,"load":%d}`, batch, number), &hob); err != nil {
		return err
	}
	tell := func(kind string) error {
		return q.ask("POST", "/api/stove/loads/"+hob.Loads[0].ID+"/tell", `{"after":99,"kind":"`+kind+`"}`, nil)
	}
	q.Clock.Forward(16 * time.Minute)
	for _, kind := range []string{"checked", "jars-in", "lid-on"} {
		if err := tell(kind); err != nil {
			return err
		}
	}
	q.Clock.Forward(40 * time.Minute)
	return tell("boil")
}
