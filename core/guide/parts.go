package guide

import (
	"fmt"
	"hash/fnv"

	"mellisca/core/measure"
)

// Part is a page of the guide: the rows of one product.
type Part struct {
	Name    string // "Guide 2: Peaches"
	Product Product
	Title   string // of the product, in a sentence: "peaches"
	Rows    []Row
}

// Parts gathers the rows as the guide prints them, in the order of the table.
func Parts() []Part {
	var parts []Part
	for _, r := range rows {
		if n := len(parts); n == 0 || parts[n-1].Product != r.Product {
			parts = append(parts, Part{Name: r.Part, Product: r.Product, Title: productByID[r.Product].Name})
		}
		p := &parts[len(parts)-1]
		p.Rows = append(p.Rows, r)
	}
	return parts
}

// Fingerprint changes whenever any number of the part does, so that a check of
// the numbers as they were does not stand for the numbers as they are.
func (p Part) Fingerprint() string {
	h := fnv.New64a()
	for _, r := range p.Rows {
		fmt.Fprintf(h, "%s %s %d %v %v\n", r.Product, r.Pack, r.Size, r.Minutes, r.Headspace)
	}
	return fmt.Sprintf("%016x", h.Sum64())
}

// BandIndex is the column of the table that an altitude lies in, 0 to 3.
func BandIndex(a measure.Altitude) int { return bandOf(a.Feet()) }

// GuideSource is where all rows come from; its Part is empty.
func GuideSource() Source { return Source{Title: guideTitle, Edition: guideEdition} }

// AskToCheck is the sentence that asks the cook to check the transcription.
const AskToCheck = "These numbers were transcribed from the guide and have not been held against its printed pages. " +
	"Check the ones you can by against the current printed guide, or with your local food-safety service."
