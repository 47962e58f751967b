package exchange

import (
	"strings"
	"testing"
	"time"

	ics "github.com/arran4/golang-ical"
)

// TestCalendar reads back what was written: moments are the same moments, over the night
// on which the clocks change too, whole days the same days, and long text stays whole.
func TestCalendar(t *testing.T) {
	zone, err := time.LoadLocation("Europe/Vienna")
	if err != nil {
		t.Fatal(err)
	}
	long := strings.Repeat("Press the middle; lift, by the lid, ", 12) + "übermorgen – 桃"
	spring := time.Date(2026, 3, 29, 1, 30, 0, 0, zone) // half an hour before the clocks go on
	dates := []Date{
		{UID: "seals-1@mellisca", Title: "Look at the seals: peaches, hot", Text: long, At: spring, For: 30 * time.Minute},
		{UID: "limit-1@mellisca", Title: "Last hour to process again", At: spring.Add(24 * time.Hour), Alarm: time.Hour},
		{UID: "lot-1@mellisca", Title: "Tuesday's crate turns", Day: time.Date(2026, 11, 29, 0, 0, 0, 0, time.UTC)},
	}
	text := Calendar("The kitchen, Corvane", zone.String(), time.Date(2026, 3, 1, 0, 0, 0, 0, time.UTC), dates)
	c, err := ics.ParseCalendar(strings.NewReader(text))
	if err != nil {
		t.Fatal(err, text)
	}
	events := c.Events()
	if len(events) != 3 {
		t.Fatal(len(events))
	}
	for i, d := range dates[:2] {
		start, err := events[i].GetStartAt()
		end, err2 := events[i].GetEndAt()
		if err != nil || err2 != nil || !start.Equal(d.At) || !end.Equal(d.At.Add(d.For)) || events[i].Id() != d.UID {
			t.Errorf("%s: %v to %v, %v %v", d.Title, start, end, err, err2)
		}
	}
	if first, _ := events[0].GetStartAt(); first.In(zone).Format("15:04") != "01:30" {
		t.Error(first.In(zone))
	}
	if second, _ := events[1].GetStartAt(); second.In(zone).Format("15:04") != "02:30" { // 24 real hours, though the wall says 25
		t.Error(second.In(zone))
	}
	if got := events[0].GetProperty(ics.ComponentPropertyDescription).Value; got != long {
		t.Errorf("%q", got)
	}
	day, err := events[2].GetAllDayStartAt()
	if err != nil || day.Format(time.DateOnly) != "2026-11-29" || !strings.Contains(text, "DTSTART;VALUE=DATE:20261129") || !strings.Contains(text, "DTEND;VALUE=DATE:20261130") {
		t.Error(day, err, text)
	}
	if !strings.Contains(text, "TRIGGER:-PT60M") || !strings.Contains(text, "X-WR-TIMEZONE:Europe/Vienna") {
		t.Error(text)
	}
	for _, line := range strings.Split(text, "\r\n") {
		if len(line) > 75 {
			t.Errorf("a line of %d octets: %s", len(line), line)
		}
	}
}
