package server

import (
	"mellisca/core/batch"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/syrup"
)

// liquidBody is what the fruit is packed in.
type liquidBody struct {
	Kind       string  `json:"kind" required:"false" doc:"syrup, brix, ratio, water, apple-juice, white-grape-juice, own-juice; the product's usual one where left out"`
	Strength   string  `json:"strength" required:"false"`
	Brix       float64 `json:"brix" required:"false"`
	WaterParts float64 `json:"waterParts" required:"false"`
	SugarParts float64 `json:"sugarParts" required:"false"`
	Sweetener  string  `json:"sweetener" required:"false" doc:"sugar, honey-half, honey"`
}

// requestBody is the sentence a cook edits.
type requestBody struct {
	Product   string     `json:"product" maxLength:"200"`
	Source    string     `json:"source" required:"false" maxLength:"40" doc:"the id of an own source, which then says product, kind, form and pack"`
	Kind      string     `json:"kind" required:"false" maxLength:"60"`
	Form      string     `json:"form" required:"false" maxLength:"60"`
	Pack      string     `json:"pack" maxLength:"60"`
	Jar       string     `json:"jar" maxLength:"60"`
	Method    string     `json:"method" required:"false" maxLength:"60"`
	Thickener string     `json:"thickener" required:"false" maxLength:"60"`
	Altitude  string     `json:"altitude" required:"false" maxLength:"200" doc:"as typed; the kitchen's where left out"`
	Amount    string     `json:"amount" maxLength:"200" doc:"as typed: 12 lb, half a bushel, 7 jars"`
	Liquid    liquidBody `json:"liquid" required:"false"`
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
	return batch.Request{
		Conditions: guide.Conditions{Acid: guide.AcidState(b.Acid), Fruit: guide.FruitState(b.Fruit), Jars: guide.JarState(b.Jars), Extras: extras},
		Product:    b.Product, Source: b.Source, Kind: guide.Kind(b.Kind), Form: guide.Form(b.Form), Pack: guide.Pack(b.Pack), Jar: jar.ID(b.Jar),
		Method: guide.Method(b.Method), Thickener: guide.Thickener(b.Thickener), Altitude: b.Altitude, Amount: b.Amount,
		Liquid: batch.Liquid{
			Kind: batch.LiquidKind(b.Liquid.Kind), Strength: syrup.Strength(b.Liquid.Strength), Brix: b.Liquid.Brix,
			WaterParts: b.Liquid.WaterParts, SugarParts: b.Liquid.SugarParts, Sweetener: syrup.Sweetener(b.Liquid.Sweetener),
		},
	}, nil
}

func requestOf(r batch.Request) requestBody {
	return requestBody{
		Product: r.Product, Source: r.Source, Kind: string(r.Kind), Form: string(r.Form), Pack: string(r.Pack), Jar: string(r.Jar), Method: string(r.Method),
		Thickener: string(r.Thickener), Altitude: r.Altitude, Amount: r.Amount, Liquid: liquidOf(r.Liquid),
		Acid: string(r.Acid), Fruit: string(r.Conditions.Fruit), Jars: string(r.Jars), Extras: r.Extras.String(),
	}
}

func liquidOf(l batch.Liquid) liquidBody {
	return liquidBody{string(l.Kind), string(l.Strength), l.Brix, l.WaterParts, l.SugarParts, string(l.Sweetener)}
}
