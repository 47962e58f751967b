package server

import (
	"encoding/json"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"
)

const crabApples = `{"name":"spiced crab apples","title":"A Made-up Book of Jars","year":1988,"page":"41","product":"crab-apples","pack":"hot","largest":"quart","minutes":20,"headspace":"1/2 in"}`

func listSources(t *testing.T, h http.Handler) (all []map[string]any) {
	t.Helper()
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost/api/sources", nil))
	if err := json.Unmarshal(w.Body.Bytes(), &all); err != nil {
		t.Fatal(err)
	}
	return all
}

// status sends a body and gives the status alone, for answers that are lists.
func statusOf(h http.Handler, method, path, body string) int {
	r := httptest.NewRequest(method, "http://localhost"+path, strings.NewReader(body))
	r.Header.Set("Content-Type", "application/json")
	w := httptest.NewRecorder()
	h.ServeHTTP(w, r)
	return w.Code
}

func TestOwnSourceInAPlan(t *testing.T) {
	h := testServer(t)
	setKitchen(t, h)
	if status := statusOf(h, "POST", "/api/sources", crabApples); status != 201 {
		t.Fatal(status)
	}
	src := listSources(t, h)[0]
	id := src["id"].(string)
	if src["cite"] != "A Made-up Book of Jars (1988), page 41" || src["headspace"] != "1/2 in" {
		t.Errorf("%v", src)
	}
	request := `{"product":"","source":"` + id + `","pack":"hot","jar":"pint","amount":"6 jars"}`
	status, plan := send(t, h, "POST", "/api/plan", request)
	if status != 200 || plan["status"] != "own-source" || !holds(plan["time"], parse(t, `{"minutes":30,"own":true,"source":"A Made-up Book of Jars (1988), page 41"}`)) {
		t.Fatalf("%d %v", status, plan)
	}
	if cautions, _ := json.Marshal(plan["cautions"]); !strings.Contains(string(cautions), `"own-source"`) || !strings.Contains(string(cautions), "check-current-guide") {
		t.Errorf("%s", cautions)
	}
	if _, plan = send(t, h, "POST", "/api/plan", strings.Replace(request, `"pack"`, `"method":"sun","pack"`, 1)); plan["status"] != "refused" || plan["time"] != nil {
		t.Errorf("in the sun: %v", plan)
	}
	// Without the source the same fruit stays refused.
	if _, plan = send(t, h, "POST", "/api/plan", `{"product":"crab-apples","pack":"hot","jar":"pint","amount":"6 jars"}`); plan["status"] != "refused" {
		t.Errorf("without: %v", plan)
	}
	if status, b := send(t, h, "POST", "/api/batches", `{"request":`+request+`}`); status != 201 || b["request"].(map[string]any)["source"] != id {
		t.Errorf("%d %v", status, b)
	}
	if status, _ := send(t, h, "POST", "/api/plan", strings.Replace(request, id, "gone", 1)); status != 422 {
		t.Errorf("a source that is none: %d", status)
	}
}

func TestOwnSourceLife(t *testing.T) {
	h := testServer(t)
	if status := statusOf(h, "POST", "/api/sources", crabApples); status != 201 {
		t.Fatal(status)
	}
	path := "/api/sources/" + listSources(t, h)[0]["id"].(string)
	change := strings.Replace(crabApples, `{"name"`, `{"version":1,"additions":[0,15,0,0],"name"`, 1)
	if status := statusOf(h, "PUT", path, change); status != 200 {
		t.Error(status)
	}
	if status := statusOf(h, "PUT", path, change); status != 409 {
		t.Errorf("a stale change: %d", status)
	}
	for do, retired := range map[string]bool{"/retire": true} {
		if status := statusOf(h, "POST", path+do, ""); status != 200 || listSources(t, h)[0]["retired"] != retired {
			t.Error(do, status)
		}
	}
	if status := statusOf(h, "POST", path+"/restore", ""); status != 200 || listSources(t, h)[0]["retired"] != false {
		t.Error(status)
	}
	for what, bad := range map[string]string{
		"body.headspace": strings.Replace(crabApples, "1/2 in", "a thumb", 1), "body.largest": strings.Replace(crabApples, `"quart"`, `"half-gallon"`, 1),
		"body.product": strings.Replace(crabApples, "crab-apples", "banana", 1), "body.title": strings.Replace(crabApples, "A Made-up Book of Jars", " ", 1),
		"body.minutes": strings.NewReplacer("crab-apples", "peaches", `"minutes":20`, `"minutes":15`).Replace(crabApples),
	} {
		status, body := send(t, h, "POST", "/api/sources", bad)
		if raw, _ := json.Marshal(body); status != 422 || !strings.Contains(string(raw), what) {
			t.Errorf("%s: %d %s", what, status, raw)
		}
	}
	if n := len(listSources(t, h)); n != 1 {
		t.Errorf("%d sources", n)
	}
}
