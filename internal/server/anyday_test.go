package server

import (
	"fmt"
	"math/rand/v2"
	"strings"
	"testing"
	"time"
)

// TestAnyDay does made-up things to a day for hours: nothing ever fails that is not refused in
// words, what has begun stays, no step is before now, nobody works while they are not there.
func TestAnyDay(t *testing.T) {
	t.Parallel()
	for seed := range uint64(3) {
		d := newDay(t)
		r := rand.New(rand.NewPCG(seed, 21))
		var saved []string
		for _, request := range []string{
			twoLoads, sevenQuarts,
			`{"product":"grape-juice","pack":"hot","jar":"quart","amount":"9 jars"}`,
			`{"product":"apple-butter","pack":"hot","jar":"pint","amount":"6 jars"}`,
			`{"product":"berries","kind":"blueberry","form":"whole","pack":"raw","jar":"pint","amount":"20 jars","liquid":{"kind":"syrup","strength":"light"}}`,
		} {
			saved = append(saved, d.save(request))
		}
		pick := func(all ...string) string { return all[r.IntN(len(all))] }
		at := 8 * 60
		for n := range 45 {
			b := d.must("GET", "", "")
			key := "lit/"
			if len(b.Steps) > 0 {
				key = b.Steps[r.IntN(len(b.Steps))].Key
			}
			method, path, body := "POST", "", ""
			switch r.IntN(9) {
			case 0, 1:
				path, body = "/batches", fmt.Sprintf(`{"batch":%q}`, saved[r.IntN(len(saved))])
			case 2:
				if len(b.Batches) == 0 {
					continue
				}
				of := b.Batches[r.IntN(len(b.Batches))]
				path, body = "/batches/"+of.Batch+"/move", fmt.Sprintf(`{"part":%q,"to":%q,"load":%d}`, of.Part, pick(b.Next, "", "2020-01-01"), r.IntN(4))
			case 3:
				path, body = "/locks", fmt.Sprintf(`{"step":%q,"at":%q}`, key, pick("", "9:30", "13:00", "17:45", "0:10"))
			case 4:
				cooks := []string{`{"name":"Ilse","from":"8:00","to":"18:00","breaks":[{"from":"12:00","to":"12:30"}]}`, `{"name":"Marlow","from":"14:00","to":"16:00","breaks":[]}`, `{"name":"Petra","from":"9:00","to":"24:00","breaks":[]}`}
				method, body = "PUT", fmt.Sprintf(`{"begin":%q,"by":%q,"late":%q,"burners":%d,"pots":%d,"cooks":[%s]}`, pick("8:00", "10:30"), pick("", "15:00", "18:00"), pick("", "17:00"), 1+r.IntN(4), r.IntN(3), strings.Join(cooks[:1+r.IntN(3)], ","))
			case 5:
				if len(b.Batches) == 0 {
					continue
				}
				of := b.Batches[r.IntN(len(b.Batches))]
				method, path, body = "PUT", "/batches/"+of.Batch, fmt.Sprintf(`{"part":%q,"from":%q,"by":%q}`, of.Part, pick("", "9:00", "15:00"), pick("", "14:00", "20:00"))
			case 6:
				at += r.IntN(40)
				d.to(at)
				path, body = "/steps", fmt.Sprintf(`{"step":%q,"kind":%q}`, key, pick("begun", "done", "back"))
			case 7:
				path = "/order"
			case 8:
				at += r.IntN(40)
				d.to(at)
				continue
			}
			status, _, text := d.ask(method, d.date+path, body)
			if status != 200 && status != 404 && status != 422 {
				t.Fatalf("day %d, %d: %s %s %s: %d %s", seed, n, method, path, body, status, text)
			}
			after := d.must("GET", "", "")
			soundDay(t, after, fmt.Sprintf("day %d, %d: %s %s %s", seed, n, method, path, body))
		}
	}
}

// soundDay holds an answer to what holds of every day.
func soundDay(t *testing.T, b dayBody, what string) {
	t.Helper()
	seen := map[string]bool{}
	for _, st := range b.Steps {
		if seen[st.Key] {
			t.Fatalf("%s: %s is there twice", what, st.Key)
		}
		seen[st.Key] = true
		open := st.State == "ahead" || st.State == "late"
		if open && b.State == "running" && st.Kind != "lit" && st.From < b.Now {
			t.Fatalf("%s: %s is at %d, and it is %d", what, st.Key, st.From, b.Now)
		}
		if st.To < st.From {
			t.Fatalf("%s: %s is over at %d, before it begins at %d", what, st.Key, st.To, st.From)
		}
		if open && st.Kind == "load" {
			if len(st.Pieces) < 5 || st.Pieces[1].From-st.Pieces[0].To > 10 {
				t.Fatalf("%s: %+v", what, st.Pieces)
			}
		}
	}
	for _, l := range b.Lanes {
		last := 0
		for _, bar := range l.Bars {
			if bar.State != "ahead" && bar.State != "late" {
				continue
			}
			if bar.From < last {
				t.Fatalf("%s: %s has two things at once at %d: %+v", what, l.Name, bar.From, l.Bars)
			}
			last = bar.To
			for _, away := range l.Away {
				if b.Fits && bar.From < away.To && away.From < bar.To {
					t.Fatalf("%s: %s has %s at %d and is not there", what, l.Name, bar.Text, bar.From)
				}
			}
		}
	}
	if _, err := time.Parse(time.DateOnly, b.Date); err != nil {
		t.Fatal(what, err)
	}
}
