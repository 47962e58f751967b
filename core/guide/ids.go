package guide

// Product is the exact id of something to can, such as "peaches".
type Product string

// Kind is the exact id of a kind of a product's fruit, such as "white-flesh" or
// "blueberry". Empty means that it was not said.
type Kind string

// Form is how the fruit is cut, such as "halves". Empty means the form that the
// product's row was tested with.
type Form string

// Pack says whether food goes into the jar raw or hot.
type Pack string

// The two packs.
const (
	Raw Pack = "raw"
	Hot Pack = "hot"
)

// Method is what is done to the filled jars. Empty means boiling water.
type Method string

// The two tested methods, and the one that fruit does not need. The others are
// in refusedMethods.
const (
	BoilingWater Method = "boiling-water"
	Steam        Method = "steam"
	Pressure     Method = "pressure"
)

// Thickener is what thickens the food in the jar. Empty means the product's
// own: cook-type starch for the four fillings, none for all else.
type Thickener string

// No thickener, and the one that was tested in the fillings.
const (
	NoThickener    Thickener = "none"
	CookTypeStarch Thickener = "cook-type-starch"
)

var packs = []Pack{Raw, Hot}

var forms = []Form{
	"halves", "quarters", "slices", "chunks", "whole", "pitted", "rings", "sections", "pieces", "sauce",
	"peel-on", "crushed", "shredded", "mashed",
}

var testedMethods = []Method{BoilingWater, Steam}

var refusedMethods = []Method{
	"open-kettle", "oven", "dishwasher", "microwave", "slow-cooker", "multicooker", "sun", "inversion", "wax",
}

var thickeners = []Thickener{
	NoThickener, CookTypeStarch, "flour", "cornstarch", "tapioca", "arrowroot", "rice", "pasta", "oats", "bread",
	"gelatin", "instant-starch",
}

// Packs lists both packs. The caller owns this slice and those below.
func Packs() []Pack { return clone(packs) }

// Forms lists every form that is known, tested for some product or for none.
func Forms() []Form { return clone(forms) }

// Methods lists the tested methods, then the refused ones.
func Methods() []Method {
	return append(append(clone(testedMethods), refusedMethods...), Pressure)
}

// Thickeners lists every thickener that is known.
func Thickeners() []Thickener { return clone(thickeners) }

func clone[T any](s []T) []T { return append([]T(nil), s...) }
