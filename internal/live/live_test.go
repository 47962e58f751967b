package live

import (
	"context"
	"errors"
	"slices"
	"testing"
	"time"

	"mellisca/core/run"
	"mellisca/internal/device"
	"mellisca/internal/store"
)

// failing is a Log whose file may stop answering.
type failing struct {
	Memory
	broken bool
	alive  int
}

var errDisk = errors.New("the disk is full")

func (f *failing) Append(ctx context.Context, load string, e run.Event) (int64, error) {
	if f.broken {
		return 0, errDisk
	}
	return f.Memory.Append(ctx, load, e)
}

func (f *failing) Alive(context.Context, run.Stamp) error { f.alive++; return nil }

func newStove(t testing.TB) (*Stove, *failing, *device.Quick) {
	t.Helper()
	log, clock := &failing{}, device.NewQuick(device.NewMachine(), 0)
	s, err := New(context.Background(), log, clock)
	if err != nil {
		t.Fatal(err)
	}
	if err := s.Open(context.Background(), store.KeptLoad{ID: "one", Load: run.Load{Jars: 7, Minutes: 35, RestMinutes: 5, BoilC: 96.6}}); err != nil {
		t.Fatal(err)
	}
	return s, log, clock
}

func tell(t testing.TB, s *Stove, kinds ...run.Kind) {
	t.Helper()
	for _, k := range kinds {
		if err := s.Tell(context.Background(), "one", run.Event{Kind: k}, len(s.Now().Loads[0].Events)); err != nil {
			t.Fatal(k, err)
		}
	}
}

// TestWhatCannotBeKeptDidNotHappen fills the disk: what is told is refused, and nothing
// of it shows.
func TestWhatCannotBeKeptDidNotHappen(t *testing.T) {
	s, log, _ := newStove(t)
	tell(t, s, run.Checked, run.JarsIn, run.LidOn)
	log.broken = true
	if err := s.Tell(context.Background(), "one", run.Event{Kind: run.Boil}, 3); !errors.Is(err, errDisk) {
		t.Error(err)
	}
	if m := s.Now(); m.Loads[0].State.Phase != run.Heating || len(m.Loads[0].Events) != 3 || m.Last != 3 {
		t.Errorf("%s after %d events", m.Loads[0].State.Phase, len(m.Loads[0].Events))
	}
	log.broken = false
	tell(t, s, run.Boil)
	if err := s.Tell(context.Background(), "two", run.Event{Kind: run.Boil}, 0); !errors.Is(err, ErrNoLoad) {
		t.Error(err)
	}
	if err := s.Side(context.Background(), run.SideEvent{ID: "none", Act: run.Heard}); !errors.Is(err, ErrNoClock) {
		t.Error(err)
	}
	if err := s.Read(context.Background(), "two", 20); !errors.Is(err, ErrNoLoad) {
		t.Error(err)
	}
}

// TestPagesAreToldInOrder subscribes before, between and after; one that does not read
// is cut off and none waits for it.
func TestPagesAreToldInOrder(t *testing.T) {
	s, _, _ := newStove(t)
	_, lines, whole, end := s.Subscribe(0)
	if !whole {
		t.Error("a new hob has a gap")
	}
	tell(t, s, run.Checked, run.JarsIn)
	missed, later, whole, endLater := s.Subscribe(1)
	if !whole || len(missed) != 1 || missed[0].Event.Kind != run.JarsIn {
		t.Errorf("%+v", missed)
	}
	tell(t, s, run.LidOn)
	var kinds []run.Kind
	for range 3 {
		kinds = append(kinds, (<-lines).Event.Kind)
	}
	if !slices.Equal(kinds, []run.Kind{run.Checked, run.JarsIn, run.LidOn}) || (<-later).Event.Kind != run.LidOn {
		t.Errorf("%v", kinds)
	}
	endLater()
	end()
	_, deaf, _, endDeaf := s.Subscribe(3)
	defer endDeaf()
	for range 3 * linesHeld {
		tell(t, s, run.Note)
	}
	n := 0
	for range deaf {
		n++
	}
	if n != waiting {
		t.Errorf("a page that does not read was told %d lines", n)
	}
	if missed, _, whole, end := s.Subscribe(4); whole || len(missed) == 0 {
		t.Errorf("lines that are no longer held came back whole: %d", len(missed))
	} else {
		end()
	}
	last := s.Now().Last
	if missed, _, whole, end := s.Subscribe(last); !whole || len(missed) != 0 {
		t.Errorf("%d missed", len(missed))
	} else {
		end()
	}
}

// TestAliveWhileSomethingIsOn notes that the machine runs only while there is a load or
// a clock.
func TestAliveWhileSomethingIsOn(t *testing.T) {
	noted := func(open bool) int {
		log := &failing{}
		s, err := New(context.Background(), log, device.NewQuick(device.NewMachine(), 0))
		if err != nil {
			t.Fatal(err)
		}
		if open {
			if err := s.Open(context.Background(), store.KeptLoad{ID: "one", Load: run.Load{Jars: 1, Minutes: 10}}); err != nil {
				t.Fatal(err)
			}
		}
		ctx, cancel := context.WithTimeout(context.Background(), 200*time.Millisecond)
		defer cancel()
		s.Run(ctx, time.Millisecond)
		return log.alive
	}
	if on, off := noted(true), noted(false); on == 0 || off != 0 {
		t.Errorf("noted %d times with a load, %d without", on, off)
	}
}

// TestClearedLoadsLeave puts a load away: its place is free, and its readings go.
func TestClearedLoadsLeave(t *testing.T) {
	s, _, clock := newStove(t)
	tell(t, s, run.Checked, run.JarsIn, run.LidOn, run.Boil)
	if err := s.Read(context.Background(), "one", 96); err != nil {
		t.Fatal(err)
	}
	changed := s.Changed()
	clock.Forward(35 * time.Minute)
	tell(t, s, run.HeatOff, run.LidOff, run.Out)
	select {
	case <-changed:
	default:
		t.Error("nobody heard of a change")
	}
	if m := s.Now(); len(m.Loads[0].Readings) != 1 || m.Loads[0].State.Short {
		t.Errorf("%+v", m.Loads[0].State)
	}
	tell(t, s, run.PutAway)
	if m := s.Now(); len(m.Loads) != 0 {
		t.Error("it is still on the hob")
	}
}
