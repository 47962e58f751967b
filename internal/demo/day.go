package demo

import (
	"context"
	"net/http"
	"slices"
	"time"
)

// planned is what is made tomorrow, by product: all by supper at six.
var planned = []string{"grape-juice", "applesauce", "pineapple", "apple-pie-filling"}

// vows is what the cousins swore to do differently.
var vows = []object{
	{"product": "peaches", "words": "rest the jars the full five minutes before they are lifted: last time two lost liquid"},
	{"product": "applesauce", "words": "half the russets, half the sweetings; all sweetings was dull"},
}

// day plans tomorrow: Ilse is there all day, Marlow comes at two, and supper is at six.
func (c client) day(ctx context.Context, now time.Time, saved map[string]string) error {
	tomorrow := "/api/days/" + now.AddDate(0, 0, 1).Format(time.DateOnly)
	if err := c.do(ctx, http.MethodPut, tomorrow, object{
		"begin": "8:00", "by": "18:00", "late": "", "burners": 4, "pots": 2,
		"cooks": []object{
			{"name": "Ilse", "from": "8:00", "to": "18:30", "breaks": []object{{"from": "12:30", "to": "13:00"}}},
			{"name": "Marlow", "from": "14:00", "to": "18:30", "breaks": []object{}},
		},
	}, nil); err != nil {
		return err
	}
	for _, product := range planned {
		if err := c.do(ctx, http.MethodPost, tomorrow+"/batches", object{"batch": saved[product]}, nil); err != nil {
			return err
		}
	}
	for _, v := range slices.Backward(vows) {
		if err := c.do(ctx, http.MethodPost, "/api/vows", v, nil); err != nil {
			return err
		}
	}
	return nil
}
