// Package demo lays out a made-up kitchen: two cousins, Ilse and Marlow
// Tarrant, in Corvane, a hill village at 3,480 ft that does not exist. It writes
// through the HTTP API, by the same doors that a cook uses.
//
//	err := demo.Fill(ctx, "http://127.0.0.1:8080")
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

// Fill lays the scenario out in the kitchen served at address. A kitchen that
// has batches already is left as it is.
func Fill(ctx context.Context, address string) error {
	c := client{address}
	var there []json.RawMessage
	if err := c.do(ctx, http.MethodGet, "/api/batches", nil, &there); err != nil {
		return err
	}
	if len(there) > 0 {
		return nil
	}
	var k struct {
		Version int `json:"version"`
	}
	if err := c.do(ctx, http.MethodGet, "/api/kitchen", nil, &k); err != nil {
		return err
	}
	if err := c.do(ctx, http.MethodPut, "/api/kitchen", object{
		"name": "Ilse and Marlow's kitchen, Corvane", "altitude": "3,480 ft", "units": "us", "version": k.Version,
		"jars": []string{"half-pint", "pint", "pint-wide", "quart", "quart-wide"},
	}, nil); err != nil {
		return err
	}
	if err := c.do(ctx, http.MethodPut, "/api/prices", prices, nil); err != nil {
		return err
	}
	if err := c.stove(ctx); err != nil {
		return err
	}
	if err := c.larder(ctx, time.Now()); err != nil {
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
	for _, b := range batches(ids) {
		if err := c.do(ctx, http.MethodPost, "/api/batches", b, nil); err != nil {
			return err
		}
	}
	return nil
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

// do sends body as JSON and reads the answer into out; nil is nothing.
func (c client) do(ctx context.Context, method, path string, body, out any) error {
	var send io.Reader
	if body != nil {
		raw, err := json.Marshal(body)
		if err != nil {
			return err
		}
		send = bytes.NewReader(raw)
	}
	req, err := http.NewRequestWithContext(ctx, method, c.address+path, send)
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
