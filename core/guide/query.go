package guide

import (
	"fmt"
	"slices"
	"strings"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Query is one way of packing one product. Kind, Form, Method and Thickener may
// be left empty for what their types say; the others are required.
type Query struct {
	Product   Product
	Kind      Kind
	Blend     Blend // the other fruits of a fruit puree
	Form      Form
	Pack      Pack
	Jar       jar.ID
	Method    Method
	Thickener Thickener
	Altitude  measure.Altitude
	Conditions
}

// Problem is one value of a Query that is not understood.
type Problem struct {
	Field string // "product", "kind", "blend", "form", "pack", "jar", "method", "thickener",
	// "acid", "fruit", "jars", "extras"
	Given   string
	Accepts string // what is accepted, in words
}

// Error gives the field, the value and what is accepted.
func (p Problem) Error() string {
	if p.Given == "" {
		return fmt.Sprintf("%s is missing; accepted: %s", p.Field, p.Accepts)
	}
	return fmt.Sprintf("%s %q is not known; accepted: %s", p.Field, p.Given, p.Accepts)
}

// Problems is every value of a Query that is not understood, in the order of
// its fields.
type Problems []Problem

// Error joins the problems.
func (ps Problems) Error() string {
	all := make([]string, len(ps))
	for i, p := range ps {
		all[i] = p.Error()
	}
	return strings.Join(all, "; ")
}

// Check says what of q is not understood; none where all of it is. It does not
// judge: a refused combination of known values has no problems.
func Check(q Query) Problems {
	var ps Problems
	add := func(field, given, accepts string) { ps = append(ps, Problem{field, given, accepts}) }
	p := productByID[q.Product]
	if p == nil {
		add("product", string(q.Product), "one of "+list(productIDs()))
	}
	if q.Kind != "" {
		switch {
		case p != nil && len(p.Kinds) == 0:
			add("kind", string(q.Kind), "none: "+p.Name+" take no kind, leave it out")
		case p != nil && !slices.Contains(p.Kinds, q.Kind):
			add("kind", string(q.Kind), "for "+p.Name+" one of "+list(p.Kinds))
		case p == nil && !slices.ContainsFunc(products, func(o ProductInfo) bool { return slices.Contains(o.Kinds, q.Kind) }):
			add("kind", string(q.Kind), "a kind that belongs to the product")
		}
	} else if p != nil && p.ID == "berries" && q.Pack == Hot {
		add("kind", "", "for berries packed hot one of "+list(p.Kinds)+", since only some berries are tested hot")
	}
	if q.Form != "" && !slices.Contains(forms, q.Form) {
		add("form", string(q.Form), "one of "+list(forms))
	}
	if !slices.Contains(packs, q.Pack) {
		add("pack", string(q.Pack), "one of "+list(packs))
	}
	if _, ok := jar.Find(q.Jar); !ok {
		add("jar", string(q.Jar), "one of "+list(jar.IDs()))
	}
	if q.Method != "" && !slices.Contains(testedMethods, q.Method) && !slices.Contains(refusedMethods, q.Method) && q.Method != Pressure {
		add("method", string(q.Method), "one of "+list(Methods()))
	}
	if q.Thickener != "" && !slices.Contains(thickeners, q.Thickener) {
		add("thickener", string(q.Thickener), "one of "+list(thickeners))
	}
	q.Blend.check(p, add)
	q.Conditions.check(add)
	return ps
}

func productIDs() []Product {
	ids := make([]Product, len(products))
	for i := range products {
		ids[i] = products[i].ID
	}
	return ids
}

func list[T ~string](ids []T) string {
	s := make([]string, len(ids))
	for i, id := range ids {
		s[i] = string(id)
	}
	return strings.Join(s, ", ")
}

// asked is a Query that was understood, with what was left out filled in.
type asked struct {
	Query
	info    *ProductInfo
	size    jar.Size
	kindSet bool // the kind was said
	band    int  // of the altitude
}

func understand(q Query) (asked, error) {
	if ps := Check(q); len(ps) > 0 {
		return asked{}, ps
	}
	a := asked{Query: q, info: productByID[q.Product], kindSet: q.Kind != "", band: bandOf(q.Altitude.Feet())}
	j, _ := jar.Find(q.Jar)
	a.size = j.TestedAs
	if a.Kind == "" {
		a.Kind = a.info.Kind
	}
	if a.Form == "" {
		a.Form = ownForm(a.info)
	}
	if a.Method == "" {
		a.Method = BoilingWater
	}
	if a.Thickener == "" {
		a.Thickener = ownThickener(a.info)
	}
	return a, nil
}
