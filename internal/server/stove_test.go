package server

import (
	"context"
	"fmt"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"path/filepath"
	"strings"
	"sync"
	"testing"
	"testing/fstest"
	"time"

	"mellisca/internal/device"
	"mellisca/internal/live"
	"mellisca/internal/store"
)

// hobTest is a kitchen with its hob on a clock that a test moves.
type hobTest struct {
	http.Handler
	t     testing.TB
	clock *device.Quick
	store *store.Store
	stove *live.Stove
}

func newHob(t testing.TB) *hobTest {
	t.Helper()
	st, err := store.Open(context.Background(), filepath.Join(t.TempDir(), "m.db"))
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { st.Close() })
	h := &hobTest{t: t, clock: device.NewQuick(device.NewMachine(), 0), store: st}
	h.start()
	setKitchen(t, h)
	return h
}

// start is the server starting, on what is in the file.
func (h *hobTest) start() {
	h.t.Helper()
	stove, err := live.New(context.Background(), store.Stove{Store: h.store}, h.clock)
	if err != nil {
		h.t.Fatal(err)
	}
	h.stove = stove
	h.Handler = New(Options{Store: h.store, Now: func() time.Time { return time.UnixMilli(h.clock.Now().WallMs) }, Log: slog.New(slog.NewTextHandler(io.Discard, nil)), Assets: fstest.MapFS{}, Stove: stove, Clock: h.clock, Beat: 50 * time.Millisecond})
}

// open saves a batch and puts its first load on the hob.
func (h *hobTest) open(request string) map[string]any {
	h.t.Helper()
	_, saved := send(h.t, h, "POST", "/api/batches", `{"request":`+request+`}`)
	status, b := send(h.t, h, "POST", "/api/stove/loads", `{"batch":"`+saved["id"].(string)+`","load":0}`)
	if status != 200 {
		h.t.Fatal(status, b)
	}
	return h.load()
}

// load is the first load on the hob, as a page sees it.
func (h *hobTest) load() map[string]any {
	h.t.Helper()
	_, b := get(h.t, h, "/api/stove")
	return b["loads"].([]any)[0].(map[string]any)
}

// tell tells something of the first load and says how that went.
func (h *hobTest) tell(fields string) (int, map[string]any) {
	h.t.Helper()
	l := h.load()
	return send(h.t, h, "POST", "/api/stove/loads/"+l["id"].(string)+"/tell", fmt.Sprintf(`{"after":%v,%s}`, l["seq"], fields))
}

func (h *hobTest) told(kinds ...string) {
	h.t.Helper()
	for _, k := range kinds {
		if status, b := h.tell(`"kind":"` + k + `"`); status != 200 {
			h.t.Fatal(k, status, b)
		}
	}
}

func (h *hobTest) in(phase, left string) map[string]any {
	h.t.Helper()
	l := h.load()
	if l["phase"] != phase || l["left"] != left {
		h.t.Errorf("%v with %v left, want %s with %s", l["phase"], l["left"], phase, left)
	}
	return l
}

var sevenQuarts = strings.Replace(peaches, "12 lb", "7 jars", 1)

func TestALoadOverHTTP(t *testing.T) {
	h := newHob(t)
	l := h.open(sevenQuarts)
	if l["phase"] != "filling" || l["minutes"] != 35.0 || len(l["jars"].([]any)) != 7 || l["about"].(map[string]any)["jars"] != "7 quarts" {
		t.Fatalf("%v", l)
	}
	if status, b := h.tell(`"kind":"jars-in"`); status != 422 || !strings.Contains(fmt.Sprint(b["errors"]), "First, in every jar") {
		t.Error(status, b)
	}
	h.told("checked", "jars-in", "lid-on")
	h.clock.Forward(20 * time.Minute)
	h.told("boil")
	h.clock.Forward(14*time.Minute + 29*time.Second)
	h.in("boiling", "20:31")
	h.clock.Set(-2 * time.Hour) // the wall clock was set
	h.in("boiling", "20:31")
	h.told("boil-lost")
	if l := h.in("lost", ""); !strings.Contains(l["next"].(map[string]any)["do"].(string), "full 35 minutes") {
		t.Errorf("%v", l["next"])
	}
	h.told("boil-back")
	h.clock.Forward(35 * time.Minute)
	h.in("time-up", "0:00")
	_, b := get(t, h, "/api/stove")
	alarm := b["alarms"].([]any)[0].(map[string]any)
	if !strings.Contains(alarm["text"].(string), "Time up") {
		t.Errorf("%v", alarm)
	}
	if status, b := h.tell(`"kind":"silenced","what":"` + alarm["id"].(string) + `"`); status != 200 || len(b["alarms"].([]any)) != 0 {
		t.Error(status, b["alarms"])
	}
	h.told("heat-off", "lid-off")
	h.in("resting", "5:00")
	h.clock.Forward(5 * time.Minute)
	h.told("out")
	if l := h.load(); l["short"] != "" || l["phase"] != "cooling" {
		t.Errorf("%v", l["short"])
	}
	said := h.load()["said"].([]any)
	if first := said[len(said)-1].(map[string]any)["text"]; first != "Everything right in every jar" {
		t.Errorf("%v", first)
	}
	_, saved := get(t, h, "/api/batches/"+h.load()["batch"].(string)+"/ran")
	if saved["boilMinutes"] != 20.0 || saved["text"] != "By the stove: 1 on the hob." {
		t.Errorf("%v", saved)
	}
	h.told("put-away")
	_, b = get(t, h, "/api/stove")
	if clocks := fmt.Sprint(b["clocks"]); len(b["loads"].([]any)) != 0 || !strings.Contains(clocks, "seals of the canner") || len(b["clocks"].([]any)) != 2 {
		t.Error("the hob is not clear, or nothing is left to look at the seals by", clocks)
	}
	h.start()
	if _, b := get(t, h, "/api/stove"); len(b["loads"].([]any)) != 0 {
		t.Error("a load that was put away came back")
	}
}

func TestWhatCannotGoOnTheHob(t *testing.T) {
	h := newHob(t)
	h.open(sevenQuarts)
	for request, says := range map[string]string{
		`{"product":"banana","pack":"hot","jar":"pint","amount":"3 jars"}`:                                     "no tested time",
		`{"product":"berries","pack":"hot","jar":"pint","amount":"3 jars"}`:                                    "which berries",
		`{"product":"apple-juice","pack":"hot","jar":"half-gallon","amount":"3 jars"}`:                         "too shallow",
		`{"product":"pears","form":"halves","pack":"hot","jar":"quart","amount":"7 jars","altitude":"200 ft"}`: "",
	} {
		_, saved := send(t, h, "POST", "/api/batches", `{"request":`+request+`}`)
		status, b := send(t, h, "POST", "/api/stove/loads", `{"batch":"`+saved["id"].(string)+`","load":0}`)
		if says == "" && status != 200 || says != "" && (status != 422 || !strings.Contains(fmt.Sprint(b["errors"]), says)) {
			t.Errorf("%s: %d %v", request, status, b["errors"])
		}
		if says == "" {
			if status, b := send(t, h, "POST", "/api/stove/loads", `{"batch":"`+saved["id"].(string)+`","load":3}`); status != 422 || !strings.Contains(fmt.Sprint(b["errors"]), "has 1 loads") {
				t.Error(status, b)
			}
		}
	}
	if status, _ := send(t, h, "POST", "/api/stove/loads", `{"batch":"nothing","load":0}`); status != 404 {
		t.Error(status)
	}
	if status, _ := send(t, h, "POST", "/api/stove/loads/nothing/tell", `{"after":0,"kind":"boil"}`); status != 404 {
		t.Error(status)
	}
	if status, b := h.tell(`"kind":"altitude","altitude":"high"`); status != 422 || !strings.Contains(fmt.Sprint(b["errors"]), "body.altitude") {
		t.Error(status, b)
	}
}

// TestTheMachineStartsAgain takes the server down in the middle of a time: on the same
// start of the machine nothing changes, on another the clock holds and both answers do
// what they say.
func TestTheMachineStartsAgain(t *testing.T) {
	running := func() *hobTest {
		h := newHob(t)
		h.open(sevenQuarts)
		h.told("checked", "jars-in", "lid-on", "boil")
		h.clock.Forward(10 * time.Minute)
		return h
	}
	h := running()
	h.start()
	h.in("boiling", "25:00")
	h.clock.Restart(4 * time.Minute)
	h.start()
	l := h.in("held", "")
	if l["readingMs"] != 14.0*60_000 || !strings.Contains(l["reading"].(string), "14 min of 35 min") {
		t.Errorf("%v %v", l["readingMs"], l["reading"])
	}
	if status, _ := h.tell(`"kind":"heat-off","what":"early"`); status != 422 {
		t.Error("heat off while the clock holds")
	}
	if status, b := h.tell(`"kind":"confirmed","sinceMs":99999999`); status != 200 {
		t.Fatal(status, b)
	}
	h.in("boiling", "21:00")

	h = running()
	h.clock.Restart(4 * time.Minute)
	h.start()
	h.told("unsure")
	h.in("lost", "")
	h.told("boil-back")
	h.in("boiling", "35:00")

	// The wall clock was set on by two hours before: what was noted since then bounds it.
	h = running()
	h.clock.Set(2 * time.Hour)
	if err := (store.Stove{Store: h.store}).Alive(context.Background(), h.clock.Now()); err != nil {
		t.Fatal(err)
	}
	h.clock.Restart(4 * time.Minute)
	h.start()
	if l := h.in("held", ""); l["readingMs"] != 14.0*60_000 {
		t.Errorf("%v ms", l["readingMs"])
	}
}

func TestTwoTapTheSame(t *testing.T) {
	h := newHob(t)
	h.open(sevenQuarts)
	h.told("checked", "jars-in", "lid-on")
	l := h.load()
	body := fmt.Sprintf(`{"after":%v,"kind":"boil"}`, l["seq"])
	var both sync.WaitGroup
	for range 8 {
		both.Add(1)
		go func() {
			defer both.Done()
			if status, _ := send(t, h, "POST", "/api/stove/loads/"+l["id"].(string)+"/tell", body); status != 200 {
				t.Error(status)
			}
		}()
	}
	both.Wait()
	if now := h.load(); now["seq"].(float64) != l["seq"].(float64)+1 {
		t.Errorf("one tap of eight people is %v events", now["seq"].(float64)-l["seq"].(float64))
	}
}

func TestThermometerOverHTTP(t *testing.T) {
	h := newHob(t)
	id := h.open(sevenQuarts)["id"].(string)
	read := func(celsius float64) int {
		status, _ := send(t, h, "POST", "/api/thermometers/readings", fmt.Sprintf(`{"canner":%q,"celsius":%v}`, id, celsius))
		return status
	}
	h.told("checked", "jars-in", "lid-on")
	for i := range 120 {
		h.clock.Forward(5 * time.Second)
		if status := read(min(96.4, 82+0.15*float64(i))); status != 204 && status != 200 {
			t.Fatal(status)
		}
	}
	l := h.in("heating", "")
	if p := l["proposal"].(map[string]any); p["kind"] != "boil" || l["thermometer"].(map[string]any)["text"] == "" {
		t.Errorf("%v %v", p, l["thermometer"])
	}
	if status, b := h.tell(`"kind":"boil","agoMs":240000`); status != 422 || !strings.Contains(fmt.Sprint(b["errors"]), "thermometer read under the boil") {
		t.Error(status, b)
	}
	h.told("boil")
	for range 10 {
		h.clock.Forward(5 * time.Second)
		read(93)
	}
	l = h.load()
	_, b := get(t, h, "/api/stove")
	if p := l["proposal"].(map[string]any); p["kind"] != "boil-lost" || l["phase"] != "boiling" || len(b["alarms"].([]any)) != 1 {
		t.Errorf("%v %v", p, b["alarms"])
	}
	for body, want := range map[string]int{`{"canner":"nowhere","celsius":20}`: 404, `{"canner":"` + id + `"}`: 422, `{"canner":"` + id + `","celsius":1e9}`: 422, `{"canner":"` + id + `","fahrenheit":205}`: 204} {
		if status, _ := send(t, h, "POST", "/api/thermometers/readings", body); status != want {
			t.Errorf("%s: %d, want %d", body, status, want)
		}
	}
	if status, _ := send(t, h, "POST", "/api/scales/bench/readings", `{"grams":2268}`); status != 204 {
		t.Error(status)
	}
	req := httptest.NewRequest("GET", "/api/scales", nil)
	req.Host = "localhost"
	w := httptest.NewRecorder()
	h.ServeHTTP(w, req)
	if got := w.Body.String(); !strings.Contains(got, `"weight":"5 lb"`) || !strings.Contains(got, `"fresh":true`) {
		t.Error(got)
	}
}

// TestThermometerDoubtsTheAltitude holds the water steady at 2 °F under where it should
// boil: without anybody's tap the longer time counts, until the altitude is looked up.
func TestThermometerDoubtsTheAltitude(t *testing.T) {
	h := newHob(t)
	id := h.open(sevenQuarts)["id"].(string)
	h.told("checked", "jars-in", "lid-on", "boil")
	for i := range 60 {
		h.clock.Forward(5 * time.Second)
		if status, _ := send(t, h, "POST", "/api/thermometers/readings", fmt.Sprintf(`{"canner":%q,"celsius":%v}`, id, 95.2+0.05*float64(i%2))); status != 204 {
			t.Fatal(status)
		}
	}
	l := h.load()
	if l["minutes"] != 40.0 || !strings.Contains(l["doubt"].(string), "40 min count") || l["left"] != "35:00" {
		t.Errorf("%v min, %v left: %v", l["minutes"], l["left"], l["doubt"])
	}
	// Looked up again and right, it is what it was; a lower one would not shorten it.
	if status, b := h.tell(`"kind":"altitude","altitude":"900 ft"`); status != 200 {
		t.Fatal(status, b)
	}
	if l = h.load(); l["minutes"] != 35.0 || l["doubt"] != "" {
		t.Errorf("%v min: %v", l["minutes"], l["doubt"])
	}
}

func TestSideClocksOverHTTP(t *testing.T) {
	h := newHob(t)
	status, b := send(t, h, "POST", "/api/stove/clocks", `{"kind":"juicer","name":"the tall juicer"}`)
	c := b["clocks"].([]any)[0].(map[string]any)
	if status != 200 || c["left"] != "45:00" {
		t.Fatal(status, b)
	}
	h.clock.Forward(46 * time.Minute)
	h.start()
	if _, b = get(t, h, "/api/stove"); len(b["alarms"].([]any)) != 1 {
		t.Errorf("%v", b["alarms"])
	}
	for range 2 { // the second time somebody had heard it
		status, b = send(t, h, "POST", "/api/stove/clocks/"+c["id"].(string)+"/heard", "")
		if c := b["clocks"].([]any)[0].(map[string]any); status != 200 || c["left"] != "45:00" {
			t.Error(status, c)
		}
	}
	if status, b = send(t, h, "POST", "/api/stove/clocks/"+c["id"].(string)+"/stopped", ""); status != 200 || len(b["clocks"].([]any)) != 0 {
		t.Error(status, b)
	}
	if status, _ = send(t, h, "POST", "/api/stove/clocks/"+c["id"].(string)+"/heard", ""); status != 404 {
		t.Error(status)
	}
	if status, b = send(t, h, "POST", "/api/stove/clocks", `{"kind":"dip","minutes":5}`); status != 422 || !strings.Contains(fmt.Sprint(b["errors"]), "30 seconds to 1 minute") {
		t.Error(status, b)
	}
}
