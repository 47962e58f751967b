package fruit

// ownBrix is about how sweet fruit is by itself, in °Brix: the figures that go
// with the published account of how fruit and syrup exchange sugar. Ripe fruit of
// one kind varies by several degrees.
var ownBrix = map[string]float64{
	"peaches": 10, "pears": 11, "pineapple": 13, "apples-sliced": 12, "applesauce": 12, "apple-butter": 12, "apple-juice": 12,
	"cherries": 15, "grapes": 17, "grape-juice": 17, "plums": 12, "apricots": 11,
	"blueberry": 11, "blackberry": 9, "apple": 12, "apricot": 11, "cherry": 15, "grape": 17, "peach": 10, "pear": 11, "plum": 12,
}

// Brix is about how sweet a product's fruit is by itself; the kind is used where
// it names the fruit, as of berries and purees. ok is false where there is no
// figure: a refractometer then tells.
func Brix(product, kind string) (brix float64, ok bool) {
	if brix, ok = ownBrix[kind]; ok {
		return brix, true
	}
	brix, ok = ownBrix[product]
	return brix, ok
}
