package run

import "testing"

// TestLeft follows what is told a day to plan with, through a whole load: it only ever falls
// while things go as expected, and grows by the full time where the boil is lost.
func TestLeft(t *testing.T) {
	k := start(t, peaches)
	left := func() int64 {
		t.Helper()
		ms, ok := k.load.Left(k.state(), k.now, 25*minute)
		if !ok {
			t.Fatalf("nothing is told in %s", k.state().Phase)
		}
		return ms
	}
	if _, ok := k.load.Left(k.state(), k.now, 25*minute); ok {
		t.Error("it says when they can be lifted before they are in")
	}
	k.tell(Checked, JarsIn)
	if got := left(); got != 65*minute {
		t.Errorf("%d min from jars in", got/minute)
	}
	k.wait(minute).tell(LidOn).wait(10 * minute)
	if got := left(); got != 55*minute {
		t.Errorf("%d min while it heats", got/minute)
	}
	k.wait(40 * minute) // it takes much longer than it might
	if got := left(); got != 41*minute {
		t.Errorf("%d min while it still heats", got/minute)
	}
	k.tell(Boil).wait(20 * minute)
	if got := left(); got != 20*minute {
		t.Errorf("%d min while it boils", got/minute)
	}
	k.tell(BoilLost)
	if got := left(); got != AgainMs+40*minute {
		t.Errorf("%d min with the boil lost", got/minute)
	}
	k.wait(minute).tell(BoilBack).wait(35 * minute)
	if got := left(); got != 5*minute {
		t.Errorf("%d min when the time is up", got/minute)
	}
	k.tell(HeatOff, LidOff).wait(2 * minute)
	if got := left(); got != 3*minute {
		t.Errorf("%d min at rest", got/minute)
	}
	k.wait(7 * minute)
	if got := left(); got != -4*minute {
		t.Errorf("rested for long, and %d min are left", got/minute)
	}
	k.tell(Out)
	if _, ok := k.load.Left(k.state(), k.now, 0); ok {
		t.Error("out, and it says when they can be lifted")
	}
	times := TimesOf(k.events)
	if times.JarsIn != noonMs || times.Out-times.JarsIn != 116*minute {
		t.Errorf("in at %d, out %d min later", times.JarsIn, (times.Out-times.JarsIn)/minute)
	}
}

// TestTimesFollowCorrections goes by what was corrected, not by what was tapped.
func TestTimesFollowCorrections(t *testing.T) {
	k := start(t, peaches).tell(Checked, JarsIn)
	seq := k.state().Seq
	k.wait(3 * minute)
	if err := k.try(Event{Kind: Corrected, Target: seq, ShiftMs: 2 * minute}); err != nil {
		t.Fatal(err)
	}
	if got := TimesOf(k.events).JarsIn; got != noonMs+2*minute {
		t.Errorf("in %d min after noon", (got-noonMs)/minute)
	}
	if err := k.try(Event{Kind: Corrected, Target: seq, Void: true}); err != nil {
		t.Fatal(err)
	}
	if got := TimesOf(k.events); got.JarsIn != 0 {
		t.Errorf("it was not so, and %+v", got)
	}
}
