package server

import (
	"fmt"
	"strings"
)

// soon is within how many minutes the next step of the same hands begins with the end of the
// one before.
const soon = 10

// main finds the one thing to do next: to end what is being done by hand, else to begin what
// is planned next.
func (a *dayAnswer) main() {
	if a.State != "running" && (a.State != "ahead" || a.Now < 0) {
		return
	}
	of := func(st dayStepBody) string {
		text := strings.ToLower(st.Title[:1]) + st.Title[1:]
		if st.Kind == "lit" {
			return text
		}
		if b, n := a.w.batchNamed(st.Batch, st.Key); n >= 0 {
			return fmt.Sprintf("%s, %d %s", text, n+1, b.plan.Name)
		}
		return text
	}
	for _, st := range a.Steps {
		if st.State == "now" && st.Kind != "load" {
			m := &dayMainBody{Step: st.Key, Kind: "done", Text: "Done: " + of(st)}
			if next := a.nextOf(st); next != nil {
				m.Next, m.Text = next.Key, m.Text+". Then: "+of(*next)
			}
			a.Main = m
			return
		}
	}
	for _, st := range a.Steps {
		switch {
		case st.State == "done" || st.State == "now":
		case st.Kind == "load":
			a.Main = &dayMainBody{Step: st.Key, Kind: "hob", Text: "Onto the hob: " + of(st), Batch: st.Batch, Number: st.Number, Canner: st.Canner}
			return
		case st.Kind == "lit":
			a.Main = &dayMainBody{Step: st.Key, Kind: "begun", Text: "Lit: " + strings.TrimPrefix(st.Title, "Light ")}
			return
		default:
			a.Main = &dayMainBody{Step: st.Key, Kind: "begun", Text: "Begin: " + of(st)}
			return
		}
	}
}

// nextOf is what the same hands do next, where that is soon and told here.
func (a *dayAnswer) nextOf(now dayStepBody) *dayStepBody {
	for i, st := range a.Steps {
		if (st.State == "ahead" || st.State == "late") && st.Who == now.Who && st.Who != "" {
			if st.Kind == "load" || st.Kind == "lit" || st.From > a.now.minute+soon {
				return nil
			}
			return &a.Steps[i]
		}
	}
	return nil
}

// batchNamed finds the batch of a step, and its number on the day.
func (w *dayWork) batchNamed(id, key string) (workBatch, int) {
	for i, b := range w.batches {
		if b.Batch == id && strings.HasPrefix(key, b.name()+"/") {
			return b, i
		}
	}
	return workBatch{}, -1
}
