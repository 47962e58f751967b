// Package live runs the stove: it takes what is told of each load, in order and once,
// keeps it through a Log before it answers, and tells every page that is open.
//
//	stove, err := live.New(ctx, log, clock)
//	go stove.Run(ctx, time.Second)
//	now, err := stove.Tell(ctx, load, run.Event{Kind: run.Boil}, seen)
//	lines, end := stove.Subscribe(lastSeen)
//
// Nothing is decided here: core/run folds and accepts. The clocks live in the events,
// so a crash of the server or a second page changes none of them.
package live

import (
	"context"
	"errors"
	"fmt"
	"maps"
	"slices"
	"sync"
	"time"

	"mellisca/core/run"
	"mellisca/internal/device"
	"mellisca/internal/store"
)

// ErrNoLoad says that there is no such load on the hob.
var ErrNoLoad = errors.New("there is no such load on the hob")

// ErrNoClock says that there is no such clock.
var ErrNoClock = errors.New("there is no such clock")

// Log keeps what is told. What Append has acknowledged is never lost.
type Log interface {
	// Everything gives the loads that are on the hob, what was done with side clocks,
	// and the newest lines of all.
	Everything(ctx context.Context) (loads []store.KeptLoad, sides []run.SideEvent, newest []store.StoveLine, err error)
	OpenLoad(ctx context.Context, k store.KeptLoad, now run.Stamp) error
	Append(ctx context.Context, load string, e run.Event) (id int64, err error)
	AppendSide(ctx context.Context, e run.SideEvent) (id int64, err error)
	// Alive notes that the machine runs; LastAlive is the last such note of an earlier
	// start of the machine, zero where there is none.
	Alive(ctx context.Context, now run.Stamp) error
	LastAlive(ctx context.Context, boot string) (run.Stamp, error)
}

// linesHeld is how many of the newest lines are held for pages that come back.
const linesHeld = 500

// waiting is how many lines a page may be behind before it is cut off to come back.
const waiting = 128

// readingsHeld is how many readings of a thermometer are held for each load.
const readingsHeld = 2400

// Stove is the hob with its loads and clocks. It may be used concurrently.
type Stove struct {
	log   Log
	clock device.Clock

	mu       sync.Mutex
	loads    []store.KeptLoad
	sides    []run.SideEvent
	lines    []store.StoveLine
	readings map[string][]run.Reading
	pages    map[chan store.StoveLine]struct{}
	changed  chan struct{} // closed and made anew at each change
	seen     run.Stamp
}

// New takes up what a Log holds.
func New(ctx context.Context, log Log, clock device.Clock) (*Stove, error) {
	s := &Stove{log: log, clock: clock, readings: map[string][]run.Reading{}, pages: map[chan store.StoveLine]struct{}{}, changed: make(chan struct{})}
	var err error
	if s.loads, s.sides, s.lines, err = log.Everything(ctx); err != nil {
		return nil, err
	}
	if s.seen, err = log.LastAlive(ctx, clock.Now().Boot); err != nil {
		return nil, err
	}
	return s, nil
}

// Run notes now and then that the machine runs, while something is on the hob, until
// ctx ends.
func (s *Stove) Run(ctx context.Context, every time.Duration) {
	tick := time.NewTicker(every)
	defer tick.Stop()
	for {
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
		s.mu.Lock()
		busy := len(s.loads) > 0 || len(run.FoldSides(s.sides)) > 0
		s.mu.Unlock()
		if busy {
			_ = s.log.Alive(ctx, s.clock.Now()) // the next note makes good for one that failed
		}
	}
}

// Open puts a load on the hob.
func (s *Stove) Open(ctx context.Context, k store.KeptLoad) error {
	s.mu.Lock()
	defer s.mu.Unlock()
	if err := s.log.OpenLoad(ctx, k, s.clock.Now()); err != nil {
		return err
	}
	s.loads = append(s.loads, k)
	s.tellPages(nil)
	return nil
}

// Tell takes what is told of a load. after is the last event that whoever tells it had
// seen: the same thing told since then by somebody else is taken once. It errs with
// ErrNoLoad, or with a *run.Refusal.
func (s *Stove) Tell(ctx context.Context, load string, e run.Event, after int) error {
	s.mu.Lock()
	defer s.mu.Unlock()
	return s.tell(ctx, load, e, after)
}

// tell is Tell with the lock held.
func (s *Stove) tell(ctx context.Context, load string, e run.Event, after int) error {
	i := s.find(load)
	if i < 0 {
		return ErrNoLoad
	}
	k := &s.loads[i]
	if _, told := run.Already(k.Events, e, after); told {
		return nil
	}
	now := s.clock.Now()
	e, err := k.Load.Accept(k.Events, e, now, s.seen, s.witness(*k, now))
	if err != nil {
		return err
	}
	id, err := s.log.Append(ctx, load, e)
	if err != nil {
		return fmt.Errorf("keeping what was told: %w", err)
	}
	k.Events = append(slices.Clip(k.Events), e)
	s.tellPages(&store.StoveLine{ID: id, Load: load, Event: e})
	if e.Kind == run.PutAway {
		s.loads = slices.Delete(slices.Clone(s.loads), i, i+1)
		delete(s.readings, load)
	}
	return nil
}

// restarted notes that the machine was started again while the program lived, which
// only a practice clock does.
func (s *Stove) restarted(seen run.Stamp) {
	s.mu.Lock()
	s.seen = seen
	s.tellPages(nil)
	s.mu.Unlock()
}

// witness is what the thermometer of a load has seen.
func (s *Stove) witness(k store.KeptLoad, now run.Stamp) run.Witness {
	return run.Witness{Cooler: k.Load.Watch(s.readings[k.ID], run.State{Phase: run.Heating}, now).Cooler}
}

// Side starts, hears or stops a clock. It errs with ErrNoClock for one that does not
// run.
func (s *Stove) Side(ctx context.Context, e run.SideEvent) error {
	s.mu.Lock()
	defer s.mu.Unlock()
	e.Told = s.clock.Now()
	runs := slices.ContainsFunc(run.FoldSides(s.sides), func(c run.SideClock) bool { return c.ID == e.ID })
	if e.Act != run.Started && !runs {
		return ErrNoClock
	}
	if e.Act == run.Heard {
		for _, c := range run.FoldSides(s.sides) {
			if c.ID == e.ID && !c.At(e.Told, s.seen).Ringing {
				return nil // somebody heard it already
			}
		}
	}
	id, err := s.log.AppendSide(ctx, e)
	if err != nil {
		return fmt.Errorf("keeping what was told: %w", err)
	}
	s.sides = append(slices.Clip(s.sides), e)
	s.tellPages(&store.StoveLine{ID: id, Side: e})
	return nil
}

// Read takes a reading of the thermometer in a load's pot. It only ever proposes, but
// for one thing that can only lengthen a time: a plateau that is too cool for the set
// altitude puts that in doubt at once.
func (s *Stove) Read(ctx context.Context, load string, celsius float64) error {
	s.mu.Lock()
	defer s.mu.Unlock()
	i := s.find(load)
	if i < 0 {
		return ErrNoLoad
	}
	now := s.clock.Now()
	all := append(s.readings[load], run.Reading{At: now, Celsius: celsius})
	s.readings[load] = all[max(0, len(all)-readingsHeld):]
	k := s.loads[i]
	state := k.Load.Fold(k.Events, now, s.seen)
	if k.Load.Watch(s.readings[load], state, now).Kind != run.Plateau {
		return nil
	}
	return s.tell(ctx, load, run.Event{Kind: run.Plateau, By: "the thermometer"}, state.Seq)
}

func (s *Stove) find(load string) int {
	return slices.IndexFunc(s.loads, func(k store.KeptLoad) bool { return k.ID == load })
}

// LoadNow is a load at a moment.
type LoadNow struct {
	store.KeptLoad
	State    run.State
	Readings []run.Reading
	Proposal run.Proposal
}

// SideNow is a side clock at a moment.
type SideNow struct {
	run.SideClock
	run.Ticking
}

// Moment is the stove at a moment.
type Moment struct {
	At    run.Stamp
	Seen  run.Stamp
	Last  int64 // the last line told
	Loads []LoadNow
	Sides []SideNow
}

// Now is the stove at this moment. What it holds is not changed afterwards.
func (s *Stove) Now() Moment {
	s.mu.Lock()
	now := s.clock.Now()
	loads, sides, seen := slices.Clone(s.loads), s.sides, s.seen
	m := Moment{At: now, Seen: seen}
	if n := len(s.lines); n > 0 {
		m.Last = s.lines[n-1].ID
	}
	read := make([][]run.Reading, len(loads))
	for i, k := range loads {
		read[i] = slices.Clone(s.readings[k.ID])
	}
	s.mu.Unlock()
	for i, k := range loads {
		l := LoadNow{KeptLoad: k, State: k.Load.Fold(k.Events, now, seen), Readings: read[i], Proposal: run.Proposal{ToBoilMs: -1}}
		if len(read[i]) > 0 {
			l.Proposal = k.Load.Watch(read[i], l.State, now)
		}
		m.Loads = append(m.Loads, l)
	}
	for _, c := range run.FoldSides(sides) {
		m.Sides = append(m.Sides, SideNow{c, c.At(now, seen)})
	}
	return m
}

// tellPages tells every open page of a line, or with nil that something else changed.
// A page that does not keep up is cut off, and comes back where it was. It is called
// with the lock held.
func (s *Stove) tellPages(l *store.StoveLine) {
	close(s.changed)
	s.changed = make(chan struct{})
	if l == nil {
		return
	}
	s.lines = append(s.lines, *l)
	if len(s.lines) > 2*linesHeld {
		s.lines = slices.Clone(s.lines[len(s.lines)-linesHeld:])
	}
	for page := range s.pages {
		select {
		case page <- *l:
		default:
			delete(s.pages, page)
			close(page)
		}
	}
}

// Changed is closed at the next change.
func (s *Stove) Changed() <-chan struct{} {
	s.mu.Lock()
	defer s.mu.Unlock()
	return s.changed
}

// Subscribe gives what was told after a line, and then everything that is told, each
// once and in order, until end is called or the channel is closed because nobody read
// it. whole is false where lines in between are no longer held.
func (s *Stove) Subscribe(after int64) (missed []store.StoveLine, lines <-chan store.StoveLine, whole bool, end func()) {
	s.mu.Lock()
	defer s.mu.Unlock()
	i, found := slices.BinarySearchFunc(s.lines, after+1, func(l store.StoveLine, id int64) int { return int(l.ID - id) })
	missed = slices.Clone(s.lines[i:])
	whole = found || i > 0 || len(s.lines) == 0 || after == s.lines[len(s.lines)-1].ID
	page := make(chan store.StoveLine, waiting)
	s.pages[page] = struct{}{}
	return missed, page, whole, func() {
		s.mu.Lock()
		delete(s.pages, page)
		s.mu.Unlock()
	}
}

// Reload takes up what the Log holds anew, as after other records were put in its place.
// Open pages come back and read everything.
func (s *Stove) Reload(ctx context.Context) error {
	s.mu.Lock()
	defer s.mu.Unlock()
	loads, sides, lines, err := s.log.Everything(ctx)
	if err != nil {
		return err
	}
	s.loads, s.sides, s.lines = loads, sides, lines
	maps.DeleteFunc(s.readings, func(load string, _ []run.Reading) bool { return s.find(load) < 0 }) // those of a load that runs on still bear witness
	if s.seen, err = s.log.LastAlive(ctx, s.clock.Now().Boot); err != nil {
		return err
	}
	for page := range s.pages {
		delete(s.pages, page)
		close(page)
	}
	s.tellPages(nil)
	return nil
}
