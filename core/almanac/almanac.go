// Package almanac adds up what the seasons gave: jars, fruit, cost, and what was lost, by
// product, pack, pot or year.
//
//	rows := almanac.Table(puts, looks, almanac.ByProduct)
//	rows[0].LitresPerKg()
//	rows[0].Lost() // how many of the jars looked at, and whether that says anything yet
//
// It knows nothing of dates or names: those who ask have looked them up.
package almanac

import (
	"cmp"
	"math"
	"slices"
)

// Of is what a batch or a load was of.
type Of struct {
	Year    int
	Product string
	Pack    string
	Pot     string // empty: not known
}

// Put is what a batch gave.
type Put struct {
	Of
	Jars   int
	Litres float64 // that the jars hold
	Kg     float64 // of fruit that went in; 0: not known
	Cents  float64 // that it cost; under 0: not known
}

// Look is what was found of the jars of a load, the morning after.
type Look struct {
	Of
	Looked   int // jars looked at
	Unsealed int // false seals too
	Broken   int // on the tray, or in the canner
	Liquid   int // that lost liquid
	Float    int
}

// By is what rows are made by.
type By string

// What rows are made by.
const (
	ByProduct By = "product"
	ByPack    By = "pack"
	ByPot     By = "pot"
	ByYear    By = "year"
)

// key is the row that something goes to.
func (b By) key(o Of) (text string, year int) {
	switch b {
	case ByProduct:
		return o.Product, 0
	case ByPack:
		return o.Pack, 0
	case ByPot:
		return o.Pot, 0
	}
	return "", o.Year
}

// Row is what there is of one product, pack, pot or year.
type Row struct {
	Key     string
	Year    int // of ByYear
	Batches int
	Jars    int
	Litres  float64
	Look

	weighed, weighedKg    float64 // litres of batches whose fruit is known, and the fruit
	priced, pricedLitres  float64
	bestYield, worstYield float64
}

// LitresPerKg is how many litres of jars a kilogram of fruit gave, over all batches of which
// the fruit is known; ok is false where there are none.
func (r Row) LitresPerKg() (litres float64, ok bool) {
	return r.weighed / r.weighedKg, r.weighedKg > 0
}

// Yields are the poorest and the richest batch of the row, in litres of jars a kilogram.
func (r Row) Yields() (worst, best float64) { return r.worstYield, r.bestYield }

// CentsPerLitre is what a litre of jars cost, over the batches that were priced.
func (r Row) CentsPerLitre() (cents float64, ok bool) {
	return r.priced / r.pricedLitres, r.pricedLitres > 0
}

// few is from how many jars looked at a share of them says something.
const few = 20

// Share is how many of the jars looked at, in parts of one, and between what it likely is
// for the next ones (Wilson's interval, 9 of 10); few says that too few were looked at for
// the share to be worth a word.
type Share struct {
	Of, N     int
	Low, High float64
	Few       bool
}

// Share of so many of the jars looked at.
func (r Row) Share(n int) Share {
	s := Share{Of: r.Looked, N: n, Few: r.Looked < few}
	if r.Looked == 0 {
		return s
	}
	const z = 1.645
	of, p := float64(r.Looked), float64(n)/float64(r.Looked)
	middle := (p + z*z/(2*of)) / (1 + z*z/of)
	wide := z / (1 + z*z/of) * math.Sqrt(p*(1-p)/of+z*z/(4*of*of))
	s.Low, s.High = max(0, middle-wide), min(1, middle+wide)
	return s
}

// Lost is the share of jars that did not keep: unsealed or broken.
func (r Row) Lost() Share { return r.Share(r.Unsealed + r.Broken) }

// Table adds up by product, pack, pot or year. Years go from the first to the last; of the
// rest what there are most jars of stands first, then what comes first by name. What has no
// key, as a pot that nobody named, is left out.
func Table(puts []Put, looks []Look, by By) []Row {
	rows := map[string]map[int]*Row{}
	row := func(o Of) *Row {
		text, year := by.key(o)
		if text == "" && year == 0 {
			return &Row{}
		}
		if rows[text] == nil {
			rows[text] = map[int]*Row{}
		}
		if rows[text][year] == nil {
			rows[text][year] = &Row{Key: text, Year: year}
		}
		return rows[text][year]
	}
	for _, p := range puts {
		r := row(p.Of)
		r.Batches++
		r.Jars += p.Jars
		r.Litres += p.Litres
		if p.Kg > 0 && p.Litres > 0 {
			yield := p.Litres / p.Kg
			if r.weighedKg == 0 {
				r.worstYield, r.bestYield = yield, yield
			}
			r.worstYield, r.bestYield = min(r.worstYield, yield), max(r.bestYield, yield)
			r.weighed, r.weighedKg = r.weighed+p.Litres, r.weighedKg+p.Kg
		}
		if p.Cents >= 0 && p.Litres > 0 {
			r.priced, r.pricedLitres = r.priced+p.Cents, r.pricedLitres+p.Litres
		}
	}
	for _, l := range looks {
		r := row(l.Of)
		r.Looked += l.Looked
		r.Unsealed += l.Unsealed
		r.Broken += l.Broken
		r.Liquid += l.Liquid
		r.Float += l.Float
	}
	var all []Row
	for _, years := range rows {
		for _, r := range years {
			r.Look.Year = r.Year
			all = append(all, *r)
		}
	}
	slices.SortFunc(all, func(a, b Row) int {
		return cmp.Or(cmp.Compare(a.Year, b.Year), cmp.Compare(b.Jars, a.Jars), cmp.Compare(b.Looked, a.Looked), cmp.Compare(a.Key, b.Key))
	})
	return all
}

// Change is one year beside the one before it, of a product.
type Change struct {
	Product string
	Years   []Row // one for each year asked for, empty where there was nothing
}

// YearByYear puts the years of each product side by side, the product of which there are most
// jars first.
func YearByYear(puts []Put, looks []Look, years []int) []Change {
	var all []Change
	for _, r := range Table(puts, looks, ByProduct) {
		c := Change{Product: r.Key, Years: make([]Row, len(years))}
		var ofPuts []Put
		var ofLooks []Look
		for _, p := range puts {
			if p.Product == r.Key {
				ofPuts = append(ofPuts, p)
			}
		}
		for _, l := range looks {
			if l.Product == r.Key {
				ofLooks = append(ofLooks, l)
			}
		}
		for _, y := range Table(ofPuts, ofLooks, ByYear) {
			if i := slices.Index(years, y.Year); i >= 0 {
				c.Years[i] = y
			}
		}
		for i, y := range years {
			c.Years[i].Year = y
		}
		all = append(all, c)
	}
	return all
}
