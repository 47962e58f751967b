package exchange

import (
	"bytes"
	"strings"
	"testing"
	"time"

	"mellisca/core/batch"
	"mellisca/core/fruit"
	"mellisca/core/jar"
	"mellisca/core/shelf"
	"mellisca/internal/store"
)

// FuzzTidy hands the readers of jars, lots and batches any file: what one of them
// understands it writes, and understands again to the letter.
func FuzzTidy(f *testing.F) {
	jars, err := WriteJars([]JarRecord{{Jar: store.Jar{ID: "k7qd2x", What: "=plums, \"whole\"\n'two'", Jar: "quart", Canned: 20600, Process: shelf.TestedAsTold, Origin: "before", Note: "桃",
		Life: shelf.Life{State: shelf.Given, Since: 20601, Who: "@Hanne"}}, PlaceName: "-loft"}})
	if err != nil {
		f.Fatal(err)
	}
	lots, err := WriteLots([]store.Lot{{ID: "abcdefgh", Name: "+crate", Kind: "plum", Typed: "3 kg", Bought: fruit.Bought{Mass: 3_000_001}, PriceCents: 1205, Got: 20600, Taps: []fruit.Tap{{Day: 20601, Ripeness: fruit.Ready}}}})
	if err != nil {
		f.Fatal(err)
	}
	batches, err := WriteBatches([]store.Batch{{ID: "abcdefgh", Version: 3, Note: "'", Request: batch.Request{Product: "plums", Pack: "hot", Jar: jar.ID("pint"), Liquid: batch.Liquid{Brix: 17.25}, Dilute: 0.1}, Created: time.UnixMilli(1_770_000_000_123).UTC(), Updated: time.UnixMilli(1_770_000_000_124).UTC()}})
	if err != nil {
		f.Fatal(err)
	}
	for kind, raw := range [][]byte{jars, lots, batches} {
		f.Add(raw, kind)
		f.Add([]byte(strings.ReplaceAll(string(raw), ",", ";")), kind)
		f.Add(append([]byte("\ufeff"), bytes.ReplaceAll(raw, []byte("\n"), []byte("\r\n"))...), kind)
	}
	f.Fuzz(func(t *testing.T, raw []byte, kind int) {
		again := func(raw []byte) ([]byte, error) {
			switch kind % 3 {
			case 0:
				all, _, err := ReadJars(raw)
				if err != nil {
					return nil, err
				}
				return WriteJars(all)
			case 1:
				all, _, err := ReadLots(raw)
				if err != nil {
					return nil, err
				}
				return WriteLots(all)
			}
			all, _, err := ReadBatches(raw)
			if err != nil {
				return nil, err
			}
			return WriteBatches(all)
		}
		once, err := again(raw)
		if err != nil {
			if err.Error() == "" {
				t.Fatal("it is refused without a word")
			}
			return
		}
		twice, err := again(once)
		if err != nil || !bytes.Equal(once, twice) {
			t.Fatalf("%v\n%q\n%q", err, once, twice)
		}
	})
}
