package run

import "math"

// Reading is what a thermometer in the pot says.
type Reading struct {
	At      Stamp
	Celsius float64
}

// When a thermometer is believed, in °C and milliseconds. A plateau within NearBoil of
// the local boiling point for BoilFor is a boil; under UnderBoil for LostFor it is lost.
// Between the two nothing is proposed, so that noise does not go back and forth.
const (
	nearBoil  = 0.6
	underBoil = 1.2
	flat      = 0.5          // the most that a plateau goes up and down
	oneF      = 5.0 / 9      // under the boiling point, a plateau that asks for the altitude
	creeping  = 0.12         // °C in half a low plateau: noise goes no further
	tooHot    = 3.0          // over the boiling point water does not go
	boilFor   = 45 * second  //
	lostFor   = 15 * second  //
	lowFor    = 240 * second //
	silentFor = 60 * second  //
	lookBack  = 10 * minute  // for a forecast
	warmest   = 75.0         // a low plateau is looked for from here
)

// Proposal is what a thermometer makes of the load; the cook confirms it.
type Proposal struct {
	Kind   Kind // Boil, BoilBack, BoilLost, Plateau; empty: nothing
	AgoMs  int64
	Silent bool // nothing was read for a minute
	Lies   bool // it reads what water cannot be
	// ToBoilMs is a forecast of the boil by how fast it warms; under 0: none.
	ToBoilMs int64
	Cooler   Stamp // when it last read under the boil; zero: never since it was heard
	Low      float64
}

// Watch says what readings, the oldest first, make of a load. It only ever proposes: a
// thermometer that dies, lags or lies cannot shorten a time.
func (l Load) Watch(readings []Reading, s State, now Stamp) Proposal {
	p := Proposal{ToBoilMs: -1}
	var own []Reading // of this start of the machine, and not from the future
	for _, r := range readings {
		if _, sure := now.Since(r.At); sure && !math.IsNaN(r.Celsius) {
			own = append(own, r)
		}
	}
	if len(own) == 0 {
		p.Silent = true
		return p
	}
	last := own[len(own)-1]
	age, _ := now.Since(last.At)
	for _, r := range own {
		if r.Celsius < l.BoilC-nearBoil {
			p.Cooler = r.At
		}
	}
	switch {
	case age > silentFor:
		p.Silent = true
		return p
	case last.Celsius > l.BoilC+tooHot || last.Celsius < -5:
		p.Lies = true
		return p
	}
	long := func(ms int64, fits func(Reading) bool) (since int64, ok bool) {
		for i := len(own) - 1; i >= 0; i-- {
			since, _ = now.Since(own[i].At)
			if !fits(own[i]) {
				return since, false
			}
			if since >= ms {
				return since, true
			}
		}
		return since, false
	}
	switch s.Phase {
	case Heating, Lost:
		if since, ok := long(boilFor, func(r Reading) bool { return r.Celsius >= l.BoilC-nearBoil && r.Celsius <= l.BoilC+tooHot }); ok && steady(own, now, since) {
			if p.Kind = Boil; s.Phase == Lost {
				p.Kind = BoilBack
			}
			return p
		}
		if p.lowPlateau(l, own, s, now, long) {
			return p
		}
		p.ToBoilMs = forecast(own, now, l.BoilC)
	case Boiling, TimeUp:
		if p.lowPlateau(l, own, s, now, long) {
			return p
		}
		// A loss is a fall: from the boil, or from the plateau on which it boiled.
		from := math.Inf(-1)
		for _, r := range own {
			from = max(from, r.Celsius)
		}
		from = min(from, l.BoilC)
		if since, ok := long(lostFor, func(r Reading) bool { return r.Celsius < from-underBoil }); ok {
			p.Kind, p.AgoMs = BoilLost, since
		}
	}
	return p
}

// lowPlateau says whether the water stands steady at more than 1 °F under where it
// should boil, as it does where the altitude is set too low. It is asked once.
func (p *Proposal) lowPlateau(l Load, own []Reading, s State, now Stamp, long func(int64, func(Reading) bool) (int64, bool)) bool {
	if s.AltitudeAsked || s.answered {
		return false
	}
	since, ok := long(lowFor, func(r Reading) bool { return r.Celsius > warmest && r.Celsius < l.BoilC-oneF })
	if !ok || !steady(own, now, since) || drifting(own, now, since) {
		return false
	}
	p.Kind, p.Low = Plateau, own[len(own)-1].Celsius
	return true
}

// steady says whether readings of the last so many milliseconds lie on a plateau.
func steady(readings []Reading, now Stamp, ms int64) bool {
	low, high := math.Inf(1), math.Inf(-1)
	for _, r := range readings {
		if ago, _ := now.Since(r.At); ago <= ms {
			low, high = min(low, r.Celsius), max(high, r.Celsius)
		}
	}
	return high-low <= 2*flat
}

// drifting says whether the two halves of the last so many milliseconds differ by more
// than noise: a slow pot, or one that cools with the flame out, is no plateau.
func drifting(readings []Reading, now Stamp, ms int64) bool {
	var sum, n [2]float64
	for _, r := range readings {
		if ago, _ := now.Since(r.At); ago <= ms {
			half := 0
			if ago < ms/2 {
				half = 1
			}
			sum[half] += r.Celsius
			n[half]++
		}
	}
	return n[0] == 0 || n[1] == 0 || math.Abs(sum[1]/n[1]-sum[0]/n[0]) > creeping
}

// forecast draws the line of the last minutes on to the boil; under 0 where it does not
// warm.
func forecast(readings []Reading, now Stamp, boil float64) int64 {
	var n, sx, sy, sxx, sxy float64
	for _, r := range readings {
		ago, _ := now.Since(r.At)
		if ago > lookBack {
			continue
		}
		x := -float64(ago) / float64(minute)
		n, sx, sy, sxx, sxy = n+1, sx+x, sy+r.Celsius, sxx+x*x, sxy+x*r.Celsius
	}
	d := n*sxx - sx*sx
	if n < 5 || d < 0.5 {
		return -1
	}
	slope := (n*sxy - sx*sy) / d
	here := (sy - slope*sx) / n
	if slope < 0.05 {
		return -1
	}
	return int64(max(0, (boil-here)/slope) * float64(minute))
}
