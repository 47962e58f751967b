package server

import (
	"bytes"
	"context"
	"encoding/csv"
	"encoding/json"
	"fmt"
	"net/http/httptest"
	"os"
	"slices"
	"strings"
	"testing"
	"time"

	ics "github.com/arran4/golang-ical"

	"mellisca/internal/exchange"
	"mellisca/internal/store"
)

const nasty = "=cmd|' /C calc'!A0, \"quoted\"\n+two lines; – Ώριμα 桃 'and'"

// fullKitchen is one in which something of everything is kept, with text that a careless
// file would spoil.
func fullKitchen(t *testing.T) *hobTest {
	h := shelved(t)
	quoted := func(s string) string { raw, _ := json.Marshal(s); return string(raw) }
	lots := h.ask("POST", "/api/lots", `{"name":`+quoted("=Tuesday's \"crate\", ünripe")+`,"kind":"peach","bought":"60 lb","price":"42.10","note":`+quoted(nasty)+`}`, 200)
	lot := all(lots, "lots")[0]["id"].(string)
	h.ask("POST", "/api/lots/"+lot+"/tap", `{"ripeness":"ready"}`, 200)
	h.ask("POST", "/api/lots", `{"name":"free plums","kind":"plum","bought":"3 kg"}`, 200)
	h.ask("POST", "/api/burners", `{"name":"left","kind":"gas","watts":3000}`, 200)
	h.ask("POST", "/api/pots", `{"name":"big","kind":"boiling-water","across":"42 cm","depth":"36 cm","rack":"2 cm","weight":"3 kg"}`, 200)
	h.ask("POST", "/api/shelf/places", `{"name":`+quoted("-loft, \"left\"")+`,"kind":"loft"}`, 200)
	h.ask("POST", "/api/shelf/jars", `{"count":3,"what":`+quoted(nasty)+`,"jar":"pint-wide","canned":"2024","origin":"present","process":"unknown","madeBy":`+quoted("@Petra")+`,"note":`+quoted(strings.Repeat("a long note, ", 38))+`,"allergens":"mustard"}`, 200)
	saved := h.ask("POST", "/api/batches", `{"note":`+quoted(nasty)+`,"request":{"product":"peaches","form":"halves","pack":"hot","jar":"quart","amount":"20 lb","lots":"`+lot+`","liquid":{"kind":"brix","brix":17.25}}}`, 201)
	h.ask("POST", "/api/batches", `{"request":{"product":"moon cheese","pack":"hot","jar":"pint","amount":"3 jars","extras":"butter"}}`, 201)
	closing := httptest.NewRequest("POST", "http://localhost/api/batches/"+saved["id"].(string)+"/close", strings.NewReader(`{"jars":[{"jar":"quart","count":8}],"fruit":"20 lb","note":"x"}`))
	closing.Header.Set("Content-Type", "application/json")
	if w := httptest.NewRecorder(); true {
		if h.ServeHTTP(w, closing); w.Code != 200 {
			t.Fatal(w.Body)
		}
	}
	h.ask("POST", "/api/wants", `{"for":"household","product":"peaches","jar":"quart","count":24}`, 200)
	h.ask("POST", "/api/stove/clocks", `{"kind":"settle","name":"grape juice"}`, 200)
	jars := all(h.ask("GET", "/api/shelf/jars?state=shelf&q=peaches", "", 200), "jars")
	h.ask("PUT", "/api/bench/2026/"+jars[0]["id"].(string), `{"marks":{"cut":7},"place":1,"note":"Even."}`, 200)
	h.ask("POST", "/api/shelf/jars/"+jars[0]["id"].(string)+"/tell", `{"act":"given","who":"Hanne, \"at the mill\""}`, 200)
	h.ask("POST", "/api/shelf/jars/"+jars[1]["id"].(string)+"/tell", `{"act":"opened"}`, 200)
	h.ask("POST", "/api/shelf/jars/"+jars[1]["id"].(string)+"/tell", `{"act":"undone","last":2}`, 200)
	h.ask("POST", "/api/recalls", `{"of":"lot","ref":"`+lot+`","why":"Mould"}`, 200)
	h.ask("POST", "/api/labels/sheets", fmt.Sprintf(sheetOf, "ours", 62.0, 3), 200)
	on := time.UnixMilli(h.clock.Now().WallMs).Format(time.DateOnly)
	h.ask("PUT", "/api/days/"+on, `{"begin":"0:05","by":"23:00","late":"20:00","burners":4,"pots":2,"cooks":[{"name":`+quoted(nasty)+`,"from":"0:05","to":"24:00","breaks":[{"from":"1:00","to":"1:20"}]}]}`, 200)
	step := all(h.ask("POST", "/api/days/"+on+"/batches", `{"batch":"`+saved["id"].(string)+`"}`, 200), "steps")[0]["key"].(string)
	h.ask("POST", "/api/days/"+on+"/steps", `{"step":"`+step+`","kind":"begun"}`, 200)
	h.ask("PUT", "/api/almanac/seasons/peach", `{"from":8,"to":9}`, 200)
	h.ask("PUT", "/api/season/days/"+on, `{"from":"18:00","to":"21:00"}`, 200)
	return h
}

func (h *hobTest) post(path, body string) (int, map[string]any) {
	h.t.Helper()
	r := httptest.NewRequest("POST", "http://localhost"+path, strings.NewReader(body))
	r.Header.Set("Content-Type", "text/plain")
	w := httptest.NewRecorder()
	h.ServeHTTP(w, r)
	var out map[string]any
	if err := json.Unmarshal(w.Body.Bytes(), &out); err != nil {
		h.t.Fatalf("%s: %v in %s", path, err, w.Body)
	}
	return w.Code, out
}

// TestEverythingOutAndIn takes each file out of a full kitchen and into an empty one, out
// of which it comes the same; a second time nothing is new.
func TestEverythingOutAndIn(t *testing.T) {
	from := fullKitchen(t)
	for file, kind := range map[string]string{"kitchen.json": "kitchen", "jars.csv": "jars", "lots.csv": "lots", "batches.csv": "batches"} {
		out := string(from.file("/api/files/"+file, 200))
		into := newHob(t)
		status, would := into.post("/api/files/import?only=true&kind="+kind, out)
		if status != 200 || would["done"] != false || !strings.HasPrefix(would["text"].(string), "It would add") {
			t.Fatalf("%s: %d %v", file, status, would)
		}
		if b := into.ask("GET", "/api/shelf/jars?state=all", "", 200); b["total"] != 0.0 {
			t.Fatalf("%s: what was only to be looked at was taken in", file)
		}
		status, did := into.post("/api/files/import?kind="+kind, out)
		if status != 200 || did["done"] != true || fmt.Sprint(did["took"]) != fmt.Sprint(would["took"]) {
			t.Fatalf("%s: %d %v, and it was to be %v", file, status, did, would)
		}
		if again := string(into.file("/api/files/"+file, 200)); again != out {
			t.Errorf("%s comes out otherwise:\n%s\n\n%s", file, firstDifference(out, again), again[:0])
		}
		if status, b := into.post("/api/files/import?kind="+kind, out); status != 200 || b["text"] != "Nothing new: all of it is here already." {
			t.Errorf("%s a second time: %d %v", file, status, b)
		}
	}
}

func firstDifference(a, b string) string {
	as, bs := strings.Split(a, "\n"), strings.Split(b, "\n")
	for i := range min(len(as), len(bs)) {
		if as[i] != bs[i] {
			return fmt.Sprintf("line %d\n%s\n%s", i+1, as[i], bs[i])
		}
	}
	return fmt.Sprintf("%d and %d lines", len(as), len(bs))
}

// TestWhatComesInWorks looks at a kitchen that was taken in as a cook does: its shelf, a
// jar's trace, its look-over, its plan.
func TestWhatComesInWorks(t *testing.T) {
	from := fullKitchen(t)
	into := newHob(t)
	if status, b := into.post("/api/files/import?kind=kitchen", string(from.file("/api/files/kitchen.json", 200))); status != 200 {
		t.Fatal(b)
	}
	into.clock.Forward(14 * time.Hour)
	for _, path := range []string{"/api/shelf", "/api/shelf/round", "/api/wants", "/api/bench/2026", "/api/fruit", "/api/stove", "/api/labels"} {
		into.ask("GET", path, "", 200)
	}
	a, b := from.ask("GET", "/api/shelf", "", 200), into.ask("GET", "/api/shelf", "", 200)
	if a["text"] != b["text"] || a["recalls"] != b["recalls"] {
		t.Errorf("%v\n%v", a["text"], b["text"])
	}
	given := all(into.ask("GET", "/api/shelf/jars?state=given", "", 200), "jars")
	if len(given) != 1 || !strings.Contains(given[0]["text"].(string), `Hanne, "at the mill"`) {
		t.Fatal(given)
	}
	trace := into.ask("GET", "/api/trace/load/"+into.ask("GET", "/api/shelf/jars/"+given[0]["id"].(string), "", 200)["load"].(string), "", 200)
	if len(all(trace, "jars")) != 6 {
		t.Error(trace["text"])
	}
}

// TestCellsAreHarmless looks for a cell that a spreadsheet would run.
func TestCellsAreHarmless(t *testing.T) {
	h := fullKitchen(t)
	for _, file := range []string{"jars.csv", "lots.csv", "batches.csv"} {
		raw := string(h.file("/api/files/"+file, 200))
		if !strings.Contains(raw, `'=`) {
			t.Errorf("%s: the test's own cell is not there", file)
		}
		rows, err := csv.NewReader(strings.NewReader(raw)).ReadAll()
		if err != nil {
			t.Fatal(err)
		}
		for _, cell := range slices.Concat(rows...) {
			if cell != "" && strings.ContainsRune("=+-@\t\r", rune(cell[0])) {
				t.Errorf("%s: %q would be run", file, cell)
			}
		}
	}
}

func TestBadFilesAreRefusedWhole(t *testing.T) {
	h := fullKitchen(t)
	before := string(h.file("/api/files/kitchen.json", 200))
	jars := string(h.file("/api/files/jars.csv", 200))
	head, _, _ := strings.Cut(jars, "\n")
	line := `qqqqqq,plums,,plums,,,quart,2026-01-02,no,,before,told,,,shelf,2026-01-03,,,,no,,,,0,`
	for name, c := range map[string]struct{ kind, body, says string }{
		"not JSON":             {"kitchen", "no", "well-formed"},
		"another file":         {"kitchen", `{"format":"x"}`, "not a file of a whole kitchen"},
		"a later version":      {"kitchen", `{"format":"mellisca-kitchen","version":9,"tables":{}}`, "version"},
		"an unknown table":     {"kitchen", `{"format":"mellisca-kitchen","version":1,"tables":{"secrets":[]}}`, "tables.secrets"},
		"an unknown field":     {"kitchen", strings.Replace(before, `"bought"`, `"bougt"`, 1), "lot.bougt"},
		"a field that lacks":   {"kitchen", "{\"format\":\"mellisca-kitchen\",\"version\":1,\"tables\":{\n\"setting\":[\n{\"name\":\"x\"}]}}", "line 3, setting.value"},
		"a text for a number":  {"kitchen", "{\"format\":\"mellisca-kitchen\",\"version\":1,\"tables\":{\n\"lot_tap\":[\n{\"lot\":\"a\",\"day\":\"x\",\"ripeness\":\"ready\"}]}}", "line 3, lot_tap.day"},
		"a tap of no lot":      {"kitchen", "{\"format\":\"mellisca-kitchen\",\"version\":1,\"tables\":{\n\"lot_tap\":[\n{\"lot\":\"a\",\"day\":1,\"ripeness\":\"ready\"}]}}", "neither here nor in the file"},
		"out of range":         {"kitchen", strings.Replace(before, `"ripeness": "ready"`, `"ripeness": "lovely"`, 1), "out of its range"},
		"a jar without a life": {"kitchen", strings.Replace(before, `"jar": "`+idIn(before)+`", "seq": 1`, `"jar": "`+idIn(before)+`", "seq": 7`, 1), "missing in between"},
		"other lines told":     {"kitchen", strings.Replace(before, `"Act":"given"`, `"Act":"eaten"`, 1), "never changed"},
		"another process time": {"kitchen", strings.Replace(before, `"Minutes":35`, `"Minutes":1`, 1), "never changed"},
		"cut off":              {"kitchen", before[:len(before)/2], "line"},
		"no header":            {"jars", line, "line 1"},
		"a column too few":     {"jars", "id,what\nqqqqqq,plums", "no column is called jar"},
		"a bad state":          {"jars", head + "\n" + strings.Replace(line, ",shelf,", ",gone,", 1), "line 2, state"},
		"a bad jar":            {"jars", head + "\n" + strings.Replace(line, ",quart,", ",bucket,", 1), "line 2, jar"},
		"a bad day":            {"jars", head + "\n" + strings.Replace(line, "2026-01-02", "soon", 1), "line 2, canned"},
		"given to nobody":      {"jars", head + "\n" + strings.Replace(line, ",shelf,", ",given,", 1), "line 2, given_to"},
		"tested without load":  {"jars", head + "\n" + strings.Replace(line, ",told,", ",tested,", 1), "line 2, process"},
		"the same jar twice":   {"jars", head + "\n" + line + "\n" + line, "line 3, id"},
		"a bad id":             {"jars", head + "\n" + strings.Replace(line, "qqqqqq", "Q 1", 1), "line 2, id"},
		"not text":             {"jars", "\xff\xfe\x00", "UTF-8"},
		"a quote left open":    {"lots", "id,name,kind,weight_g,price,got\nabcdef,\"x,plum,1000,1,2026-01-02", "line"},
		"no such fruit":        {"lots", "id,name,kind,weight_g,price,got\nabcdefgh,x,stone,1000,1,2026-01-02", "line 2, kind"},
		"a weight of nothing":  {"lots", "id,name,kind,weight_g,price,got\nabcdefgh,x,plum,0,1,2026-01-02", "line 2, weight_g"},
		"a price of letters":   {"lots", "id,name,kind,weight_g,price,got\nabcdefgh,x,plum,1000,1e9999,2026-01-02", "line 2, price"},
		"a batch of nothing":   {"batches", "id,version,product,pack,jar,created\nabcdefgh,1,,hot,quart,2026-01-02T00:00:00Z", "line 2, product"},
		"an unknown pack":      {"batches", "id,version,product,pack,jar,created\nabcdefgh,1,plums,warm,quart,2026-01-02T00:00:00Z", "line 2, pack"},
	} {
		status, b := h.post("/api/files/import?kind="+c.kind, c.body)
		if status != 422 || !strings.Contains(strings.ToLower(fmt.Sprint(b)), strings.ToLower(c.says)) || !strings.Contains(fmt.Sprint(b), "Nothing was taken in") {
			t.Errorf("%s: %d %v", name, status, b)
		}
	}
	if after := string(h.file("/api/files/kitchen.json", 200)); after != before {
		t.Error("something was half taken in:", firstDifference(before, after))
	}
}

// idIn is the id of the first jar that was told of in a file.
func idIn(file string) string {
	_, rest, _ := strings.Cut(file, `"shelf_line": [`)
	_, rest, _ = strings.Cut(rest, `"jar": "`)
	id, _, _ := strings.Cut(rest, `"`)
	return id
}

// TestChangedInASpreadsheet changes the words of a jar in a CSV: those come in, and where
// the jar is stays what was told here.
func TestChangedInASpreadsheet(t *testing.T) {
	h := shelved(t)
	raw := strings.ReplaceAll(string(h.file("/api/files/jars.csv", 200)), "hot pack", "hot pack, sweet")
	raw = strings.ReplaceAll(raw, ",shelf,", ",eaten,")
	raw = "\ufeff" + strings.ReplaceAll(raw, "\n", "\r\n")
	status, b := h.post("/api/files/import?kind=jars", raw)
	if status != 200 || !strings.Contains(fmt.Sprint(b["notes"]), "5 of the jars stand otherwise here") {
		t.Fatal(status, b)
	}
	if jars := h.ask("GET", "/api/shelf/jars?q=sweet&state=shelf", "", 200); jars["total"] != 5.0 {
		t.Error(jars["total"])
	}
}

func TestSchemaIsCurrent(t *testing.T) {
	h := newHob(t)
	got := append(bytes.TrimSpace(h.file("/api/files/kitchen.schema.json", 200)), '\n')
	path := "../../docs/kitchen.schema.json"
	if want, err := os.ReadFile(path); err != nil || !bytes.Equal(got, want) {
		if os.Getenv("WRITE_SCHEMA") != "" {
			if err := os.WriteFile(path, got, 0o644); err != nil {
				t.Fatal(err)
			}
			return
		}
		t.Errorf("%s is not what the program reads; WRITE_SCHEMA=1 go test ./internal/server -run Schema writes it anew (%v)", path, err)
	}
}

func TestCalendarOfTheKitchen(t *testing.T) {
	h := lifted(t)
	h.ask("POST", "/api/lots", `{"name":"Tuesday's crate","kind":"peach","bought":"20 lb"}`, 200)
	lot := all(h.ask("GET", "/api/fruit", "", 200), "lots")[0]["id"].(string)
	h.ask("POST", "/api/lots/"+lot+"/tap", `{"ripeness":"ready"}`, 200)
	h.ask("POST", "/api/stove/clocks", `{"kind":"settle","name":"grape juice"}`, 200)
	h.ask("POST", "/api/shelf/jars", `{"count":3,"product":"peaches","jar":"quart","canned":"2020","origin":"before","process":"told"}`, 200)
	c, err := ics.ParseCalendar(bytes.NewReader(h.file("/api/files/calendar.ics", 200)))
	if err != nil {
		t.Fatal(err)
	}
	out := h.clock.Now().WallMs
	want := map[string]time.Duration{"Look at the seals: 7 quarts": 12 * time.Hour, "The day is over": 24 * time.Hour, "The juice has settled: grape juice": 24 * time.Hour, "Tuesday's crate turns": 0, "Look over 3 jars": 0}
	for _, e := range c.Events() {
		title := e.GetProperty(ics.ComponentPropertySummary).Value
		for begins, after := range want {
			if !strings.HasPrefix(title, begins) {
				continue
			}
			if at, err := e.GetStartAt(); after > 0 && (err != nil || at.Sub(time.UnixMilli(out)).Round(time.Minute) != after) {
				t.Errorf("%s: %v %v", title, at, err)
			}
			delete(want, begins)
		}
	}
	if len(want) > 0 {
		t.Errorf("not in the calendar: %v", want)
	}
}

// TestBackupAndRestore backs a kitchen up while it is written to, changes it, and puts the
// backup back; a file that is none is refused.
func TestBackupAndRestore(t *testing.T) {
	h := fullKitchen(t)
	before := string(h.file("/api/files/kitchen.json", 200))
	done := make(chan struct{})
	go func() {
		defer close(done)
		for range 30 {
			h.file("/api/shelf", 200)
		}
	}()
	raw := h.file("/api/files/backup.db", 200)
	<-done
	h.ask("POST", "/api/shelf/jars", `{"count":9,"product":"plums","jar":"quart","canned":"2025","origin":"before","process":"told"}`, 200)
	for _, bad := range []string{"", "no file of a kitchen", string(raw[:len(raw)/2])} {
		if status, b := h.post("/api/files/restore", bad); status != 422 || !strings.Contains(b["detail"].(string), "no sound file") {
			t.Error(status, b)
		}
	}
	if string(h.file("/api/files/kitchen.json", 200)) == before {
		t.Fatal("a bad file was put in place")
	}
	h.open(sevenQuarts)
	if status, b := h.post("/api/files/restore", string(raw)); status != 409 || !strings.Contains(b["detail"].(string), "on the hob") {
		t.Error(status, b)
	}
	h.told("checked", "jars-in", "lid-on", "boil")
	h.clock.Forward(35 * time.Minute)
	h.told("heat-off", "lid-off")
	h.clock.Forward(5 * time.Minute)
	h.told("out", "put-away")
	status, b := h.post("/api/files/restore", string(raw))
	if status != 200 {
		t.Fatal(status, b)
	}
	if after := string(h.file("/api/files/kitchen.json", 200)); after != before {
		t.Error("it is not as it was:", firstDifference(before, after))
	}
	_, kept, _ := strings.Cut(b["text"].(string), "kept in ")
	if err := store.CheckBackup(context.Background(), strings.TrimSuffix(kept, ".")); err != nil {
		t.Error(kept, err)
	}
	os.Remove(strings.TrimSuffix(kept, "."))
	h.ask("POST", "/api/shelf/places", `{"name":"another","kind":"box"}`, 200)
}

// FuzzKitchenFile hands a kitchen any file: it is taken in whole or refused whole, and the
// kitchen still stands.
func FuzzKitchenFile(f *testing.F) {
	h := newHob(f)
	empty := h.file("/api/files/kitchen.json", 200)
	f.Cleanup(func() {
		if after := h.file("/api/files/kitchen.json", 200); !bytes.Equal(empty, after) {
			f.Error("looking at files changed the kitchen")
		}
	})
	f.Add(string(h.file("/api/files/kitchen.json", 200)), "kitchen")
	f.Add(`{"format":"mellisca-kitchen","version":1,"tables":{"jar":[],"shelf_line":[{"jar":"a","seq":1,"told_wall_ms":1,"data":{}}]}}`, "kitchen")
	f.Add(string(h.file("/api/files/jars.csv", 200))+"qqqqqq,plums,,plums,,,quart,2026-01-02,no,,before,told,,cellar,shelf,2026-01-03,,,,no,,'=note,,0,\n", "jars")
	f.Add(string(h.file("/api/files/lots.csv", 200))+"abcdefgh,x,plum,,3 kg,3000,no,1.20,,2026-01-02,,2026-01-03 ready\n", "lots")
	f.Add(string(h.file("/api/files/batches.csv", 200))+"abcdefgh,1,,plums,,,,whole,hot,quart,,0,,,,3 jars,syrup,light,0,0,0,0,,,no,sugar,0,,,,,,,,2026-01-02T00:00:00.000Z,2026-01-02T00:00:00.000Z\n", "batches")
	f.Fuzz(func(t *testing.T, body, kind string) {
		if kind != "jars" && kind != "lots" && kind != "batches" {
			kind = "kitchen"
		}
		// Most files are wrong, which a look at one kitchen tells at once.
		r := httptest.NewRequest("POST", "http://localhost/api/files/import?only=true&kind="+kind, strings.NewReader(body))
		w := httptest.NewRecorder()
		if h.ServeHTTP(w, r); w.Code == 422 {
			return
		}
		into := newHob(t)
		before := into.file("/api/files/kitchen.json", 200)
		r = httptest.NewRequest("POST", "http://localhost/api/files/import?kind="+kind, strings.NewReader(body))
		w = httptest.NewRecorder()
		into.ServeHTTP(w, r)
		switch w.Code {
		case 200:
			var out bytes.Buffer
			if err := exchange.WriteWhole(t.Context(), &out, into.store); err != nil {
				t.Fatal(err)
			}
			twice := newHob(t)
			if status, b := twice.post("/api/files/import?kind=kitchen", out.String()); status != 200 {
				t.Fatalf("what was taken in does not come in again: %v\n%s", b, out.String())
			}
			for _, path := range []string{"/api/shelf", "/api/shelf/jars?state=all", "/api/batches", "/api/tray"} {
				w := httptest.NewRecorder()
				if into.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost"+path, nil)); w.Code != 200 {
					t.Fatalf("%s afterwards: %d %s", path, w.Code, w.Body)
				}
			}
		case 422:
			if after := into.file("/api/files/kitchen.json", 200); !bytes.Equal(before, after) {
				t.Fatalf("it was refused and half taken in: %s", w.Body)
			}
		default:
			t.Fatalf("%d %s", w.Code, w.Body)
		}
	})
}
