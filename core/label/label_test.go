package label

import (
	"errors"
	"math"
	"math/rand/v2"
	"strings"
	"testing"
	"unicode/utf8"
)

// typewriter is a font whose letters are all as wide.
type typewriter struct{}

func (typewriter) Width(text string, pt float64, bold bool) float64 {
	w := 0.55
	if bold {
		w = 0.6
	}
	return float64(utf8.RuneCountInString(text)) * w * pt * mmPerPt
}

func jarLines(what string) []Line {
	return []Line{
		{Text: what, Pt: 13, Least: 6, Bold: true}, {Text: "hot pack, in light syrup", Pt: 9, Least: 5.5, Rank: 2}, {Text: "Canned 14 November 2026", Pt: 9, Least: 5.5},
		{Text: "Best by November 2027", Pt: 8, Least: 5.5, Rank: 1}, {Text: "Contains mustard", Pt: 8, Least: 5.5, Bold: true}, {Text: "Jar k7qd2x", Pt: 9, Least: 5.5, Bold: true}, {Text: "A note that may be long", Pt: 7, Least: 5.5, Rank: 3},
	}
}

// within says what lies outside of a shape, or over the code.
func (l Laid) within(shape Shape) string {
	for _, s := range l.Sets {
		top, bottom := s.Y-ascent*s.Pt*mmPerPt, s.Y+(leading-ascent)*s.Pt*mmPerPt
		for _, x := range []float64{s.X, s.X + s.W} {
			for _, y := range []float64{top, bottom} {
				out := x < 0.5 || y < 0.5 || x > shape.W-0.5 || y > shape.H-0.5
				if shape.Round {
					out = math.Hypot(x-shape.W/2, y-shape.W/2) > shape.W/2-0.5
				}
				if out {
					return s.Text
				}
			}
		}
		if l.CodeMm > 0 && s.X < l.CodeX+l.CodeMm && s.X+s.W > l.CodeX && top < l.CodeY+l.CodeMm && bottom > l.CodeY {
			return "over the code: " + s.Text
		}
	}
	if l.CodeMm > 0 && shape.Round {
		for _, x := range []float64{l.CodeX, l.CodeX + l.CodeMm} {
			if math.Hypot(x-shape.W/2, l.CodeY+l.CodeMm-shape.W/2) > shape.W/2 {
				return "the code"
			}
		}
	}
	return ""
}

func TestLay(t *testing.T) {
	for name, c := range map[string]struct {
		shape   Shape
		what    string
		code    bool
		shrunk  bool
		omitted int
	}{
		"a usual one":            {Shape{70, 42, false}, "peaches, in halves", true, false, 0},
		"a small one":            {Shape{50, 25, false}, "peaches, in halves", true, true, 0},
		"a long name":            {Shape{70, 42, false}, strings.Repeat("gooseberries and elderberries ", 4), true, true, 0},
		"a lid":                  {Shape{60, 60, true}, "peaches, in halves", true, true, 0},
		"a lid without a code":   {Shape{60, 60, true}, "peaches, in halves", false, false, 0},
		"one word without end":   {Shape{50, 30, false}, strings.Repeat("x", 80), false, true, 0},
		"a strip of 15 mm":       {Shape{60, 15, false}, "peaches, in halves", false, true, 1},
		"a strip that is tall":   {Shape{30, 60, false}, "peaches, in halves", false, false, 0},
		"letters beyond Latin":   {Shape{70, 42, false}, "Brombeeren – ежевика – Ώριμα", true, false, 0},
		"the end of a box of A5": {Shape{210, 148, false}, "box for the hut", false, false, 0},
	} {
		laid, err := Lay(c.shape, jarLines(c.what), c.code, typewriter{})
		if err != nil {
			t.Errorf("%s: %v", name, err)
			continue
		}
		if out := laid.within(c.shape); out != "" {
			t.Errorf("%s: %q lies outside", name, out)
		}
		if laid.Shrunk != c.shrunk || len(laid.Omitted) < c.omitted || (laid.CodeMm > 0) != c.code {
			t.Errorf("%s: %+v", name, laid)
		}
		var all []string
		for _, s := range laid.Sets {
			all = append(all, s.Text)
		}
		if text := strings.ReplaceAll(strings.Join(all, ""), " ", ""); !strings.Contains(text, strings.ReplaceAll(c.what, " ", "")) || !strings.Contains(text, "k7qd2x") || !strings.Contains(text, "November2026") || !strings.Contains(text, "mustard") {
			t.Errorf("%s: something that must stand there is missing: %s", name, text)
		}
	}
	if _, err := Lay(Shape{15, 15, false}, jarLines(strings.Repeat("plums ", 60)), true, typewriter{}); !errors.Is(err, ErrTooSmall) {
		t.Error(err)
	}
	if laid, err := Lay(Shape{40, 20, true}, nil, false, typewriter{}); err != nil || len(laid.Sets) != 0 {
		t.Error(laid, err)
	}
}

// TestTextStaysInItsBox lays random text on random labels: nothing ever lies outside or
// over the code, and what must stand there does, or it is said that it does not fit.
func TestTextStaysInItsBox(t *testing.T) {
	r := rand.New(rand.NewPCG(7, 12))
	laidOut, tooSmall := 0, 0
	for range 3000 {
		shape := Shape{W: 15 + 120*r.Float64(), H: 15 + 90*r.Float64()}
		if r.IntN(3) == 0 {
			shape.H, shape.Round = shape.W, true
		}
		var lines []Line
		for range 1 + r.IntN(7) {
			var words []string
			for range 1 + r.IntN(12) {
				words = append(words, strings.Repeat(string(rune('a'+r.IntN(26))), 1+r.IntN(1+r.IntN(40))))
			}
			pt := 6 + 10*r.Float64()
			lines = append(lines, Line{Text: strings.Join(words, " "), Pt: pt, Least: min(pt, 5.5), Bold: r.IntN(2) == 0, Rank: r.IntN(4)})
		}
		laid, err := Lay(shape, lines, r.IntN(2) == 0, typewriter{})
		if err != nil {
			tooSmall++
			continue
		}
		laidOut++
		if out := laid.within(shape); out != "" {
			t.Fatalf("%+v: %q lies outside of %+v", lines, out, shape)
		}
		var text strings.Builder
		for _, s := range laid.Sets {
			text.WriteString(strings.ReplaceAll(s.Text, " ", ""))
			if s.Pt < 5.5-1e-9 {
				t.Fatalf("%q is set at %.2f pt", s.Text, s.Pt)
			}
		}
		for _, l := range lines {
			if l.Rank == 0 && !strings.Contains(text.String(), strings.ReplaceAll(l.Text, " ", "")) {
				t.Fatalf("%q is missing", l.Text)
			}
		}
	}
	if laidOut < 1500 || tooSmall < 20 {
		t.Errorf("%d were laid out, %d were too small", laidOut, tooSmall)
	}
}

func TestSheets(t *testing.T) {
	good := Sheet{PageW: 210, PageH: 297, Left: 8, Top: 12, W: 63, H: 38, GapX: 2, GapY: 1, Columns: 3, Rows: 7}
	if p := good.Check(); len(p) != 0 {
		t.Fatal(p)
	}
	seen := map[[2]float64]bool{}
	for n := range good.PerPage() * 2 {
		page, x, y := good.Place(n)
		if page != n/21 || x < good.Left || x+good.W > good.PageW+slack || y < good.Top || y+good.H > good.PageH+slack {
			t.Errorf("label %d: page %d, %g, %g", n, page, x, y)
		}
		seen[[2]float64{x, y}] = true
	}
	if len(seen) != 21 {
		t.Errorf("%d places", len(seen))
	}
	for field, change := range map[string]func(*Sheet){
		"pageW": func(s *Sheet) { s.PageW = 0 }, "pageH": func(s *Sheet) { s.PageH = math.NaN() }, "w": func(s *Sheet) { s.W = -3 }, "h": func(s *Sheet) { s.H = 2 },
		"left": func(s *Sheet) { s.Left = -1 }, "top": func(s *Sheet) { s.Top = math.Inf(1) }, "gapX": func(s *Sheet) { s.GapX = 1e9 }, "gapY": func(s *Sheet) { s.GapY = -1 },
		"columns": func(s *Sheet) { s.Columns = 0 }, "rows": func(s *Sheet) { s.Rows = 9 },
	} {
		s := good
		change(&s)
		if p := s.Check(); len(p) != 1 || p[0].Field != field || !strings.Contains(p[0].Text, "Accepted") && !strings.Contains(p[0].Text, "mm") {
			t.Errorf("%s: %v", field, p)
		}
	}
	wide, many, oval := good, good, good
	wide.Columns, many.Columns, many.Rows, oval.Round = 4, 1000, 1000, true
	for _, s := range []Sheet{wide, many, oval} {
		if p := s.Check(); len(p) == 0 {
			t.Errorf("%+v is taken", s)
		}
	}
}
