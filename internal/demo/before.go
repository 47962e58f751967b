package demo

import (
	"context"
	"encoding/json"
	"net/http"
	"time"
)

// Passing is a clock that time can be let pass on.
type Passing interface{ Forward(time.Duration) }

// DaysBefore is how long ago the clock is to stand when Before begins.
const DaysBefore = 21

// tableWait is how long ago the load on the tray was lifted when Before ends.
const tableWait = 14 * time.Hour

// Before lays out what happened in the three weeks before today, in the kitchen served at
// address by a clock that is that much behind: a load of plums that went to the shelf, of
// which one jar was given away, and one of apples that was lifted yesterday and waits on
// the tray. A kitchen that has batches already is left as it is. It gives whether it did
// anything.
func Before(ctx context.Context, address string, clock Passing) (bool, error) {
	c := client{address}
	var there []json.RawMessage
	if err := c.do(ctx, http.MethodGet, "/api/batches", nil, &there); err != nil || len(there) > 0 {
		return false, err
	}
	var k struct {
		Version int `json:"version"`
	}
	if err := c.do(ctx, http.MethodGet, "/api/kitchen", nil, &k); err != nil {
		return false, err
	}
	if err := c.do(ctx, http.MethodPut, "/api/kitchen", object{
		"name": "Ilse and Marlow's kitchen, Corvane", "altitude": "3,480 ft", "units": "us", "version": k.Version,
		"jars": []string{"half-pint", "pint", "pint-wide", "quart", "quart-wide"},
	}, nil); err != nil {
		return false, err
	}
	if err := c.stove(ctx); err != nil {
		return false, err
	}
	for _, p := range places {
		if err := c.do(ctx, http.MethodPost, "/api/shelf/places", p, nil); err != nil {
			return false, err
		}
	}
	var fruit struct{ Lots []struct{ ID string } }
	if err := c.do(ctx, http.MethodPost, "/api/lots", object{"name": "the first chapel plums", "kind": "plum", "bought": "15 lb", "from": "the tree behind the chapel"}, &fruit); err != nil {
		return false, err
	}
	began := time.Duration(DaysBefore) * 24 * time.Hour
	load, batch, took, err := c.lifted(ctx, clock, object{"product": "plums", "form": "halves", "pack": "hot", "jar": "quart", "amount": "7 jars", "liquid": syrup("light"), "lots": fruit.Lots[0].ID})
	if err != nil {
		return false, err
	}
	clock.Forward(13 * time.Hour)
	took += 13 * time.Hour
	for _, told := range []struct {
		what string
		body object
	}{
		{"found", object{"jars": []int{3}, "seal": "sealed", "liquidLost": 0.2}}, {"found", object{"jars": []int{6}, "seal": "sealed", "float": true}}, {"found", object{"jars": []int{}, "seal": "sealed"}},
		{"done", object{"jars": []int{1, 2, 3, 4, 5, 6, 7}, "choice": "shelf"}},
	} {
		if err := c.do(ctx, http.MethodPost, "/api/tray/"+load+"/"+told.what, told.body, nil); err != nil {
			return false, err
		}
	}
	if err := c.do(ctx, http.MethodPost, "/api/batches/"+batch+"/close", object{"jars": []object{{"jar": "quart", "count": 7}}, "fruit": "15 lb", "prepareMinutes": 55}, nil); err != nil {
		return false, err
	}
	var found struct{ Jars []struct{ ID string } }
	if err := c.do(ctx, http.MethodGet, "/api/shelf/jars?q=plums", nil, &found); err != nil {
		return false, err
	}
	if err := c.do(ctx, http.MethodPost, "/api/shelf/jars/"+found.Jars[1].ID+"/tell", object{"act": "given", "who": "Hanne at the mill"}, nil); err != nil {
		return false, err
	}
	clock.Forward(began - took - tableWait - 90*time.Minute)
	if _, _, _, err = c.lifted(ctx, clock, object{"product": "apples-sliced", "pack": "hot", "jar": "quart", "amount": "7 jars", "liquid": syrup("light")}); err != nil {
		return false, err
	}
	clock.Forward(tableWait)
	return true, c.heard(ctx)
}

// heard answers every clock that rings.
func (c client) heard(ctx context.Context) error {
	var hob struct {
		Clocks []struct {
			ID      string
			Ringing bool
		}
	}
	if err := c.do(ctx, http.MethodGet, "/api/stove", nil, &hob); err != nil {
		return err
	}
	for _, k := range hob.Clocks {
		if k.Ringing {
			if err := c.do(ctx, http.MethodPost, "/api/stove/clocks/"+k.ID+"/heard", nil, nil); err != nil {
				return err
			}
		}
	}
	return nil
}

// lifted saves a batch, runs its first load and clears it from the hob, and says how long
// that took.
func (c client) lifted(ctx context.Context, clock Passing, request object) (load, batch string, took time.Duration, err error) {
	var saved struct{ ID string }
	if err := c.do(ctx, http.MethodPost, "/api/batches", object{"request": request}, &saved); err != nil {
		return "", "", 0, err
	}
	var hob struct{ Loads []struct{ ID, Left string } }
	if err := c.do(ctx, http.MethodPost, "/api/stove/loads", object{"batch": saved.ID}, &hob); err != nil {
		return "", "", 0, err
	}
	load = hob.Loads[0].ID
	wait := func(d time.Duration) { clock.Forward(d); took += d }
	for _, step := range []struct {
		kind  string
		after time.Duration
	}{
		{"checked", 10 * time.Minute}, {"jars-in", time.Minute}, {"lid-on", 22 * time.Minute}, {"boil", 45 * time.Minute}, {"heat-off", time.Minute}, {"lid-off", 6 * time.Minute}, {"out", time.Minute}, {"put-away", 0},
	} {
		if err := c.do(ctx, http.MethodPost, "/api/stove/loads/"+load+"/tell", object{"kind": step.kind, "after": 99}, nil); err != nil {
			return "", "", 0, err
		}
		wait(step.after)
	}
	return load, saved.ID, took, nil
}
