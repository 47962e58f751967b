package server

import (
	"encoding/json"
	"fmt"
	"net/http/httptest"
	"strings"
	"testing"
	"time"
)

// tray reads the loads that are on it.
func (h *hobTest) tray() (all []map[string]any) {
	h.t.Helper()
	req := httptest.NewRequest("GET", "/api/tray", nil)
	req.Host = "localhost"
	w := httptest.NewRecorder()
	h.ServeHTTP(w, req)
	if err := json.Unmarshal(w.Body.Bytes(), &all); err != nil {
		h.t.Fatal(w.Code, w.Body.String())
	}
	return all
}

func (h *hobTest) atTray(what, body string) (int, string) {
	h.t.Helper()
	req := httptest.NewRequest("POST", "/api/tray/"+h.tray()[0]["id"].(string)+"/"+what, strings.NewReader(body))
	req.Host = "localhost"
	req.Header.Set("Content-Type", "application/json")
	w := httptest.NewRecorder()
	h.ServeHTTP(w, req)
	return w.Code, w.Body.String()
}

// lifted runs a load of seven quarts to the tray; one of them broke in the canner.
func lifted(t *testing.T) *hobTest {
	h := newHob(t)
	h.open(sevenQuarts)
	h.told("checked", "jars-in", "lid-on", "boil")
	if status, b := h.tell(`"kind":"jar-broken","jar":4`); status != 200 {
		t.Fatal(b)
	}
	h.clock.Forward(35 * time.Minute)
	h.told("heat-off", "lid-off", "out", "put-away") // lifted without its rest
	return h
}

func jarOn(l map[string]any, n float64) map[string]any {
	for _, j := range l["jars"].([]any) {
		if j := j.(map[string]any); j["n"] == n {
			return j
		}
	}
	return nil
}

func TestTheMorningAfter(t *testing.T) {
	h := lifted(t)
	l := h.tray()[0]
	if len(l["jars"].([]any)) != 6 || jarOn(l, 4) != nil || !strings.Contains(l["early"].(string), "12 h 0 min more") {
		t.Fatalf("%v %v", l["early"], l["jars"])
	}
	if status, b := h.atTray("found", `{"jars":[],"seal":"sealed"}`); status != 422 || !strings.Contains(b, "too early") {
		t.Error(status, b)
	}
	h.clock.Forward(14 * time.Hour)
	for body, says := range map[string]string{
		`{"jars":[4],"seal":"sealed"}`:                "Jar 4 is not on the tray",
		`{"jars":[9],"seal":"sealed"}`:                "Jar 9 is not on the tray",
		`{"jars":[1],"seal":"so-so"}`:                 "body.seal",
		`{"jars":[1],"seal":"sealed","liquidLost":2}`: "liquidLost",
	} {
		if status, b := h.atTray("found", body); status != 422 || !strings.Contains(b, says) {
			t.Errorf("%s: %d %s", body, status, b)
		}
	}
	if status, b := h.atTray("done", `{"jars":[1],"choice":"shelf"}`); status != 422 || !strings.Contains(b, "Look at it first") {
		t.Error(status, b)
	}
	if status, b := h.atTray("found", `{"jars":[2],"seal":"unsealed"}`); status != 200 {
		t.Fatal(b)
	}
	if status, b := h.atTray("found", `{"jars":[3],"seal":"sealed","liquidLost":0.3}`); status != 200 {
		t.Fatal(b)
	}
	if status, b := h.atTray("found", `{"jars":[],"seal":"sealed"}`); status != 200 { // all the others
		t.Fatal(b)
	}
	l = h.tray()[0]
	if j := jarOn(l, 2); j["fate"] != "choose" || j["left"] != "10 h 0 min" || len(j["do"].([]any)) != 4 {
		t.Errorf("%v", j)
	}
	if j := jarOn(l, 3); j["fate"] != "use-first" || !strings.Contains(fmt.Sprint(j["causes"]), "rested 0 minutes") {
		t.Errorf("%v", j)
	}
	if status, b := h.atTray("done", `{"jars":[2],"choice":"shelf"}`); status != 422 || !strings.Contains(b, "It did not seal") {
		t.Error(status, b)
	}
	if status, b := h.atTray("done", `{"jars":[1,3,5,6,7],"choice":"shelf"}`); status != 200 {
		t.Fatal(b)
	}
	h.start() // it is in the file
	if j := jarOn(h.tray()[0], 1); j["done"] != "shelf" || j["text"] != "Sealed: on the shelf" {
		t.Errorf("%v", j)
	}
	// The one that did not seal goes onto the hob again, as a load that knows the old one.
	old := l["id"]
	if status, b := h.atTray("done", `{"jars":[2],"choice":"process-again"}`); status != 200 || b != "[]\n" {
		t.Fatal(status, b)
	}
	again := h.load()
	if about := again["about"].(map[string]any); about["againOf"] != old || len(again["jars"].([]any)) != 1 || again["minutes"] != 35.0 {
		t.Errorf("%v", about)
	}
	h.told("checked", "jars-in", "lid-on", "boil")
	h.clock.Forward(35 * time.Minute)
	h.told("heat-off", "lid-off", "out", "put-away")
	h.clock.Forward(13 * time.Hour)
	if status, b := h.atTray("found", `{"jars":[1],"seal":"unsealed"}`); status != 200 || strings.Contains(b, `"process-again"`) {
		t.Errorf("a third time: %d %s", status, b)
	}
	h.clock.Forward(12 * time.Hour)
	if j := jarOn(h.tray()[0], 1); j["fate"] != "discard" {
		t.Errorf("%v", j)
	}
}

func TestAShortLoadOnTheTray(t *testing.T) {
	h := newHob(t)
	h.open(sevenQuarts)
	h.told("checked", "jars-in", "lid-on", "boil")
	h.clock.Forward(30 * time.Minute)
	if status, b := h.tell(`"kind":"heat-off","what":"early"`); status != 200 {
		t.Fatal(b)
	}
	h.told("lid-off", "out", "put-away")
	h.clock.Forward(13 * time.Hour)
	if status, b := h.atTray("found", `{"jars":[],"seal":"sealed"}`); status != 200 {
		t.Fatal(b)
	}
	if status, b := h.atTray("done", `{"jars":[1],"choice":"shelf"}`); status != 422 || !strings.Contains(b, "not processed in full") {
		t.Error(status, b)
	}
	if status, b := h.atTray("done", `{"jars":[1,2,3,4,5,6,7],"choice":"refrigerate"}`); status != 200 || b != "[]\n" {
		t.Error(status, b)
	}
}
