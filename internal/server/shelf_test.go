package server

import (
	"encoding/json"
	"fmt"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"
	"time"
)

// shelved runs a load of seven quarts to the shelf: jar 2 did not seal and is in the
// refrigerator, jar 3 lost a little liquid, jar 4 broke in the canner.
func shelved(t *testing.T) *hobTest {
	h := lifted(t)
	h.clock.Forward(14 * time.Hour)
	for _, told := range [][2]string{
		{"found", `{"jars":[2],"seal":"unsealed"}`}, {"found", `{"jars":[3],"seal":"sealed","liquidLost":0.2}`}, {"found", `{"jars":[],"seal":"sealed"}`},
		{"done", `{"jars":[2],"choice":"refrigerate"}`}, {"done", `{"jars":[1,3,5,6,7],"choice":"shelf"}`},
	} {
		if status, b := h.atTray(told[0], told[1]); status != 200 {
			t.Fatal(told, status, b)
		}
	}
	return h
}

func (h *hobTest) ask(method, path, body string, want int) map[string]any {
	h.t.Helper()
	status, b := send(h.t, h, method, path, body)
	if status != want {
		h.t.Fatalf("%s %s %s: %d, %v", method, path, body, status, b)
	}
	return b
}

// all is a list in an answer.
func all(b map[string]any, name string) (out []map[string]any) {
	for _, x := range b[name].([]any) {
		out = append(out, x.(map[string]any))
	}
	return out
}

func TestFromTheTrayToTheShelf(t *testing.T) {
	h := shelved(t)
	b := h.ask("GET", "/api/shelf", "", 200)
	place := all(b, "places")[0]
	group := all(place, "groups")[0]
	if b["count"] != 5.0 || group["count"] != 5.0 || group["what"] != "peaches, freestone, in halves" && group["what"] != "peaches, in halves" || group["useFirst"] != 1.0 || !strings.Contains(group["strength"].(string), "hot pack") {
		t.Fatalf("%v", b)
	}
	apart := all(b, "apart")
	if len(apart) != 1 || apart[0]["state"] != "refrigerator" || apart[0]["number"] != 2.0 {
		t.Fatal(apart)
	}
	next := h.ask("GET", "/api/shelf/jars/"+group["next"].(string), "", 200)
	if next["number"] != 3.0 || next["useFirst"] != true || next["source"] == "" {
		t.Errorf("the one that lost liquid is taken first: %v", next)
	}
	path := "/api/shelf/jars/" + next["id"].(string) + "/tell"
	opened := h.ask("POST", path, `{"act":"opened"}`, 200)
	if opened["state"] != "open" || !strings.Contains(opened["text"].(string), "Open in the refrigerator since today, until") {
		t.Error(opened["text"])
	}
	if b := h.ask("POST", path, `{"act":"opened"}`, 409); !strings.Contains(b["detail"].(string), "open already") {
		t.Error(b)
	}
	if b = h.ask("POST", path, `{"act":"undone","last":2}`, 200); b["state"] != "shelf" {
		t.Error(b["state"])
	}
	h.ask("POST", path, `{"act":"undone","last":2}`, 409)
	b = h.ask("POST", path, `{"act":"given"}`, 422)
	if e := all(b, "errors")[0]; e["location"] != "body.who" || !strings.Contains(e["message"].(string), "Say who has it now") {
		t.Error(b)
	}
	h.ask("POST", path, `{"act":"given","who":"Hanne at the mill"}`, 200)
	if b = h.ask("GET", "/api/shelf/jars?q=hanne+peaches&state=all", "", 200); b["total"] != 1.0 {
		t.Error(b["total"])
	}
	b = h.ask("POST", "/api/shelf/jars/"+apart[0]["id"].(string)+"/tell", `{"act":"given","who":"Hanne"}`, 409)
	if !strings.Contains(b["detail"].(string), "never for the shelf") {
		t.Error(b)
	}
	h.clock.Forward(6 * 24 * time.Hour)
	if apart = all(h.ask("GET", "/api/shelf", "", 200), "apart"); apart[0]["urgent"] != "stop" || !strings.Contains(apart[0]["text"].(string), "throw away what is left") {
		t.Error(apart[0]["text"])
	}
	h.ask("POST", "/api/shelf/jars/"+apart[0]["id"].(string)+"/tell", `{"act":"discarded","why":"smell"}`, 200)
	if b = h.ask("GET", "/api/shelf/jars/"+apart[0]["id"].(string), "", 200); !strings.Contains(b["text"].(string), "An odd smell.") || len(all(b, "history")) != 2 {
		t.Error(b["text"], b["history"])
	}
	h.ask("GET", "/api/shelf/jars/nosuch", "", 404)
}

// TestLookedAtAgain takes a jar off the shelf while it is looked at once more on the
// tray.
func TestLookedAtAgain(t *testing.T) {
	h := lifted(t)
	h.clock.Forward(14 * time.Hour)
	for _, told := range [][2]string{{"found", `{"jars":[1],"seal":"sealed"}`}, {"done", `{"jars":[1],"choice":"shelf"}`}, {"found", `{"jars":[1],"seal":"false-seal"}`}} {
		if status, b := h.atTray(told[0], told[1]); status != 200 {
			t.Fatal(told, b)
		}
	}
	b := h.ask("GET", "/api/shelf", "", 200)
	if b["count"] != 0.0 || all(b, "apart")[0]["state"] != "pulled" {
		t.Errorf("%v", b)
	}
	if status, b := h.atTray("done", `{"jars":[1],"choice":"refrigerate"}`); status != 200 {
		t.Fatal(b)
	}
	if apart := all(h.ask("GET", "/api/shelf", "", 200), "apart"); len(apart) != 1 || apart[0]["state"] != "refrigerator" {
		t.Error(apart)
	}
}

func TestPlacesAndOtherJars(t *testing.T) {
	h := newHob(t)
	h.ask("POST", "/api/shelf/places", `{"name":"cellar, top board","kind":"shelf"}`, 200)
	h.ask("POST", "/api/shelf/places", `{"name":"Cellar, Top Board","kind":"box"}`, 422)
	h.ask("POST", "/api/shelf/places", `{"name":"  ","kind":"box"}`, 422)
	places := all(h.ask("POST", "/api/shelf/places", `{"name":"the loft","kind":"loft"}`, 200), "places")
	loft := places[1]["id"].(string)
	for body, where := range map[string]string{
		`{"count":1,"product":"","jar":"quart","canned":"2024","origin":"before","process":"unknown"}`:                         "body.what",
		`{"count":1,"product":"gold","jar":"quart","canned":"2024","origin":"before","process":"told"}`:                        "body.product",
		`{"count":1,"product":"peaches","jar":"bucket","canned":"2024","origin":"before","process":"told"}`:                    "body.jar",
		`{"count":1,"product":"peaches","jar":"quart","canned":"some day","origin":"before","process":"told"}`:                 "body.canned",
		`{"count":1,"product":"peaches","jar":"quart","canned":"2199","origin":"before","process":"told"}`:                     "body.canned",
		`{"count":1,"product":"peaches","jar":"quart","canned":"2024","origin":"present","process":"told"}`:                    "body.madeBy",
		`{"count":1,"product":"peaches","jar":"quart","canned":"2024","origin":"before","process":"own"}`:                      "body.source",
		`{"count":1,"product":"banana","jar":"pint","canned":"2024","origin":"before","process":"told"}`:                       "body.process",
		`{"count":1,"what":"grandmother's pickle","jar":"pint","canned":"2024","origin":"before","process":"told"}`:            "body.process",
		`{"count":1,"product":"peaches","jar":"quart","canned":"2024","origin":"before","process":"told","place":"nowhere"}`:   "body.place",
		`{"count":1,"product":"peaches","form":"sauce","jar":"quart","canned":"2024","origin":"before","process":"told"}`:      "body.form",
		`{"count":0,"product":"peaches","jar":"quart","canned":"2024","origin":"before","process":"told"}`:                     "body.count",
		`{"count":1,"product":"peaches","jar":"quart","canned":"2024","origin":"before","process":"tested"}`:                   "body.process",
		`{"count":1000000000,"product":"peaches","jar":"quart","canned":"2024","origin":"before","process":"told","what":"x"}`: "body.count",
	} {
		b := h.ask("POST", "/api/shelf/jars", body, 422)
		if e := all(b, "errors"); e[0]["location"] != where {
			t.Errorf("%s: %v", body, e)
		}
	}
	if b := h.ask("GET", "/api/shelf", "", 200); b["count"] != 0.0 {
		t.Error("something was half kept")
	}
	h.ask("POST", "/api/shelf/jars", `{"count":12,"product":"peaches","form":"halves","jar":"quart","canned":"2024","origin":"before","process":"told","place":"`+loft+`","madeBy":"Ilse"}`, 200)
	h.ask("POST", "/api/shelf/jars", `{"count":2,"what":"green tomato relish","jar":"pint","canned":"14 August 2025","origin":"present","process":"unknown","madeBy":"a neighbour","place":"`+loft+`"}`, 200)
	b := h.ask("GET", "/api/shelf", "", 200)
	if b["text"] != "14 jars on the shelf: 12 by tested times, 2 not" {
		t.Error(b["text"])
	}
	var relish string
	for _, g := range all(all(b, "places")[1], "groups") {
		if g["what"] == "green tomato relish" {
			if relish = g["next"].(string); g["mark"] != "process not known" {
				t.Error(g)
			}
		}
	}
	if j := h.ask("GET", "/api/shelf/jars/"+relish, "", 200); !strings.Contains(j["caution"].(string), "never counted as tested") {
		t.Error(j["caution"])
	}
	if b := h.ask("DELETE", "/api/shelf/places/"+loft, "", 409); !strings.Contains(b["detail"].(string), "Move them first") {
		t.Error(b)
	}
	h.ask("POST", "/api/shelf/jars/"+relish+"/tell", `{"act":"moved","place":"`+places[0]["id"].(string)+`"}`, 200)
	if j := h.ask("PUT", "/api/shelf/jars/"+relish, `{"note":"Sharp.","allergens":"mustard","useFirst":true}`, 200); j["place"] != "cellar, top board" || j["allergens"] != "mustard" || j["useFirst"] != true {
		t.Error(j)
	}
	// All but the one of the two relishes of 2025 that was canned within the year are due.
	round := h.ask("GET", "/api/shelf/round", "", 200)
	if n := round["count"].(float64); n < 12 {
		t.Error(n)
	}
	jar := all(all(round, "places")[0], "jars")[0]["id"].(string)
	h.ask("POST", "/api/shelf/jars/"+jar+"/tell", `{"act":"looked"}`, 200)
	if after := h.ask("GET", "/api/shelf/round", "", 200)["count"].(float64); after != round["count"].(float64)-1 {
		t.Error(after)
	}
}

// TestRecallOfALoad pulls every jar of a load that is found short, names who got one, and
// keeps what is still on the tray from the shelf.
func TestRecallOfALoad(t *testing.T) {
	h := lifted(t)
	h.clock.Forward(14 * time.Hour)
	id := h.tray()[0]["id"].(string)
	for _, told := range [][2]string{{"found", `{"jars":[],"seal":"sealed"}`}, {"done", `{"jars":[1,2,3],"choice":"shelf"}`}} {
		if status, b := h.atTray(told[0], told[1]); status != 200 {
			t.Fatal(b)
		}
	}
	tr := h.ask("GET", "/api/trace/load/"+id, "", 200)
	jars := all(tr, "jars")
	if len(jars) != 3 || len(all(tr, "batches")) != 1 || fmt.Sprint(tr["others"]) != "[Of load 1, 1 jar: broke in the canner. Of load 1, 3 jars: on the tray, not decided on yet.]" {
		t.Fatalf("%v %v", tr["others"], jars)
	}
	h.ask("POST", "/api/shelf/jars/"+jars[1]["id"].(string)+"/tell", `{"act":"given","who":"Hanne"}`, 200)
	h.ask("POST", "/api/recalls", `{"of":"load","ref":"`+id+`","why":" "}`, 422)
	h.ask("POST", "/api/recalls", `{"of":"load","ref":"nosuch","why":"short"}`, 404)
	b := h.ask("POST", "/api/recalls", `{"of":"load","ref":"`+id+`","why":"The clock had stood still","short":true}`, 200)
	if len(all(b, "pulled")) != 2 || len(all(b, "given")) != 1 || b["text"] != "2 jars to throw away, 1 jar given away of which to tell" {
		t.Fatal(b)
	}
	if b := h.ask("POST", "/api/recalls", `{"of":"load","ref":"`+id+`","why":"again"}`, 409); !strings.Contains(b["detail"].(string), "already") {
		t.Error(b)
	}
	if j := jarOn(h.tray()[0], 5); j["fate"] != "choose" || strings.Contains(fmt.Sprint(j["do"]), "shelf") {
		t.Errorf("a jar of a load that was short: %v", j)
	}
	if status, b := h.atTray("done", `{"jars":[5],"choice":"shelf"}`); status != http.StatusUnprocessableEntity {
		t.Error(status, b)
	}
	h.clock.Forward(11 * time.Hour)
	if j := jarOn(h.tray()[0], 5); j["fate"] != "discard" {
		t.Errorf("a day later: %v", j)
	}
	h.ask("POST", "/api/shelf/jars/"+jars[0]["id"].(string)+"/tell", `{"act":"eaten"}`, 409)
	h.ask("POST", "/api/shelf/jars/"+jars[0]["id"].(string)+"/tell", `{"act":"discarded","why":"called back"}`, 200)
	h.ask("POST", "/api/shelf/jars/"+jars[1]["id"].(string)+"/tell", `{"act":"warned"}`, 200)
	b = h.ask("GET", "/api/recalls/"+b["id"].(string), "", 200)
	if b["text"] != "1 jar to throw away" {
		t.Error(b["text"])
	}
	h.ask("DELETE", "/api/recalls/"+b["id"].(string), "", 200)
	if j := h.ask("GET", "/api/shelf/jars/"+jars[2]["id"].(string), "", 200); j["state"] != "shelf" {
		t.Error(j["state"])
	}
	if j := jarOn(h.tray()[0], 5); j["fate"] != "keep" {
		t.Error(j)
	}
}

// TestRecallOfALot goes from bad fruit through two batches to every jar.
func TestRecallOfALot(t *testing.T) {
	h := newHob(t)
	lots := h.ask("POST", "/api/lots", `{"name":"Tuesday's crate","kind":"peach","bought":"60 lb"}`, 200)
	lot := all(lots, "lots")[0]["id"].(string)
	h.open(`{"product":"peaches","kind":"freestone","form":"halves","pack":"hot","jar":"quart","amount":"7 jars","lots":"` + lot + `"}`)
	batches := h.ask("GET", "/api/trace/lot/"+lot, "", 200)
	if len(all(batches, "batches")) != 1 || fmt.Sprint(batches["others"]) != "[Of load 1, 7 jars: on the stove.]" {
		t.Fatal(batches)
	}
	b := h.ask("POST", "/api/recalls", `{"of":"lot","ref":"`+lot+`","why":"Mould inside"}`, 200)
	h.told("checked", "jars-in", "lid-on", "boil")
	h.clock.Forward(35 * time.Minute)
	h.told("heat-off", "lid-off")
	h.clock.Forward(5 * time.Minute)
	h.told("out", "put-away")
	h.clock.Forward(14 * time.Hour)
	if j := jarOn(h.tray()[0], 1); j["fate"] != "discard" || !strings.Contains(j["why"].(string), "Mould inside.") {
		t.Errorf("%v", j)
	}
	batch := all(batches, "batches")[0]["id"].(string)
	if b := h.ask("POST", "/api/stove/loads", `{"batch":"`+batch+`","load":0}`, 422); !strings.Contains(fmt.Sprint(b["errors"]), "was called back: Mould inside.") {
		t.Error(b)
	}
	h.ask("POST", "/api/shelf/jars", `{"count":1,"product":"peaches","jar":"quart","canned":"2026","origin":"batch","process":"told","batch":"`+batch+`"}`, 422)
	if left := all(h.ask("GET", "/api/fruit", "", 200), "lots"); len(left) != 0 {
		t.Error("the bad lot is still offered", left)
	}
	h.ask("DELETE", "/api/recalls/"+b["id"].(string), "", 200)
	if j := jarOn(h.tray()[0], 1); j["fate"] != "wait" {
		t.Error(j)
	}
}

func TestWantsAndBench(t *testing.T) {
	h := shelved(t)
	h.ask("POST", "/api/wants", `{"for":"household","product":"banana","jar":"quart","count":3}`, 422)
	h.ask("POST", "/api/wants", `{"for":"household","product":"peaches","form":"sauce","jar":"quart","count":3}`, 422)
	h.ask("POST", "/api/wants", `{"for":"gifts","product":"peaches","jar":"quart","count":3,"by":"1999-01-01"}`, 422)
	b := h.ask("POST", "/api/wants", `{"for":"household","product":"peaches","jar":"quart","count":24}`, 200)
	w := all(b, "wants")[0]
	if w["have"] != "5 quarts" || w["short"] != "19 quarts short" {
		t.Error(w)
	}
	if next := all(b, "next"); len(next) != 1 || next[0]["when"] != "July to September" || !strings.Contains(next[0]["fruit"].(string), "lb") {
		t.Error(next)
	}
	b = h.ask("PUT", "/api/wants/"+w["id"].(string), `{"for":"household","product":"peaches","jar":"pint","count":4}`, 200)
	if w = all(b, "wants")[0]; w["over"] != "6 pints more than anyone wants" || w["short"] != "" {
		t.Error(w)
	}
	h.ask("DELETE", "/api/wants/"+w["id"].(string), "", 200)
	if b = h.ask("GET", "/api/wants", "", 200); fmt.Sprint(b["nobody"]) != "[5 jars of peaches, in halves]" {
		t.Error(b["nobody"])
	}
	jars := all(h.ask("GET", "/api/shelf/jars?q=peaches&state=shelf", "", 200), "jars")
	h.ask("PUT", "/api/bench/2026/"+jars[0]["id"].(string), `{"marks":{"cut":7},"place":0,"note":"Even halves."}`, 200)
	h.ask("PUT", "/api/bench/2026/"+jars[0]["id"].(string), `{"marks":{"cut":11},"place":0,"note":""}`, 422)
	h.ask("PUT", "/api/bench/2026/nosuch", `{"marks":{},"place":0,"note":""}`, 404)
	b = h.ask("PUT", "/api/bench/2026/"+jars[1]["id"].(string), `{"marks":{"cut":2},"place":1,"note":""}`, 200)
	entries := all(b, "entries")
	if len(entries) != 2 || entries[0]["jar"].(map[string]any)["id"] != jars[1]["id"] || entries[1]["sum"] != 37.0 && entries[1]["sum"] != 35.0 {
		t.Error(entries)
	}
	h.ask("DELETE", "/api/bench/2026/"+jars[1]["id"].(string), "", 200)
	if b = h.ask("GET", "/api/bench/2027", "", 200); len(all(b, "entries")) != 0 || fmt.Sprint(b["years"]) != "[2026]" {
		t.Error(b)
	}
}

// TestJarsOfABatchClosedByHand come to the shelf once, as the cook's own word; those of
// one that was run on the stove only from the tray.
func TestJarsOfABatchClosedByHand(t *testing.T) {
	h := newHob(t)
	list := func(path string, want int) []JarFields {
		t.Helper()
		var out []JarFields
		if err := json.Unmarshal(h.file(path, want), &out); err != nil && want == 200 {
			t.Fatal(err)
		}
		return out
	}
	saved := h.ask("POST", "/api/batches", `{"request":{"product":"peaches","form":"halves","pack":"hot","jar":"quart","amount":"20 lb","liquid":{"kind":"syrup","strength":"light"}}}`, 201)
	path := "/api/shelf/from-batch/" + saved["id"].(string)
	list(path, 409) // not closed yet
	r := httptest.NewRequest("POST", "http://localhost/api/batches/"+saved["id"].(string)+"/close", strings.NewReader(`{"jars":[{"jar":"quart","count":8},{"jar":"pint","count":1}],"fruit":"20 lb"}`))
	r.Header.Set("Content-Type", "application/json")
	w := httptest.NewRecorder()
	if h.ServeHTTP(w, r); w.Code != 200 {
		t.Fatal(w.Body)
	}
	offered := list(path, 200)
	if len(offered) != 2 || offered[0].Count != 8 || offered[0].Process != "told" || offered[0].Strength != "hot pack, in light syrup" {
		t.Fatalf("%+v", offered)
	}
	offered[0].Count = 7 // one did not seal
	body, err := json.Marshal(offered[0])
	if err != nil {
		t.Fatal(err)
	}
	h.ask("POST", "/api/shelf/jars", string(body), 200)
	if offered = list(path, 200); len(offered) != 2 || offered[0].Count != 1 {
		t.Errorf("%+v", offered)
	}
	h.open(sevenQuarts)
	for _, b := range listAt(t, h, "/api/batches") {
		if b["id"] != saved["id"] {
			list("/api/shelf/from-batch/"+b["id"].(string), 409)
		}
	}
}

func listAt(t *testing.T, h *hobTest, path string) (out []map[string]any) {
	t.Helper()
	if err := json.Unmarshal(h.file(path, 200), &out); err != nil {
		t.Fatal(err)
	}
	return out
}
