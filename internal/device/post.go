package device

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"net/url"
)

// Post sends readings to a kitchen by its open endpoint, as a home-built sensor does.
type Post struct {
	Address string // http://127.0.0.1:8080
	Client  *http.Client
}

// Temperature sends what a thermometer in a canner reads. canner is its name or id.
func (p Post) Temperature(ctx context.Context, canner string, t Thermometer) error {
	celsius, err := t.ReadCelsius(ctx)
	if err != nil {
		return fmt.Errorf("reading the thermometer: %w", err)
	}
	return p.send(ctx, "/api/thermometers/readings", map[string]any{"canner": canner, "celsius": celsius})
}

// Weight sends what a scale reads.
func (p Post) Weight(ctx context.Context, name string, s Scale) error {
	mass, err := s.Weigh(ctx)
	if err != nil {
		return fmt.Errorf("reading the scale: %w", err)
	}
	return p.send(ctx, "/api/scales/"+url.PathEscape(name)+"/readings", map[string]any{"grams": mass.Grams()})
}

func (p Post) send(ctx context.Context, path string, body any) error {
	raw, err := json.Marshal(body)
	if err != nil {
		return err
	}
	req, err := http.NewRequestWithContext(ctx, http.MethodPost, p.Address+path, bytes.NewReader(raw))
	if err != nil {
		return err
	}
	req.Header.Set("Content-Type", "application/json")
	res, err := p.Client.Do(req)
	if err != nil {
		return fmt.Errorf("sending a reading: %w", err)
	}
	defer res.Body.Close()
	if res.StatusCode >= 300 {
		said, _ := io.ReadAll(io.LimitReader(res.Body, 1<<10))
		return fmt.Errorf("the kitchen did not take the reading: %s: %s", res.Status, said)
	}
	return nil
}
