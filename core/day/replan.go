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
	return all
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

// Without is a problem that lacks some batches, and which tasks of the whole one are left.
func (p Problem) Without(batches ...int) (q Problem, kept []int) {
	q = p
	q.Tasks, q.Fixed = nil, nil
	now := map[int]int{}
	for i, t := range p.Tasks {
		if slices.Contains(batches, t.Batch) {
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
	Batches []int
	Finish  int // of the rest
}

// Drops says which batches to leave out so that all of the rest is done in time: single
// ones, else pairs; first what leaves the fullest day, so the least undone. Batches in which something
// has begun are never among them. It is empty where the whole fits, or nothing helps.
func Drops(p Problem, e Effort) (all []Drop) {
	begun := map[int]bool{}
	for _, f := range p.Fixed {
		begun[p.Tasks[f.Task].Batch] = true
	}
	var free []int
	for _, t := range p.Tasks {
		if !begun[t.Batch] && !slices.Contains(free, t.Batch) {
			free = append(free, t.Batch)
		}
	}
	try := func(batches ...int) {
		q, kept := p.Without(batches...)
		if len(kept) == 0 {
			return
		}
		if pl, ok := Make(q, e); ok && pl.Tardy == 0 {
			all = append(all, Drop{slices.Clone(batches), pl.Finish})
		}
	}
	for _, b := range free {
		try(b)
	}
	for i := 0; len(all) == 0 && i < len(free); i++ {
		for _, b := range free[i+1:] {
			try(free[i], b)
		}
	}
	slices.SortStableFunc(all, func(a, b Drop) int { return cmp.Compare(b.Finish, a.Finish) })
	return all
}
