package shelf

import (
	"cmp"
	"slices"
)

// Criterion is something that the judges of a show look at.
type Criterion string

// Criteria lists them in the order in which a jar is looked at.
func Criteria() []Criterion {
	return []Criterion{"headspace", "liquid", "cut", "clear", "float", "glass"}
}

// CriterionText says a criterion in words.
func CriterionText(c Criterion) string {
	return map[Criterion]string{
		"headspace": "Right headspace", "liquid": "Liquid up to the headspace", "cut": "Uniform cut", "clear": "Clear liquid", "float": "Nothing floats", "glass": "Clean glass",
	}[c]
}

// MostMarks is the most marks that a jar gets for a criterion.
const MostMarks = 10

// Suggested gives the marks that the record of the seal check leads to: what it tells
// nothing of has none. The cook's own marks go before them.
func Suggested(f Finding) map[Criterion]int {
	marks := map[Criterion]int{}
	if f.Seal == "" {
		return marks
	}
	marks["liquid"] = MostMarks - int(f.LiquidLost*MostMarks+0.5)
	marks["float"], marks["clear"] = MostMarks, MostMarks
	if f.Float {
		marks["float"] = 4
	}
	if f.Cloudy {
		marks["clear"] = 3
	}
	return marks
}

// Entry is a jar on the bench.
type Entry struct {
	Jar   string
	Marks map[Criterion]int
	Place int // that the cook gave it, from 1; 0: by its marks
}

// Sum is the marks of a jar together.
func (e Entry) Sum() (sum int) {
	for _, c := range Criteria() {
		sum += e.Marks[c]
	}
	return sum
}

// Rank orders a bench: those that the cook placed at their place, the others by their
// marks, the most first; like ones by their names.
func Rank(all []Entry) []Entry {
	placed := map[int][]Entry{}
	var rest []Entry
	for _, e := range all {
		if e.Place > 0 {
			placed[e.Place] = append(placed[e.Place], e)
		} else {
			rest = append(rest, e)
		}
	}
	byMarks := func(a, b Entry) int { return cmp.Or(cmp.Compare(b.Sum(), a.Sum()), cmp.Compare(a.Jar, b.Jar)) }
	slices.SortFunc(rest, byMarks)
	var out []Entry
	for len(out) < len(all) {
		at := len(out) + 1
		if here := placed[at]; len(here) > 0 {
			slices.SortFunc(here, byMarks)
			out = append(out, here...)
			delete(placed, at)
			continue
		}
		if len(rest) > 0 {
			out, rest = append(out, rest[0]), rest[1:]
			continue
		}
		first := slices.Min(keysOf(placed)) // places past the end of the bench
		out = append(out, placed[first]...)
		delete(placed, first)
	}
	return out
}

func keysOf(m map[int][]Entry) (keys []int) {
	for k := range m {
		keys = append(keys, k)
	}
	return keys
}
