package server

import (
	"mellisca/core/batch"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/measure"
	"mellisca/internal/store"
)

// overFrom is what is left over from a use of a lot.
type overFrom struct {
	fruit.LeftOver
	use  string
	from string // the product that it is over from
	left measure.Mass
}

// leftOvers lists what is over from the batches that a lot went into, while it keeps.
func leftOvers(l store.Lot, today fruit.Day) []overFrom {
	k, _ := fruit.FindKind(l.Kind)
	var all []overFrom
	for _, u := range l.Uses {
		by := l.UsedFor[u.ID]
		over, ok := fruit.LeftOverFrom(k, by.Product)
		if u.Of != "" || !ok || today-by.Day > fruit.KeepsDays {
			continue
		}
		if left := fruit.LeftOf(l.Uses, u.ID); left > 0 {
			all = append(all, overFrom{over, u.ID, by.Product, left})
		}
	}
	return all
}

// leftOverBody is what is left over from a batch, with what can be made of it.
type leftOverBody struct {
	Text string   `json:"text" doc:"pulp from apple juice"`
	Lot  string   `json:"lot" doc:"the id by which a sentence takes it"`
	Make []madeOf `json:"make" nullable:"false"`
}

func leftOverBodies(l store.Lot, today fruit.Day) []leftOverBody {
	all := []leftOverBody{}
	for _, over := range leftOvers(l, today) {
		info, _ := guide.FindProduct(guide.Product(over.from))
		b := leftOverBody{Text: upper(over.What) + " from the " + info.Name, Lot: batch.LeftOverID(l.ID, over.use), Make: []madeOf{}}
		for _, p := range over.Products {
			info, _ := guide.FindProduct(guide.Product(p))
			b.Make = append(b.Make, madeOf{p, info.Name})
		}
		all = append(all, b)
	}
	return all
}
