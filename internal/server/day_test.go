package server

import (
	"encoding/json"
	"fmt"
	"net/http/httptest"
	"strings"
	"testing"
	"time"
)

// dayTest drives a canning day over HTTP.
type dayTest struct {
	*hobTest
	date string
}

// newDay is a kitchen on the evening before its canning day.
func newDay(t testing.TB) *dayTest {
	t.Helper()
	d := &dayTest{hobTest: newHob(t)}
	now := time.UnixMilli(d.clock.Now().WallMs)
	evening := time.Date(now.Year(), now.Month(), now.Day()+1, 19, 0, 0, 0, time.Local)
	d.clock.Forward(evening.Sub(now))
	d.date = evening.AddDate(0, 0, 1).Format(time.DateOnly)
	d.set(`{"begin":"8","by":"","late":"","burners":4,"pots":2,"cooks":[{"name":"Ilse","from":"8:00","to":"20:00","breaks":[{"from":"noon","to":"12.30"}]},{"name":"Marlow","from":"2 pm","to":"20h00","breaks":[]}]}`)
	return d
}

func (d *dayTest) ask(method, path, body string) (status int, b dayBody, problem string) {
	d.t.Helper()
	r := httptest.NewRequest(method, "http://localhost/api/days/"+path, strings.NewReader(body))
	r.Header.Set("Content-Type", "application/json")
	w := httptest.NewRecorder()
	d.ServeHTTP(w, r)
	if err := json.Unmarshal(w.Body.Bytes(), &b); err != nil && w.Code == 200 {
		d.t.Fatal(err, w.Body)
	}
	return w.Code, b, w.Body.String()
}

func (d *dayTest) must(method, path, body string) dayBody {
	d.t.Helper()
	status, b, text := d.ask(method, d.date+path, body)
	if status != 200 {
		d.t.Fatal(method, path, status, text)
	}
	return b
}

func (d *dayTest) set(fields string) dayBody { d.t.Helper(); return d.must("PUT", "", fields) }

// save keeps a batch and gives its id.
func (d *dayTest) save(request string) string {
	d.t.Helper()
	status, b := send(d.t, d, "POST", "/api/batches", `{"request":`+request+`}`)
	if status != 200 && status != 201 {
		d.t.Fatal(status, b)
	}
	return b["id"].(string)
}

func (d *dayTest) add(batch string) dayBody {
	d.t.Helper()
	return d.must("POST", "/batches", `{"batch":"`+batch+`"}`)
}

// step finds one by the end of its key.
func (d *dayTest) step(b dayBody, end string) dayStepBody {
	d.t.Helper()
	for _, st := range b.Steps {
		if strings.HasSuffix(st.Key, end) {
			return st
		}
	}
	d.t.Fatalf("no step %s in %+v", end, b.Steps)
	return dayStepBody{}
}

// to lets the time pass until a time of the day.
func (d *dayTest) to(minute int) {
	d.t.Helper()
	on, _ := time.ParseInLocation(time.DateOnly, d.date, time.Local)
	at := time.Date(on.Year(), on.Month(), on.Day(), 0, minute, 0, 0, time.Local)
	d.clock.Forward(at.Sub(time.UnixMilli(d.clock.Now().WallMs)))
}

var twoLoads = strings.Replace(peaches, "12 lb", "14 jars", 1)

func TestPlanADay(t *testing.T) {
	d := newDay(t)
	id := d.save(twoLoads)
	b := d.add(id)
	if b.State != "ahead" || !b.Fits || b.Now != -1 || len(b.Batches) != 1 || b.Batches[0].Loads != 2 || b.Finish == "" || b.Bound == "" {
		t.Fatalf("%+v", b)
	}
	for _, st := range b.Steps {
		if st.From < 8*60 || st.State != "ahead" || st.With == "" {
			t.Errorf("%+v", st)
		}
	}
	one, two := d.step(b, "load/1"), d.step(b, "load/2")
	if len(one.Pieces) < 5 || one.Pieces[3].What != "35 min from the boil" || one.Pieces[3].To-one.Pieces[3].From != 35 || two.From < one.Pieces[0].To {
		t.Errorf("%+v", one.Pieces)
	}
	if light := d.step(b, "lit/"); light.To > one.Pieces[1].From+1 || !strings.HasPrefix(light.Title, "Light ") {
		t.Errorf("lit from %d to %d, jars in at %d", light.From, light.To, one.Pieces[1].From)
	}
	for _, l := range b.Lanes {
		for _, bar := range l.Bars {
			for _, away := range l.Away { // who is there
				if bar.From < away.To && away.From < bar.To {
					t.Errorf("%s has %s while not there", l.Name, bar.Text)
				}
			}
		}
	}
	b = d.must("PUT", "/batches/"+id, `{"part":"","from":"10:15","by":"4 pm"}`)
	if b.Batches[0].From != "10:15" || b.Batches[0].By != "16:00" || d.step(b, "fruit/1").From < 10*60+15 {
		t.Errorf("%+v", b.Batches)
	}
	b = d.must("POST", "/locks", `{"step":"`+one.Key+`","at":"13:00"}`)
	if at := d.step(b, "load/1"); at.From != 13*60 || !at.Locked || len(b.Unheld) > 0 {
		t.Errorf("%+v", at)
	}
	b = d.must("POST", "/locks", `{"step":"`+one.Key+`","at":"8:05"}`)
	if len(b.Unheld) != 1 || !strings.Contains(b.Unheld[0], "could not be held") {
		t.Errorf("%v", b.Unheld)
	}
	b = d.must("POST", "/locks", `{"step":"`+one.Key+`","at":""}`)
	if len(b.Unheld) > 0 || d.step(b, "load/1").Locked {
		t.Error("it is still locked")
	}
	if status, _, text := d.ask("POST", d.date+"/batches", `{"batch":"`+id+`"}`); status != 422 || !strings.Contains(text, "on the day already") {
		t.Error(status, text)
	}
	_, ics, _ := d.ask("GET", d.date, "")
	r := httptest.NewRecorder()
	d.ServeHTTP(r, httptest.NewRequest("GET", "http://localhost/api/days/"+d.date+"/day.ics", nil))
	if got := strings.Count(r.Body.String(), "BEGIN:VEVENT"); got != len(ics.Steps) || !strings.Contains(r.Body.String(), "Fill\\, and can: peaches") {
		t.Errorf("%d dates for %d steps", got, len(ics.Steps))
	}
}

// TestDayTyped names everything that is wrong with what was typed, and keeps none of it.
func TestDayTyped(t *testing.T) {
	d := newDay(t)
	status, _, text := d.ask("PUT", d.date, `{"begin":"soon","by":"25:00","late":"","burners":4,"pots":2,"cooks":[{"name":" ","from":"9","to":"8","breaks":[{"from":"12","to":"12"}]},{"name":"Marlow","from":"13 pm","to":"8:75","breaks":[]}]}`)
	for _, where := range []string{"body.begin", "body.by", "cooks[0].name", "cooks[0].to", "cooks[0].breaks[0].to", "cooks[1].from", "cooks[1].to"} {
		if status != 422 || !strings.Contains(text, where) {
			t.Error(status, where, text)
		}
	}
	if b := d.must("GET", "", ""); b.Fields.Begin != "8:00" || b.Fields.Cooks[1].From != "14:00" || b.Fields.Cooks[0].Breaks[0].To != "12:30" {
		t.Errorf("%+v", b.Fields)
	}
	for _, path := range []string{"yesterday", "2026-13-01", "1066-10-14"} {
		if status, _, text := d.ask("GET", path, ""); status != 422 || !strings.Contains(text, "2026-08-15") {
			t.Error(path, status, text)
		}
	}
	refused := d.save(`{"product":"peaches","kind":"freestone","form":"halves","pack":"hot","jar":"half-gallon","amount":"4 jars","liquid":{"kind":"syrup","strength":"light"}}`)
	if status, _, text := d.ask("POST", d.date+"/batches", `{"batch":"`+refused+`"}`); status != 422 || !strings.Contains(text, "no tested time") {
		t.Error(status, text)
	}
}

// TestDayThatDoesNotFit says why, and what to leave out.
func TestDayThatDoesNotFit(t *testing.T) {
	d := newDay(t)
	d.add(d.save(twoLoads))
	pears := d.save(`{"product":"pears","kind":"","form":"halves","pack":"hot","jar":"quart","amount":"14 jars","liquid":{"kind":"syrup","strength":"light"}}`)
	b := d.add(pears)
	if !b.Fits {
		t.Fatalf("%+v", b)
	}
	b = d.set(`{"begin":"8","by":"15:00","late":"","burners":4,"pots":2,"cooks":[{"name":"Ilse","from":"8:00","to":"20:00","breaks":[]}]}`)
	if b.Fits || !strings.Contains(b.Not, "15:00") || len(b.Drops) == 0 || len(b.Holds) == 0 || b.Batches[0].Late == "" && b.Batches[1].Late == "" {
		t.Fatalf("%v %q %+v %v", b.Fits, b.Not, b.Drops, b.Holds)
	}
	b = d.set(`{"begin":"8","by":"","late":"","burners":4,"pots":2,"cooks":[{"name":"Ilse","from":"8:00","to":"13:00","breaks":[]}]}`)
	if b.Fits || !strings.Contains(b.Not, "Nobody is there after 13:00") || len(b.Steps) == 0 {
		t.Fatalf("%v %q", b.Fits, b.Not)
	}
	next := b.Next
	b = d.must("POST", "/batches/"+pears+"/move", `{"part":"","to":"`+next+`"}`)
	if len(b.Batches) != 1 {
		t.Error(b.Batches)
	}
	if _, other, _ := d.ask("GET", next, ""); len(other.Batches) != 1 || other.Batches[0].Batch != pears || other.Fields.Cooks[0].Name != "Ilse" {
		t.Errorf("%+v", other)
	}
	if status, _, _ := d.ask("POST", d.date+"/batches/"+pears+"/move", `{"part":"","to":"2020-01-01"}`); status == 200 {
		t.Error("moved to a day that is past")
	}
}

// TestJuiceTakesTwoDays makes the juice on one day and puts it up on the next, once it has
// stood for a day.
func TestJuiceTakesTwoDays(t *testing.T) {
	d := newDay(t)
	id := d.save(`{"product":"grape-juice","pack":"hot","jar":"quart","amount":"7 jars"}`)
	b := d.add(id)
	if len(b.Batches) != 1 || b.Batches[0].Part != "juice" || len(b.Steps) != 1 || b.Steps[0].Kind != "press" {
		t.Fatalf("%+v %+v", b.Batches, b.Steps)
	}
	_, next, _ := d.ask("GET", b.Next, "")
	if len(next.Batches) != 1 || next.Batches[0].Part != "jars" || !strings.Contains(next.Batches[0].Waits, "has settled by "+clock(b.Steps[0].To)) {
		t.Fatalf("%+v", next.Batches)
	}
	for _, st := range next.Steps {
		if st.Kind == "cook" && st.From < b.Steps[0].To {
			t.Errorf("it is heated at %d, and has stood for a day at %d", st.From, b.Steps[0].To)
		}
	}
	// The juice is late by three hours: so are its jars, without a word.
	juice := b.Steps[0]
	d.to(juice.From)
	d.must("POST", "/steps", `{"step":"`+juice.Key+`","kind":"begun"}`)
	d.to(juice.To + 180)
	d.must("POST", "/steps", `{"step":"`+juice.Key+`","kind":"done"}`)
	_, next, _ = d.ask("GET", b.Next, "")
	if !strings.Contains(next.Batches[0].Waits, "has settled by "+clock(juice.To+180)) {
		t.Errorf("%+v", next.Batches[0])
	}
	for _, st := range next.Steps {
		if st.Kind == "cook" && st.From < juice.To+180 {
			t.Errorf("it is heated at %d, and has stood for a day at %d", st.From, juice.To+180)
		}
	}
	// Nor do they go into jars on the day of the juice itself: that day says so. Both parts of
	// a batch stand on it then.
	d.ask("POST", b.Next+"/batches/"+id+"/move", `{"part":"jars","to":"`+d.date+`"}`)
	_, same, _ := d.ask("GET", d.date, "")
	if len(same.Batches) != 2 || !strings.Contains(same.Batches[1].Not, "put its jars a day later") {
		t.Errorf("%+v", same.Batches)
	}
	for _, st := range same.Steps {
		if st.Kind == "load" {
			t.Error("juice of today is canned today")
		}
	}
}

// TestStepMinutes lets the cook overrule the table, and the plan goes by it.
func TestStepMinutes(t *testing.T) {
	d := newDay(t)
	before := d.step(d.add(d.save(twoLoads)), "load/1")
	r := httptest.NewRequest("PUT", "http://localhost/api/step-minutes/jar", strings.NewReader(`{"minutes":5}`))
	r.Header.Set("Content-Type", "application/json")
	w := httptest.NewRecorder()
	d.ServeHTTP(w, r)
	if w.Code != 200 || !strings.Contains(w.Body.String(), `"step":"jar"`) {
		t.Fatal(w.Code, w.Body)
	}
	after := d.step(d.must("GET", "", ""), "load/1")
	if got := after.Pieces[0].To - after.Pieces[0].From; got != 35 || before.Pieces[0].To-before.Pieces[0].From != 14 {
		t.Errorf("seven jars are filled in %d min", got)
	}
	for path, want := range map[string]int{"salt": 404, "jar": 422} {
		r := httptest.NewRequest("PUT", "http://localhost/api/step-minutes/"+path, strings.NewReader(`{"minutes":5000}`))
		r.Header.Set("Content-Type", "application/json")
		w := httptest.NewRecorder()
		d.ServeHTTP(w, r)
		if w.Code != want && w.Code != 422 {
			t.Error(path, w.Code, fmt.Sprint(w.Body))
		}
	}
}

// BenchmarkDay reads a day of ten loads, and plans it anew, over HTTP; beside the plan of one
// of its batches.
func BenchmarkDay(b *testing.B) {
	d := newDay(b)
	for range 5 {
		d.add(d.save(twoLoads))
	}
	one := 0.0
	for _, c := range []struct{ name, method, path, body string }{
		{"batch", "POST", "/api/plan", twoLoads}, {"read", "GET", "/api/days/" + d.date, ""}, {"plan", "POST", "/api/days/" + d.date + "/order", ""},
	} {
		b.Run(c.name, func(b *testing.B) {
			for range b.N {
				r := httptest.NewRequest(c.method, "http://localhost"+c.path, strings.NewReader(c.body))
				r.Header.Set("Content-Type", "application/json")
				w := httptest.NewRecorder()
				if d.ServeHTTP(w, r); w.Code != 200 {
					b.Fatal(w.Code, w.Body)
				}
			}
			took := float64(b.Elapsed().Nanoseconds()) / float64(b.N)
			if c.name == "batch" {
				one = took
			} else if one > 0 {
				b.ReportMetric(took/one, "×batch")
			}
		})
	}
}

// TestTwoLikeCanners runs the loads of one batch in two canners of the same size at once, and
// fills the second one from the day.
func TestTwoLikeCanners(t *testing.T) {
	d := newDay(t)
	pot := `{"name":%q,"kind":"boiling-water","across":"33 cm","depth":"30 cm","rack":"2 cm","weight":"2 kg"}`
	for _, name := range []string{"the left kettle", "the right kettle"} {
		if status, b := send(t, d, "POST", "/api/pots", fmt.Sprintf(pot, name)); status != 200 {
			t.Fatal(b)
		}
	}
	if status, b := send(t, d, "POST", "/api/pots", `{"name":"the steamer","kind":"steam","across":"33 cm","depth":"30 cm","rack":"2 cm","weight":"2 kg"}`); status != 200 {
		t.Fatal(b)
	}
	d.set(`{"begin":"8","by":"","late":"","burners":4,"pots":2,"cooks":[{"name":"Ilse","from":"8:00","to":"20:00","breaks":[]},{"name":"Marlow","from":"8:00","to":"20:00","breaks":[]}]}`)
	id := d.save(twoLoads)
	b := d.add(id)
	one, two := d.step(b, "load/1"), d.step(b, "load/2")
	if one.Canner == two.Canner || two.From > one.To {
		t.Fatalf("one after the other: %s %d to %d, %s from %d", one.Where, one.From, one.To, two.Where, two.From)
	}
	for _, l := range b.Lanes {
		if strings.Contains(l.Name, "steamer") {
			t.Error("a load for boiling water is in the steamer")
		}
	}
	for n, st := range []dayStepBody{one, two} {
		status, answer := send(t, d, "POST", "/api/stove/loads", fmt.Sprintf(`{"batch":%q,"load":%d,"canner":%q}`, id, n, st.Canner))
		if status != 200 {
			t.Fatal(answer)
		}
	}
	on := map[string]bool{}
	for _, l := range d.stove.Now().Loads {
		on[aboutOf(l.About).CannerID] = true
	}
	if !on[one.Canner] || !on[two.Canner] {
		t.Errorf("%v", on)
	}
	// A canner in which the loads are others is refused, and a steamer is none of water's.
	if status, b := send(t, d, "POST", "/api/pots", `{"name":"the small pot","kind":"boiling-water","across":"25 cm","depth":"30 cm","rack":"2 cm","weight":"2 kg"}`); status != 200 {
		t.Fatal(b)
	}
	pots, err := d.store.Pots(t.Context())
	if err != nil {
		t.Fatal(err)
	}
	other := d.save(twoLoads)
	for _, p := range pots {
		if p.Name != "the small pot" && p.Name != "the steamer" {
			continue
		}
		status, answer := send(t, d, "POST", "/api/stove/loads", fmt.Sprintf(`{"batch":%q,"load":0,"canner":%q}`, other, p.ID))
		if status != 422 || !strings.Contains(fmt.Sprint(answer), "Its loads are others in that canner") {
			t.Error(p.Name, status, answer)
		}
	}
}

// TestDayThatIsNotTheOnePlanned answers for days whose kept plan is of no use: from a file that
// somebody wrote, after a batch was made larger, or without its canner.
func TestDayThatIsNotTheOnePlanned(t *testing.T) {
	d := newDay(t)
	id := d.save(twoLoads)
	good := d.add(id)
	on := good.Date
	kept, _ := time.Parse(time.DateOnly, on)
	read := func() string {
		t.Helper()
		day, err := d.store.Day(t.Context(), dayOf(kept))
		if err != nil {
			t.Fatal(err)
		}
		return day.Placed
	}
	was := read()
	for name, placed := range map[string]string{
		"empty":            `{}`,
		"no steps":         `{"steps":[]}`,
		"an unknown cook":  strings.ReplaceAll(was, `"Cooks":[0`, `"Cooks":[7`),
		"a negative cook":  strings.ReplaceAll(was, `"Cooks":[0`, `"Cooks":[-3`),
		"no cooks":         strings.ReplaceAll(was, `"Cooks":[0]`, `"Cooks":[]`),
		"a strange canner": strings.ReplaceAll(was, `"Canner":0`, `"Canner":-9`),
		"a far burner":     strings.ReplaceAll(was, `"Burner":0`, `"Burner":99`),
		"a long wait":      strings.ReplaceAll(was, `"Gap":0`, `"Gap":600`),
		"other tasks":      strings.ReplaceAll(was, `"Task":0`, `"Task":40`),
	} {
		day, err := d.store.Day(t.Context(), dayOf(kept))
		if err != nil {
			t.Fatal(err)
		}
		if day.Placed = placed; placed == was {
			t.Errorf("%s: nothing is changed", name)
		}
		if err := d.store.KeepDays(t.Context(), day); err != nil {
			t.Fatal(err)
		}
		status, b, text := d.ask("GET", d.date, "")
		if status != 200 || len(b.Steps) != len(good.Steps) || b.Finish == "" {
			t.Errorf("%s: %d %s", name, status, text)
		}
		for _, st := range b.Steps {
			if len(st.Pieces) > 0 && st.Pieces[1].From-st.Pieces[0].To > 10 {
				t.Errorf("%s: filled jars wait %d min", name, st.Pieces[1].From-st.Pieces[0].To)
			}
		}
	}
	d.must("POST", "/order", ``)
	status, saved := send(t, d, "GET", "/api/batches/"+id, "")
	if status != 200 {
		t.Fatal(saved)
	}
	larger := strings.Replace(twoLoads, "14 jars", "21 jars", 1)
	if status, b := send(t, d, "PUT", "/api/batches/"+id, fmt.Sprintf(`{"version":%v,"request":%s}`, saved["version"], larger)); status != 200 {
		t.Fatal(b)
	}
	if b := d.must("GET", "", ""); d.step(b, "load/3").From == 0 || b.Batches[0].Loads != 3 {
		t.Errorf("%+v", b.Batches)
	}
	if status, _ := send(t, d, "DELETE", "/api/batches/"+id, ""); status != 204 && status != 200 {
		t.Fatal(status)
	}
	if b := d.must("GET", "", ""); len(b.Batches) != 0 || len(b.Steps) != 0 {
		t.Errorf("%+v", b.Batches)
	}
}
