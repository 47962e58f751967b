package server

import (
	"context"
	"database/sql"
	"fmt"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"testing/fstest"
	"time"

	"mellisca/internal/store"
)

// seasonsServer serves a file of 20,000 lots and batches.
func seasonsServer(b *testing.B) http.Handler {
	b.Helper()
	path := filepath.Join(b.TempDir(), "m.db")
	st, err := store.Open(context.Background(), path)
	if err != nil {
		b.Fatal(err)
	}
	b.Cleanup(func() { st.Close() })
	seasons, err := os.ReadFile("../store/testdata/seasons.sql")
	if err != nil {
		b.Fatal(err)
	}
	db, err := sql.Open("sqlite", path)
	if err != nil {
		b.Fatal(err)
	}
	defer db.Close()
	db.SetMaxOpenConns(1)
	if _, err := db.Exec(string(seasons)); err != nil {
		b.Fatal(err)
	}
	return New(Options{Store: st, Now: func() time.Time { return noon }, Log: slog.New(slog.NewTextHandler(io.Discard, nil)), Assets: fstest.MapFS{}})
}

// BenchmarkSeasons opens what a cook waits for with twelve lots in the file, and with
// the same twelve at hand among 20,000 lots and batches; the ratio of the two is
// reported.
func BenchmarkSeasons(b *testing.B) {
	few := testServer(b)
	for i := range 12 {
		body := fmt.Sprintf(`{"name":"crate %d","kind":"%s","bought":"20 lb","price":"12"}`, i, []string{"apple", "peach", "pear", "cherry"}[i%4])
		if status, answer := send(b, few, "POST", "/api/lots", body); status != 200 {
			b.Fatal(status, answer)
		}
	}
	many := seasonsServer(b)
	const plan = `{"product":"peaches","pack":"hot","jar":"quart","amount":"20 lb","altitude":"3480 ft"}`
	for _, c := range []struct{ name, method, path, body string }{
		{"fruit", "GET", "/api/fruit", ""}, {"plan", "POST", "/api/plan", plan}, {"closings", "GET", "/api/closings", ""}, {"batches", "GET", "/api/batches", ""},
	} {
		took := map[string]float64{}
		for _, h := range []struct {
			name string
			http.Handler
		}{{"few", few}, {"many", many}} {
			b.Run(c.name+"/"+h.name, func(b *testing.B) {
				for range b.N {
					r := httptest.NewRequest(c.method, "http://localhost"+c.path, strings.NewReader(c.body))
					r.Header.Set("Content-Type", "application/json")
					w := httptest.NewRecorder()
					if h.ServeHTTP(w, r); w.Code != 200 {
						b.Fatal(w.Code, w.Body.String())
					}
				}
				took[h.name] = float64(b.Elapsed().Nanoseconds()) / float64(b.N)
				if took["few"] > 0 && h.name == "many" {
					b.ReportMetric(took["many"]/took["few"], "×few")
				}
			})
		}
	}
}
