package batch

import (
	"fmt"

	"mellisca/core/canner"
	"mellisca/core/guide"
)

// offerLoads says what else could be done where the jars take more than one load:
// another canner of the kitchen that takes fewer, a second tier where the pot is deep
// enough, and, where just a few are over, what to do with those. Jars packed hot do not
// wait for their load longer than ten minutes, so they are filled load by load.
func (p *Plan) offerLoads(in read) {
	n := len(p.Loads)
	if n < 2 {
		return
	}
	cover, ok := p.waterOverJars()
	if !ok {
		return
	}
	if p.Query.Pack == guide.Hot {
		p.LoadOffers = append(p.LoadOffers, "Fill the jars of a load when its water is ready: packed hot, they wait 10 minutes at most.")
	}
	steam := p.Pot.Kind == canner.Steam
	for _, c := range in.kitchen.Canners {
		if c.ID == p.Canner.ID || (c.Pot.Kind == canner.Steam) != steam || !steam && c.Pot.Deep(in.jar, cover) != nil {
			continue
		}
		if takes := in.kitchen.Memo.Capacity(c.Pot, in.jar); takes > 0 {
			if loads := len(canner.Loads(p.Jars.Planned, takes)); loads < n {
				p.LoadOffers = append(p.LoadOffers, fmt.Sprintf("%s takes %d: %s.", upperFirst(c.theName()), takes, loadsWord(loads)))
			}
		}
	}
	two := p.Pot.Rack + 2*in.jar.Height + canner.Divider + cover + canner.BoilRoom
	if !steam && two <= p.Pot.Depth {
		p.LoadOffers = append(p.LoadOffers, fmt.Sprintf("It is deep enough for two tiers with a rack between: %d at once, %s.", 2*p.Capacity, loadsWord(len(canner.Loads(p.Jars.Planned, 2*p.Capacity)))))
	}
	if over := p.Jars.Planned - (n-1)*p.Capacity; over <= max(1, p.Capacity/3) {
		p.LoadOffers = append(p.LoadOffers, fmt.Sprintf("%s more than %s: a second pot beside it, smaller jars, or the refrigerator till the next batch.", p.Jar.Count(over), loadsWord(n-1)))
	}
}

func loadsWord(n int) string {
	if n == 1 {
		return "one load"
	}
	return fmt.Sprintf("%d loads", n)
}
