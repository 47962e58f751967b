package measure

import (
	"fmt"
	"regexp"
	"strconv"
	"strings"
)

// A time of day as a cook types it: 8, 8:30, 8.30, 830, 14h30, 2 pm, 2:15pm, noon.
var clockTyped = regexp.MustCompile(`^(\d{1,2})(?:\s*[:.h]\s*(\d{2})|(\d{2}))?\s*(am|pm|a|p)?$`)

// ParseClock reads a time of day in minutes from midnight, 0 to 1440, the midnight at its
// end; ok is false where it is none.
func ParseClock(typed string) (minute int, ok bool) {
	t := strings.ToLower(strings.TrimSpace(typed))
	switch t {
	case "noon":
		return 12 * 60, true
	case "midnight":
		return 24 * 60, true
	}
	m := clockTyped.FindStringSubmatch(t)
	if m == nil {
		return 0, false
	}
	hour, _ := strconv.Atoi(m[1])
	past, _ := strconv.Atoi(m[2] + m[3])
	if m[4] != "" {
		if hour < 1 || hour > 12 {
			return 0, false
		}
		if hour %= 12; m[4][0] == 'p' {
			hour += 12
		}
	}
	minute = hour*60 + past
	return minute, past < 60 && minute <= 24*60
}

// ClockText is a time of day as ParseClock reads it, 8:05; the midnight at its end is 24:00.
func ClockText(minute int) string { return fmt.Sprintf("%d:%02d", minute/60, minute%60) }
