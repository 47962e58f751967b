package guide

import "mellisca/core/jar"

// Minutes is a process time in each altitude band: to 1,000 ft, to 3,000 ft, to
// 6,000 ft, above.
type Minutes [4]int

// Row is one tested process: a pack, its minutes in boiling water, its
// headspace, and the jar size and product it was tested for.
type Row struct {
	Pack      Pack
	Minutes   Minutes
	Headspace float64 // inches
	Size      jar.Size
	Product   Product
	Part      string // of the guide
}

const (
	halfPint   = jar.HalfPint
	pint       = jar.Pint
	quart      = jar.Quart
	halfGallon = jar.HalfGallon
)

// rows is the whole table, laid out to be read against the printed guide: the
// minutes stand in columns (05 is five). Rows of a product and pack stand
// together, smallest size first.
//
// Source: Complete Guide to Home Canning (US Department of Agriculture, 2015),
// Guide 2 (fruit and fruit products) and Guide 7 (jams and jellies).
var rows = [...]Row{
	//              minutes, by feet   head-
	// pack        1000 3000 6000 >    space
	{Hot, Minutes{05, 10, 10, 15}, 0.25, halfPint, "apple-butter", "Guide 2: Apple butter"},
	{Hot, Minutes{05, 10, 10, 15}, 0.25, pint, "apple-butter", "Guide 2: Apple butter"},
	{Hot, Minutes{10, 15, 15, 20}, 0.25, quart, "apple-butter", "Guide 2: Apple butter"},
	{Hot, Minutes{05, 10, 10, 15}, 0.25, pint, "apple-juice", "Guide 2: Apple juice"},
	{Hot, Minutes{05, 10, 10, 15}, 0.25, quart, "apple-juice", "Guide 2: Apple juice"},
	{Hot, Minutes{10, 15, 15, 20}, 0.25, halfGallon, "apple-juice", "Guide 2: Apple juice"},
	{Hot, Minutes{20, 25, 30, 35}, 0.50, pint, "apples-sliced", "Guide 2: Apples, sliced"},
	{Hot, Minutes{20, 25, 30, 35}, 0.50, quart, "apples-sliced", "Guide 2: Apples, sliced"},
	{Hot, Minutes{15, 20, 20, 25}, 0.50, pint, "applesauce", "Guide 2: Applesauce"},
	{Hot, Minutes{20, 25, 30, 35}, 0.50, quart, "applesauce", "Guide 2: Applesauce"},
	{Hot, Minutes{10, 15, 15, 20}, 0.50, halfPint, "spiced-apple-rings", "Guide 2: Spiced apple rings"},
	{Hot, Minutes{10, 15, 15, 20}, 0.50, pint, "spiced-apple-rings", "Guide 2: Spiced apple rings"},
	{Hot, Minutes{20, 25, 30, 35}, 0.50, pint, "apricots", "Guide 2: Apricots"},
	{Hot, Minutes{25, 30, 35, 40}, 0.50, quart, "apricots", "Guide 2: Apricots"},
	{Raw, Minutes{25, 30, 35, 40}, 0.50, pint, "apricots", "Guide 2: Apricots"},
	{Raw, Minutes{30, 35, 40, 45}, 0.50, quart, "apricots", "Guide 2: Apricots"},
	{Hot, Minutes{15, 20, 20, 25}, 0.50, pint, "berries", "Guide 2: Berries, whole"},
	{Hot, Minutes{15, 20, 20, 25}, 0.50, quart, "berries", "Guide 2: Berries, whole"},
	{Raw, Minutes{15, 20, 20, 25}, 0.50, pint, "berries", "Guide 2: Berries, whole"},
	{Raw, Minutes{20, 25, 30, 35}, 0.50, quart, "berries", "Guide 2: Berries, whole"},
	{Hot, Minutes{10, 15, 15, 20}, 0.50, halfPint, "berry-syrup", "Guide 2: Berry syrup"},
	{Hot, Minutes{10, 15, 15, 20}, 0.50, pint, "berry-syrup", "Guide 2: Berry syrup"},
	{Hot, Minutes{15, 20, 20, 25}, 0.50, pint, "cherries", "Guide 2: Cherries, whole"},
	{Hot, Minutes{20, 25, 30, 35}, 0.50, quart, "cherries", "Guide 2: Cherries, whole"},
	{Raw, Minutes{25, 30, 35, 40}, 0.50, pint, "cherries", "Guide 2: Cherries, whole"},
	{Raw, Minutes{25, 30, 35, 40}, 0.50, quart, "cherries", "Guide 2: Cherries, whole"},
	{Hot, Minutes{45, 50, 55, 60}, 0.50, pint, "figs", "Guide 2: Figs"},
	{Hot, Minutes{50, 55, 60, 65}, 0.50, quart, "figs", "Guide 2: Figs"},
	{Hot, Minutes{15, 20, 20, 25}, 0.25, pint, "fruit-puree", "Guide 2: Fruit purees"},
	{Hot, Minutes{15, 20, 20, 25}, 0.25, quart, "fruit-puree", "Guide 2: Fruit purees"},
	{Hot, Minutes{05, 10, 10, 15}, 0.25, pint, "grape-juice", "Guide 2: Grape juice"},
	{Hot, Minutes{05, 10, 10, 15}, 0.25, quart, "grape-juice", "Guide 2: Grape juice"},
	{Hot, Minutes{10, 15, 15, 20}, 0.25, halfGallon, "grape-juice", "Guide 2: Grape juice"},
	{Hot, Minutes{10, 15, 15, 20}, 1.00, pint, "grapes", "Guide 2: Grapes, whole"},
	{Hot, Minutes{10, 15, 15, 20}, 1.00, quart, "grapes", "Guide 2: Grapes, whole"},
	{Raw, Minutes{15, 20, 20, 25}, 1.00, pint, "grapes", "Guide 2: Grapes, whole"},
	{Raw, Minutes{20, 25, 30, 35}, 1.00, quart, "grapes", "Guide 2: Grapes, whole"},
	{Raw, Minutes{10, 15, 15, 20}, 0.50, pint, "citrus-sections", "Guide 2: Grapefruit and orange sections"},
	{Raw, Minutes{10, 15, 15, 20}, 0.50, quart, "citrus-sections", "Guide 2: Grapefruit and orange sections"},
	{Raw, Minutes{20, 25, 30, 35}, 0.50, halfPint, "mixed-fruit", "Guide 2: Mixed fruit cocktail"},
	{Raw, Minutes{20, 25, 30, 35}, 0.50, pint, "mixed-fruit", "Guide 2: Mixed fruit cocktail"},
	{Hot, Minutes{15, 20, 20, 25}, 0.25, halfPint, "mango-sauce", "Guide 2: Mango sauce"},
	{Hot, Minutes{20, 25, 30, 35}, 0.50, pint, "nectarines", "Guide 2: Nectarines"},
	{Hot, Minutes{25, 30, 35, 40}, 0.50, quart, "nectarines", "Guide 2: Nectarines"},
	{Raw, Minutes{25, 30, 35, 40}, 0.50, pint, "nectarines", "Guide 2: Nectarines"},
	{Raw, Minutes{30, 35, 40, 45}, 0.50, quart, "nectarines", "Guide 2: Nectarines"},
	{Hot, Minutes{20, 25, 30, 35}, 0.50, pint, "peaches", "Guide 2: Peaches"},
	{Hot, Minutes{25, 30, 35, 40}, 0.50, quart, "peaches", "Guide 2: Peaches"},
	{Raw, Minutes{25, 30, 35, 40}, 0.50, pint, "peaches", "Guide 2: Peaches"},
	{Raw, Minutes{30, 35, 40, 45}, 0.50, quart, "peaches", "Guide 2: Peaches"},
	{Hot, Minutes{20, 25, 30, 35}, 0.50, pint, "pears", "Guide 2: Pears"},
	{Hot, Minutes{25, 30, 35, 40}, 0.50, quart, "pears", "Guide 2: Pears"},
	{Hot, Minutes{20, 25, 30, 35}, 0.50, pint, "asian-pears", "Guide 2: Asian pears"},
	{Hot, Minutes{25, 30, 35, 40}, 0.50, quart, "asian-pears", "Guide 2: Asian pears"},
	{Hot, Minutes{15, 20, 20, 25}, 0.50, pint, "pineapple", "Guide 2: Pineapple"},
	{Hot, Minutes{20, 25, 30, 35}, 0.50, quart, "pineapple", "Guide 2: Pineapple"},
	{Hot, Minutes{20, 25, 30, 35}, 0.50, pint, "plums", "Guide 2: Plums"},
	{Hot, Minutes{25, 30, 35, 40}, 0.50, quart, "plums", "Guide 2: Plums"},
	{Raw, Minutes{20, 25, 30, 35}, 0.50, pint, "plums", "Guide 2: Plums"},
	{Raw, Minutes{25, 30, 35, 40}, 0.50, quart, "plums", "Guide 2: Plums"},
	{Hot, Minutes{15, 20, 20, 25}, 0.50, pint, "rhubarb", "Guide 2: Rhubarb"},
	{Hot, Minutes{15, 20, 20, 25}, 0.50, quart, "rhubarb", "Guide 2: Rhubarb"},
	{Hot, Minutes{25, 30, 35, 40}, 1.00, pint, "apple-pie-filling", "Guide 2: Apple pie filling"},
	{Hot, Minutes{25, 30, 35, 40}, 1.00, quart, "apple-pie-filling", "Guide 2: Apple pie filling"},
	{Hot, Minutes{30, 35, 40, 45}, 1.00, pint, "blueberry-pie-filling", "Guide 2: Blueberry pie filling"},
	{Hot, Minutes{30, 35, 40, 45}, 1.00, quart, "blueberry-pie-filling", "Guide 2: Blueberry pie filling"},
	{Hot, Minutes{30, 35, 40, 45}, 1.00, pint, "cherry-pie-filling", "Guide 2: Cherry pie filling"},
	{Hot, Minutes{30, 35, 40, 45}, 1.00, quart, "cherry-pie-filling", "Guide 2: Cherry pie filling"},
	{Hot, Minutes{30, 35, 40, 45}, 1.00, pint, "peach-pie-filling", "Guide 2: Peach pie filling"},
	{Hot, Minutes{30, 35, 40, 45}, 1.00, quart, "peach-pie-filling", "Guide 2: Peach pie filling"},
	{Hot, Minutes{05, 10, 10, 15}, 0.25, halfPint, "jam", "Guide 7: Jams"},
	{Hot, Minutes{05, 10, 10, 15}, 0.25, halfPint, "jelly", "Guide 7: Jellies"},
}

// Rows lists every tested row, in the order of the table. The caller owns the slice.
func Rows() []Row { return append([]Row(nil), rows[:]...) }

// rowFor is the smallest row of that size or larger: a half-pint of a product
// whose rows start at the pint takes the pint's time.
func rowFor(p *ProductInfo, pack Pack, s jar.Size) (*Row, bool) {
	rs := p.rows(pack)
	for i := range rs {
		if rs[i].Size >= s {
			return &rs[i], true
		}
	}
	return nil, false
}

// largest is the largest size tested for the pack, or for the product where the
// pack has no row; no size where the product has none.
func largest(p *ProductInfo, pack Pack) jar.Size {
	if rs := p.rows(pack); len(rs) > 0 {
		return rs[len(rs)-1].Size
	}
	var s jar.Size
	for _, rs := range [...][]Row{p.raw, p.hot} {
		if len(rs) > 0 {
			s = max(s, rs[len(rs)-1].Size)
		}
	}
	return s
}
