package server

import (
	"context"
	"fmt"
	"slices"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/syrup"
)

// choice is one thing to choose in the sentence.
type choice struct {
	ID     string `json:"id"`
	Name   string `json:"name"`
	Tested bool   `json:"tested" doc:"false: choosing it is answered with a refusal"`
}

type liquidChoice struct {
	Name   string     `json:"name"`
	Liquid liquidBody `json:"liquid"`
}

type productChoice struct {
	ID         string         `json:"id"`
	Name       string         `json:"name"`
	Group      string         `json:"group"`
	Tested     bool           `json:"tested"`
	Kinds      []choice       `json:"kinds" nullable:"false"`
	Kind       string         `json:"kind" doc:"the kind its rows were tested with; empty where there is no single one"`
	Forms      []choice       `json:"forms" nullable:"false"`
	Packs      []choice       `json:"packs" nullable:"false"`
	Liquids    []liquidChoice `json:"liquids" nullable:"false" doc:"none where it brings its own"`
	Thickeners []choice       `json:"thickeners" nullable:"false"`
	Blends     []choice       `json:"blends" nullable:"false" doc:"the fruits it may be blended with; none where it takes none"`
	Cores      bool           `json:"cores" doc:"its cores or peelings give a syrup flavour"`
	Juice      bool           `json:"juice" doc:"it is drunk, and may be diluted in the glass"`
	NeedsAcid  bool           `json:"needsAcid" doc:"only safe with acid in the jar"`
}

type jarChoice struct {
	JarBody
	System string `json:"system" enum:"us,metric"`
}

type catalogueBody struct {
	Products   []productChoice `json:"products" nullable:"false"`
	Jars       []jarChoice     `json:"jars" nullable:"false"`
	Methods    []choice        `json:"methods" nullable:"false"`
	Sweeteners []choice        `json:"sweeteners" nullable:"false"`
	Dilutions  []choice        `json:"dilutions" nullable:"false" doc:"ways to drink juice; the id is the parts of water to one of juice"`
	Acids      []choice        `json:"acids" nullable:"false"`
	Fruits     []choice        `json:"fruits" nullable:"false"`
	JarStates  []choice        `json:"jarStates" nullable:"false"`
	Extras     []choice        `json:"extras" nullable:"false"`
}

type catalogueOutput struct{ Body catalogueBody }

func registerCatalogue(api huma.API) {
	body := catalogue()
	huma.Register(api, huma.Operation{
		OperationID: "catalogue", Method: "GET", Path: "/api/catalogue", Summary: "What the sentence of a batch may say",
	}, func(context.Context, *struct{}) (*catalogueOutput, error) { return &catalogueOutput{body}, nil })
}

func catalogue() catalogueBody {
	c := catalogueBody{}
	for _, p := range guide.Products() {
		c.Products = append(c.Products, productChoiceOf(p))
	}
	for _, j := range jar.All() {
		c.Jars = append(c.Jars, jarChoice{jarAnswer(j), string(j.System)})
	}
	for _, m := range guide.Methods() {
		c.Methods = append(c.Methods, choice{string(m), guide.MethodName(m), m == guide.BoilingWater || m == guide.Steam})
	}
	for _, s := range syrup.Sweeteners() {
		c.Sweeteners = append(c.Sweeteners, choice{string(s), batch.SweetenerName(s), true})
	}
	for _, parts := range []float64{0, 0.5, 1, 2, 3, 4} {
		c.Dilutions = append(c.Dilutions, choice{fmt.Sprint(parts), batch.DilutionName(parts), true})
	}
	for _, a := range guide.AcidStates() {
		c.Acids = append(c.Acids, choice{string(a), guide.AcidName(a), a == guide.AcidAsDemanded})
	}
	for _, f := range guide.FruitStates() {
		c.Fruits = append(c.Fruits, choice{string(f), guide.FruitName(f), f != guide.FruitSpoilt})
	}
	for _, j := range guide.JarStates() {
		c.JarStates = append(c.JarStates, choice{string(j), guide.JarStateName(j), j == guide.JarSound})
	}
	for _, e := range guide.AllExtras() {
		c.Extras = append(c.Extras, choice{e.ID, e.Name, e.Free})
	}
	return c
}

// otherForms are asked for in kitchens, whatever was tested.
var otherForms = []guide.Form{"peel-on", "crushed", "mashed"}

func productChoiceOf(p guide.ProductInfo) productChoice {
	b := productChoice{
		ID: string(p.ID), Name: p.Name, Group: string(p.Group), Tested: p.Tested(), Kind: string(p.Kind),
		Kinds: []choice{}, Forms: []choice{}, Packs: []choice{}, Liquids: []liquidChoice{}, Thickeners: []choice{},
		NeedsAcid: p.DemandsAcid(), Blends: []choice{}, Cores: batch.MayTakeCores(p.ID), Juice: p.ID == "apple-juice" || p.ID == "grape-juice",
	}
	for _, k := range p.Kinds {
		b.Kinds = append(b.Kinds, choice{string(k), guide.KindName(k), !guide.KindRefused(p.ID, k)})
	}
	if p.Group == guide.Fruit {
		for _, f := range append(slices.Clone(p.Forms), otherForms...) {
			b.Forms = append(b.Forms, choice{string(f), guide.FormName(f), slices.Contains(p.Forms, f)})
		}
	}
	if p.ID == "fruit-puree" || p.ID == "applesauce" {
		puree, _ := guide.FindProduct("fruit-puree")
		for _, k := range puree.Kinds {
			b.Blends = append(b.Blends, choice{string(k), guide.KindName(k), !guide.KindRefused(puree.ID, k)})
		}
	}
	for _, pack := range guide.Packs() {
		tested := slices.ContainsFunc(guide.Rows(), func(r guide.Row) bool { return r.Product == p.ID && r.Pack == pack })
		b.Packs = append(b.Packs, choice{string(pack), guide.PackName(pack), tested})
	}
	for _, l := range batch.PackedIn(p.ID) {
		b.Liquids = append(b.Liquids, liquidChoice{batch.LiquidName(l), liquidOf(l)})
	}
	if p.Group == guide.Fillings {
		for _, t := range guide.Thickeners() {
			b.Thickeners = append(b.Thickeners, choice{string(t), guide.ThickenerName(t), t == guide.CookTypeStarch || t == guide.NoThickener})
		}
	}
	return b
}
