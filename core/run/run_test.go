package run

import (
	"errors"
	"reflect"
	"slices"
	"strings"
	"testing"
)

// peaches in quarts at 3,480 ft.
var peaches = Load{Name: "peaches, in quarts", Jars: 7, Minutes: 35, HigherMinutes: 40, RestMinutes: 5, Hot: true, BoilC: 96.6}

// kitchen drives a load as a cook does, with both clocks in hand.
type kitchen struct {
	t      testing.TB
	load   Load
	events []Event
	now    Stamp
	seen   Stamp
	w      Witness
}

const noonMs = int64(1_786_708_800_000) // noon of 14 August 2026

func start(t testing.TB, l Load) *kitchen {
	return &kitchen{t: t, load: l, now: Stamp{noonMs, 5 * hour, "one"}}
}

func (k *kitchen) wait(ms int64) *kitchen { k.now = k.now.Back(-ms); return k }

func (k *kitchen) try(e Event) error {
	e, err := k.load.Accept(k.events, e, k.now, k.seen, k.w)
	if err == nil {
		k.events = append(k.events, e)
	}
	return err
}

func (k *kitchen) tell(kinds ...Kind) *kitchen {
	k.t.Helper()
	for _, kind := range kinds {
		if err := k.try(Event{Kind: kind}); err != nil {
			k.t.Fatalf("%s: %v", kind, err)
		}
	}
	return k
}

func (k *kitchen) refused(e Event, says string) {
	k.t.Helper()
	var r *Refusal
	if err := k.try(e); !errors.As(err, &r) || !strings.Contains(r.Text, says) || r.Field == "" {
		k.t.Errorf("%+v: %v, want %q", e, err, says)
	}
}

func (k *kitchen) state() State { return k.load.Fold(k.events, k.now, k.seen) }

func (k *kitchen) in(p Phase, leftMs int64) State {
	k.t.Helper()
	s := k.state()
	if s.Phase != p || s.LeftMs != leftMs {
		k.t.Errorf("%s with %d s left, want %s with %d s", s.Phase, s.LeftMs/1000, p, leftMs/1000)
	}
	return s
}

// reboot starts the machine again after some time off, with the wall clock set by jump.
func (k *kitchen) reboot(offMs, jump int64) *kitchen {
	k.seen = k.now
	k.now = Stamp{k.now.WallMs + offMs + jump, 30 * second, k.now.Boot + "+"}
	return k
}

// boiling is a load of which the time has just begun.
func boiling(t testing.TB, l Load) *kitchen {
	k := start(t, l).tell(Checked, JarsIn, LidOn).wait(20 * minute)
	return k.tell(Boil)
}

func TestALoadFromTheFirstJarToTheLast(t *testing.T) {
	k := start(t, peaches)
	k.refused(Event{Kind: JarsIn}, "First, in every jar: headspace right, bubbles out")
	k.refused(Event{Kind: Boil}, "Not now: the jars are being filled. What can be told now: a check")
	for {
		s := k.state()
		n := k.load.Next(s)
		if n.Kind != Checked {
			break
		}
		if err := k.try(Event{Kind: n.Kind, What: n.What}); err != nil {
			t.Fatal(err)
		}
	}
	if len(k.events) != 6 {
		t.Errorf("%d checks", len(k.events))
	}
	k.tell(JarsIn).in(Loaded, 0)
	k.tell(LidOn).wait(24*minute).in(Heating, 0)
	k.tell(Boil).in(Boiling, 35*minute)
	if ms, ok := ToBoil(k.events); !ok || ms != 24*minute {
		t.Errorf("%d min to the boil, %v", ms/minute, ok)
	}
	k.wait(34*minute).in(Boiling, minute)
	k.refused(Event{Kind: HeatOff}, "The time is not up")
	k.wait(minute).in(TimeUp, 0)
	k.wait(2 * minute).tell(HeatOff)
	if s := k.in(Resting, 5*minute); s.Short || s.CountedMs != 37*minute {
		t.Errorf("%+v", s)
	}
	if n := k.load.Next(k.state()); n.Kind != LidOff {
		t.Errorf("%+v", n)
	}
	k.tell(LidOff).wait(2 * minute)
	if n := k.load.Next(k.state()); n.Kind != "" || !strings.Contains(n.Do, "3 minutes more") {
		t.Errorf("%+v", n)
	}
	k.wait(3*minute).in(Resting, 0)
	k.tell(Out).wait(13 * hour)
	if s := k.in(Cooling, 0); s.Short || s.SinceOut != 13*hour || slices.ContainsFunc(s.Jars, func(j JarState) bool { return j.Short }) {
		t.Errorf("%+v", s)
	}
}

func TestBoilLostStartsTheFullTime(t *testing.T) {
	k := boiling(t, peaches).wait(34 * minute)
	k.tell(BoilLost).in(Lost, 0)
	k.wait(3*minute).tell(BoilBack).in(Boiling, 35*minute)
	k.wait(20 * minute).tell(TopsBare)
	if s := k.in(Lost, 0); s.Restarts != 2 {
		t.Errorf("%d restarts", s.Restarts)
	}
	k.tell(BoilBack, ToppedUp).wait(34 * minute)
	if err := k.try(Event{Kind: HeatOff, What: Early}); err != nil {
		t.Fatal(err)
	}
	if s := k.state(); !s.Short || s.ShortMs != minute || !s.Jars[6].Short || s.Phase != Resting {
		t.Errorf("a minute short: %+v", s)
	}
	k.tell(LidOff, Out)
	if n := k.load.Next(k.state()); !strings.Contains(n.Do, "not for the shelf") {
		t.Errorf("%+v", n)
	}
	k.refused(Event{Kind: Boil}, "Not now: the jars are out")
}

func TestSteamKeepsItsLidOn(t *testing.T) {
	l := peaches
	l.Steam = true
	k := boiling(t, l).wait(10 * minute)
	k.tell(LidLifted).in(Lost, 0)
	k.tell(BoilBack).wait(35 * minute).tell(HeatOff)
	if n := k.load.Next(k.state()); n.Kind != "" {
		t.Errorf("in steam the lid stays on for the rest: %+v", n)
	}
	if n := k.wait(5 * minute).load.Next(k.state()); n.Kind != LidOff {
		t.Errorf("%+v", n)
	}
	// In boiling water a lid that was lifted costs nothing by itself.
	boiling(t, peaches).wait(10*minute).tell(LidLifted).in(Boiling, 25*minute)
}

// TestWallClockJumps sets the wall clock in the middle of everything.
func TestWallClockJumps(t *testing.T) {
	for what, jump := range map[string]int64{"two hours back": -2 * hour, "two hours on": 2 * hour, "summer time ends": -hour, "summer time begins": hour, "a year": 365 * 24 * hour} {
		k := boiling(t, peaches).wait(10 * minute)
		k.now.WallMs += jump
		k.in(Boiling, 25*minute)
		k.wait(24 * minute)
		k.now.WallMs -= jump / 2
		k.in(Boiling, minute)
		k.wait(minute).tell(HeatOff)
		k.now.WallMs += jump
		if s := k.in(Resting, 5*minute); s.Short {
			t.Errorf("%s: %+v", what, s)
		}
	}
	// Where the machine's own clock went back, nothing is sure, and the cook is asked.
	k := boiling(t, peaches).wait(10 * minute)
	k.now.BootMs -= 11 * minute
	if s := k.state(); s.Phase != Held {
		t.Errorf("%s", s.Phase)
	}
}

func TestAfterAReboot(t *testing.T) {
	held := func(off, jump int64) *kitchen {
		k := boiling(t, peaches).wait(10*minute).reboot(off, jump)
		if s := k.state(); s.Phase != Held || s.CountedMs != 10*minute {
			t.Fatalf("%s, %d s counted", s.Phase, s.CountedMs/1000)
		}
		k.refused(Event{Kind: HeatOff}, "waiting for your answer")
		return k
	}
	answer := func(k *kitchen, since int64) *kitchen {
		t.Helper()
		if err := k.try(Event{Kind: Confirmed, SinceMs: since}); err != nil {
			t.Fatal(err)
		}
		return k
	}
	// All the time, since it was told.
	k := answer(held(4*minute, 0), 14*minute)
	k.in(Boiling, 21*minute)
	k.wait(21*minute).in(TimeUp, 0)
	// The cook is sure of less.
	answer(held(4*minute, 0), 6*minute).in(Boiling, 29*minute)
	// The cook claims more than the clocks can give.
	answer(held(4*minute, 0), 3*hour).in(Boiling, 21*minute)
	// The wall clock was set back meanwhile: its smaller reading counts.
	answer(held(4*minute, -3*minute), 14*minute).in(Boiling, 24*minute)
	// It was set forward before the machine went down: what was sure then bounds it.
	k = boiling(t, peaches).wait(10 * minute)
	k.now.WallMs += 2 * hour
	answer(k.reboot(4*minute, 0), 3*hour).in(Boiling, 21*minute)
	// Unsure is the full time again.
	k = held(4*minute, 0).tell(Unsure)
	k.in(Lost, 0)
	k.tell(BoilBack).wait(35*minute).in(TimeUp, 0)
	// Down twice, answered twice.
	k = answer(held(4*minute, 0), 14*minute).wait(5*minute).reboot(minute, 0)
	if s := k.state(); s.Phase != Held || s.CountedMs != 19*minute {
		t.Errorf("%s %d", s.Phase, s.CountedMs/1000)
	}
	answer(k, hour).in(Boiling, 15*minute)
	// A rest over a reboot counts only what is sure again, and lifting needs no hurry.
	k = boiling(t, peaches).wait(35*minute).tell(HeatOff).wait(2*minute).reboot(minute, 0)
	k.in(Resting, 5*minute-30*second)
	// An unsealed jar's day is counted by the longer reading.
	k = boiling(t, peaches).wait(35*minute).tell(HeatOff, LidOff, Out).wait(hour).reboot(2*hour, -2*hour)
	if s := k.state(); s.SinceOut < hour {
		t.Errorf("%d min since out", s.SinceOut/minute)
	}
}

func TestABoilPutBack(t *testing.T) {
	back := func(ms int64) Event { return Event{Kind: Corrected, Target: 4, ShiftMs: -ms} }
	k := boiling(t, peaches).wait(2 * minute)
	if err := k.try(back(3 * minute)); err != nil {
		t.Fatal(err)
	}
	if s := k.in(Boiling, 30*minute); !s.Corrected {
		t.Error("the correction does not show")
	}
	k.refused(back(3*minute), "5 minutes at most") // six in all
	if err := k.try(back(2 * minute)); err != nil {
		t.Fatal(err)
	}
	k.in(Boiling, 28*minute)
	k.wait(28 * minute).tell(HeatOff)
	k.refused(back(second), "only while its time runs")
	k.refused(Event{Kind: Corrected, Target: 99, ShiftMs: 1}, "no such event")
	k.refused(Event{Kind: Corrected, Target: 4}, "by how much")
	k.refused(Event{Kind: Corrected, Target: 4, ShiftMs: hour}, "later than now")
	// Put later, a finished load comes out short, and its jars say so.
	if err := k.try(Event{Kind: Corrected, Target: 4, ShiftMs: 4 * minute}); err != nil {
		t.Fatal(err)
	}
	if s := k.state(); !s.Short || s.ShortMs != 4*minute || !s.Jars[0].Short {
		t.Errorf("%+v", s)
	}

	k = start(t, peaches).tell(Checked, JarsIn, LidOn).wait(minute)
	k.refused(Event{Kind: Boil, AgoMs: 2 * minute}, "lid was not on")
	k.wait(20 * minute)
	k.refused(Event{Kind: Boil, AgoMs: 6 * minute}, "5 minutes at most")
	k.w = Witness{Cooler: k.now.Back(2 * minute)}
	k.refused(Event{Kind: Boil, AgoMs: 3 * minute}, "thermometer read under the boil")
	if err := k.try(Event{Kind: Boil, AgoMs: minute}); err != nil {
		t.Fatal(err)
	}
	k.in(Boiling, 34*minute)
	k.w = Witness{} // the server went down, and with it what the thermometer read
	k.refused(Event{Kind: Corrected, Target: k.state().Seq, ShiftMs: -2 * minute}, "thermometer read under the boil")
	k.tell(BoilLost).wait(minute)
	k.refused(Event{Kind: BoilBack, AgoMs: 2 * minute}, "had been lost")
	k.refused(Event{Kind: Boil, AgoMs: -1}, "still to come")
}

func TestToldLate(t *testing.T) {
	k := boiling(t, peaches).wait(35*minute).tell(HeatOff, LidOff).wait(5 * minute).tell(Out)
	if k.state().Short {
		t.Fatal("short")
	}
	// Someone remembers that it had gone off the boil, twenty minutes ago.
	if err := k.try(Event{Kind: BoilLost, AgoMs: 20 * minute}); err != nil {
		t.Fatal(err)
	}
	if s := k.state(); !s.Short || s.Phase != Cooling || !s.Jars[3].Short || s.ShortMs != 35*minute {
		t.Errorf("%+v", s)
	}
	// What was told of a loss cannot be put later, only taken back within a minute.
	k.refused(Event{Kind: Corrected, Target: k.state().Seq, ShiftMs: minute}, "lengthen the time")
	if err := k.try(Event{Kind: Corrected, Target: 8, Void: true}); err != nil {
		t.Fatal(err)
	}
	if s := k.state(); s.Short || !s.Corrected {
		t.Errorf("%+v", s)
	}
	k.refused(Event{Kind: Corrected, Target: 8, Void: true}, "taken back already")
	k.tell(BoilLost).wait(2 * minute)
	k.refused(Event{Kind: Corrected, Target: k.state().Seq, Void: true}, "within a minute only")
	k.refused(Event{Kind: Corrected, Target: 99, Void: true}, "no such event")
}

func TestMistakenTaps(t *testing.T) {
	k := boiling(t, peaches).wait(10 * minute).tell(BoilLost).wait(20 * second)
	if err := k.try(Event{Kind: Corrected, Target: 5, Void: true}); err != nil {
		t.Fatal(err)
	}
	k.in(Boiling, 25*minute-20*second)
	k.tell(BoilLost).wait(2 * minute)
	k.refused(Event{Kind: Corrected, Target: 7, Void: true}, "within a minute only")
	if err := k.try(Event{Kind: JarBroken, Jar: 3}); err != nil {
		t.Fatal(err)
	}
	if err := k.try(Event{Kind: Corrected, Target: 8, Void: true}); err != nil {
		t.Fatal(err)
	}
	if s := k.state(); s.Jars[2].Broken || !s.Jars[2].Mistaken || s.Jars[1].Mistaken {
		t.Errorf("%+v", s.Jars)
	}
	// A correction that was a mistake is taken back within a minute, and only once.
	k = boiling(t, peaches).wait(35 * minute).tell(HeatOff).wait(10 * minute)
	if err := k.try(Event{Kind: Corrected, Target: 4, Void: true}); err != nil || !k.state().Short {
		t.Fatal(err, "a load without a boil is not short")
	}
	k.wait(20 * second)
	if err := k.try(Event{Kind: Corrected, Target: 6, Void: true}); err != nil || k.state().Short {
		t.Fatal(err, "the correction stays")
	}
	k.refused(Event{Kind: Corrected, Target: 6, Void: true}, "taken back already")
	k.refused(Event{Kind: Corrected, Target: 7, Void: true}, "only once")
	if err := k.try(Event{Kind: Corrected, Target: 4, ShiftMs: minute}); err != nil || !k.state().Short {
		t.Fatal(err, "a boil a minute later is not short")
	}
	k.wait(2 * minute)
	k.refused(Event{Kind: Corrected, Target: 8, Void: true}, "within a minute")
	// A boil that was no boil: back to heating, at no cost but the time.
	k = boiling(t, peaches).wait(10 * minute)
	if err := k.try(Event{Kind: Corrected, Target: 4, Void: true}); err != nil {
		t.Fatal(err)
	}
	k.in(Heating, 0)
}

func TestJarsOneByOne(t *testing.T) {
	l := peaches
	l.Acid = true
	k := start(t, l)
	if s := k.state(); s.Checks[0] != Acid {
		t.Errorf("%v", s.Checks)
	}
	if err := k.try(Event{Kind: Checked, Except: []int{2, 5}, What: "headspace"}); err != nil {
		t.Fatal(err)
	}
	for _, c := range []Check{Acid, Bubbles, TopUp, Rim, FlatLid, Band} {
		if err := k.try(Event{Kind: Checked, What: string(c)}); err != nil {
			t.Fatal(err)
		}
	}
	if s := k.state(); !reflect.DeepEqual(s.Checks, []Check{Headspace}) || !reflect.DeepEqual(s.Jars[1].Missing, []Check{Headspace}) || len(s.Jars[0].Missing) != 0 {
		t.Errorf("%+v", s)
	}
	k.refused(Event{Kind: JarsIn}, "headspace right")
	for _, e := range []Event{{Kind: Checked, What: "headspace", Jar: 2}, {Kind: SetAside, Jar: 5}} {
		if err := k.try(e); err != nil {
			t.Fatal(err)
		}
	}
	k.tell(JarsIn, LidOn, Boil).wait(35 * minute)
	for _, e := range []Event{{Kind: JarLeaking, Jar: 1}, {Kind: JarBroken, Jar: 7}, {Kind: HeatOff}} {
		if err := k.try(e); err != nil {
			t.Fatal(err)
		}
	}
	s := k.state()
	if !s.Jars[4].Aside || !s.Jars[6].Broken || !s.Jars[0].Leaking || s.Short {
		t.Errorf("%+v", s.Jars)
	}
	k.refused(Event{Kind: JarBroken}, "which jar")
	k.refused(Event{Kind: JarBroken, Jar: 8}, "1 to 7")
	k.refused(Event{Kind: Checked, Except: []int{9}}, "1 to 7")
	start(t, peaches).refused(Event{Kind: Checked, What: "acid"}, "not looked at")
	start(t, peaches).refused(Event{Kind: "baked"}, "nothing that happens")
	k = start(t, Load{Jars: 1, Minutes: 20}).tell(Checked)
	if err := k.try(Event{Kind: SetAside, Jar: 1}); err != nil {
		t.Fatal(err)
	}
	k.refused(Event{Kind: JarsIn}, "No jar is left")
}

func TestAltitudeInDoubt(t *testing.T) {
	k := boiling(t, peaches).tell(Plateau)
	if s := k.in(Boiling, 40*minute); !s.AltitudeAsked {
		t.Error("not asked")
	}
	k.wait(36*minute).in(Boiling, 4*minute)
	if err := k.try(Event{Kind: Altitude, Minutes: 35, Text: "3,480 ft"}); err != nil {
		t.Fatal(err)
	}
	k.in(TimeUp, 0)
	k.tell(Plateau).in(TimeUp, 0) // it was answered
	// Not answered, the higher band counts at the end.
	k = boiling(t, peaches).tell(Plateau).wait(36 * minute)
	if err := k.try(Event{Kind: HeatOff, What: Early}); err != nil {
		t.Fatal(err)
	}
	if s := k.state(); !s.Short || s.ShortMs != 4*minute {
		t.Errorf("%+v", s)
	}
	// No time was tested for the band above: the load cannot end well until it is answered.
	l := peaches
	l.HigherMinutes = 0
	k = boiling(t, l).tell(Plateau).wait(3 * hour)
	if s := k.state(); s.Phase != Boiling || !s.NoTime {
		t.Errorf("%s", s.Phase)
	}
	l.TopBand = true
	boiling(t, l).tell(Plateau).wait(35*minute).in(TimeUp, 0)
	// It turns out to be higher, where nothing is tested.
	k = start(t, peaches).tell(Checked, JarsIn, LidOn, Plateau)
	if err := k.try(Event{Kind: Altitude, Minutes: 0, Text: "11,000 ft"}); err != nil {
		t.Fatal(err)
	}
	k.refused(Event{Kind: Boil}, "no tested time at this altitude")
}

func TestTheSameTapTwice(t *testing.T) {
	k := boiling(t, peaches).wait(minute)
	if _, ok := Already(k.events, Event{Kind: Boil}, 3); !ok {
		t.Error("the boil was told after the third event")
	}
	if _, ok := Already(k.events, Event{Kind: Boil}, 4); ok {
		t.Error("the page had seen that boil")
	}
	if _, ok := Already(k.events, Event{Kind: JarBroken, Jar: 2}, 0); ok {
		t.Error("no jar broke")
	}
}
