package store

import (
	"context"
	_ "embed" // the jars
	"errors"
	"fmt"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"

	"mellisca/core/fruit"
	"mellisca/core/shelf"
)

//go:embed testdata/jars.sql
var thirtyYears string

// manyJars fills a file with 12,000 jars up to day 20,679: all of them still there, or
// the last 600.
func manyJars(t testing.TB, s *Store, allHere bool) {
	t.Helper()
	n := 0
	if allHere {
		n = 1
	}
	for _, statement := range strings.SplitAfter(thirtyYears, ";\n") {
		var args []any
		if strings.Contains(statement, "?1") {
			args = append(args, n)
		}
		if _, err := s.write.Exec(statement, args...); err != nil {
			t.Fatal(err)
		}
	}
}

func aJar(what string, canned fruit.Day) Jar {
	return Jar{Origin: "before", What: what, Product: "peaches", Jar: "quart", Canned: canned, Process: shelf.TestedAsTold, Life: shelf.Life{State: shelf.Standing, Since: canned}}
}

func TestJarsAreToldOf(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	ids, err := s.AddJars(ctx, []Jar{aJar("peaches, in halves", 20000), aJar("peaches, in halves", 20400)}, noon)
	if err != nil || len(ids) != 2 || ids[0] == ids[1] || len(ids[0]) != 6 {
		t.Fatal(ids, err)
	}
	take := func(j Jar) (shelf.Line, error) {
		l := shelf.Line{Act: shelf.Took, Day: 20679}
		return l, j.May(l)
	}
	j, err := s.TellJar(ctx, ids[0], noon, take)
	if err != nil || j.State != shelf.Opened || j.Until != 20684 {
		t.Fatal(j, err)
	}
	if _, err := s.TellJar(ctx, ids[0], noon, take); err == nil || !strings.Contains(err.Error(), "open already") {
		t.Error("opened twice:", err)
	}
	if _, err := s.TellJar(ctx, "nosuch", noon, take); !errors.Is(err, ErrNotFound) {
		t.Error(err)
	}
	groups, err := s.JarGroups(ctx, 20679)
	if err != nil || len(groups) != 1 || groups[0].Count != 1 || groups[0].Next != ids[1] {
		t.Error(groups, err)
	}
	apart, err := s.JarsApart(ctx)
	if err != nil || len(apart) != 1 || apart[0].ID != ids[0] || apart[0].Until != 20684 {
		t.Error(apart, err)
	}
	for words, want := range map[string]int{"": 2, "peaches OPEN": 1, "quart halves": 2, ids[1]: 1, "plums": 0, "october 2024": 1} {
		if all, total, err := s.FindJars(ctx, Find{Words: words, Limit: 10}); err != nil || total != want || len(all) != want {
			t.Errorf("%q: %d, %v", words, total, err)
		}
	}
	if _, err := s.write.Exec(`UPDATE shelf_line SET data = '{}'`); err == nil {
		t.Error("what was told can be changed")
	}
	if _, err := s.write.Exec(`DELETE FROM shelf_line`); err == nil {
		t.Error("what was told can be erased")
	}
}

// TestLifeIsKeptAsFolded tells random jars random things, and holds what is kept beside
// each jar to what its lines fold to.
func TestLifeIsKeptAsFolded(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	r := rand.New(rand.NewPCG(15, 7))
	var jars []Jar
	for i := range 40 {
		jars = append(jars, aJar(fmt.Sprint("jar ", i), 20000))
	}
	ids, err := s.AddJars(ctx, jars, noon)
	if err != nil {
		t.Fatal(err)
	}
	told := 0
	for range 400 {
		_, err := s.TellJar(ctx, ids[r.IntN(len(ids))], noon, func(j Jar) (shelf.Line, error) {
			l := shelf.Line{Act: shelf.Undone, Day: 20679, Undoes: j.Last}
			if can := j.Can(); len(can) > 0 && r.IntN(3) > 0 {
				l = shelf.Line{Act: can[r.IntN(len(can))], Day: 20679, Who: "Hanne", Why: "leaking", Place: "loft"}
			}
			return l, j.May(l)
		})
		if err == nil {
			told++
		}
	}
	if told < 150 {
		t.Errorf("only %d things were told", told)
	}
	all, _, err := s.FindJars(ctx, Find{Limit: 100})
	if err != nil || len(all) != 40 {
		t.Fatal(len(all), err)
	}
	states := map[shelf.State]bool{}
	for _, kept := range all {
		folded, _, err := s.Jar(ctx, kept.ID)
		folded.Why, folded.Last, folded.Warned = "", 0, false // not kept beside it
		if err != nil || kept != folded {
			t.Errorf("%+v\n%+v %v", kept, folded, err)
		}
		states[kept.State] = true
	}
	if len(states) < 4 {
		t.Errorf("only %v were seen", states)
	}
}

// TestDueIsAsInCore holds the file's own reckoning of look-overs to that of the core.
func TestDueIsAsInCore(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	r := rand.New(rand.NewPCG(3, 9))
	var jars []Jar
	want := map[string]fruit.Day{}
	for i := range 300 {
		j := aJar(fmt.Sprint(i), fruit.Day(18000+r.IntN(3000)))
		j.UseFirst, j.Process = r.IntN(4) == 0, shelf.Processes()[r.IntN(4)]
		if r.IntN(2) == 0 {
			j.Looked = j.Canned + fruit.Day(r.IntN(900))
		}
		want[j.What] = shelf.Look{Canned: j.Canned, Looked: j.Looked, UseFirst: j.UseFirst, Process: j.Process}.Due()
		jars = append(jars, j)
	}
	if _, err := s.AddJars(ctx, jars, noon); err != nil {
		t.Fatal(err)
	}
	for _, day := range []fruit.Day{18000, 18365, 19000, 20000, 20679, 22000} {
		due, err := s.JarsDue(ctx, day)
		if err != nil {
			t.Fatal(err)
		}
		n, err := s.CountDue(ctx, day)
		if err != nil || n != len(due) {
			t.Error(n, len(due), err)
		}
		for what, d := range want {
			if listed := slices.ContainsFunc(due, func(j Jar) bool { return j.What == what }); listed != (d <= day) {
				t.Errorf("jar %s is due on %d; on %d listed: %v", what, d, day, listed)
			}
		}
	}
}

// TestNextIsAsInCore holds the jar that the file offers first to the order of the core.
func TestNextIsAsInCore(t *testing.T) {
	ctx := context.Background()
	r := rand.New(rand.NewPCG(6, 1))
	for range 5 {
		s, _ := openTest(t)
		var jars []Jar
		for i := range 20 {
			j := aJar("plums", fruit.Day(20000+r.IntN(12)))
			j.Number, j.UseFirst = i, r.IntN(8) == 0
			jars = append(jars, j)
		}
		ids, err := s.AddJars(ctx, jars, noon)
		if err != nil {
			t.Fatal(err)
		}
		var offers []shelf.Offer
		for i, j := range jars {
			offers = append(offers, shelf.Offer{ID: ids[i], UseFirst: j.UseFirst, Canned: j.Canned, Number: j.Number})
		}
		groups, err := s.JarGroups(ctx, 20679)
		if want := slices.MinFunc(offers, shelf.Offer.Before).ID; err != nil || len(groups) != 1 || groups[0].Next != want {
			t.Errorf("%s is offered, want %s, %v", groups[0].Next, want, err)
		}
	}
}

func TestRecallAndBack(t *testing.T) {
	ctx := context.Background()
	s, _ := openTest(t)
	l := Lot{Name: "crate", Kind: "peach", Typed: "20 lb", Bought: fruit.Bought{Mass: 9_071_847}, PriceCents: -1, Got: 20330}
	lot, err := s.KeepLot(ctx, l)
	if err != nil {
		t.Fatal(err)
	}
	ids, err := s.AddJars(ctx, []Jar{aJar("a", 20340), aJar("b", 20340), aJar("c", 20340)}, noon)
	if err != nil {
		t.Fatal(err)
	}
	say := func(id string, l shelf.Line) {
		t.Helper()
		if _, err := s.TellJar(ctx, id, noon, func(j Jar) (shelf.Line, error) { return l, j.May(l) }); err != nil {
			t.Fatal(err)
		}
	}
	say(ids[1], shelf.Line{Act: shelf.Gave, Day: 20400, Who: "Hanne"})
	say(ids[2], shelf.Line{Act: shelf.Finished, Day: 20400})
	id, err := s.AddRecall(ctx, Recall{Of: "lot", Ref: lot, Name: "crate", Why: "It was mouldy inside."}, ids, 20679, noon)
	if err != nil {
		t.Fatal(err)
	}
	jars, err := s.JarsOfRecall(ctx, id)
	if err != nil || len(jars) != 3 || !slices.ContainsFunc(jars, func(j Jar) bool { return j.ID == ids[0] && j.State == shelf.Pulled }) {
		t.Fatal(jars, err)
	}
	if lots, _ := s.Lots(ctx, 20679); len(lots) != 0 {
		t.Error("the bad lot is still offered")
	}
	say(ids[1], shelf.Line{Act: shelf.Warned, Day: 20679})
	if j, _, _ := s.Jar(ctx, ids[0]); j.May(shelf.Line{Act: shelf.Took, Day: 20679}) == nil || j.May(shelf.Line{Act: shelf.Gave, Day: 20679, Who: "Hanne"}) == nil {
		t.Error("a jar that was called back can be eaten")
	}
	if err := s.UndoRecall(ctx, id, 20679, noon); err != nil {
		t.Fatal(err)
	}
	for i, want := range []shelf.State{shelf.Standing, shelf.Given, shelf.Eaten} {
		if j, _, _ := s.Jar(ctx, ids[i]); j.State != want || j.Recall != "" {
			t.Errorf("%+v", j.Life)
		}
	}
	if lots, _ := s.Lots(ctx, 20679); len(lots) != 1 {
		t.Error("the lot did not come back")
	}
	if err := s.UndoRecall(ctx, id, 20679, noon); !errors.Is(err, ErrNotFound) {
		t.Error("taken back twice:", err)
	}
}

// BenchmarkThirtyYears opens the shelf, finds and takes a jar among 12,000, beside
// counting them.
func BenchmarkThirtyYears(b *testing.B) {
	ctx := context.Background()
	for name, here := range map[string]bool{"all here": true, "600 here": false} {
		s, _ := openTest(b)
		manyJars(b, s, here)
		for what, do := range map[string]func() error{
			"groups": func() error { _, err := s.JarGroups(ctx, 20679); return err },
			"due":    func() error { _, err := s.CountDue(ctx, 20679); return err },
			"find":   func() error { _, _, err := s.FindJars(ctx, Find{Words: "peaches 11999", Limit: 100}); return err },
			"page":   func() error { _, _, err := s.FindJars(ctx, Find{State: "here", Skip: 300, Limit: 100}); return err },
			"far":    func() error { _, _, err := s.FindJars(ctx, Find{Skip: 11800, Limit: 100}); return err },
		} {
			b.Run(name+"/"+what, func(b *testing.B) {
				for b.Loop() {
					if err := do(); err != nil {
						b.Fatal(err)
					}
				}
			})
		}
	}
}
