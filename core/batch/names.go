package batch

import (
	"fmt"
	"strconv"

	"mellisca/core/syrup"
)

// LiquidName is a liquid in a sentence: "light syrup", "4 water : 1 sugar".
func LiquidName(l Liquid) string {
	switch l.Kind {
	case Syrup:
		if n, ok := syrup.FindStrength(l.Strength); ok {
			return n.Name
		}
	case Brix:
		return fmt.Sprintf("syrup of %s °Brix", plain(l.Brix))
	case Ratio:
		return fmt.Sprintf("syrup of %s water to %s sugar", plain(l.WaterParts), plain(l.SugarParts))
	case Gallon:
		return fmt.Sprintf("syrup of %s cups of sugar a gallon", plain(l.GallonCups))
	case InJar:
		return l.Sugar + " of sugar in each jar, then hot water"
	case Unsweetened:
		return "no sugar"
	case PerQuart:
		return l.Sugar + " of sugar a quart"
	case Water:
		return "plain water"
	case AppleJuice:
		return "apple juice"
	case WhiteGrapeJuice:
		return "white grape juice"
	case OwnJuice:
		return "its own juice"
	}
	return string(l.Kind)
}

// SweetenerName is a sweetener in a sentence: "half honey".
func SweetenerName(s syrup.Sweetener) string {
	switch s {
	case syrup.Honey:
		return "honey"
	case syrup.HoneyHalf:
		return "half honey, half sugar"
	case syrup.CornHalf:
		return "half light corn syrup, half sugar"
	case syrup.NoSugar:
		return "a sweetener without sugar"
	}
	return "sugar"
}

// DilutionName is how juice is drunk, after "with": "2 parts of water".
func DilutionName(parts float64) string {
	switch parts {
	case 0:
		return "nothing added"
	case 0.5:
		return "half as much water"
	case 1:
		return "as much water"
	}
	return plain(parts) + " parts of water"
}

func plain(x float64) string { return strconv.FormatFloat(x, 'f', -1, 64) }
