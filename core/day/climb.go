package day

import (
	"cmp"
	"slices"
)

// climb changes the best list, a task at a time, and goes on from what is no worse. Where
// nothing has helped for long it starts again from the best.
func (s *search) climb(tries int) {
	now, at := s.best, s.way.clone()
	idle := 0
	for s.tried < tries && len(at.list) > 0 {
		if s.best.Tardy == 0 && s.best.Finish <= s.bound && s.best.HotWait == 0 && s.best.LateMin == 0 && s.best.CutWait == 0 {
			return // there is none better
		}
		next := at.clone()
		for range 1 + s.dice.below(3) {
			if from := s.dice.below(len(next.list)); s.dice.below(3) == 0 && (s.p.Tasks[next.list[from]].Hot || s.p.Tasks[next.list[from]].Cut) {
				s.closer(next.list, from)
			} else {
				s.move(next.list)
			}
		}
		if i := s.dice.below(len(next.waits)); s.dice.below(2) == 0 {
			next.waits[i] = wait(s.dice.below(waits))
		}
		pl, ok := s.look(next)
		if ok && pl.before(now) <= 0 || ok && s.dice.below(40) == 0 && pl.Finish <= now.Finish+15 {
			if pl.before(now) < 0 {
				idle = 0
			}
			now, at = pl, next
		}
		if idle++; idle > 250 {
			now, at, idle = s.best, s.way.clone(), 0
		}
	}
}

// polish tries every task in every place of the best list that it may have, those that wait
// hot first, and begins again from what is better, until nothing is.
func (s *search) polish(tries int) {
	for better := true; better; {
		better = false
		order := slices.Clone(s.way.list)
		slices.SortStableFunc(order, func(a, b int) int {
			return cmp.Compare(s.urge(b), s.urge(a))
		})
		for _, i := range order {
			at := slices.Index(s.way.list, i)
			low, high := s.room(s.way.list, at)
			for to := low; to <= high; to++ {
				if s.tried >= tries || s.best.Tardy == 0 && s.best.Finish <= s.bound && s.best.HotWait == 0 && s.best.LateMin == 0 && s.best.CutWait == 0 {
					return
				}
				if to == at {
					continue
				}
				next, was := s.way.clone(), s.best
				shift(next.list, at, to)
				if s.look(next); s.best.before(was) < 0 {
					better = true
					break
				}
			}
		}
	}
}

// urge is how long what comes of a task waits hot in the best plan.
func (s *search) urge(i int) (minutes int) {
	if !s.p.Tasks[i].Hot {
		return -1
	}
	for j, t := range s.p.Tasks {
		if slices.Contains(t.After, i) {
			minutes += s.best.Placed[j].Start - s.best.Placed[i].End
		}
	}
	return minutes
}

// move takes one task of a list to another place that it may have.
func (s *search) move(list []int) {
	from := s.dice.below(len(list))
	low, high := s.room(list, from)
	shift(list, from, low+s.dice.below(high-low+1))
}

// room is between which places the task at one may stand.
func (s *search) room(list []int, from int) (low, high int) {
	i := list[from]
	high = len(list) - 1
	for at, j := range list {
		switch {
		case at < from && slices.Contains(s.p.Tasks[i].After, j):
			low = max(low, at+1)
		case at > from && slices.Contains(s.p.Tasks[j].After, i):
			high = min(high, at-1)
		}
	}
	return low, high
}

// shift takes what is at one place of a list to another.
func shift(list []int, from, to int) {
	i := list[from]
	if to < from {
		copy(list[to+1:from+1], list[to:from])
	} else {
		copy(list[from:to], list[from+1:to+1])
	}
	list[to] = i
}

// dice is chance that is the same each time.
type dice uint64

// below is a number from 0 to under n.
func (d *dice) below(n int) int {
	*d += 0x9e3779b97f4a7c15
	z := uint64(*d)
	z = (z ^ (z >> 30)) * 0xbf58476d1ce4e5b9
	z = (z ^ (z >> 27)) * 0x94d049bb133111eb
	return int((z ^ (z >> 31)) % uint64(n))
}
