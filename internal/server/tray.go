package server

import (
	"context"
	"crypto/rand"
	"encoding/json"
	"fmt"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/guide"
	"mellisca/core/run"
	"mellisca/core/shelf"
	"mellisca/internal/store"
)

// FoundFields is what was found of jars of a load.
type FoundFields struct {
	Jars       []int   `json:"jars" maxItems:"100" nullable:"false" doc:"from 1; all that were not looked at yet where empty"`
	Seal       string  `json:"seal" enum:"sealed,unsealed,false-seal,broken"`
	LiquidLost float64 `json:"liquidLost,omitempty" required:"false" minimum:"0" maximum:"1" doc:"the part of its liquid that is gone"`
	Float      bool    `json:"float,omitempty" required:"false"`
	Cloudy     bool    `json:"cloudy,omitempty" required:"false"`
}

// DoneFields is what was done with jars.
type DoneFields struct {
	Jars   []int  `json:"jars" minItems:"1" maxItems:"100" nullable:"false" doc:"from 1"`
	Choice string `json:"choice" enum:"shelf,refrigerate,freeze,process-again,discard"`
	Place  string `json:"place,omitempty" required:"false" maxLength:"40" doc:"of /api/shelf, where it is to stand; where such jars were put last where left out"`
}

type causeBody struct {
	Text string `json:"text"`
	Own  bool   `json:"own" doc:"this load's own record tells of it"`
}

type doBody struct {
	Choice string `json:"choice"`
	Text   string `json:"text"`
}

type trayJarBody struct {
	N      int         `json:"n"`
	Seal   string      `json:"seal" doc:"empty where it was not looked at yet"`
	Fate   string      `json:"fate" enum:"wait,keep,use-first,refrigerate,choose,discard"`
	Text   string      `json:"text" doc:"what was found and, once it is, what was done"`
	Why    string      `json:"why"`
	Left   string      `json:"left" doc:"of the 24 hours, where there is something to choose"`
	Do     []doBody    `json:"do" nullable:"false" doc:"what may be done with it, the usual first"`
	Done   string      `json:"done" doc:"empty where it is still to be decided"`
	Causes []causeBody `json:"causes" nullable:"false"`
}

type trayLoadBody struct {
	ID    string        `json:"id"`
	About aboutLoad     `json:"about"`
	Since string        `json:"since" doc:"since they came out"`
	Early string        `json:"early" doc:"that it is too early to look; empty where it is not"`
	Urge  bool          `json:"urge" doc:"they have stood for 18 hours"`
	Jars  []trayJarBody `json:"jars" nullable:"false"`
}

type trayOutput struct{ Body []trayLoadBody }

var doWords = map[shelf.Choice]string{
	shelf.ToShelf: "Onto the shelf", shelf.ToRefrigerator: "Into the refrigerator", shelf.ToFreezer: "Into the freezer", shelf.ProcessAgain: "Process again", shelf.Away: "Throw away",
}

var doneWords = map[shelf.Choice]string{
	shelf.ToShelf: "on the shelf", shelf.ToRefrigerator: "in the refrigerator", shelf.ToFreezer: "in the freezer", shelf.ProcessAgain: "to be processed again", shelf.Away: "thrown away",
}

var sealWords = map[shelf.Seal]string{
	"": "not looked at yet", shelf.Sealed: "sealed", shelf.Unsealed: "did not seal", shelf.FalseSeal: "came loose without its band", shelf.Broken: "broken",
}

func (s *server) registerTray(api huma.API) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 422}}
	}
	huma.Register(api, op("tray", "GET", "/api/tray", "Loads that were lifted out and of which jars are still to be decided on"), func(ctx context.Context, _ *struct{}) (*trayOutput, error) {
		return s.tray(ctx)
	})
	huma.Register(api, op("found", "POST", "/api/tray/{id}/found", "Say what was found of jars"), func(ctx context.Context, in *struct {
		PotID
		Body FoundFields
	}) (*trayOutput, error) {
		return s.tellJars(ctx, in.ID, "", func(l trayNow, state run.State, now []shelf.JarNow) ([]shelf.Told, error) {
			f := shelf.Finding{Seal: shelf.Seal(in.Body.Seal), LiquidLost: in.Body.LiquidLost, Float: in.Body.Float, Cloudy: in.Body.Cloudy}
			if err := f.Check(); err != nil {
				return nil, unprocessable([]error{field("body.seal", upper(err.Error())+".", in.Body.Seal)})
			}
			if state.SinceOut < shelf.AskedMs && f.Seal == shelf.Sealed {
				return nil, unprocessable([]error{field("body.seal", "It is too early: leave them untouched for 12 hours. One that has plainly not sealed or is broken can be told now.", in.Body.Seal)})
			}
			jars := in.Body.Jars
			if len(jars) == 0 {
				for i, j := range now {
					if j.Finding.Seal == "" && j.Done == "" && onTray(state.Jars[i]) {
						jars = append(jars, i+1)
					}
				}
			}
			var told []shelf.Told
			for _, n := range jars {
				if n < 1 || n > len(now) || !onTray(state.Jars[n-1]) {
					return nil, unprocessable([]error{field("body.jars", fmt.Sprintf("Jar %d is not on the tray.", n), n)})
				}
				told = append(told, shelf.Told{Jar: n, Finding: &f})
			}
			return told, nil
		})
	})
	huma.Register(api, op("jar-done", "POST", "/api/tray/{id}/done", "Say what was done with a jar"), func(ctx context.Context, in *struct {
		PotID
		Body DoneFields
	}) (*trayOutput, error) {
		return s.tellJars(ctx, in.ID, in.Body.Place, func(l trayNow, state run.State, now []shelf.JarNow) ([]shelf.Told, error) {
			c := shelf.Choice(in.Body.Choice)
			var told []shelf.Told
			for _, n := range in.Body.Jars {
				if n < 1 || n > len(now) || !onTray(state.Jars[n-1]) || now[n-1].Done != "" {
					return nil, unprocessable([]error{field("body.jars", fmt.Sprintf("Jar %d is not on the tray any more.", n), n)})
				}
				if err := shelf.Decide(l.jar(state, n), now[n-1].Finding).May(c); err != nil {
					return nil, unprocessable([]error{field("body.choice", upper(err.Error()), in.Body.Choice)})
				}
				told = append(told, shelf.Told{Jar: n, Done: c})
			}
			if c == shelf.ProcessAgain {
				return told, s.openAgain(ctx, l.TrayLoad, in.Body.Jars)
			}
			return told, nil
		})
	})
}

// onTray says whether a jar came out of the canner whole.
func onTray(j run.JarState) bool { return !j.Aside && !j.Broken }

// trayNow is a load on the tray, with what was called back of it.
type trayNow struct {
	store.TrayLoad
	recall *store.Recall // nil: none
}

func (l trayNow) jar(state run.State, n int) shelf.Jar {
	j := shelf.Jar{SinceOutMs: state.SinceOut, Short: state.Jars[n-1].Short, Broken: state.Jars[n-1].Broken, Again: aboutOf(l.About).AgainOf != ""}
	switch {
	case l.recall == nil:
	case l.recall.Short:
		j.Short = true
	default:
		j.CalledBack = l.recall.Why
	}
	return j
}

// openAgain puts jars of a load on the hob once more, as a load of their own that knows
// the old one: in full, with new lids, packed hot.
func (s *server) openAgain(ctx context.Context, l store.TrayLoad, jars []int) error {
	about := aboutOf(l.About)
	for _, on := range s.stove.Now().Loads {
		if a := aboutOf(on.About); a.CannerID == about.CannerID && on.State.Phase != run.Cooling {
			return unprocessable([]error{field("body.choice", upper(about.Canner)+" has a load in it. Clear that first.", nil)})
		}
	}
	rest := len(jars)
	var tiers []tierBody
	for _, t := range about.Tiers {
		if n := min(rest, len(t.Jars)); n > 0 {
			tiers = append(tiers, tierBody{t.Jars[:n]})
			rest -= n
		}
	}
	about.AgainOf, about.Tiers, about.Headline = l.ID, tiers, about.Headline+", again"
	about.Jars = fmt.Sprintf("%d jars", len(jars))
	if len(jars) == 1 {
		about.Jars = "1 jar"
	}
	about.FillMin = fillPerJar * float64(len(jars))
	raw, err := json.Marshal(about)
	if err != nil {
		return err
	}
	k := store.KeptLoad{ID: strings.ToLower(rand.Text()[:16]), Batch: l.Batch, Load: l.Load, About: string(raw)}
	k.Load.Jars, k.Load.Hot = len(jars), true
	return s.stove.Open(ctx, k)
}

// tellJars takes what is told of a load's jars, follows them to the shelf or wherever
// they go, and clears the load from the tray once every jar is decided on.
func (s *server) tellJars(ctx context.Context, id, place string, what func(trayNow, run.State, []shelf.JarNow) ([]shelf.Told, error)) (*trayOutput, error) {
	loads, err := s.trayNow(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "tray")
	}
	i := slices.IndexFunc(loads, func(l trayNow) bool { return l.ID == id })
	if i < 0 {
		return nil, huma.Error404NotFound("That load is not on the tray. Somebody may have cleared it.")
	}
	l := loads[i]
	m := s.stove.Now()
	state := l.Load.Fold(l.Events, m.At, m.Seen)
	before := shelf.Fold(l.Load.Jars, l.Told)
	told, err := what(l, state, before)
	if err != nil {
		return nil, err
	}
	after := shelf.Fold(l.Load.Jars, append(slices.Clone(l.Told), told...))
	done, looked := true, true
	for n, j := range after {
		looked = looked && (j.Finding.Seal != "" || !onTray(state.Jars[n]))
		done = done && (j.Done != "" || !onTray(state.Jars[n]))
	}
	if place, err = s.placeFor(ctx, place); err != nil {
		return nil, err
	}
	var jars []store.Jar
	for _, t := range told {
		if j, ok := s.jarFromTray(l, state, before[t.Jar-1], after[t.Jar-1], t.Jar, m.At); ok {
			if j.State == shelf.Standing {
				j.Place = place
			}
			jars = append(jars, j)
		}
	}
	if err := (store.Stove{Store: s.store}).TellJars(ctx, id, told, jars, done, m.At); err != nil {
		return nil, s.storeProblem(err, "finding")
	}
	if err := s.endSealClocks(ctx, id, looked, done); err != nil {
		return nil, s.liveProblem(err)
	}
	return s.tray(ctx)
}

// trayNow gives the loads on the tray, each with what was called back of it.
func (s *server) trayNow(ctx context.Context) (all []trayNow, err error) {
	loads, err := store.Stove{Store: s.store}.Tray(ctx)
	if err != nil {
		return nil, err
	}
	for _, l := range loads {
		recall, err := s.recallOf(ctx, l.ID, l.Batch)
		if err != nil {
			return nil, err
		}
		all = append(all, trayNow{l, recall})
	}
	return all, nil
}

func (s *server) tray(ctx context.Context) (*trayOutput, error) {
	loads, err := s.trayNow(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "tray")
	}
	m := s.stove.Now()
	out := &trayOutput{Body: []trayLoadBody{}}
	for _, l := range loads {
		out.Body = append(out.Body, trayAnswer(l, l.Load.Fold(l.Events, m.At, m.Seen)))
	}
	return out, nil
}

func trayAnswer(l trayNow, state run.State) trayLoadBody {
	b := trayLoadBody{ID: l.ID, About: aboutOf(l.About), Since: minutesOf(state.SinceOut), Urge: state.SinceOut >= shelf.UrgedMs, Jars: []trayJarBody{}}
	if state.SinceOut < shelf.AskedMs {
		b.Early = "Leave them untouched for " + minutesOf(shelf.AskedMs-state.SinceOut) + " more. A lid that is pressed too early may seal falsely."
	}
	record := recordOf(l.TrayLoad, b.About)
	for i, j := range shelf.Fold(l.Load.Jars, l.Told) {
		if !onTray(state.Jars[i]) {
			continue
		}
		fate := shelf.Decide(l.jar(state, i+1), j.Finding)
		jb := trayJarBody{N: i + 1, Seal: string(j.Finding.Seal), Fate: string(fate.Kind), Why: fate.Why, Text: foundText(j), Done: string(j.Done), Do: []doBody{}, Causes: []causeBody{}}
		if j.Done == "" {
			for _, c := range fate.Can() {
				jb.Do = append(jb.Do, doBody{string(c), doWords[c]})
			}
			if fate.Kind == shelf.Choose {
				jb.Left = minutesOf(fate.LeftMs)
			}
		}
		for _, c := range shelf.Causes(j.Finding, record) {
			jb.Causes = append(jb.Causes, causeBody(c))
		}
		b.Jars = append(b.Jars, jb)
	}
	return b
}

func foundText(j shelf.JarNow) string {
	text := sealWords[j.Finding.Seal]
	if lost := j.Finding.LiquidLost; lost > 0.5 {
		text += ", more than half of its liquid gone"
	} else if lost > 0 {
		text += ", some liquid gone"
	}
	if j.Finding.Float {
		text += ", fruit floats"
	}
	if j.Finding.Cloudy {
		text += ", cloudy"
	}
	if j.Done != "" {
		text += ": " + doneWords[j.Done]
	}
	return upper(text)
}

// recordOf is what the stove remembers of a load.
func recordOf(l store.TrayLoad, about aboutLoad) shelf.Record {
	r := shelf.Record{Known: true, Raw: !l.Load.Hot}
	if q := about.Request.Liquid; q.Kind == "syrup" {
		r.Heavy = q.Strength == "heavy" || q.Strength == "very-heavy"
	}
	if guide.Pack(about.Request.Pack) == guide.Raw {
		r.Raw = true
	}
	var off, out run.Stamp
	for _, e := range l.Events {
		switch e.Kind {
		case run.HeatOff:
			off = e.At()
		case run.Out:
			out = e.At()
		case run.TopsBare:
			r.TopsBare = true
		}
	}
	r.Restarts = l.Load.Fold(l.Events, out, run.Stamp{}).Restarts
	var sure bool
	if r.RestMs, sure = out.Since(off); !sure {
		r.Known = false
	}
	return r
}
