package device

import (
	"crypto/rand"
	"os"
	"strings"
	"sync"
	"time"

	"golang.org/x/sys/unix"

	"mellisca/core/run"
)

// Clock tells the time by the clock that people set and the one that nobody does.
type Clock interface {
	Now() run.Stamp
}

// Machine is the machine's own two clocks.
type Machine struct {
	boot string
}

// NewMachine finds out which start of the machine this is. Where the machine does not
// say, every start of the program counts as one, so that a live load is asked about.
func NewMachine() Machine {
	if raw, err := os.ReadFile("/proc/sys/kernel/random/boot_id"); err == nil {
		if id := strings.TrimSpace(string(raw)); id != "" {
			return Machine{id}
		}
	}
	return Machine{"program " + rand.Text()}
}

// Now reads both clocks. The boot clock goes on while the machine sleeps.
func (m Machine) Now() run.Stamp {
	s := run.Stamp{WallMs: time.Now().UnixMilli(), Boot: m.boot}
	var ts unix.Timespec
	if err := unix.ClockGettime(unix.CLOCK_BOOTTIME, &ts); err == nil {
		s.BootMs = ts.Nano() / int64(time.Millisecond)
	} else {
		s.Boot = "" // nothing is sure then
	}
	return s
}

// Quick is a clock that runs faster than another from when it was made, and that can
// be set and started again, for practice and for trying things out. It may be used
// concurrently.
type Quick struct {
	of    Clock
	times float64

	mu    sync.Mutex
	began run.Stamp
	wall  int64 // that it was set by
	ahead int64 // that it was put forward by
	boot  string
	up    int64 // the boot clock at its last start
}

// NewQuick makes a clock so many times as fast.
func NewQuick(of Clock, times float64) *Quick {
	return &Quick{of: of, times: times, began: of.Now(), boot: "first", up: -int64(time.Hour / time.Millisecond)}
}

// Times is how many times as fast it runs.
func (q *Quick) Times() float64 { return q.times }

func (q *Quick) passed() int64 {
	ms, _ := q.of.Now().Since(q.began)
	return q.ahead + int64(float64(ms)*q.times)
}

// Now reads the clock.
func (q *Quick) Now() run.Stamp {
	q.mu.Lock()
	defer q.mu.Unlock()
	p := q.passed()
	return run.Stamp{WallMs: q.began.WallMs + p + q.wall, BootMs: p - q.up, Boot: q.boot}
}

// Forward lets time pass at once.
func (q *Quick) Forward(d time.Duration) {
	q.mu.Lock()
	q.ahead += d.Milliseconds()
	q.mu.Unlock()
}

// Set sets the wall clock on, or back.
func (q *Quick) Set(by time.Duration) {
	q.mu.Lock()
	q.wall += by.Milliseconds()
	q.mu.Unlock()
}

// Restart is the machine starting again after it was off for a while.
func (q *Quick) Restart(off time.Duration) {
	q.mu.Lock()
	q.ahead += off.Milliseconds()
	q.up = q.passed()
	q.boot += "'"
	q.mu.Unlock()
}

// Behind is a clock that is behind another by as much as is left of it, on the same start
// of the machine, for laying out what happened before now. It may be used concurrently.
type Behind struct {
	of Clock

	mu sync.Mutex
	by int64
}

// NewBehind makes a clock that is behind another.
func NewBehind(of Clock, by time.Duration) *Behind {
	return &Behind{of: of, by: by.Milliseconds()}
}

// Now reads the clock.
func (b *Behind) Now() run.Stamp {
	b.mu.Lock()
	defer b.mu.Unlock()
	return b.of.Now().Back(b.by)
}

// Forward lets time pass at once, up to now.
func (b *Behind) Forward(d time.Duration) {
	b.mu.Lock()
	b.by = max(0, b.by-d.Milliseconds())
	b.mu.Unlock()
}
