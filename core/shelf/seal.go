package shelf

// Seal is what the seal check found of a jar.
type Seal string

// What a seal check finds. Empty: not looked at yet.
const (
	Sealed    Seal = "sealed"
	Unsealed  Seal = "unsealed"
	FalseSeal Seal = "false-seal" // it held until the band came off
	Broken    Seal = "broken"
)

// Seals lists them.
func Seals() []Seal { return []Seal{Sealed, Unsealed, FalseSeal, Broken} }

// Finding is what was found of a jar.
type Finding struct {
	Seal       Seal
	LiquidLost float64 // the part of its liquid that is gone, 0 to 1
	Float      bool
	Cloudy     bool
}

// Jar is what is known of a jar when it is looked at.
type Jar struct {
	SinceOutMs int64  // since it was lifted out, by the longer reading; where that was not told, since its time ended
	Short      bool   // its process was cut short
	Broken     bool   // in the canner
	Again      bool   // it was processed again already
	CalledBack string // why its load, its batch or its fruit was called back; empty: it was not
}

const (
	minute = int64(60_000)
	hour   = 60 * minute
	day    = 24 * hour
)

// When the seal check is asked for and urged, and how long a jar that did not seal has.
// Source: Complete Guide to Home Canning, Guide 1 (2015).
const (
	AskedMs = 12 * hour
	UrgedMs = 18 * hour
	LimitMs = day
)

// FateKind is what a jar comes to.
type FateKind string

// What a jar comes to.
const (
	Wait        FateKind = "wait"      // too early to tell
	Keep        FateKind = "keep"      // on the shelf
	UseFirst    FateKind = "use-first" // on the shelf, to the front
	Refrigerate FateKind = "refrigerate"
	Choose      FateKind = "choose" // one of Choices, within LeftMs
	Discard     FateKind = "discard"
)

// Choice is what can still be done with a jar that did not seal.
type Choice string

// The choices.
const (
	ToRefrigerator Choice = "refrigerate"
	ToFreezer      Choice = "freeze"
	ProcessAgain   Choice = "process-again" // once, and in full
)

// Days that jars keep in the refrigerator: one that did not seal, and one that was cut
// short or lost most of its liquid.
const (
	UnsealedDays = 5
	ShortDays    = 3
)

// Fate is what to do with a jar.
type Fate struct {
	Kind    FateKind
	Choices []Choice
	Days    int   // in the refrigerator, at most
	LeftMs  int64 // to choose in
	Why     string
}

// Decide says what to do with a jar by what was found of it, the strictest rule first.
// Source: Complete Guide to Home Canning, Guide 1 (2015).
func Decide(j Jar, f Finding) Fate {
	left := max(0, LimitMs-j.SinceOutMs)
	switch {
	case j.Broken || f.Seal == Broken:
		return Fate{Kind: Discard, Why: "Broken glass: throw its contents away."}
	case j.CalledBack != "":
		return Fate{Kind: Discard, Why: "It was called back: " + j.CalledBack + " Do not taste it, throw it away."}
	case j.Short && left == 0:
		return Fate{Kind: Discard, Why: "It was not processed in full and has stood for more than 24 hours: do not taste it, throw it away."}
	case j.Short:
		c := Fate{Kind: Choose, Choices: []Choice{ProcessAgain, ToRefrigerator}, Days: ShortDays, LeftMs: left, Why: "It was not processed in full, whatever its seal says: process it again in full, or keep it in the refrigerator for 3 days."}
		if j.Again {
			c.Choices, c.Why = []Choice{ToRefrigerator}, "It was not processed in full the second time either: in the refrigerator for 3 days."
		}
		return c
	case f.Seal == "" && j.SinceOutMs < AskedMs:
		return Fate{Kind: Wait, LeftMs: AskedMs - j.SinceOutMs, Why: "Leave it untouched for 12 hours. A lid that is pressed too early may seal falsely."}
	case f.Seal == "":
		return Fate{Kind: Wait, LeftMs: left, Why: "Press the middle of the lid, tap it, look at it at eye level, take the band off and lift the jar by its lid."}
	case f.Seal != Sealed && left == 0:
		return Fate{Kind: Discard, Why: "It did not seal and has stood for more than 24 hours: do not taste it, throw it away."}
	case f.Seal != Sealed:
		c := Fate{Kind: Choose, Choices: []Choice{ToRefrigerator, ToFreezer, ProcessAgain}, Days: UnsealedDays, LeftMs: left, Why: "It did not seal: refrigerator for 5 days, freezer with 1 1/2 in of headspace, or once more the full process with a new lid."}
		if j.Again {
			c.Choices, c.Why = []Choice{ToRefrigerator, ToFreezer}, "It did not seal the second time either: refrigerator for 5 days, or freezer."
		}
		return c
	case f.LiquidLost > 0.5:
		return Fate{Kind: Refrigerate, Days: ShortDays, Why: "More than half of its liquid is gone: in the refrigerator for 3 days. Never open it to top it up."}
	case f.LiquidLost > 0:
		return Fate{Kind: UseFirst, Why: "It lost some liquid and is sealed: safe, but what stands dry darkens. Eat it first, and never open it to top it up."}
	}
	return Fate{Kind: Keep, Why: "Sealed. Band off, rim washed, contents and date on it, and into the cool and dark."}
}
