package batch

import (
	"math"
	"strings"
	"testing"

	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/measure"
)

func TestShares(t *testing.T) {
	k := corvane(t)
	k.Known = []fruit.Variety{{Kind: "apple", Name: "Mill Sweeting", Tart: 2, Texture: "cooks down fast"}, {Kind: "apple", Name: "Corvane Russet", Tart: 8}, {Kind: "pear", Name: "Old Wall", Tart: 1}}
	r := Request{Product: "applesauce", Pack: guide.Hot, Jar: "quart", Amount: "12 lb", Varieties: "2 mill sweeting, 1 Corvane Russet"}
	p := makeOK(t, r, k)
	if p.Shares == nil || len(p.Shares.Parts) != 2 || !p.Shares.Knows || math.Abs(p.Shares.Tart-4) > 1e-9 {
		t.Fatalf("%+v", p.Shares)
	}
	if a := p.Shares.Parts[0]; a.Name != "Mill Sweeting" || a.Mass != 8*measure.Pound || a.Texture != "cooks down fast" {
		t.Errorf("%+v", a)
	}
	r.Varieties = ""
	if plain := makeOK(t, r, k); plain.Shares != nil || plain.Verdict.Tested.Minutes != p.Verdict.Tested.Minutes {
		t.Error("varieties changed a time, or were made up")
	}
	// One that nobody wrote about, or of another fruit, has a share and no taste.
	for _, other := range []string{"Windfall", "Old Wall"} {
		r.Varieties = "Mill Sweeting, " + other
		if p = makeOK(t, r, k); p.Shares.Knows || p.Shares.Parts[1].Known || p.Shares.Parts[1].Mass != 6*measure.Pound {
			t.Errorf("%+v", p.Shares)
		}
	}
	// A filling measures its prepared fruit.
	r = Request{Product: "apple-pie-filling", Pack: guide.Hot, Jar: "quart", Amount: "7 quarts", Varieties: "1 Mill Sweeting, 1 Corvane Russet"}
	if p = makeOK(t, r, k); p.Shares.Parts[0].Mass != 0 || math.Abs(p.Shares.Parts[0].Volume.Cups()-12) > 0.1 {
		t.Errorf("%+v", p.Shares.Parts)
	}
	// Halves are not cooked together.
	r = peaches()
	r.Varieties = "1 Redskin, 1 Haven"
	if p = makeOK(t, r, k); p.Shares != nil {
		t.Errorf("%+v", p.Shares)
	}
	r.Varieties = "0 Redskin"
	if _, err := Make(r, k); err == nil || !strings.Contains(err.Error(), "accepted: over 0") {
		t.Errorf("%v", err)
	}
}

func TestFromWhatIsLeftOver(t *testing.T) {
	k := corvane(t)
	id := LeftOverID("basket", "use1")
	k.Lots = map[string]LotAtHand{id: {Name: "the pulp of the basket", Kind: "apple", Left: 12 * measure.Pound, Over: "pulp"}}
	if lot, use, ok := OfLeftOver(id); !ok || lot != "basket" || use != "use1" {
		t.Errorf("%q %q", lot, use)
	}
	r := Request{Product: "applesauce", Pack: guide.Hot, Jar: "quart", Amount: "all of it", Lots: id}
	p := makeOK(t, r, k)
	if p.Status != Tested || p.Jars != nil || p.Fruit != nil || !strings.Contains(p.AmountNote, "Nobody has published how many jars pulp gives") {
		t.Errorf("%+v %q", p.Jars, p.AmountNote)
	}
	r.Amount = "4 jars"
	if p = makeOK(t, r, k); p.Jars.Planned != 4 || p.Fruit != nil || p.LotNote != "" || p.AmountNote == "" || len(p.Loads) != 1 {
		t.Errorf("%+v %+v %q", p.Jars, p.Fruit, p.AmountNote)
	}
	r.Sizes = "2 quarts, 1 pint"
	if p = makeOK(t, r, k); p.Fruit != nil || p.JarsText() != "2 quarts and 1 pint" {
		t.Errorf("%+v %s", p.Fruit, p.JarsText())
	}
}
