package demo

import (
	"context"
	"net/http"
	"strings"
	"time"
)

// places are where the jars of the two stand.
var places = []object{{"name": "cellar, top board", "kind": "shelf"}, {"name": "cellar, lower board", "kind": "shelf"}, {"name": "box for the hut", "kind": "box"}}

// standing are jars of two seasons: where, how many, what, and how many months ago.
var standing = []struct {
	place, monthsAgo int
	fields           object
}{
	{0, 27, object{"count": 3, "product": "peaches", "form": "halves", "strength": "hot pack, in light syrup", "jar": "quart"}},
	{0, 15, object{"count": 6, "product": "peaches", "form": "halves", "strength": "hot pack, in light syrup", "jar": "quart", "note": "Peeled thickly."}},
	{0, 3, object{"count": 16, "product": "peaches", "form": "halves", "strength": "hot pack, in light syrup", "jar": "quart"}},
	{0, 2, object{"count": 9, "product": "pears", "form": "halves", "strength": "hot pack, in light syrup", "jar": "quart"}},
	{1, 13, object{"count": 4, "product": "applesauce", "strength": "hot pack, no sugar", "jar": "quart"}},
	{1, 1, object{"count": 11, "product": "applesauce", "strength": "hot pack, no sugar", "jar": "pint"}},
	{1, 2, object{"count": 7, "product": "grape-juice", "strength": "hot pack", "jar": "quart"}},
	{1, 4, object{"count": 8, "product": "cherries", "form": "pitted", "strength": "hot pack, in medium syrup", "jar": "pint"}},
	{1, 9, object{"count": 2, "what": "green tomato relish", "jar": "pint", "origin": "present", "process": "unknown", "madeBy": "Aunt Petra in Tarnwick", "allergens": "mustard"}},
	{2, 1, object{"count": 5, "what": "spiced crab apples", "strength": "hot pack", "jar": "pint", "process": "own", "source": "Jars of the Upper Valley (1988), p. 41"}},
	{2, 3, object{"count": 6, "product": "plums", "form": "whole", "strength": "hot pack, in light syrup", "jar": "quart"}},
}

// wanted is what three households and the hut want.
var wanted = []object{
	{"for": "household", "product": "peaches", "jar": "quart", "count": 30},
	{"for": "household", "product": "applesauce", "jar": "pint", "count": 36, "note": "Sunday pancakes."},
	{"for": "household", "product": "pears", "jar": "quart", "count": 6},
	{"for": "guests", "product": "plums", "jar": "quart", "count": 8, "note": "For the hut on the pass, before the snow."},
	{"for": "gifts", "product": "cherries", "jar": "pint", "count": 6},
}

// shelf lays out the cellar: jars of two seasons, one open, one given away, and what is
// wanted of them.
func (c client) shelf(ctx context.Context, now time.Time) error {
	var cellar struct {
		Places []struct{ ID, Name string } `json:"places"`
	}
	if err := c.do(ctx, http.MethodGet, "/api/shelf", nil, &cellar); err != nil {
		return err
	}
	var first []string // of each kind
	for _, j := range standing {
		fields := object{"origin": "before", "process": "told", "madeBy": "Ilse", "canned": now.AddDate(0, -j.monthsAgo, 0).Format(time.DateOnly), "place": cellar.Places[j.place].ID}
		for k, v := range j.fields {
			fields[k] = v
		}
		var added struct{ IDs []string }
		if err := c.do(ctx, http.MethodPost, "/api/shelf/jars", fields, &added); err != nil {
			return err
		}
		first = append(first, added.IDs[0])
	}
	for i, told := range map[int]object{1: {"act": "opened"}, 3: {"act": "given", "who": "Hanne at the mill"}, 5: {"act": "looked"}} {
		if err := c.do(ctx, http.MethodPost, "/api/shelf/jars/"+first[i]+"/tell", told, nil); err != nil {
			return err
		}
	}
	for _, w := range wanted {
		if w["product"] == "plums" {
			w = object{"by": now.AddDate(0, 0, 25).Format(time.DateOnly), "for": w["for"], "product": w["product"], "jar": w["jar"], "count": w["count"], "note": w["note"]}
		}
		if err := c.do(ctx, http.MethodPost, "/api/wants", w, nil); err != nil {
			return err
		}
	}
	year := now.Format("2006")
	for i, marks := range map[int]object{2: {"headspace": 8, "cut": 9, "glass": 7, "liquid": 9}, 7: {"headspace": 9, "cut": 6, "glass": 9}} {
		if err := c.do(ctx, http.MethodPut, strings.Join([]string{"/api/bench", year, first[i]}, "/"), object{"marks": marks, "place": 0, "note": ""}, nil); err != nil {
			return err
		}
	}
	return nil
}
