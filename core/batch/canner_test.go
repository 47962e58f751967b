package batch

import (
	"strings"
	"testing"

	"mellisca/core/canner"
	"mellisca/core/guide"
	"mellisca/core/measure"
)

func cm(x float64) measure.Length { return measure.Centimetres(x) }

// withCanners is the kitchen of Corvane with three canners of its own.
func withCanners(t testing.TB) Kitchen {
	k := corvane(t)
	gas := &canner.Burner{Name: "front", Watts: 3500, Kind: canner.Gas}
	k.Canners = []Canner{
		{ID: "kettle", Pot: canner.Pot{Name: "the big kettle", Kind: canner.BoilingWater, Diameter: cm(42), Depth: cm(36), Rack: cm(2), Steel: 3400 * measure.Gram}, Burner: gas, Across: cm(25), Outdoors: true},
		{ID: "fish", Pot: canner.Pot{Name: "the fish kettle", Kind: canner.BoilingWater, Length: cm(55), Width: cm(20), Depth: cm(22), Rack: cm(1.5)}, GlassTop: true},
		{ID: "steamer", Pot: canner.Pot{Name: "the steamer", Kind: canner.Steam, Diameter: cm(32), Depth: cm(24)}},
	}
	return k
}

func TestPlanInOwnCanner(t *testing.T) {
	r := peaches()
	r.Amount = "20 jars"
	p := makeOK(t, r, withCanners(t))
	if p.Canner.ID != "kettle" || p.Capacity != 12 || len(p.Loads) != 2 || p.Water == nil || p.Water.Heating == nil || p.Water.Heating.ToBoil <= 0 || p.Water.FillAt.Text(measure.US) != "180 °F" {
		t.Fatalf("%+v %+v", p.Canner, p.Water)
	}
	codes := ""
	for _, c := range p.Cautions {
		codes += c.Code + " "
	}
	if !strings.Contains(codes, "narrow-burner") || !strings.Contains(codes, "outdoors") || strings.Contains(codes, "glass-top") {
		t.Error(codes)
	}
	if text := explained(t, p, "loads"); !strings.Contains(text, "1400 W reach the pot (gas)") || !strings.Contains(text, "not corrected by runs of your own") {
		t.Error(text)
	}
	k := withCanners(t)
	k.Canners[0].Correct = 1.5
	if slow := makeOK(t, r, k); slow.Water.Heating.ToBoil <= p.Water.Heating.ToBoil*1.49 || !strings.Contains(explained(t, slow, "loads"), "1.50 times as long") {
		t.Errorf("%+v", slow.Water.Heating)
	}
	r.Canner = "fish"
	if p = makeOK(t, r, k); p.PotNote != "The the fish kettle is too shallow by 4.7 cm for quarts. Take a deeper pot or a smaller jar." && !strings.Contains(p.PotNote, "too shallow by") || p.Water != nil {
		t.Errorf("%q", p.PotNote)
	}
	if strings.Contains(p.PotNote, "The the") {
		t.Error(p.PotNote)
	}
	r.Jar = "pint"
	if p = makeOK(t, r, k); p.Capacity != 13 || p.PotNote != "" || p.Water.Heating != nil || !strings.Contains(explained(t, p, "loads"), "pushing the jars apart") {
		t.Errorf("%d, %q", p.Capacity, p.PotNote)
	}
	k.Canners[1].Pot.Width = cm(7)
	k.Canners[1].Pot.Depth = cm(30)
	if p = makeOK(t, r, k); !strings.HasSuffix(p.PotNote, "is too narrow for pints. Take a wider pot or a smaller jar.") || p.Loads != nil {
		t.Errorf("%q, %v", p.PotNote, p.Loads)
	}
	k = withCanners(t)
	// In steam the steamer, without water over the jars; a canner that is gone is the first again.
	r.Canner, r.Method = "", guide.Steam
	if p = makeOK(t, r, k); p.Canner.ID != "steamer" || p.Water != nil || len(p.Loads) == 0 {
		t.Errorf("%+v", p.Canner)
	}
	r.Canner, r.Method = "gone", ""
	if p = makeOK(t, r, k); p.Canner.ID != "kettle" {
		t.Errorf("%+v", p.Canner)
	}
	if p := makeOK(t, peaches(), corvane(t)); p.Canner.ID != "" || p.Pot.Diameter != canner.Default.Diameter || p.Water == nil || p.Water.Heating != nil {
		t.Errorf("%+v %+v", p.Canner, p.Water)
	}
}

// TestNothingForWaterInASteamer plans a batch for boiling water in a pot for boiling water,
// whatever canner it names.
func TestNothingForWaterInASteamer(t *testing.T) {
	here, _ := measure.ParseAltitude("3,480 ft")
	steamer := Canner{ID: "steamer", Pot: canner.Default}
	steamer.Pot.Kind, steamer.Pot.Name = canner.Steam, "the steamer"
	kettle := Canner{ID: "kettle", Pot: canner.Default}
	kettle.Pot.Kind = canner.BoilingWater
	for _, all := range [][]Canner{{steamer, kettle}, {steamer}} {
		k := Kitchen{Altitude: &here, Units: measure.US, Canners: all}
		for method, named := range map[guide.Method]string{guide.BoilingWater: "steamer", guide.Steam: "kettle"} {
			r := First("peaches", k)
			r.Method, r.Canner = method, named
			p, err := Make(r, k)
			if err != nil {
				t.Fatal(err)
			}
			if inSteam := p.Pot.Kind == canner.Steam; inSteam != (method == guide.Steam) {
				t.Errorf("%s is planned in %s", method, p.Canner.TheName())
			}
		}
	}
}
