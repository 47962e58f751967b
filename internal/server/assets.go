package server

import (
	"errors"
	"io/fs"
	"net/http"
	"path"
	"strings"
)

// assets serves the built front end: files as they are, and the page itself for
// every path that is a station's.
func assets(files fs.FS) http.HandlerFunc {
	serve := http.FileServerFS(files)
	return func(w http.ResponseWriter, r *http.Request) {
		name := strings.TrimPrefix(path.Clean(r.URL.Path), "/")
		if name == "api" || strings.HasPrefix(name, "api/") {
			notFound(w, r)
			return
		}
		if name != "" && name != "index.html" {
			if info, err := fs.Stat(files, name); err == nil && !info.IsDir() {
				if strings.HasPrefix(name, "assets/") { // names carry a hash of the content
					w.Header().Set("Cache-Control", "public, max-age=31536000, immutable")
				}
				serve.ServeHTTP(w, r)
				return
			}
			if path.Ext(name) != "" {
				notFound(w, r)
				return
			}
		}
		page, err := fs.ReadFile(files, "index.html")
		if errors.Is(err, fs.ErrNotExist) {
			writeProblem(w, http.StatusNotFound, "The front end was not built into this program. Build it with: make build")
			return
		}
		w.Header().Set("Cache-Control", "no-cache")
		w.Header().Set("Content-Type", "text/html; charset=utf-8")
		_, _ = w.Write(page)
	}
}
