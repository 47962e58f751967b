package guide

import (
	"strings"
	"testing"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

func blend(t testing.TB, kinds string) Blend {
	t.Helper()
	b, err := ParseBlend(kinds)
	if err != nil {
		t.Fatal(err)
	}
	return b
}

var heights = []measure.Altitude{0, 2000 * measure.Altitude(measure.Foot), 4000 * measure.Altitude(measure.Foot), 8000 * measure.Altitude(measure.Foot)}

// sizes is one jar of each tested size.
func sizes(t testing.TB) []jar.Jar {
	t.Helper()
	var js []jar.Jar
	for _, id := range []jar.ID{"half-pint", "pint", "quart", "half-gallon"} {
		j, ok := jar.Find(id)
		if !ok {
			t.Fatal(id)
		}
		js = append(js, j)
	}
	return js
}

// TestBlendsTakeTheLongest walks every pair of fruits in every jar and band: a
// blend takes no less than puree, than applesauce where apple is in it, or than
// any row of a whole fruit of its own; and one refused part refuses it.
func TestBlendsTakeTheLongest(t *testing.T) {
	tested, refused := 0, 0
	for _, first := range pureeKinds {
		for i, second := range pureeKinds {
			if first == second {
				continue
			}
			for _, j := range sizes(t) {
				for _, at := range heights {
					q := Query{Product: "fruit-puree", Kind: first, Blend: 1 << i, Pack: Hot, Jar: j.ID, Altitude: at}
					v, err := Judge(q)
					if err != nil {
						t.Fatal(err)
					}
					bad := kindRefusal("fruit-puree", first) != 0 || kindRefusal("fruit-puree", second) != 0
					if bad || j.TestedAs > jar.Quart {
						refused++
						if v.Tested != nil || len(v.Alternatives) == 0 && len(v.Instead) == 0 {
							t.Fatalf("%+v: %+v", q, v)
						}
						continue
					}
					tested++
					if v.Tested == nil {
						t.Fatalf("%+v: %+v", q, v.Reasons)
					}
					one := func(p Product, k Kind) {
						if alone, err := Judge(Query{Product: p, Kind: k, Pack: Hot, Jar: j.ID, Altitude: at}); err == nil && alone.Tested != nil && alone.Tested.Minutes > v.Tested.Minutes {
							t.Errorf("%s with %s in a %s: %d minutes, %s alone %d", first, second, j.ID, v.Tested.Minutes, p, alone.Tested.Minutes)
						}
					}
					for _, k := range []Kind{first, second} {
						one("fruit-puree", k)
						for _, p := range rowsOfFruit[k] {
							one(p, "")
						}
						if k == "blueberry" {
							one("berries", k)
						}
					}
				}
			}
		}
	}
	t.Logf("%d tested, %d refused", tested, refused)
	if tested == 0 || refused == 0 {
		t.Error("nothing was walked")
	}
}

func TestBlendVerdicts(t *testing.T) {
	apple := Query{Product: "fruit-puree", Kind: "apple", Blend: blend(t, "pear"), Pack: Hot, Jar: "quart", Altitude: heights[2]}
	v, err := Judge(apple)
	if err != nil || v.Tested == nil || v.Tested.Minutes != 35 || v.Tested.Row.Product != "pears" || v.Tested.Headspace != 0.25 {
		t.Errorf("apple and pear: %+v %v", v.Tested, err)
	}
	apple.Blend = blend(t, "mango")
	v, _ = Judge(apple)
	if v.Tested != nil || v.Reasons[0].Code != LowAcidFruit || !strings.Contains(v.Reasons[0].Text, "mango") {
		t.Fatalf("apple with ripe mango: %+v", v)
	}
	ways := map[Product]bool{}
	for _, a := range v.Alternatives {
		ways[a.Product] = true
		a.Query.Altitude = apple.Altitude
		if again, err := Judge(a.Query); err != nil || again.Tested == nil || again.Tested.Minutes != a.Minutes {
			t.Errorf("%+v: %+v, %v", a, again.Tested, err)
		}
	}
	if !ways["fruit-puree"] || !ways["applesauce"] || !ways["mango-sauce"] {
		t.Errorf("ways out of apple with mango: %v", ways)
	}
	apple.Blend = blend(t, "banana,pear,pumpkin")
	v, _ = Judge(apple)
	if len(v.Reasons) != 2 || v.Reasons[0].Text == v.Reasons[1].Text {
		t.Errorf("each refused fruit is named: %+v", v.Reasons)
	}
	if a := v.Alternatives[0]; a.Product != "fruit-puree" || a.Kind != "apple" || a.Blend != blend(t, "pear") {
		t.Errorf("nearest: %+v", a)
	}
	for what, q := range map[string]Query{
		"of whole fruit": {Product: "peaches", Blend: blend(t, "apple"), Pack: Hot, Jar: "pint"},
		"unknown bits":   {Product: "fruit-puree", Kind: "apple", Blend: 1 << 63, Pack: Hot, Jar: "pint"},
	} {
		if ps := Check(q); len(ps) != 1 || ps[0].Field != "blend" {
			t.Errorf("%s: %v", what, ps)
		}
	}
}

func TestParseBlend(t *testing.T) {
	if b := blend(t, "plum,apple"); b.String() != "apple,plum" || len(b.Each()) != 2 || BlendName("pear", b) != "pear, apple and plum" {
		t.Errorf("%s, %s", b, BlendName("pear", b))
	}
	if b := blend(t, ""); b != 0 || b.String() != "" {
		t.Error(b)
	}
	for _, bad := range []string{"peaches", "apple,", "apple;pear", "Apple"} {
		if b, err := ParseBlend(bad); err == nil {
			t.Errorf("%q: %s", bad, b)
		}
	}
	if BlendName("apple", blend(t, "apple")) != "apple" {
		t.Error("a fruit is named once")
	}
}
