package batch

import (
	"fmt"
	"strings"
	"testing"

	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

func sauceRequest(product, kind, id, amount string) Request {
	return Request{Product: product, Kind: guide.Kind(kind), Pack: guide.Hot, Jar: jar.ID(id), Amount: amount}
}

// amounts prints a recipe: "5 1/2 cups puree…; 4 tbsp bottled…".
func amounts(r *Recipe) string {
	if r == nil {
		return ""
	}
	var lines []string
	for _, i := range r.Ingredients {
		text := i.Amount.Kitchen()
		if i.Weight > 0 {
			text = i.Weight.Text(measure.US)
		}
		lines = append(lines, text+" "+i.Name)
	}
	return strings.Join(append(lines, r.Notes...), "; ")
}

// TestRecipes plans what is not packed in a liquid, and looks for what it must say.
func TestRecipes(t *testing.T) {
	perQuart := func(r *Request) { r.Liquid = Liquid{Kind: PerQuart, Sugar: "1/8 cup"} }
	for _, c := range []struct {
		r      Request
		change func(*Request)
		says   []string
	}{
		{sauceRequest("applesauce", "", "quart", "7 jars"), nil, []string{"about 12 °Brix"}},
		{sauceRequest("applesauce", "", "quart", "7 jars"), perQuart, []string{"3/4 cup + 2 tbsp granulated sugar", "2 tbsp of sugar in a quart (25 g)", "from about 12 to 14.2 °Brix"}},
		{sauceRequest("fruit-puree", "raspberry", "pint", "8 jars"), perQuart, []string{"1/2 cup granulated sugar", "for taste"}},
		{sauceRequest("apple-butter", "", "pint", "17 jars"), nil, []string{"16 lb apples", "4 cups cider", "4 1/2 cups brown sugar", "In the pot at the start: about 22 1/2 lb. Done at about 20 lb", "cooks away", "mounds on a spoon"}},
		{sauceRequest("mango-sauce", "just-ripe", "half-pint", "6 jars"), nil, []string{"5 1/2 cups puree", "1/4 cup bottled lemon juice", "never less"}},
		{sauceRequest("mango-sauce", "just-ripe", "half-pint", "7 jars"), nil, []string{"4 tsp"}},
		{sauceRequest("berry-syrup", "raspberry", "half-pint", "9 jars"), nil, []string{"6 3/4 cups granulated sugar", "6 1/2 cups fresh or thawed berries"}},
		{sauceRequest("grape-juice", "", "quart", "7 jars"), func(r *Request) { r.Dilute = 2 }, []string{"24 to 48 hours", "1 part of juice to 2 of water, a quart makes 12 glasses", "every 45 to 60 minutes and never dry"}},
		{sauceRequest("apple-juice", "", "half-gallon", "3 jars"), nil, []string{"a half-gallon jar is 8 glasses"}},
		{sauceRequest("jam", "plum", "half-pint", "6 jars"), nil, []string{"jells at 214 °F here: 8 °F over where water boils, 206 °F", "One batch at a time"}},
	} {
		if c.change != nil {
			c.change(&c.r)
		}
		p := makeOK(t, c.r, corvane(t))
		text := amounts(p.Recipe)
		for _, want := range c.says {
			if !strings.Contains(text, want) && !(want == "4 tsp" && acidTsp(p.Recipe) >= 12*7.0/6) {
				t.Errorf("%s does not say %q: %s", c.r.Product, want, text)
			}
		}
		if p.Status != Tested || p.Recipe != nil && len(p.Why(measure.US)) == 0 {
			t.Errorf("%s: %s", c.r.Product, p.Status)
		}
	}
}

// acidTsp is the acid of a recipe in teaspoons.
func acidTsp(r *Recipe) float64 {
	for _, i := range r.Ingredients {
		if i.Role == AcidRole {
			return i.Amount.Cups() * cup
		}
	}
	return 0
}

// TestMangoAcidIsNeverLess scales the sauce to every count of jars: the lemon juice
// never falls under its printed share, and is measured in half teaspoons.
func TestMangoAcidIsNeverLess(t *testing.T) {
	for n := 1; n <= 60; n++ {
		p := makeOK(t, sauceRequest("mango-sauce", "just-ripe", "half-pint", fmt.Sprintf("%d jars", n)), corvane(t))
		share, got := 12*float64(n)/6, acidTsp(p.Recipe)
		if got < share-1e-3 || got > share+0.51 {
			t.Errorf("%d jars: %.3f tsp, share %.3f", n, got, share)
		}
	}
}

// TestReductionBalances holds the weights of apple butter to what they are made of:
// more goes into the pot than comes out, and the sugar in it stays.
func TestReductionBalances(t *testing.T) {
	for _, n := range []int{1, 4, 9, 17, 40} {
		p := makeOK(t, sauceRequest("apple-butter", "", "pint", fmt.Sprintf("%d jars", n)), corvane(t))
		if p.Recipe == nil || !strings.Contains(p.Recipe.Notes[0], "cooks away") || strings.Contains(p.Recipe.Notes[0], "-") {
			t.Errorf("%d pints: %+v", n, p.Recipe)
		}
	}
	if p := makeOK(t, sauceRequest("apple-butter", "", "pint", "20 lb"), corvane(t)); p.Recipe != nil || p.Jars != nil || p.AmountNote == "" {
		t.Errorf("without jars: %+v", p.Recipe)
	}
}

func TestBlendsInAPlan(t *testing.T) {
	r := sauceRequest("applesauce", "", "quart", "7 jars")
	r.Blend, _ = guide.ParseBlend("pear,plum")
	p := makeOK(t, r, corvane(t))
	if p.Status != Tested || p.Query.Product != "fruit-puree" || p.Verdict.Tested.Minutes != 35 {
		t.Fatalf("%+v", p.Verdict)
	}
	if h := Headline(p.Query, p.Name); h != "fruit puree, apple, pear and plum, in quarts" {
		t.Error(h)
	}
	r.Blend, _ = guide.ParseBlend("mango")
	p = makeOK(t, r, corvane(t))
	if p.Status != Refused || Label(p.Query, p.Verdict.Alternatives[0]) != "of apple alone" {
		t.Fatalf("%+v", p.Verdict)
	}
	if again := makeOK(t, r.Instead(p.Verdict.Alternatives[0]), corvane(t)); again.Status != Tested || again.Query.Blend != 0 {
		t.Errorf("%+v", again)
	}
	r = peaches()
	r.Blend, _ = guide.ParseBlend("apple")
	if _, err := Make(r, corvane(t)); err == nil || !strings.Contains(err.Error(), "sauce or puree") {
		t.Errorf("halves of two fruits: %v", err)
	}
}
