package guide

import "slices"

// Group gathers products for a list that a cook chooses from.
type Group string

// The groups, in the order they are listed.
const (
	Fruit    Group = "Fruit in jars"
	Fillings Group = "Pie fillings"
	Sauces   Group = "Sauces, purees and butters"
	Juices   Group = "Juices and syrups"
	Spreads  Group = "Jam and jelly"
	Known    Group = "Known, and not for the jar"
)

// ProductInfo is what is known of a product.
type ProductInfo struct {
	ID    Product
	Name  string // in a sentence: "peaches"
	Group Group
	Forms []Form // tested ones, the default first; none for a refused product
	Kinds []Kind // all that it may take, refused ones too; none where kind does not matter
	Kind  Kind   // the kind its rows were tested with; empty where there is no single one
	fruit Kind   // what it is made of, to find the same fruit in other products

	refused Code // why the product itself is refused; 0 for a tested one

	raw, hot []Row // its rows, smallest size first
}

// Tested says whether the product has rows.
func (p ProductInfo) Tested() bool { return p.refused == 0 }

var (
	halvesSlices = []Form{"halves", "slices"}
	wholeHalves  = []Form{"whole", "halves"}
	wholePitted  = []Form{"whole", "pitted"}
	wholeOnly    = []Form{"whole"}
	slicesOnly   = []Form{"slices"}
	sauceOnly    = []Form{"sauce"}

	fleshKinds = []Kind{"yellow-flesh", "freestone", "clingstone", "white-flesh"}
	berryKinds = []Kind{"blackberry", "blueberry", "currant", "dewberry", "gooseberry", "huckleberry", "loganberry", "mulberry", "raspberry"}

	// refusedFruit is what a puree, jam, jelly or syrup may be asked for and is refused as.
	refusedFruit = []Kind{
		"white-flesh", "elderberry", "banana", "melon", "watermelon", "papaya", "mango", "coconut", "avocado",
		"persimmon", "dragon-fruit", "date", "pumpkin", "squash", "asian-pear", "fig", "tomato", "cranberry",
	}

	pureeKinds = kindsOf([]Kind{"apple", "apricot"}, berryKinds, []Kind{"cherry", "grape", "nectarine", "peach", "pear", "plum", "strawberry"}, refusedFruit)
	jamKinds   = kindsOf([]Kind{"apple", "apricot"}, berryKinds, []Kind{"strawberry", "cherry", "grape", "nectarine", "peach", "pear", "pineapple", "plum", "rhubarb", "quince"}, refusedFruit)
	syrupKinds = kindsOf([]Kind{"blueberry", "cherry", "grape", "raspberry", "strawberry"}, refusedFruit)
)

func kindsOf(parts ...[]Kind) []Kind { return slices.Concat(parts...) }

// products lists the tested products as rules of preparation know them, then
// what is known and refused.
var products = []ProductInfo{
	{ID: "peaches", Name: "peaches", Group: Fruit, Forms: halvesSlices, Kinds: fleshKinds, Kind: "yellow-flesh", fruit: "peach"},
	{ID: "nectarines", Name: "nectarines", Group: Fruit, Forms: halvesSlices, Kinds: fleshKinds, Kind: "yellow-flesh", fruit: "nectarine"},
	{ID: "apricots", Name: "apricots", Group: Fruit, Forms: halvesSlices, fruit: "apricot"},
	{ID: "pears", Name: "pears", Group: Fruit, Forms: []Form{"halves", "quarters", "slices"}, fruit: "pear"},
	{ID: "asian-pears", Name: "Asian pears", Group: Fruit, Forms: halvesSlices, fruit: "asian-pear"},
	{ID: "pineapple", Name: "pineapple", Group: Fruit, Forms: []Form{"chunks", "slices"}, fruit: "pineapple"},
	{ID: "plums", Name: "plums", Group: Fruit, Forms: wholeHalves, fruit: "plum"},
	{ID: "cherries", Name: "cherries", Group: Fruit, Forms: wholePitted, Kinds: []Kind{"sweet", "sour"}, Kind: "sweet", fruit: "cherry"},
	{ID: "berries", Name: "berries", Group: Fruit, Forms: wholeOnly, Kinds: kindsOf(berryKinds, []Kind{"elderberry", "strawberry"})},
	{ID: "grapes", Name: "grapes", Group: Fruit, Forms: wholeOnly, fruit: "grape"},
	{ID: "figs", Name: "figs", Group: Fruit, Forms: wholeOnly, fruit: "fig"},
	{ID: "citrus-sections", Name: "grapefruit and orange sections", Group: Fruit, Forms: []Form{"sections"}, fruit: "citrus"},
	{ID: "rhubarb", Name: "rhubarb", Group: Fruit, Forms: []Form{"pieces"}, fruit: "rhubarb"},
	{ID: "mixed-fruit", Name: "mixed fruit (peach, pear, grape)", Group: Fruit, Forms: []Form{"chunks"}, Kinds: []Kind{"yellow-flesh", "white-flesh"}, Kind: "yellow-flesh", fruit: "mixed"},
	{ID: "apples-sliced", Name: "apples", Group: Fruit, Forms: slicesOnly, fruit: "apple"},
	{ID: "spiced-apple-rings", Name: "spiced apple rings", Group: Fruit, Forms: []Form{"rings"}, fruit: "apple"},
	{ID: "apple-pie-filling", Name: "apple pie filling", Group: Fillings, Forms: slicesOnly, fruit: "apple"},
	{ID: "blueberry-pie-filling", Name: "blueberry pie filling", Group: Fillings, Forms: wholeOnly, fruit: "blueberry"},
	{ID: "cherry-pie-filling", Name: "cherry pie filling", Group: Fillings, Forms: []Form{"pitted"}, Kinds: []Kind{"sour", "sweet"}, Kind: "sour", fruit: "cherry"},
	{ID: "peach-pie-filling", Name: "peach pie filling", Group: Fillings, Forms: slicesOnly, Kinds: []Kind{"yellow-flesh", "white-flesh"}, Kind: "yellow-flesh", fruit: "peach"},
	{ID: "applesauce", Name: "applesauce", Group: Sauces, Forms: sauceOnly, fruit: "apple"},
	{ID: "apple-butter", Name: "apple butter", Group: Sauces, Forms: sauceOnly, fruit: "apple"},
	{ID: "mango-sauce", Name: "mango sauce", Group: Sauces, Forms: sauceOnly, Kinds: []Kind{"just-ripe", "ripe"}, Kind: "just-ripe", fruit: "mango"},
	{ID: "fruit-puree", Name: "fruit puree", Group: Sauces, Forms: sauceOnly, Kinds: pureeKinds},
	{ID: "apple-juice", Name: "apple juice", Group: Juices, Forms: sauceOnly, fruit: "apple"},
	{ID: "grape-juice", Name: "grape juice", Group: Juices, Forms: sauceOnly, fruit: "grape"},
	{ID: "berry-syrup", Name: "berry syrup", Group: Juices, Forms: sauceOnly, Kinds: syrupKinds},
	{ID: "jam", Name: "jam", Group: Spreads, Forms: sauceOnly, Kinds: jamKinds},
	{ID: "jelly", Name: "jelly", Group: Spreads, Forms: sauceOnly, Kinds: jamKinds},

	{ID: "banana", Name: "bananas", Group: Known, refused: LowAcidFruit},
	{ID: "melon", Name: "melon", Group: Known, refused: LowAcidFruit},
	{ID: "watermelon", Name: "watermelon", Group: Known, refused: LowAcidFruit},
	{ID: "papaya", Name: "papaya", Group: Known, refused: LowAcidFruit},
	{ID: "mango", Name: "ripe mango", Group: Known, refused: LowAcidFruit, fruit: "mango"},
	{ID: "coconut", Name: "coconut", Group: Known, refused: LowAcidFruit},
	{ID: "avocado", Name: "avocado", Group: Known, refused: LowAcidFruit},
	{ID: "persimmon", Name: "persimmons", Group: Known, refused: LowAcidFruit},
	{ID: "dragon-fruit", Name: "dragon fruit", Group: Known, refused: LowAcidFruit},
	{ID: "date", Name: "dates", Group: Known, refused: LowAcidFruit},
	{ID: "pumpkin-butter", Name: "pumpkin butter", Group: Known, refused: LowAcidFruit},
	{ID: "squash-butter", Name: "squash butter", Group: Known, refused: LowAcidFruit},
	{ID: "elderberries", Name: "elderberries", Group: Known, refused: Elderberry},
	{ID: "vegetables", Name: "vegetables", Group: Known, refused: PressureNeeded},
	{ID: "meat", Name: "meat", Group: Known, refused: PressureNeeded},
	{ID: "mincemeat", Name: "mincemeat", Group: Known, refused: PressureNeeded},
	{ID: "tomatoes", Name: "tomatoes", Group: Known, refused: OtherGuide},
	{ID: "salsa", Name: "salsa", Group: Known, refused: OtherGuide},
	{ID: "chutney", Name: "chutney", Group: Known, refused: OtherGuide},
	{ID: "pickles", Name: "pickles", Group: Known, refused: OtherGuide},
	{ID: "strawberries", Name: "strawberries", Group: Known, refused: StrawberryWhole, fruit: "strawberry"},
	{ID: "orange-juice", Name: "orange juice", Group: Known, refused: JuiceNoRow},
	{ID: "pineapple-juice", Name: "pineapple juice", Group: Known, refused: JuiceNoRow, fruit: "pineapple"},
	{ID: "berry-juice", Name: "berry juice", Group: Known, refused: JuiceNoRow, fruit: anyBerry},
	{ID: "cherry-juice", Name: "cherry juice", Group: Known, refused: JuiceNoRow, fruit: "cherry"},
	{ID: "peach-juice", Name: "peach juice", Group: Known, refused: JuiceNoRow, fruit: "peach"},
	{ID: "pear-juice", Name: "pear juice", Group: Known, refused: JuiceNoRow, fruit: "pear"},
	{ID: "plum-juice", Name: "plum juice", Group: Known, refused: JuiceNoRow, fruit: "plum"},
	{ID: "apricot-juice", Name: "apricot juice", Group: Known, refused: JuiceNoRow, fruit: "apricot"},
	{ID: "cranberry-juice", Name: "cranberry juice", Group: Known, refused: JuiceNoRow},
	{ID: "cranberries", Name: "cranberries", Group: Known, refused: ProductNotTested},
	{ID: "crab-apples", Name: "crab apples", Group: Known, refused: ProductNotTested},
	{ID: "quince", Name: "quince", Group: Known, refused: ProductNotTested, fruit: "quince"},
	{ID: "kiwi", Name: "kiwi", Group: Known, refused: ProductNotTested},
	{ID: "guava", Name: "guava", Group: Known, refused: ProductNotTested},
	{ID: "lychee", Name: "lychees", Group: Known, refused: ProductNotTested},
	{ID: "lemons", Name: "lemons", Group: Known, refused: ProductNotTested},
	{ID: "pomegranate", Name: "pomegranate", Group: Known, refused: ProductNotTested},
	{ID: "pectin-stock", Name: "pectin stock", Group: Known, refused: ProductNotTested},
}

// anyBerry stands for a berry that was not named.
const anyBerry Kind = "berry"

// productByID finds a product with its rows.
var productByID = func() map[Product]*ProductInfo {
	m := make(map[Product]*ProductInfo, len(products))
	for i := range products {
		m[products[i].ID] = &products[i]
	}
	for _, r := range rows {
		p := m[r.Product]
		if r.Pack == Raw {
			p.raw = append(p.raw, r)
		} else {
			p.hot = append(p.hot, r)
		}
	}
	return m
}()

func (p *ProductInfo) rows(pack Pack) []Row {
	if pack == Raw {
		return p.raw
	}
	return p.hot
}

// Products lists every product that is known, tested ones first. The caller
// owns the slice, but not what it points to.
func Products() []ProductInfo { return clone(products) }

// FindProduct looks a product up by its exact id.
func FindProduct(id Product) (ProductInfo, bool) {
	if p, ok := productByID[id]; ok {
		return *p, true
	}
	return ProductInfo{}, false
}

// isFilling says whether p is one of the four fillings tested with cook-type starch.
func isFilling(p *ProductInfo) bool { return p.Group == Fillings }

// ownThickener is what the product's rows were tested with.
func ownThickener(p *ProductInfo) Thickener {
	if isFilling(p) {
		return CookTypeStarch
	}
	return NoThickener
}

// Thickener is what the product's rows were tested with.
func (p ProductInfo) Thickener() Thickener { return ownThickener(&p) }

// ownForm is the form that the product's rows were tested with.
func ownForm(p *ProductInfo) Form {
	if len(p.Forms) == 0 {
		return ""
	}
	return p.Forms[0]
}

// hasRefusedKind says whether leaving the kind out leaves open a refused one.
func hasRefusedKind(p *ProductInfo) bool {
	return slices.ContainsFunc(p.Kinds, func(k Kind) bool { return kindRefusal(p.ID, k) != 0 })
}
