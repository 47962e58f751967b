package day

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
		q.Cooks, q.Canners, q.Tasks = append([]Cook(nil), p.Cooks...), append([]Canner(nil), p.Canners...), append([]Task(nil), p.Tasks...)
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
					l.Canners = append(append([]int(nil), l.Canners...), len(p.Canners))
					q.Tasks[i].Load = &l
				}
			}
		})
	}
	more("a burner", func(q *Problem) { q.Burners++ })
	more("a big pot", func(q *Problem) { q.Pots++ })
	for i := 1; i < len(all); i++ {
		for j := i; j > 0 && all[j].Saves > all[j-1].Saves; j-- {
			all[j], all[j-1] = all[j-1], all[j]
		}
	}
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
