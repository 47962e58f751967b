package server

import (
	"context"
	"fmt"
	"os"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/internal/exchange"
)

func (s *server) registerDayPaper(api huma.API, op func(id, method, path, summary string) huma.Operation) {
	huma.Register(api, op("day-calendar", "GET", "/{date}/day.ics", "A day's steps for a calendar"), func(ctx context.Context, in *DayInput) (*fileOutput, error) {
		d, _, err := s.dayFor(ctx, in.Date)
		if err != nil {
			return nil, err
		}
		w, err := s.workOn(ctx, d)
		if err != nil {
			return nil, err
		}
		out, err := s.answerDay(ctx, w, true)
		if err != nil {
			return nil, err
		}
		return &fileOutput{ContentType: "text/calendar; charset=utf-8", Disposition: fmt.Sprintf(`attachment; filename="mellisca-%s.ics"`, out.Body.Date), Body: []byte(s.dayCalendar(out.Body))}, nil
	})
}

// dayCalendar puts what is still ahead of a day into a calendar.
func (s *server) dayCalendar(b dayBody) string {
	midnight, _ := time.ParseInLocation(time.DateOnly, b.Date, s.now().Location())
	at := func(minute int) time.Time {
		return time.Date(midnight.Year(), midnight.Month(), midnight.Day(), 0, minute, 0, 0, midnight.Location())
	}
	var all []exchange.Date
	for _, st := range b.Steps {
		if st.State == "done" {
			continue
		}
		title := st.Title
		if st.Of != "" {
			title += ": " + st.Of
		}
		var words []string
		for _, text := range []string{st.With, st.Who, st.Where} {
			if text != "" {
				words = append(words, text)
			}
		}
		all = append(all, exchange.Date{UID: "day-" + b.Date + "-" + strings.ReplaceAll(st.Key, "/", "-") + "@mellisca", Title: title, Text: strings.Join(words, ". "), At: at(st.From), For: time.Duration(st.To-st.From) * time.Minute, Alarm: 0})
	}
	zone := s.now().Location().String()
	if tz := os.Getenv("TZ"); zone == "Local" && tz != "" {
		zone = tz
	}
	return exchange.Calendar("Canning on "+b.Title, zone, s.now(), all)
}
