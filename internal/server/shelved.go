package server

import (
	"context"
	"slices"
	"strings"
	"time"

	"mellisca/core/batch"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/run"
	"mellisca/core/shelf"
	"mellisca/internal/store"
)

// dayAt is the kitchen's calendar day of a moment.
func (s *server) dayAt(at run.Stamp) fruit.Day {
	return dayOf(time.UnixMilli(at.WallMs).In(s.now().Location()))
}

// jarFromTray is a jar of a load as what was just told leaves it; ok is false where that
// leads nowhere yet. One that was decided on and is looked at again stands nowhere until
// it is decided on anew.
func (s *server) jarFromTray(l trayNow, state run.State, before, after shelf.JarNow, n int, now run.Stamp) (j store.Jar, ok bool) {
	about := aboutOf(l.About)
	today := s.dayAt(now)
	j = store.Jar{
		Load: l.ID, Number: n, Batch: l.Batch, Origin: "load", Product: about.Product, Kind: about.Kind, Form: about.Request.Form,
		Jar: jarIn(about, n), Canned: s.dayAt(outOf(l.TrayLoad, now)), Process: shelf.Tested, Source: about.Source,
	}
	j.What, j.Strength = contents(about)
	if about.Own {
		j.Process = shelf.OwnBook
	}
	fate := shelf.Decide(l.jar(state, n), after.Finding)
	j.UseFirst = fate.Kind == shelf.UseFirst
	j.Since = today
	switch after.Done {
	case "":
		j.State, j.Why = shelf.Pulled, "It is looked at again on the tray."
		return j, before.Done != "" && before.Done != shelf.ProcessAgain
	case shelf.ToShelf:
		j.State = shelf.Standing
	case shelf.ToRefrigerator:
		j.State, j.Until = shelf.Cold, today+fruit.Day(max(fate.Days, shelf.ShortDays))
	case shelf.ToFreezer:
		j.State = shelf.Frozen
	case shelf.Away:
		j.State, j.Why = shelf.Discarded, foundText(shelf.JarNow{Finding: after.Finding})
	default:
		return j, false
	}
	return j, true
}

// outOf is when a load was lifted out; where that was not told, now.
func outOf(l store.TrayLoad, now run.Stamp) run.Stamp {
	for _, e := range l.Events {
		if e.Kind == run.Out {
			return e.At()
		}
	}
	return now
}

// jarIn is the kind of a load's jar, by its number through the tiers.
func jarIn(about aboutLoad, n int) jar.ID {
	for _, t := range about.Tiers {
		if n <= len(t.Jars) {
			return jar.ID(t.Jars[n-1].JarID)
		}
		n -= len(t.Jars)
	}
	return jar.ID(about.Request.Jar)
}

// contents is what is in the jars of a load, and its pack and liquid.
func contents(about aboutLoad) (what, strength string) {
	j, _ := jar.Find(jar.ID(about.Request.Jar))
	var words, pack []string
	for _, w := range strings.Split(about.Headline, ", ") {
		switch {
		case w == string(guide.Raw) || w == string(guide.Hot):
			pack = append(pack, w+" pack")
		case w == "in "+j.Many || w == "again" || strings.HasPrefix(w, "by "):
		default:
			words = append(words, w)
		}
	}
	if r, err := about.Request.request(); err == nil && r.Liquid.Kind != "" {
		if name := batch.LiquidName(r.Liquid); name != "" {
			pack = append(pack, "in "+name)
		}
	}
	return strings.Join(words, ", "), strings.Join(pack, ", ")
}

// placeFor is where jars are put: the place that was said, else the one in which jars
// were put last, else the first, else none.
func (s *server) placeFor(ctx context.Context, said string) (string, error) {
	places, err := s.store.ShelfPlaces(ctx)
	if err != nil {
		return "", s.storeProblem(err, "place")
	}
	if said == "" {
		if said, err = s.store.LastPlace(ctx); err != nil {
			return "", s.storeProblem(err, "place")
		}
		if said == "" && len(places) > 0 {
			said = places[0].ID
		}
		return said, nil
	}
	if !slices.ContainsFunc(places, func(p store.ShelfPlace) bool { return p.ID == said }) {
		return "", unprocessable([]error{field("body.place", "There is no such place any more. Choose another.", said)})
	}
	return said, nil
}

// recallOf is the recall that stands against a load: its own, its batch's or that of a
// lot that its batch took fruit of; nil where there is none.
func (s *server) recallOf(ctx context.Context, load, batchID string) (*store.Recall, error) {
	all, err := s.store.Recalls(ctx)
	if err != nil {
		return nil, err
	}
	var lots []string
	if slices.ContainsFunc(all, func(r store.Recall) bool { return r.Of == "lot" && !r.Undone }) {
		if lots, err = s.lotsOf(ctx, batchID); err != nil {
			return nil, err
		}
	}
	var found *store.Recall
	for i, r := range all {
		if r.Undone {
			continue
		}
		if r.Of == "load" && r.Ref == load || r.Of == "batch" && r.Ref == batchID || r.Of == "lot" && slices.Contains(lots, r.Ref) {
			if found == nil || found.Short { // what is stricter than short goes before it
				found = &all[i]
			}
		}
	}
	return found, nil
}

// lotsOf gives the lots that a batch took fruit of, or names.
func (s *server) lotsOf(ctx context.Context, batchID string) ([]string, error) {
	lots, err := s.store.LotsOfBatch(ctx, batchID)
	if err != nil || batchID == "" {
		return lots, err
	}
	if b, err := s.store.Batch(ctx, batchID); err == nil {
		for _, id := range strings.Split(b.Request.Lots, ",") {
			if lot, _, _ := batch.OfLeftOver(strings.TrimSpace(id)); lot != "" && !slices.Contains(lots, lot) {
				lots = append(lots, lot)
			}
		}
	}
	return lots, nil
}
