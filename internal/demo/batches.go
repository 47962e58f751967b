package demo

type object = map[string]any

func syrup(strength string) object { return object{"kind": "syrup", "strength": strength} }

// prices are what the two pay in the village.
var prices = object{"sugar": "3.49 for 4 lb", "honey": "14 for 3 lb", "corn": "4.20 for 1 kg", "juice": "2.80 for 64 fl oz", "lid": "4.29 for 12", "jar": "14 for 12", "hour": "0.70 an hour", "bought": "5.40 a quart"}

// burners and pots are what stands in the kitchen and the yard.
var (
	burners = []object{
		{"name": "the back left flame", "kind": "gas", "watts": 3500, "across": "10 in"},
		{"name": "the yard burner", "kind": "gas", "watts": 9000, "across": "12 in", "outdoors": true},
	}
	pots = []object{
		{"name": "the enamel canner", "kind": "boiling-water", "across": "31.5 cm", "depth": "28 cm", "rack": "1.5 cm", "weight": "1.8 kg"},
		{"name": "the big kettle", "kind": "boiling-water", "across": "42 cm", "depth": "36 cm", "rack": "2 cm", "weight": "3.4 kg"},
		{"name": "the fish kettle", "kind": "boiling-water", "length": "55 cm", "width": "20 cm", "depth": "22 cm", "rack": "1.5 cm", "weight": "2.2 kg"},
		{"name": "the steamer", "kind": "steam", "across": "32 cm", "depth": "24 cm", "rack": "2 cm", "weight": "1.4 kg"},
		{"name": "the preserving pan", "kind": "cooking", "across": "36 cm", "depth": "15 cm", "weight": "2.6 kg"},
	}
	standsOn = map[string]string{"the enamel canner": "the back left flame", "the big kettle": "the yard burner", "the fish kettle": "the back left flame", "the steamer": "the back left flame"}
)

// counted is what there is on the shelf in the cellar.
var counted = object{
	"jars": []object{
		{"jar": "half-pint", "owned": 36, "inUse": 20}, {"jar": "pint", "owned": 60, "inUse": 31}, {"jar": "pint-wide", "owned": 12, "inUse": 12},
		{"jar": "quart", "owned": 84, "inUse": 58}, {"jar": "quart-wide", "owned": 10, "inUse": 4},
	},
	"mouths": []object{{"mouth": "regular", "lids": 48, "bands": 120}, {"mouth": "wide", "lids": 12, "bands": 24}},
}

// containers and varieties are what the two know of their fruit.
var (
	containers = []object{{"name": "green pail", "kind": "plum", "weight": "11 lb"}, {"name": "orchard basket", "kind": "apple", "weight": "22 lb"}}
	varieties  = []object{
		{"kind": "apple", "name": "Corvane Russet", "tart": 7, "texture": "holds its shape", "months": "October", "note": "Best for slices and filling."},
		{"kind": "apple", "name": "Mill Sweeting", "tart": 2, "texture": "cooks down fast", "months": "September", "note": "Sauce needs no sugar."},
		{"kind": "pear", "name": "Old Wall", "tart": 3, "texture": "fine, soft when ripe", "months": "September", "note": ""},
	}
)

// lots are the fruit at hand, each with how ripe it is today and how many days ago
// it came.
var lots = []struct {
	fields   object
	daysAgo  int
	ripeness string
}{
	{object{"name": "Tuesday's crate", "kind": "peach", "variety": "", "bought": "1 bushel", "price": "42", "from": "the lower orchard"}, 4, "ready"},
	{object{"name": "the market peaches", "kind": "peach", "bought": "20 lb", "price": "24", "from": "the market at Tarnwick"}, 2, "nearly"},
	{object{"name": "the chapel plums", "kind": "plum", "bought": "3 green pails", "from": "the tree behind the chapel"}, 2, "past"},
	{object{"name": "Marlow's berries", "kind": "berry", "bought": "2 flats", "price": "36", "from": "the hedge above the mill"}, 1, "ready"},
	{object{"name": "Old Wall pears", "kind": "pear", "variety": "Old Wall", "bought": "40 lb", "from": "our own wall", "price": "0"}, 3, "hard"},
	{object{"name": "russets for winter", "kind": "apple", "variety": "Corvane Russet", "bought": "3 orchard baskets", "price": "31.50"}, 9, "nearly"},
}

// past is what batches of two seasons gave: product, form, pack, months ago, pounds,
// jars, and what was measured.
var past = []struct {
	product, form, pack string
	monthsAgo           int
	fruit               string
	jars                []object
	liquid              string
	prepare, boil       int
	note                string
}{
	{"peaches", "halves", "hot", 27, "24 lb", []object{{"jar": "quart", "count": 9}}, "", 70, 24, "The first box gave fewer than the next."},
	{"peaches", "halves", "hot", 26, "36 lb", []object{{"jar": "quart", "count": 15}}, "", 95, 26, ""},
	{"peaches", "halves", "hot", 15, "25 lb", []object{{"jar": "quart", "count": 9}, {"jar": "pint", "count": 1}}, "", 75, 0, "Peeled thickly; next time dip longer."},
	{"peaches", "halves", "hot", 14, "48 lb", []object{{"jar": "quart", "count": 19}}, "", 130, 25, ""},
	{"pears", "halves", "hot", 14, "30 lb", []object{{"jar": "quart", "count": 11}}, "4.2 l", 90, 0, ""},
	{"applesauce", "sauce", "hot", 13, "48 lb", []object{{"jar": "quart", "count": 10}, {"jar": "pint", "count": 11}}, "", 110, 0, "Mill Sweeting, no sugar."},
	{"grape-juice", "sauce", "hot", 13, "26 lb", []object{{"jar": "quart", "count": 8}}, "", 60, 0, ""},
}

// ownSources are recipes that the two can by, from books that do not exist.
var ownSources = []object{
	{"name": "spiced crab apples", "title": "Jars of the Upper Valley", "year": 1988, "page": "41", "product": "crab-apples",
		"pack": "hot", "largest": "quart", "minutes": 20, "headspace": "1/2 in", "acid": ""},
	{"name": "elderberry jelly with lemon", "title": "Corvane Kitchen Circle Leaflets", "year": 2021, "page": "7", "product": "jelly", "kind": "elderberry",
		"pack": "hot", "largest": "half-pint", "minutes": 10, "headspace": "1/4 in", "acid": "1/4 cup bottled lemon juice to 3 cups of juice"},
}

// batches are one for each group of the job, in the order they were saved; the
// last is on top of the list. sources are the ids of own sources by their name.
func batches(sources map[string]string) []object {
	return []object{
		{"note": "Marlow's idea for the glut of bananas. Kept so that nobody has it again.", "request": object{
			"product": "banana", "pack": "hot", "jar": "half-pint", "amount": "12 jars",
		}},
		{"note": "From the tree behind the chapel.", "request": object{
			"product": "", "source": sources["spiced crab apples"], "pack": "hot", "jar": "pint", "amount": "6 jars",
		}},
		{"note": "Grape juice for the hut on the pass. Settle it two nights this time.", "request": object{
			"product": "grape-juice", "pack": "hot", "jar": "quart", "amount": "1 lug",
		}},
		{"note": "Pies for the harvest supper.", "request": object{
			"product": "apple-pie-filling", "pack": "hot", "jar": "quart", "amount": "7 quarts",
		}},
		{"note": "Windfalls from the lower garden, sorted.", "request": object{
			"product": "applesauce", "pack": "hot", "jar": "pint", "amount": "half a bushel",
		}},
		{"note": "Marlow's berries, for breakfasts.", "request": object{
			"product": "berries", "kind": "blueberry", "pack": "hot", "jar": "pint", "amount": "9 pints", "liquid": syrup("light"),
		}},
		{"note": "", "request": object{
			"product": "pineapple", "form": "chunks", "pack": "hot", "jar": "pint", "amount": "13 lb", "liquid": object{"kind": "own-juice"},
		}},
		{"note": "The neighbour's old tree.", "request": object{
			"product": "pears", "form": "halves", "pack": "hot", "jar": "quart", "amount": "17 1/2 lb", "liquid": syrup("light"),
		}},
		{"note": "First box of the year.", "request": object{
			"product": "peaches", "kind": "freestone", "form": "halves", "pack": "hot", "jar": "quart", "amount": "25 lb", "liquid": syrup("light"),
		}},
	}
}
