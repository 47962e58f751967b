package server

import (
	"io"
	"net/http"
	"net/http/httptest"
	"testing"

	"github.com/go-chi/chi/v5"
)

// BenchmarkProcessTime asks for a time over a real keep-alive loopback
// connection, and a bare handler for the same bytes; the bound is three times
// the bare handler.
func BenchmarkProcessTime(b *testing.B) {
	const path = "/api/process-time?product=peaches&pack=hot&jar=quart&altitudeFt=3480&kind=freestone"
	h := testServer(b)
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", "http://localhost"+path, nil))
	bytes := w.Body.Bytes()

	bare := chi.NewRouter()
	bare.Get("/api/process-time", func(w http.ResponseWriter, _ *http.Request) {
		w.Header().Set("Content-Type", "application/json")
		_, _ = w.Write(bytes)
	})
	over := map[string]float64{}
	for _, c := range []struct {
		name    string
		handler http.Handler
	}{{"bare", bare}, {"mellisca", h}} {
		name, handler := c.name, c.handler
		b.Run(name, func(b *testing.B) {
			srv := httptest.NewServer(handler)
			defer srv.Close()
			b.ReportAllocs()
			b.ResetTimer()
			for range b.N {
				res, err := srv.Client().Get(srv.URL + path)
				if err != nil {
					b.Fatal(err)
				}
				_, _ = io.Copy(io.Discard, res.Body)
				res.Body.Close()
				if res.StatusCode != 200 {
					b.Fatal(res.Status)
				}
			}
			over[name] = float64(b.Elapsed().Nanoseconds()) / float64(b.N)
			if over["bare"] > 0 && over["mellisca"] > 0 {
				b.ReportMetric(over["mellisca"]/over["bare"], "×bare")
			}
		})
	}
}
