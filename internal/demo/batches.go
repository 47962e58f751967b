package demo

type object = map[string]any

func syrup(strength string) object { return object{"kind": "syrup", "strength": strength} }

// batches are one for each group of the job, in the order they were saved; the
// last is on top of the list.
var batches = []object{
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
