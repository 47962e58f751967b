package server

import (
	"context"
	"encoding/json"
	"fmt"
	"net/http"
	"strconv"
	"sync"
	"time"

	"mellisca/internal/live"
	"mellisca/internal/store"
)

// toldBody is one thing told, for pages that are open.
type toldBody struct {
	ID   int64  `json:"id"`
	Load string `json:"load"`
	Seq  int    `json:"seq"`
	Kind string `json:"kind"`
}

// sharedMoment is how a hob stands as JSON, worked out once for all pages that are told
// of the same change.
type sharedMoment struct {
	mu    sync.Mutex
	stove *live.Stove
	since <-chan struct{}
	at    time.Time
	raw   []byte
}

// momentHolds is how long a moment may be told to another page.
const momentHolds = 40 * time.Millisecond

func (m *sharedMoment) moment(stove *live.Stove, work func() ([]byte, error)) ([]byte, error) {
	m.mu.Lock()
	defer m.mu.Unlock()
	changed := stove.Changed()
	if m.stove == stove && m.since == changed && time.Since(m.at) < momentHolds {
		return m.raw, nil
	}
	raw, err := work()
	if err == nil {
		m.stove, m.since, m.at, m.raw = stove, changed, time.Now(), raw
	}
	return raw, err
}

// stream writes Server-Sent Events until the page goes away or the server ends.
func (s *server) stream(w http.ResponseWriter, r *http.Request, h hob, stove *live.Stove) {
	out := http.NewResponseController(w)
	if err := out.SetWriteDeadline(time.Time{}); err != nil {
		writeProblem(w, http.StatusInternalServerError, "This connection cannot be kept open.")
		return
	}
	after, err := strconv.ParseInt(r.Header.Get("Last-Event-ID"), 10, 64)
	fresh := err != nil // a page that opens reads the whole hob first
	if fresh {
		after = stove.Now().Last
	}
	missed, lines, whole, end := stove.Subscribe(after)
	defer end()
	w.Header().Set("Content-Type", "text/event-stream")
	w.Header().Set("Cache-Control", "no-store")
	w.Header().Set("X-Accel-Buffering", "no")
	send := func(id int64, event string, body any) bool {
		raw, err := json.Marshal(body)
		if err != nil {
			return false
		}
		if id > 0 {
			fmt.Fprintf(w, "id: %d\n", id)
		}
		_, err = fmt.Fprintf(w, "event: %s\ndata: %s\n\n", event, raw)
		return err == nil
	}
	told := func(l store.StoveLine) bool {
		b := toldBody{ID: l.ID, Load: l.Load, Seq: l.Event.Seq, Kind: string(l.Event.Kind)}
		if l.Load == "" {
			b.Kind = string(l.Side.Act)
		}
		return send(l.ID, "told", b)
	}
	now := func() bool {
		raw, err := s.shared.moment(stove, func() ([]byte, error) {
			b, err := s.momentOf(context.WithoutCancel(r.Context()), h)
			if err != nil {
				return nil, err
			}
			return json.Marshal(b)
		})
		if err != nil {
			return false
		}
		_, err = fmt.Fprintf(w, "event: now\ndata: %s\n\n", raw)
		return err == nil && out.Flush() == nil
	}
	if !whole && !send(0, "gap", struct{}{}) {
		return
	}
	for _, l := range missed {
		if !told(l) {
			return
		}
	}
	if !now() {
		return
	}
	every := s.beat
	if h.practice() != nil {
		every = min(every, quickBeat) // its clock runs fast
	}
	tick := time.NewTicker(every)
	defer tick.Stop()
	for {
		changed := stove.Changed()
		if h.stove() != stove {
			return // practice began anew
		}
		select {
		case <-r.Context().Done():
			return
		case <-s.ending:
			return
		case l, open := <-lines:
			if !open || !told(l) {
				return
			}
			for more := true; more; { // what was told together is sent together
				select {
				case l, open := <-lines:
					if !open || !told(l) {
						return
					}
				default:
					more = false
				}
			}
			if out.Flush() != nil {
				return
			}
		case <-changed:
			continue // its line follows, or the tick does
		case <-tick.C:
		}
		if !now() {
			return
		}
	}
}
