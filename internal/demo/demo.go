// Package demo lays out a made-up kitchen: two cousins, Ilse and Marlow
// Tarrant, in Corvane, a hill village at 3,480 ft that does not exist. It writes
// through the HTTP API, by the same doors that a cook uses.
//
//	new, err := demo.Before(ctx, "http://127.0.0.1:8081", clock)
//	err = demo.Fill(ctx, "http://127.0.0.1:8080")
package demo

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"maps"
	"net/http"
	"time"
)

// Fill lays the rest of the scenario out, as it stands today, in a kitchen that Before
// began.
func Fill(ctx context.Context, address string) error {
	c := client{address}
	if err := c.do(ctx, http.MethodPut, "/api/prices", prices, nil); err != nil {
		return err
	}
	if err := c.larder(ctx, time.Now()); err != nil {
		return err
	}
	if err := c.shelf(ctx, time.Now()); err != nil {
		return err
	}
	var sources []struct {
		ID   string `json:"id"`
		Name string `json:"name"`
	}
	for _, src := range ownSources {
		if err := c.do(ctx, http.MethodPost, "/api/sources", src, &sources); err != nil {
			return err
		}
	}
	ids := map[string]string{}
	for _, src := range sources {
		ids[src.Name] = src.ID
	}
	kept := map[string]string{} // the last batch of each product
	for _, b := range batches(ids) {
		var saved struct {
			ID      string `json:"id"`
			Request struct {
				Product string `json:"product"`
			} `json:"request"`
		}
		if err := c.do(ctx, http.MethodPost, "/api/batches", b, &saved); err != nil {
			return err
		}
		kept[saved.Request.Product] = saved.ID
	}
	if err := c.hob(ctx, kept["pears"]); err != nil {
		return err
	}
	return c.day(ctx, time.Now(), kept)
}

// hob puts a load of a batch into the canner: it has boiled for a few minutes, and a
// juicer runs beside it.
func (c client) hob(ctx context.Context, batch string) error {
	var hob struct {
		Loads []struct {
			ID  string `json:"id"`
			Seq int    `json:"seq"`
		} `json:"loads"`
	}
	if err := c.do(ctx, http.MethodPost, "/api/stove/loads", object{"batch": batch}, &hob); err != nil {
		return err
	}
	const minute = 60_000
	for _, told := range []object{
		{"kind": "checked", "agoMs": 28 * minute}, {"kind": "jars-in", "agoMs": 26 * minute}, {"kind": "lid-on", "agoMs": 25 * minute}, {"kind": "boil", "agoMs": 4 * minute},
	} {
		told["after"] = hob.Loads[0].Seq
		if err := c.do(ctx, http.MethodPost, "/api/stove/loads/"+hob.Loads[0].ID+"/tell", told, &hob); err != nil {
			return err
		}
	}
	return c.do(ctx, http.MethodPost, "/api/stove/clocks", object{"kind": "juicer", "name": "the tall juicer"}, nil)
}

// stove lays out burners, and the pots that stand on them.
func (c client) stove(ctx context.Context) error {
	var all struct {
		Burners []struct {
			ID   string `json:"id"`
			Name string `json:"name"`
		} `json:"burners"`
	}
	for _, b := range burners {
		if err := c.do(ctx, http.MethodPost, "/api/burners", b, &all); err != nil {
			return err
		}
	}
	for _, p := range pots {
		p = maps.Clone(p)
		for _, b := range all.Burners {
			if b.Name == standsOn[p["name"].(string)] {
				p["burner"] = b.ID
			}
		}
		if err := c.do(ctx, http.MethodPost, "/api/pots", p, nil); err != nil {
			return err
		}
	}
	return nil
}

// larder lays out the fruit at hand, and what earlier batches gave.
func (c client) larder(ctx context.Context, now time.Time) error {
	if err := c.do(ctx, http.MethodPut, "/api/stock", counted, nil); err != nil {
		return err
	}
	for _, b := range containers {
		if err := c.do(ctx, http.MethodPost, "/api/containers", b, nil); err != nil {
			return err
		}
	}
	for _, v := range varieties {
		if err := c.do(ctx, http.MethodPost, "/api/varieties", v, nil); err != nil {
			return err
		}
	}
	for _, l := range lots {
		fields := maps.Clone(l.fields)
		fields["got"] = now.AddDate(0, 0, -l.daysAgo).Format(time.DateOnly)
		var all struct {
			Lots []struct {
				ID   string `json:"id"`
				Name string `json:"name"`
			} `json:"lots"`
		}
		if err := c.do(ctx, http.MethodPost, "/api/lots", fields, &all); err != nil {
			return err
		}
		for _, kept := range all.Lots {
			if kept.Name == fields["name"] {
				if err := c.do(ctx, http.MethodPost, "/api/lots/"+kept.ID+"/tap", object{"ripeness": l.ripeness}, nil); err != nil {
					return err
				}
			}
		}
	}
	for _, b := range past {
		if err := c.do(ctx, http.MethodPost, "/api/closings", object{
			"product": b.product, "form": b.form, "pack": b.pack, "jars": b.jars, "fruit": b.fruit, "liquid": b.liquid,
			"prepareMinutes": b.prepare, "boilMinutes": b.boil, "note": b.note, "day": now.AddDate(0, -b.monthsAgo, 0).Format(time.DateOnly),
		}, nil); err != nil {
			return err
		}
	}
	return nil
}

type client struct{ address string }

func (c client) do(ctx context.Context, method, path string, body, out any) error {
	return Ask(ctx, c.address, method, path, body, out)
}

// Ask sends body as JSON to a kitchen and reads the answer into out; nil is nothing.
func Ask(ctx context.Context, address, method, path string, body, out any) error {
	var send io.Reader
	if body != nil {
		raw, err := json.Marshal(body)
		if err != nil {
			return err
		}
		send = bytes.NewReader(raw)
	}
	req, err := http.NewRequestWithContext(ctx, method, address+path, send)
	if err != nil {
		return err
	}
	req.Header.Set("Content-Type", "application/json")
	res, err := http.DefaultClient.Do(req)
	if err != nil {
		return err
	}
	defer res.Body.Close()
	raw, err := io.ReadAll(res.Body)
	if err != nil {
		return err
	}
	if res.StatusCode >= 300 {
		return fmt.Errorf("%s %s: %s: %s", method, path, res.Status, raw)
	}
	if out == nil {
		return nil
	}
	return json.Unmarshal(raw, out)
}
