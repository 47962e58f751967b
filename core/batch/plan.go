package batch

import (
	"slices"

	"mellisca/core/canner"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
	"mellisca/core/syrup"
)

// Status says what a plan comes to.
type Status string

// What a plan comes to.
const (
	Tested     Status = "tested"
	Refused    Status = "refused"
	OwnSourced Status = "own-source" // a time by the cook's own published source
	Incomplete Status = "incomplete" // something must be said before a time can be given
)

// Missing is something that must be said before a time can be given.
type Missing struct {
	Field string // "altitude", "kind"
	Text  string
}

// JarCount is how many jars a batch comes to.
type JarCount struct {
	Planned   int  // what liquid and loads are worked out for
	Low, High int  // full jars, from the poorest to the richest fruit
	OwnGuess  bool // the range is ours, not published
	FromFruit bool // the count was worked out; otherwise the cook gave it
	Batches   int  // of the cook's own that it was learned from; 0: the guide's range
}

// Plan is all that a cook needs for one batch. Where Status is not Tested, no
// time is in it.
type Plan struct {
	Query    guide.Query // with what was left out filled in
	Name     string      // of the product, in a sentence
	Status   Status
	Missing  []Missing
	Verdict  guide.Verdict  // tested or refused; empty where Incomplete
	Own      *guide.OwnTime // where OwnSourced
	Jar      jar.Jar        // where there are several sizes, the one whose time rules
	Sizes    []SizeTime     // of a batch in several sizes, the larger first; empty for one
	Amount   fruit.Amount
	Altitude *measure.Altitude

	Jars       *JarCount
	Fruit      *fruit.Need // for all jars planned; nil where nothing is published
	LotNames   []string    // of the lots that it takes its fruit from
	MadeOf     string      // what was left over from another batch; empty: fruit
	LotNote    string      // that they do not hold enough; empty where they do
	Costs      *Costs      // nil where nothing was priced
	Short      string      // what the stock does not have for it; empty where it has all or was not counted
	Preparing  *Preparing  // how long the fruit takes to get ready
	AmountNote string      // why jars or fruit could not be worked out
	Pour       *Pour       // nil where the product brings its own liquid
	Shares     *Shares     // of the varieties that it is blended of; nil where none were said
	Recipe     *Recipe     // what goes into the pot of fillings, sauces, butters, juices and spreads
	Canner     Canner
	CookUps    *CookUps     // how it goes through the cooking pots; nil where none is known
	Pot        canner.Pot   // of the canner
	Water      *CannerWater // of the first load; nil in steam, and where there is no load
	Capacity   int          // jars of this size in one load
	Loads      []Load
	LoadOffers []LoadOffer
	PotNote    string // why the canner does not take these jars
	Prepare    []string
	InEachJar  []string
	After      string // what to do when the time is up
	Cautions   []guide.Caution
}

// Make works a plan out. It errs with Problems where something is not
// understood; a refusal is a plan.
func Make(r Request, k Kitchen) (Plan, error) {
	in, err := understand(r, k)
	if err != nil {
		return Plan{}, err
	}
	p := Plan{Jar: in.jar, Amount: in.amount, Altitude: in.altitude, Name: in.info.Name}
	p.Canner = cannerFor(in)
	p.Pot = p.Canner.Pot
	if in.source != nil {
		p.Name = in.source.Name
	} else if !in.known {
		p.Name = in.Product
		p.refuseUnknown(in)
		return p, nil
	}
	p.askForMissing(in)
	if err := p.judgeSizes(&in); err != nil {
		return Plan{}, err
	}
	p.Jar = in.jar
	if p.Status == Incomplete {
		p.Query = in.query(0)
		if in.altitude != nil {
			p.Query.Altitude = *in.altitude
		}
	} else if err := p.judgeOne(in); err != nil {
		return Plan{}, err
	}
	if p.Status == Refused {
		p.Sizes = nil
		return p, nil
	}
	_, p.LotNames = fromLots(r, k)
	p.count(in)
	p.lotNote(in)
	p.preparing(in)
	if p.Jars != nil {
		p.Short = shortText(k.Stock.short(p.Ready()))
	}
	p.pour(in)
	if in.source == nil {
		p.recipe(in)
	}
	p.share(in)
	p.cookUps(in)
	p.load(in)
	p.offerLoads(in)
	p.water(in, p.Canner)
	p.Prepare = preparation(in, &p)
	p.InEachJar = inEachJar(in, &p)
	if p.Own != nil {
		p.Prepare, p.InEachJar = p.bySource(in)
	}
	p.After = afterBoil(in)
	p.Costs = p.costs(r, k)
	p.Cautions = p.cautions()
	return p, nil
}

func (p *Plan) askForMissing(in read) {
	if in.altitude == nil {
		p.Missing = append(p.Missing, Missing{"altitude", "Give the altitude of your kitchen: water boils cooler higher up, and the safe time depends on it."})
	}
	if in.Product == "berries" && in.Pack == guide.Hot && in.Kind == "" {
		p.Missing = append(p.Missing, Missing{"kind", "Say which berries: only some have been tested packed hot."})
	}
	if len(p.Missing) > 0 {
		p.Status = Incomplete
	}
}

// refuseUnknown is the verdict for free text that names nothing the guide knows.
func (p *Plan) refuseUnknown(in read) {
	p.Status, p.Query = Refused, in.query(0)
	p.Verdict = guide.Unknown(in.Product)
}

// judgeOne judges a request's jar, by its own source or the tested rows.
func (p *Plan) judgeOne(in read) error {
	if in.source != nil {
		return p.judgeOwn(in)
	}
	return p.judge(in)
}

func (p *Plan) judge(in read) error {
	v, err := guide.JudgeAmong(in.query(*in.altitude), JarsOf(in.kitchen))
	if err != nil {
		return err
	}
	p.Verdict, p.Query, p.Status = v, v.Query, Refused
	if v.Tested != nil {
		p.Status = Tested
	}
	return nil
}

// judgeOwn judges by the cook's own source, once the cook has picked it.
func (p *Plan) judgeOwn(in read) error {
	own, v, err := guide.JudgeOwn(in.query(*in.altitude), *in.source, JarsOf(in.kitchen))
	if err != nil {
		return err
	}
	p.Own, p.Verdict, p.Query, p.Status = own, v, v.Query, Refused
	if own != nil {
		p.Status = OwnSourced
	}
	return nil
}

// JarsOf lists the jars that a kitchen has: those it was told, or all of its
// units.
func JarsOf(k Kitchen) []jar.Jar {
	var own []jar.Jar
	for _, j := range jar.All() {
		if slices.Contains(k.Jars, j.ID) || len(k.Jars) == 0 && j.System == k.Units {
			own = append(own, j)
		}
	}
	if len(own) == 0 {
		return jar.All()
	}
	return own
}

// count works out jars from fruit, or fruit from jars.
func (p *Plan) count(in read) {
	p.MadeOf = leftOver(in)
	if what := p.MadeOf; what != "" && in.amount.Jars == 0 && len(p.Sizes) == 0 {
		p.AmountNote = "Nobody has published how many jars " + what + " gives, so say how many you fill: 4 jars."
		return
	}
	if len(p.Sizes) > 0 {
		p.countSizes(in)
	} else {
		p.countOne(in)
	}
	if what := p.MadeOf; what != "" {
		p.Fruit, p.AmountNote = nil, "Fill full jars alone: nobody has published how many "+what+" gives. The rest is for the refrigerator."
	}
}

func (p *Plan) countOne(in read) {
	if in.amount.Jars > 0 {
		n := in.amount.Jars
		p.Jars = &JarCount{Planned: n, Low: n, High: n}
		if need, ok := fruit.FruitLearned(in.Product, n, in.jar, p.seen(in).Ratios); ok {
			p.Fruit = &need
		} else if !hasRecipe(guide.Product(in.Product)) {
			p.AmountNote = "There is no published quantity of fruit for " + p.Name + "; go by your recipe."
		}
		return
	}
	y, ok := fruit.JarsLearned(in.Product, in.amount.Fruit, in.jar, p.seen(in).Ratios)
	switch {
	case !ok && fillings[guide.Product(in.Product)] != nil:
		p.AmountNote = "The recipe measures prepared fruit in cups, so say how many jars you want: 7 quarts."
	case !ok:
		p.AmountNote = "There is no published quantity of fruit for " + p.Name + ", so say how many jars you want: 6 jars."
	case y.Likely == 0:
		p.AmountNote = "That is not enough to fill one " + in.jar.One + ". Take a smaller jar, or eat it fresh."
	default:
		p.Jars = &JarCount{Planned: y.Likely, Low: y.Low, High: y.High, OwnGuess: y.OwnGuess && y.Batches == 0, FromFruit: true, Batches: y.Batches}
		if y.Likely > fruit.MostJars {
			p.Jars, p.AmountNote = nil, "That is more than 500 jars. Split it into batches."
		}
	}
}

func (p *Plan) pour(in read) {
	l, ok := in.Liquid.chosen(guide.Product(in.Product))
	if !ok || p.Jars == nil {
		return
	}
	if l.Kind == Unsweetened || l.Kind == PerQuart {
		return // stirred into the sauce: see sweetened
	}
	asked := l
	if grams, err := sugarGrams(l.Sugar); err == nil && l.Kind == InJar && len(p.Sizes) > 1 {
		l.Sugar = plain(grams/p.ShareOf(p.Sizes[0].Jar)) + " g" // it was said for the largest
	}
	pour := pourFor(l, guide.Product(in.Product), p.Query.Kind, p.Jars.Planned, p.middling(), p.litresPerJar(in))
	pour.Liquid, pour.Name = asked, LiquidName(asked)
	p.Pour = &pour
}

// litresPerJar is the liquid of a jar by the cook's own batches; 0: the usual share.
func (p *Plan) litresPerJar(in read) float64 {
	seen := p.seen(in).Liquid
	if len(seen) == 0 {
		return 0
	}
	_, likely, _ := fruit.LiquidShare(seen)
	return likely * p.middling().Capacity.Litres()
}

// cautions are those of the verdict with those of the plan before the last,
// which is always to check the guide.
func (p *Plan) cautions() []guide.Caution {
	var cs []guide.Caution
	switch {
	case p.Own != nil:
		cs = append(cs, p.Own.Cautions...)
	case p.Verdict.Tested != nil:
		cs = append(cs, p.Verdict.Tested.Cautions...)
	default:
		return nil
	}
	last := len(cs) - 1
	own := cs[:last:last]
	if p.Pour != nil && p.Pour.Syrup != nil {
		own = append(own, sweetenerCautions(p.Pour.Liquid.Sweetener)...)
	}
	if info, _ := guide.FindProduct(p.Query.Product); info.Group == guide.Sauces || info.Group == guide.Fillings {
		own = append(own, guide.Caution{Code: "dense-pack", Text: "Keep it no thicker than its recipe, and do not cram the jars: heat is slower to reach the middle of a dense pack."})
	}
	own = append(own, potCautions(p.Canner)...)
	own = append(own, guide.Caution{Code: "reactive-pan", Text: "Let fruit and syrup stand in stainless steel, enamel, glass or food plastic, not in bare aluminium, copper, iron or galvanised pails."})
	return append(own, cs[last])
}

func sweetenerCautions(s syrup.Sweetener) []guide.Caution {
	switch s {
	case syrup.Honey, syrup.HoneyHalf:
		return []guide.Caution{{Code: "honey", Text: "Honey was tested for up to half the sugar; all honey is a matter of taste, not of safety. No honey for children under one year."}}
	case syrup.CornHalf:
		return []guide.Caution{{Code: "honey", Text: "Light corn syrup was tested for up to half the sugar. It is milder than sugar; it changes nothing about safety."}}
	case syrup.NoSugar:
		return []guide.Caution{{Code: "no-sugar-sweetener", Text: "Add a sweetener without sugar when you serve: heat and months in the jar change the taste of many. Plain water in the jar is safe."}}
	}
	return nil
}
