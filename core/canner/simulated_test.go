package canner

import (
	"math"
	"slices"
	"testing"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

func simulatedPot(t testing.TB) *Simulated {
	t.Helper()
	return &Simulated{Pot: Default, Burner: Burner{Watts: 3500, Kind: Gas}, Boil: measure.Celsius(96.6), Room: measure.Celsius(22), Litres: 12, Celsius: 15, Heat: 1}
}

// TestSimulatedAgrees holds the simulated pot, in steps of many sizes, to what HeatUp
// works out for the same pot at once.
func TestSimulatedAgrees(t *testing.T) {
	quart, _ := jar.Find("quart")
	jars := slices.Repeat([]jar.Jar{quart}, 7)
	for _, step := range []float64{0.5, 7, 60} {
		s := simulatedPot(t)
		w := Water{Pour: measure.Litres(s.Litres)}
		want := s.Pot.HeatUp(s.Burner, w, jars, measure.Celsius(15), measure.Fahrenheit(180), s.Boil, s.Room, 1)
		run := 0.0
		for s.Celsius < measure.Fahrenheit(180).Celsius() {
			s.Run(step)
			run += step
		}
		if math.Abs(run/60-want.ToFilling) > step/60+0.01 {
			t.Errorf("in steps of %v s %.2f min to filling, want %.2f", step, run/60, want.ToFilling)
		}
		s.Celsius = measure.Fahrenheit(180).Celsius()
		s.PutIn(jars, measure.Fahrenheit(180))
		if s.Celsius < 82.1 || s.Celsius > 82.3 {
			t.Errorf("jars as warm as the water changed it to %.2f °C", s.Celsius)
		}
		run = 0
		for !s.Boiling() {
			s.Run(step)
			run += step
		}
		if math.Abs(run/60-want.ToBoil) > step/60+0.01 {
			t.Errorf("in steps of %v s %.2f min to the boil, want %.2f", step, run/60, want.ToBoil)
		}
	}
}

func TestSimulatedPulledDownAndBoiledAway(t *testing.T) {
	quart, _ := jar.Find("quart")
	s := simulatedPot(t)
	s.Celsius = s.Boil.Celsius()
	cold := measure.Celsius(20)
	// By hand: 12 l × 4.186 + 1.8 kg × 0.5 at 96.6, one quart of fruit and its glass at 20.
	water := 12*4.186 + 1.8*0.5
	own := quart.Capacity.Litres()*3.7 + quart.Glass.Grams()/1000*0.84
	s.PutIn([]jar.Jar{quart}, cold)
	if want := (water*96.6 + own*20) / (water + own); math.Abs(s.Celsius-want) > 0.01 {
		t.Errorf("%.2f °C, want %.2f", s.Celsius, want)
	}
	if s.Boiling() {
		t.Error("it boils with a cold jar in it")
	}
	for !s.Boiling() {
		s.Run(1)
	}
	before := s.Litres
	s.Run(3600)
	// Of 1400 W what the pot does not lose to the room boils water away, at 2257 kJ/kg.
	loss := 15 * s.Pot.surface() * (96.6 - 22)
	if want := (1400 - loss) * 3600 / 1000 / 2257; math.Abs(before-s.Litres-want) > 0.01 {
		t.Errorf("%.2f l boiled away in an hour, want %.2f", before-s.Litres, want)
	}
	s.Heat = 0
	if s.Boiling() {
		t.Error("it boils without heat")
	}
	s.Run(600)
	if s.Celsius >= s.Boil.Celsius() {
		t.Error("it does not cool")
	}
	s.Heat, s.Celsius = 1, s.Boil.Celsius()
	s.TopUp(3, cold)
	if s.Boiling() || s.Litres < before {
		t.Errorf("%v, %.1f l", s.Celsius, s.Litres)
	}
	now := s.Celsius
	if s.Run(-5); s.Celsius != now {
		t.Error("time ran backwards")
	}
}
