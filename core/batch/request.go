package batch

import (
	"errors"
	"slices"
	"strings"

	"mellisca/core/canner"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Kitchen is what a plan takes from the cook's own kitchen.
type Kitchen struct {
	Altitude *measure.Altitude // nil: not known, so that no time is given
	Units    measure.System
	Sources  map[string]guide.OwnSource // the cook's own, by id
	Canners  []Canner                   // its own, the usual one where there are none
	Seen     map[Way]Seen               // what its own batches gave
	Lots     map[string]LotAtHand       // fruit at hand, by id
	Known    []fruit.Variety            // what the cook knows of varieties
	Prices   Prices                     // what things cost; empty: not said
	Stock    Stock                      // jars, lids and bands; empty: not counted
	Memo     *canner.Memo               // of places in its pots; nil: each is searched for
	Pots     []canner.Pot               // that fruit is cooked in
	Jars     []jar.ID                   // that it has; none: all of its units
	Schools  map[string]string          // which it follows, by question; see Questions
}

// Request is the sentence a cook edits. Amount and Altitude are as typed.
type Request struct {
	Product   string // an id of the guide, or free text, which is refused as not tested
	Source    string // the id of an own source, which then says product, kind, form and pack; empty: by the tested rows
	Kind      guide.Kind
	Blend     guide.Blend // the other fruits of a sauce or puree
	Form      guide.Form
	Pack      guide.Pack
	Jar       jar.ID
	Sizes     string // "5 quarts, 3 pints": the jars, where they are of several sizes; empty: all are Jar
	Tiers     int    // of jars in the canner: 0 or 1, or 2
	Method    guide.Method
	Thickener guide.Thickener
	Altitude  string // empty: the kitchen's
	Amount    string // "12 lb", "half a bushel", "7 jars"
	Liquid    Liquid
	Lots      string  // the ids of lots that it takes its fruit from, joined by commas; see LeftOverID
	Varieties string  // that a sauce, filling or juice is blended of, by share: "2 Mill Sweeting, 1 Russet"
	Canner    string  // the id of a canner of the kitchen; empty: its first one for the method, or the usual one
	Dilute    float64 // of juice: parts of water to one of juice, in the glass; 0 to 10
	guide.Conditions
}

// Problem is something typed or chosen that is not understood.
type Problem struct {
	Field string // as in Request, in lower camel case: "amount", "liquid.brix"
	Given string
	Text  string // what is wrong and what is accepted
}

// Problems is everything in a Request that is not understood.
type Problems []Problem

// Error joins the problems.
func (ps Problems) Error() string {
	all := make([]string, len(ps))
	for i, p := range ps {
		all[i] = p.Text
	}
	return strings.Join(all, "; ")
}

// longestProduct bounds free text that names a product.
const longestProduct = 80

// read is a Request with every value understood.
type read struct {
	Request
	kitchen  Kitchen
	info     guide.ProductInfo
	known    bool // the product is one the guide knows
	jar      jar.Jar
	amount   fruit.Amount
	altitude *measure.Altitude
	shares   []fruit.Share
	sizes    []fruit.Filled   // of a batch in several, the larger first
	source   *guide.OwnSource // nil: by the tested rows
}

// understand reads every field of r, and reports all that it does not
// understand at once.
func understand(r Request, k Kitchen) (read, error) {
	var ps Problems
	add := func(field, given, text string) { ps = append(ps, Problem{field, given, text}) }
	in := read{Request: r, kitchen: k, altitude: k.Altitude}

	in.Product = strings.TrimSpace(r.Product)
	if in.Product == "applesauce" && in.Blend != 0 {
		in.Product, in.Kind = "fruit-puree", "apple" // applesauce with other fruit is a blend
	}
	if r.Source != "" {
		s, ok := k.Sources[r.Source]
		if !ok {
			add("source", r.Source, "There is no such own source. Choose one of yours, or a product of the guide.")
		}
		in.source = &s
		in.Product, in.Kind, in.Blend, in.Form, in.Pack, in.Thickener = string(s.Product), s.Kind, 0, s.Form, s.Pack, ""
		if in.Product == "" {
			in.Product = s.Name
		}
	}
	in.info, in.known = guide.FindProduct(guide.Product(in.Product))
	switch {
	case in.Product == "":
		add("product", "", "Say what you want to can, such as peaches or applesauce.")
	case len(in.Product) > longestProduct:
		add("product", in.Product, "That is too long for the name of a product: 80 letters at most.")
	}
	for _, p := range guide.Check(in.query(0)) {
		switch {
		case p.Field == "product":
			// Free text is a refusal, not a mistake.
		case p.Field == "kind" && (!in.known || p.Given == ""):
			// A kind means nothing for a product that is not known; a missing one is asked for in the plan.
		default:
			add(p.Field, p.Given, sentence(p.Error()))
		}
	}
	in.jar, _ = jar.Find(r.Jar)
	in.readSizes(add)
	var err error
	if in.shares, err = fruit.ParseShares(r.Varieties); err != nil {
		add("varieties", r.Varieties, sentence(err.Error()))
	}
	if in.Tiers < 0 || in.Tiers > 2 {
		add("tiers", plain(float64(in.Tiers)), "Jars stand in one tier or in two.")
	}
	if in.jar.ID != "" {
		in.readAmount(add)
	}
	if r.Canner != "" && !slices.ContainsFunc(k.Canners, func(c Canner) bool { return c.ID == r.Canner }) {
		in.Canner = "" // it was taken out of the kitchen since
	}
	if r.Altitude != "" {
		a, err := measure.ParseAltitude(r.Altitude)
		if err != nil {
			add("altitude", r.Altitude, sentence(err.Error()))
		}
		in.altitude = &a
	}
	ps = append(ps, r.Liquid.check(in.jar)...)
	if !(r.Dilute >= 0 && r.Dilute <= 10) {
		add("dilute", plain(r.Dilute), "Parts of water to one of juice are 0 to 10.")
	}
	if len(ps) > 0 {
		return read{}, ps
	}
	return in, nil
}

// readAmount reads how much, which may be all that is left in the lots.
func (in *read) readAmount(add func(field, given, text string)) {
	if allOfIt(in.Amount) {
		left, names := fromLots(in.Request, in.kitchen)
		switch {
		case len(names) == 0:
			add("amount", in.Amount, "All of what? Say how much, such as 12 lb, or take it from a lot.")
		case left == 0:
			add("amount", in.Amount, "Nothing is left in it. Say how much you have, such as 12 lb.")
		}
		in.amount = fruit.Amount{Fruit: left}
		return
	}
	var err error
	if in.amount, err = fruit.ParseAmount(in.Amount, in.Product, in.jar); err != nil {
		add("amount", in.Amount, sentence(err.Error()))
	}
}

// query asks the guide for what r says, at an altitude.
func (in read) query(a measure.Altitude) guide.Query {
	return guide.Query{
		Product: guide.Product(in.Product), Kind: in.Kind, Blend: in.Blend, Form: in.Form, Pack: in.Pack, Jar: in.Jar,
		Method: in.Method, Thickener: in.Thickener, Altitude: a, Conditions: in.Conditions,
	}
}

// Check says what of r is not understood, as Problems; nil where all of it is.
func Check(r Request, k Kitchen) error {
	_, err := understand(r, k)
	var ps Problems
	if errors.As(err, &ps) {
		return ps
	}
	return nil
}

// sentence makes a full sentence of an error.
func sentence(s string) string {
	if s == "" {
		return s
	}
	return strings.ToUpper(s[:1]) + s[1:] + "."
}
