package server

import (
	"encoding/json"
	"net/http/httptest"
	"net/url"
	"strings"
	"testing"
)

func TestLiquidsSideBySide(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	if status, b := send(t, h, "PUT", "/api/prices", `{"sugar":"3.49 for 4 lb","juice":"2.80 for 64 fl oz"}`); status != 200 || b["sugar"] != "3.49 for 4 lb" || b["honey"] != "" {
		t.Fatal(status, b)
	}
	if status, b := send(t, h, "PUT", "/api/prices", `{"sugar":"dear","juice":"2 a kg"}`); status != 422 || len(b["errors"].([]any)) != 2 {
		t.Error(status, b)
	}
	status, b := send(t, h, "POST", "/api/liquids", `{"request":`+peaches+`}`)
	if status != 200 || b["jars"] != "5 quarts" || b["fruitBrix"] != 10.0 {
		t.Fatal(status, b)
	}
	found := false
	for _, c := range b["choices"].([]any) {
		c := c.(map[string]any)
		if c["chosen"] == true {
			found = true
			if !holds(c, parse(t, `{"name":"light syrup","brix":20,"cutOut":14.1,"serving":"10 g","cost":"0.82","about":false}`)) {
				t.Errorf("%v", c)
			}
		}
		// What is offered can be put into the sentence as it stands.
		liquid, _ := json.Marshal(c["liquid"])
		if _, p := send(t, h, "POST", "/api/plan", strings.Replace(peaches, `{"kind":"syrup","strength":"light"}`, string(liquid), 1)); p["status"] != "tested" || p["liquid"].(map[string]any)["name"] != c["name"] {
			t.Errorf("%s: %v", liquid, p["liquid"])
		}
	}
	if !found {
		t.Error("the liquid of the batch is not among them")
	}
	if _, b := send(t, h, "POST", "/api/liquids", `{"fruitBrix":14,"request":`+peaches+`}`); b["fruitBrix"] != 14.0 {
		t.Error(b["fruitBrix"])
	}
	if status, b := send(t, h, "POST", "/api/liquids", `{"request":`+strings.Replace(peaches, "12 lb", "lots", 1)+`}`); status != 422 {
		t.Error(status, b)
	}
}

func TestAdjustSyrup(t *testing.T) {
	h := testServer(t)
	status, b := send(t, h, "POST", "/api/syrup/adjust", `{"have":"1.3 l","reading":"20","want":"30","need":"1 l"}`)
	if status != 200 || b["is"] != "You have 5 1/2 cups at 20 °Brix." || b["gives"] != "That gives 6 cups at 30 °Brix." || !strings.Contains(b["beside"].(string), "is over. Keep it covered") {
		t.Errorf("%d %v", status, b)
	}
	if m := b["stir"].([]any)[0].(map[string]any); m["name"] != "granulated sugar" || m["beside"] != "7 oz" {
		t.Errorf("%v", m)
	}
	status, b = send(t, h, "POST", "/api/syrup/adjust", `{"water":"4 cups","sugar":"1 cup","want":"30","need":"3 l"}`)
	if status != 200 || len(b["fresh"].([]any)) != 2 || !strings.HasPrefix(b["beside"].(string), "It does not reach") {
		t.Errorf("%d %v", status, b)
	}
	if status, b = send(t, h, "POST", "/api/syrup/adjust", `{"have":"1 l","reading":"40","at":"25 °C","want":"40.4"}`); b["do"] == "" || !strings.Contains(b["is"].(string), "reading of 40, corrected") {
		t.Errorf("%d %v", status, b)
	}
	if status, b = send(t, h, "POST", "/api/syrup/adjust", `{"have":"lots","reading":"x","want":"99"}`); status != 422 || len(b["errors"].([]any)) != 3 {
		t.Errorf("%d %v", status, b)
	}
}

func TestAltitudeFound(t *testing.T) {
	h := testServer(t)
	ask := func(path string) (int, map[string]any) { return get(t, h, path) }
	if status, b := ask("/api/altitude?typed=" + url.QueryEscape("2,950 ft")); status != 200 || b["band"] != "1,001 to 3,000 ft" || b["cautious"] != "3,001 ft" || !strings.Contains(b["near"].(string), "51 ft higher") {
		t.Errorf("%d %v", status, b)
	}
	for typed, cautious := range map[string]string{"2,800 ft": "", "3,000 ft": "3,001 ft", "3,001 ft": "", "14,990 ft": "", "304.8 m": "1,001 ft"} {
		if _, b := ask("/api/altitude?typed=" + url.QueryEscape(typed)); b["cautious"] != cautious {
			t.Errorf("%s: %v", typed, b)
		}
	}
	if status, b := ask("/api/altitude?typed=3480"); status != 422 || !strings.Contains(b["errors"].([]any)[0].(map[string]any)["message"].(string), "needs its unit") {
		t.Errorf("%d %v", status, b)
	}
	// Within the weather's reach of the next column, the higher one is taken.
	status, b := ask("/api/altitude/boiling?at=" + url.QueryEscape("206.8 °F"))
	if status != 200 || b["band"] != "3,001 to 6,000 ft" || !strings.Contains(b["text"].(string), "2,8") {
		t.Errorf("%d %v", status, b)
	}
	if status, b = ask("/api/altitude/boiling?at=" + url.QueryEscape("150 °F")); status != 422 || !strings.Contains(b["errors"].([]any)[0].(map[string]any)["message"].(string), "hold the thermometer") {
		t.Errorf("%d %v", status, b)
	}
	if _, b = ask("/api/places?find=ashg"); !holds(b["places"].([]any)[0], parse(t, `{"name":"Ashgill","altitude":"2,950 ft","cautious":"3,001 ft","own":false}`)) {
		t.Errorf("%v", b)
	}
	if status, b = send(t, h, "POST", "/api/places", `{"csv":"name,altitude\nAshgill yard,\"2,990 ft\"\n"}`); status != 200 || b["own"] != 1.0 {
		t.Errorf("%d %v", status, b)
	}
	if _, b = ask("/api/places?find=ashg"); b["places"].([]any)[0].(map[string]any)["own"] != true {
		t.Errorf("%v", b)
	}
	if status, b = send(t, h, "POST", "/api/places", `{"csv":"name,altitude\nA,1 ft\nB,high\n"}`); status != 422 || !strings.Contains(b["errors"].([]any)[0].(map[string]any)["message"].(string), "Nothing was taken over. Line 3, altitude") {
		t.Errorf("%d %v", status, b)
	}
	if _, b = ask("/api/places"); b["own"] != 1.0 || len(b["places"].([]any)) != 0 {
		t.Errorf("%v", b)
	}
}

func TestSchools(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	if status := statusOf(h, "PUT", "/api/schools/pack", `{"choice":"raw"}`); status != 200 {
		t.Fatal(status)
	}
	for path, choice := range map[string]string{"/api/schools/hot-jars": "oven", "/api/schools/pack": "lukewarm", "/api/schools/salt": "yes"} {
		if status := statusOf(h, "PUT", path, `{"choice":"`+choice+`"}`); status != 422 {
			t.Errorf("%s %s: %d", path, choice, status)
		}
	}
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost/api/schools", nil))
	if !strings.Contains(w.Body.String(), `"chosen":"raw"`) || !strings.Contains(w.Body.String(), `"refused":true`) {
		t.Error(w.Body)
	}
	if _, b := get(t, h, "/api/first?product=peaches"); b["pack"] != "raw" || b["jar"] != "quart" {
		t.Errorf("%v", b)
	}
	if _, b := get(t, h, "/api/first?product=pears"); b["pack"] != "hot" {
		t.Errorf("%v", b)
	}
	if status, _ := get(t, h, "/api/first?product=stones"); status != 422 {
		t.Error(status)
	}
	// By weight puts grams first, whatever the units.
	measure := func() any {
		_, p := send(t, h, "POST", "/api/plan", peaches)
		return p["liquid"].(map[string]any)["measures"].([]any)[1].(map[string]any)["amount"]
	}
	if got := measure(); got != "2 cups + 2 tbsp" {
		t.Error(got)
	}
	statusOf(h, "PUT", "/api/schools/sugar", `{"choice":"weight"}`)
	if got := measure(); got != "15 oz" {
		t.Error(got)
	}
}

func TestKitchenJars(t *testing.T) {
	h := testServer(t)
	set := func(body string) (int, map[string]any) { return send(t, h, "PUT", "/api/kitchen", body) }
	if status, b := set(`{"name":"","altitude":"2,990 ft","units":"us","version":1,"jars":["pint","quart"]}`); status != 200 || len(b["jars"].([]any)) != 2 || b["cautious"] != "3,001 ft" {
		t.Fatal(status, b)
	}
	if status, b := set(`{"name":"x","altitude":"2,990 ft","units":"us","version":2}`); status != 200 || len(b["jars"].([]any)) != 2 {
		t.Error("a change without jars lost them", status, b)
	}
	if status, b := set(`{"name":"x","altitude":"","units":"us","version":3,"jars":["pint","pint","mug"]}`); status != 422 || len(b["errors"].([]any)) != 2 {
		t.Error(status, b)
	}
}

func TestSourceFiles(t *testing.T) {
	h := testServer(t)
	if status := statusOf(h, "POST", "/api/sources", crabApples); status != 201 {
		t.Fatal(status)
	}
	export := func() (string, string) {
		w := httptest.NewRecorder()
		r := httptest.NewRequest("GET", "http://localhost/api/sources/export", nil)
		h.ServeHTTP(w, r)
		return w.Body.String(), w.Header().Get("Content-Disposition")
	}
	file, disposition := export()
	if !strings.Contains(file, `"format": "mellisca-own-sources/1"`) || !strings.Contains(disposition, "own-sources.json") {
		t.Fatalf("%s %s", disposition, file)
	}
	body := func(file string) string { b, _ := json.Marshal(map[string]string{"file": file}); return string(b) }
	other := testServer(t)
	if status, b := send(t, other, "POST", "/api/sources/import", body(file)); status != 200 || b["added"] != 1.0 {
		t.Errorf("%d %v", status, b)
	}
	h = other
	if again, _ := export(); again != file {
		t.Errorf("%s\nwent in, and out came\n%s", file, again)
	}
	if status, b := send(t, h, "POST", "/api/sources/import", body(file)); status != 200 || b["same"] != 1.0 {
		t.Errorf("%d %v", status, b)
	}
	bad := strings.Replace(file, `"minutes": 20`, `"minutes": 3`, 1)
	if status, b := send(t, h, "POST", "/api/sources/import", body(bad)); status != 422 || !strings.Contains(b["errors"].([]any)[0].(map[string]any)["message"].(string), "sources[0].minutes") {
		t.Errorf("%d %v", status, b)
	}
}

// TestSauceAndJuicePlans reads what is not packed in a liquid off the API.
func TestSauceAndJuicePlans(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	for body, says := range map[string]string{
		`{"product":"applesauce","pack":"hot","jar":"quart","amount":"7 jars","liquid":{"kind":"per-quart","sugar":"1/8 cup"}}`:  "14.2 °Brix",
		`{"product":"applesauce","blend":"pear","pack":"hot","jar":"quart","amount":"7 jars"}`:                                   `"minutes":35`,
		`{"product":"apple-butter","pack":"hot","jar":"pint","amount":"9 pints"}`:                                                "cooks away",
		`{"product":"apple-juice","pack":"hot","jar":"quart","amount":"7 jars","dilute":1}`:                                      "makes 8 glasses",
		`{"product":"mango-sauce","pack":"hot","jar":"half-pint","amount":"6 jars"}`:                                             `"acid":"bottled lemon juice"`,
		`{"product":"jelly","kind":"grape","pack":"hot","jar":"half-pint","amount":"6 jars"}`:                                    "jells at 214",
		`{"product":"pears","pack":"hot","jar":"quart","amount":"5 jars","liquid":{"kind":"own-juice","have":"1 qt","brix":11}}`: "Without water 4 1/3 cups are short",
		`{"product":"pineapple","pack":"hot","jar":"quart","amount":"5 jars","liquid":{"kind":"water","cores":true}}`:            "Simmer the cores",
	} {
		status, p := send(t, h, "POST", "/api/plan", body)
		raw, _ := json.Marshal(p)
		if status != 200 || p["status"] != "tested" || !strings.Contains(string(raw), says) {
			t.Errorf("%s: %d, no %q in %s", body, status, says, raw)
		}
	}
	if status, b := send(t, h, "POST", "/api/plan", `{"product":"applesauce","blend":"pear,stones","pack":"hot","jar":"quart","amount":"7 jars"}`); status != 422 || !strings.Contains(b["errors"].([]any)[0].(map[string]any)["location"].(string), "blend") {
		t.Errorf("%d %v", status, b)
	}
}
