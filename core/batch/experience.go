package batch

import (
	"strings"

	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/measure"
)

// Way is a way of packing as yields are learned for it.
type Way struct {
	Product string
	Form    guide.Form
	Pack    guide.Pack
}

// Seen is what the cook's own batches of one way gave.
type Seen struct {
	Ratios  []float64 // jars over what the guide leads one to expect; see fruit.Ratio
	Liquid  []float64 // the part of a jar that its liquid took
	Prepare []float64 // minutes a pound
	Cook    []float64 // minutes a jar
	Fill    []float64 // minutes a jar
}

// LotAtHand is a lot that a batch may take its fruit from.
type LotAtHand struct {
	Name string
	Kind string
	Left measure.Mass
	// Over says what is left over from an earlier batch; empty for the fruit itself.
	Over string
	// CentsPerKg is what it cost; under 0 where that was not said.
	CentsPerKg float64
}

// Preparing is how long the fruit takes to get ready, in minutes.
type Preparing struct {
	Low, Likely, High float64
	Batches           int // it was learned from; 0: our own guess
}

// seen is what there is to learn from for a plan.
func (p *Plan) seen(in read) Seen {
	return in.kitchen.Seen[Way{string(p.Query.Product), p.Query.Form, p.Query.Pack}]
}

// lotIDs are the lots that a request takes its fruit from.
func (r Request) lotIDs() []string {
	if r.Lots == "" {
		return nil
	}
	return strings.Split(r.Lots, ",")
}

// fromLots is how much there is in the lots of a request, and what they are called.
// Lots that are gone since count for nothing.
func fromLots(r Request, k Kitchen) (left measure.Mass, names []string) {
	for _, id := range r.lotIDs() {
		if l, ok := k.Lots[id]; ok {
			left += l.Left
			names = append(names, l.Name)
		}
	}
	return left, names
}

// allOfIt says whether an amount means all that the lots hold.
func allOfIt(amount string) bool {
	switch strings.ToLower(strings.TrimSpace(amount)) {
	case "all", "all of it", "all of them", "everything":
		return true
	}
	return false
}

// lotNote says that the lots do not hold what the sentence asks for.
func (p *Plan) lotNote(in read) {
	names := p.LotNames
	if len(names) == 0 {
		return
	}
	left, _ := fromLots(in.Request, in.kitchen)
	need := p.Amount.Fruit
	if need == 0 && p.Fruit != nil {
		need = p.Fruit.Likely
	}
	if need > left+measure.Gram {
		p.LotNote = upperFirst(strings.Join(names, " and ")) + " holds " + left.Text(in.kitchen.Units) + ": " + (need - left).Text(in.kitchen.Units) + " short."
		if len(names) > 1 {
			p.LotNote = strings.Replace(p.LotNote, " holds ", " hold ", 1)
		}
	}
}

// prepare is how long the fruit takes to get ready.
func (p *Plan) preparing(in read) {
	pounds := p.Amount.Fruit.Pounds()
	if pounds == 0 && p.Fruit != nil {
		pounds = p.Fruit.Likely.Pounds()
	}
	if pounds == 0 {
		return
	}
	seen := p.seen(in).Prepare
	low, likely, high := fruit.MinutesPerPound(seen)
	p.Preparing = &Preparing{low * pounds, likely * pounds, high * pounds, len(seen)}
}
