package shelf

import (
	"cmp"
	"math"
	"slices"

	"mellisca/core/fruit"
	"mellisca/core/jar"
)

// For is whom jars are wanted for.
type For string

// Whom jars may be wanted for. The household eats through the year; guests and gifts
// want theirs by a day.
const (
	Household For = "household"
	Guests    For = "guests"
	Gifts     For = "gifts"
)

// Wish is how much of something is wanted in a year.
type Wish struct {
	ID      string
	For     For
	Product string
	Form    string // empty: any
	Jar     jar.ID
	Count   int
	By      fruit.Day // 0: through the year
}

// Kept is like jars on the shelf.
type Kept struct {
	Product string
	Form    string
	Jar     jar.ID
	Count   int
	Counts  bool // of a tested process, and not past a year and a half
}

// Answer is how a wish stands.
type Answer struct {
	Wish
	Have    float64 // in jars of the wish's size, of those that count
	Apart   int     // like jars that do not count
	Short   int     // jars of the wish's size, rounded up
	Over    int     // whole jars of the wish's size that nobody wishes for; at its last wish of a product
	NextPut int     // jars to put up in the next season
}

// Compare holds what is on the shelf against what is wanted. A jar is counted for one
// wish alone: for the earliest day first, then for a form before any form. Sizes stand
// in for each other by what they hold. seasonIn says in how many months (0 to 12) the
// next season of a product comes: until then a household eats on.
func Compare(wishes []Wish, kept []Kept, today fruit.Day, seasonIn func(product string) int) []Answer {
	order := make([]int, len(wishes))
	for i := range order {
		order[i] = i
	}
	day := func(w Wish) fruit.Day {
		if w.By == 0 {
			return math.MaxInt
		}
		return w.By
	}
	slices.SortStableFunc(order, func(a, b int) int {
		wa, wb := wishes[a], wishes[b]
		return cmp.Or(cmp.Compare(day(wa), day(wb)), -cmp.Compare(min(len(wa.Form), 1), min(len(wb.Form), 1)))
	})
	left := make([]float64, len(kept)) // litres
	for i, k := range kept {
		if k.Counts {
			left[i] = float64(k.Count) * litres(k.Jar)
		}
	}
	answers := make([]Answer, len(wishes))
	last := map[string]int{} // the last wish of each product
	for _, i := range order {
		w := wishes[i]
		a := Answer{Wish: w}
		size := litres(w.Jar)
		want := float64(w.Count) * size
		got := 0.0
		for _, exact := range []bool{true, false} { // its own size first
			for n, k := range kept {
				if !like(w, k) || (k.Jar == w.Jar) != exact {
					continue
				}
				take := min(left[n], want-got)
				left[n] -= take
				got += take
			}
		}
		for _, k := range kept {
			if like(w, k) && !k.Counts {
				a.Apart += k.Count
			}
		}
		if size > 0 {
			a.Have = got / size
			a.Short = upJars((want - got) / size)
			a.NextPut = w.nextPut(a.Have, today, seasonIn(w.Product))
		}
		answers[i] = a
		last[w.Product] = i
	}
	for product, i := range last {
		rest := 0.0
		for n, k := range kept {
			if k.Product == product && slices.ContainsFunc(wishes, func(w Wish) bool { return like(w, k) }) {
				rest += left[n]
			}
		}
		if size := litres(answers[i].Jar); size > 0 {
			answers[i].Over = int(rest/size + whole)
		}
	}
	return answers
}

// nextPut is what to put up in the season that comes in so many months, for the year
// after it: all that is wanted, less what will be left by then.
func (w Wish) nextPut(have float64, today fruit.Day, months int) int {
	eaten := float64(w.Count) * float64(months) / 12
	if w.For != Household {
		eaten = 0
		if w.By != 0 && w.By <= today+fruit.Day(months*365/12) {
			eaten = float64(w.Count)
		}
	}
	return upJars(float64(w.Count) - max(0, have-eaten))
}

func like(w Wish, k Kept) bool {
	return k.Product == w.Product && (w.Form == "" || k.Form == w.Form)
}

func litres(id jar.ID) float64 {
	j, _ := jar.Find(id)
	return j.Capacity.Litres()
}

func upJars(n float64) int { return max(0, int(math.Ceil(n-whole))) }

// whole is how near to a whole jar counts as one: the sizes are kept in microlitres, and
// two pints are a hair less than a quart.
const whole = 1e-4
