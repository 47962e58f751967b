package server

import (
	"context"
	"fmt"
	"strings"
	"testing"
	"time"

	"mellisca/internal/device"
	"mellisca/internal/store"
)

// TestPractice lets a first-timer go through a run who does what the page says and tells
// what can be seen, at a hundred and twenty times.
func TestPractice(t *testing.T) {
	h := newHob(t)
	h.clock = device.NewQuick(device.NewMachine(), 1)
	h.start()
	if status, _ := send(t, h, "POST", "/api/practice/clocks", `{"kind":"dip"}`); status != 404 {
		t.Error("a practice clock without practice")
	}
	status, b := send(t, h, "POST", "/api/practice", `{"times":120,"seed":5}`)
	if status != 200 || len(b["loads"].([]any)) != 1 {
		t.Fatal(status, b)
	}
	tell := func(l map[string]any, fields string) {
		t.Helper()
		status, b := send(t, h, "POST", "/api/practice/loads/"+l["id"].(string)+"/tell", fmt.Sprintf(`{"after":%v,%s}`, l["seq"], fields))
		if status != 200 && status != 422 { // what changed between looking and telling is refused
			t.Fatal(fields, status, b)
		}
	}
	deadline := time.Now().Add(60 * time.Second)
	for {
		_, b := get(t, h, "/api/practice")
		l, p := b["loads"].([]any)[0].(map[string]any), b["practice"].(map[string]any)
		if p["over"] == true {
			well, better := fmt.Sprint(p["well"]), fmt.Sprint(p["better"])
			if len(p["better"].([]any)) != 0 || !strings.Contains(well, "full time ran again") || !strings.Contains(well, "headspace") || !strings.Contains(well, "broke") || !strings.Contains(well, "answered") {
				t.Errorf("well %s, better %s", well, better)
			}
			break
		}
		if time.Now().After(deadline) {
			t.Fatalf("not over in a minute: %v", l["phase"])
		}
		if l["doubt"] != "" {
			t.Fatalf("the altitude is in doubt in a true pot: %v", l["doubt"])
		}
		sees, next := fmt.Sprint(p["sees"]), l["next"].(map[string]any)
		jar := func() string { _, n, _ := strings.Cut(sees, "ar "); n, _, _ = strings.Cut(n, " "); return n }
		switch kind := next["kind"]; {
		case strings.Contains(sees, "under its headspace"):
			tell(l, `"kind":"set-aside","jar":`+jar())
		case strings.Contains(sees, "has broken"):
			tell(l, `"kind":"jar-broken","jar":`+jar())
		case strings.Contains(sees, "died down") && l["phase"] == "boiling":
			tell(l, `"kind":"boil-lost"`)
		case kind == "confirmed":
			tell(l, fmt.Sprintf(`"kind":"confirmed","sinceMs":%.0f`, l["readingMs"]))
		case (kind == "boil" || kind == "boil-back") && !strings.Contains(sees, "boils hard"), kind == "boil-lost", kind == "":
			time.Sleep(5 * time.Millisecond)
		default:
			tell(l, fmt.Sprintf(`"kind":%q,"what":%q`, kind, next["what"]))
		}
	}
	if _, b := get(t, h, "/api/stove"); len(b["loads"].([]any)) != 0 {
		t.Error("practice is on the kitchen's hob")
	}
	if loads, sides, lines, err := (store.Stove{Store: h.store}).Everything(context.Background()); err != nil || len(loads)+len(sides)+len(lines) != 0 {
		t.Errorf("practice is in the records: %v %v", loads, err)
	}
	if status := statusOf(h, "DELETE", "/api/practice", ""); status != 204 {
		t.Error(status)
	}
}
