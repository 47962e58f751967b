package canner

import (
	"math"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// vaporising is what a kilogram of water takes to boil away, in kJ.
const vaporising = 2257.0

// Simulated is a pot on its burner as it warms, by the same balance as HeatUp: for
// practice, and for trying things that watch a pot.
type Simulated struct {
	Pot     Pot
	Burner  Burner
	Boil    measure.Temperature
	Room    measure.Temperature
	Litres  float64   // of water in it
	Celsius float64   // of water and jars, well mixed; finer than a Temperature, for small steps
	Heat    float64   // how far the burner is turned up, 0 to 1
	Jars    []jar.Jar // standing in it
}

// capacity is what a kelvin takes, in kJ.
func (s *Simulated) capacity() float64 {
	c := s.Litres*waterHeat + s.Pot.Steel.Grams()/1000*steelHeat
	for _, j := range s.Jars {
		c += jarHeat(j)
	}
	return c
}

func jarHeat(j jar.Jar) float64 {
	return j.Capacity.Litres()*fruitHeat + j.Glass.Grams()/1000*glassHeat
}

// PutIn sets jars of a temperature into the water: they come to one heat.
func (s *Simulated) PutIn(jars []jar.Jar, at measure.Temperature) {
	c := s.capacity()
	s.Jars = append(s.Jars, jars...)
	all := s.capacity()
	s.Celsius = (s.Celsius*c + at.Celsius()*(all-c)) / all
}

// TopUp pours water in.
func (s *Simulated) TopUp(litres float64, at measure.Temperature) {
	c := s.capacity()
	s.Litres += litres
	s.Celsius = (s.Celsius*c + at.Celsius()*(s.capacity()-c)) / s.capacity()
}

// Run lets so many seconds pass. What heat comes in at the boil boils water away.
func (s *Simulated) Run(seconds float64) {
	if seconds <= 0 {
		return
	}
	watts, loss := s.Burner.Useful()*s.Heat, lossPerArea*s.Pot.surface()
	c := s.capacity() * 1000
	// C·dT/dt = P − U·(T − room): towards the heat at which it would rest.
	rest := s.Room.Celsius() + watts/loss
	t := rest - (rest-s.Celsius)*math.Exp(-loss*seconds/c)
	if t <= s.Boil.Celsius() {
		s.Celsius = t
		return
	}
	at := 0.0 // seconds until it boils
	if boil := s.Boil.Celsius(); s.Celsius < boil {
		at = c / loss * math.Log((rest-s.Celsius)/(rest-boil))
	}
	s.Celsius = s.Boil.Celsius()
	over := watts - loss*(s.Boil.Celsius()-s.Room.Celsius())
	s.Litres = max(0, s.Litres-over*(seconds-at)/1000/vaporising)
}

// Boiling says whether it boils hard: it is at the boil with heat to spare.
func (s *Simulated) Boiling() bool {
	spare := s.Burner.Useful()*s.Heat - lossPerArea*s.Pot.surface()*(s.Boil.Celsius()-s.Room.Celsius())
	return s.Celsius >= s.Boil.Celsius() && spare > 0
}
