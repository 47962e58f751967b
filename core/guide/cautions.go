package guide

import "slices"

// Caution is something to know beside a tested time.
type Caution struct {
	Code string
	Text string
}

// cautions are what applies to a tested way, in the order they are told.
func cautions(a *asked) []Caution {
	var cs []Caution
	say := func(code, text string) { cs = append(cs, Caution{code, text}) }
	feet := a.Altitude.Feet()
	if a.Pack == Raw && slices.Contains([]Product{"peaches", "nectarines", "apricots", "cherries"}, a.Product) {
		say("raw-pack-float", "Packed raw, "+a.info.Name+" hold more air: expect more float and a duller colour after some months. Hot pack keeps better.")
	}
	if a.Product == "pears" && a.Form != "halves" {
		say("cut-smaller", "The time was tested with pear halves. Cut smaller, pack them loosely so that liquid moves between the pieces.")
	}
	if !a.kindSet && hasRefusedKind(a.info) {
		say("kind-assumed", kindAssumed(a))
	}
	if a.Conditions.Fruit == FruitSoft {
		say("past-its-best", "Soft fruit is less acid. Make sauce, juice or jam of it, or freeze it, today; do not pack it whole or in pieces.")
	}
	if a.Product == "jam" || a.Product == "jelly" || a.Product == "berry-syrup" {
		say("sugar-is-recipe", "Here the sugar is part of the recipe: do not cut it. It may be cut in fruit, juice and sauce packs.")
	}
	if a.Conditions.Fruit == FruitFrozen {
		say("frozen-fruit", "Thaw it, keep the juice and count it in the liquid. Packed whole it comes out soft.")
	}
	if a.Product == "jam" || a.Product == "jelly" {
		say("one-batch", "Make one batch at a time: a doubled pot cooks too slowly and may not set.")
	}
	if isFilling(a.info) && a.Thickener == NoThickener {
		say("thicken-on-opening", "Without its starch the filling keeps the same time. Thicken it when you open the jar.")
	}
	if a.Method == Steam {
		say("steam-one-tier", "In a steam canner: one tier of jars, the time starts at pure steam from the vent, and the lid stays on until it ends.")
	}
	if feet > 10_000 {
		say("altitude-above-10000", "Above 10,000 ft this is the table's last column. Ask your local food-safety service before you rely on it.")
	}
	if feet < 0 {
		say("below-sea-level", "Below sea level the first column of the table applies.")
	}
	say("check-current-guide", "Check this time against the current printed guide, or with your local food-safety service, before you can by it.")
	return cs
}

func kindAssumed(a *asked) string {
	switch a.Product {
	case "peaches", "nectarines", "mixed-fruit", "peach-pie-filling":
		return "This is for yellow-fleshed fruit. White-fleshed fruit has no tested time and must not be canned this way."
	case "mango-sauce":
		return "This is for mango that is just ripe, still a little firm. Ripe mango has no tested time."
	case "berries":
		return "This is for the common berries. Elderberries and whole strawberries have no tested time here."
	}
	return "This is for fruit with a tested time. Say which fruit: white-fleshed peaches, elderberries, bananas, melon, figs and some others are refused."
}
