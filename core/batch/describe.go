package batch

import (
	"strings"

	"mellisca/core/guide"
	"mellisca/core/jar"
)

// Headline names what a request packs, in the cook's words: "peaches,
// freestone, in halves, hot, in quarts". Defaults that go without saying are
// left out.
func Headline(q guide.Query, name string) string {
	words := []string{name}
	info, known := guide.FindProduct(q.Product)
	switch {
	case q.Blend != 0:
		words = append(words, guide.BlendName(q.Kind, q.Blend))
	case q.Kind != "" && !(known && q.Kind == info.Kind && len(info.Kinds) == 2):
		words = append(words, guide.KindName(q.Kind))
	}
	if known && q.Form != "" && len(info.Forms) > 1 {
		words = append(words, guide.FormName(q.Form))
	}
	if known && packMatters(info) {
		words = append(words, guide.PackName(q.Pack))
	}
	if j, ok := jar.Find(q.Jar); ok {
		words = append(words, "in "+j.Many)
	}
	if q.Method != "" && q.Method != guide.BoilingWater {
		words = append(words, "by "+guide.MethodName(q.Method))
	}
	return strings.Join(words, ", ")
}

// packMatters says whether anyone would ask raw or hot of the product.
func packMatters(p guide.ProductInfo) bool { return p.Group == guide.Fruit }

// Label says in what an alternative differs from what was asked, as a button
// reads it: "hot pack", "in quarts, by boiling water".
func Label(asked guide.Query, a guide.Alternative) string {
	var words []string
	info, _ := guide.FindProduct(a.Product)
	if a.Product != asked.Product {
		words = append(words, "as "+info.Name)
		if a.Kind == "just-ripe" {
			words = append(words, "only from just-ripe fruit")
		}
	} else if a.Blend != asked.Blend {
		words = append(words, "of "+guide.BlendName(a.Kind, a.Blend)+" alone")
	}
	if form := orElse(a.Form, firstForm(info)); form != asked.Form && a.Product == asked.Product {
		words = append(words, guide.FormName(form))
	}
	if a.Pack != asked.Pack {
		words = append(words, guide.PackName(a.Pack)+" pack")
	}
	if a.Jar != asked.Jar {
		j, _ := jar.Find(a.Jar)
		words = append(words, "in "+j.Many)
	}
	if a.Method != asked.Method {
		words = append(words, "by "+guide.MethodName(a.Method))
	}
	if th := orElse(a.Thickener, info.Thickener()); th != asked.Thickener && a.Product == asked.Product {
		words = append(words, "with "+guide.ThickenerName(th))
	}
	for _, c := range a.Mended {
		switch c {
		case guide.AcidMissing:
			words = append(words, "with the acid it demands")
		case guide.DairyEggFat:
			words = append(words, "without what does not belong in the jar")
		case guide.OneTripJar:
			words = append(words, "in sound canning jars with new lids and bands")
		}
	}
	return strings.Join(words, ", ")
}

func firstForm(p guide.ProductInfo) guide.Form {
	if len(p.Forms) == 0 {
		return ""
	}
	return p.Forms[0]
}

func orElse[T ~string](v, otherwise T) T {
	if v == "" {
		return otherwise
	}
	return v
}

// Instead is the request that an alternative to a refused plan makes of r. Several
// sizes stay unless the alternative is another size.
func (p Plan) Instead(r Request, a guide.Alternative) Request {
	if a.Jar != p.Query.Jar {
		r.Sizes = ""
	}
	return r.Instead(a)
}

// Instead is the request that an alternative makes of r: the same amount, with
// the alternative's way of packing.
func (r Request) Instead(a guide.Alternative) Request {
	if a.Product != guide.Product(r.Product) || a.Kind != "" {
		r.Kind = a.Kind
	}
	r.Conditions, r.Blend = a.Conditions, a.Blend
	r.Product, r.Form, r.Pack, r.Jar, r.Method, r.Thickener = string(a.Product), a.Form, a.Pack, a.Jar, a.Method, a.Thickener
	return r
}
