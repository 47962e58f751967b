package server

import (
	"fmt"
	"math"
	"slices"
	"time"

	"mellisca/core/measure"
	"mellisca/core/run"
	"mellisca/internal/live"
)

// stoveBody is the stove at a moment, in words and figures ready to be shown.
type stoveBody struct {
	Time     string        `json:"time" doc:"of day, 14:05"`
	Last     int64         `json:"last" doc:"the last line that was told"`
	Loads    []loadNowBody `json:"loads" nullable:"false"`
	Clocks   []sideBody    `json:"clocks" nullable:"false"`
	Alarms   []alarmBody   `json:"alarms" nullable:"false" doc:"what rings and was not heard yet, the most urgent first"`
	Coming   []comingBody  `json:"coming" nullable:"false" doc:"what comes next over all loads and clocks, the soonest first; three at most"`
	Practice *practiceBody `json:"practice" doc:"null outside of practice"`
}

type nextBody struct {
	Kind  string   `json:"kind" doc:"what to tell when it is done; empty: nothing but to wait"`
	What  string   `json:"what"`
	Do    string   `json:"do"`
	Tap   string   `json:"tap"`
	Watch []string `json:"watch" nullable:"false"`
}

type jarNowBody struct {
	N         int    `json:"n"`
	Text      string `json:"text" doc:"what there is to say of it; empty where all is well"`
	Bad       bool   `json:"bad" doc:"not for the shelf"`
	Corrected bool   `json:"corrected"`
}

type tapBody struct {
	Kind string `json:"kind"`
	What string `json:"what"`
	Text string `json:"text"`
	Jar  bool   `json:"jar" doc:"it is of one jar"`
	But  bool   `json:"but" doc:"it is of every jar but one"`
}

type saidBody struct {
	Seq       int    `json:"seq"`
	Time      string `json:"time"`
	Text      string `json:"text"`
	Corrected bool   `json:"corrected" doc:"it was moved, or taken back"`
	Void      bool   `json:"void" doc:"it was taken back"`
	TakeBack  bool   `json:"takeBack" doc:"it may be taken back now"`
	Earlier   bool   `json:"earlier" doc:"it is the boil that the time runs from, and may be put a minute earlier"`
	Later     bool   `json:"later" doc:"it may be put a minute later"`
}

type proposalBody struct {
	Kind  string `json:"kind" doc:"what to tell if the cook agrees; empty: nothing"`
	AgoMs int64  `json:"agoMs"`
	Text  string `json:"text"`
}

type pointBody struct {
	Minutes float64 `json:"minutes" doc:"ago"`
	Celsius float64 `json:"celsius"`
}

type thermometerBody struct {
	Text   string      `json:"text" doc:"205 °F, or that it is silent"`
	Boil   string      `json:"boil" doc:"where water boils here"`
	BoilC  float64     `json:"boilC"`
	Points []pointBody `json:"points" nullable:"false" doc:"the last half hour, the oldest first"`
}

type loadNowBody struct {
	ID          string           `json:"id"`
	Batch       string           `json:"batch"`
	Seq         int              `json:"seq" doc:"send it back with what is told"`
	About       aboutLoad        `json:"about"`
	Phase       string           `json:"phase" enum:"filling,loaded,heating,boiling,lost,held,time-up,resting,cooling"`
	PhaseWords  string           `json:"phaseWords"`
	Left        string           `json:"left" doc:"24:31, of what runs; empty where nothing does"`
	LeftWords   string           `json:"leftWords" doc:"what is left of it, in words for the clock"`
	Part        float64          `json:"part" doc:"of what runs that is over, 0 to 1"`
	Minutes     int              `json:"minutes" doc:"the process time that counts"`
	Short       string           `json:"short" doc:"that the process was cut short; empty where it was not"`
	Corrected   bool             `json:"corrected" doc:"something that was told was corrected"`
	Doubt       string           `json:"doubt" doc:"that the altitude is in doubt; empty where it is not"`
	Reading     string           `json:"reading" doc:"where the clock holds: the most that may count"`
	ReadingMs   int64            `json:"readingMs"`
	Next        nextBody         `json:"next"`
	Others      []tapBody        `json:"others" nullable:"false" doc:"what else may be told now"`
	Jars        []jarNowBody     `json:"jars" nullable:"false"`
	Said        []saidBody       `json:"said" nullable:"false" doc:"what was told, the newest first"`
	Thermometer *thermometerBody `json:"thermometer" doc:"null where none was heard"`
	Proposal    proposalBody     `json:"proposal"`
	Forecast    string           `json:"forecast" doc:"of the boil while it heats; empty where not known"`
	Ahead       string           `json:"ahead" doc:"when to start filling the next load; empty where there is none to time"`
}

type sideBody struct {
	ID      string  `json:"id"`
	Kind    string  `json:"kind"`
	Name    string  `json:"name"`
	Do      string  `json:"do"`
	Left    string  `json:"left"`
	Part    float64 `json:"part"`
	Soon    bool    `json:"soon" doc:"it rings within three hours"`
	Ringing bool    `json:"ringing"`
	Unsure  bool    `json:"unsure" doc:"the machine was started again meanwhile"`
}

type alarmBody struct {
	ID   string `json:"id"`
	Load string `json:"load" doc:"empty: of a clock"`
	Text string `json:"text"`
	Stop bool   `json:"stop" doc:"something is wrong, rather than over"`
}

type comingBody struct {
	In   string `json:"in"`
	Text string `json:"text"`
	ms   int64
}

type practiceBody struct {
	Times  float64  `json:"times" doc:"how many times as fast its clock runs"`
	Sees   []string `json:"sees" nullable:"false" doc:"what a cook would see at the pot"`
	Well   []string `json:"well" nullable:"false" doc:"what was done right, once it is over"`
	Better []string `json:"better" nullable:"false"`
	Over   bool     `json:"over"`
}

// stoveAnswer puts a moment into words. loc is the kitchen's time zone.
func stoveAnswer(m live.Moment, units measure.System, loc *time.Location) stoveBody {
	b := stoveBody{Time: clockTime(m.At, loc), Last: m.Last, Loads: []loadNowBody{}, Clocks: []sideBody{}, Alarms: []alarmBody{}, Coming: []comingBody{}}
	for _, l := range m.Loads {
		body := loadAnswer(l, m, units, loc)
		b.Loads = append(b.Loads, body)
		b.alarm(l, body)
		switch l.State.Phase {
		case run.Boiling:
			b.Coming = append(b.Coming, comingBody{minutesOf(l.State.LeftMs), "heat off under " + body.About.Canner, l.State.LeftMs})
		case run.Resting:
			if l.State.LeftMs > 0 {
				b.Coming = append(b.Coming, comingBody{minutesOf(l.State.LeftMs), "lift the jars, " + body.About.Canner, l.State.LeftMs})
			}
		case run.Heating:
			if ms := toBoil(l, m); ms > 0 {
				b.Coming = append(b.Coming, comingBody{"about " + minutesOf(ms), "the boil, " + body.About.Canner, ms})
			}
		}
	}
	for _, c := range m.Sides {
		info, _ := run.FindSide(c.Kind)
		name := orElse(c.Name, info.Name)
		b.Clocks = append(b.Clocks, sideBody{c.ID, string(c.Kind), name, info.Do, left(c.LeftMs), rounded(1-float64(c.LeftMs)/float64(c.ForMs), 4), c.LeftMs < 3*60*60_000, c.Ringing, !c.Sure})
		if c.Ringing {
			b.Alarms = append(b.Alarms, alarmBody{"clock " + c.ID, "", name + ": " + info.Do, false})
		} else {
			b.Coming = append(b.Coming, comingBody{minutesOf(c.LeftMs), name, c.LeftMs})
		}
	}
	slices.SortStableFunc(b.Alarms, func(a, c alarmBody) int { return b2i(c.Stop) - b2i(a.Stop) })
	slices.SortStableFunc(b.Coming, func(a, c comingBody) int { return int(a.ms - c.ms) })
	b.Coming = b.Coming[:min(3, len(b.Coming))]
	return b
}

func b2i(b bool) int {
	if b {
		return 1
	}
	return 0
}

func orElse(s, otherwise string) string {
	if s == "" {
		return otherwise
	}
	return s
}

// alarm adds what rings of a load and was not heard since it began.
func (b *stoveBody) alarm(l live.LoadNow, body loadNowBody) {
	rings := func(id, text string, stop bool) {
		id = fmt.Sprintf("%s %d", id, l.State.Restarts)
		if !slices.Contains(l.State.Silenced, id) {
			b.Alarms = append(b.Alarms, alarmBody{id, l.ID, text, stop})
		}
	}
	switch l.State.Phase {
	case run.TimeUp:
		rings("time-up", "Time up: heat off under "+body.About.Canner+".", false)
	case run.Held:
		rings("held", "The clock of "+body.About.Canner+" waits for your answer.", true)
	case run.Resting:
		if l.State.LeftMs == 0 {
			rings("rested", "Lift the jars out of "+body.About.Canner+".", false)
		}
	}
	if run.Kind(body.Proposal.Kind) == run.BoilLost {
		rings("cool", body.Proposal.Text, true)
	}
}

func loadAnswer(l live.LoadNow, m live.Moment, units measure.System, loc *time.Location) loadNowBody {
	s := l.State
	n := l.Load.Next(s)
	b := loadNowBody{
		ID: l.ID, Batch: l.Batch, Seq: s.Seq, Phase: string(s.Phase), PhaseWords: upper(l.Load.PhaseWords(s)), Minutes: int(s.FullMs / 60_000),
		Next: nextBody{string(n.Kind), n.What, n.Do, n.Tap, notNil(n.Watch)}, Others: othersOf(l, n), Jars: jarsNow(s), Corrected: s.Corrected, Said: saidOf(l, m, loc),
	}
	b.About = aboutOf(l.About)
	switch s.Phase {
	case run.Boiling:
		b.Left, b.LeftWords, b.Part = left(s.LeftMs), "left", rounded(float64(s.CountedMs)/float64(max(1, s.FullMs)), 4)
	case run.TimeUp:
		b.Left, b.LeftWords, b.Part = "0:00", "time up", 1
	case run.Resting:
		if s.LeftMs > 0 {
			b.Left, b.LeftWords, b.Part = left(s.LeftMs), "of rest", rounded(1-float64(s.LeftMs)/float64(l.Load.RestMinutes*60_000), 4)
		}
	case run.Held:
		b.Part = rounded(float64(s.CountedMs)/float64(max(1, s.FullMs)), 4)
		b.Reading, b.ReadingMs = fmt.Sprintf("By the clock it would be %s of %s.", minutesOf(min(s.ReadingMs, s.FullMs)), minutesOf(s.FullMs)), s.ReadingMs
	case run.Cooling:
		b.Left, b.LeftWords = minutesOf(s.SinceOut), "since they came out"
	}
	if s.Short {
		b.Short = "Cut short by " + minutesOf(s.ShortMs) + ": not for the shelf. Process them again in full, or refrigerate them."
	}
	if s.AltitudeAsked {
		b.Doubt = fmt.Sprintf("The water boils cooler than it should at %s. Look your altitude up again; until then %d min count.", b.About.Altitude, b.Minutes)
		if s.NoTime {
			b.Doubt = fmt.Sprintf("The water boils cooler than it should at %s, and higher up nothing was tested. Look your altitude up again: until then no time ends.", b.About.Altitude)
		}
	}
	b.thermometer(l, m, units)
	if s.Phase == run.Loaded || s.Phase == run.Heating {
		b.Next.Watch = append(b.Next.Watch, b.About.Hazards...)
	}
	if s.Phase == run.Cooling && !s.Short {
		b.Forecast = afterOut(s.SinceOut)
	}
	if s.Phase == run.Heating {
		if ms := toBoil(l, m); ms > 0 {
			b.Forecast = "It boils in about " + minutesOf(ms) + "."
		}
	}
	if a, ok := l.Load.StartFilling(s, int64(b.About.FillMin*60_000), toBoil(l, m)); ok {
		b.Ahead = aheadText(a)
	}
	return b
}

// afterOut says how long until the seals are looked at, and how long what did not seal
// has. Source: Complete Guide to Home Canning, Guide 1 (2015).
func afterOut(since int64) string {
	const day = 24 * 60 * 60_000
	if since >= day {
		return "The day is over: what did not seal is to be thrown away."
	}
	has := "A jar that did not seal has " + minutesOf(day-since) + " yet."
	if since >= day/2 {
		return "Look at the seals now. " + has
	}
	return "Look at the seals in " + minutesOf(day/2-since) + ". " + has
}

func aheadText(a run.Ahead) string {
	about := ""
	if !a.Sure {
		about = "about "
	}
	switch {
	case a.InMs == 0:
		return "Start filling the next load now."
	case a.NotBefore > 0:
		return fmt.Sprintf("Start filling the next load in %s%s, not before %s: hot jars wait 10 minutes at most.", about, minutesOf(a.InMs), minutesOf(a.NotBefore))
	}
	return fmt.Sprintf("Start filling the next load in %s%s.", about, minutesOf(a.InMs))
}

// toBoil is a forecast of the boil in milliseconds: by the thermometer, or else by what
// was worked out less what has passed; 0 where it is not known.
func toBoil(l live.LoadNow, m live.Moment) int64 {
	if l.Proposal.ToBoilMs > 0 {
		return l.Proposal.ToBoilMs
	}
	about := aboutOf(l.About)
	passed, _ := m.At.Since(l.State.Began)
	if l.State.Phase != run.Heating {
		passed = 0
	}
	return max(0, int64(about.ToBoil*60_000)-passed)
}

func (b *loadNowBody) thermometer(l live.LoadNow, m live.Moment, units measure.System) {
	p := l.Proposal
	if len(l.Readings) > 0 {
		last := l.Readings[len(l.Readings)-1]
		t := &thermometerBody{Text: measure.Celsius(last.Celsius).Text(units), Boil: measure.Celsius(l.Load.BoilC).Text(units), BoilC: rounded(l.Load.BoilC, 2), Points: []pointBody{}}
		switch {
		case p.Silent:
			t.Text = "The thermometer is silent. Watch the pot; the time goes on by what you tell."
		case p.Lies:
			t.Text = "The thermometer reads what water cannot be. Do not go by it."
		}
		for i, r := range l.Readings {
			ago, sure := m.At.Since(r.At)
			if sure && ago <= 30*60_000 && (i%6 == 0 || i == len(l.Readings)-1 || len(l.Readings) < 200) {
				t.Points = append(t.Points, pointBody{rounded(float64(ago)/60_000, 2), rounded(r.Celsius, 2)})
			}
		}
		b.Thermometer = t
	}
	b.Proposal = proposalBody{Kind: string(p.Kind), AgoMs: p.AgoMs}
	boils := "it boils"
	if l.Load.Steam {
		boils = "there is pure steam"
	}
	switch p.Kind {
	case run.Boil, run.BoilBack:
		b.Proposal.Text = "By the thermometer " + boils + ". If it boils hard, tell it: the time starts then."
	case run.BoilLost:
		b.Proposal.Text = "The thermometer has fallen under the boil. Has it stopped boiling?"
	case run.Plateau:
		b.Proposal.Text = fmt.Sprintf("It stands at %s, cooler than water should boil here. Is the altitude right?", measure.Celsius(p.Low).Text(units))
	}
}

// others are what else may be told, in the words of keys.
var otherWords = map[run.Kind]tapBody{
	run.Boil:       {string(run.Boil), "", "It boils hard", false, false},
	run.BoilLost:   {string(run.BoilLost), "", "It stopped boiling", false, false},
	run.TopsBare:   {string(run.TopsBare), "", "Water was under the tops", false, false},
	run.ToppedUp:   {string(run.ToppedUp), "", "Topped up with boiling water", false, false},
	run.LidLifted:  {string(run.LidLifted), "", "Lid was lifted", false, false},
	run.HeatOff:    {string(run.HeatOff), run.Early, "Heat is off, too early", false, false},
	run.LidOff:     {string(run.LidOff), "", "Lid is off", false, false},
	run.Out:        {string(run.Out), "", "All jars are out", false, false},
	run.Unsure:     {string(run.Unsure), "", "Not sure", false, false},
	run.JarsIn:     {string(run.JarsIn), "", "All jars are in", false, false},
	run.Checked:    {string(run.Checked), "", "All of it is right in every jar", false, false},
	run.SetAside:   {string(run.SetAside), "", "A jar goes to the refrigerator", true, false},
	run.JarBroken:  {string(run.JarBroken), "", "A jar broke", true, false},
	run.JarLeaking: {string(run.JarLeaking), "", "A jar leaks", true, false},
}

func othersOf(l live.LoadNow, n run.Next) []tapBody {
	all := []tapBody{}
	if n.Kind == run.Checked {
		all = append(all, tapBody{string(run.Checked), n.What, upper(run.Check(n.What).Words()) + " in all but one jar", true, true})
	}
	for _, k := range l.State.Taps() {
		t, ok := otherWords[k]
		if !ok || k == n.Kind && k != run.Checked || k == run.HeatOff && l.State.Phase == run.TimeUp || k == run.JarsIn && len(l.State.Checks) > 0 || k == run.LidLifted && !l.Load.Steam {
			continue
		}
		if k == run.TopsBare && l.Load.Steam {
			continue
		}
		all = append(all, t)
	}
	return all
}

func jarsNow(s run.State) []jarNowBody {
	all := []jarNowBody{}
	for i, j := range s.Jars {
		b := jarNowBody{N: i + 1, Corrected: j.Mistaken}
		switch {
		case j.Broken:
			b.Text, b.Bad = "broken: its contents are to be thrown away", true
		case j.Aside:
			b.Text, b.Bad = "in the refrigerator", true
		case j.Short:
			b.Text, b.Bad = "cut short: not for the shelf", true
		case j.Leaking:
			b.Text, b.Bad = "leaks: look at its seal first", true
		case s.Phase == run.Filling && len(j.Missing) > 0 && len(j.Missing) < 6:
			b.Text = "not yet: " + j.Missing[0].Words()
		}
		all = append(all, b)
	}
	return all
}

func clockTime(at run.Stamp, loc *time.Location) string {
	return time.UnixMilli(at.WallMs).In(loc).Format("15:04")
}

// left is a time as a clock shows it: 24:31, or 2:04:31. A started second is whole.
func left(ms int64) string {
	s := (ms + 999) / 1000
	if s >= 3600 {
		return fmt.Sprintf("%d:%02d:%02d", s/3600, s/60%60, s%60)
	}
	return fmt.Sprintf("%d:%02d", s/60, s%60)
}

// minutesOf is a time in words, a started minute whole.
func minutesOf(ms int64) string {
	switch n := int64(math.Ceil(float64(ms) / 60_000)); {
	case ms < 60_000:
		return fmt.Sprintf("%d s", (ms+999)/1000)
	case n >= 120:
		return fmt.Sprintf("%d h %d min", n/60, n%60)
	default:
		return fmt.Sprintf("%d min", n)
	}
}
