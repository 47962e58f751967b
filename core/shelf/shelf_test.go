package shelf

import (
	"slices"
	"strings"
	"testing"
)

func TestDecide(t *testing.T) {
	for _, c := range []struct {
		name string
		jar  Jar
		find Finding
		want FateKind
		says string
	}{
		{"too early", Jar{SinceOutMs: 11 * hour}, Finding{}, Wait, "untouched for 12 hours"},
		{"not looked at", Jar{SinceOutMs: 13 * hour}, Finding{}, Wait, "lift the jar by its lid"},
		{"sealed", Jar{SinceOutMs: 13 * hour}, Finding{Seal: Sealed}, Keep, "Sealed"},
		{"sealed, days later", Jar{SinceOutMs: 90 * hour}, Finding{Seal: Sealed}, Keep, "Sealed"},
		{"unsealed", Jar{SinceOutMs: 13 * hour}, Finding{Seal: Unsealed}, Choose, "refrigerator for 5 days"},
		{"a false seal within the day", Jar{SinceOutMs: 23 * hour}, Finding{Seal: FalseSeal}, Choose, "did not seal"},
		{"unsealed at the very limit", Jar{SinceOutMs: day}, Finding{Seal: Unsealed}, Discard, "more than 24 hours"},
		{"a false seal later", Jar{SinceOutMs: 30 * hour}, Finding{Seal: FalseSeal}, Discard, "do not taste"},
		{"a second time", Jar{SinceOutMs: 13 * hour, Again: true}, Finding{Seal: Unsealed}, Choose, "second time"},
		{"a little liquid lost", Jar{SinceOutMs: 13 * hour}, Finding{Seal: Sealed, LiquidLost: 0.5}, UseFirst, "Eat it first"},
		{"most of it lost", Jar{SinceOutMs: 13 * hour}, Finding{Seal: Sealed, LiquidLost: 0.51}, Refrigerate, "3 days"},
		{"short and sealed", Jar{SinceOutMs: hour, Short: true}, Finding{Seal: Sealed}, Choose, "whatever its seal says"},
		{"short and old", Jar{SinceOutMs: 25 * hour, Short: true}, Finding{Seal: Sealed}, Discard, "not processed in full"},
		{"short again", Jar{SinceOutMs: hour, Short: true, Again: true}, Finding{}, Choose, "second time"},
		{"broken", Jar{SinceOutMs: hour}, Finding{Seal: Broken}, Discard, "Broken glass"},
		{"called back", Jar{SinceOutMs: 13 * hour, CalledBack: "The fruit was mouldy."}, Finding{Seal: Sealed}, Discard, "The fruit was mouldy."},
		{"called back before it was looked at", Jar{SinceOutMs: hour, CalledBack: "The fruit was mouldy."}, Finding{}, Discard, "called back"},
		{"broken in the canner, sealed by mistake", Jar{Broken: true, SinceOutMs: 13 * hour}, Finding{Seal: Sealed}, Discard, "Broken glass"},
		{"floating and cloudy", Jar{SinceOutMs: 13 * hour}, Finding{Seal: Sealed, Float: true, Cloudy: true}, Keep, "Sealed"},
	} {
		got := Decide(c.jar, c.find)
		if got.Kind != c.want || !strings.Contains(got.Why, c.says) {
			t.Errorf("%s: %+v, want %s with %q", c.name, got, c.want, c.says)
		}
	}
}

// TestNeverShelvedWrongly walks every finding at every hour: what was cut short, broke,
// did not seal or lost most of its liquid is never kept, and nothing that did not seal
// is eaten after its day.
func TestNeverShelvedWrongly(t *testing.T) {
	kept := 0
	for at := int64(0); at <= 60*hour; at += hour / 2 {
		for _, seal := range append(Seals(), "") {
			for _, lost := range []float64{0, 0.1, 0.5, 0.6, 1} {
				for bits := range 8 {
					j := Jar{SinceOutMs: at, Short: bits&1 > 0, Broken: bits&2 > 0, Again: bits&4 > 0}
					f := Decide(j, Finding{Seal: seal, LiquidLost: lost})
					sound := seal == Sealed && !j.Short && !j.Broken && lost <= 0.5
					if shelved := f.Kind == Keep || f.Kind == UseFirst; shelved != sound {
						t.Fatalf("%+v, %s, %.1f lost: %s", j, seal, lost, f.Kind)
					} else if shelved {
						kept++
					}
					late := at >= day && (j.Short || seal == Unsealed || seal == FalseSeal)
					if late && f.Kind != Discard {
						t.Fatalf("%+v, %s after its day: %s", j, seal, f.Kind)
					}
					if f.Kind == Choose && (f.LeftMs <= 0 || f.LeftMs != LimitMs-at || len(f.Choices) == 0) {
						t.Fatalf("%+v: %+v", j, f)
					}
					if j.Again && slices.Contains(f.Choices, ProcessAgain) {
						t.Fatalf("%+v is processed a third time", j)
					}
					if f.Why == "" {
						t.Fatalf("%+v: no word", j)
					}
				}
			}
		}
	}
	if kept == 0 {
		t.Error("nothing is ever kept")
	}
}

func TestCauses(t *testing.T) {
	text := func(f Finding, r Record) (own, usual string) {
		usualBegan := false
		for _, c := range Causes(f, r) {
			if c.Own {
				if usualBegan {
					t.Error("a cause of the load's own stands after the usual ones")
				}
				own += c.Text + "\n"
			} else {
				usualBegan = true
				usual += c.Text + "\n"
			}
		}
		return own, usual
	}
	own, usual := text(Finding{Seal: Sealed, LiquidLost: 0.2}, Record{Known: true, RestMs: 0, Restarts: 2, TopsBare: true})
	if !strings.Contains(own, "rested 0 minutes") || !strings.Contains(own, "came back twice") || !strings.Contains(own, "under the tops") || !strings.Contains(usual, "headspace") {
		t.Error(own, usual)
	}
	if own, _ = text(Finding{LiquidLost: 0.2}, Record{Known: true, RestMs: 5 * minute}); own != "" {
		t.Error(own)
	}
	if own, _ = text(Finding{LiquidLost: 0.2}, Record{}); own != "" {
		t.Errorf("a load without a record: %s", own)
	}
	if own, _ = text(Finding{Float: true}, Record{Raw: true, Heavy: true}); !strings.Contains(own, "raw") || !strings.Contains(own, "heavier") {
		t.Error(own)
	}
	for _, f := range []Finding{{Cloudy: true}, {Seal: Unsealed}, {Seal: FalseSeal}, {Seal: Broken}} {
		if _, usual := text(f, Record{Known: true}); usual == "" {
			t.Errorf("%+v has no likely cause", f)
		}
	}
	if got := Causes(Finding{Seal: Sealed}, Record{Known: true}); len(got) != 0 {
		t.Errorf("a sound jar has causes: %v", got)
	}
}

func TestFoldOfJars(t *testing.T) {
	told := []Told{
		{Jar: 1, Finding: &Finding{Seal: Sealed}}, {Jar: 1, Done: ToShelf}, {Jar: 2, Finding: &Finding{Seal: Unsealed}}, {Jar: 2, Done: ToFreezer},
		{Jar: 1, Finding: &Finding{Seal: FalseSeal}}, {Jar: 9, Done: Away}, {Jar: 0, Done: Away},
	}
	got := Fold(3, told)
	want := []JarNow{{Finding: Finding{Seal: FalseSeal}}, {Finding{Seal: Unsealed}, ToFreezer}, {}}
	if !slices.Equal(got, want) {
		t.Errorf("%+v", got)
	}
}

// TestOnlySoundJarsMayGoOnTheShelf holds what may be done to what a jar comes to.
func TestOnlySoundJarsMayGoOnTheShelf(t *testing.T) {
	for _, seal := range Seals() {
		for at := int64(0); at < 40*hour; at += hour {
			for bits := range 4 {
				j := Jar{SinceOutMs: at, Short: bits&1 > 0, Again: bits&2 > 0}
				f := Decide(j, Finding{Seal: seal})
				if err := f.May(ToShelf); (err == nil) != (seal == Sealed && !j.Short) {
					t.Errorf("%+v, %s: %v", j, seal, err)
				}
				if err := f.May(Away); err != nil {
					t.Errorf("%+v, %s cannot be thrown away: %v", j, seal, err)
				}
				if f.Kind == Discard && len(f.Can()) != 1 {
					t.Errorf("%+v, %s: %v", j, seal, f.Can())
				}
			}
		}
	}
	if err := Decide(Jar{}, Finding{}).May(ToShelf); err == nil {
		t.Error("a jar that nobody looked at is on the shelf")
	}
	for _, bad := range []Finding{{}, {Seal: "so-so"}, {Seal: Sealed, LiquidLost: 1.1}, {Seal: Sealed, LiquidLost: -0.1}} {
		if bad.Check() == nil {
			t.Errorf("%+v was understood", bad)
		}
	}
}
