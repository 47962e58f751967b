package fruit

import (
	"math"

	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Filled is how many jars of one kind were filled.
type Filled struct {
	Jar   jar.Jar
	Count int
}

// Ratio is how many jars a batch gave over what the guide leads one to expect of so
// much fruit; ok is false where nothing is published for the product.
func Ratio(product string, fruit measure.Mass, filled []Filled) (ratio float64, ok bool) {
	if fruit <= 0 {
		return 0, false
	}
	expected := measure.Mass(0)
	for _, f := range filled {
		need, ok := PerJar(product, f.Jar)
		if !ok {
			return 0, false
		}
		expected += need.Likely * measure.Mass(f.Count)
	}
	return float64(expected) / float64(fruit), expected > 0
}

// Learned is a yield that goes by the cook's own batches.
type Learned struct {
	Yield
	Batches int // it was learned from; 0: the guide's range alone
}

// JarsLearned is JarsFrom corrected by what own batches gave, each as its Ratio:
// the guide's range is where the belief starts, and the ratios move it.
func JarsLearned(product string, m measure.Mass, j jar.Jar, ratios []float64) (Learned, bool) {
	y, ok := JarsFrom(product, m, j)
	if !ok || len(ratios) == 0 {
		return Learned{Yield: y}, ok
	}
	need, _ := PerJar(product, j)
	start := NewBelief(float64(need.Likely)/float64(need.High), 1, float64(need.Likely)/float64(need.Low))
	low, likely, high := start.Learn(ratios).Range()
	jars := float64(m) / float64(need.Likely)
	l := Learned{Batches: len(ratios)}
	l.Low, l.High = int(math.Round(jars*low)), int(math.Round(jars*high))
	l.Likely = min(max(int(math.Round(jars*likely)), l.Low), l.High)
	return l, true
}

// FruitLearned is how much fruit a number of jars takes, corrected by what own
// batches gave.
func FruitLearned(product string, jars int, j jar.Jar, ratios []float64) (Need, bool) {
	n, ok := FruitFor(product, jars, j)
	if !ok || len(ratios) == 0 {
		return n, ok
	}
	start := NewBelief(float64(n.Likely)/float64(n.High), 1, float64(n.Likely)/float64(n.Low))
	low, likely, high := start.Learn(ratios).Range()
	by := func(ratio float64) measure.Mass { return measure.Mass(float64(n.Likely) / ratio) }
	return Need{Low: by(high), Likely: by(likely), High: by(low)}, true
}

// LiquidShare is the part of a jar that its liquid takes, by what own batches used:
// the published loads lie between 0.36 and 0.40.
func LiquidShare(seen []float64) (low, likely, high float64) {
	return NewBelief(0.36, 0.38, 0.40).Learn(seen).Range()
}

// MinutesPerPound is how long a pound of fruit takes to get ready, by what own
// batches took; before any it is our own guess, from one to four minutes.
func MinutesPerPound(seen []float64) (low, likely, high float64) {
	return NewBelief(1, 2, 4).Learn(seen).Range()
}

// HeatingFactor is how much longer the cook's stove takes to the boil than worked
// out, by what own loads took.
func HeatingFactor(seen []float64) float64 {
	_, likely, _ := NewBelief(0.7, 1, 1.4).Learn(seen).Range()
	return likely
}
