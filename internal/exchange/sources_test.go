package exchange

import (
	"bytes"
	"encoding/json"
	"os"
	"reflect"
	"strings"
	"testing"

	"mellisca/core/guide"
	"mellisca/core/jar"
)

func someSources() []Source {
	return []Source{
		{"abcdefgh12345678", false, guide.OwnSource{Name: `spiced “crab” <apples> & "more"`, Title: "Größe\nund Line", Year: 1988, Page: "41–43", Product: "crab-apples",
			Pack: guide.Hot, Largest: jar.Quart, Minutes: 20, Additions: [4]int{0, 12, 0, 30}, Headspace: 0.5}},
		{"zyxwvuts87654321", true, guide.OwnSource{Name: "elder jelly", Title: "T", Year: 2021, Page: "7", Product: "jelly", Kind: "elderberry", Form: "sauce",
			Pack: guide.Hot, Largest: jar.HalfPint, Minutes: 10, Headspace: 0.25, Acid: "1/4 cup bottled lemon juice"}},
	}
}

func TestSourcesThereAndBack(t *testing.T) {
	for _, all := range [][]Source{{}, someSources()} {
		var b bytes.Buffer
		if err := WriteSources(&b, all); err != nil {
			t.Fatal(err)
		}
		back, err := ReadSources(bytes.NewReader(b.Bytes()))
		if err != nil || !reflect.DeepEqual(back, all) {
			t.Errorf("%+v, %v; want %+v\n%s", back, err, all, b.String())
		}
	}
}

// TestSourcesRefusedWhole changes one thing in a good file, and finds line and field.
func TestSourcesRefusedWhole(t *testing.T) {
	var b bytes.Buffer
	if err := WriteSources(&b, someSources()); err != nil {
		t.Fatal(err)
	}
	good := b.String()
	for _, c := range []struct{ from, to, says string }{
		{good, "", "line 1: the file ends in the middle"},
		{good, "[]", "line 1: it is not an object"},
		{good, good[:len(good)/2], "the file ends in the middle"},
		{good, good + "x", "something follows"},
		{`"mellisca-own-sources/1"`, `"somebody-elses/7"`, `line 2, format: it is "somebody-elses/7"`},
		{`"sources": [`, `"source": [`, "line 3, source: it is not a field"},
		{`"year": 1988`, `"year": "1988"`, `line 8, sources[0].year: it is "1988"; accepted: a whole number`},
		{`"year": 1988`, `"year": 1988.5`, "line 8, sources[0].year"},
		{`"year": 1988`, `"year": 88`, "line 8, sources[0].year: accepted: the year it was published"},
		{`"year": 1988`, `"yaer": 1988`, "line 8, sources[0].yaer: it is not a field; accepted: id, name"},
		{`"year": 1988`, `"year": 1988, "year": 1989`, "sources[0].year: it stands there twice"},
		{`      "pack": "hot",` + "\n" + `      "largest": "quart"`, `      "largest": "quart"`, "sources[0].pack: it is missing"},
		{`"largest": "quart"`, `"largest": "bucket"`, "line 14, sources[0].largest: accepted: a half-pint"},
		{`"headspace": "12.7 mm"`, `"headspace": "a thumb"`, "line 22, sources[0].headspace"},
		{`"product": "crab-apples"`, `"product": "banana"`, "line 10, sources[0].product: accepted: something a source can make safe"},
		{`"product": "crab-apples"`, `"product": null`, "line 10, sources[0].product: it is null"},
		{`"acid": "1/4 cup bottled lemon juice"`, `"acid": ""`, "sources[1].product: accepted: something a source can make safe"},
		{`"id": "zyxwvuts87654321"`, `"id": "abcdefgh12345678"`, "sources[1].id"},
		{`"id": "zyxwvuts87654321"`, `"id": "../../etc"`, "sources[1].id"},
		{`"minutes": 20`, `"minutes": 2`, "line 15, sources[0].minutes: accepted: the minutes at sea level, 5 to 240"},
		{"        0,\n        12,\n", "        12,\n", "line 16, sources[0].additions: accepted: four numbers"},
		{`"retired": true`, `"retired": "yes"`, "accepted: true or false"},
		{`"minutes": 20,`, `"minutes": 20,,`, "not well-formed"},
	} {
		bad := strings.Replace(good, c.from, c.to, 1)
		if bad == good {
			t.Fatalf("%q is not in the file", c.from)
		}
		got, err := ReadSources(strings.NewReader(bad))
		if err == nil || got != nil || !strings.Contains(err.Error(), c.says) {
			t.Errorf("%q for %.40q: %v, want %q", c.to[:min(len(c.to), 40)], c.from, err, c.says)
		}
	}
}

// TestSchemaNamesTheSameFields holds the published schema to what is written and read.
func TestSchemaNamesTheSameFields(t *testing.T) {
	raw, err := os.ReadFile("../../docs/own-sources.schema.json")
	if err != nil {
		t.Fatal(err)
	}
	var schema struct {
		Properties struct {
			Format  struct{ Const string }
			Sources struct {
				Items struct {
					Properties           map[string]any
					Required             []string
					AdditionalProperties bool
				}
			}
		}
	}
	if err := json.Unmarshal(raw, &schema); err != nil {
		t.Fatal(err)
	}
	items := schema.Properties.Sources.Items
	if schema.Properties.Format.Const != SourcesFormat || !reflect.DeepEqual(items.Required, required) {
		t.Errorf("%+v", schema)
	}
	var b bytes.Buffer
	var file struct{ Sources []map[string]any }
	if err := WriteSources(&b, someSources()); err != nil || json.Unmarshal(b.Bytes(), &file) != nil {
		t.Fatal(err)
	}
	for name := range file.Sources[0] {
		if items.Properties[name] == nil {
			t.Errorf("the schema has no %s", name)
		}
	}
	if len(items.Properties) != len(file.Sources[0]) {
		t.Errorf("the schema has %d fields, a file %d", len(items.Properties), len(file.Sources[0]))
	}
}

func FuzzReadSources(f *testing.F) {
	var b bytes.Buffer
	_ = WriteSources(&b, someSources())
	f.Add(b.String())
	f.Add(`{"format":"mellisca-own-sources/1","sources":[]}`)
	f.Add(`{"sources":[{"name":"a","minutes":1e400}],"format":null}`)
	f.Fuzz(func(t *testing.T, s string) {
		all, err := ReadSources(strings.NewReader(s))
		if err != nil {
			if all != nil || !strings.HasPrefix(err.Error(), "line ") {
				t.Fatalf("%q: %v", s, err)
			}
			return
		}
		var out bytes.Buffer
		if err := WriteSources(&out, all); err != nil {
			t.Fatal(err)
		}
		again, err := ReadSources(&out)
		if err != nil || len(again) != len(all) {
			t.Fatalf("%q: read, and not read again: %v", s, err)
		}
		for _, src := range all {
			if ps := src.Source.Check(); len(ps) > 0 {
				t.Fatalf("%q: took %v", s, ps)
			}
		}
	})
}
