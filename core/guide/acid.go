package guide

import "mellisca/core/jar"

// Amount is a kitchen measure.
type Amount struct {
	Amount float64
	Unit   string // "tsp", "tbsp"
}

// Batch is an amount for a whole batch of a recipe.
type Batch struct {
	Amount
	Makes string // "6 half-pints"
}

// Acid is what must be in the jar, or in the batch, for safety.
type Acid struct {
	What     string
	PerJar   *Amount
	PerBatch *Batch
	Or       []Acid // what does as well
}

const (
	bottledLemon = "bottled lemon juice"
	citricAcid   = "citric acid"
)

// acidTsp is teaspoons a jar: bottled lemon juice at 1 tbsp a pint; citric acid
// at 1/4 tsp a pint, rounded up to 1/8 tsp.
// Source: Complete Guide to Home Canning, Guide 2 (2015): figs, Asian pears.
var acidTsp = map[jar.ID]struct{ lemon, citric float64 }{
	"4-oz":       {1, 0.125},
	"half-pint":  {1.5, 0.125},
	"250-ml":     {2, 0.25},
	"12-oz":      {2.5, 0.25},
	"pint":       {3, 0.25},
	"pint-wide":  {3, 0.25},
	"500-ml":     {3.5, 0.375},
	"24-oz":      {4.5, 0.375},
	"750-ml":     {5, 0.5},
	"quart":      {6, 0.5},
	"quart-wide": {6, 0.5},
	"1-l":        {6.5, 0.625},
}

// fillingAcidTsp is teaspoons of bottled lemon juice a quart, the larger share
// of the two published batch sizes. It may never be reduced.
// Source: Complete Guide to Home Canning, Guide 2 (2015): pie fillings.
var fillingAcidTsp = map[Product]float64{
	"apple-pie-filling":     6,
	"blueberry-pie-filling": 3.5,
	"cherry-pie-filling":    4,
	"peach-pie-filling":     12,
}

// demandsAcid says whether the product is only safe with acid in the jar.
func demandsAcid(p Product) bool {
	_, filling := fillingAcidTsp[p]
	return filling || p == "asian-pears" || p == "figs" || p == "mango-sauce"
}

// DemandsAcid says whether the product is only safe with acid in the jar.
func (p ProductInfo) DemandsAcid() bool { return demandsAcid(p.ID) }

// acidFor is what the product demands in a jar of that id; nil where nothing.
func acidFor(p Product, j jar.ID) *Acid {
	switch p {
	case "asian-pears", "figs":
		a := &Acid{What: bottledLemon, PerJar: &Amount{acidTsp[j].lemon, "tsp"}}
		if p == "figs" {
			a.Or = []Acid{{What: citricAcid, PerJar: &Amount{acidTsp[j].citric, "tsp"}}}
		}
		return a
	case "mango-sauce":
		return &Acid{What: bottledLemon, PerBatch: &Batch{Amount{4, "tbsp"}, "6 half-pints"}}
	}
	if tsp, ok := fillingAcidTsp[p]; ok {
		return &Acid{What: bottledLemon, PerBatch: &Batch{Amount{tsp, "tsp"}, "1 quart"}}
	}
	return nil
}
