package day

import (
	"cmp"
	"slices"
)

// Replan plans the rest of a day anew at a time: what has begun stays as it is, with the
// times that it really had or is now to have, and all else begins no earlier than now.
// begun holds what has begun; of a load or step that takes longer the problem's own tasks
// say so.
func Replan(p Problem, begun []Placed, now int, e Effort) (Plan, bool) {
	p.Fixed = begun
	p.Begin = now
	return Make(p, e)
}

// Relief is what one more of something would save.
type Relief struct {
	What  string // a pair of hands, a burner, a canner, a big pot
	Saves int    // minutes
}

// Reliefs says which thing holds a day up: for each kind what one more of it would save, the
// most first; only what saves something is told.
func Reliefs(p Problem, pl Plan, e Effort) (all []Relief) {
	more := func(what string, change func(*Problem)) {
		q := p
		q.Cooks, q.Canners, q.Tasks = slices.Clone(p.Cooks), slices.Clone(p.Canners), slices.Clone(p.Tasks)
		change(&q)
		if other, ok := Make(q, e); ok && other.Finish < pl.Finish {
			all = append(all, Relief{what, pl.Finish - other.Finish})
		}
	}
	if len(p.Cooks) > 0 {
		more("a pair of hands", func(q *Problem) { q.Cooks = append(q.Cooks, Cook{There: Span{p.Begin, horizon}}) })
	}
	if len(p.Canners) > 0 {
		more("a canner", func(q *Problem) {
			q.Canners = append(q.Canners, Canner{})
			q.Burners++ // it stands on one
			for i, t := range q.Tasks {
				if t.Load != nil && len(t.Load.Canners) > 0 {
					l := *t.Load
					l.Canners = append(slices.Clone(l.Canners), len(p.Canners))
					q.Tasks[i].Load = &l
				}
			}
		})
	}
	more("a burner", func(q *Problem) { q.Burners++ })
	more("a big pot", func(q *Problem) { q.Pots++ })
	slices.SortStableFunc(all, func(a, b Relief) int { return cmp.Compare(b.Saves, a.Saves) })
	saves := map[string]int{}
	for _, r := range all {
		saves[r.What] = r.Saves
	}
	// A canner brings a burner with it: where the burner alone saves as much, that is it.
	return slices.DeleteFunc(all, func(r Relief) bool { return r.What == "a canner" && saves["a burner"] >= r.Saves })
}

// Over lists the tasks of a plan that are not done by a time.
func (pl Plan) Over(by int) (tasks []int) {
	for i, at := range pl.Placed {
		if at.End > by {
			tasks = append(tasks, i)
		}
	}
	return tasks
}

// Left is a batch that is left out of a day, or its loads from one on.
type Left struct {
	Batch int
	From  int // the first load that is left out, from 1; 0: all of it
}

func (l Left) takes(t Task) bool {
	return t.Batch == l.Batch && (l.From == 0 || t.Portion >= l.From)
}

// Without is a problem that lacks what is left out, and which tasks of the whole one remain.
func (p Problem) Without(left ...Left) (q Problem, kept []int) {
	q = p
	q.Tasks, q.Fixed = nil, nil
	now := map[int]int{}
	for i, t := range p.Tasks {
		if slices.ContainsFunc(left, func(l Left) bool { return l.takes(t) }) {
			continue
		}
		now[i] = len(kept)
		kept = append(kept, i)
		after := t.After
		t.After = nil
		for _, a := range after {
			if n, ok := now[a]; ok {
				t.After = append(t.After, n)
			}
		}
		q.Tasks = append(q.Tasks, t)
	}
	for _, f := range p.Fixed {
		if n, ok := now[f.Task]; ok {
			f.Task = n
			q.Fixed = append(q.Fixed, f)
		}
	}
	return q, kept
}

// Drop is a way to make a day fit: what to leave for another day.
type Drop struct {
	Left   []Left
	Finish int // of the rest
}

// Drops says what to leave out so that all of the rest is done in time: one batch, or of one
// that has begun the loads that nothing was done for yet; else two of these. First what leaves
// the fullest day, so the least undone. It is empty where the whole fits, or nothing helps.
func Drops(p Problem, e Effort) (all []Drop) {
	try := func(left ...Left) {
		q, kept := p.Without(left...)
		if len(kept) == 0 {
			return
		}
		if pl, ok := Make(q, e); ok && pl.Tardy == 0 {
			all = append(all, Drop{slices.Clone(left), pl.Finish})
		}
	}
	free := p.free()
	for _, l := range free {
		try(l)
	}
	for i := 0; len(all) == 0 && i < len(free); i++ {
		for _, l := range free[i+1:] {
			if l.Batch != free[i].Batch {
				try(free[i], l)
			}
		}
	}
	slices.SortStableFunc(all, func(a, b Drop) int { return cmp.Compare(b.Finish, a.Finish) })
	return all
}

// free is what may be left out: nothing of it has begun.
func (p Problem) free() (all []Left) {
	begun := map[int]int{} // the last load of a batch for which something has; 0 for what is for all
	for _, f := range p.Fixed {
		t := p.Tasks[f.Task]
		begun[t.Batch] = max(begun[t.Batch], t.Portion)
	}
	for _, t := range p.Tasks {
		l := Left{Batch: t.Batch}
		if last, ok := begun[t.Batch]; ok {
			if l.From = max(last+1, 2); t.Portion < l.From {
				continue
			}
			l.From = t.Portion
		}
		if !slices.Contains(all, l) {
			all = append(all, l)
		}
	}
	return all
}
