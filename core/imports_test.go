// Package core_test holds the house to its plan: what may import what.
package core_test

import (
	"go/parser"
	"go/token"
	"io/fs"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"testing"
)

// may says which packages of the house each package of core may import.
var may = map[string][]string{
	"measure": {},
	"jar":     {"measure"},
	"guide":   {"jar", "measure"},
	"syrup":   {"jar", "measure"},
	"fruit":   {"jar", "measure"},
	"canner":  {"jar", "measure"},
	"run":     {},
	"shelf":   {"fruit", "jar", "measure"},
	"label":   {},
	"almanac": {},
	"day":     {},
	"batch":   {"day", "guide", "syrup", "fruit", "canner", "jar", "measure"},
}

// never are parts of the standard library that core has no business with: the
// time of day, files, the network and chance are passed in.
var never = []string{"database/sql", "io/fs", "log", "log/slog", "math/rand", "math/rand/v2", "crypto/rand", "net", "net/http", "os", "os/exec", "time"}

func TestImports(t *testing.T) {
	seen := map[string]bool{}
	walk(t, ".", func(pkg, file, path string) {
		seen[pkg] = true
		allowed, known := may[pkg]
		own, isOwn := strings.CutPrefix(path, "mellisca/core/")
		switch {
		case !known:
			t.Errorf("%s is not in the plan", pkg)
		case isOwn:
			if !slices.Contains(allowed, own) {
				t.Errorf("%s imports core/%s", file, own)
			}
		case strings.Contains(strings.Split(path, "/")[0], ".") || strings.HasPrefix(path, "mellisca/"):
			t.Errorf("%s imports %s; core takes the standard library alone", file, path)
		case slices.Contains(never, path):
			t.Errorf("%s imports %s, which core is given instead", file, path)
		}
	})
	for pkg := range may {
		if !seen[pkg] {
			t.Errorf("core/%s is in the plan and not in the house", pkg)
		}
	}
	walk(t, "../internal", func(pkg, file, path string) {
		if strings.HasPrefix(path, "mellisca/cmd") || strings.HasPrefix(path, "mellisca/e2e") || pkg == "store" && strings.HasPrefix(path, "mellisca/internal/") {
			t.Errorf("%s imports %s", file, path)
		}
	})
}

// walk calls f for each import of each file below dir that is not a test.
func walk(t *testing.T, dir string, f func(pkg, file, path string)) {
	t.Helper()
	err := filepath.WalkDir(dir, func(file string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || !strings.HasSuffix(file, ".go") || strings.HasSuffix(file, "_test.go") {
			return err
		}
		parsed, err := parser.ParseFile(token.NewFileSet(), file, nil, parser.ImportsOnly)
		if err != nil {
			return err
		}
		for _, spec := range parsed.Imports {
			path, err := strconv.Unquote(spec.Path.Value)
			if err != nil {
				return err
			}
			f(filepath.Base(filepath.Dir(file)), file, path)
		}
		return nil
	})
	if err != nil {
		t.Fatal(err)
	}
}
