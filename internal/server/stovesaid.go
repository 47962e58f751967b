package server

import (
	"fmt"
	"slices"
	"time"

	"mellisca/core/run"
	"mellisca/internal/live"
	"mellisca/internal/store"
)

// saidShown is how many of the newest things told are shown.
const saidShown = 60

// saidOf is what was told of a load, the newest first, with how it may be corrected.
func saidOf(l live.LoadNow, m live.Moment, loc *time.Location) []saidBody {
	moved, void := run.Changes(l.Events)
	all := []saidBody{}
	for _, e := range slices.Backward(l.Events) {
		if e.Kind == run.Silenced {
			continue
		}
		if len(all) == saidShown {
			break
		}
		at := e.At().Back(-moved[e.Seq])
		b := saidBody{Seq: e.Seq, Time: clockTime(at, loc), Text: saidText(e), Corrected: void[e.Seq] || moved[e.Seq] != 0, Void: void[e.Seq]}
		if !b.Void {
			may := func(c run.Event) bool {
				c.Kind, c.Target = run.Corrected, e.Seq
				_, err := l.Load.Accept(l.Events, c, m.At, m.Seen, run.Witness{Cooler: l.Proposal.Cooler})
				return err == nil
			}
			b.TakeBack = may(run.Event{Void: true})
			if e.Kind == run.Boil || e.Kind == run.BoilBack {
				b.Earlier = l.State.BoilSeq == e.Seq && may(run.Event{ShiftMs: -60_000})
				b.Later = may(run.Event{ShiftMs: 60_000})
			}
		}
		all = append(all, b)
	}
	return all
}

func saidText(e run.Event) string {
	text := e.Kind.Words()
	switch e.Kind {
	case run.Checked:
		text = "everything right in every jar"
		if e.What != "" {
			text = run.Check(e.What).Words()
		}
		if len(e.Except) > 0 {
			text += fmt.Sprintf(", but not in jar %s", numbers(e.Except))
		} else if e.Jar > 0 {
			text += fmt.Sprintf(" in jar %d", e.Jar)
		}
	case run.SetAside, run.JarBroken, run.JarLeaking:
		text += fmt.Sprintf(": jar %d", e.Jar)
	case run.Confirmed:
		text = "it boiled hard for " + minutesOf(e.SinceMs)
	case run.Altitude:
		text = "the altitude is " + e.Text
	case run.HeatOff:
		if e.What == run.Early {
			text += ", too early"
		}
	case run.Corrected:
		text = "taken back"
		if !e.Void {
			text = fmt.Sprintf("put %s later", minutesOf(e.ShiftMs))
			if e.ShiftMs < 0 {
				text = fmt.Sprintf("put %s earlier", minutesOf(-e.ShiftMs))
			}
		}
		text += fmt.Sprintf(" (number %d)", e.Target)
	case run.Note:
		text = e.Text
	}
	if e.AgoMs > 0 {
		text += ", told " + minutesOf(e.AgoMs) + " later"
	}
	if e.By != "" {
		text += ", as " + e.By + " proposed"
	}
	return upper(text)
}

func numbers(all []int) string {
	text := ""
	for i, n := range all {
		if i > 0 {
			text += ", "
		}
		text += fmt.Sprint(n)
	}
	return text
}

// ranBody is what the stove remembers of a batch.
type ranBody struct {
	Loads       int    `json:"loads"`
	BoilMinutes int    `json:"boilMinutes" doc:"of its first load, from jars in to the boil; 0: not known"`
	Text        string `json:"text" doc:"what became of its jars; empty where none was on the hob"`
	// What was told of its steps on the day that it was planned for; 0: not known.
	PrepareMinutes int `json:"prepareMinutes"`
	CookMinutes    int `json:"cookMinutes"`
	FillMinutes    int `json:"fillMinutes" doc:"from the load opened to its jars in, of all loads"`
}

func ranAnswer(loads []store.KeptLoad) ranBody {
	b := ranBody{Loads: len(loads), FillMinutes: fillMinutes(loads)}
	short, broken := 0, 0
	for _, l := range loads {
		if ms, ok := run.ToBoil(l.Events); ok && b.BoilMinutes == 0 {
			b.BoilMinutes = int((ms + 30_000) / 60_000)
		}
		if len(l.Events) == 0 {
			continue
		}
		s := l.Load.Fold(l.Events, l.Events[len(l.Events)-1].Told, run.Stamp{})
		if s.Short {
			short++
		}
		for _, j := range s.Jars {
			if j.Broken {
				broken++
			}
		}
	}
	if b.Loads > 0 {
		b.Text = fmt.Sprintf("By the stove: %d on the hob", b.Loads)
		if short > 0 {
			b.Text += fmt.Sprintf(", %d cut short: its jars are not for the shelf", short)
		}
		if broken > 0 {
			b.Text += fmt.Sprintf(", %d broken", broken)
		}
		b.Text += "."
	}
	return b
}

// mostFill is up to how many minutes a jar the filling of a load is believed to have taken:
// a load that was opened and left alone tells nothing.
const mostFill = 8

// fillMinutes is how long the loads of a batch took to fill, all of them; 0 where that is not
// known of one.
func fillMinutes(loads []store.KeptLoad) (minutes int) {
	for _, l := range loads {
		in := run.TimesOf(l.Events).JarsIn
		took := int((in - l.Opened + 30_000) / 60_000)
		if in == 0 || took < 1 || took > mostFill*l.Load.Jars {
			return 0
		}
		minutes += took
	}
	return minutes
}
