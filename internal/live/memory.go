package live

import (
	"context"
	"sync"

	"mellisca/core/run"
	"mellisca/internal/store"
)

// Memory is a Log that forgets when the program ends: practice never mixes with
// records.
type Memory struct {
	mu   sync.Mutex
	last int64
}

// Everything gives nothing: practice starts with an empty hob.
func (m *Memory) Everything(context.Context) ([]store.KeptLoad, []run.SideEvent, []store.StoveLine, error) {
	return nil, nil, nil, nil
}

// OpenLoad does nothing; the Stove holds the load.
func (m *Memory) OpenLoad(context.Context, store.KeptLoad, run.Stamp) error { return nil }

// Append numbers what is told.
func (m *Memory) Append(context.Context, string, run.Event) (int64, error) {
	m.mu.Lock()
	defer m.mu.Unlock()
	m.last++
	return m.last, nil
}

// AppendSide numbers what is told.
func (m *Memory) AppendSide(ctx context.Context, _ run.SideEvent) (int64, error) {
	return m.Append(ctx, "", run.Event{})
}

// Alive does nothing.
func (m *Memory) Alive(context.Context, run.Stamp) error { return nil }

// LastAlive is never.
func (m *Memory) LastAlive(context.Context, string) (run.Stamp, error) { return run.Stamp{}, nil }
