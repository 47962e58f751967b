package server

import (
	"mellisca/core/batch"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/syrup"
)

// liquidBody is what the fruit is packed in.
type liquidBody struct {
	Kind       string  `json:"kind" required:"false" doc:"syrup, brix, ratio, gallon, in-jar, water, apple-juice, white-grape-juice, own-juice; of sauces unsweetened or per-quart; the product's usual one where left out"`
	Strength   string  `json:"strength" required:"false"`
	Brix       float64 `json:"brix" required:"false"`
	WaterParts float64 `json:"waterParts" required:"false"`
	SugarParts float64 `json:"sugarParts" required:"false"`
	GallonCups float64 `json:"gallonCups" required:"false" doc:"cups of sugar to a gallon of water"`
	Sugar      string  `json:"sugar" required:"false" maxLength:"200" doc:"as typed, in each jar or quart: 1/4 cup, 50 g"`
	Have       string  `json:"have" required:"false" maxLength:"200" doc:"as typed: how much own juice there is; as much as is needed where left out"`
	Cores      bool    `json:"cores" required:"false" doc:"cores or peelings are simmered in it"`
	Sweetener  string  `json:"sweetener" required:"false" doc:"sugar, honey-half, honey, corn-half, no-sugar"`
}

// requestBody is the sentence a cook edits.
type requestBody struct {
	Product   string     `json:"product" maxLength:"200"`
	Source    string     `json:"source" required:"false" maxLength:"40" doc:"the id of an own source, which then says product, kind, form and pack"`
	Kind      string     `json:"kind" required:"false" maxLength:"60"`
	Blend     string     `json:"blend" required:"false" maxLength:"400" doc:"the other fruits of a sauce or puree, joined by commas"`
	Form      string     `json:"form" required:"false" maxLength:"60"`
	Pack      string     `json:"pack" maxLength:"60"`
	Jar       string     `json:"jar" maxLength:"60"`
	Sizes     string     `json:"sizes" required:"false" maxLength:"200" doc:"the jars, where they are of several sizes: 5 quarts, 3 pints"`
	Tiers     int        `json:"tiers" required:"false" minimum:"0" maximum:"2" doc:"of jars in the canner; one where left out"`
	Varieties string     `json:"varieties" required:"false" maxLength:"400" doc:"that a sauce, filling or juice is blended of, by share: 2 Mill Sweeting, 1 Russet"`
	Method    string     `json:"method" required:"false" maxLength:"60"`
	Thickener string     `json:"thickener" required:"false" maxLength:"60"`
	Altitude  string     `json:"altitude" required:"false" maxLength:"200" doc:"as typed; the kitchen's where left out"`
	Amount    string     `json:"amount" maxLength:"200" doc:"as typed: 12 lb, half a bushel, 7 jars"`
	Liquid    liquidBody `json:"liquid" required:"false"`
	Lots      string     `json:"lots" required:"false" maxLength:"400" doc:"the ids of lots that it takes its fruit from, joined by commas"`
	Canner    string     `json:"canner" required:"false" maxLength:"40" doc:"the id of a canner of the kitchen; its first one for the process where left out"`
	Dilute    float64    `json:"dilute" required:"false" doc:"of juice: parts of water to one of juice, in the glass"`
	Acid      string     `json:"acid" required:"false" maxLength:"60" doc:"how the acid that the product demands was put in"`
	Fruit     string     `json:"fruit" required:"false" maxLength:"60" doc:"how the fruit is on the day"`
	Jars      string     `json:"jars" required:"false" maxLength:"60" doc:"how jars and lids are"`
	Extras    string     `json:"extras" required:"false" maxLength:"400" doc:"what else goes into the jar, joined by commas"`
}

func (b requestBody) request() (batch.Request, error) {
	extras, err := guide.ParseExtras(b.Extras)
	if err != nil {
		return batch.Request{}, batch.Problems{{Field: "extras", Given: b.Extras, Text: err.Error() + "."}}
	}
	blend, err := guide.ParseBlend(b.Blend)
	if err != nil {
		return batch.Request{}, batch.Problems{{Field: "blend", Given: b.Blend, Text: err.Error() + "."}}
	}
	return batch.Request{
		Blend: blend, Dilute: b.Dilute, Canner: b.Canner, Lots: b.Lots, Sizes: b.Sizes, Tiers: b.Tiers, Varieties: b.Varieties,
		Conditions: guide.Conditions{Acid: guide.AcidState(b.Acid), Fruit: guide.FruitState(b.Fruit), Jars: guide.JarState(b.Jars), Extras: extras},
		Product:    b.Product, Source: b.Source, Kind: guide.Kind(b.Kind), Form: guide.Form(b.Form), Pack: guide.Pack(b.Pack), Jar: jar.ID(b.Jar),
		Method: guide.Method(b.Method), Thickener: guide.Thickener(b.Thickener), Altitude: b.Altitude, Amount: b.Amount,
		Liquid: batch.Liquid{
			Kind: batch.LiquidKind(b.Liquid.Kind), Strength: syrup.Strength(b.Liquid.Strength), Brix: b.Liquid.Brix,
			WaterParts: b.Liquid.WaterParts, SugarParts: b.Liquid.SugarParts, GallonCups: b.Liquid.GallonCups,
			Sugar: b.Liquid.Sugar, Have: b.Liquid.Have, Cores: b.Liquid.Cores, Sweetener: syrup.Sweetener(b.Liquid.Sweetener),
		},
	}, nil
}

func requestOf(r batch.Request) requestBody {
	return requestBody{
		Product: r.Product, Source: r.Source, Kind: string(r.Kind), Form: string(r.Form), Pack: string(r.Pack), Jar: string(r.Jar), Method: string(r.Method),
		Blend: r.Blend.String(), Dilute: r.Dilute, Canner: r.Canner, Lots: r.Lots, Sizes: r.Sizes, Tiers: r.Tiers, Varieties: r.Varieties,
		Thickener: string(r.Thickener), Altitude: r.Altitude, Amount: r.Amount, Liquid: liquidOf(r.Liquid),
		Acid: string(r.Acid), Fruit: string(r.Conditions.Fruit), Jars: string(r.Jars), Extras: r.Extras.String(),
	}
}

func liquidOf(l batch.Liquid) liquidBody {
	return liquidBody{string(l.Kind), string(l.Strength), l.Brix, l.WaterParts, l.SugarParts, l.GallonCups, l.Sugar, l.Have, l.Cores, string(l.Sweetener)}
}
