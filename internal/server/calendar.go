package server

import (
	"context"
	"fmt"
	"os"
	"strings"
	"time"

	"mellisca/core/fruit"
	"mellisca/core/run"
	"mellisca/core/shelf"
	"mellisca/internal/exchange"
	"mellisca/internal/store"
)

// calendarDays is how far ahead whole days are put into the calendar.
const calendarDays = 400

// calendar is what is to be done and when: seals to look at, the last hour to process a jar
// again, juice that has settled, canning days, jars to look over or to eat up, lots that turn.
func (s *server) calendar(ctx context.Context) ([]byte, error) {
	var all []exchange.Date
	seals, err := s.sealDates(ctx)
	if err != nil {
		return nil, err
	}
	all = append(all, seals...)
	m := s.stove.Now()
	for _, c := range m.Sides {
		if c.Kind == run.Settle {
			all = append(all, exchange.Date{UID: c.ID + "@mellisca", Title: "The juice has settled: " + c.Name, Text: "Pour it off the sediment.", At: time.UnixMilli(m.At.WallMs + c.LeftMs), Alarm: 0})
		}
	}
	days, err := s.jarDates(ctx)
	if err != nil {
		return nil, err
	}
	all = append(all, days...)
	today := s.today()
	lots, err := s.store.Lots(ctx, today)
	if err != nil {
		return nil, err
	}
	for _, l := range lots {
		if u := until(l); l.Left() > 0 && u < today+calendarDays && u >= today-7 {
			all = append(all, exchange.Date{UID: "lot-" + l.ID + "@mellisca", Title: l.Name + " turns: the last day to can it", Text: "By our own guess, from how ripe it was seen to be. After that: sauce, juice or jam, at once.", Day: dateOf(u), Alarm: -1})
		}
	}
	planned, err := s.dayDates(ctx)
	if err != nil {
		return nil, err
	}
	all = append(all, planned...)
	k, err := s.store.Kitchen(ctx)
	if err != nil {
		return nil, err
	}
	name := k.Name
	if name == "" {
		name = "Mellisca"
	}
	zone := s.now().Location().String()
	if tz := os.Getenv("TZ"); zone == "Local" && tz != "" {
		zone = tz
	}
	return []byte(exchange.Calendar(name, zone, s.now(), all)), nil
}

// dayDates are the canning days that are planned, from their first step to their last.
func (s *server) dayDates(ctx context.Context) (all []exchange.Date, err error) {
	days, err := s.store.Days(ctx, s.today(), s.today()+calendarDays)
	if err != nil {
		return nil, err
	}
	for _, on := range days {
		d, err := s.store.Day(ctx, on.Day)
		if err != nil {
			return nil, err
		}
		w, err := s.workOn(ctx, d)
		if err != nil {
			return nil, err
		}
		if _, ok := w.prior(); !ok || len(w.keys) == 0 {
			continue
		}
		var names []string
		for _, b := range w.batches {
			names = append(names, b.headline)
		}
		day := dateOf(on.Day)
		at := time.Date(day.Year(), day.Month(), day.Day(), 0, w.Begin, 0, 0, s.now().Location())
		all = append(all, exchange.Date{UID: "day-" + day.Format(time.DateOnly) + "@mellisca", Title: "Canning", Text: strings.Join(names, "; "), At: at, For: time.Duration(w.kept.Finish-w.Begin) * time.Minute, Alarm: 0})
	}
	return all, nil
}

// sealDates are those of the loads on the tray.
func (s *server) sealDates(ctx context.Context) (all []exchange.Date, err error) {
	loads, err := store.Stove{Store: s.store}.Tray(ctx)
	if err != nil {
		return nil, err
	}
	m := s.stove.Now()
	for _, l := range loads {
		about := aboutOf(l.About)
		state := l.Load.Fold(l.Events, m.At, m.Seen)
		out := m.At.WallMs - state.SinceOut
		what := about.Jars + " of " + about.Headline
		all = append(all,
			exchange.Date{UID: "seals-" + l.ID + "@mellisca", Title: "Look at the seals: " + what, Text: "Press the middle of each lid, tap it, look along it, take the band off and lift the jar by its lid.", At: time.UnixMilli(out + shelf.AskedMs), For: 30 * time.Minute, Alarm: 0},
			exchange.Date{UID: "limit-" + l.ID + "@mellisca", Title: "The day is over for jars that did not seal: " + what, Text: "Until now they can go into the refrigerator, into the freezer, or through the full process once more. After it they are thrown away.", At: time.UnixMilli(out + shelf.LimitMs), Alarm: 2 * time.Hour})
	}
	return all, nil
}

// jarDates are the look-overs, place by place, and the last days of what is in the
// refrigerator.
func (s *server) jarDates(ctx context.Context) (all []exchange.Date, err error) {
	today := s.today()
	here, err := s.store.JarsHere(ctx)
	if err != nil {
		return nil, err
	}
	places, err := s.store.ShelfPlaces(ctx)
	if err != nil {
		return nil, err
	}
	names := placeNames(places)
	type round struct {
		day   fruit.Day // 0: due already
		place string
	}
	count := map[round]int{}
	var order []round
	for _, j := range here {
		switch j.State {
		case shelf.Standing:
			due := shelf.Look{Canned: j.Canned, Looked: j.Looked, UseFirst: j.UseFirst, Process: j.Process}.Due()
			if due > today+calendarDays {
				continue
			}
			r := round{due, j.Place}
			if due <= today { // so that an entry that is put off from day to day stays the same one
				r.day = 0
			}
			if count[r]++; count[r] == 1 {
				order = append(order, r)
			}
		case shelf.Cold, shelf.Opened:
			all = append(all, exchange.Date{UID: "cold-" + j.ID + "@mellisca", Title: "Eat up: " + j.What + ", jar " + j.ID, Text: "The last day for it in the refrigerator.", Day: dateOf(j.Until), Alarm: -1})
		}
	}
	for _, r := range order {
		where := ""
		if names[r.place] != "" {
			where = " in " + names[r.place]
		}
		all = append(all, exchange.Date{UID: fmt.Sprintf("look-%d-%s@mellisca", r.day, r.place), Title: "Look over " + countText(count[r], "jar") + where, Text: "Bulging, leaking, loose, mould, an odd colour: never taste, throw away.", Day: dateOf(max(r.day, today)), Alarm: -1})
	}
	return all, nil
}
