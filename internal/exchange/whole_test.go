package exchange

import (
	"bytes"
	"context"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"mellisca/core/jar"
	"mellisca/core/shelf"
	"mellisca/internal/store"
)

func openStore(t testing.TB) *store.Store {
	t.Helper()
	s, err := store.Open(context.Background(), filepath.Join(t.TempDir(), "m.db"))
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { s.Close() })
	return s
}

// FuzzWhole hands the reader of everything any file, and what it understands to the file of
// a kitchen, which either takes it or says in words why not; nothing stays of it.
func FuzzWhole(f *testing.F) {
	ctx := context.Background()
	s := openStore(f)
	seed := openStore(f)
	j := store.Jar{Origin: "before", What: "plums", Product: "plums", Jar: jar.ID("quart"), Canned: 20000, Process: shelf.TestedAsTold, Life: shelf.Life{State: shelf.Standing, Since: 20001}}
	if _, err := seed.AddJars(ctx, []store.Jar{j, j}, time.UnixMilli(1_770_000_000_000)); err != nil {
		f.Fatal(err)
	}
	if err := seed.KeepShelfPlace(ctx, store.ShelfPlace{Name: "cellar", Kind: "shelf"}); err != nil {
		f.Fatal(err)
	}
	var empty, full bytes.Buffer
	if err := WriteWhole(ctx, &empty, s); err != nil {
		f.Fatal(err)
	}
	if err := WriteWhole(ctx, &full, seed); err != nil {
		f.Fatal(err)
	}
	f.Add(full.Bytes())
	f.Add([]byte(strings.Replace(full.String(), `"shelf"`, `"moon"`, 1)))
	f.Add([]byte(`{"format":"mellisca-kitchen","version":1,"tables":{"jar":[{}],"lot":null}}`))
	f.Add([]byte(`{"format":"mellisca-kitchen","version":1,"tables":{"canner_load":[{"id":"abcdefgh","batch":"","plan":{"Jars":7,"Minutes":35},"about":{},"opened_wall_ms":1,"opened_boot_ms":1,"opened_boot":"","put_away":0,"tray_done":0}]}}`))
	f.Cleanup(func() {
		var after bytes.Buffer
		if err := WriteWhole(ctx, &after, s); err != nil || !bytes.Equal(after.Bytes(), empty.Bytes()) {
			f.Errorf("looking at files changed the kitchen: %v", err)
		}
	})
	f.Fuzz(func(t *testing.T, raw []byte) {
		w, err := ReadWhole(ctx, raw, s)
		if err != nil {
			if !strings.Contains(err.Error(), "line ") {
				t.Fatalf("no line is named: %v", err)
			}
			return
		}
		if _, err := s.TakeIn(ctx, w.Tables, true); err != nil {
			if said := w.Where(err); said == err || !strings.Contains(said.Error(), "line ") {
				t.Fatalf("it is refused without a line: %v", err)
			}
		}
	})
}
