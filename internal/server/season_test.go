package server

import (
	"encoding/json"
	"fmt"
	"net/http/httptest"
	"strings"
	"testing"
	"time"
)

// askInto asks and reads the answer into out.
func askInto(t *testing.T, h *hobTest, method, path, body string, out any) (int, string) {
	t.Helper()
	r := httptest.NewRequest(method, "http://localhost"+path, strings.NewReader(body))
	r.Header.Set("Content-Type", "application/json")
	w := httptest.NewRecorder()
	h.ServeHTTP(w, r)
	if out != nil && w.Code < 300 {
		if err := json.Unmarshal(w.Body.Bytes(), out); err != nil {
			t.Fatal(path, err, w.Body)
		}
	}
	return w.Code, w.Body.String()
}

// lot adds one that is as ripe as is said, and gives its id.
func (d *dayTest) lot(name, kind, bought, ripeness string) string {
	d.t.Helper()
	var all struct{ Lots []lotBody }
	if status, text := askInto(d.t.(*testing.T), d.hobTest, "POST", "/api/lots", fmt.Sprintf(`{"name":%q,"kind":%q,"bought":%q}`, name, kind, bought), &all); status != 200 {
		d.t.Fatal(text)
	}
	id := ""
	for _, l := range all.Lots {
		if l.Name == name {
			id = l.ID
		}
	}
	if status, text := askInto(d.t.(*testing.T), d.hobTest, "POST", "/api/lots/"+id+"/tap", `{"ripeness":"`+ripeness+`"}`, nil); status != 200 {
		d.t.Fatal(text)
	}
	return id
}

func (d *dayTest) season() (b seasonPlanBody) {
	d.t.Helper()
	if status, text := askInto(d.t.(*testing.T), d.hobTest, "GET", "/api/season", "", &b); status != 200 {
		d.t.Fatal(text)
	}
	return b
}

// TestSeasonSpread puts lots on evenings while they are fit, warns where there are none, and
// makes a batch of one with a tap.
func TestSeasonSpread(t *testing.T) {
	d := newDay(t)
	peaches := d.lot("the ripe crate", "peach", "20 lb", "ready")
	hard := d.lot("the hard box", "pear", "15 lb", "hard")
	d.lot("nobody looked", "apple", "10 lb", "ready")
	b := d.season()
	if !b.Guess || len(b.Days) != 14 || len(b.Week) != 7 || b.Week[0].Name != "Monday" || b.Week[6].Name != "Sunday" || len(b.Lots) != 3 {
		t.Fatalf("%+v", b)
	}
	where := func(b seasonPlanBody, lot string) (on []int) {
		for n, day := range b.Days {
			for _, turn := range day.Turns {
				if turn.Lot == lot {
					on = append(on, n)
				}
			}
		}
		return on
	}
	if ripe, later := where(b, peaches), where(b, hard); len(ripe) == 0 || ripe[0] > 3 || len(later) == 0 || later[0] < 3 {
		t.Errorf("ripe peaches on %v, hard pears on %v", ripe, later)
	}
	// No time at all in the next five days: the peaches will not wait.
	for n := range 5 {
		on := time.UnixMilli(d.clock.Now().WallMs).AddDate(0, 0, n).Format(time.DateOnly)
		if status, text := askInto(t, d.hobTest, "PUT", "/api/season/days/"+on, `{"from":"","to":""}`, &b); status != 200 {
			t.Fatal(text)
		}
	}
	for _, l := range b.Lots {
		if l.Lot == peaches && (!strings.Contains(l.Warn, "no time for it while it is fit") || !strings.Contains(l.Warn, "freeze it")) {
			t.Errorf("%+v", l)
		}
		if l.Lot == hard && l.Warn != "" {
			t.Errorf("%+v", l)
		}
	}
	tomorrow := time.UnixMilli(d.clock.Now().WallMs).AddDate(0, 0, 1).Format(time.DateOnly)
	if status, text := askInto(t, d.hobTest, "PUT", "/api/season/days/"+tomorrow, `{"from":"17:00","to":"22:00"}`, &b); status != 200 || len(where(b, peaches)) != 1 || where(b, peaches)[0] != 1 {
		t.Fatalf("%d %s %+v", status, text, where(b, peaches))
	}
	if status, text := askInto(t, d.hobTest, "PUT", "/api/season/days/"+tomorrow, `{"from":"5 pm","to":"4 pm"}`, nil); status != 422 || !strings.Contains(text, "after the first one") {
		t.Error(status, text)
	}
	var day dayBody
	if status, text := askInto(t, d.hobTest, "POST", "/api/season/plan", fmt.Sprintf(`{"lot":%q,"date":%q,"loads":3,"all":true}`, peaches, tomorrow), &day); status != 200 || len(day.Batches) != 1 || !strings.Contains(day.Batches[0].Headline, "peaches") {
		t.Fatal(status, text)
	}
	b = d.season()
	for _, l := range b.Lots {
		if l.Lot == peaches && !strings.HasPrefix(l.Waits, "Planned on ") {
			t.Errorf("%+v", l)
		}
	}
	if b.Days[1].Planned == "" || len(where(b, peaches)) != 0 {
		t.Errorf("%+v", b.Days[1])
	}
	if status, _ := askInto(t, d.hobTest, "POST", "/api/season/plan", fmt.Sprintf(`{"lot":%q,"date":%q,"loads":3,"all":true}`, peaches, tomorrow), nil); status != 422 {
		t.Error("a lot is planned twice", status)
	}
	if status, text := askInto(t, d.hobTest, "PUT", "/api/season/week", `{"week":[{"weekday":0,"from":"","to":""},{"weekday":1,"from":"6 pm","to":""},{"weekday":2,"from":"","to":""},{"weekday":3,"from":"","to":""},{"weekday":4,"from":"","to":""},{"weekday":5,"from":"","to":""},{"weekday":6,"from":"soon","to":"9"}]}`, nil); status != 422 || !strings.Contains(text, "week[1].to") || !strings.Contains(text, "week[6].from") {
		t.Error(status, text)
	}
	if status, text := askInto(t, d.hobTest, "PUT", "/api/season/week", `{"week":[{"weekday":0,"from":"","to":""},{"weekday":1,"from":"6 pm","to":"22"},{"weekday":2,"from":"","to":""},{"weekday":3,"from":"","to":""},{"weekday":4,"from":"","to":""},{"weekday":5,"from":"","to":""},{"weekday":6,"from":"9","to":"18"}]}`, &b); status != 200 || b.Guess || b.Week[0].From != "18:00" || b.Week[6].From != "" {
		t.Error(status, text)
	}
}

// TestAlmanac adds up closed batches and what the tray found, and keeps seasons and vows.
func TestAlmanac(t *testing.T) {
	d := newDay(t)
	var b almanacBody
	almanac := func() {
		t.Helper()
		if status, text := askInto(t, d.hobTest, "GET", "/api/almanac", "", &b); status != 200 {
			t.Fatal(text)
		}
	}
	if almanac(); b.Jars != 0 || len(b.By["product"]) != 0 || len(b.Seasons) < 15 {
		t.Fatalf("%+v", b)
	}
	for day, jars := range map[string]int{"2024-08-20": 7, "2025-08-14": 14} {
		if status, text := askInto(t, d.hobTest, "POST", "/api/closings", fmt.Sprintf(`{"product":"peaches","form":"halves","pack":"hot","jars":[{"jar":"quart","count":%d}],"fruit":"%d lb","day":%q}`, jars, jars*5/2, day), nil); status != 200 {
			t.Fatal(text)
		}
	}
	id := d.save(sevenQuarts)
	if status, text := askInto(t, d.hobTest, "POST", "/api/stove/loads", `{"batch":"`+id+`"}`, nil); status != 200 {
		t.Fatal(text)
	}
	load := d.load()["id"].(string)
	d.told("checked", "jars-in", "lid-on", "boil")
	d.clock.Forward(35 * time.Minute)
	d.told("heat-off", "lid-off")
	d.clock.Forward(5 * time.Minute)
	d.told("out", "put-away")
	d.clock.Forward(13 * time.Hour)
	for _, found := range []string{`{"jars":[2],"seal":"unsealed"}`, `{"jars":[5],"seal":"sealed","float":true,"liquidLost":0.3}`, `{"jars":[],"seal":"sealed"}`} {
		if status, text := askInto(t, d.hobTest, "POST", "/api/tray/"+load+"/found", found, nil); status != 200 {
			t.Fatal(text)
		}
	}
	almanac()
	row := b.By["product"][0]
	if b.Jars != 21 || row.Name != "peaches" || row.Text != "2 batches, 21 jars" || row.Yield != "2.4 lb a quart" && row.Yield != "2.5 lb a quart" || !strings.Contains(row.Looked, "7 jars looked at: too few") {
		t.Errorf("%+v", row)
	}
	counts := map[string]int{}
	for _, l := range row.Losses {
		counts[l.Name] = l.Count
		if l.Low > l.Part || l.Part > l.High {
			t.Errorf("%+v", l)
		}
	}
	if counts["did not seal"] != 1 || counts["lost liquid"] != 1 || counts["float"] != 1 || counts["broken"] != 0 {
		t.Error(counts)
	}
	if len(b.Years) < 2 || b.Beside[0].Years[0].Jars != 7 || b.Beside[0].Years[1].Jars != 14 {
		t.Errorf("%v %+v", b.Years, b.Beside)
	}
	season := func(fruit string) (s seasonBody) {
		for _, x := range b.Seasons {
			if x.Fruit == fruit {
				s = x
			}
		}
		return s
	}
	if s := season("peach"); s.Put[7] != 21 || s.Own || s.Text != "July to September" {
		t.Errorf("%+v", s)
	}
	if status, text := askInto(t, d.hobTest, "PUT", "/api/almanac/seasons/peach", `{"from":8,"to":8}`, &b); status != 200 || season("peach").Text != "August" || !season("peach").Own {
		t.Error(status, text)
	}
	for path, body := range map[string]string{"coal": `{"from":1,"to":2}`, "peach": `{"from":1,"to":0}`} {
		if status, _ := askInto(t, d.hobTest, "PUT", "/api/almanac/seasons/"+path, body, nil); status != 404 && status != 422 {
			t.Error(path, status)
		}
	}
	if status, _ := askInto(t, d.hobTest, "PUT", "/api/almanac/seasons/peach", `{"from":0,"to":0,"usual":true}`, &b); status != 200 || season("peach").Own {
		t.Error("it is still the cook's own")
	}
	var vows []vowBody
	if status, text := askInto(t, d.hobTest, "POST", "/api/vows", `{"product":"peaches","words":"rest them the full five minutes","batch":"`+id+`"}`, &vows); status != 200 || len(vows) != 1 {
		t.Fatal(text)
	}
	if status, text := askInto(t, d.hobTest, "POST", "/api/vows", `{"product":"coal","words":" "}`, nil); status != 422 || !strings.Contains(text, "body.product") || !strings.Contains(text, "body.words") {
		t.Error(status, text)
	}
	if askInto(t, d.hobTest, "POST", "/api/vows/"+vows[0].ID+"/kept", `{"kept":true}`, &vows); vows[0].Kept == "" {
		t.Errorf("%+v", vows)
	}
	if askInto(t, d.hobTest, "GET", "/api/vows?product=pears", "", &vows); len(vows) != 0 {
		t.Error("a vow about peaches stands beside pears")
	}
}

// TestCanningDaysInTheCalendar has one date for a planned day, from its first step to its last.
func TestCanningDaysInTheCalendar(t *testing.T) {
	d := newDay(t)
	b := d.add(d.save(twoLoads))
	w := httptest.NewRecorder()
	d.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost/api/files/calendar.ics", nil))
	text := strings.ReplaceAll(w.Body.String(), "\r\n ", "")
	if w.Code != 200 || strings.Count(text, "SUMMARY:Canning") != 1 || !strings.Contains(text, "UID:day-"+d.date+"@mellisca") || !strings.Contains(text, "peaches") {
		t.Fatal(w.Code, text)
	}
	on, _ := time.ParseInLocation(time.DateOnly, d.date, time.Local)
	begins := time.Date(on.Year(), on.Month(), on.Day(), 8, 0, 0, 0, time.Local).UTC().Format("20060102T150405Z")
	if !strings.Contains(text, begins) || b.Finish == "" {
		t.Errorf("it does not begin at %s:\n%s", begins, text)
	}
}
