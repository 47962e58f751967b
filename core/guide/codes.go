package guide

// Code names a reason for a refusal. The zero value is no refusal. A smaller
// code is a worse reason.
type Code uint8

// The refusals, worst first: several are told in this order.
const (
	SpoiltFruit Code = iota + 1 // not for jars at all
	LowAcidFruit
	WhiteFlesh
	Elderberry
	PressureNeeded
	OtherGuide
	NotAProcess
	AcidMissing
	ThickenerInJar
	DairyEggFat
	OneTripJar
	JarTooLarge
	SteamJar
	SteamTooLong
	FormNotTested
	PackNotTested
	StrawberryWhole
	JuiceNoRow
	ProductNotTested
)

var codeNames = [...]string{
	"", "spoilt-fruit", "low-acid-fruit", "white-flesh", "elderberry", "pressure-needed", "other-guide", "not-a-process",
	"acid-missing", "thickener", "dairy-egg-fat", "one-trip-jar", "jar-too-large", "steam-jar", "steam-too-long", "form-not-tested", "pack-not-tested", "strawberry-whole",
	"juice-no-row", "product-not-tested",
}

// String is the code as it is sent: "pack-not-tested".
func (c Code) String() string { return codeNames[c] }

// Codes lists every refusal, worst first.
func Codes() []Code { return (codes(1)<<len(codeNames) - 2).each() }

// codes is a set of refusals: bit c stands for code c.
type codes uint32

func bit(c Code) codes {
	if c == 0 {
		return 0
	}
	return 1 << c
}

// each lists the refusals in s, worst first.
func (s codes) each() []Code {
	var cs []Code
	for c := SpoiltFruit; c <= ProductNotTested; c++ {
		if s&bit(c) != 0 {
			cs = append(cs, c)
		}
	}
	return cs
}
