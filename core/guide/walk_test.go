package guide

import (
	"cmp"
	"fmt"
	"slices"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// TestWalk goes through every product, kind, form, pack, jar, method and
// thickener at an altitude of each band, and holds the rules that may never
// bend: one verdict, never under its row, never shorter higher up or in a
// larger jar, and none by a method that is no process.
func TestWalk(t *testing.T) {
	var count, testedCount atomic.Int64
	start := time.Now()
	var walkers errgroup
	for i := range products {
		walkers.run(func() error {
			n, tested, err := walkProduct(&products[i])
			count.Add(n)
			testedCount.Add(tested)
			return err
		})
	}
	if err := walkers.wait(); err != nil {
		t.Fatal(err)
	}
	t.Logf("%d combinations, %d tested, no violation, in %v", count.Load(), testedCount.Load(), time.Since(start).Round(time.Millisecond))
	if testedCount.Load() == 0 || testedCount.Load() == count.Load() {
		t.Fatal("nothing was told apart")
	}
}

// errgroup runs functions on all processors and keeps the first error.
type errgroup struct {
	sync.WaitGroup
	once  sync.Once
	first error
}

func (g *errgroup) run(f func() error) {
	g.Go(func() {
		if err := f(); err != nil {
			g.once.Do(func() { g.first = err })
		}
	})
}

func (g *errgroup) wait() error {
	g.Wait()
	return g.first
}

// jarsBySize lists every jar, smaller tested sizes first.
var jarsBySize = func() []jar.Jar {
	js := jar.All()
	slices.SortStableFunc(js, func(a, b jar.Jar) int { return cmp.Compare(a.TestedAs, b.TestedAs) })
	return js
}()

func walkProduct(p *ProductInfo) (count, tested int64, err error) {
	for _, kind := range append([]Kind{""}, p.Kinds...) {
		for _, form := range forms {
			for _, pack := range packs {
				if p.ID == "berries" && pack == Hot && kind == "" {
					continue // not understood: the kind is required
				}
				for _, method := range Methods() {
					for _, thickener := range thickeners {
						n, m, err := walkJars(Query{Product: p.ID, Kind: kind, Form: form, Pack: pack, Method: method, Thickener: thickener})
						count += n
						tested += m
						if err != nil {
							return count, tested, err
						}
					}
				}
			}
		}
	}
	return count, tested, nil
}

// walkJars judges a query in every jar and band, and checks each verdict.
func walkJars(q Query) (count, tested int64, err error) {
	var smaller [4]int // the time in the next smaller jar that is tested, by band
	for _, j := range jarsBySize {
		q.Jar = j.ID
		a, err := understand(q)
		if err != nil {
			return count, tested, fmt.Errorf("%+v: %w", q, err)
		}
		last := 0
		for b := range feet4 {
			a.Altitude, a.band = feet4[b], bandOf(feet4[b].Feet())
			v := judge(&a)
			count++
			if v.why != 0 {
				continue
			}
			tested++
			switch {
			case q.Method != BoilingWater && q.Method != Steam:
				return count, tested, fmt.Errorf("%+v is tested", q)
			case !v.hasRow || v.row.Product != q.Product || v.row.Pack != q.Pack || v.row.Size < j.TestedAs || v.minutes != v.row.Minutes[b]:
				return count, tested, fmt.Errorf("%+v: %d min of row %+v", q, v.minutes, v.row)
			case v.minutes < last:
				return count, tested, fmt.Errorf("%+v: %d min in band %d, %d below it", q, v.minutes, b, last)
			case v.minutes < smaller[b]:
				return count, tested, fmt.Errorf("%+v: %d min, %d in a smaller jar", q, v.minutes, smaller[b])
			case q.Method == Steam && (v.minutes > 45 || j.TestedAs == jar.HalfGallon):
				return count, tested, fmt.Errorf("%+v: %d min in steam", q, v.minutes)
			}
			last, smaller[b] = v.minutes, v.minutes
		}
	}
	return count, tested, nil
}

var feet4 = func() (a [4]measure.Altitude) {
	for i, ft := range [...]int{500, 2000, 3480, 8000} {
		a[i] = measure.Altitude(ft) * 304_800
	}
	return a
}()

// TestTimeNeverFallsWithSize holds larger jars to at least the smaller one's time.
func TestTimeNeverFallsWithSize(t *testing.T) {
	for _, p := range productByID {
		for _, rs := range [][]Row{p.raw, p.hot} {
			for i := 1; i < len(rs); i++ {
				for b := range rs[i].Minutes {
					if rs[i].Size <= rs[i-1].Size || rs[i].Minutes[b] < rs[i-1].Minutes[b] {
						t.Errorf("%+v after %+v", rs[i], rs[i-1])
					}
				}
			}
		}
	}
}

// TestAlternativesHold sends every alternative back, for every product and kind
// and one thing at a time that is wrong with it, in every band.
func TestAlternativesHold(t *testing.T) {
	var mu sync.Mutex
	offered, refusals := 0, map[Code]int{}
	t.Run("products", func(t *testing.T) {
		for i := range products {
			t.Run(string(products[i].ID), func(t *testing.T) {
				t.Parallel()
				n, seen := alternativesHold(t, &products[i])
				mu.Lock()
				defer mu.Unlock()
				offered += n
				for c, k := range seen {
					refusals[c] += k
				}
			})
		}
	})
	for _, c := range Codes() {
		if refusals[c] == 0 {
			t.Errorf("%s was never reached", c)
		}
	}
	t.Logf("%d alternatives sent back", offered)
}

// alternativesHold sends every alternative of every way of packing p back, and
// counts them and the refusals that were seen.
func alternativesHold(t *testing.T, p *ProductInfo) (offered int, refusals map[Code]int) {
	refusals = map[Code]int{}
	check := func(q Query) {
		if len(Check(q)) > 0 {
			return
		}
		v := judgeOK(t, q)
		if v.Tested != nil {
			return
		}
		for _, r := range v.Reasons {
			refusals[r.Code]++
		}
		if len(v.Alternatives) > mostAlternatives || len(v.Alternatives)+len(v.Instead) == 0 {
			t.Fatalf("%+v: %d alternatives, %d ways instead", q, len(v.Alternatives), len(v.Instead))
		}
		last := 0
		for _, a := range v.Alternatives {
			back := a.Query
			again := judgeOK(t, back)
			if again.Tested == nil || again.Tested.Minutes != a.Minutes || a.Altitude != q.Altitude || a.Method == "" {
				t.Fatalf("%+v offers %+v, which is %+v", q, a, again)
			}
			if a.Changed < last || a.Changed == 0 {
				t.Fatalf("%+v: %d changes after %d", q, a.Changed, last)
			}
			last = a.Changed
			offered++
		}
	}
	for _, kind := range append([]Kind{""}, p.Kinds...) {
		for _, alt := range feet4 {
			for _, pack := range packs {
				for _, id := range []jar.ID{"4-oz", "quart", "half-gallon"} {
					q := Query{Product: p.ID, Kind: kind, Pack: pack, Jar: id, Altitude: alt}
					check(q)
					for _, f := range forms {
						q.Form = f
						check(q)
					}
					q.Form = ""
					for _, m := range Methods() {
						q.Method = m
						check(q)
					}
					q.Method = ""
					for _, th := range thickeners {
						q.Thickener = th
						check(q)
					}
					q.Thickener = ""
					for _, c := range someConditions {
						q.Conditions = c
						check(q)
					}
				}
			}
		}
	}
	return offered, refusals
}

// someConditions are each state by itself, and all that can be wrong at once.
var someConditions = func() (cs []Conditions) {
	for _, s := range acidStates {
		cs = append(cs, Conditions{Acid: s})
	}
	for _, s := range fruitStates {
		cs = append(cs, Conditions{Fruit: s})
	}
	for _, s := range jarStates {
		cs = append(cs, Conditions{Jars: s})
	}
	for i := range extras {
		cs = append(cs, Conditions{Extras: 1 << i})
	}
	return append(cs, Conditions{AcidLeftOut, FruitSoft, JarOneTrip, 1<<len(extras) - 1})
}()

// FuzzJudge throws anything at the judging: exactly one verdict, never under the
// row, and every alternative answers tested with its minutes.
func FuzzJudge(f *testing.F) {
	f.Add("peaches", "freestone", "halves", "hot", "quart", "boiling-water", "none", int64(3480), uint64(0), "", "sound", "", uint32(3))
	f.Add("berries", "", "", "hot", "pint", "", "", int64(-1400), uint64(0), "", "", "", uint32(0))
	f.Add("figs", "", "whole", "hot", "1-l", "steam", "", int64(6001), uint64(0), "fresh", "frozen", "used-lids", uint32(1<<6))
	f.Add("fruit-puree", "apple", "", "hot", "quart", "", "", int64(5), uint64(1<<15), "", "", "", uint32(0))
	f.Add("fruit-puree", "", "sauce", "hot", "half-gallon", "oven", "flour", int64(9000), uint64(1<<24|3), "left-out", "soft", "chipped", uint32(0))
	f.Fuzz(func(t *testing.T, product, kind, form, pack, j, method, thickener string, ft int64, blend uint64, acid, fruit, jars string, extras uint32) {
		q := Query{Product(product), Kind(kind), Blend(blend), Form(form), Pack(pack), jar.ID(j), Method(method), Thickener(thickener),
			measure.Altitude(ft%15_000) * 304_800, Conditions{AcidState(acid), FruitState(fruit), JarState(jars), Extras(extras)}}
		v, err := Judge(q)
		switch {
		case err != nil:
			if len(err.(Problems)) == 0 {
				t.Fatal("an error without a problem")
			}
			return
		case (v.Tested == nil) == (len(v.Reasons) == 0):
			t.Fatalf("%+v: not exactly one verdict", q)
		case v.Tested != nil:
			r, ok := rowFor(productByID[q.Product], q.Pack, v.Tested.TestedAs)
			row := r.Minutes[bandOf(q.Altitude.Feet())]
			if !ok || v.Tested.Minutes < row || q.Blend == 0 && v.Tested.Minutes != row {
				t.Fatalf("%+v: %d min", q, v.Tested.Minutes)
			}
		}
		for _, a := range v.Alternatives {
			if again, err := Judge(a.Query); err != nil || again.Tested == nil || again.Tested.Minutes != a.Minutes {
				t.Fatalf("%+v offers %+v, which is %+v, %v", q, a, again, err)
			}
		}
	})
}

func BenchmarkTested(b *testing.B) {
	q := at(b, "peaches hot quart 3480 kind=freestone")
	b.ReportAllocs()
	for range b.N {
		judgeOK(b, q)
	}
}

func BenchmarkRefusedWithAlternatives(b *testing.B) {
	q := at(b, "peaches hot half-gallon 3480 form=mashed method=oven thickener=flour")
	b.ReportAllocs()
	for range b.N {
		judgeOK(b, q)
	}
}
