package main

import (
	"bufio"
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"math/rand/v2"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"mellisca/internal/device"
	"mellisca/internal/store"
)

// child makes the test's own program the command, so that it can be killed.
const child = "MELLISCA_TEST_CHILD"

func TestMain(m *testing.M) {
	if os.Getenv(child) != "" {
		if err := run(context.Background(), os.Args[1:], os.Stdout); err != nil {
			fmt.Fprintln(os.Stderr, err)
			os.Exit(1)
		}
		return
	}
	os.Exit(m.Run())
}

// killable is a running command.
type killable struct {
	cmd     *exec.Cmd
	address string
}

func startKillable(t *testing.T, dir string) killable {
	t.Helper()
	cmd := exec.Command(os.Args[0], "serve", "--listen", "127.0.0.1:0", "--data", dir)
	cmd.Env = append(os.Environ(), child+"=1")
	out, err := cmd.StdoutPipe()
	if err != nil {
		t.Fatal(err)
	}
	if err := cmd.Start(); err != nil {
		t.Fatal(err)
	}
	line, err := bufio.NewReader(out).ReadString('\n')
	_, address, ok := strings.Cut(strings.TrimSpace(line), "ready at ")
	if err != nil || !ok {
		cmd.Process.Kill()
		t.Fatalf("%q, %v", line, err)
	}
	return killable{cmd, address}
}

func (k killable) kill() {
	_ = k.cmd.Process.Kill() // SIGKILL
	_ = k.cmd.Wait()
}

// ask sends a request; ok is false where no answer came, as when the command was
// killed meanwhile.
func (k killable) ask(method, path, body string) (status int, answer map[string]any, ok bool) {
	req, err := http.NewRequest(method, k.address+path, strings.NewReader(body))
	if err != nil {
		return 0, nil, false
	}
	req.Header.Set("Content-Type", "application/json")
	res, err := http.DefaultClient.Do(req)
	if err != nil {
		return 0, nil, false
	}
	defer res.Body.Close()
	raw, err := io.ReadAll(res.Body)
	if err != nil {
		return 0, nil, false
	}
	_ = json.NewDecoder(bytes.NewReader(raw)).Decode(&answer)
	return res.StatusCode, answer, true
}

// TestKilledAtAnyMoment kills the server at two hundred random moments of a load that
// runs: nothing that was acknowledged is lost, the clock is right within a second, and
// never ahead.
func TestKilledAtAnyMoment(t *testing.T) {
	dir := t.TempDir()
	clock := device.NewMachine()
	r := rand.New(rand.NewPCG(20, 26))
	k := startKillable(t, dir)
	must := func(method, path, body string) map[string]any {
		t.Helper()
		status, b, ok := k.ask(method, path, body)
		if !ok || status >= 300 {
			t.Fatal(method, path, status, b)
		}
		return b
	}
	must("PUT", "/api/kitchen", `{"name":"","altitude":"3,480 ft","units":"us","version":1}`)
	saved := must("POST", "/api/batches", `{"request":{"product":"peaches","kind":"freestone","form":"halves","pack":"hot","jar":"quart","amount":"7 jars"}}`)
	load := must("POST", "/api/stove/loads", `{"batch":"`+saved["id"].(string)+`","load":0}`)["loads"].([]any)[0].(map[string]any)
	tell := func(fields string) (seq float64, status int, ok bool) {
		status, b, ok := k.ask("POST", "/api/stove/loads/"+load["id"].(string)+"/tell", fmt.Sprintf(`{"after":999999,%s}`, fields))
		if ok && status == 200 {
			seq = b["loads"].([]any)[0].(map[string]any)["seq"].(float64)
		}
		return seq, status, ok
	}
	for _, kind := range []string{"checked", "jars-in", "lid-on", "boil"} {
		if _, status, ok := tell(`"kind":"` + kind + `"`); !ok || status != 200 {
			t.Fatal(kind, status)
		}
	}
	boiled := clock.Now() // after it was acknowledged, so a moment after it was told
	acknowledged := map[string]bool{}
	lost, inFlight := false, 0
	round := 0
	for ; round < 600 && (round < 200 || len(acknowledged) < 200); round++ {
		fuse := time.Duration(r.IntN(25_000)) * time.Microsecond
		killed := make(chan struct{})
		go func(k killable) {
			time.Sleep(fuse)
			k.kill()
			close(killed)
		}(k)
		for n := 0; ; n++ {
			name := fmt.Sprintf("%d/%d", round, n)
			if r.IntN(6) == 0 { // the boil is lost, or back
				kind := map[bool]string{false: "boil-lost", true: "boil-back"}[lost]
				_, status, ok := tell(`"kind":"` + kind + `"`)
				if !ok {
					inFlight++
					break
				}
				if status == 200 {
					if lost = !lost; !lost {
						boiled = clock.Now()
					}
				}
				continue
			}
			if _, status, ok := tell(`"kind":"note","text":"` + name + `"`); !ok {
				inFlight++
				break
			} else if status == 200 {
				acknowledged[name] = true
			}
		}
		<-killed
		k = startKillable(t, dir)
		status, b, ok := k.ask("GET", "/api/stove", "")
		if !ok || status != 200 {
			t.Fatal(round, status)
		}
		now := clock.Now()
		on := b["loads"].([]any)[0].(map[string]any)
		switch on["phase"] {
		case "lost":
			lost = true // told in the last moment, and kept though nobody heard so
		case "boiling":
			if lost {
				lost, boiled = false, now // the same
				break
			}
			var m, s int64
			if _, err := fmt.Sscanf(on["left"].(string), "%d:%d", &m, &s); err != nil {
				t.Fatal(on["left"], err)
			}
			passed, sure := now.Since(boiled)
			want, got := 35*60_000-passed, (m*60+s)*1000
			if !sure || got < want-1000 || got > want+2000 {
				t.Fatalf("round %d: %d ms left, want %d", round, got, want)
			}
		default:
			t.Fatalf("round %d: %v", round, on["phase"])
		}
	}
	k.kill()
	raw, err := eventsIn(t, dir)
	if err != nil {
		t.Fatal(err)
	}
	for name := range acknowledged {
		if !strings.Contains(raw, `"Text":"`+name+`"`) {
			t.Errorf("%s was acknowledged and is lost", name)
		}
	}
	if len(acknowledged) < 200 || inFlight < 150 {
		t.Errorf("%d acknowledged, %d killed in flight: this test would not notice", len(acknowledged), inFlight)
	}
	t.Logf("%d events acknowledged, killed %d times, %d of them in flight", len(acknowledged), round, inFlight)
}

// eventsIn reads everything that was told from a kitchen's file.
func eventsIn(t *testing.T, dir string) (string, error) {
	t.Helper()
	st, err := store.Open(context.Background(), filepath.Join(dir, "mellisca.db"))
	if err != nil {
		return "", err
	}
	defer st.Close()
	hob := store.Stove{Store: st}
	loads, _, _, err := hob.Everything(context.Background())
	if err != nil {
		return "", err
	}
	raw, err := json.Marshal(loads)
	return string(raw), err
}
