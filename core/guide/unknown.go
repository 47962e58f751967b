package guide

// Unknown is the verdict for something that names nothing the guide knows: it
// has no tested process here. The name is shown as it was typed.
func Unknown(name string) Verdict {
	a := asked{info: &ProductInfo{Name: name, refused: ProductNotTested}}
	return Verdict{
		Reasons:      []Reason{{ProductNotTested, reasonText(ProductNotTested, &a)}},
		Alternatives: []Alternative{},
		Instead:      instead(&a, bit(ProductNotTested), false),
	}
}
