package server

import (
	"context"
	"database/sql"
	"encoding/json"
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

// filledServer serves a file that is filled with a script of the store's tests, a statement
// at a time; ?1 in it stands for n.
func filledServer(b *testing.B, script string, n int) http.Handler {
	b.Helper()
	path := filepath.Join(b.TempDir(), "m.db")
	st, err := store.Open(context.Background(), path)
	if err != nil {
		b.Fatal(err)
	}
	b.Cleanup(func() { st.Close() })
	raw, err := os.ReadFile("../store/testdata/" + script)
	if err != nil {
		b.Fatal(err)
	}
	db, err := sql.Open("sqlite", path)
	if err != nil {
		b.Fatal(err)
	}
	defer db.Close()
	db.SetMaxOpenConns(1)
	for _, statement := range strings.SplitAfter(string(raw), ";\n") {
		if _, err := db.Exec(strings.ReplaceAll(statement, "?1", fmt.Sprint(n))); err != nil {
			b.Fatal(err)
		}
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
	many := filledServer(b, "seasons.sql", 0) // 20,000 lots and batches
	const plan = `{"product":"peaches","pack":"hot","jar":"quart","amount":"20 lb","altitude":"3480 ft"}`
	for _, c := range []struct{ name, method, path, body string }{
		{"fruit", "GET", "/api/fruit", ""}, {"plan", "POST", "/api/plan", plan}, {"closings", "GET", "/api/closings", ""}, {"batches", "GET", "/api/batches", ""}, {"almanac", "GET", "/api/almanac", ""},
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

// BenchmarkThirtyYears opens the shelf, finds a jar and takes one, among 12,000 jars that
// are all still there and among those of which 600 are; the ratio of the two is reported.
func BenchmarkThirtyYears(b *testing.B) {
	few, many := filledServer(b, "jars.sql", 0), filledServer(b, "jars.sql", 1)
	undo := map[string]int{} // the line to take back, by the server
	for _, c := range []struct{ name, path string }{{"open", "/api/shelf"}, {"find", "/api/shelf/jars?q=peaches+11999"}, {"list", "/api/shelf/jars?skip=300"}, {"round", "/api/shelf/round"}, {"take", ""}} {
		took := map[string]float64{}
		for _, h := range []struct {
			name string
			http.Handler
		}{{"600", few}, {"12000", many}} {
			b.Run(c.name+"/"+h.name, func(b *testing.B) {
				for range b.N {
					r := httptest.NewRequest("GET", "http://localhost"+c.path, nil)
					if c.path == "" { // taken, and taken back, in turn
						body := `{"act":"opened"}`
						if undo[h.name] > 0 {
							body = fmt.Sprintf(`{"act":"undone","last":%d}`, undo[h.name])
						}
						r = httptest.NewRequest("POST", "http://localhost/api/shelf/jars/jar-011999/tell", strings.NewReader(body))
						r.Header.Set("Content-Type", "application/json")
					}
					w := httptest.NewRecorder()
					if h.ServeHTTP(w, r); w.Code != 200 {
						b.Fatal(w.Code, w.Body.String())
					}
					if c.path == "" {
						var jar struct{ Undo int }
						if err := json.Unmarshal(w.Body.Bytes(), &jar); err != nil {
							b.Fatal(err)
						}
						undo[h.name] = jar.Undo
					}
				}
				took[h.name] = float64(b.Elapsed().Nanoseconds()) / float64(b.N)
				if took["600"] > 0 && h.name == "12000" {
					b.ReportMetric(took["12000"]/took["600"], "×600")
				}
			})
		}
	}
}
