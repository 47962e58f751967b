package device

import (
	"context"
	"math/rand/v2"
	"sync"

	"mellisca/core/canner"
	"mellisca/core/measure"
)

// Thermometer stands in a canner.
type Thermometer interface {
	// ReadCelsius reads it; it errs where nothing was heard.
	ReadCelsius(ctx context.Context) (float64, error)
}

// Scale is a kitchen scale.
type Scale interface {
	Weigh(ctx context.Context) (measure.Mass, error)
}

// PotThermometer is the simulated Thermometer: it stands in a simulated pot and is off
// by a little noise, as real ones are. The pot is run by whoever holds it.
type PotThermometer struct {
	mu    sync.Mutex
	pot   *canner.Simulated
	noise *rand.Rand
}

// thermometerNoise is by how much it is off, in °C.
const thermometerNoise = 0.06

// NewPotThermometer puts one into a pot. The same seed brings the same noise.
func NewPotThermometer(pot *canner.Simulated, seed uint64) *PotThermometer {
	return &PotThermometer{pot: pot, noise: rand.New(rand.NewPCG(seed, 31))}
}

// Run lets time pass in the pot.
func (t *PotThermometer) Run(seconds float64) {
	t.mu.Lock()
	t.pot.Run(seconds)
	t.mu.Unlock()
}

// ReadCelsius reads the pot.
func (t *PotThermometer) ReadCelsius(context.Context) (float64, error) {
	t.mu.Lock()
	defer t.mu.Unlock()
	return t.pot.Celsius + t.noise.NormFloat64()*thermometerNoise, nil
}

// BenchScale is the simulated Scale: what lies on it, to the five grams that kitchen
// scales show.
type BenchScale struct {
	mu sync.Mutex
	on measure.Mass
}

// Put lays something on it, in place of what lay there.
func (s *BenchScale) Put(m measure.Mass) {
	s.mu.Lock()
	s.on = m
	s.mu.Unlock()
}

// Weigh reads it.
func (s *BenchScale) Weigh(context.Context) (measure.Mass, error) {
	s.mu.Lock()
	defer s.mu.Unlock()
	const step = 5 * measure.Gram
	return (s.on + step/2) / step * step, nil
}
