package day

// Default is how long a step takes where the cook's own record does not say: our own
// guesses, to be shown as a table and overruled.
type Default struct {
	ID      string
	Name    string
	Minutes int
}

// The defaults by what they are of.
const (
	SyrupMinutes   = "syrup"
	SyrupHands     = "syrup-hands"
	JarsMinutes    = "jars"
	JarsHands      = "jars-hands"
	JarMinutes     = "jar"      // to fill and close one
	InMinutes      = "in"       // jars into the canner
	OutMinutes     = "out"      // and out
	TopUpMinutes   = "top-up"   // between loads, of a hot pack
	TemperMinutes  = "temper"   // between loads, of a raw pack, which may not go into boiling water
	FruitMinutes   = "fruit"    // a jar's worth made ready
	DipMinutes     = "dip"      // a jar's worth dipped and peeled
	CookMinutes    = "cook"     // a hot pack brought to the boil
	ColdMinutes    = "cold"     // a canner heated from the tap
	ToBoilMinutes  = "to-boil"  // from jars in to the boil
	JuicerMinutes  = "juicer"   // juice steamed out
	JuicerVisit    = "juicer-v" // water into its base
	JuicerInterval = "juicer-i" // and how often
	PressMinutes   = "press"    // fruit crushed, heated and strained
	SlowMinutes    = "slow"     // a butter cooked down
	SlowVisit      = "slow-v"   // stirred to the bottom
	SlowInterval   = "slow-i"   // and how often
)

// Defaults lists them. The caller owns the slice.
func Defaults() []Default {
	return []Default{
		{FruitMinutes, "Fruit for a jar made ready", 6}, {DipMinutes, "Fruit for a jar dipped and peeled", 3}, {CookMinutes, "A hot pack brought to the boil", 10},
		{SyrupMinutes, "Syrup or juice brought to the boil", 20}, {SyrupHands, "of that, hands on", 5}, {JarsMinutes, "Jars washed and hot", 25}, {JarsHands, "of that, hands on", 10},
		{JarMinutes, "A jar filled and closed", 2}, {InMinutes, "Jars into the canner", 3}, {ColdMinutes, "A canner heated from the tap", 40}, {ToBoilMinutes, "From jars in to the boil", 25},
		{OutMinutes, "Jars lifted out", 4}, {TopUpMinutes, "Water topped up between loads", 5}, {TemperMinutes, "Water tempered for a raw pack", 15},
		{JuicerMinutes, "Juice steamed out", 90}, {JuicerVisit, "Water into the juicer's base", 2}, {JuicerInterval, "and how often", 45},
		{PressMinutes, "Fruit crushed, heated and strained", 60}, {SlowMinutes, "A butter cooked down", 240}, {SlowVisit, "A slow pot stirred", 1}, {SlowInterval, "and how often", 60},
	}
}

// MostMinutes is the longest that one of them may be said to be: a day.
const MostMinutes = 24 * 60

// Minutes are those of the cook where they are known, else the defaults.
type Minutes map[string]int

// Of is how long something takes.
func (m Minutes) Of(id string) int {
	if n, ok := m[id]; ok {
		return n
	}
	for _, d := range Defaults() {
		if d.ID == id {
			return d.Minutes
		}
	}
	return 0
}
