package measure

import (
	"math"
	"strings"
	"testing"
)

func TestParsePrice(t *testing.T) {
	for in, want := range map[string]Price{
		"3.49 for 4 lb": {349, 4 * Pound, 0}, "1.10 a kg": {110, Kilogram, 0}, "1.10/kg": {110, Kilogram, 0}, "2.50 per 2 l": {250, 0, 2 * Litre},
		"1,20 a kg": {120, Kilogram, 0}, "0 for 1 lb": {0, Pound, 0}, "2.80 for 64 fl oz": {280, 0, 8 * Cup}, " 5 a lb ": {500, Pound, 0},
	} {
		if got, err := ParsePrice(in); err != nil || got != want {
			t.Errorf("%q: %+v, %v; want %+v", in, got, err, want)
		}
	}
	for in, says := range map[string]string{
		"": "what it buys", "3.49": "what it buys", "3.49 for": "what it buys", "dear a kg": "no number", "3 lb for 2 lb": "plain number", "-1 a kg": "no number",
		"1 for 0 kg": "not a weight", "1 for a while": "not a weight", "99999999999 a kg": "too large",
	} {
		if got, err := ParsePrice(in); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%q: %+v, %v; want %q", in, got, err, says)
		}
	}
	p, _ := ParsePrice("3.49 for 4 lb")
	if kg, ok := p.CentsPerKilogram(); !ok || math.Abs(kg-192.35) > 0.01 {
		t.Errorf("a kilogram costs %v", kg)
	}
	if _, ok := p.CentsPerLitre(); ok {
		t.Error("a weight was priced by the litre")
	}
	p, _ = ParsePrice("2.50 for 2 l")
	if l, ok := p.CentsPerLitre(); !ok || l != 125 {
		t.Errorf("a litre costs %v", l)
	}
	for cents, want := range map[float64]string{0: "0.00", 5: "0.05", 120: "1.20", 12345.6: "123.46"} {
		if got := Money(cents); got != want {
			t.Errorf("%v cents: %q", cents, got)
		}
	}
}

func TestParseEach(t *testing.T) {
	for in, want := range map[string]float64{"4.29 for 12": 35.75, "0.35 each": 35, "0.35": 35, "0.60 an hour": 60, "12 for 12 jars": 100, "1,50 a jar": 150, "0": 0} {
		if got, err := ParseEach(in); err != nil || math.Abs(got-want) > 1e-9 {
			t.Errorf("%q: %v, %v; want %v", in, got, err, want)
		}
	}
	for _, bad := range []string{"", "dear", "4 for 0", "4 for many", "3 lb", "-1", "4.29 for", "99999999999"} {
		if got, err := ParseEach(bad); err == nil {
			t.Errorf("%q: %v", bad, got)
		}
	}
}

func FuzzParsePrice(f *testing.F) {
	for _, s := range []string{"3.49 for 4 lb", "1/kg", "1 1/2 a l", "9 for 1e9 kg", "½ per cup"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, s string) {
		p, err := ParsePrice(s)
		if err == nil && (p.Cents < 0 || (p.Mass > 0) == (p.Volume > 0)) {
			t.Fatalf("%q: %+v", s, p)
		}
		if cents, err := ParseEach(s); err == nil && !(cents >= 0) {
			t.Fatalf("%q: %v", s, cents)
		}
	})
}
