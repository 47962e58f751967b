package guide

import (
	"encoding/csv"
	"fmt"
	"os"
	"slices"
	"strconv"
	"strings"
	"testing"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

func feet(t testing.TB, n int) measure.Altitude {
	t.Helper()
	a, err := measure.ParseAltitude(strconv.Itoa(n) + " ft")
	if err != nil {
		t.Fatal(err)
	}
	return a
}

// at reads a query written as "product pack jar feet key=value …".
func at(t testing.TB, s string) Query {
	t.Helper()
	w := strings.Fields(s)
	ft, err := strconv.Atoi(w[3])
	if err != nil {
		t.Fatal(err)
	}
	q := Query{Product: Product(w[0]), Pack: Pack(w[1]), Jar: jar.ID(w[2]), Altitude: feet(t, ft)}
	for _, kv := range w[4:] {
		k, v, _ := strings.Cut(kv, "=")
		switch k {
		case "kind":
			q.Kind = Kind(v)
		case "form":
			q.Form = Form(v)
		case "method":
			q.Method = Method(v)
		case "thickener":
			q.Thickener = Thickener(v)
		default:
			t.Fatalf("%q", kv)
		}
	}
	return q
}

func judgeOK(t testing.TB, q Query) Verdict {
	t.Helper()
	v, err := Judge(q)
	if err != nil {
		t.Fatalf("%+v: %v", q, err)
	}
	return v
}

// transcription reads the second transcription of the table, by product, pack
// and jar.
func transcription(t *testing.T) map[string][]string {
	t.Helper()
	f, err := os.Open("testdata/process-times.csv")
	if err != nil {
		t.Fatal(err)
	}
	defer f.Close()
	lines, err := csv.NewReader(f).ReadAll()
	if err != nil {
		t.Fatal(err)
	}
	theirs := map[string][]string{}
	for _, l := range lines[1:] {
		theirs[strings.Join(l[:3], " ")] = l[3:]
	}
	return theirs
}

// audit compares rows with a transcription both ways and names what differs.
func audit(ours []Row, theirs map[string][]string) (differs []string) {
	seen := map[string]bool{}
	for _, r := range ours {
		key := fmt.Sprintf("%s %s %s", r.Product, r.Pack, r.Size.ID())
		if seen[key] {
			differs = append(differs, key+" stands twice")
		}
		seen[key] = true
		cells := []string{}
		for _, m := range r.Minutes {
			cells = append(cells, strconv.Itoa(m))
		}
		cells = append(cells, strconv.FormatFloat(r.Headspace, 'f', -1, 64), r.Part)
		if !slices.Equal(cells, theirs[key]) {
			differs = append(differs, fmt.Sprintf("%s: %q here, %q transcribed", key, cells, theirs[key]))
		}
	}
	for key := range theirs {
		if !seen[key] {
			differs = append(differs, key+" is missing here")
		}
	}
	return differs
}

// TestTableAgainstTranscription compares every cell with the transcription in
// testdata, both ways: nothing missing, nothing extra, nothing different.
func TestTableAgainstTranscription(t *testing.T) {
	for _, d := range audit(Rows(), transcription(t)) {
		t.Error(d)
	}
	if len(rows) != 72 {
		t.Errorf("%d rows", len(rows))
	}
}

// TestAuditSeesEveryCell changes one cell at a time, and sees the audit fail.
func TestAuditSeesEveryCell(t *testing.T) {
	theirs := transcription(t)
	for i := range rows {
		for what, change := range map[string]func(*Row){
			"1,000 ft": func(r *Row) { r.Minutes[0] += 5 }, "3,000 ft": func(r *Row) { r.Minutes[1] -= 5 },
			"6,000 ft": func(r *Row) { r.Minutes[2]++ }, "above": func(r *Row) { r.Minutes[3]-- },
			"headspace": func(r *Row) { r.Headspace *= 2 }, "part": func(r *Row) { r.Part += "." },
			"pack": func(r *Row) { r.Pack = "warm" }, "size": func(r *Row) { r.Size = 1 + r.Size%4 }, "product": func(r *Row) { r.Product += "s" },
		} {
			changed := Rows()
			change(&changed[i])
			if len(audit(changed, theirs)) == 0 {
				t.Errorf("row %d, %s: changed unseen", i, what)
			}
		}
	}
	if len(audit(Rows()[1:], theirs)) == 0 || len(audit(append(Rows(), rows[0]), theirs)) == 0 {
		t.Error("a row was taken away or put in unseen")
	}
}

func TestTested(t *testing.T) {
	for _, c := range []struct {
		query          string
		minutes        int
		testedAs       string
		sterile, water int
		cautions       string
	}{
		{"peaches hot quart 3480 kind=freestone", 35, "quart", 0, 2, "check-current-guide"},
		{"peaches hot quart 3480", 35, "quart", 0, 2, "kind-assumed check-current-guide"},
		{"peaches raw quart 1000 kind=yellow-flesh", 30, "quart", 0, 1, "raw-pack-float check-current-guide"},
		{"peaches raw quart 1001 kind=yellow-flesh", 35, "quart", 0, 2, "raw-pack-float check-current-guide"},
		{"peaches hot half-pint 0 kind=clingstone", 20, "pint", 0, 1, "check-current-guide"},
		{"peaches hot 12-oz 3000 kind=clingstone", 25, "pint", 0, 1, "check-current-guide"},
		{"peaches hot 24-oz 3001 kind=clingstone", 35, "quart", 0, 2, "check-current-guide"},
		{"peaches hot 1-l 6001 kind=clingstone", 40, "quart", 0, 2, "check-current-guide"},
		{"pears hot quart 6000", 35, "quart", 0, 2, "check-current-guide"},
		{"pears hot pint 0 form=slices", 20, "pint", 0, 1, "cut-smaller check-current-guide"},
		{"pears hot pint 0 form=quarters", 20, "pint", 0, 1, "cut-smaller check-current-guide"},
		{"figs hot quart 0", 50, "quart", 0, 2, "check-current-guide"},
		{"figs hot pint 0 method=steam", 45, "pint", 0, 0, "steam-one-tier check-current-guide"},
		{"apple-juice hot quart 3480", 10, "quart", 13, 1, "check-current-guide"},
		{"apple-juice hot quart 1000", 5, "quart", 10, 1, "check-current-guide"},
		{"apple-juice hot quart 1001", 10, "quart", 11, 1, "check-current-guide"},
		{"apple-juice hot half-gallon 3480", 15, "half-gallon", 0, 1, "check-current-guide"},
		{"apple-juice hot 1500-ml 0", 10, "half-gallon", 0, 1, "check-current-guide"},
		{"apple-butter hot quart 0", 10, "quart", 0, 1, "check-current-guide"},
		{"apple-butter hot pint 9000", 15, "pint", 18, 1, "check-current-guide"},
		{"jam hot half-pint 3480 kind=peach", 10, "half-pint", 13, 1, "sugar-is-recipe one-batch check-current-guide"},
		{"jelly hot 4-oz 0", 5, "half-pint", 10, 1, "kind-assumed sugar-is-recipe one-batch check-current-guide"},
		{"berry-syrup hot pint 0 kind=raspberry", 10, "pint", 0, 1, "sugar-is-recipe check-current-guide"},
		{"berries hot quart 3480 kind=blueberry", 20, "quart", 0, 1, "check-current-guide"},
		{"berries raw quart 3480 kind=raspberry", 30, "quart", 0, 1, "check-current-guide"},
		{"berries raw quart 3480", 30, "quart", 0, 1, "kind-assumed check-current-guide"},
		{"cherries raw pint 3480", 35, "pint", 0, 2, "raw-pack-float check-current-guide"},
		{"apple-pie-filling hot quart 3480 thickener=none", 35, "quart", 0, 2, "thicken-on-opening check-current-guide"},
		{"apple-pie-filling hot quart 3480", 35, "quart", 0, 2, "check-current-guide"},
		{"mango-sauce hot half-pint 0", 15, "half-pint", 0, 1, "kind-assumed check-current-guide"},
		{"pineapple hot quart 10001", 35, "quart", 0, 2, "altitude-above-10000 check-current-guide"},
		{"pineapple hot quart 10000", 35, "quart", 0, 2, "check-current-guide"},
		{"pineapple hot quart -200", 20, "quart", 0, 1, "below-sea-level check-current-guide"},
		{"fruit-puree hot half-pint 0 kind=pear", 15, "pint", 0, 1, "check-current-guide"},
		{"mixed-fruit raw 250-ml 0 kind=yellow-flesh", 20, "half-pint", 0, 1, "check-current-guide"},
	} {
		v := judgeOK(t, at(t, c.query))
		if v.Tested == nil {
			t.Errorf("%s: refused: %v", c.query, v.Reasons)
			continue
		}
		got := v.Tested
		var said []string
		for _, ca := range got.Cautions {
			said = append(said, ca.Code)
			if ca.Text == "" {
				t.Errorf("%s: %s says nothing", c.query, ca.Code)
			}
		}
		if got.Minutes != c.minutes || string(got.TestedAs.ID()) != c.testedAs || got.SterileMinutes != c.sterile ||
			got.WaterOverJars != c.water || strings.Join(said, " ") != c.cautions {
			t.Errorf("%s: %d min as %s, sterile %d, water %d, %q", c.query, got.Minutes, got.TestedAs.ID(), got.SterileMinutes, got.WaterOverJars, said)
		}
	}
}

func TestRefused(t *testing.T) {
	for _, c := range []struct{ query, reasons, alternatives, instead string }{
		{"pears raw quart 3480", "pack-not-tested", "pears hot quart boiling-water 35", "own-source"},
		{"pears raw half-gallon 3480", "jar-too-large pack-not-tested", "pears hot 1-l boiling-water 35", ""},
		{"peaches hot half-gallon 0 kind=freestone", "jar-too-large", "peaches freestone hot 1-l boiling-water 25", ""},
		{"peaches hot quart 0 kind=white-flesh", "white-flesh", "", "freeze"},
		{"nectarines raw pint 0 kind=white-flesh", "white-flesh", "", "freeze"},
		{"mixed-fruit raw pint 0 kind=white-flesh", "white-flesh", "", "freeze"},
		{"peach-pie-filling hot pint 0 kind=white-flesh", "white-flesh", "", "freeze"},
		{"jam hot half-pint 0 kind=white-flesh", "white-flesh", "", "freeze"},
		{"banana raw quart 0", "low-acid-fruit", "", "freeze"},
		{"mango raw half-pint 0", "low-acid-fruit", "mango-sauce just-ripe hot half-pint boiling-water 15", "freeze"},
		{"mango-sauce hot half-pint 0 kind=ripe", "low-acid-fruit", "", "freeze"},
		{"fruit-puree hot pint 0 kind=banana", "low-acid-fruit", "", "freeze"},
		{"fruit-puree hot pint 0 kind=fig", "form-not-tested", "figs hot pint boiling-water 45", "freeze"},
		{"fruit-puree hot pint 0 kind=asian-pear", "form-not-tested", "asian-pears hot pint boiling-water 20", "freeze"},
		{"fruit-puree hot pint 0 kind=tomato", "form-not-tested", "", "freeze"},
		{"fruit-puree hot pint 0 kind=cranberry", "form-not-tested", "", "freeze"},
		{"elderberries raw pint 0", "elderberry", "", "freeze other-guide"},
		{"berries raw pint 0 kind=elderberry", "elderberry", "", "freeze other-guide"},
		{"berries hot pint 0 kind=elderberry", "elderberry pack-not-tested", "", "freeze other-guide"},
		{"berry-syrup hot pint 0 kind=elderberry", "elderberry", "", "freeze other-guide"},
		{"berries hot quart 3480 kind=raspberry", "pack-not-tested", "berries raspberry raw quart boiling-water 30", "own-source"},
		{"berries raw pint 0 kind=strawberry", "strawberry-whole", "fruit-puree strawberry hot pint boiling-water 15", "freeze own-source"},
		{"strawberries raw half-pint 0", "strawberry-whole", "fruit-puree strawberry hot half-pint boiling-water 15", "freeze own-source"},
		{"tomatoes hot quart 0", "other-guide", "", "other-guide"},
		{"vegetables raw quart 0", "pressure-needed", "", "other-guide freeze"},
		{"vegetables raw quart 0 method=pressure", "pressure-needed", "", "other-guide freeze"},
		{"peaches hot quart 0 method=pressure", "pressure-needed", "peaches hot quart boiling-water 25", ""},
		{"peaches hot quart 0 method=oven", "not-a-process", "peaches hot quart boiling-water 25", "refrigerate"},
		{"pears raw quart 0 method=oven", "not-a-process pack-not-tested", "pears hot quart boiling-water 25", "refrigerate"},
		{"pineapple hot quart 0 form=crushed", "form-not-tested", "pineapple hot quart boiling-water 20", "own-source"},
		{"peaches hot quart 0 form=peel-on", "form-not-tested", "peaches hot quart boiling-water 25", "own-source"},
		{"peaches hot quart 0 thickener=cook-type-starch form=slices", "thickener", "peaches slices hot quart boiling-water 25", "add-on-opening"},
		{"apple-pie-filling hot quart 0 thickener=flour", "thickener", "apple-pie-filling hot quart boiling-water 25", "add-on-opening"},
		{"apple-juice hot half-gallon 0 method=steam", "steam-jar", "apple-juice hot 1-l steam 5", ""},
		{"figs hot quart 0 method=steam", "steam-too-long", "figs hot 500-ml steam 45", ""},
		{"figs hot quart 0 method=steam thickener=rice", "thickener steam-too-long", "figs none hot", "add-on-opening"},
		{"jam hot pint 0 kind=peach", "jar-too-large", "jam peach hot 250-ml boiling-water 5", "own-source"},
		{"berry-syrup hot quart 0 kind=grape", "jar-too-large", "berry-syrup grape hot 500-ml boiling-water 10", "own-source"},
		{"citrus-sections hot quart 0", "pack-not-tested", "citrus-sections raw quart boiling-water 10", "own-source"},
		{"mixed-fruit hot quart 0", "jar-too-large pack-not-tested", "mixed-fruit raw 500-ml boiling-water 20", "own-source"},
		{"cherry-juice hot quart 0", "juice-no-row", "berry-syrup cherry", "freeze own-source"},
		{"orange-juice hot quart 0", "juice-no-row", "", "freeze own-source"},
		{"quince hot half-pint 0", "product-not-tested", "jam quince hot half-pint boiling-water 5", "freeze own-source"},
		{"kiwi raw pint 0", "product-not-tested", "", "freeze own-source"},
		{"banana raw half-gallon 0 method=steam thickener=oats", "low-acid-fruit thickener steam-jar", "", "freeze add-on-opening"},
	} {
		v := judgeOK(t, at(t, c.query))
		var reasons, ways []string
		for _, r := range v.Reasons {
			reasons = append(reasons, r.Code.String())
			if len(r.Text) < 20 || strings.Contains(r.Text, "  ") {
				t.Errorf("%s: %s says %q", c.query, r.Code, r.Text)
			}
		}
		for _, i := range v.Instead {
			ways = append(ways, i.Way)
		}
		if v.Tested != nil || strings.Join(reasons, " ") != c.reasons || strings.Join(ways, " ") != c.instead {
			t.Errorf("%s: %v, instead %v; want %s, instead %s", c.query, reasons, ways, c.reasons, c.instead)
		}
		if len(v.Instead)+len(v.Alternatives) == 0 {
			t.Errorf("%s: no way out", c.query)
		}
		var first string
		if len(v.Alternatives) > 0 {
			first = spell(v.Alternatives[0])
		}
		if c.alternatives == "figs none hot" || c.alternatives == "berry-syrup cherry" {
			if !strings.HasPrefix(first, strings.Fields(c.alternatives)[0]) {
				t.Errorf("%s: first alternative %s", c.query, first)
			}
		} else if first != c.alternatives {
			t.Errorf("%s: first alternative %q, want %q", c.query, first, c.alternatives)
		}
	}
}

func spell(a Alternative) string {
	w := []string{string(a.Product)}
	for _, o := range []string{string(a.Kind), string(a.Form), string(a.Thickener)} {
		if o != "" {
			w = append(w, o)
		}
	}
	return strings.Join(append(w, string(a.Pack), string(a.Jar), string(a.Method), strconv.Itoa(a.Minutes)), " ")
}

func TestAlternativesGoOverToOtherProducts(t *testing.T) {
	v := judgeOK(t, at(t, "peaches hot quart 0 form=mashed"))
	var got []string
	for _, a := range v.Alternatives {
		got = append(got, spell(a))
	}
	want := []string{
		"peaches hot quart boiling-water 25", "peach-pie-filling hot quart boiling-water 30", "fruit-puree peach hot quart boiling-water 15",
		"jam peach hot 250-ml boiling-water 5",
		"jelly peach hot 250-ml boiling-water 5",
	}
	if !slices.Equal(got, want) {
		t.Errorf("%q", got)
	}
}

func TestSteamTooLongOffersBoilingWater(t *testing.T) {
	v := judgeOK(t, at(t, "figs hot quart 0 method=steam"))
	if !slices.ContainsFunc(v.Alternatives, func(a Alternative) bool { return a.Method == BoilingWater && a.Jar == "quart" }) {
		t.Errorf("%v", v.Alternatives)
	}
}

func TestAlternativesAmongOwnJars(t *testing.T) {
	pint, _ := jar.Find("pint")
	v, err := JudgeAmong(at(t, "peaches hot half-gallon 0"), []jar.Jar{pint})
	if err != nil || len(v.Alternatives) != 1 || v.Alternatives[0].Jar != "pint" {
		t.Errorf("%v, %v", v.Alternatives, err)
	}
}

func TestAcid(t *testing.T) {
	for _, c := range []struct {
		query string
		want  string
	}{
		{"figs hot quart 0", "6 tsp jar or citric acid 0.5 tsp"}, {"figs hot 1-l 0", "6.5 tsp jar or citric acid 0.625 tsp"},
		{"asian-pears hot pint 0", "3 tsp jar"}, {"asian-pears hot 4-oz 0", "1 tsp jar"}, {"asian-pears hot 750-ml 0", "5 tsp jar"},
		{"mango-sauce hot half-pint 0", "4 tbsp a batch of 6 half-pints"}, {"apple-pie-filling hot quart 0", "6 tsp a batch of 1 quart"},
		{"blueberry-pie-filling hot pint 0", "3.5 tsp a batch of 1 quart"}, {"peaches hot quart 0", ""},
	} {
		v := judgeOK(t, at(t, c.query))
		got := ""
		if a := v.Tested.Acid; a != nil {
			if a.What != "bottled lemon juice" {
				t.Errorf("%s: %s", c.query, a.What)
			}
			if a.PerJar != nil {
				got = fmt.Sprintf("%v %s jar", a.PerJar.Amount, a.PerJar.Unit)
			} else {
				got = fmt.Sprintf("%v %s a batch of %s", a.PerBatch.Amount.Amount, a.PerBatch.Unit, a.PerBatch.Makes)
			}
			for _, o := range a.Or {
				got += fmt.Sprintf(" or %s %v %s", o.What, o.PerJar.Amount, o.PerJar.Unit)
			}
		}
		if got != c.want {
			t.Errorf("%s: %q, want %q", c.query, got, c.want)
		}
	}
	// Every jar that figs may go in has its acid, none under its share of 1 tbsp a pint less the rounding of the table.
	for _, j := range jar.All() {
		if j.TestedAs > jar.Quart {
			continue
		}
		share := 3 * float64(j.Capacity) / float64(measure.Pint)
		if a := acidFor("figs", j.ID); a.PerJar.Amount < share*0.999 || a.Or[0].PerJar.Amount < share/12*0.999 {
			t.Errorf("%s: %v tsp, its share is %v", j.ID, a.PerJar.Amount, share)
		}
	}
}

func TestNotUnderstood(t *testing.T) {
	for _, c := range []struct{ query, fields string }{
		{"peach hot quart 0", "product"}, {"Peaches hot quart 0", "product"}, {"peaches warm litre 0", "pack jar"},
		{"peaches hot quart 0 kind=blueberry", "kind"}, {"pears hot quart 0 kind=freestone", "kind"},
		{"banana hot quart 0 kind=yellow-flesh", "kind"}, {"berries hot quart 0", "kind"}, {"peaches hot quart 0 form=diced", "form"},
		{"peaches hot quart 0 method=kettle thickener=sand", "method thickener"}, {"nothing hot quart 0 kind=foo", "product kind"},
		{"mango-sauce hot half-pint 0 kind=yellow-flesh", "kind"}, {"apple-pie-filling hot quart 0 kind=white-flesh", "kind"},
	} {
		_, err := Judge(at(t, c.query))
		ps, ok := err.(Problems)
		var fields []string
		for _, p := range ps {
			fields = append(fields, p.Field)
			if p.Accepts == "" {
				t.Errorf("%s: %s does not say what is accepted", c.query, p.Field)
			}
		}
		if !ok || strings.Join(fields, " ") != c.fields || err.Error() == "" {
			t.Errorf("%s: %v, want problems with %s", c.query, err, c.fields)
		}
	}
}
