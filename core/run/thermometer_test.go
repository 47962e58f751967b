package run

import (
	"math/rand/v2"
	"testing"
)

// thermometer writes down a course of temperatures, read every five seconds with noise.
type thermometer struct {
	*kitchen
	r    *rand.Rand
	read []Reading
}

func with(k *kitchen) *thermometer { return &thermometer{k, rand.New(rand.NewPCG(3, 4)), nil} }

// go_ warms or cools evenly to a temperature in so many milliseconds.
func (th *thermometer) to(celsius float64, ms int64) Proposal {
	from := celsius
	if n := len(th.read); n > 0 {
		from = th.read[n-1].Celsius
	}
	for passed := int64(0); passed < ms; passed += 5 * second {
		th.wait(5 * second)
		at := from + (celsius-from)*float64(passed+5*second)/float64(ms)
		th.read = append(th.read, Reading{th.now, at + th.r.NormFloat64()*0.08})
	}
	return th.watch()
}

func (th *thermometer) watch() Proposal { return th.load.Watch(th.read, th.state(), th.now) }

func TestThermometerProposes(t *testing.T) {
	th := with(start(t, peaches).tell(Checked, JarsIn, LidOn))
	if p := th.watch(); !p.Silent {
		t.Errorf("nothing was read: %+v", p)
	}
	th.to(82, 10*second)
	p := th.to(92, 10*minute)
	if p.Kind != "" || p.ToBoilMs < 4*minute || p.ToBoilMs > 6*minute {
		t.Errorf("it warms by a degree a minute: %+v", p)
	}
	if p = th.to(96.6, 5*minute); p.Kind != "" {
		t.Errorf("at the boil for a moment: %+v", p)
	}
	if p = th.to(96.6, minute); p.Kind != Boil || p.Cooler.IsZero() {
		t.Errorf("a minute at the boil: %+v", p)
	}
	th.w = Witness{Cooler: p.Cooler}
	th.refused(Event{Kind: Boil, AgoMs: 4 * minute}, "thermometer read under the boil")
	th.tell(Boil)
	// Between the two thresholds it says nothing.
	if p = th.to(95.8, minute); p.Kind != "" {
		t.Errorf("a little under: %+v", p)
	}
	if p = th.to(94.5, minute); p.Kind != BoilLost || p.AgoMs < 10*second || p.AgoMs > minute {
		t.Errorf("well under: %+v", p)
	}
	th.tell(BoilLost)
	th.to(96.6, minute)
	if p = th.to(96.6, minute); p.Kind != BoilBack {
		t.Errorf("%+v", p)
	}
}

func TestThermometerAsksForTheAltitude(t *testing.T) {
	th := with(start(t, peaches).tell(Checked, JarsIn, LidOn))
	th.to(82, 10*second)
	th.to(95.4, 8*minute)
	p := th.to(95.4, 5*minute)
	if p.Kind != Plateau || p.Low < 95 || p.Low > 96 {
		t.Errorf("a plateau 2 °F too low: %+v", p)
	}
	th.tell(Plateau)
	if p = th.watch(); p.Kind == Plateau {
		t.Error("asked twice")
	}
	// A cook who says that it boils there is asked too; a fall from that plateau is a loss.
	th = with(start(t, peaches).tell(Checked, JarsIn, LidOn))
	th.to(82, 10*second)
	th.to(95.4, 8*minute)
	th.tell(Boil)
	if p = th.to(95.4, 5*minute); p.Kind != Plateau {
		t.Errorf("%+v", p)
	}
	th.tell(Plateau)
	if p = th.to(95.4, 5*minute); p.Kind != "" {
		t.Errorf("a true boil, higher up than was said, is no loss: %+v", p)
	}
	if p = th.to(93, minute); p.Kind != BoilLost {
		t.Errorf("%+v", p)
	}
	// A slow pot that warms by a quarter of a degree a minute is none.
	th = with(start(t, peaches).tell(Checked, JarsIn, LidOn))
	th.to(82, 10*second)
	for at := 82.25; at < 95.9; at += 0.25 {
		if p = th.to(at, minute); p.Kind != "" {
			t.Fatalf("at %.2f: %+v", at, p)
		}
	}
	// Nor one that cools as slowly, as with the flame out under much water.
	th = with(boiling(t, peaches))
	th.to(96.6, 2*minute)
	for at := 96.4; at > 92; at -= 0.2 {
		if p = th.to(at, minute); p.Kind == Plateau {
			t.Fatalf("at %.2f: %+v", at, p)
		}
	}
	if p.Kind != BoilLost {
		t.Errorf("%+v", p)
	}
	// One that lies within a degree Fahrenheit is weather.
	th = with(start(t, peaches).tell(Checked, JarsIn, LidOn))
	th.to(96.3, 5*minute)
	if p = th.to(96.3, 4*minute); p.Kind != Boil {
		t.Errorf("%+v", p)
	}
}

// TestAThermometerNeverShortens lets one die, lag and lie in every phase: what it says
// is a proposal that makes no event, and the time is the cook's.
func TestAThermometerNeverShortens(t *testing.T) {
	th := with(boiling(t, peaches))
	th.to(96.6, 5*minute)
	th.wait(2 * minute)
	if p := th.watch(); !p.Silent || p.Kind != "" {
		t.Errorf("dead for two minutes: %+v", p)
	}
	th.in(Boiling, 28*minute)
	th.read = append(th.read, Reading{th.now, 140})
	if p := th.watch(); !p.Lies || p.Kind != "" {
		t.Errorf("water at 140 °C: %+v", p)
	}
	// Readings of another start of the machine, or from the future, are not looked at.
	th.read = []Reading{{Stamp{th.now.WallMs, th.now.BootMs, "zero"}, 20}, {th.now.Back(-minute), 20}}
	if p := th.watch(); !p.Silent || p.Kind != "" {
		t.Errorf("%+v", p)
	}
	// One that reads hot from the first never makes a boil by itself.
	hot := with(start(t, peaches).tell(Checked, JarsIn, LidOn))
	for range 200 {
		hot.wait(5 * second)
		hot.read = append(hot.read, Reading{hot.now, 96.6})
	}
	if p := hot.watch(); p.Kind != Boil {
		t.Errorf("%+v", p)
	}
	hot.in(Heating, 0)
}
