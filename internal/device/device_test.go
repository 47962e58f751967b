package device

import (
	"context"
	"encoding/json"
	"errors"
	"io"
	"math"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"
	"time"

	"mellisca/core/canner"
	"mellisca/core/measure"
)

func TestMachine(t *testing.T) {
	a, b := NewMachine(), NewMachine()
	first := a.Now()
	time.Sleep(5 * time.Millisecond)
	later := b.Now()
	if ms, sure := later.Since(first); !sure || ms < 5 || ms > 5000 {
		t.Errorf("%d ms, %v: two clocks of one start of the machine", ms, sure)
	}
	if off := time.Since(time.UnixMilli(first.WallMs)); off < 0 || off > 10*time.Second {
		t.Errorf("the wall clock is %v off", off)
	}
}

func TestQuick(t *testing.T) {
	q := NewQuick(NewMachine(), 0) // stands still but for Forward
	at := q.Now()
	q.Forward(time.Hour)
	if ms, sure := q.Now().Since(at); !sure || ms != 3_600_000 {
		t.Errorf("%d ms, %v", ms, sure)
	}
	q.Set(-2 * time.Hour)
	now := q.Now()
	if ms, sure := now.Since(at); !sure || ms != 3_600_000 || now.WallMs != at.WallMs-3_600_000 {
		t.Errorf("%d ms, %v, wall %d", ms, sure, now.WallMs-at.WallMs)
	}
	q.Restart(time.Minute)
	again := q.Now()
	if ms, sure := again.Since(now); sure || ms != 60_000 || again.BootMs != 0 {
		t.Errorf("%d ms, %v, %d ms since the start", ms, sure, again.BootMs)
	}
	fast := NewQuick(NewMachine(), 1000)
	began := fast.Now()
	time.Sleep(20 * time.Millisecond)
	if ms, _ := fast.Now().Since(began); ms < 20_000 {
		t.Errorf("%d ms at a thousand times", ms)
	}
}

// heard is a kitchen that notes what is posted to it.
func heard(t *testing.T, status int) (address string, bodies chan string) {
	bodies = make(chan string, 10)
	s := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		raw, err := io.ReadAll(r.Body)
		if err != nil {
			t.Error(err)
		}
		bodies <- r.Method + " " + r.URL.Path + " " + string(raw)
		w.WriteHeader(status)
		_, _ = io.WriteString(w, "said why")
	}))
	t.Cleanup(s.Close)
	return s.URL, bodies
}

type broken struct{}

func (broken) ReadCelsius(context.Context) (float64, error) { return 0, errors.New("no battery") }

func TestPost(t *testing.T) {
	ctx := context.Background()
	pot := &canner.Simulated{Pot: canner.Default, Burner: canner.Burner{Watts: 3500, Kind: canner.Gas}, Boil: measure.Celsius(96.6), Room: measure.Celsius(22), Litres: 12, Celsius: 60, Heat: 1}
	th := NewPotThermometer(pot, 1)
	th.Run(60)
	address, bodies := heard(t, 204)
	post := Post{Address: address, Client: http.DefaultClient}
	if err := post.Temperature(ctx, "the big kettle", th); err != nil {
		t.Fatal(err)
	}
	method, rest, _ := strings.Cut(<-bodies, " ")
	path, raw, _ := strings.Cut(rest, " ")
	var b struct {
		Canner  string
		Celsius float64
	}
	if err := json.Unmarshal([]byte(raw), &b); err != nil || method != "POST" || path != "/api/thermometers/readings" || b.Canner != "the big kettle" || math.Abs(b.Celsius-pot.Celsius) > 0.5 || pot.Celsius < 61 {
		t.Errorf("%s %s %s, %v; the pot is at %.1f", method, path, raw, err, pot.Celsius)
	}
	scale := &BenchScale{}
	scale.Put(1013 * measure.Gram)
	if err := post.Weight(ctx, "by the sink", scale); err != nil {
		t.Fatal(err)
	}
	if got := <-bodies; got != `POST /api/scales/by the sink/readings {"grams":1015}` {
		t.Error(got)
	}
	if err := post.Temperature(ctx, "x", broken{}); err == nil || !strings.Contains(err.Error(), "no battery") {
		t.Error(err)
	}
	address, _ = heard(t, 404)
	if err := (Post{address, http.DefaultClient}).Weight(ctx, "x", scale); err == nil || !strings.Contains(err.Error(), "said why") {
		t.Error(err)
	}
}

func TestBehind(t *testing.T) {
	now := NewQuick(NewMachine(), 0)
	b := NewBehind(now, 48*time.Hour)
	began := b.Now()
	b.Forward(20 * time.Hour)
	if ms, sure := b.Now().Since(began); ms != 20*3_600_000 || !sure {
		t.Error(ms, sure)
	}
	b.Forward(400 * time.Hour)
	if ms, sure := now.Now().Since(began); ms != 48*3_600_000 || !sure || b.Now() != now.Now() {
		t.Error("it went past now", ms, sure)
	}
}
