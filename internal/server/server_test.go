package server

import (
	"bytes"
	"context"
	"encoding/json"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"path/filepath"
	"strings"
	"testing"
	"testing/fstest"
	"time"

	"mellisca/internal/device"
	"mellisca/internal/live"
	"mellisca/internal/store"
)

var noon = time.Date(2026, 8, 14, 12, 0, 0, 0, time.UTC)

func testServer(t testing.TB) http.Handler {
	t.Helper()
	return testServerAt(t, func() time.Time { return noon })
}

// testServerAt is a server that goes by a clock of the test's own.
func testServerAt(t testing.TB, now func() time.Time) http.Handler {
	t.Helper()
	st, err := store.Open(context.Background(), filepath.Join(t.TempDir(), "m.db"))
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { st.Close() })
	clock := device.NewQuick(device.NewMachine(), 0)
	stove, err := live.New(context.Background(), store.Stove{Store: st}, clock)
	if err != nil {
		t.Fatal(err)
	}
	return New(Options{
		Stove: stove, Clock: clock, Store: st, Now: now, Log: slog.New(slog.NewTextHandler(io.Discard, nil)),
		Assets: fstest.MapFS{"index.html": {Data: []byte("<!doctype html>")}, "assets/a-123.js": {Data: []byte("1")}},
	})
}

// send sends a JSON body and reads the answer.
func send(t testing.TB, h http.Handler, method, path, body string, headers ...string) (int, map[string]any) {
	t.Helper()
	r := httptest.NewRequest(method, "http://localhost"+path, strings.NewReader(body))
	r.Header.Set("Content-Type", "application/json")
	for i := 0; i+1 < len(headers); i += 2 {
		r.Header.Set(headers[i], headers[i+1])
	}
	w := httptest.NewRecorder()
	h.ServeHTTP(w, r)
	var out map[string]any
	if w.Body.Len() > 0 {
		if err := json.Unmarshal(w.Body.Bytes(), &out); err != nil {
			t.Fatalf("%s %s: %v in %s", method, path, err, w.Body)
		}
	}
	return w.Code, out
}

const peaches = `{"product":"peaches","kind":"freestone","form":"halves","pack":"hot","jar":"quart","amount":"12 lb","liquid":{"kind":"syrup","strength":"light"}}`

func setKitchen(t testing.TB, h http.Handler) {
	t.Helper()
	if status, body := send(t, h, "PUT", "/api/kitchen", `{"name":"Corvane","altitude":"3,480 ft","units":"us","version":1}`); status != 200 || body["altitudeBand"] != "3,001 to 6,000 ft" || body["boilsAt"] != "206 °F" {
		t.Fatal(status, body)
	}
}

func TestPlan(t *testing.T) {
	h := testServer(t)
	status, body := send(t, h, "POST", "/api/plan", peaches)
	if status != 200 || body["status"] != "incomplete" || body["time"] != nil {
		t.Fatalf("without an altitude: %d %v", status, body)
	}
	setKitchen(t, h)
	status, body = send(t, h, "POST", "/api/plan", peaches)
	want := `{"status":"tested","headline":"peaches, freestone, in halves, hot, in quarts","altitude":"3,480 ft",
		"time":{"minutes":35,"band":"3,001 to 6,000 ft","water":"2 in","headspace":"1/2 in","source":"Complete Guide to Home Canning, Guide 2: Peaches (2015)"},
		"jars":{"planned":5,"text":"5 quarts","range":"4 to 6, depending on the fruit","ready":6},"fruit":{"text":"12 lb"},
		"liquid":{"name":"light syrup","brix":20},"canner":{"text":"1 load of 5 quarts","capacity":7}}`
	if status != 200 || !holds(body, parse(t, want)) {
		b, _ := json.Marshal(body)
		t.Errorf("%d %s", status, b)
	}
	status, body = send(t, h, "POST", "/api/plan", strings.Replace(peaches, `"hot"`, `"raw"`, 1))
	if status != 200 || body["time"].(map[string]any)["minutes"] != 40.0 {
		t.Errorf("raw: %v", body)
	}
	status, body = send(t, h, "POST", "/api/plan", strings.NewReplacer(`"peaches"`, `"pears"`, `"freestone"`, `""`, `"hot"`, `"raw"`).Replace(peaches))
	offer := body["alternatives"].([]any)[0].(map[string]any)
	if status != 200 || body["status"] != "refused" || body["time"] != nil || offer["label"] != "hot pack" || offer["minutes"] != 35.0 {
		t.Errorf("raw pears: %v", body)
	}
	again, _ := json.Marshal(offer["request"])
	if _, body = send(t, h, "POST", "/api/plan", string(again)); body["status"] != "tested" {
		t.Errorf("the way out: %v", body)
	}
}

func TestPlanInMetric(t *testing.T) {
	h := testServer(t)
	if status, body := send(t, h, "PUT", "/api/kitchen", `{"name":"","altitude":"1 061 m","units":"metric","version":1}`); status != 200 || body["altitude"] != "1,061 m" {
		t.Fatal(body)
	}
	_, body := send(t, h, "POST", "/api/plan", strings.Replace(peaches, "12 lb", "5.5 kg", 1))
	if !holds(body, parse(t, `{"altitude":"1,061 m","time":{"minutes":35,"band":"915 to 1,828 m","headspace":"1.3 cm"},"fruit":{"text":"5.5 kg"}}`)) {
		t.Errorf("%v", body["time"])
	}
}

func TestBadBodiesAreNamedAndNothingIsKept(t *testing.T) {
	h := testServer(t)
	for _, c := range []struct {
		method, path, body string
		status             int
		location           string
	}{
		{"POST", "/api/plan", strings.Replace(peaches, "12 lb", "lots", 1), 422, "body.amount"},
		{"POST", "/api/plan", strings.Replace(peaches, `"quart"`, `"mug"`, 1), 422, "body.jar"},
		{"POST", "/api/plan", strings.Replace(peaches, `"pack"`, `"extras":"butter,sand","pack"`, 1), 422, "body.extras"},
		{"POST", "/api/plan", strings.Replace(peaches, `"pack"`, `"jars":"broken","fruit":"green","acid":"some","pack"`, 1), 422, "body.fruit"},
		{"POST", "/api/plan", `{"product":"peaches"}`, 422, "body"},
		{"POST", "/api/plan", strings.Replace(peaches, `"pack"`, `"pick"`, 1), 422, "body"},
		{"POST", "/api/plan", `{`, 400, ""},
		{"POST", "/api/batches", `{"note":"x","request":` + strings.Replace(peaches, "12 lb", "-1 lb", 1) + `}`, 422, "body.request.amount"},
		{"POST", "/api/batches", `{"note":"` + strings.Repeat("x", 2001) + `","request":` + peaches + `}`, 422, "body.note"},
		{"POST", "/api/batches", `{"note":"` + strings.Repeat("x", 100_000) + `","request":` + peaches + `}`, 413, ""},
		{"PUT", "/api/kitchen", `{"name":"","altitude":"3480","units":"us","version":1}`, 422, "body.altitude"},
		{"PUT", "/api/kitchen", `{"name":"","altitude":"","units":"stones","version":1}`, 422, "body.units"},
		{"PUT", "/api/kitchen", `{"name":"","altitude":"0 ft","units":"us","version":9}`, 409, ""},
		{"GET", "/api/batches/nothing", "", 404, ""},
		{"DELETE", "/api/batches/nothing", "", 404, ""},
		{"POST", "/api/batches/nothing/restore", "", 404, ""},
		{"GET", "/api/nothing", "", 404, ""},
		{"PATCH", "/api/kitchen", "", 405, ""},
	} {
		status, body := send(t, h, c.method, c.path, c.body)
		found := c.location == ""
		errs, _ := body["errors"].([]any)
		for _, e := range errs {
			found = found || strings.HasPrefix(e.(map[string]any)["location"].(string), c.location)
		}
		if status != c.status || !found || body["detail"] == "" {
			t.Errorf("%s %s %.80s: %d %v", c.method, c.path, c.body, status, body)
		}
	}
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost/api/batches", nil))
	if got := strings.TrimSpace(w.Body.String()); got != "[]" {
		t.Errorf("something was kept: %s", got)
	}
	if _, k := send(t, h, "GET", "/api/kitchen", ""); k["altitude"] != "" || k["version"] != 1.0 {
		t.Errorf("the kitchen changed: %v", k)
	}
}

func TestBatchLife(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	status, b := send(t, h, "POST", "/api/batches", `{"note":"first","request":`+peaches+`}`)
	if status != 201 || b["version"] != 1.0 || b["created"] != "2026-08-14T12:00:00Z" {
		t.Fatal(status, b)
	}
	path := "/api/batches/" + b["id"].(string)
	change := `{"version":1,"note":"second","request":` + strings.Replace(peaches, "12 lb", "20 lb", 1) + `}`
	if status, b := send(t, h, "PUT", path, change); status != 200 || b["version"] != 2.0 {
		t.Fatal(status, b)
	}
	if status, b := send(t, h, "PUT", path, change); status != 409 || !strings.Contains(b["detail"].(string), "somewhere else") {
		t.Errorf("a stale change: %d %v", status, b)
	}
	if status, b := send(t, h, "GET", path, ""); status != 200 || b["note"] != "second" || b["request"].(map[string]any)["amount"] != "20 lb" {
		t.Errorf("%v", b)
	}
	if status, _ := send(t, h, "DELETE", path, ""); status != 204 {
		t.Error(status)
	}
	if status, _ := send(t, h, "GET", path, ""); status != 404 {
		t.Error(status)
	}
	if status, b := send(t, h, "POST", path+"/restore", ""); status != 200 || b["note"] != "second" {
		t.Errorf("%v", b)
	}
	// A refused idea is kept as such.
	if status, _ := send(t, h, "POST", "/api/batches", `{"request":{"product":"banana","pack":"hot","jar":"pint","amount":"3 jars"}}`); status != 201 {
		t.Error(status)
	}
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost/api/batches", nil))
	var list []map[string]any
	if err := json.Unmarshal(w.Body.Bytes(), &list); err != nil || len(list) != 2 {
		t.Fatal(err, list)
	}
	for _, l := range list {
		refused := l["product"] == "banana"
		if (l["status"] == "refused") != refused || (l["minutes"] == nil) != refused {
			t.Errorf("%v", l)
		}
	}
}

func TestGuards(t *testing.T) {
	h := testServer(t)
	if status, _ := send(t, h, "POST", "/api/plan", peaches, "Sec-Fetch-Site", "cross-site", "Origin", "http://elsewhere.example"); status != 403 {
		t.Errorf("a page elsewhere could post: %d", status)
	}
	r := httptest.NewRequest("GET", "http://elsewhere.example/api/kitchen", nil)
	w := httptest.NewRecorder()
	h.ServeHTTP(w, r)
	if w.Code != 421 {
		t.Errorf("answered to another name: %d", w.Code)
	}
	for _, host := range []string{"localhost:8080", "127.0.0.1:8080", "[::1]:8080", "192.168.4.7:8080", "kitchen.local"} {
		r := httptest.NewRequest("GET", "http://"+host+"/api/kitchen", nil)
		w := httptest.NewRecorder()
		h.ServeHTTP(w, r)
		if w.Code != 200 {
			t.Errorf("%s: %d", host, w.Code)
		}
	}
	for path, want := range map[string]string{"/": "no-cache", "/batch/abc": "no-cache", "/assets/a-123.js": "public, max-age=31536000, immutable"} {
		w := httptest.NewRecorder()
		h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost"+path, nil))
		csp := w.Header().Get("Content-Security-Policy")
		if w.Code != 200 || w.Header().Get("Cache-Control") != want || !strings.Contains(csp, "script-src 'self';") || strings.Contains(csp, "unsafe") {
			t.Errorf("%s: %d %q %q", path, w.Code, w.Header().Get("Cache-Control"), csp)
		}
	}
	for _, path := range []string{"/assets/gone.js", "/../../etc/passwd.txt", "/api"} {
		w := httptest.NewRecorder()
		h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost"+path, nil))
		if w.Code != 404 {
			t.Errorf("%s: %d", path, w.Code)
		}
	}
}

func TestPanicReachesNobody(t *testing.T) {
	var log bytes.Buffer
	s := &server{log: slog.New(slog.NewTextHandler(&log, nil))}
	w := httptest.NewRecorder()
	s.recoverer(http.HandlerFunc(func(http.ResponseWriter, *http.Request) { panic("the pot boiled dry") })).
		ServeHTTP(w, httptest.NewRequest("GET", "/x", nil))
	if w.Code != 500 || strings.Contains(w.Body.String(), "boiled dry") || !strings.Contains(log.String(), "boiled dry") {
		t.Errorf("%d %s\n%s", w.Code, w.Body, &log)
	}
}

func TestStoreFailureIsSaidPlainly(t *testing.T) {
	st, err := store.Open(context.Background(), filepath.Join(t.TempDir(), "m.db"))
	if err != nil {
		t.Fatal(err)
	}
	h := New(Options{Store: st, Now: time.Now, Log: slog.New(slog.NewTextHandler(io.Discard, nil)), Assets: fstest.MapFS{}})
	st.Close()
	if status, b := send(t, h, "GET", "/api/kitchen", ""); status != 500 || !strings.Contains(b["detail"].(string), "the file did not answer") {
		t.Errorf("%d %v", status, b)
	}
	if status, _ := send(t, h, "GET", "/", ""); status != 404 {
		t.Errorf("without a front end: %d", status)
	}
}

func TestOpenAPIIsServed(t *testing.T) {
	h := testServer(t)
	_, doc := get(t, h, "/api/openapi.json")
	paths := doc["paths"].(map[string]any)
	for _, p := range []string{"/api/process-time", "/api/syrup", "/api/plan", "/api/batches/{id}/restore", "/api/kitchen", "/api/catalogue"} {
		if paths[p] == nil {
			t.Errorf("%s is not described", p)
		}
	}
	raw, err := OpenAPI()
	if err != nil || !json.Valid(raw) {
		t.Error(err)
	}
}
