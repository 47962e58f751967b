package store

import (
	"context"
	"errors"
	"reflect"
	"testing"
	"time"

	"mellisca/core/batch"
	"mellisca/core/day"
	"mellisca/core/fruit"
)

func dayBatch(t *testing.T, s *Store) string {
	t.Helper()
	b, err := s.AddBatch(context.Background(), Batch{Request: batch.Request{Product: "peaches", Form: "halves", Pack: "hot", Jar: "quart", Method: "boiling-water", Amount: "7 jars"}}, time.UnixMilli(1_786_708_800_000))
	if err != nil {
		t.Fatal(err)
	}
	return b.ID
}

// TestDayRoundTrip keeps a day and reads it back, changes it, and lets it go with all that was
// on it.
func TestDayRoundTrip(t *testing.T) {
	s, _ := openTest(t)
	ctx := context.Background()
	if _, err := s.Day(ctx, 20_000); !errors.Is(err, ErrNoDay) {
		t.Error(err)
	}
	one, two := dayBatch(t, s), dayBatch(t, s)
	d := Day{Day: 20_000, Begin: 480, By: 1080, Late: 1200, Burners: 4, Pots: 2, Placed: `{"steps":[]}`, Locks: map[string]int{one + "//load/1": 800},
		Cooks:   []day.Cook{{Name: "Ilse", There: day.Span{From: 480, To: 1080}, Breaks: []day.Span{{From: 720, To: 750}}}, {Name: "Marlow", There: day.Span{From: 840, To: 1080}, Breaks: []day.Span{}}},
		Batches: []DayBatch{{Batch: two, From: 600, By: 900, First: 1, Last: 3}, {Batch: one, Part: day.Juice}}}
	if err := s.KeepDays(ctx, d); err != nil {
		t.Fatal(err)
	}
	got, err := s.Day(ctx, 20_000)
	if err != nil || !reflect.DeepEqual(got, d) {
		t.Errorf("%v\n%+v\n%+v", err, got, d)
	}
	// Two days are kept, or neither.
	other, bad := d, d
	other.Day, bad.Day = 20_001, 20_002
	other.Cooks = other.Cooks[:1]
	bad.Begin = 5000
	if err := s.KeepDays(ctx, other, bad); err == nil {
		t.Fatal("a day that begins at minute 5000 is kept")
	}
	if _, err := s.Day(ctx, 20_001); !errors.Is(err, ErrNoDay) {
		t.Error("half of what was to be kept is:", err)
	}
	if got, _ := s.Day(ctx, 20_000); !reflect.DeepEqual(got, d) {
		t.Error("the day that was there is another")
	}
	other.Batches = []DayBatch{{Batch: one, Part: day.Jars}}
	if err := s.KeepDays(ctx, other); err != nil {
		t.Fatal(err)
	}
	days, err := s.Days(ctx, 19_000, 21_000)
	if err != nil || !reflect.DeepEqual(days, []DayOn{{20_000, 2}, {20_001, 1}}) {
		t.Error(days, err)
	}
	for part, want := range map[day.Part][]fruit.Day{day.Juice: {20_000}, day.Jars: {20_001}, day.Whole: nil} {
		if of, err := s.DaysOf(ctx, one, part, 20_000); err != nil || !reflect.DeepEqual(of, want) {
			t.Error(part, of, err)
		}
	}
	for n, l := range []DayLine{{Step: "a", Kind: "begun", WallMs: 5}, {Step: "a", Kind: "done", WallMs: 3}, {Step: "b", Kind: "begun", WallMs: 9}} {
		if err := s.TellDay(ctx, 20_000, l); err != nil {
			t.Fatal(n, err)
		}
	}
	if err := s.TellDay(ctx, 20_000, DayLine{Step: "a", Kind: "maybe", WallMs: 5}); err == nil {
		t.Error("anything can be told")
	}
	if lines, err := s.DayLines(ctx, 20_000); err != nil || len(lines) != 3 || lines[1].Kind != "done" || lines[2].Step != "b" {
		t.Error(lines, err) // in the order in which they were told, whatever the clock said
	}
	if err := s.RemoveDay(ctx, 20_000); err != nil {
		t.Fatal(err)
	}
	if err := s.RemoveDay(ctx, 20_000); !errors.Is(err, ErrNotFound) {
		t.Error(err)
	}
	for _, table := range []string{"day_cook", "day_batch", "day_lock"} {
		var n int
		if err := s.read.QueryRow(`SELECT count(*) FROM ` + table + ` WHERE day = 20000`).Scan(&n); err != nil || n != 0 {
			t.Errorf("%d left in %s (%v)", n, table, err)
		}
	}
}

// TestWeekAndMinutes keeps when there is time and how long things take, and forgets both.
func TestWeekAndMinutes(t *testing.T) {
	s, _ := openTest(t)
	ctx := context.Background()
	if _, said, err := s.WeekTimes(ctx); said || err != nil {
		t.Error("a week that nobody said", err)
	}
	w := Week{6: {From: 540, To: 1080}}
	if err := s.SetWeekTimes(ctx, w); err != nil {
		t.Fatal(err)
	}
	if got, said, err := s.WeekTimes(ctx); got != w || !said || err != nil {
		t.Error(got, said, err)
	}
	if err := s.SetDayTime(ctx, 100, &day.Span{From: 60, To: 120}); err != nil {
		t.Fatal(err)
	}
	if all, err := s.DayTimes(ctx, 101); len(all) != 0 || err != nil {
		t.Error(all, err)
	}
	if all, err := s.DayTimes(ctx, 100); all[100] != (day.Span{From: 60, To: 120}) || err != nil {
		t.Error(all, err)
	}
	if err := s.SetDayTime(ctx, 100, nil); err != nil {
		t.Fatal(err)
	}
	if all, _ := s.DayTimes(ctx, 0); len(all) != 0 {
		t.Error(all)
	}
	for _, n := range []int{7, 9, 0} {
		if err := s.SetStepMinutes(ctx, "jar", n); err != nil {
			t.Fatal(err)
		}
		if m, err := s.StepMinutes(ctx); err != nil || m["jar"] != n {
			t.Error(n, m, err)
		}
	}
	if err := s.SetStepMinutes(ctx, "jar", 2000); err == nil {
		t.Error("a step of more than a day is kept")
	}
}

// TestVowsAndSeasons keeps what was sworn, the newest first, and seasons by fruit.
func TestVowsAndSeasons(t *testing.T) {
	s, _ := openTest(t)
	ctx := context.Background()
	for n, v := range []Vow{{Product: "peaches", Words: "rest them", Said: 10}, {Product: "pears", Words: "riper", Said: 12}, {Product: "peaches", Words: "less syrup", Said: 12}} {
		if err := s.AddVow(ctx, v); err != nil {
			t.Fatal(n, err)
		}
	}
	all, err := s.Vows(ctx, "")
	if err != nil || len(all) != 3 || all[0].Words != "less syrup" || all[2].Words != "rest them" {
		t.Fatal(all, err)
	}
	if err := s.KeepVow(ctx, all[0].ID, 20); err != nil {
		t.Fatal(err)
	}
	if of, err := s.Vows(ctx, "peaches"); err != nil || len(of) != 2 || of[0].Kept != 20 || of[1].Kept != 0 {
		t.Error(of, err)
	}
	if err := s.RemoveVow(ctx, all[1].ID); err != nil {
		t.Fatal(err)
	}
	if err := s.KeepVow(ctx, all[1].ID, 20); !errors.Is(err, ErrNotFound) {
		t.Error(err)
	}
	if _, err := s.AddClosing(ctx, Closing{Product: "plums", Form: "whole", Pack: "hot", Fruit: 1_000_000, Day: 30, Vow: "prick them"}); err != nil {
		t.Fatal(err)
	}
	if of, _ := s.Vows(ctx, "plums"); len(of) != 1 || of[0].Words != "prick them" || of[0].Said != 30 {
		t.Error("what is sworn when a batch is closed is not kept:", of)
	}
	if err := s.SetSeason(ctx, "peach", &fruit.Season{From: 8, To: 9}); err != nil {
		t.Fatal(err)
	}
	if err := s.SetSeason(ctx, "peach", &fruit.Season{From: 13, To: 9}); err == nil {
		t.Error("a thirteenth month is kept")
	}
	if of, err := s.Seasons(ctx); err != nil || of["peach"] != (fruit.Season{From: 8, To: 9}) {
		t.Error(of, err)
	}
	if err := s.SetSeason(ctx, "peach", nil); err != nil {
		t.Fatal(err)
	}
	if of, _ := s.Seasons(ctx); len(of) != 0 {
		t.Error(of)
	}
}
