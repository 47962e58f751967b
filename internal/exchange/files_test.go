package exchange

import (
	"os"
	"regexp"
	"strings"
	"testing"
)

// TestColumnsAreDocumented holds docs/files.md to the columns that go out.
func TestColumnsAreDocumented(t *testing.T) {
	raw, err := os.ReadFile("../../docs/files.md")
	if err != nil {
		t.Fatal(err)
	}
	_, rest, _ := strings.Cut(string(raw), "\n### jars\n")
	jars, rest, _ := strings.Cut(rest, "\n### lots\n")
	lots, rest, _ := strings.Cut(rest, "\n### batches\n")
	batches, _, ok := strings.Cut(rest, "\n## ")
	if !ok {
		t.Fatal("docs/files.md has other parts than this test knows")
	}
	for part, names := range map[string][]string{jars: tidyNames(jarColumns), lots: tidyNames(lotColumns), batches: tidyNames(batchColumns)} {
		for _, name := range names {
			if !regexp.MustCompile(`(^|[ |*,])` + name + `([ |*,.]|$)`).MatchString(part) {
				t.Errorf("%s is not documented in\n%s", name, strings.SplitN(strings.TrimSpace(part), "\n", 2)[0])
			}
		}
	}
}
