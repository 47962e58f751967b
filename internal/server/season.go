package server

import (
	"context"
	"fmt"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/day"
	"mellisca/core/fruit"
	"mellisca/core/measure"
	"mellisca/internal/store"
)

// aheadDays is how many days lots are spread over.
const aheadDays = 14

// usualWeek is when people have time, where it was not said: our own guess.
var usualWeek = store.Week{
	{From: 9 * 60, To: 18 * 60}, {From: 17*60 + 30, To: 21*60 + 30}, {From: 17*60 + 30, To: 21*60 + 30}, {From: 17*60 + 30, To: 21*60 + 30}, {From: 17*60 + 30, To: 21*60 + 30}, {From: 17*60 + 30, To: 21*60 + 30}, {From: 9 * 60, To: 18 * 60},
}

var weekdayNames = [7]string{"Sunday", "Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday"}

type weekTimeBody struct {
	Weekday int    `json:"weekday" minimum:"0" maximum:"6" doc:"0: Sunday"`
	Name    string `json:"name,omitempty" required:"false" maxLength:"20"`
	From    string `json:"from" maxLength:"40" doc:"empty: no time"`
	To      string `json:"to" maxLength:"40"`
}

type turnBody struct {
	Lot  string `json:"lot"`
	Name string `json:"name"`
	What string `json:"what" doc:"peaches, in quarts: 2 loads, about 3 h 10 min"`
	Kind string `json:"kind"`
	// Loads and All say how much of it: All is the whole lot.
	Loads int  `json:"loads"`
	All   bool `json:"all"`
}

type aheadDayBody struct {
	Date    string     `json:"date"`
	Title   string     `json:"title"`
	Time    string     `json:"time" doc:"17:30 to 21:30; empty: none"`
	From    string     `json:"from"`
	To      string     `json:"to"`
	Own     bool       `json:"own" doc:"said for this day alone"`
	Planned string     `json:"planned" doc:"what is planned on it already; empty where nothing is"`
	Part    float64    `json:"part" doc:"0 to 1, of its time that is taken"`
	Turns   []turnBody `json:"turns" nullable:"false"`
}

type waitingBody struct {
	Lot   string `json:"lot"`
	Name  string `json:"name"`
	Kind  string `json:"kind"`
	Fit   string `json:"fit"`
	What  string `json:"what" doc:"what it would make, and how long that takes"`
	Warn  string `json:"warn" doc:"that it will not wait, and what to do; empty where it finds its time"`
	Waits string `json:"waits" doc:"why it is not spread; empty where it is"`
}

type seasonPlanBody struct {
	Week    []weekTimeBody `json:"week" nullable:"false" doc:"from Monday"`
	Guess   bool           `json:"guess" doc:"the week is our own guess"`
	Days    []aheadDayBody `json:"days" nullable:"false"`
	Lots    []waitingBody  `json:"lots" nullable:"false"`
	Explain string         `json:"explain"`
}

type seasonPlanOutput struct{ Body seasonPlanBody }

func (s *server) registerSeason(api huma.API) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: "/api/season" + path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 422}}
	}
	huma.Register(api, op("season", "GET", "", "Lots by the day they turn, over the evenings and weekends that there are"), func(ctx context.Context, _ *struct{}) (*seasonPlanOutput, error) {
		return s.season(ctx)
	})
	huma.Register(api, op("set-week", "PUT", "/week", "Say when there is time in the week"), func(ctx context.Context, in *struct {
		Body struct {
			Week []weekTimeBody `json:"week" minItems:"7" maxItems:"7" nullable:"false"`
		}
	}) (*seasonPlanOutput, error) {
		var w store.Week
		var problems []error
		for i, d := range in.Body.Week {
			w[d.Weekday] = readStretch(d.From, d.To, fmt.Sprintf("body.week[%d].", i), &problems)
		}
		if len(problems) > 0 {
			return nil, unprocessable(problems)
		}
		if err := s.store.SetWeekTimes(ctx, w); err != nil {
			return nil, s.storeProblem(err, "week")
		}
		return s.season(ctx)
	})
	huma.Register(api, op("set-day-time", "PUT", "/days/{date}", "Say when there is time on one day"), func(ctx context.Context, in *struct {
		DayInput
		Body struct {
			From  string `json:"from" maxLength:"40" doc:"empty: no time"`
			To    string `json:"to" maxLength:"40"`
			Usual bool   `json:"usual,omitempty" required:"false" doc:"as in every week again"`
		}
	}) (*seasonPlanOutput, error) {
		on, err := s.parseDay(ctx, in.Date, "path.date")
		if err != nil {
			return nil, err
		}
		var problems []error
		t := readStretch(in.Body.From, in.Body.To, "body.", &problems)
		if len(problems) > 0 {
			return nil, unprocessable(problems)
		}
		at := &t
		if in.Body.Usual {
			at = nil
		}
		if err := s.store.SetDayTime(ctx, on, at); err != nil {
			return nil, s.storeProblem(err, "day")
		}
		return s.season(ctx)
	})
	huma.Register(api, op("plan-lot", "POST", "/plan", "Save a batch of a lot and put it on a day"), func(ctx context.Context, in *struct {
		Body struct {
			Lot   string `json:"lot" maxLength:"40"`
			Date  string `json:"date" maxLength:"10"`
			Loads int    `json:"loads" minimum:"1" maximum:"50"`
			All   bool   `json:"all"`
		}
	}) (*dayOutput, error) {
		return s.planLot(ctx, in.Body.Lot, in.Body.Date, in.Body.Loads, in.Body.All)
	})
}

// readStretch reads from when to when; both empty is none.
func readStretch(from, to, where string, problems *[]error) day.Span {
	if strings.TrimSpace(from) == "" && strings.TrimSpace(to) == "" {
		return day.Span{}
	}
	was := len(*problems)
	t := day.Span{From: readClock(from, where+"from", false, problems), To: readClock(to, where+"to", false, problems)}
	if was == len(*problems) && t.To <= t.From {
		*problems = append(*problems, field(where+"to", "Accepted: a time after the first one, or both empty for no time.", to))
	}
	return t
}

// waitingLot is a lot with what it would make.
type waitingLot struct {
	store.Lot
	request batch.Request
	plan    batch.Plan
	body    waitingBody
	at      int // its number among those that are spread; -1: it is not
}

func (s *server) season(ctx context.Context) (*seasonPlanOutput, error) {
	b := seasonPlanBody{Week: []weekTimeBody{}, Days: []aheadDayBody{}, Lots: []waitingBody{},
		Explain: "Each lot goes on a day on which it is likely fit, whole where that can be, the one that turns first before the others. How long it takes is what a day with your cooks and canners is planned to take for it."}
	week, said, err := s.store.WeekTimes(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "week")
	}
	if !said {
		week, b.Guess = usualWeek, true
	}
	for i := range 7 {
		n := (i + 1) % 7
		t := weekTimeBody{Weekday: n, Name: weekdayNames[n]}
		if week[n].To > week[n].From {
			t.From, t.To = measure.ClockText(week[n].From), measure.ClockText(week[n].To)
		}
		b.Week = append(b.Week, t)
	}
	evenings, planned, err := s.evenings(ctx, week, &b)
	if err != nil {
		return nil, err
	}
	lots, waiting, err := s.waiting(ctx, planned)
	if err != nil {
		return nil, err
	}
	spread := day.SpreadOver(waiting, evenings, 1)
	before := make([]float64, len(b.Days)) // the part of each day that is planned already
	for i, d := range b.Days {
		before[i] = d.Part
	}
	for _, t := range spread.Turns {
		i := slices.IndexFunc(lots, func(l waitingLot) bool { return l.at == t.Lot })
		l := lots[i]
		b.Days[t.Evening].Turns = append(b.Days[t.Evening].Turns, turnBody{Lot: l.ID, Name: l.Name, Kind: string(l.plan.Query.Product), Loads: t.Loads, All: t.Loads == waiting[t.Lot].Loads,
			What: fmt.Sprintf("%s: %s, about %s", l.body.What, fewLoads(t.Loads), minutesText(t.Minutes))})
		if e := evenings[t.Evening].Minutes; e > 0 {
			d := &b.Days[t.Evening]
			d.Part = min(1, rounded(d.Part+(1-before[t.Evening])*float64(t.Minutes)/float64(e), 3))
		}
	}
	for _, l := range lots {
		if l.at >= 0 {
			if left := spread.Left[l.at]; left > 0 {
				l.body.Warn = warnText(left, waiting[l.at], s.today())
			}
			l.body.What += fmt.Sprintf(": %s, about %s", fewLoads(waiting[l.at].Loads), minutesText(waiting[l.at].Setup+waiting[l.at].Loads*waiting[l.at].PerLoad))
		}
		b.Lots = append(b.Lots, l.body)
	}
	return &seasonPlanOutput{b}, nil
}

func fewLoads(n int) string { return countText(n, "load") }

// warnText says that fruit will not wait, and what there is to do.
func warnText(left int, w day.Waiting, today fruit.Day) string {
	all := "it"
	if left < w.Loads {
		all = fewLoads(left) + " of it"
	}
	return fmt.Sprintf("There is no time for %s while it is fit: %s more is needed by %s. Make time, ask for help, or freeze it; what is soft goes into sauce, butter, juice or jam.", all, minutesText(w.Setup+left*w.PerLoad), dayText(today+fruit.Day(w.Until)))
}

// plannedLot is how much of a lot is on days that are planned, and the last of them.
type plannedLot struct {
	on   fruit.Day
	mass measure.Mass
}

type plannedLots map[string]plannedLot

// evenings lists the days ahead with the time that is left on them, and the lots that are
// planned on them already.
func (s *server) evenings(ctx context.Context, week store.Week, b *seasonPlanBody) (all []day.Evening, lots plannedLots, err error) {
	today := s.today()
	lots = plannedLots{}
	own, err := s.store.DayTimes(ctx, today)
	if err != nil {
		return nil, nil, s.storeProblem(err, "week")
	}
	for n := range aheadDays {
		on := today + fruit.Day(n)
		t, said := own[on]
		if !said {
			t = week[int(dateOf(on).Weekday())]
		}
		body := aheadDayBody{Date: dateOf(on).Format(time.DateOnly), Title: dayText(on), Own: said, Turns: []turnBody{}}
		if t.To > t.From {
			body.Time, body.From, body.To = fromTo(t.From, t.To), measure.ClockText(t.From), measure.ClockText(t.To)
		}
		if now := s.now(); n == 0 {
			t.From = max(t.From, now.Hour()*60+now.Minute())
		}
		left := max(0, t.To-t.From)
		taken, hours, err := s.taken(ctx, on, lots, &body)
		if err != nil {
			return nil, nil, err
		}
		if hours.To > hours.From { // who is there on a planned day is known
			body.Time = fromTo(hours.From, hours.To)
			whole := hours.To - hours.From
			left = max(0, whole-taken)
			body.Part = min(1, rounded(float64(taken)/float64(whole), 3))
		}
		if n == 0 && left == 0 && body.Time != "" {
			body.Time, body.Part = "no time left", 1
		}
		all = append(all, day.Evening{Day: n, Minutes: left})
		b.Days = append(b.Days, body)
	}
	return all, lots, nil
}

// taken is how many minutes of a day are planned already, from its first step to its last, and
// from when to when somebody is there on it.
func (s *server) taken(ctx context.Context, on fruit.Day, lots plannedLots, body *aheadDayBody) (minutes int, hours day.Span, err error) {
	d, there, err := s.dayFor(ctx, body.Date)
	if err != nil || !there || len(d.Batches) == 0 {
		return 0, hours, err
	}
	w, err := s.workOn(ctx, d)
	if err != nil {
		return 0, hours, err
	}
	var names []string
	for _, b := range w.batches {
		names = append(names, b.headline)
		for _, id := range strings.Split(b.request.Lots, ",") {
			if id != "" {
				at := lots[id]
				lots[id] = plannedLot{on, at.mass + b.plan.FruitMass()}
			}
		}
	}
	body.Planned = strings.Join(names, "; ")
	hours.From = w.Begin
	for _, c := range w.Cooks {
		hours.To = max(hours.To, c.There.To)
	}
	if prior, ok := w.prior(); ok && len(prior) > 0 {
		minutes = w.kept.Finish - w.Begin
	}
	return minutes, hours, nil
}
