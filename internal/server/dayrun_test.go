package server

import (
	"fmt"
	"strings"
	"testing"
	"time"
)

// TestDayShifts runs a day by what the stove tells: a late start and a lost boil move what is
// ahead, and nothing that has begun.
func TestDayShifts(t *testing.T) {
	d := newDay(t)
	id := d.save(twoLoads)
	plan := d.add(id)
	d.to(8*60 + 1)
	begin := d.must("GET", "", "")
	if begin.State != "running" || begin.Now != 8*60+1 {
		t.Fatalf("%s at %d", begin.State, begin.Now)
	}
	for _, st := range plan.Steps {
		if st.From <= 8*60+1 && st.Kind != "load" {
			d.must("POST", "/steps", `{"step":"`+st.Key+`","kind":"begun"}`)
		}
	}
	light := d.step(plan, "lit/")
	fruit := d.step(plan, "fruit/1")
	d.to(max(light.From, fruit.From))
	d.must("POST", "/steps", `{"step":"`+light.Key+`","kind":"begun"}`)
	d.must("POST", "/steps", `{"step":"`+fruit.Key+`","kind":"begun"}`)
	one := d.step(plan, "load/1")
	d.to(one.From)
	if status, b := send(t, d, "POST", "/api/stove/loads", `{"batch":"`+id+`","load":0}`); status != 200 {
		t.Fatal(status, b)
	}
	b := d.must("GET", "", "")
	if st := d.step(b, "load/1"); st.State != "now" || st.From != one.From || st.Load == "" {
		t.Errorf("%+v", st)
	}
	if st := d.step(b, "fruit/1"); st.State != "done" { // nobody told, and its load is being filled
		t.Errorf("%+v", st)
	}
	if b.Shift != "" {
		t.Error("on time, and it says: " + b.Shift)
	}
	d.to(one.Pieces[1].From)
	d.told("checked", "jars-in", "lid-on")
	d.to(one.Pieces[3].From)
	d.told("boil")
	d.clock.Forward(20 * time.Minute)
	d.told("boil-lost")
	b = d.must("GET", "", "")
	if st := d.step(b, "load/1"); st.To < one.To+20 || !strings.Contains(b.Shift, "later than it was planned") {
		t.Errorf("a lost boil leaves the load until %d (planned %d): %q", st.To, one.To, b.Shift)
	}
	two := d.step(b, "load/2")
	if two.From <= d.step(plan, "load/2").From || two.Moved == "" {
		t.Errorf("the second load is at %d, planned %d: %q", two.From, d.step(plan, "load/2").From, two.Moved)
	}
	d.told("boil-back")
	d.clock.Forward(35 * time.Minute)
	d.told("heat-off", "lid-off")
	d.clock.Forward(5 * time.Minute)
	d.told("out")
	b = d.must("GET", "", "")
	if st := d.step(b, "load/1"); st.State != "done" {
		t.Errorf("%+v", st)
	}
	if status, _, text := d.ask("POST", d.date+"/steps", `{"step":"`+one.Key+`","kind":"done"}`); status != 404 || !strings.Contains(text, "told at the stove") {
		t.Error(status, text)
	}
	// Nothing is told for an hour: what is ahead waits, it is not behind.
	d.clock.Forward(time.Hour)
	later := d.must("GET", "", "")
	for _, st := range later.Steps {
		if (st.State == "ahead" || st.State == "late") && st.From < later.Now && st.Kind != "lit" {
			t.Errorf("%s is at %d, and it is %d", st.Key, st.From, later.Now)
		}
	}
	if later.Finish == b.Finish {
		t.Error("an hour was lost and it is done at the same time")
	}
	cook := d.step(later, "cook/2")
	d.must("POST", "/steps", `{"step":"`+cook.Key+`","kind":"begun"}`)
	b = d.must("POST", "/steps", `{"step":"`+cook.Key+`","kind":"back"}`)
	if st := d.step(b, "cook/2"); st.State != "late" && st.State != "ahead" {
		t.Errorf("taken back, and it is %s", st.State)
	}
}

// TestSomeLoadsTomorrow leaves the second load of a batch that has begun for the next day: the
// jars, syrup and fruit of each day are for its own loads.
func TestSomeLoadsTomorrow(t *testing.T) {
	d := newDay(t)
	id := d.save(twoLoads)
	plan := d.add(id)
	d.to(8 * 60)
	fruit := d.step(plan, "dip/1")
	d.to(fruit.From)
	d.must("POST", "/steps", `{"step":"`+fruit.Key+`","kind":"begun"}`)
	b := d.set(`{"begin":"8","by":"11:30","late":"","burners":4,"pots":2,"cooks":[{"name":"Ilse","from":"8:00","to":"20:00","breaks":[]}]}`)
	if b.Fits || len(b.Drops) != 1 || b.Drops[0].Left[0].From != 2 || !strings.Contains(b.Drops[0].Text, "load 2 of peaches") {
		t.Fatalf("%v %+v", b.Fits, b.Drops)
	}
	for _, load := range []int{1, 3} {
		if status, _, text := d.ask("POST", d.date+"/batches/"+id+"/move", fmt.Sprintf(`{"part":"","to":%q,"load":%d}`, b.Next, load)); status != 422 {
			t.Error(load, status, text)
		}
	}
	b = d.must("POST", "/batches/"+id+"/move", `{"part":"","to":"`+b.Next+`","load":2}`)
	if !b.Fits || b.Batches[0].Which != "load 1 of 2" || d.step(b, "dip/1").State != "now" {
		t.Errorf("%v %+v", b.Fits, b.Batches)
	}
	for _, st := range b.Steps {
		if strings.HasSuffix(st.Key, "/2") {
			t.Errorf("%s is still on the day", st.Key)
		}
	}
	_, next, _ := d.ask("GET", b.Next, "")
	if len(next.Batches) != 1 || next.Batches[0].Which != "load 2 of 2" || d.step(next, "jars/0").With != "7 of 14 quarts" {
		t.Fatalf("%+v %+v", next.Batches, next.Steps)
	}
	if st := d.step(next, "load/2"); st.Number != 1 || !strings.Contains(st.With, "load 2 of 2") {
		t.Errorf("%+v", st)
	}
	// And back again: the day has both.
	d.ask("POST", next.Date+"/batches/"+id+"/move", `{"part":"","to":"`+d.date+`"}`)
	if b = d.must("GET", "", ""); b.Batches[0].Which != "" || d.step(b, "load/2").State == "done" {
		t.Errorf("%+v", b.Batches)
	}
}

// TestTheDayTellsItsMinutes closes a batch with what was told of its steps, and plans the next
// one by that.
func TestTheDayTellsItsMinutes(t *testing.T) {
	d := newDay(t)
	id := d.save(sevenQuarts)
	plan := d.add(id)
	ran := func() ranBody {
		t.Helper()
		var b ranBody
		if status, text := askInto(d.t.(*testing.T), d.hobTest, "GET", "/api/batches/"+id+"/ran", "", &b); status != 200 {
			t.Fatal(text)
		}
		return b
	}
	at := 8 * 60
	for _, s := range []struct {
		key     string
		minutes int
	}{{"dip/1", 20}, {"fruit/1", 50}, {"cook/1", 15}} {
		if b := ran(); b.PrepareMinutes != 0 && s.key != "cook/1" {
			t.Errorf("half of it is told, and it took %d min", b.PrepareMinutes)
		}
		step := d.step(plan, s.key)
		d.to(at)
		d.must("POST", "/steps", `{"step":"`+step.Key+`","kind":"begun"}`)
		at += s.minutes
		d.to(at)
		d.must("POST", "/steps", `{"step":"`+step.Key+`","kind":"done"}`)
	}
	if status, b := send(t, d, "POST", "/api/stove/loads", `{"batch":"`+id+`"}`); status != 200 {
		t.Fatal(b)
	}
	d.clock.Forward(21 * time.Minute)
	d.told("checked", "jars-in")
	b := ran()
	if b.PrepareMinutes != 70 || b.CookMinutes != 15 || b.FillMinutes != 21 {
		t.Fatalf("%+v", b)
	}
	closing := fmt.Sprintf(`{"jars":[{"jar":"quart","count":7}],"fruit":"17.5 lb","prepareMinutes":%d,"cookMinutes":%d,"fillMinutes":%d,"nextTime":"rest them longer"}`, b.PrepareMinutes, b.CookMinutes, b.FillMinutes)
	if status, text := askInto(t, d.hobTest, "POST", "/api/batches/"+id+"/close", closing, nil); status != 200 {
		t.Fatal(text)
	}
	_, next, _ := d.ask("POST", plan.Next+"/batches", `{"batch":"`+d.save(sevenQuarts)+`"}`)
	if l := d.step(next, "load/1"); l.Pieces[0].To-l.Pieces[0].From != 21 {
		t.Errorf("seven jars took 21 min to fill, and the next are planned with %d", l.Pieces[0].To-l.Pieces[0].From)
	}
	if c := d.step(next, "cook/1"); c.To-c.From != 15 {
		t.Errorf("it is cooked for %d min", c.To-c.From)
	}
	var vows []vowBody
	if askInto(t, d.hobTest, "GET", "/api/vows?product=peaches", "", &vows); len(vows) != 1 || vows[0].Words != "rest them longer" || vows[0].Batch != id {
		t.Errorf("%+v", vows)
	}
}

// TestTwoPeopleAndMidnight takes the same tap twice as one, and leaves a day that goes over
// midnight where it is.
func TestTwoPeopleAndMidnight(t *testing.T) {
	d := newDay(t)
	id := d.save(twoLoads)
	d.set(`{"begin":"21:30","by":"","late":"","burners":4,"pots":2,"cooks":[{"name":"Ilse","from":"21:30","to":"24:00","breaks":[]}]}`)
	b := d.add(id)
	if b.Fits || !strings.Contains(b.Not, "Nobody is there after midnight") || !strings.Contains(b.Finish, "the day after") {
		t.Fatalf("%v %q %q", b.Fits, b.Not, b.Finish)
	}
	if status, _, text := d.ask("POST", d.date+"/locks", `{"step":"nothing/at/all","at":"22:00"}`); status != 404 {
		t.Error(status, text)
	}
	d.to(21*60 + 30)
	first := b.Steps[0]
	tell := func(kind string) dayStepBody {
		t.Helper()
		return d.step(d.must("POST", "/steps", `{"step":"`+first.Key+`","kind":"`+kind+`"}`), first.Key)
	}
	tell("begun")
	d.to(21*60 + 40)
	if st := tell("begun"); st.From != 21*60+30 {
		t.Errorf("told twice, it began at %s", clock(st.From))
	}
	tell("done")
	d.to(21*60 + 50)
	if st := tell("done"); st.To != 21*60+40 || st.State != "done" {
		t.Errorf("told twice, it was done at %s", clock(st.To))
	}
	d.to(24*60 + 40)
	_, b, _ = d.ask("GET", "today", "")
	if b.Date != d.date || b.State != "running" || b.Now != 24*60+40 || b.Main == nil {
		t.Errorf("%s, %s at %d", b.Date, b.State, b.Now)
	}
	d.to(24*60 + 5*60)
	if _, b, _ = d.ask("GET", "today", ""); b.Date == d.date || b.State != "empty" {
		t.Errorf("in the morning it is still %s", b.Date)
	}
	for n := range 10 {
		status, _, text := d.ask("POST", d.date+"/batches", `{"batch":"`+d.save(sevenQuarts)+`"}`)
		if (n < 9) != (status == 200) || n == 9 && !strings.Contains(text, "up to 10") {
			t.Fatal(n, status, text)
		}
	}
}
