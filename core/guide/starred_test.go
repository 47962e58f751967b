package guide

import (
	"slices"
	"testing"
)

// TestStarred names each form and kind that the rules mark as required reading,
// and what becomes of it in every band: pears cut smaller stand with a caution, all
// others are refused by their code and carry no minutes.
func TestStarred(t *testing.T) {
	refused := map[string]Code{
		"peaches hot quart kind=white-flesh":           WhiteFlesh,
		"peaches raw pint kind=white-flesh":            WhiteFlesh,
		"nectarines hot quart kind=white-flesh":        WhiteFlesh,
		"nectarines raw pint kind=white-flesh":         WhiteFlesh,
		"mixed-fruit raw pint kind=white-flesh":        WhiteFlesh,
		"peach-pie-filling hot quart kind=white-flesh": WhiteFlesh,
		"berries raw quart kind=elderberry":            Elderberry,
		"berries hot pint kind=elderberry":             Elderberry,
		"berries raw pint kind=strawberry":             StrawberryWhole,
		"berries hot pint kind=strawberry":             StrawberryWhole,
		"berry-syrup hot half-pint kind=elderberry":    Elderberry,
		"mango-sauce hot half-pint kind=ripe":          LowAcidFruit,
	}
	lowAcid := []Kind{"banana", "melon", "watermelon", "papaya", "mango", "coconut", "avocado", "persimmon", "dragon-fruit", "date", "pumpkin", "squash"}
	for product, jar := range map[string]string{"fruit-puree": "quart", "jam": "half-pint", "jelly": "half-pint", "berry-syrup": "pint"} {
		for _, k := range lowAcid {
			refused[product+" hot "+jar+" kind="+string(k)] = LowAcidFruit
		}
		for _, k := range []Kind{"asian-pear", "fig", "tomato", "cranberry"} {
			refused[product+" hot "+jar+" kind="+string(k)] = FormNotTested
		}
		refused[product+" hot "+jar+" kind=white-flesh"] = WhiteFlesh
		refused[product+" hot "+jar+" kind=elderberry"] = Elderberry
	}
	// query puts an altitude into its place.
	query := func(t *testing.T, s string, ft int) Query {
		q := at(t, s[:len(s)-len(kindPart(s))]+" 0"+kindPart(s))
		q.Altitude = feet(t, ft)
		return q
	}
	for s, want := range refused {
		t.Run(s, func(t *testing.T) {
			for _, ft := range []int{-100, 1000, 3000, 3480, 6001, 12000} {
				v := judgeOK(t, query(t, s, ft))
				if v.Tested != nil || !slices.ContainsFunc(v.Reasons, func(r Reason) bool { return r.Code == want }) || len(v.Alternatives) == 0 && len(v.Instead) == 0 {
					t.Errorf("at %d ft: %+v", ft, v)
				}
			}
		})
	}
	for _, form := range []Form{"quarters", "slices"} {
		t.Run("pears hot quart form="+string(form), func(t *testing.T) {
			for ft, minutes := range map[int]int{1000: 25, 3000: 30, 3480: 35, 6001: 40} {
				q := at(t, "pears hot quart 0")
				q.Form, q.Altitude = form, feet(t, ft)
				v := judgeOK(t, q)
				if v.Tested == nil || v.Tested.Minutes != minutes || !slices.ContainsFunc(v.Tested.Cautions, func(c Caution) bool { return c.Code == "cut-smaller" }) {
					t.Errorf("at %d ft: %+v", ft, v)
				}
			}
		})
	}
	if v := judgeOK(t, at(t, "pears hot quart 3480")); slices.ContainsFunc(v.Tested.Cautions, func(c Caution) bool { return c.Code == "cut-smaller" }) {
		t.Error("halves are called cut smaller")
	}
}

// kindPart is " kind=…" of a query written without its altitude.
func kindPart(s string) string {
	for i := range s {
		if i+6 <= len(s) && s[i:i+6] == " kind=" {
			return s[i:]
		}
	}
	return ""
}
