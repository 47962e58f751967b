package fruit

// Quantity is how much of a fruit the published loads take, and what its
// customary container gives.
type Quantity struct {
	Product        string
	LbPer7Quarts   float64
	LbPer9Pints    float64
	LbPerQuart     float64
	Container      string  // "bushel", "lug", "crate"; empty where none is published
	ContainerLb    float64 // 0 with no container
	QuartsLow      float64 // out of a container
	QuartsHigh     float64
	containerWords []string
}

var (
	bushel = []string{"bushel", "bushels", "bu"}
	lug    = []string{"lug", "lugs"}
	crate  = []string{"crate", "crates"}
)

// quantities is the published table.
// Source: Complete Guide to Home Canning, Guide 2 (2015).
var quantities = [...]Quantity{
	//                 lb for                                       quarts from one
	//                 7 qt  9 pt   1 qt              lb            low high
	{"apples-sliced", 19.0, 12.25, 2.75, "bushel", 48, 16, 19, bushel},
	{"applesauce", 21.0, 13.50, 3.00, "bushel", 48, 14, 19, bushel},
	{"apricots", 16.0, 10.00, 2.25, "bushel", 50, 20, 25, bushel},
	{"berries", 12.0, 8.00, 1.75, "24-quart crate", 36, 18, 24, crate},
	{"cherries", 17.5, 11.00, 2.50, "lug", 25, 8, 12, lug},
	{"figs", 16.0, 11.00, 2.50, "", 0, 0, 0, nil},
	{"grape-juice", 24.5, 16.00, 3.50, "lug", 26, 7, 9, lug},
	{"grapes", 14.0, 9.00, 2.00, "lug", 26, 12, 14, lug},
	{"citrus-sections", 15.0, 13.00, 2.00, "", 0, 0, 0, nil},
	{"nectarines", 17.5, 11.00, 2.50, "bushel", 48, 16, 24, bushel},
	{"peaches", 17.5, 11.00, 2.50, "bushel", 48, 16, 24, bushel},
	{"pears", 17.5, 11.00, 2.50, "bushel", 50, 16, 25, bushel},
	{"pineapple", 21.0, 13.00, 3.00, "", 0, 0, 0, nil},
	{"plums", 14.0, 9.00, 2.00, "bushel", 56, 22, 36, bushel},
	{"rhubarb", 10.5, 7.00, 1.50, "lug", 28, 14, 28, lug},
}

// Find looks up the published quantity of a product.
func Find(product string) (Quantity, bool) {
	for _, q := range quantities {
		if q.Product == product {
			return q, true
		}
	}
	return Quantity{}, false
}
