package run

import (
	"strings"
	"testing"
)

func TestSideClocks(t *testing.T) {
	for _, info := range Sides() {
		if !(info.Least > 0 && info.Least <= info.Usual && info.Usual <= info.Most) || info.Name == "" || info.Do == "" {
			t.Errorf("%+v", info)
		}
		began := Stamp{noonMs, hour, "one"}
		c := SideClock{Kind: info.Kind, ForMs: info.Usual, Started: began}
		now := began.Back(-info.Usual + second)
		now.WallMs += 5 * hour // somebody set the clock
		if at := c.At(now, Stamp{}); at.Ringing || at.LeftMs != second || !at.Sure {
			t.Errorf("%s a second before: %+v", info.Kind, at)
		}
		if at := c.At(now.Back(-3*second), Stamp{}); !at.Ringing || at.OverMs != 2*second {
			t.Errorf("%s two seconds after: %+v", info.Kind, at)
		}
		// The machine was off for half the time, and the wall clock says twice that.
		seen := began.Back(-info.Usual / 4)
		later := Stamp{seen.WallMs + info.Usual, second, "two"}
		at := c.At(later, seen)
		if at.Sure || at.Ringing != true {
			t.Errorf("%s: %+v", info.Kind, at)
		}
		// Set back by as much, what spoils rings no later, and what must have its time no sooner.
		back := Stamp{seen.WallMs - info.Usual, second, "two"}
		if at := c.At(back, seen); at.Ringing || info.Spoils && at.LeftMs > info.Usual*3/4 || !info.Spoils && at.LeftMs != info.Usual {
			t.Errorf("%s after the clock was set back: %+v", info.Kind, at)
		}
	}
	if _, ok := FindSide("egg"); ok {
		t.Error("an egg clock")
	}
}

func TestStartFilling(t *testing.T) {
	k := boiling(t, peaches).wait(10 * minute) // 25 min, 5 of rest, 5 to lift and pour
	ahead := func(fill int64) Ahead {
		a, ok := k.load.StartFilling(k.state(), fill, 20*minute)
		if !ok {
			t.Fatalf("nothing ahead in %s", k.state().Phase)
		}
		return a
	}
	if a := ahead(29 * minute); a != (Ahead{6 * minute, 0, true}) {
		t.Errorf("%+v", a)
	}
	if a := ahead(15 * minute); a != (Ahead{20 * minute, 10 * minute, true}) {
		t.Errorf("%+v", a)
	}
	if a := ahead(hour); a != (Ahead{0, 0, true}) {
		t.Errorf("%+v", a)
	}
	k.tell(BoilLost)
	if a := ahead(15 * minute); a.Sure || a.InMs != (20+35+5+5-15)*minute {
		t.Errorf("%+v", a)
	}
	k.tell(BoilBack).wait(35 * minute)
	if a := ahead(4 * minute); a.InMs != 6*minute {
		t.Errorf("%+v", a)
	}
	k.tell(HeatOff, LidOff).wait(5 * minute)
	if a := ahead(4 * minute); a.InMs != minute {
		t.Errorf("%+v", a)
	}
	k.tell(Out)
	if _, ok := k.load.StartFilling(k.state(), minute, 0); ok {
		t.Error("the canner is free")
	}
}

func TestAccount(t *testing.T) {
	k := start(t, peaches)
	short := Trouble{Kind: Checked, Jar: 3, At: k.now}
	if err := k.try(Event{Kind: SetAside, Jar: 3}); err != nil {
		t.Fatal(err)
	}
	k.tell(Checked, JarsIn, LidOn).wait(20 * minute).tell(Boil).wait(10 * minute)
	lost := Trouble{Kind: BoilLost, At: k.now}
	k.wait(20 * second).tell(BoilLost).wait(minute).tell(BoilBack).wait(5 * minute)
	broke := Trouble{Kind: JarBroken, Jar: 6, At: k.now}
	k.wait(30 * minute).tell(HeatOff)
	well, better := peaches.Account(k.events, []Trouble{short, lost, broke}, k.now)
	got := strings.Join(well, "\n")
	if !strings.Contains(got, "after 20 seconds; the full time ran again") || !strings.Contains(got, "Jar 3 did not reach") || !strings.Contains(got, "full time") || len(well) != 4 {
		t.Error(got)
	}
	if len(better) != 1 || !strings.Contains(better[0], "Jar 6 broke and was not told") {
		t.Error(better)
	}
	// Somebody who tells nothing learns all of it.
	k = start(t, peaches).tell(Checked, JarsIn, LidOn, Boil).wait(minute)
	at := k.now
	k.wait(20 * minute)
	_ = k.try(Event{Kind: HeatOff, What: Early})
	_, better = peaches.Account(k.events, []Trouble{{Kind: Checked, Jar: 1, At: at}, {Kind: BoilLost, At: at}, {Kind: JarBroken, Jar: 2, At: at}, {Kind: Unsure, At: at}}, k.now)
	if len(better) != 5 {
		t.Errorf("%q", better)
	}
}

func TestSidesAreFolded(t *testing.T) {
	at := Stamp{noonMs, hour, "one"}
	begin := func(id string, k SideKind) SideEvent {
		t.Helper()
		e, err := Start(id, k, "", 0, at)
		if err != nil {
			t.Fatal(err)
		}
		return e
	}
	later := at.Back(-50 * minute)
	all := FoldSides([]SideEvent{
		begin("juicer", Juicer), begin("dip", Dip), begin("pot", Stir), begin("dip", Dip),
		{ID: "dip", Act: Heard, Told: later}, {ID: "juicer", Act: Heard, Told: later}, {ID: "pot", Act: Stopped, Told: later}, {ID: "gone", Act: Heard, Told: later},
	})
	if len(all) != 1 || all[0].ID != "juicer" || all[0].Started != later {
		t.Errorf("%+v", all)
	}
	for _, c := range []struct {
		kind SideKind
		name string
		ms   int64
		says string
	}{{Dip, "", 2 * minute, "30 seconds to 1 minute"}, {Settle, "", hour, "24 hours to 48 hours"}, {"egg", "", 0, "no such clock"}, {Other, strings.Repeat("x", 61), 0, "60 letters"}} {
		if _, err := Start("x", c.kind, c.name, c.ms, at); err == nil || !strings.Contains(err.Error(), c.says) {
			t.Errorf("%s for %d ms: %v, want %q", c.kind, c.ms, err, c.says)
		}
	}
}
