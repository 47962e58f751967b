package server

import (
	"encoding/json"
	"maps"
	"net/http"
	"net/http/httptest"
	"net/url"
	"slices"
	"strings"
	"testing"
)

// get asks the kitchen and reads the JSON that it answers.
func get(t testing.TB, h http.Handler, path string) (int, map[string]any) {
	t.Helper()
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost"+path, nil))
	var body map[string]any
	if err := json.Unmarshal(w.Body.Bytes(), &body); err != nil {
		t.Fatalf("%s: %v in %s", path, err, w.Body)
	}
	want := "application/json"
	if strings.HasSuffix(path, "openapi.json") {
		want = "application/openapi+json"
	}
	if w.Code >= 400 {
		want = "application/problem+json"
	}
	if ct := w.Header().Get("Content-Type"); ct != want {
		t.Errorf("%s: %d as %s", path, w.Code, ct)
	}
	return w.Code, body
}

// holds says whether got has everything that want has, and the same.
func holds(got, want any) bool {
	w, ok := want.(map[string]any)
	if !ok {
		a, _ := json.Marshal(got)
		b, _ := json.Marshal(want)
		return string(a) == string(b)
	}
	g, ok := got.(map[string]any)
	if !ok {
		return false
	}
	for k := range w {
		if v, there := g[k]; !there || !holds(v, w[k]) {
			return false
		}
	}
	return true
}

func parse(t testing.TB, s string) any {
	t.Helper()
	var v any
	if err := json.Unmarshal([]byte(s), &v); err != nil {
		t.Fatal(err)
	}
	return v
}

func TestCalculatorsAnswer(t *testing.T) {
	h := testServer(t)
	for _, c := range []struct{ query, want string }{
		{"process-time?product=peaches&pack=hot&jar=quart&altitudeFt=3480", `{"verdict":"tested","product":"peaches","pack":"hot","jar":"quart","testedAs":"quart",
			"method":"boiling-water","minutes":35,"altitudeFt":3480,"altitudeBand":{"fromFt":3001,"toFt":6000},"headspaceInches":0.5,
			"sterileJars":false,"sterileMinutes":null,"waterOverJarsInches":2,"acid":null,
			"source":{"title":"Complete Guide to Home Canning","part":"Guide 2: Peaches","edition":2015}}`},
		{"process-time?product=pears&pack=raw&jar=quart&altitudeFt=3480", `{"verdict":"refused","product":"pears","pack":"raw","jar":"quart","method":"boiling-water",
			"altitudeFt":3480,"alternatives":[{"product":"pears","pack":"hot","jar":"quart","method":"boiling-water","minutes":35}]}`},
		{"process-time?product=apple-juice&pack=hot&jar=quart&altitudeM=1061", `{"minutes":10,"altitudeFt":3481,"sterileJars":true,"sterileMinutes":13,"waterOverJarsInches":1}`},
		{"process-time?product=apple-juice&pack=hot&jar=quart&altitudeM=304.8", `{"minutes":5,"altitudeFt":1000,"altitudeBand":{"fromFt":null,"toFt":1000}}`},
		{"process-time?product=apple-juice&pack=hot&jar=quart&altitudeM=305", `{"minutes":10,"altitudeFt":1001,"altitudeBand":{"fromFt":1001,"toFt":3000}}`},
		{"process-time?product=peaches&pack=hot&jar=half-pint&altitudeFt=15000", `{"minutes":35,"testedAs":"pint","altitudeBand":{"fromFt":6001,"toFt":null}}`},
		{"process-time?product=peaches&pack=hot&jar=pint&altitudeFt=-1400", `{"minutes":20,"altitudeFt":-1400}`},
		{"process-time?product=peaches&pack=hot&jar=pint&altitudeFt=0&method=steam", `{"waterOverJarsInches":null}`},
		{"process-time?product=mango-sauce&pack=hot&jar=half-pint&altitudeFt=0", `{"acid":{"what":"bottled lemon juice","perJar":null,"perBatch":{"amount":4,"unit":"tbsp","makes":"6 half-pints"},"or":[]}}`},
		{"process-time?product=figs&pack=hot&jar=quart&altitudeFt=0", `{"acid":{"what":"bottled lemon juice","perJar":{"amount":6,"unit":"tsp"},"perBatch":null,
			"or":[{"what":"citric acid","perJar":{"amount":0.5,"unit":"tsp"},"perBatch":null}]}}`},
		{"syrup?jars=7&jar=quart&strength=medium", `{"brix":30,"strengthName":"medium","litres":2.769,"litresPerJar":0.3596,
			"water":{"grams":2184.8,"litres":2.189,"cups":9.25,"kitchen":"9 1/4 cups"},
			"sweeteners":[{"name":"granulated sugar","grams":936.4,"cups":4.68,"kitchen":"4 2/3 cups"}],
			"publishedCups":{"forLoad":"7 quarts","waterCups":8.25,"sugarCups":3.75}}`},
		{"syrup?jars=7&jar=quart&brix=30&sweetener=honey", `{"sweeteners":[{"name":"honey","grams":1141.9,"cups":3.36,"kitchen":"3 1/3 cups"}],"water":{"grams":1979.3,"litres":1.983,"cups":8.38,"kitchen":"8 1/3 cups"}}`},
		{"syrup?jars=7&jar=quart&strength=medium&sweetener=honey-half", `{"water":{"grams":2065.1}}`},
		{"syrup?jars=1&jar=pint&brix=0", `{"brix":0,"strengthName":null,"sweeteners":[]}`},
		{"syrup?jars=500&jar=half-gallon&brix=65&sparePercent=50&litresPerJar=1.892706", `{"litres":1419.53,"strengthName":null}`},
		{"syrup?jars=9&jar=pint&waterParts=4&sugarParts=1&sparePercent=0", `{"brix":17.47,"strengthName":"light","litres":1.618}`},
		{"syrup?jars=9&jar=pint-wide&strength=heavy", `{"publishedCups":{"forLoad":"9 pints","waterCups":5,"sugarCups":3.25}}`},
	} {
		status, got := get(t, h, "/api/"+c.query)
		if status != 200 || !holds(got, parse(t, c.want)) {
			b, _ := json.Marshal(got)
			t.Errorf("%s: %d %s", c.query, status, b)
		}
	}
	if _, got := get(t, h, "/api/syrup?jars=8&jar=quart&strength=medium"); got["publishedCups"] != nil {
		t.Error("8 quarts have no printed load")
	}
}

func TestCalculatorsRefuseWhatIsNotUnderstood(t *testing.T) {
	h := testServer(t)
	const fine = "product=peaches&pack=hot&jar=quart&altitudeFt=0"
	const sweet = "jars=7&jar=quart&brix=30"
	for _, c := range []struct{ path, locations string }{
		{"process-time", "query.altitudeFt query.jar query.pack query.product"},
		{"process-time?" + fine + "&altitudeM=0", "query.altitudeFt query.altitudeM"},
		{"process-time?" + fine + "&colour=red&x=1", "query.colour query.x"},
		{"process-time?" + fine + "&jar=quart", "query.jar"},
		{"process-time?" + fine + "&kind=", "query.kind"},
		{"process-time?" + fine + "&kind=blueberry&form=diced&method=fire&thickener=sand", "query.form query.kind query.method query.thickener"},
		{"process-time?" + fine + "&method=Boiling-Water", "query.method"},
		{"process-time?product=peaches&pack=hot&jar=quart&altitudeFt=15001", "query.altitudeFt"},
		{"process-time?product=peaches&pack=hot&jar=quart&altitudeFt=-1401", "query.altitudeFt"},
		{"process-time?product=peaches&pack=hot&jar=quart&altitudeM=4573", "query.altitudeM"},
		{"process-time?product=peaches&pack=hot&jar=quart&altitudeFt=1e3", "query.altitudeFt"},
		{"process-time?product=peaches&pack=hot&jar=quart&altitudeFt=0x10", "query.altitudeFt"},
		{"process-time?product=peaches&pack=hot&jar=quart&altitudeFt=1,000", "query.altitudeFt"},
		{"process-time?product=peaches&pack=hot&jar=quart&altitudeFt=NaN", "query.altitudeFt"},
		{"process-time?product=peaches&pack=hot&jar=quart&altitudeFt=%2B5", "query.altitudeFt"},
		{"process-time?product=peaches&pack=hot&jar=quart&altitudeFt=+5", "query.altitudeFt"},
		{"process-time?product=peaches&pack=hot&jar=quart&altitudeFt=" + strings.Repeat("9", 400), "query.altitudeFt"},
		{"process-time?product=peach&pack=warm&jar=mug&altitudeFt=high", "query.altitudeFt query.jar query.pack query.product"},
		{"process-time?product=berries&pack=hot&jar=pint&altitudeFt=0", "query.kind"},
		{"process-time?" + fine + "&%zz=1", "query"},
		{"process-time?" + fine + ";x=1", "query query.altitudeFt"},
		{"syrup", "query.jar query.jars query.strength"},
		{"syrup?" + sweet + "&strength=light", "query.brix query.strength"},
		{"syrup?jars=7&jar=quart&waterParts=4", "query.sugarParts"},
		{"syrup?jars=7&jar=quart&waterParts=0&sugarParts=1", "query.waterParts"},
		{"syrup?jars=7&jar=quart&waterParts=1&sugarParts=3", "query.sugarParts"},
		{"syrup?jars=7&jar=quart&waterParts=101&sugarParts=-1", "query.sugarParts query.waterParts"},
		{"syrup?jars=0&jar=quart&brix=65.01", "query.brix query.jars"},
		{"syrup?jars=501&jar=quart&brix=-1", "query.brix query.jars"},
		{"syrup?jars=7.5&jar=quart&brix=30", "query.jars"},
		{"syrup?" + sweet + "&sparePercent=51&sweetener=salt", "query.sparePercent query.sweetener"},
		{"syrup?" + sweet + "&litresPerJar=0", "query.litresPerJar"},
		{"syrup?" + sweet + "&litresPerJar=0.95", "query.litresPerJar"},
		{"syrup?jars=7&jar=quart&strength=thick", "query.strength"},
	} {
		status, got := get(t, h, "/api/"+c.path)
		found := map[string]bool{}
		list, _ := got["errors"].([]any)
		for _, e := range list {
			d := e.(map[string]any)
			found[d["location"].(string)] = true
			if !strings.Contains(d["message"].(string), "ccepted: ") {
				t.Errorf("%s: %q does not say what is accepted", c.path, d["message"])
			}
		}
		if locations := strings.Join(slices.Sorted(maps.Keys(found)), " "); status != 422 || locations != c.locations {
			t.Errorf("%.90s: %d %s, want %s", c.path, status, locations, c.locations)
		}
		if _, there := got["minutes"]; there {
			t.Errorf("%s: a time", c.path)
		}
	}
}

// TestAlternativesSentBack sends every alternative of many refusals back as it came.
func TestAlternativesSentBack(t *testing.T) {
	h := testServer(t)
	sent := 0
	for _, q := range []string{
		"product=pears&pack=raw&jar=quart", "product=strawberries&pack=raw&jar=quart", "product=peaches&pack=raw&jar=half-gallon&kind=clingstone",
		"product=peaches&pack=hot&jar=quart&form=mashed", "product=figs&pack=hot&jar=quart&method=steam", "product=mango&pack=raw&jar=half-pint",
		"product=apple-pie-filling&pack=hot&jar=quart&thickener=flour", "product=berries&pack=hot&jar=quart&kind=raspberry", "product=jam&pack=raw&jar=quart&kind=plum",
		"product=berry-juice&pack=hot&jar=pint",
	} {
		for _, alt := range []string{"500", "2000", "3480", "9000"} {
			_, got := get(t, h, "/api/process-time?"+q+"&altitudeFt="+alt)
			alternatives := got["alternatives"].([]any)
			if len(alternatives) == 0 || len(alternatives) > 5 {
				t.Errorf("%s: %d alternatives", q, len(alternatives))
			}
			for _, a := range alternatives {
				back := url.Values{"altitudeFt": {alt}}
				minutes := 0.0
				for k, v := range a.(map[string]any) {
					if k == "minutes" {
						minutes = v.(float64)
					} else {
						back.Set(k, v.(string))
					}
				}
				sent++
				if status, again := get(t, h, "/api/process-time?"+back.Encode()); status != 200 || again["verdict"] != "tested" || again["minutes"] != minutes {
					t.Errorf("%s offers %v: %d %v", q, a, status, again)
				}
			}
		}
	}
	if sent < 100 {
		t.Errorf("only %d were sent back", sent)
	}
}

func FuzzProcessTime(f *testing.F) {
	h := testServer(f)
	f.Add("product=peaches&pack=hot&jar=quart&altitudeFt=3480")
	f.Add("product=berries&pack=hot&jar=pint&altitudeM=-426.72&kind=blueberry&method=steam")
	f.Add("a=%zz&b;c&product=&product=")
	f.Fuzz(func(t *testing.T, query string) {
		u := url.URL{Scheme: "http", Host: "localhost", Path: "/api/process-time", RawQuery: query}
		w := httptest.NewRecorder()
		r := httptest.NewRequest("GET", "http://localhost/", nil)
		r.URL = &u
		h.ServeHTTP(w, r)
		var body map[string]any
		if err := json.Unmarshal(w.Body.Bytes(), &body); err != nil {
			t.Fatal(err)
		}
		_, hasMinutes := body["minutes"]
		if tested := body["verdict"] == "tested"; hasMinutes != tested || w.Code != 200 && w.Code != 422 || w.Code == 422 && tested {
			t.Fatalf("%q: %d %v", query, w.Code, body)
		}
	})
}
