package server

import (
	"context"
	"io"
	"log/slog"
	"path/filepath"
	"testing"
	"testing/fstest"
	"time"

	"mellisca/internal/store"
)

func TestTables(t *testing.T) {
	h := testServer(t)
	_, body := get(t, h, "/api/tables")
	for _, c := range body["columns"].([]any) {
		if c.(map[string]any)["own"] == true {
			t.Error("a column is marked before the altitude is known")
		}
	}
	setKitchen(t, h)
	_, body = get(t, h, "/api/tables")
	if !holds(body["columns"], parse(t, `[{"text":"up to 1,000 ft","short":"to 1,000","own":false},{"text":"1,001 to 3,000 ft","short":"to 3,000","own":false},{"text":"3,001 to 6,000 ft","short":"to 6,000","own":true},{"text":"above 6,000 ft","short":"above 6,000","own":false}]`)) {
		t.Errorf("%v", body["columns"])
	}
	if len(body["parts"].([]any)) != 29 || body["checked"] != 0.0 {
		t.Error("parts")
	}
	status, body := send(t, h, "POST", "/api/tables/checks", `{"part":"Guide 2: Peaches"}`)
	if status != 200 || body["checked"] != 1.0 {
		t.Fatalf("%d %v", status, body["checked"])
	}
	_, body = get(t, h, "/api/tables")
	for _, p := range body["parts"].([]any) {
		part := p.(map[string]any)
		if checked := part["checked"] == "2026-08-14T12:00:00Z"; checked != (part["product"] == "peaches") {
			t.Errorf("%v", part)
		}
	}
	if status, _ := send(t, h, "POST", "/api/tables/checks", `{"part":"Guide 9: Cake"}`); status != 422 {
		t.Error(status)
	}
	if status, body := send(t, h, "POST", "/api/tables/checks/undo", `{"part":"Guide 2: Peaches"}`); status != 200 || body["checked"] != 0.0 {
		t.Errorf("%d %v", status, body)
	}
}

// TestCheckOfOtherNumbersDoesNotStand keeps a check of numbers that are not today's.
func TestCheckOfOtherNumbersDoesNotStand(t *testing.T) {
	ctx := context.Background()
	st, err := store.Open(ctx, filepath.Join(t.TempDir(), "m.db"))
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { st.Close() })
	if err := st.CheckTable(ctx, store.TableCheck{Part: "Guide 2: Peaches", Fingerprint: "of other numbers", At: noon}); err != nil {
		t.Fatal(err)
	}
	h := New(Options{Store: st, Now: time.Now, Log: slog.New(slog.NewTextHandler(io.Discard, nil)), Assets: fstest.MapFS{}})
	if _, body := get(t, h, "/api/tables"); body["checked"] != 0.0 {
		t.Error("a check of other numbers stands")
	}
}
