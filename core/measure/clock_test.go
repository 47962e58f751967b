package measure

import "testing"

func TestClock(t *testing.T) {
	for typed, want := range map[string]int{"8": 480, "0830": 510, "8.30": 510, "8h05": 485, "2pm": 840, "12 am": 0, "12:15 p": 735, "24:00": 1440, "noon": 720, "23:59": 1439} {
		if got, ok := ParseClock(typed); !ok || got != want {
			t.Errorf("%q is %d, want %d", typed, got, want)
		}
	}
	for _, typed := range []string{"", "24:01", "8:60", "13pm", "eight", "8:3", "-1", "0 pm"} {
		if got, ok := ParseClock(typed); ok {
			t.Errorf("%q is %d", typed, got)
		}
	}
}

// FuzzClock reads what might be typed as a time of day: what is understood is one, and is read
// again as it is shown.
func FuzzClock(f *testing.F) {
	for _, typed := range []string{"8", "8:30", "830", "14h05", "2 pm", "noon", "12 am", "24:00", "8.5", "１２:00", "-3", "99"} {
		f.Add(typed)
	}
	f.Fuzz(func(t *testing.T, typed string) {
		minute, ok := ParseClock(typed)
		if !ok {
			return
		}
		if minute < 0 || minute > 24*60 {
			t.Fatalf("%q is minute %d", typed, minute)
		}
		if again, ok := ParseClock(ClockText(minute)); !ok || again != minute {
			t.Fatalf("%q is %s, which is read as %d", typed, ClockText(minute), again)
		}
	})
}
