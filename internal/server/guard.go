package server

import (
	"net"
	"net/http"
	"os"
	"runtime/debug"
	"strings"
)

// policy lets the page run only what came with it.
const policy = "default-src 'self'; script-src 'self'; style-src 'self'; img-src 'self' data:; object-src 'none'; " +
	"base-uri 'none'; form-action 'self'; frame-ancestors 'none'"

func secureHeaders(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		h := w.Header()
		h.Set("Content-Security-Policy", policy)
		h.Set("X-Content-Type-Options", "nosniff")
		h.Set("Referrer-Policy", "no-referrer")
		h.Set("Cross-Origin-Opener-Policy", "same-origin")
		next.ServeHTTP(w, r)
	})
}

// ownHostOnly refuses a request that reached this machine under somebody else's
// name, as a page elsewhere can bring about by pointing its own name here.
// Addresses, localhost, this machine's name and .local names are its own.
func ownHostOnly(next http.Handler) http.Handler {
	own, _ := os.Hostname()
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		host := r.Host
		if h, _, err := net.SplitHostPort(host); err == nil {
			host = h
		}
		host = strings.ToLower(strings.Trim(host, "[]"))
		if net.ParseIP(host) == nil && host != "localhost" && host != strings.ToLower(own) && !strings.HasSuffix(host, ".local") {
			writeProblem(w, http.StatusMisdirectedRequest, "This kitchen is not reached under the name "+clip(host)+". Use localhost or its address.")
			return
		}
		next.ServeHTTP(w, r)
	})
}

// sameOriginOnly lets no page elsewhere change anything here.
func sameOriginOnly() *http.CrossOriginProtection {
	p := http.NewCrossOriginProtection()
	p.SetDenyHandler(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) {
		writeProblem(w, http.StatusForbidden, "This came from another page. Only the kitchen's own pages may change it.")
	}))
	return p
}

// limitBody bounds what is read of a request: files are larger than what is typed.
func limitBody(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		most := int64(mostBody)
		switch {
		case r.URL.Path == "/api/files/restore":
			most = mostBackup
		case r.URL.Path == "/api/files/import":
			most = mostKitchenFile
		case strings.HasSuffix(r.URL.Path, "/import"):
			most = mostFile
		}
		r.Body = http.MaxBytesReader(w, r.Body, most+1)
		next.ServeHTTP(w, r)
	})
}

// recoverer turns a panic into a plain problem for the cook and a log entry.
func (s *server) recoverer(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		defer func() {
			v := recover()
			if v == nil {
				return
			}
			if v == http.ErrAbortHandler {
				panic(v)
			}
			s.log.Error("a handler panicked", "path", r.URL.Path, "panic", v, "stack", string(debug.Stack()))
			writeProblem(w, http.StatusInternalServerError, "Something went wrong in the kitchen's own works. Nothing was changed; try again.")
		}()
		next.ServeHTTP(w, r)
	})
}

func clip(s string) string {
	if len(s) > 60 {
		return s[:60] + "…"
	}
	return s
}
