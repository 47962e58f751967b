package server

import (
	"encoding/json"
	"fmt"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"
)

func lotsOf(t testing.TB, b map[string]any) (all []map[string]any) {
	t.Helper()
	for _, l := range b["lots"].([]any) {
		all = append(all, l.(map[string]any))
	}
	return all
}

func closingsOf(t testing.TB, h http.Handler) (all []map[string]any) {
	t.Helper()
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost/api/closings", nil))
	if err := json.Unmarshal(w.Body.Bytes(), &all); err != nil {
		t.Fatal(err)
	}
	return all
}

// TestLots runs a lot from the day it comes in, noon of 14 August 2026, to its end.
func TestLots(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	if status, b := send(t, h, "POST", "/api/containers", `{"name":"green pail","kind":"peach","weight":"12 lb"}`); status != 200 || len(b["containers"].([]any)) != 1 {
		t.Fatal(status, b)
	}
	status, b := send(t, h, "POST", "/api/lots", `{"name":"Tuesday's crate","kind":"peach","bought":"2 green pails","price":"18","from":"the market","got":"2026-08-11"}`)
	if status != 200 {
		t.Fatal(status, b)
	}
	lot := lotsOf(t, b)[0]
	if !holds(lot, parse(t, `{"weight":"24 lb","left":"24 lb","perUnit":"0.75 a lb","came":"3 days ago","seen":"","now":"","guess":false}`)) || len(lot["products"].([]any)) == 0 {
		t.Errorf("%v", lot)
	}
	path := "/api/lots/" + lot["id"].(string)
	_, b = send(t, h, "POST", path+"/tap", `{"ripeness":"nearly"}`)
	if l := lotsOf(t, b)[0]; l["now"] != "nearly" || l["fit"] != "Ready about Sunday, 16 August, fit till Wednesday, 19 August (our own guess)." || l["urgent"] != "go" {
		t.Errorf("%v", l)
	}
	_, b = send(t, h, "POST", path+"/tap", `{"ripeness":"past"}`)
	if l := lotsOf(t, b)[0]; l["urgent"] != "stop" || l["make"].([]any)[0].(map[string]any)["product"] != "fruit-puree" {
		t.Errorf("%v", l)
	}
	_, b = send(t, h, "POST", path+"/tap", `{"ripeness":"ready"}`)
	if l := lotsOf(t, b)[0]; l["make"].([]any)[0].(map[string]any)["product"] != "peaches" {
		t.Errorf("%v", l)
	}
	// A lot that turns sooner stands first.
	_, b = send(t, h, "POST", "/api/lots", `{"name":"berries","kind":"berry","bought":"1 flat"}`)
	var berries string
	for _, l := range lotsOf(t, b) {
		if l["name"] == "berries" {
			berries = l["id"].(string)
		}
	}
	if _, b = send(t, h, "POST", "/api/lots/"+berries+"/tap", `{"ripeness":"ready"}`); lotsOf(t, b)[0]["name"] != "berries" || lotsOf(t, b)[0]["urgent"] != "wait" || lotsOf(t, b)[0]["guess"] != true {
		t.Errorf("%v", b["lots"])
	}
	_, b = send(t, h, "POST", "/api/lots", `{"name":"dearer","kind":"peach","bought":"10 lb","price":"10"}`)
	for _, l := range lotsOf(t, b) {
		if want := map[string]string{"dearer": "33 % over what you paid before", "Tuesday's crate": "25 % under what you paid before", "berries": ""}[l["name"].(string)]; l["bargain"] != want {
			t.Errorf("%s: %v", l["name"], l["bargain"])
		}
	}
	_, first := get(t, h, "/api/first?product=peaches&lot="+lot["id"].(string))
	if first["amount"] != "all of it" || first["lots"] != lot["id"] {
		t.Errorf("%v", first)
	}
	raw, _ := json.Marshal(first)
	if _, plan := send(t, h, "POST", "/api/plan", string(raw)); plan["status"] != "tested" || plan["fruit"].(map[string]any)["text"] != "24 lb" {
		t.Errorf("%v", plan)
	}
	for body, fields := range map[string]string{
		`{"name":"","kind":"stone","bought":"1 lb"}`:                        "body.name body.kind",
		`{"name":"x","kind":"peach","bought":"heaps","price":"dear"}`:       "body.bought body.price",
		`{"name":"x","kind":"peach","bought":"1 lb","got":"2026-08-15"}`:    "body.got",
		`{"name":"x","kind":"peach","bought":"1 lb","got":"Tuesday"}`:       "body.got",
		`{"name":"x","kind":"grape","bought":"2 green pails","price":"-3"}`: "body.bought body.price",
	} {
		status, b := send(t, h, "POST", "/api/lots", body)
		raw, _ := json.Marshal(b["errors"])
		for _, f := range strings.Fields(fields) {
			if status != 422 || !strings.Contains(string(raw), f) {
				t.Errorf("%s: %d %s, want %s", body, status, raw, f)
			}
		}
	}
	if status, b := send(t, h, "POST", path+"/gone", `{"gone":true}`); status != 200 || len(lotsOf(t, b)) != 2 {
		t.Error(status, b)
	}
	if status, b := send(t, h, "POST", path+"/gone", `{"gone":false}`); status != 200 || len(lotsOf(t, b)) != 3 {
		t.Error(status, b)
	}
	if status, _ := send(t, h, "POST", "/api/lots/nothing/tap", `{"ripeness":"ready"}`); status != 404 {
		t.Error(status)
	}
	if status, b := send(t, h, "POST", "/api/varieties", `{"kind":"apple","name":"Russet","tart":7}`); status != 200 || len(b["varieties"].([]any)) != 1 {
		t.Error(status, b)
	}
	if status, _ := send(t, h, "POST", "/api/varieties", `{"kind":"stone","name":"Russet","tart":7}`); status != 422 {
		t.Error(status)
	}
	if status, _ := send(t, h, "POST", "/api/containers", `{"name":" ","kind":"stone","weight":"much"}`); status != 422 {
		t.Error(status)
	}
}

func TestClosingABatch(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	_, b := send(t, h, "POST", "/api/lots", `{"name":"crate","kind":"peach","bought":"24 lb"}`)
	lot := lotsOf(t, b)[0]["id"].(string)
	_, saved := send(t, h, "POST", "/api/batches", `{"request":`+strings.Replace(peaches, `"pack"`, `"lots":"`+lot+`","pack"`, 1)+`}`)
	path := "/api/batches/" + saved["id"].(string) + "/close"
	for body, want := range map[string]string{
		`{"jars":[],"fruit":"12 lb"}`:                                                            "body.jars",
		`{"jars":[{"jar":"mug","count":2}],"fruit":"12 lb"}`:                                     "body.jars",
		`{"jars":[{"jar":"quart","count":4}],"fruit":"some"}`:                                    "body.fruit",
		`{"jars":[{"jar":"quart","count":4}],"fruit":"30 lb"}`:                                   "body.fruit",
		`{"jars":[{"jar":"quart","count":4}],"fruit":"12 lb","liquid":"9 gal"}`:                  "body.liquid",
		`{"jars":[{"jar":"quart","count":4}],"fruit":"12 lb","liquid":"much"}`:                   "body.liquid",
		`{"jars":[{"jar":"quart","count":4}],"fruit":"12 lb","liquid":"1 l","liquidLeft":"2 l"}`: "body.liquidLeft",
		`{"jars":[{"jar":"quart","count":4}],"fruit":"12 lb","day":"2027-01-01"}`:                "body.day",
	} {
		status, b := send(t, h, "POST", path, body)
		if raw, _ := json.Marshal(b); status != 422 || !strings.Contains(string(raw), want) {
			t.Errorf("%s: %d %s", body, status, raw)
		}
	}
	if n := len(closingsOf(t, h)); n != 0 {
		t.Errorf("%d batches were closed half", n)
	}
	if status := statusOf(h, "POST", path, `{"jars":[{"jar":"quart","count":4},{"jar":"pint","count":0}],"fruit":"12 lb","liquid":"2 l","liquidLeft":"0.4 l","prepareMinutes":40,"cookMinutes":12,"fillMinutes":15,"boilMinutes":20}`); status != 200 {
		t.Fatal(status)
	}
	c := closingsOf(t, h)[0]
	if !holds(c, parse(t, `{"headline":"peaches, in halves, hot","text":"4 quarts from 12 lb","against":"17 % less than the guide's likely count","day":"2026-08-14","steps":"getting ready 40 min; cooking 12 min; filling 15 min; to the boil 20 min; 6 3/4 cups of liquid, 1 2/3 cups + 1 tsp left","forgotten":false}`)) {
		t.Errorf("%v", c)
	}
	if _, b := get(t, h, "/api/fruit"); lotsOf(t, b)[0]["left"] != "12 lb" {
		t.Errorf("%v", b["lots"])
	}
	if status, b := send(t, h, "PUT", "/api/lots/"+lot, `{"name":"crate","kind":"peach","bought":"11 lb"}`); status != 422 || !strings.Contains(fmt.Sprint(b["errors"]), "Batches took 12 lb of it already") {
		t.Error(status, b)
	}
	jars := func() any {
		_, plan := send(t, h, "POST", "/api/plan", strings.Replace(peaches, "12 lb", "48 lb", 1))
		return plan["jars"].(map[string]any)["learned"]
	}
	if jars() != "by the guide and one batch of yours" {
		t.Error(jars())
	}
	if status := statusOf(h, "POST", "/api/closings/"+c["id"].(string)+"/forget", ""); status != 200 || jars() != "" {
		t.Error(status, jars())
	}
	if status := statusOf(h, "POST", "/api/closings/"+c["id"].(string)+"/remember", ""); status != 200 || jars() == "" {
		t.Error(status, jars())
	}
	if status := statusOf(h, "POST", "/api/closings", `{"product":"pears","pack":"hot","jars":[{"jar":"quart","count":7}],"fruit":"17.5 lb","day":"2025-09-12"}`); status != 200 {
		t.Error(status)
	}
	if status := statusOf(h, "POST", "/api/closings", `{"product":"stones","pack":"hot","jars":[{"jar":"quart","count":7}],"fruit":"17.5 lb"}`); status != 422 {
		t.Error(status)
	}
	if status := statusOf(h, "DELETE", "/api/closings/"+c["id"].(string), ""); status != 200 || len(closingsOf(t, h)) != 1 {
		t.Error(status)
	}
	if _, b := get(t, h, "/api/fruit"); lotsOf(t, b)[0]["left"] != "24 lb" {
		t.Errorf("a batch opened again keeps its fruit: %v", b["lots"])
	}
	_, refused := send(t, h, "POST", "/api/batches", `{"request":{"product":"banana","pack":"hot","jar":"pint","amount":"3 jars"}}`)
	if status, _ := send(t, h, "POST", "/api/batches/"+refused["id"].(string)+"/close", `{"jars":[{"jar":"pint","count":3}],"fruit":"3 lb"}`); status != 422 {
		t.Errorf("bananas were closed: %d", status)
	}
	if status, _ := send(t, h, "POST", "/api/batches/nothing/close", `{"jars":[],"fruit":"1 lb"}`); status != 404 {
		t.Error(status)
	}
}

func TestStockAndSpread(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	if _, p := send(t, h, "POST", "/api/plan", peaches); p["counted"] != false || p["short"] != "" {
		t.Errorf("%v", p)
	}
	if status, b := send(t, h, "PUT", "/api/stock", `{"jars":[{"jar":"quart","owned":8,"inUse":3},{"jar":"pint","owned":20,"inUse":0}],"mouths":[{"mouth":"regular","lids":30,"bands":30},{"mouth":"wide","lids":0,"bands":0}]}`); status != 200 {
		t.Fatal(status, b)
	}
	if _, p := send(t, h, "POST", "/api/plan", peaches); p["counted"] != true || p["short"] != "Short by 1 quart." {
		t.Errorf("%v", p["short"])
	}
	request := strings.Replace(peaches, "12 lb", "24 lb", 1)
	status, b := send(t, h, "POST", "/api/spread", `{"request":`+request+`}`)
	if status != 200 || b["ok"] != true || len(b["loads"].([]any)) == 0 || b["left"] == "" {
		t.Fatalf("%d %v", status, b)
	}
	placed := 0
	for _, l := range b["loads"].([]any) {
		placed += len(l.(map[string]any)["tiers"].([]any)[0].(map[string]any)["jars"].([]any))
	}
	if placed < 14 || placed > 19 {
		t.Errorf("%d jars: %v", placed, b["text"])
	}
	if _, b = send(t, h, "POST", "/api/spread", `{"sizes":1,"request":`+request+`}`); strings.Contains(b["text"].(string), " and ") {
		t.Errorf("%v", b["text"])
	}
	if _, b = send(t, h, "POST", "/api/spread", `{"request":`+strings.Replace(peaches, "12 lb", "7 jars", 1)+`}`); b["ok"] != false {
		t.Errorf("%v", b)
	}
	for _, bad := range []string{
		`{"jars":[{"jar":"mug","owned":8,"inUse":3}],"mouths":[]}`, `{"jars":[{"jar":"quart","owned":2,"inUse":3}],"mouths":[]}`,
		`{"jars":[{"jar":"quart","owned":-2,"inUse":0}],"mouths":[]}`, `{"jars":[],"mouths":[{"mouth":"narrow","lids":1,"bands":1}]}`,
	} {
		if status, b := send(t, h, "PUT", "/api/stock", bad); status != 422 {
			t.Errorf("%s: %d %v", bad, status, b)
		}
	}
}

func TestGetReadyList(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	var ids []string
	for _, body := range []string{peaches, strings.NewReplacer(`"peaches"`, `"pears"`, `"freestone"`, `""`).Replace(peaches)} {
		_, b := send(t, h, "POST", "/api/batches", `{"request":`+body+`}`)
		ids = append(ids, b["id"].(string))
	}
	both := ids[1] + "," + ids[0] + "," + ids[0]
	status, b := get(t, h, "/api/ready?batches="+both)
	if status != 200 || len(b["headlines"].([]any)) != 2 || len(b["groups"].([]any)) != 5 {
		t.Fatalf("%d %v", status, b)
	}
	left := b["left"].(float64)
	if _, b = send(t, h, "POST", "/api/ready/ticks", `{"batches":"`+ids[0]+`,`+ids[1]+`","item":"funnel","ticked":true}`); b["left"] != left-1 {
		t.Errorf("%v of %v", b["left"], left)
	}
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost/api/ready.txt?batches="+both, nil))
	if text := w.Body.String(); !strings.HasPrefix(w.Header().Get("Content-Type"), "text/plain") || !strings.Contains(text, "[x] Funnel") || !strings.Contains(text, "[ ] Pears: 12 lb") {
		t.Errorf("%s", text)
	}
	if _, b = send(t, h, "POST", "/api/ready/ticks", `{"batches":"`+both+`","item":"funnel","ticked":false}`); b["left"] != left {
		t.Errorf("%v of %v", b["left"], left)
	}
	if status, _ := get(t, h, "/api/ready?batches="); status != 422 {
		t.Error(status)
	}
	if status, _ := get(t, h, "/api/ready?batches=nothing"); status != 404 {
		t.Error(status)
	}
}

func TestPastSeasons(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	file := func(csv string) (int, map[string]any) {
		raw, _ := json.Marshal(map[string]string{"csv": csv})
		return send(t, h, "POST", "/api/closings/import", string(raw))
	}
	const head = "day,product,form,pack,fruit,jars\n"
	const two = head + "2025-08-14,peaches,halves,hot,12 lb,5 quarts\n2024,peaches,halves,hot,24 lb,\"9 quarts, 1 pint\"\n"
	if status, b := file(two); status != 200 || b["added"] != 2.0 || b["same"] != 0.0 || len(b["closings"].([]any)) != 2 {
		t.Fatal(status, b)
	}
	if status, b := file(two + "2023,applesauce,,,20 lb,7 quarts\n"); status != 200 || b["added"] != 1.0 || b["same"] != 2.0 {
		t.Error(status, b)
	}
	if status, b := file(two + "2023,applesauce,,,20 lb,7 mugs\n2022,applesauce,,,20 lb,7 quarts"); status != 422 || !strings.Contains(fmt.Sprint(b), "Nothing was taken over. Line 4, jars") {
		t.Error(status, b)
	}
	all := closingsOf(t, h)
	if len(all) != 3 || all[1]["day"] != "2024" || all[0]["day"] != "2025-08-14" || all[1]["text"] != "1 pint and 9 quarts from 24 lb" && all[1]["text"] != "9 quarts and 1 pint from 24 lb" {
		t.Errorf("%v", all)
	}
	_, plan := send(t, h, "POST", "/api/plan", peaches)
	if learned := plan["jars"].(map[string]any)["learned"]; learned != "by the guide and 2 batches of yours" {
		t.Errorf("%v", learned)
	}
	if status, b := send(t, h, "POST", "/api/closings/typed", `{"product":"pears","form":"halves","fruit":"17.5 lb","jars":"7 quarts","day":"3 September 2025"}`); status != 200 || b["added"] != 1.0 {
		t.Error(status, b)
	}
	status, b := send(t, h, "POST", "/api/closings/typed", `{"product":"peaches","fruit":"heaps","jars":"some","day":"soon"}`)
	for _, f := range []string{"body.form", "body.pack", "body.fruit", "body.jars", "body.day"} {
		if status != 422 || !strings.Contains(fmt.Sprint(b["errors"]), f) {
			t.Errorf("%d %v, want %s", status, b["errors"], f)
		}
	}
	if n := len(closingsOf(t, h)); n != 4 {
		t.Error(n)
	}
}
