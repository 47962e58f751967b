package main

import (
	"context"
	"fmt"
	"io"
	"math/rand/v2"
	"net/http"
	"os"
	"path/filepath"
	"strings"
	"sync"
	"testing"
	"time"

	"mellisca/internal/store"
)

func ask(t *testing.T, method, url, body string) (int, string) {
	t.Helper()
	req, err := http.NewRequest(method, url, strings.NewReader(body))
	if err != nil {
		t.Fatal(err)
	}
	req.Header.Set("Content-Type", "application/json")
	res, err := http.DefaultClient.Do(req)
	if err != nil {
		t.Fatal(err)
	}
	defer res.Body.Close()
	raw, err := io.ReadAll(res.Body)
	if err != nil {
		t.Fatal(err)
	}
	return res.StatusCode, string(raw)
}

const someJars = `{"count":%d,"product":"plums","jar":"quart","canned":"2025","origin":"before","process":"told"}`

// TestBackupWhileServed backs up and restores under a program that serves and is written to
// all the while.
func TestBackupWhileServed(t *testing.T) {
	dir, file := t.TempDir(), filepath.Join(t.TempDir(), "kitchen backup.db")
	address, end := running(t, "serve", "--listen", "127.0.0.1:0", "--data", dir)
	if status, b := ask(t, "POST", address+"/api/shelf/jars", fmt.Sprintf(someJars, 7)); status != 200 {
		t.Fatal(b)
	}
	ctx := context.Background()
	stop := make(chan struct{})
	var writers sync.WaitGroup
	writers.Go(func() {
		for {
			select {
			case <-stop:
				return
			default:
				ask(t, "POST", address+"/api/shelf/places", fmt.Sprintf(`{"name":"place %d","kind":"box"}`, rand.Int()))
			}
		}
	})
	var out strings.Builder
	if err := run(ctx, []string{"backup", "--data", dir, "--to", file}, &out); err != nil || !strings.Contains(out.String(), file) {
		t.Fatal(err, out.String())
	}
	close(stop)
	writers.Wait()
	if err := run(ctx, []string{"serve", "--listen", "127.0.0.1:0", "--data", dir}, io.Discard); err == nil || !strings.Contains(err.Error(), "served already, at "+address) {
		t.Error("served twice:", err)
	}
	ask(t, "POST", address+"/api/shelf/jars", fmt.Sprintf(someJars, 9))
	if _, b := ask(t, "GET", address+"/api/shelf", ""); !strings.Contains(b, "16 jars on the shelf") {
		t.Fatal(b)
	}
	out.Reset()
	if err := run(ctx, []string{"restore", "--data", dir, "--from", file}, &out); err != nil || !strings.Contains(out.String(), "before-restore-") {
		t.Fatal(err, out.String())
	}
	if _, b := ask(t, "GET", address+"/api/shelf", ""); !strings.Contains(b, "7 jars on the shelf") {
		t.Error("the program that serves does not show what was restored:", b)
	}
	if status, b := ask(t, "POST", address+"/api/shelf/jars", fmt.Sprintf(someJars, 1)); status != 200 {
		t.Error("it does not go on:", b)
	}
	if err := end(); err != nil {
		t.Fatal(err)
	}
	out.Reset()
	if err := run(ctx, []string{"restore", "--data", dir, "--from", file}, &out); err != nil {
		t.Fatal(err)
	}
	address, end = running(t, "serve", "--listen", "127.0.0.1:0", "--data", dir)
	if _, b := ask(t, "GET", address+"/api/shelf", ""); !strings.Contains(b, "7 jars on the shelf") {
		t.Error(b)
	}
	if err := end(); err != nil {
		t.Fatal(err)
	}
}

func TestBackupInWords(t *testing.T) {
	ctx := context.Background()
	dir := t.TempDir()
	bad := filepath.Join(dir, "bad.db")
	if err := os.WriteFile(bad, []byte("hello"), 0o600); err != nil {
		t.Fatal(err)
	}
	for says, args := range map[string][]string{
		"say whose records":     {"backup"},
		"say whose records and": {"restore", "--data", dir},
		"no such file":          {"backup", "--data", filepath.Join(dir, "nowhere"), "--to", filepath.Join(dir, "x.db")},
		"no sound file":         {"restore", "--data", dir, "--from", bad},
		"accepted: what":        {"restore", "--data", dir, "--from", filepath.Join(dir, "missing.db")},
	} {
		if err := run(ctx, args, io.Discard); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%v: %v", args, err)
		}
	}
}

// TestPowerCutOnTheShelf kills the program at random moments while jars are told of and a
// file is taken in: nothing that was acknowledged is lost, and nothing is half there.
func TestPowerCutOnTheShelf(t *testing.T) {
	dir := t.TempDir()
	r := rand.New(rand.NewPCG(40, 4))
	k := startKillable(t, dir)
	status, b, ok := k.ask("POST", "/api/shelf/jars", fmt.Sprintf(someJars, 1))
	if !ok || status != 200 {
		t.Fatal(b)
	}
	jar := b["ids"].([]any)[0].(string)
	header := "id,what,jar,canned,origin,process,state,since\n"
	acknowledged, imports, inFlight := 0, 0, 0
	round := 0
	for ; round < 400 && (round < 40 || acknowledged < 40 || imports < 10); round++ {
		fuse := time.Duration(r.IntN(120_000)) * time.Microsecond
		killed := make(chan struct{})
		go func(k killable) { time.Sleep(fuse); k.kill(); close(killed) }(k)
		for n := 0; ; n++ {
			if n%3 == 2 {
				var rows strings.Builder
				for i := range 40 {
					fmt.Fprintf(&rows, "r%03d-%03d-%02d,plums,quart,2025-08-14,before,told,shelf,2025-08-15\n", round, n, i)
				}
				status, _, ok := k.ask("POST", "/api/files/import?kind=jars", header+rows.String())
				if !ok {
					inFlight++
					break
				}
				if status == 200 {
					imports++
				}
				continue
			}
			status, _, ok := k.ask("POST", "/api/shelf/jars/"+jar+"/tell", `{"act":"looked"}`)
			if !ok {
				inFlight++
				break
			}
			if status == 200 {
				acknowledged++
			}
		}
		<-killed
		k = startKillable(t, dir)
	}
	k.kill()
	st, err := store.Open(context.Background(), filepath.Join(dir, recordsName))
	if err != nil {
		t.Fatal(err)
	}
	defer st.Close()
	_, lines, err := st.Jar(context.Background(), jar)
	if told := len(lines) - 1; err != nil || told < acknowledged || told > acknowledged+round {
		t.Errorf("%d told of %d acknowledged, %v", told, acknowledged, err)
	}
	_, total, err := st.FindJars(context.Background(), store.Find{})
	if taken := total - 1; err != nil || taken%40 != 0 || taken/40 < imports {
		t.Errorf("%d jars of %d files of 40, %v", taken, imports, err)
	}
	if acknowledged < 40 || imports < 10 || inFlight < 20 {
		t.Errorf("%d told, %d files, %d killed in flight: this test would not notice", acknowledged, imports, inFlight)
	}
	t.Logf("%d told and %d files of 40 jars acknowledged, killed %d times, %d of them in flight", acknowledged, imports, round, inFlight)
}
