package batch

import (
	"strings"
	"testing"

	"mellisca/core/canner"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

func stocked(t testing.TB, lids int, jars map[jar.ID]int) Kitchen {
	k := corvane(t)
	k.Memo = &canner.Memo{}
	k.Stock = Stock{Jars: map[jar.ID]Owned{}, Lids: map[jar.Mouth]int{jar.Regular: lids, jar.Wide: lids}, Bands: map[jar.Mouth]int{jar.Regular: 100, jar.Wide: 100}}
	for id, n := range jars {
		k.Stock.Jars[id] = Owned{n + 3, 3}
	}
	return k
}

func TestShort(t *testing.T) {
	r := peaches() // 4 to 6 quarts
	for _, c := range []struct {
		lids, quarts int
		want         string
	}{{20, 20, ""}, {20, 5, "Short by 1 quart."}, {4, 4, "Short by 2 quarts, 2 new regular lids."}, {5, 9, "Short by 1 new regular lid."}} {
		if p := makeOK(t, r, stocked(t, c.lids, map[jar.ID]int{"quart": c.quarts})); p.Short != c.want {
			t.Errorf("%d lids, %d quarts: %q, want %q", c.lids, c.quarts, p.Short, c.want)
		}
	}
	if p := makeOK(t, r, corvane(t)); p.Short != "" {
		t.Error("short of what was never counted")
	}
}

func TestSpreadOver(t *testing.T) {
	r := peaches()
	r.Amount = "24 lb" // likely 9.6 quarts
	spread := func(k Kitchen, r Request, sizes int) Spread {
		t.Helper()
		s, ok, err := SpreadOver(r, k, sizes)
		if err != nil || !ok {
			t.Fatalf("%+v, %v, %v", s, ok, err)
		}
		held := measure.Volume(0)
		jars, placed, minutes := 0, 0, 0
		for _, f := range s.Jars {
			held += f.Jar.Capacity * measure.Volume(f.Count)
			jars += f.Count
			if f.Count > k.Stock.Free(f.Jar.ID) {
				t.Errorf("%d %ss of %d", f.Count, f.Jar.ID, k.Stock.Free(f.Jar.ID))
			}
		}
		for _, l := range s.Loads {
			minutes += l.Minutes
			placed += len(l.Tiers[0])
		}
		if total := (held + s.Left).Litres(); total < 9.0 || total > 9.2 || jars != placed || minutes != s.Minutes || len(s.Jars) > sizes {
			t.Errorf("%+v: %.2f l, %d jars, %d placed, %d min", s, total, jars, placed, minutes)
		}
		return s
	}
	k := stocked(t, 60, map[jar.ID]int{"quart": 20, "pint": 30, "half-pint": 12, "half-gallon": 6})
	s := spread(k, r, 2)
	for _, f := range s.Jars {
		if f.Jar.ID == "half-gallon" {
			t.Error("a size that is not tested for peaches")
		}
	}
	if s.Left >= measure.Cup {
		t.Errorf("%v left with half-pints at hand", s.Left)
	}
	if one := spread(k, r, 1); len(one.Jars) != 1 {
		t.Errorf("%+v", one.Jars)
	}
	few := spread(stocked(t, 8, map[jar.ID]int{"quart": 20, "pint": 30}), r, 2)
	lids := 0
	for _, f := range few.Jars {
		lids += f.Count
	}
	if lids > 8 {
		t.Errorf("%d jars with 8 lids", lids)
	}
	for what, change := range map[string]func(*Request, *Kitchen){
		"jars not counted": func(_ *Request, k *Kitchen) { k.Stock = Stock{} },
		"jars given":       func(r *Request, _ *Kitchen) { r.Amount = "7 jars" },
		"refused":          func(r *Request, _ *Kitchen) { r.Method = "oven" },
		"no lids":          func(_ *Request, k *Kitchen) { k.Stock.Lids = nil },
	} {
		r, k := r, k
		change(&r, &k)
		if s, ok, err := SpreadOver(r, k, 2); ok || err != nil {
			t.Errorf("%s: %+v, %v", what, s, err)
		}
	}
	r.Amount = "lots"
	if _, _, err := SpreadOver(r, k, 2); err == nil || !strings.Contains(err.Error(), "accepted") {
		t.Errorf("lots: %v", err)
	}
}
