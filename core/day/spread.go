package day

import "cmp"

// Waiting is a lot of fruit that is to be put up over several days. Days count from today.
type Waiting struct {
	Name    string
	From    int // the first day that it is fit
	Until   int // the last
	Loads   int
	Setup   int // minutes each day that it is worked on
	PerLoad int // and for each load
}

// Evening is time that the cook has on a day.
type Evening struct {
	Day     int
	Minutes int
}

// Turn is what is done of a lot on a day.
type Turn struct {
	Lot     int
	Evening int
	Loads   int
	Minutes int
}

// Spread is lots over days.
type Spread struct {
	Turns []Turn // in the order of the days
	Left  []int  // loads of each lot that find no time while it is fit
}

// lost is how many loads find no time.
func (s Spread) lost() (n int) {
	for _, l := range s.Left {
		n += l
	}
	return n
}

// before says whether a spread is better: with fewer loads lost, then with fewer turns, so
// that a lot is not taken up again and again, then earlier.
func (s Spread) before(o Spread, evenings []Evening) int {
	days := func(s Spread) (sum int) {
		for _, t := range s.Turns {
			sum += evenings[t.Evening].Day * t.Loads
		}
		return sum
	}
	return cmp.Or(cmp.Compare(s.lost(), o.lost()), cmp.Compare(len(s.Turns), len(o.Turns)), cmp.Compare(days(s), days(o)))
}

// fill is how a lot looks for its time.
type fill uint8

const (
	wholeFirst   fill = iota // on the first day that takes all of it, else from the first on
	inOrder                  // from the first day on
	longestFirst             // where there is most time
	fills        = 3
)

// permuted is up to how many lots every order is tried.
const permuted = 5

// SpreadOver puts lots on the days that the cook has, in the order of the days, each while it
// is fit. Loads are never split. Of few lots every order is tried; of more the one that turns
// first goes first, and that order is changed as long as it helps.
func SpreadOver(lots []Waiting, evenings []Evening, seed uint64) Spread {
	order := make([]int, len(lots))
	for i := range order {
		order[i] = i
	}
	for i := 1; i < len(order); i++ {
		for j := i; j > 0 && lots[order[j]].Until < lots[order[j-1]].Until; j-- {
			order[j], order[j-1] = order[j-1], order[j]
		}
	}
	ways := make([]fill, len(lots))
	best := spreadBy(lots, evenings, order, ways)
	look := func(order []int, ways []fill) bool {
		if s := spreadBy(lots, evenings, order, ways); s.before(best, evenings) < 0 {
			best = s
			return true
		}
		return false
	}
	if len(lots) <= permuted {
		all := 1
		for range lots {
			all *= int(fills)
		}
		permute(order, 0, func(order []int) {
			for n := range all {
				for i := range ways {
					ways[i] = fill(n % int(fills))
					n /= int(fills)
				}
				look(order, ways)
			}
		})
		return best
	}
	d := dice(seed)
	for range 3000 {
		i, j, k := d.below(len(order)), d.below(len(order)), d.below(len(ways))
		was := ways[k]
		order[i], order[j] = order[j], order[i]
		ways[k] = fill(d.below(int(fills)))
		if !look(order, ways) {
			order[i], order[j] = order[j], order[i]
			ways[k] = was
		}
	}
	return best
}

// permute calls with each order of a list.
func permute(list []int, from int, call func([]int)) {
	if from == len(list) {
		call(list)
		return
	}
	for i := from; i < len(list); i++ {
		list[from], list[i] = list[i], list[from]
		permute(list, from+1, call)
		list[from], list[i] = list[i], list[from]
	}
}

// spreadBy puts one lot after the other.
func spreadBy(lots []Waiting, evenings []Evening, order []int, ways []fill) Spread {
	free := make([]int, len(evenings))
	for i, e := range evenings {
		free[i] = e.Minutes
	}
	s := Spread{Left: make([]int, len(lots))}
	turns := make([][]Turn, len(evenings))
	for _, i := range order {
		l := lots[i]
		s.Left[i] = l.Loads
		take := func(e int) {
			n := min(s.Left[i], loadsIn(l, free[e]))
			if n <= 0 || evenings[e].Day < l.From || evenings[e].Day > l.Until {
				return
			}
			minutes := l.Setup + n*l.PerLoad
			turns[e] = append(turns[e], Turn{i, e, n, minutes})
			free[e] -= minutes
			s.Left[i] -= n
		}
		if ways[i] == wholeFirst {
			for e := range evenings {
				if loadsIn(l, free[e]) >= s.Left[i] {
					take(e)
				}
			}
		}
		if ways[i] == longestFirst {
			done := make([]bool, len(evenings))
			for range evenings {
				most := -1
				for e := range evenings {
					if !done[e] && (most < 0 || free[e] > free[most]) {
						most = e
					}
				}
				done[most] = true
				take(most)
			}
		}
		for e := range evenings {
			if !tookOn(turns[e], i) {
				take(e)
			}
		}
	}
	for _, t := range turns {
		s.Turns = append(s.Turns, t...)
	}
	return s
}

func tookOn(turns []Turn, lot int) bool {
	for _, t := range turns {
		if t.Lot == lot {
			return true
		}
	}
	return false
}

// loadsIn is how many loads of a lot there is time for.
func loadsIn(l Waiting, minutes int) int {
	if minutes < l.Setup+l.PerLoad {
		return 0
	}
	return (minutes - l.Setup) / max(1, l.PerLoad)
}
