package batch

import (
	"mellisca/core/guide"
	"mellisca/core/measure"
)

// preparation is what is done to the fruit before it goes into jars, a step a
// line. Source: Complete Guide to Home Canning, Guide 2 (2015), by product.
func preparation(in read, p *Plan) []string {
	hot := p.Query.Pack == guide.Hot
	liquid := "the liquid"
	if p.Pour != nil {
		liquid = p.Pour.Name
	}
	steps := fruitSteps(p.Query, hot, liquid, in.kitchen.Units)
	if browns(p.Query.Product) {
		steps = append([]string{againstBrowning(in.kitchen)}, steps...)
	}
	if t := p.Verdict.Tested; t != nil && t.SterileMinutes > 0 {
		steps = append(steps, "Sterilise the empty jars: "+minutes(t.SterileMinutes)+" in boiling water at this altitude. The time for this product is too short to do it.")
	} else {
		steps = append(steps, hotJars(in.kitchen))
	}
	return append(steps, flatLids(in.kitchen))
}

// againstBrowning is the bath for cut fruit, by the kitchen's school. It keeps
// the colour and is never counted as acid.
func againstBrowning(k Kitchen) string {
	const colour = " It keeps the colour; it does not count as acid."
	switch k.School("browning") {
	case "bottled-lemon":
		return "Against browning, hold cut fruit in cold water with bottled lemon juice in it; ascorbic acid works better." + colour
	case "fresh-lemon":
		return "Against browning, hold cut fruit in cold water with fresh lemon juice in it; ascorbic acid works better." + colour
	}
	return "Against browning, hold cut fruit in 1 gallon (3.8 l) of cold water with 1 tsp (3 g) of pure ascorbic acid or six crushed 500 mg vitamin C tablets." + colour
}

func hotJars(k Kitchen) string {
	if k.School("hot-jars") == "dishwasher" {
		return "Wash the jars in the dishwasher and keep them hot in it until they are filled."
	}
	return "Wash the jars and keep them hot in water until they are filled."
}

func flatLids(k Kitchen) string {
	switch k.School("lids") {
	case "warm":
		return "New flat lids, washed and kept warm, as their maker says."
	case "simmered":
		return "New flat lids, washed and simmered, as their maker says; not boiled."
	}
	return "New flat lids, washed, at room temperature unless their maker says otherwise."
}

// afterBoil is what to do when the time is up, by the kitchen's school of rest.
func afterBoil(in read) string {
	rest := in.kitchen.School("rest") + " minutes"
	if in.Method == guide.Steam {
		return "Time up: heat off, wait " + rest + ", then lid off, away from your face. Lift the jars straight up and let them cool in still air."
	}
	return "Time up: heat off, lid off, away from your face. Wait " + rest + ", then lift the jars straight up."
}

func browns(p guide.Product) bool {
	switch p {
	case "apples-sliced", "apricots", "nectarines", "peaches", "pears", "apple-pie-filling", "peach-pie-filling":
		return true
	}
	return false
}

func fruitSteps(q guide.Query, hot bool, liquid string, units measure.System) []string {
	boilIn := "Bring the fruit to a boil in " + liquid + "."
	rawFill := "Fill the jars with raw fruit, cut side down, and pour hot " + liquid + " over it."
	either := func() string {
		if hot {
			return boilIn
		}
		return rawFill
	}
	switch q.Product {
	case "peaches":
		return []string{"Dip ripe, firm peaches in boiling water for 30 to 60 seconds until the skins slip, then into cold water. Peel, pit and cut them.", either()}
	case "nectarines":
		return []string{"Wash, pit and cut the nectarines. Leave the skins on.", either()}
	case "apricots":
		return []string{"Wash, halve and pit the apricots; peel them or not, as you like.", either()}
	case "pears":
		return []string{"Peel, halve and core the pears.", "Boil them gently for 5 minutes in " + liquid + "."}
	case "asian-pears":
		return []string{"Peel, halve and core the pears.", "Boil them gently for 5 minutes in " + liquid + ".", "Put the bottled lemon juice into each jar before the fruit."}
	case "pineapple":
		return []string{"Peel the pineapple, take out eyes and core, and cut it.", "Simmer it for 10 minutes in " + liquid + "."}
	case "plums":
		if hot {
			return []string{"Wash the plums; prick whole ones on two sides with a fork.", "Boil them 2 minutes in " + liquid + ", cover the pot and let it stand 20 to 30 minutes."}
		}
		return []string{"Wash the plums; prick whole ones on two sides with a fork.", "Fill the jars with raw plums, firmly, and pour hot " + liquid + " over them."}
	case "cherries":
		first := "Stem and wash the cherries. Put pitted ones into the browning bath; prick whole ones so that they do not split."
		if hot {
			return []string{first, "For each quart of cherries bring 1/2 cup of " + liquid + " to a boil with them."}
		}
		return []string{first, "Put 1/2 cup of hot " + liquid + " into each jar, fill with raw cherries, shaking them down, and top up with liquid."}
	case "berries":
		if hot {
			return []string{"Heat the berries in boiling water for 30 seconds and drain them.", "Put 1/2 cup of hot " + liquid + " into each jar, fill with berries and top up with liquid."}
		}
		return []string{"Wash the berries, a quart or two at a time; drain, cap and stem them.", "Put 1/2 cup of hot " + liquid + " into each jar, fill with raw berries, shaking them down, and top up with liquid."}
	case "grapes":
		if hot {
			return []string{"Take tight-skinned, slightly unripe green seedless grapes; stem and wash them.", "Blanch them 30 seconds in boiling water and drain."}
		}
		return []string{"Take tight-skinned, slightly unripe green seedless grapes; stem and wash them.", "Fill the jars with raw grapes and pour hot " + liquid + " over them."}
	case "figs":
		return []string{"Wash firm, ripe figs; do not peel or stem them.", "Boil them 2 minutes in water, drain, then 5 minutes in " + liquid + ".", "Put the acid into each jar before the fruit."}
	case "citrus-sections":
		return []string{"Peel the fruit and take off all white membrane: it turns bitter.", "Fill the jars with sections and pour hot " + liquid + " over them."}
	case "rhubarb":
		return []string{"Trim the stalks, no leaves: they are poisonous. Cut them into pieces.", "Stir in 1/2 cup of sugar a quart, let it stand until juice appears, and heat gently to a boil."}
	case "mixed-fruit":
		return []string{"Cut 3 lb of peaches and 3 lb of pears into cubes; take 1 1/2 lb of green seedless grapes for about 6 pints.", "Put 1/2 cup of hot syrup into each jar, fill with fruit, and top up with syrup."}
	case "apples-sliced":
		return []string{"Peel, core and slice the apples.", "Boil them 5 minutes in " + liquid + ", a pint of it for each 5 lb of apples."}
	case "applesauce":
		return []string{"Cook cut apples with 1/2 cup of water for 5 to 20 minutes until tender, stirring.", "Mill it, or leave it chunky. Sweeten to taste, or not: 1/8 cup of sugar a quart is usual.", "Heat it again to a rolling boil and fill it hot."}
	case "apple-butter":
		return []string{"Cook the apples soft in cider and vinegar, mill them, add sugar and spice, and cook slowly until it mounds on a spoon. Fill it hot."}
	case "mango-sauce":
		return []string{"Puree slightly underripe mango and stir everything in.", "Heat it, stirring, to " + measure.Fahrenheit(200).Text(units) + " and fill it hot."}
	case "fruit-puree":
		return []string{"Cook the fruit soft with 1 cup of hot water a quart, and mill it.", "Sweeten to taste, or not. Heat it again to a boil and fill it hot."}
	case "apple-juice":
		return []string{"Chill fresh juice for 24 to 48 hours and pour it off the sediment; strain it if you like.", "Heat it just to boiling and fill it hot."}
	case "grape-juice":
		return []string{"Simmer stemmed grapes in water to cover until the skins are soft, and strain.", "Chill the juice for 24 to 48 hours, pour it off the sediment, heat it to boiling and fill it hot."}
	case "berry-syrup":
		return []string{"Crush the fruit, heat it soft and strain off the juice.", "Bring it to a boil with the sugar, simmer 1 minute, skim and fill it hot."}
	case "apple-pie-filling", "blueberry-pie-filling", "cherry-pie-filling", "peach-pie-filling":
		return []string{"Blanch fresh fruit 1 minute, 6 cups at a time, in 1 gallon of boiling water; drain and keep it hot, covered.", "Cook sugar, starch and liquid, stirring, until it thickens and bubbles. Add the lemon juice and boil 1 minute, stirring.", "Fold in the fruit at once and fill without delay."}
	}
	return []string{"Make it by a tested recipe: only the process is given here."}
}

// inEachJar is what belongs in a jar and must not be forgotten, a line each.
func inEachJar(in read, p *Plan) []string {
	var lines []string
	t := p.Verdict.Tested
	if t == nil {
		return nil
	}
	if acid := p.acidBySize(); acid != nil {
		for _, line := range acid {
			lines = append(lines, line+": it makes the fruit acid enough")
		}
	} else if a := t.Acid; a != nil && a.PerJar != nil {
		lines = append(lines, acidLine(*a)+": it makes the fruit acid enough")
	}
	if a := t.Acid; a != nil && a.PerBatch != nil {
		lines = append(lines, "The "+a.What+" of the whole recipe, stirred in: never less, and never fresh-squeezed")
	}
	switch {
	case p.Query.Product == "berries", p.Query.Product == "cherries" && p.Query.Pack == guide.Raw, p.Query.Product == "mixed-fruit":
		lines = append(lines, "1/2 cup of the hot liquid first")
	}
	if p.Pour != nil {
		lines = append(lines, "Fruit, then "+p.Pour.Name+": about "+p.liquidBySize(in.kitchen.Units))
	}
	lines = append(lines,
		p.headspaceBySize(t.Headspace, in.kitchen.Units)+" of headspace, after the bubbles are out",
		"A wiped rim, a new flat lid, a band fingertip tight")
	return lines
}

// acidLine is the acid of a jar or a batch with what does as well: "2 tbsp of
// bottled lemon juice, or 1/2 tsp of citric acid".
func acidLine(a guide.Acid) string {
	if a.PerJar == nil {
		return Spoons(a.PerBatch.Amount) + " of " + a.What + " for " + a.PerBatch.Makes
	}
	line := Spoons(*a.PerJar) + " of " + a.What
	for _, o := range a.Or {
		line += ", or " + Spoons(*o.PerJar) + " of " + o.What
	}
	return line
}

// Spoons prints an amount of acid in spoons, never less than it is: "2 tbsp".
func Spoons(a guide.Amount) string {
	if a.Unit == "tbsp" {
		return measure.KitchenAtLeast(a.Amount / 16)
	}
	return measure.KitchenAtLeast(a.Amount / 48)
}

func minutes(n int) string {
	if n == 1 {
		return "1 minute"
	}
	return plain(float64(n)) + " minutes"
}
