package main

import (
	"context"
	"io"
	"net/http"
	"strings"
	"testing"
	"time"
)

// TestSensors sends simulated readings to a demo kitchen, whose canner has a load in it.
func TestSensors(t *testing.T) {
	address, end := running(t, "demo", "--listen", "127.0.0.1:0")
	defer func() {
		if err := end(); err != nil {
			t.Error(err)
		}
	}()
	ctx, stop := context.WithCancel(context.Background())
	done := make(chan error, 1)
	go func() { done <- run(ctx, []string{"sensors", "--to", address, "--every", "5ms"}, io.Discard) }()
	read := func(path string) string {
		res, err := http.Get(address + path)
		if err != nil {
			t.Fatal(err)
		}
		defer res.Body.Close()
		raw, err := io.ReadAll(res.Body)
		if err != nil {
			t.Fatal(err)
		}
		return string(raw)
	}
	deadline := time.Now().Add(20 * time.Second)
	for !strings.Contains(read("/api/stove"), `"boil":"206 °F"`) || !strings.Contains(read("/api/scales"), `"weight":"24 lb"`) {
		if time.Now().After(deadline) {
			t.Fatal("no reading arrived")
		}
		time.Sleep(5 * time.Millisecond)
	}
	stop()
	if err := <-done; err != nil {
		t.Error(err)
	}
	if err := run(context.Background(), []string{"sensors", "--every", "0s"}, io.Discard); err == nil {
		t.Error("a reading every 0 s")
	}
}
