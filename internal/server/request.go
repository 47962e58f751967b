package server

import (
	"mellisca/core/batch"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/syrup"
)

// liquidBody is what the fruit is packed in.
type liquidBody struct {
	Kind       string  `json:"kind,omitempty" doc:"syrup, brix, ratio, water, apple-juice, white-grape-juice, own-juice; the product's usual one where left out"`
	Strength   string  `json:"strength,omitempty"`
	Brix       float64 `json:"brix,omitempty"`
	WaterParts float64 `json:"waterParts,omitempty"`
	SugarParts float64 `json:"sugarParts,omitempty"`
	Sweetener  string  `json:"sweetener,omitempty" doc:"sugar, honey-half, honey"`
}

// requestBody is the sentence a cook edits.
type requestBody struct {
	Product   string     `json:"product" maxLength:"200"`
	Kind      string     `json:"kind,omitempty" maxLength:"60"`
	Form      string     `json:"form,omitempty" maxLength:"60"`
	Pack      string     `json:"pack" maxLength:"60"`
	Jar       string     `json:"jar" maxLength:"60"`
	Method    string     `json:"method,omitempty" maxLength:"60"`
	Thickener string     `json:"thickener,omitempty" maxLength:"60"`
	Altitude  string     `json:"altitude,omitempty" maxLength:"200" doc:"as typed; the kitchen's where left out"`
	Amount    string     `json:"amount" maxLength:"200" doc:"as typed: 12 lb, half a bushel, 7 jars"`
	Liquid    liquidBody `json:"liquid,omitempty"`
}

func (b requestBody) request() batch.Request {
	return batch.Request{
		Product: b.Product, Kind: guide.Kind(b.Kind), Form: guide.Form(b.Form), Pack: guide.Pack(b.Pack), Jar: jar.ID(b.Jar),
		Method: guide.Method(b.Method), Thickener: guide.Thickener(b.Thickener), Altitude: b.Altitude, Amount: b.Amount,
		Liquid: batch.Liquid{
			Kind: batch.LiquidKind(b.Liquid.Kind), Strength: syrup.Strength(b.Liquid.Strength), Brix: b.Liquid.Brix,
			WaterParts: b.Liquid.WaterParts, SugarParts: b.Liquid.SugarParts, Sweetener: syrup.Sweetener(b.Liquid.Sweetener),
		},
	}
}

func requestOf(r batch.Request) requestBody {
	return requestBody{
		Product: r.Product, Kind: string(r.Kind), Form: string(r.Form), Pack: string(r.Pack), Jar: string(r.Jar), Method: string(r.Method),
		Thickener: string(r.Thickener), Altitude: r.Altitude, Amount: r.Amount, Liquid: liquidOf(r.Liquid),
	}
}

func liquidOf(l batch.Liquid) liquidBody {
	return liquidBody{string(l.Kind), string(l.Strength), l.Brix, l.WaterParts, l.SugarParts, string(l.Sweetener)}
}
