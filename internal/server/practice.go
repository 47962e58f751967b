package server

import (
	"context"
	"math/rand/v2"
	"sync"

	"mellisca/internal/device"
	"mellisca/internal/live"
)

// practising holds the practice run, if there is one.
type practising struct {
	mu   sync.Mutex
	now  *live.Practice
	stop context.CancelFunc
}

func (s *server) practiceNow() *live.Practice {
	s.practice.mu.Lock()
	defer s.practice.mu.Unlock()
	return s.practice.now
}

func (s *server) practiceStove() *live.Stove {
	if p := s.practiceNow(); p != nil {
		return p.Stove
	}
	return nil
}

// startPractice begins a run on a simulated pot, in place of the one before.
func (s *server) startPractice(ctx context.Context, times float64, seed uint64) error {
	k, _, err := s.kitchenNow(ctx)
	if err != nil {
		return err
	}
	kept, pot, jars, err := practiceRun(k)
	if err != nil {
		return err
	}
	if seed == 0 {
		seed = rand.Uint64()
	}
	p, err := live.NewPractice(ctx, kept, pot, jars, device.NewQuick(s.clock, times), seed)
	if err != nil {
		return err
	}
	s.endPractice()
	going, stop := context.WithCancel(context.Background())
	s.practice.mu.Lock()
	s.practice.now, s.practice.stop = p, stop
	s.practice.mu.Unlock()
	go p.Simulate(going)
	return nil
}

func (s *server) endPractice() {
	s.practice.mu.Lock()
	defer s.practice.mu.Unlock()
	if s.practice.stop != nil {
		s.practice.stop()
	}
	s.practice.now, s.practice.stop = nil, nil
}
