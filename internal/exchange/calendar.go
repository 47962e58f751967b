package exchange

import (
	"strconv"
	"time"

	ics "github.com/arran4/golang-ical"
)

// Date is something to be done on a day or at a moment.
type Date struct {
	UID   string // the same each time, so that a calendar changes it instead of adding one
	Title string
	Text  string
	At    time.Time     // a moment
	For   time.Duration // how long a moment takes; 0: it is but a moment
	Day   time.Time     // midnight UTC of a whole day of the kitchen's calendar, where At is zero
	Alarm time.Duration // how long before At it is to be told; negative: not at all
}

// Calendar writes dates as an iCalendar file. Moments stand in UTC, so that they are right
// in every time zone and over a change of the clocks; whole days have no zone at all. zone
// is what the kitchen goes by, for programs that show it.
func Calendar(name, zone string, stamp time.Time, all []Date) string {
	c := ics.NewCalendarFor("Mellisca")
	c.SetMethod(ics.MethodPublish)
	c.SetXWRCalName(name)
	if zone != "" && zone != "Local" {
		c.SetXWRTimezone(zone)
	}
	for _, d := range all {
		e := c.AddEvent(d.UID)
		e.SetDtStampTime(stamp.UTC())
		e.SetSummary(d.Title)
		e.SetDescription(d.Text)
		e.SetTimeTransparency(ics.TransparencyTransparent)
		if d.At.IsZero() {
			e.SetAllDayStartAt(d.Day)
			e.SetAllDayEndAt(d.Day.AddDate(0, 0, 1))
			continue
		}
		e.SetStartAt(d.At.UTC())
		e.SetEndAt(d.At.Add(d.For).UTC())
		if d.Alarm >= 0 {
			a := e.AddAlarm()
			a.SetAction(ics.ActionDisplay)
			a.SetTrigger(trigger(d.Alarm))
			a.SetProperty(ics.ComponentPropertyDescription, d.Title)
		}
	}
	return c.Serialize(ics.WithNewLineWindows)
}

// trigger is a time before an event, in whole minutes.
func trigger(before time.Duration) string {
	return "-PT" + strconv.Itoa(int(before/time.Minute)) + "M"
}
