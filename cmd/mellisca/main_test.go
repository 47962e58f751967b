package main

import (
	"bytes"
	"context"
	"encoding/json"
	"io"
	"net/http"
	"os"
	"path/filepath"
	"strings"
	"testing"
)

// running starts a command and gives its address, and a way to end it that
// gives what it returned.
func running(t *testing.T, args ...string) (address string, end func() error) {
	t.Helper()
	ctx, cancel := context.WithCancel(context.Background())
	r, w := io.Pipe()
	done := make(chan error, 1)
	go func() { done <- run(ctx, args, w); w.Close() }()
	line := make([]byte, 200)
	n, err := r.Read(line)
	if err != nil {
		cancel()
		t.Fatalf("%v: %v", args, <-done)
	}
	go func() { _, _ = io.Copy(io.Discard, r) }()
	_, address, ok := strings.Cut(strings.TrimSpace(string(line[:n])), "ready at ")
	if !ok {
		t.Fatalf("%q", line[:n])
	}
	return address, func() error { cancel(); return <-done }
}

func count(t *testing.T, address string) int {
	t.Helper()
	res, err := http.Get(address + "/api/batches")
	if err != nil {
		t.Fatal(err)
	}
	defer res.Body.Close()
	var all []any
	if err := json.NewDecoder(res.Body).Decode(&all); err != nil {
		t.Fatal(err)
	}
	return len(all)
}

func TestDemoIsKeptOnceAndThrownAway(t *testing.T) {
	dir := filepath.Join(t.TempDir(), "a", "kitchen")
	for range 2 {
		address, end := running(t, "demo", "--listen", "127.0.0.1:0", "--data", dir)
		if n := count(t, address); n != 11 {
			t.Errorf("%d batches", n)
		}
		if err := end(); err != nil {
			t.Fatal(err)
		}
	}
	if info, err := os.Stat(dir); err != nil || info.Mode().Perm() != 0o700 {
		t.Errorf("the records can be read by others: %v %v", info, err)
	}
	address, end := running(t, "serve", "--listen", "127.0.0.1:0", "--data", dir)
	if n := count(t, address); n != 11 {
		t.Errorf("serve finds %d of the batches", n)
	}
	if err := end(); err != nil {
		t.Fatal(err)
	}
	t.Setenv("TMPDIR", t.TempDir())
	_, end = running(t, "demo", "--listen", "127.0.0.1:0")
	if err := end(); err != nil {
		t.Fatal(err)
	}
	if left, _ := os.ReadDir(os.Getenv("TMPDIR")); len(left) != 0 {
		t.Errorf("the demo left %v", left)
	}
}

func TestWhatIsNotUnderstood(t *testing.T) {
	for args, says := range map[string]string{
		"": "serve or demo", "bake": "accepted: serve", "serve": "--data DIR", "serve --data x y": "not expected",
		"serve --colour red": "not defined", "serve --data /proc/nothing --listen 127.0.0.1:0": "making the folder",
		"demo --listen nonsense": "listening", "tables --format xml": "accepted: text, csv, json", "tables --altitude 3480": "needs its unit",
	} {
		var out bytes.Buffer
		if err := run(context.Background(), strings.Fields(args), &out); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("mellisca %s: %v, want %q", args, err, says)
		}
	}
	var out bytes.Buffer
	if err := run(context.Background(), []string{"help"}, &out); err != nil || !strings.Contains(out.String(), "mellisca demo") {
		t.Error(err, out.String())
	}
	out.Reset()
	if err := run(context.Background(), []string{"tables", "--altitude", "1 061 m"}, &out); err != nil || !strings.Contains(out.String(), "column for 3,481 ft") {
		t.Error(err, out.String()[:200])
	}
	out.Reset()
	if err := run(context.Background(), []string{"openapi"}, &out); err != nil || !json.Valid(out.Bytes()) {
		t.Error(err)
	}
}
