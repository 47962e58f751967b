package run

import (
	"math/rand/v2"
	"reflect"
	"testing"
)

// anyEvent makes up an event, sensible or not.
func anyEvent(r *rand.Rand, seq int) Event {
	e := Event{Kind: kinds[r.IntN(len(kinds))], Jar: r.IntN(9), Minutes: 30 + 5*r.IntN(4)}
	if r.IntN(3) > 0 { // mostly what belongs to a load
		e.Kind = []Kind{Checked, JarsIn, LidOn, Boil, BoilLost, BoilBack, HeatOff, LidOff, Out}[r.IntN(9)]
	}
	switch r.IntN(6) {
	case 0:
		e.AgoMs = r.Int64N(20 * minute)
	case 1:
		e.What = Early
	}
	if e.Kind == Corrected && seq > 1 {
		e.Target, e.Void = 1+r.IntN(seq-1), r.IntN(2) == 0
		e.ShiftMs = r.Int64N(20*minute) - 10*minute
	}
	if e.Kind == Confirmed {
		e.SinceMs = r.Int64N(2 * hour)
	}
	return e
}

// story runs a load through what may be accepted of made-up events, with clocks that
// jump and machines that are started again.
func story(t testing.TB, seed uint64, l Load, steps int) *kitchen {
	r := rand.New(rand.NewPCG(seed, 7))
	k := start(t, l)
	for range steps {
		k.wait(r.Int64N(12 * minute))
		switch r.IntN(25) {
		case 0:
			k.now.WallMs += r.Int64N(4*hour) - 2*hour
		case 1:
			k.reboot(r.Int64N(hour), r.Int64N(2*hour)-hour)
		}
		_ = k.try(anyEvent(r, len(k.events)+1))
	}
	return k
}

// TestFoldKnowsNoOrder shuffles events, and gives some twice: the state is the same.
func TestFoldKnowsNoOrder(t *testing.T) {
	for seed := range uint64(1500) {
		k := story(t, seed, peaches, 40)
		want := k.state()
		r := rand.New(rand.NewPCG(seed, 8))
		for range 3 {
			mixed := append(append([]Event{}, k.events...), k.events[:r.IntN(len(k.events)+1)]...)
			r.Shuffle(len(mixed), func(i, j int) { mixed[i], mixed[j] = mixed[j], mixed[i] })
			before := append([]Event{}, mixed...)
			if got := peaches.Fold(mixed, k.now, k.seen); !reflect.DeepEqual(got, want) {
				t.Fatalf("seed %d: %+v, in order %+v", seed, got, want)
			}
			if !reflect.DeepEqual(mixed, before) {
				t.Fatal("fold changed what it was given")
			}
		}
	}
}

// TestNoProcessIsShortened runs stories and holds each load that ends well against
// what truly happened: the real time from the last boil to the heat's end, as a clock
// that nobody can set would have it, was the full time at least. The cook of these
// stories answers a held clock by what is true, or claims more than that; then never
// more counts than the clocks can show.
func TestNoProcessIsShortened(t *testing.T) {
	ended, good, restarted := 0, 0, 0
	for seed := range uint64(6000) {
		r := rand.New(rand.NewPCG(seed, 9))
		k := start(t, peaches).tell(Checked, JarsIn, LidOn)
		truth, boils := int64(0), int64(-1) // real time, and since when it boils
		pass := func(ms int64) { truth += ms; k.wait(ms) }
		pass(20 * minute)
		for k.state().Phase != Resting {
			s := k.state()
			switch {
			case s.Phase == Heating || s.Phase == Lost:
				pass(r.Int64N(5 * minute))
				kind := Boil
				if s.Phase == Lost {
					kind = BoilBack
				}
				k.tell(kind)
				boils = truth
			case s.Phase == Held:
				restarted++
				claim := truth - boils
				switch r.IntN(3) {
				case 0:
					claim = r.Int64N(claim + 1)
				case 1: // nobody knows
					k.tell(Unsure)
					continue
				}
				if err := k.try(Event{Kind: Confirmed, SinceMs: claim}); err != nil {
					t.Fatal(err)
				}
			case s.Phase == TimeUp:
				pass(r.Int64N(minute))
				k.tell(HeatOff)
			case r.IntN(12) == 0:
				k.tell([]Kind{BoilLost, TopsBare}[r.IntN(2)])
				pass(r.Int64N(3 * minute))
			case r.IntN(40) == 0:
				if err := k.try(Event{Kind: HeatOff, What: Early}); err != nil {
					t.Fatal(err)
				}
			default:
				pass(r.Int64N(8 * minute))
			}
			switch r.IntN(15) {
			case 0:
				k.now.WallMs += r.Int64N(4*hour) - 2*hour
			case 1:
				off := r.Int64N(10 * minute)
				truth += off
				k.reboot(off, []int64{0, 0, r.Int64N(2*hour) - hour}[r.IntN(3)])
				truth += k.now.BootMs // starting took so long
				k.now.WallMs += k.now.BootMs
			}
		}
		ended++
		if s := k.state(); !s.Short {
			good++
			if real := truth - boils; real < 35*minute {
				t.Fatalf("seed %d: %d s of 2100 passed as full\n%+v", seed, real/1000, k.events)
			}
		}
	}
	if good < ended/3 || restarted < 500 {
		t.Errorf("of %d loads %d ended well, %d restarts: this test would not notice", ended, good, restarted)
	}
}

// TestAnythingHasAState folds lists that Accept would never have let grow.
func TestAnythingHasAState(t *testing.T) {
	for seed := range uint64(3000) {
		r := rand.New(rand.NewPCG(seed, 10))
		l := peaches
		l.Steam, l.Acid, l.Jars = r.IntN(2) == 0, r.IntN(2) == 0, r.IntN(9)
		at := Stamp{noonMs, hour, "one"}
		var events []Event
		for i := range 30 {
			at = at.Back(-r.Int64N(9 * minute))
			e := anyEvent(r, i+1)
			e.Seq, e.Told = i+1, at
			events = append(events, e)
		}
		s := l.Fold(events, at, Stamp{})
		if s.LeftMs < 0 || s.CountedMs < 0 || s.Phase == "" || s.Seq != 30 || len(s.Jars) != l.Jars {
			t.Fatalf("seed %d: %+v", seed, s)
		}
		if n := l.Next(s); n.Do == "" {
			t.Fatalf("seed %d: nothing to do in %s", seed, s.Phase)
		}
		for _, kind := range s.Taps() {
			if kindWords[kind] == "" {
				t.Errorf("no words for %s", kind)
			}
		}
	}
}

// TestBoilNeverBeforeItsFloor holds what an event list claims of an early boil to the
// limits, however it got in.
func TestBoilNeverBeforeItsFloor(t *testing.T) {
	k := start(t, peaches).tell(Checked, JarsIn, LidOn).wait(20 * minute)
	e := Event{Seq: 4, Kind: Boil, Told: k.now, AgoMs: hour}
	if s := peaches.Fold(append(k.events, e), k.now, Stamp{}); s.Phase != Boiling || s.LeftMs < 30*minute {
		t.Errorf("%d s left after a boil put back by an hour", s.LeftMs/1000)
	}
	e.AgoMs = 0
	shift := Event{Seq: 5, Kind: Corrected, Target: 4, ShiftMs: -hour, Told: k.now}
	if s := peaches.Fold(append(k.events, e, shift), k.now, Stamp{}); s.Phase != Boiling || s.LeftMs < 30*minute {
		t.Errorf("%d s left after a boil moved by an hour", s.LeftMs/1000)
	}
}

func manyEvents(n int) []Event {
	r := rand.New(rand.NewPCG(1, 11))
	at := Stamp{noonMs, hour, "one"}
	events := make([]Event, n)
	for i := range events {
		at = at.Back(-r.Int64N(minute))
		e := anyEvent(r, i+1)
		e.Seq, e.Told = i+1, at
		if e.AgoMs > 0 && r.IntN(10) > 0 {
			e.AgoMs = 0
		}
		events[i] = e
	}
	return events
}

// BenchmarkFold folds 100,000 events, beside a bare walk over them.
func BenchmarkFold(b *testing.B) {
	events := manyEvents(100_000)
	now := events[len(events)-1].Told
	b.Run("fold", func(b *testing.B) {
		for b.Loop() {
			peaches.Fold(events, now, Stamp{})
		}
	})
	b.Run("walk", func(b *testing.B) {
		sum := int64(0)
		for b.Loop() {
			for _, e := range events {
				sum += e.At().BootMs
			}
		}
		if sum == 0 {
			b.Fatal("nothing was walked")
		}
	})
}
