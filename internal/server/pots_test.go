package server

import (
	"encoding/json"
	"strings"
	"testing"
)

func TestPots(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	status, b := send(t, h, "POST", "/api/burners", `{"name":"front","kind":"gas","watts":3500,"across":"9 in"}`)
	if status != 200 {
		t.Fatal(status, b)
	}
	burner := b["burners"].([]any)[0].(map[string]any)["id"].(string)
	status, b = send(t, h, "POST", "/api/pots", `{"name":"the big kettle","kind":"boiling-water","across":"42 cm","depth":"14 in","burner":"`+burner+`"}`)
	if status != 200 {
		t.Fatal(status, b)
	}
	pot := b["pots"].([]any)[0].(map[string]any)
	if raw, _ := json.Marshal(pot); !holds(pot, parse(t, `{"across":"42 cm","depth":"14 in","rack":"1.5 cm"}`)) || !strings.Contains(string(raw), "12 quarts") {
		t.Errorf("%s", raw)
	}
	_, plan := send(t, h, "POST", "/api/plan", peaches)
	c := plan["canner"].(map[string]any)
	if !holds(c, parse(t, `{"name":"the big kettle","capacity":12,"size":"42 cm"}`)) || !strings.Contains(c["water"].(map[string]any)["heating"].(string), "Light it about") {
		t.Errorf("%v", c)
	}
	// What was shown to be changed is kept as it was.
	fields, _ := json.Marshal(pot)
	change := strings.Replace(string(fields), `"name":"the big kettle"`, `"name":"the kettle"`, 1)
	var m map[string]any
	_ = json.Unmarshal([]byte(change), &m)
	delete(m, "id")
	delete(m, "takes")
	body, _ := json.Marshal(m)
	path := "/api/pots/" + pot["id"].(string)
	if status, b = send(t, h, "PUT", path, string(body)); status != 200 || !holds(b["pots"].([]any)[0], parse(t, `{"name":"the kettle","across":"42 cm","depth":"14 in","rack":"1.5 cm"}`)) {
		t.Errorf("%d %v", status, b)
	}
	for body, fields := range map[string]string{
		`{"name":" ","kind":"boiling-water","across":"wide","depth":"deep"}`:                         "body.name body.across body.depth",
		`{"name":"x","kind":"boiling-water","depth":"20 cm"}`:                                        "body.across",
		`{"name":"x","kind":"boiling-water","across":"30 cm","length":"3 m","depth":"20 cm"}`:        "body.length",
		`{"name":"x","kind":"electric","across":"30 cm","depth":"20 cm"}`:                            "body.watts",
		`{"name":"x","kind":"steam","across":"30 cm","depth":"20 cm","weight":"a lot"}`:              "body.weight",
		`{"name":"x","kind":"boiling-water","across":"2 cm","depth":"20 cm"}`:                        "body.across",
		`{"name":"x","kind":"boiling-water","across":"-30 cm","depth":"1000000000 cm"}`:              "body.across body.depth",
		`{"name":"x","kind":"cooking","length":"30 cm","width":"20 cm","depth":"0 cm","rack":"1 m"}`: "body.depth body.rack",
	} {
		status, b := send(t, h, "POST", "/api/pots", body)
		var got []string
		errs, _ := b["errors"].([]any)
		for _, e := range errs {
			got = append(got, e.(map[string]any)["location"].(string))
		}
		for _, want := range strings.Fields(fields) {
			if status != 422 || !strings.Contains(strings.Join(got, " "), want) {
				t.Errorf("%s: %d %v, want %s", body, status, got, want)
			}
		}
	}
	if status, _ := send(t, h, "DELETE", "/api/burners/"+burner, ""); status != 200 {
		t.Error(status)
	}
	if status, _ := send(t, h, "DELETE", path, ""); status != 200 {
		t.Error(status)
	}
	if status, _ := send(t, h, "DELETE", path, ""); status != 404 {
		t.Error(status)
	}
	if _, plan := send(t, h, "POST", "/api/plan", peaches); plan["canner"].(map[string]any)["capacity"] != 7.0 {
		t.Error("the usual canner is not back")
	}
}

// TestElectricAndRectangular plans in canners of other kinds.
func TestElectricAndRectangular(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	if status, b := send(t, h, "POST", "/api/pots", `{"name":"the plug-in","kind":"electric","across":"34 cm","depth":"30 cm","watts":1500}`); status != 200 {
		t.Fatal(status, b)
	}
	if _, plan := send(t, h, "POST", "/api/plan", peaches); !strings.Contains(plan["canner"].(map[string]any)["water"].(map[string]any)["heating"].(string), "boils after") {
		t.Errorf("%v", plan["canner"])
	}
	status, b := send(t, h, "POST", "/api/pots", `{"name":"the fish kettle","kind":"boiling-water","length":"55 cm","width":"20 cm","depth":"22 cm"}`)
	if status != 200 {
		t.Fatal(status, b)
	}
	id := b["pots"].([]any)[1].(map[string]any)["id"].(string)
	_, plan := send(t, h, "POST", "/api/plan", strings.NewReplacer(`"pack"`, `"canner":"`+id+`","pack"`, `"quart"`, `"pint"`).Replace(peaches))
	if c := plan["canner"].(map[string]any); c["size"] != "55 cm by 20 cm" || c["capacity"] != 13.0 {
		t.Errorf("%v", c)
	}
}
