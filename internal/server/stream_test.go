package server

import (
	"bufio"
	"context"
	"encoding/json"
	"fmt"
	"net/http"
	"net/http/httptest"
	"slices"
	"strconv"
	"strings"
	"sync"
	"testing"
	"time"
)

// page reads the live stream of a server and notes the lines it is told.
type page struct {
	ids    []int64
	delays []time.Duration
	last   string
	nows   int
}

// follow reads until n lines are told, from after on; "" for a page that opens anew.
func follow(t testing.TB, address, after string, n int, sent *sync.Map, ready chan<- struct{}) page {
	ctx, cancel := context.WithTimeout(context.Background(), 60*time.Second)
	defer cancel()
	req, err := http.NewRequestWithContext(ctx, "GET", address+"/api/stove/events", nil)
	if err != nil {
		t.Error(err)
		return page{}
	}
	if after != "" {
		req.Header.Set("Last-Event-ID", after)
	}
	res, err := http.DefaultClient.Do(req)
	if err != nil {
		t.Error(err)
		return page{}
	}
	defer res.Body.Close()
	var p page
	lines := bufio.NewScanner(res.Body)
	lines.Buffer(nil, 1<<20)
	for len(p.ids) < n && lines.Scan() {
		switch text := lines.Text(); {
		case strings.HasPrefix(text, "id: "):
			p.last = text[4:]
			id, err := strconv.ParseInt(p.last, 10, 64)
			if err != nil {
				t.Error(err)
			}
			p.ids = append(p.ids, id)
			if at, ok := sent.Load(len(p.ids)); ok {
				p.delays = append(p.delays, time.Since(at.(time.Time)))
			}
		case text == "event: now":
			if p.nows++; p.nows == 1 && ready != nil {
				ready <- struct{}{}
			}
		}
	}
	if len(p.ids) < n {
		t.Errorf("a page was told %d of %d lines", len(p.ids), n)
	}
	return p
}

// TestFiftyPages keeps fifty pages open for ten simulated minutes of taps: each is told
// every line once and in order. One that comes back goes on where it was.
func TestFiftyPages(t *testing.T) {
	h := newHob(t)
	id := h.open(sevenQuarts)["id"].(string)
	server := httptest.NewServer(h)
	defer server.Close()
	const pages, lines = 50, 60
	var sent sync.Map
	ready := make(chan struct{}, pages)
	got := make([]page, pages)
	var open sync.WaitGroup
	for i := range pages {
		open.Add(1)
		go func() {
			defer open.Done()
			got[i] = follow(t, server.URL, "", lines, &sent, ready)
		}()
	}
	for range pages {
		<-ready
	}
	for n := range lines { // a note every ten seconds
		h.clock.Forward(10 * time.Second)
		sent.Store(n+1, time.Now())
		if status, _ := send(t, h, "POST", "/api/stove/loads/"+id+"/tell", fmt.Sprintf(`{"after":%d,"kind":"note","text":"%d"}`, n, n)); status != 200 {
			t.Fatal(status)
		}
	}
	open.Wait()
	var delays []time.Duration
	for i, p := range got {
		if !slices.Equal(p.ids, got[0].ids) || !slices.IsSorted(p.ids) || len(slices.Compact(slices.Clone(p.ids))) != lines {
			t.Fatalf("page %d was told %v", i, p.ids)
		}
		delays = append(delays, p.delays...)
	}
	slices.Sort(delays)
	t.Logf("%d deliveries to %d pages: median %v, 99 of 100 within %v", len(delays), pages, delays[len(delays)/2], delays[len(delays)*99/100])
	back := follow(t, server.URL, fmt.Sprint(got[0].ids[lines-8]), 7, &sent, nil)
	if !slices.Equal(back.ids, got[0].ids[lines-7:]) {
		t.Errorf("a page that came back was told %v of %v", back.ids, got[0].ids)
	}
}

func TestStreamIsRefusedWithoutPractice(t *testing.T) {
	h := newHob(t)
	status, _ := get(t, h, "/api/practice/events")
	if status != 404 {
		t.Error(status)
	}
	var b map[string]any
	_, b = get(t, h, "/api/practice")
	if raw, _ := json.Marshal(b); !strings.Contains(string(raw), `"loads":[]`) {
		t.Errorf("%s", raw)
	}
}
