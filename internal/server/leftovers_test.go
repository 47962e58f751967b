package server

import (
	"encoding/json"
	"fmt"
	"strings"
	"testing"
	"time"
)

// TestPulpGoesOn makes juice of a lot and sauce of its pulp, while the pulp keeps.
func TestPulpGoesOn(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	_, b := send(t, h, "POST", "/api/lots", `{"name":"the basket","kind":"apple","bought":"24 lb"}`)
	lot := lotsOf(t, b)[0]["id"].(string)
	save := func(request string) string {
		t.Helper()
		status, saved := send(t, h, "POST", "/api/batches", `{"request":`+request+`}`)
		if status != 201 && status != 200 {
			t.Fatal(status, saved)
		}
		return "/api/batches/" + saved["id"].(string) + "/close"
	}
	juice := save(`{"product":"apple-juice","pack":"hot","jar":"quart","amount":"5 jars","lots":"` + lot + `"}`)
	if status := statusOf(h, "POST", juice, `{"jars":[{"jar":"quart","count":5}],"fruit":"20 lb"}`); status != 200 {
		t.Fatal(status)
	}
	card := func() map[string]any {
		_, b := get(t, h, "/api/fruit")
		return lotsOf(t, b)[0]
	}
	c := card()
	over := c["over"].([]any)
	if len(over) != 1 || c["left"] != "4 lb" || c["uses"].([]any)[0] != "20 lb of fruit for apple juice" {
		t.Fatalf("%v", c)
	}
	pulp := over[0].(map[string]any)
	if pulp["text"] != "Pulp from the apple juice" || len(pulp["make"].([]any)) != 3 {
		t.Errorf("%v", pulp)
	}
	_, first := get(t, h, "/api/first?product=applesauce&lot="+pulp["lot"].(string))
	if first["amount"] != "4 jars" || first["lots"] != pulp["lot"] {
		t.Errorf("%v", first)
	}
	raw, _ := json.Marshal(first)
	if _, p := send(t, h, "POST", "/api/plan", string(raw)); p["status"] != "tested" || p["fruit"] != nil || !strings.Contains(p["amountNote"].(string), "pulp") {
		t.Errorf("%v %v", p["fruit"], p["amountNote"])
	}
	sauce := save(string(raw))
	if status, b := send(t, h, "POST", sauce, `{"jars":[{"jar":"quart","count":4}],"fruit":"21 lb"}`); status != 422 || !strings.Contains(fmt.Sprint(b["errors"]), "1 lb less") {
		t.Errorf("more pulp than fruit: %d %v", status, b["errors"])
	}
	if status := statusOf(h, "POST", sauce, `{"jars":[{"jar":"quart","count":4}],"fruit":"12 lb","prepareMinutes":30}`); status != 200 {
		t.Fatal(status)
	}
	made := closingsOf(t, h)[0]
	if made["text"] != "4 quarts from 12 lb of pulp" || made["against"] != "" {
		t.Errorf("%v", made)
	}
	if c = card(); c["left"] != "4 lb" || len(c["over"].([]any)) != 1 {
		t.Errorf("pulp weighed on the lot: %v", c)
	}
	if _, p := send(t, h, "POST", "/api/plan", `{"product":"applesauce","pack":"hot","jar":"quart","amount":"30 lb"}`); p["jars"].(map[string]any)["learned"] != "" {
		t.Errorf("a yield was learned from pulp: %v", p["jars"])
	}
	// The juice cannot be taken back while its pulp is in sauce.
	if status := statusOf(h, "DELETE", "/api/closings/"+closingsOf(t, h)[1]["id"].(string), ""); status != 409 && status != 422 {
		t.Error(status)
	}
}

// TestLeftOversKeepTwoDays looks at the pulp of a batch on the days after.
func TestLeftOversKeepTwoDays(t *testing.T) {
	now := noon
	h := testServerAt(t, func() time.Time { return now })
	setKitchen(t, h)
	_, b := send(t, h, "POST", "/api/lots", `{"name":"grapes","kind":"grape","bought":"20 lb"}`)
	lot := lotsOf(t, b)[0]["id"].(string)
	_, saved := send(t, h, "POST", "/api/batches", `{"request":{"product":"grape-juice","pack":"hot","jar":"quart","amount":"5 jars","lots":"`+lot+`"}}`)
	if status := statusOf(h, "POST", "/api/batches/"+saved["id"].(string)+"/close", `{"jars":[{"jar":"quart","count":5}],"fruit":"20 lb"}`); status != 200 {
		t.Fatal(status)
	}
	for days, want := range []int{1, 1, 1, 0} {
		now = noon.AddDate(0, 0, days)
		if _, b := get(t, h, "/api/fruit"); len(lotsOf(t, b)[0]["over"].([]any)) != want {
			t.Errorf("after %d days: %v", days, lotsOf(t, b)[0]["over"])
		}
	}
}

// TestSizesOverHTTP keeps a batch in two sizes and two tiers, and reads it back.
func TestSizesOverHTTP(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	request := strings.Replace(peaches, `"pack"`, `"sizes":"2 quarts, 5 pints","varieties":"","tiers":1,"pack"`, 1)
	_, p := send(t, h, "POST", "/api/plan", request)
	jars, pot := p["jars"].(map[string]any), p["canner"].(map[string]any)
	if jars["text"] != "2 quarts and 5 pints" || len(jars["sizes"].([]any)) != 2 || len(pot["side"].([]any)) == 0 {
		t.Errorf("%v %v", jars, pot["text"])
	}
	load := pot["loads"].([]any)[0].(map[string]any)
	if load["minutes"].(float64) < 30 || len(load["tiers"].([]any)) != 1 {
		t.Errorf("%v", load)
	}
	_, saved := send(t, h, "POST", "/api/batches", `{"request":`+request+`}`)
	_, again := get(t, h, "/api/batches/"+saved["id"].(string))
	if r := again["request"].(map[string]any); r["sizes"] != "2 quarts, 5 pints" || r["tiers"] != 1.0 {
		t.Errorf("%v", r)
	}
	if status, b := send(t, h, "POST", "/api/plan", strings.Replace(request, "5 pints", "5 mugs", 1)); status != 422 || !strings.Contains(fmt.Sprint(b["errors"]), "body.sizes") {
		t.Error(status, b)
	}
	status, b := send(t, h, "POST", "/api/plan", `{"product":"applesauce","pack":"hot","jar":"quart","amount":"12 lb","varieties":"2 Mill Sweeting, 1 Russet"}`)
	if shares := b["shares"].(map[string]any); status != 200 || shares["parts"].([]any)[0].(map[string]any)["amount"] != "8 lb" || shares["taste"] != "" || b["blendable"] != true {
		t.Errorf("%v", b["shares"])
	}
}
