package e2e

import (
	"context"
	"encoding/json"
	"io"
	"log/slog"
	"net/http/httptest"
	"path/filepath"
	"time"

	scenario "mellisca/internal/demo"
	"mellisca/internal/device"
	"mellisca/internal/live"
	"mellisca/internal/server"
	"mellisca/internal/store"
	"mellisca/web"
)

// Quick is a kitchen whose stove goes by a clock that is moved by hand, for what takes
// a night.
type Quick struct {
	Address string
	Clock   *device.Quick
	server  *httptest.Server
	store   *store.Store
}

// StartQuick starts one on an empty file in a folder.
func StartQuick(ctx context.Context, dir string) (*Quick, error) {
	st, err := store.Open(ctx, filepath.Join(dir, "mellisca.db"))
	if err != nil {
		return nil, err
	}
	clock := device.NewQuick(device.NewMachine(), 0)
	stove, err := live.New(ctx, store.Stove{Store: st}, clock)
	if err != nil {
		return nil, err
	}
	h := server.New(server.Options{Store: st, Assets: web.Dist(), Now: func() time.Time { return time.UnixMilli(clock.Now().WallMs) }, Log: slog.New(slog.NewTextHandler(io.Discard, nil)), Stove: stove, Clock: clock})
	q := &Quick{Clock: clock, server: httptest.NewServer(h), store: st}
	q.Address = q.server.URL
	return q, q.ask("PUT", "/api/kitchen", `{"name":"Ilse and Marlow's kitchen, Corvane","altitude":"3,480 ft","units":"us","version":1}`, nil)
}

// Stop ends it.
func (q *Quick) Stop() {
	q.server.CloseClientConnections()
	q.server.Close()
	q.store.Close()
}

func (q *Quick) ask(method, path, body string, out any) error {
	return scenario.Ask(context.Background(), q.Address, method, path, json.RawMessage(body), out)
}

// Lift runs a load of seven quarts of peaches, lifts it without its rest, and clears it
// from the hob.
func (q *Quick) Lift() error {
	var saved struct{ ID string }
	err := q.ask("POST", "/api/batches", `{"request":{"product":"peaches","kind":"freestone","form":"halves","pack":"hot","jar":"quart","amount":"7 jars","liquid":{"kind":"syrup","strength":"light"}}}`, &saved)
	if err != nil {
		return err
	}
	var hob struct {
		Loads []struct {
			ID  string
			Seq int
		}
	}
	if err := q.ask("POST", "/api/stove/loads", `{"batch":"`+saved.ID+`"}`, &hob); err != nil {
		return err
	}
	load := hob.Loads[0].ID
	for _, kind := range []string{"checked", "jars-in", "lid-on", "boil", "", "heat-off", "lid-off", "out", "put-away"} {
		if kind == "" {
			q.Clock.Forward(35 * time.Minute)
			continue
		}
		if err := q.ask("POST", "/api/stove/loads/"+load+"/tell", `{"after":99,"kind":"`+kind+`"}`, nil); err != nil {
			return err
		}
	}
	return nil
}
