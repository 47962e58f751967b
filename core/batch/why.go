package batch

import (
	"fmt"
	"strings"

	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Why is what one answer of a plan rests on, in plain words with the figures
// put in.
type Why struct {
	About  string // "time", "refusal", "jars", "liquid", "recipe", "loads"
	Title  string
	Lines  []string
	Source string // title, part and year; empty where the figure is ours
}

const fruitSource = "Complete Guide to Home Canning, Guide 2 (2015)"

// Why explains every answer that the plan gives, in the order they are shown.
func (p Plan) Why(units measure.System) []Why {
	var all []Why
	add := func(w Why, ok bool) {
		if ok {
			all = append(all, w)
		}
	}
	add(p.whyTime(units))
	add(p.whyRefused())
	add(p.whyJars(units))
	add(p.whyLiquid(units))
	add(p.whyRecipe(units))
	add(p.whyLoads(units))
	return all
}

func (p Plan) whyTime(units measure.System) (Why, bool) {
	if p.Own != nil {
		return p.whyOwnTime(units), true
	}
	t := p.Verdict.Tested
	if t == nil {
		return Why{}, false
	}
	w := Why{About: "time", Title: fmt.Sprintf("Why %d minutes", t.Minutes)}
	w.Source = fmt.Sprintf("%s, %s (%d)", t.Source.Title, t.Source.Part, t.Source.Edition)
	m := t.Row.Minutes
	say := func(format string, args ...any) { w.Lines = append(w.Lines, fmt.Sprintf(format, args...)) }
	say("The tested row is %s, %s pack, %s: %d minutes to 1,000 ft, %d to 3,000 ft, %d to 6,000 ft, %d above.",
		rowName(t.Row), t.Row.Pack, t.Row.Size.ID(), m[0], m[1], m[2], m[3])
	if p.Jar.TestedAs != t.Row.Size {
		say("There is no smaller row, so a %s takes the time of the %s.", p.Jar.One, t.Row.Size.ID())
	} else if p.Jar.ID != t.Row.Size.ID() {
		say("A %s counts as a %s, the tested size at or above its own.", p.Jar.One, t.Row.Size.ID())
	}
	if p.Altitude != nil {
		say("Your altitude is %s. A column counts up to and with its top, and nothing is taken between two columns: the higher you are, the cooler water boils.", p.Altitude.Text(units))
	}
	if p.Query.Method == guide.Steam {
		say("Atmospheric steam takes the same minutes as boiling water, and 45 at the most.")
	}
	if t.WaterOverJars == 2 {
		say("Over 30 minutes much water boils away, so the jars start under %s of it.", measure.Inches(2).Text(units))
	}
	if t.Acid != nil {
		p.whyAcid(*t.Acid, say)
	}
	if p.Query.Blend != 0 {
		say("A blend takes the longest time of the rows of its fruits and of fruit puree. Here that is the row of %s.", rowName(t.Row))
	}
	if t.SterileMinutes > 0 {
		say("In the first column the time is under 10 minutes, too short to make jars sterile. So they are boiled empty first: 10 minutes, and one more for each started 1,000 ft above 1,000 ft, %d here.", t.SterileMinutes)
	}
	return w, true
}

// rowName is what a row of the table is for.
func rowName(r guide.Row) string {
	info, _ := guide.FindProduct(r.Product)
	return info.Name
}

// whyAcid says what the acid is for, and how much it is.
func (p Plan) whyAcid(a guide.Acid, say func(string, ...any)) {
	say("The acid is there so that boiling water is enough: this fruit may not be acid enough by itself. It may be more, never less.")
	switch {
	case a.PerJar != nil:
		say("The guide gives 1 tbsp of bottled lemon juice a pint. A %s takes %s, rounded up.", p.Jar.One, Spoons(*a.PerJar))
	case p.Query.Product == "mango-sauce":
		say("The guide gives 4 tbsp of bottled lemon juice for about 6 half-pints.")
	default:
		say("Of the two printed sizes of the recipe the larger share counts: %s a quart.", Spoons(a.PerBatch.Amount))
	}
	say("Bottled juice is of even strength. Fresh-squeezed is now strong, now weak.")
}

func (p Plan) whyOwnTime(units measure.System) Why {
	s := p.Own.Source
	w := Why{About: "time", Title: fmt.Sprintf("Why %d minutes", p.Own.Minutes), Source: s.Cite() + ", as you entered it"}
	w.Lines = append(w.Lines, fmt.Sprintf("Your source gives %d minutes at sea level.", s.Minutes))
	if p.Altitude != nil {
		w.Lines = append(w.Lines, fmt.Sprintf("At %s it takes %d: to the minutes at sea level come 5 from 1,001 ft, 10 from 3,001, 15 from 6,001 and 20 from 8,001, or what your source adds where that is more, and never less than a tested row where there is one.",
			p.Altitude.Text(units), p.Own.Minutes))
	}
	return w
}

func (p Plan) whyRefused() (Why, bool) {
	if p.Status != Refused {
		return Why{}, false
	}
	w := Why{About: "refusal", Title: "Why there is no time", Source: fruitSource}
	for _, r := range p.Verdict.Reasons {
		w.Lines = append(w.Lines, r.Text)
	}
	if rows := testedRows(p.Query.Product); rows != "" {
		w.Lines = append(w.Lines, "Tested for "+p.Name+": "+rows+".")
	} else {
		w.Lines = append(w.Lines, "There is no tested row for "+p.Name+".")
	}
	w.Lines = append(w.Lines, "A time is never worked out from others: heat reaches the middle of each food, cut and jar in its own way, and only a test shows when it is there.")
	return w, true
}

func batches(n int) string {
	if n == 1 {
		return "one batch"
	}
	return fmt.Sprintf("%d batches", n)
}

// testedRows lists the packs and sizes that a product was tested in.
func testedRows(product guide.Product) string {
	sizes := map[guide.Pack][]string{}
	for _, r := range guide.Rows() {
		if r.Product == product {
			sizes[r.Pack] = append(sizes[r.Pack], string(r.Size.ID()))
		}
	}
	var packs []string
	for _, pack := range guide.Packs() {
		if len(sizes[pack]) > 0 {
			packs = append(packs, string(pack)+" in "+strings.Join(sizes[pack], ", "))
		}
	}
	return strings.Join(packs, "; ")
}

func (p Plan) whyJars(units measure.System) (Why, bool) {
	if p.Jars == nil {
		return Why{}, false
	}
	product := string(p.Query.Product)
	need, ok := fruit.PerJar(product, p.Jar)
	if !ok {
		return Why{}, false
	}
	w := Why{About: "jars", Title: "Why so many jars", Source: fruitSource}
	say := func(format string, args ...any) { w.Lines = append(w.Lines, fmt.Sprintf(format, args...)) }
	q, published := fruit.Find(product)
	switch {
	case !published:
		say("The guide gives 3 to 4 lb for a quart.")
	case p.Jar.TestedAs <= jar.Pint:
		say("A load of 9 pints takes %s lb, so a %s takes about %s.", plain(q.LbPer9Pints), p.Jar.One, need.Likely.Text(units))
	default:
		say("A load of 7 quarts takes %s lb, so a %s takes about %s.", plain(q.LbPer7Quarts), p.Jar.One, need.Likely.Text(units))
	}
	switch {
	case need.OwnGuess:
		say("No range is published for it: 15 %% either way is our own guess.")
	case published:
		say("A %s of %s lb gives %s to %s quarts, by size, ripeness and how it is cut: so one %s takes %s to %s.",
			q.Container, plain(q.ContainerLb), plain(q.QuartsLow), plain(q.QuartsHigh), p.Jar.One, need.Low.Text(units), need.High.Text(units))
	}
	if p.Jars.Batches > 0 {
		say("Your own %s of it correct the guide: each batch moves the likely count towards what you got, and narrows or widens the range by how far yours lie apart (a log-normal belief, four in five of your batches in it).", batches(p.Jars.Batches))
	}
	if p.Jars.FromFruit {
		say("%s makes %d to %d full jars, most likely %d. Liquid and loads are worked out for %d; have jars and lids ready for %d.",
			p.Amount.Fruit.Text(units), p.Jars.Low, p.Jars.High, p.Jars.Planned, p.Jars.Planned, p.Jars.High)
	}
	return w, true
}

func round1(x float64) float64 { return float64(int64(x*10+0.5)) / 10 }
