package label

import (
	"errors"
	"math"
	"slices"
	"strings"
)

// Shape is the outline of a label; a round one is W across.
type Shape struct {
	W, H  float64
	Round bool
}

// Line is something to say on a label. The lower its Rank the longer it stays; rank 0 is
// never left out.
type Line struct {
	Text  string
	Pt    float64 // as it is set where there is room
	Least float64 // as it may be set
	Bold  bool
	Rank  int
}

// Font measures text, in millimetres.
type Font interface {
	Width(text string, pt float64, bold bool) float64
}

// Set is a piece of text as it is to be drawn: from X, on the baseline Y.
type Set struct {
	Text string
	X, Y float64
	W    float64
	Pt   float64
	Bold bool
}

// Laid is a label as it is to be drawn, from its upper left corner.
type Laid struct {
	Sets    []Set
	CodeX   float64 // of the code's square; CodeMm 0: there is none
	CodeY   float64
	CodeMm  float64
	Omitted []string // lines that had no room
	Shrunk  bool
}

// ErrTooSmall says that what must stand on a label does not fit on it.
var ErrTooSmall = errors.New("what must stand on the label does not fit on it")

const (
	mmPerPt = 25.4 / 72
	leading = 1.16 // from line to line, of the letters' size
	ascent  = 0.80 // of the letters' size, over the baseline
	pad     = 1.6  // from the edge
	apart   = 1.6  // from text to code
)

// LeastCode is the smallest side of a code that a telephone reads well.
const LeastCode = 12.0

// Lay lays lines out on a label, with a square code where there is to be one and what must
// stand on the label fits beside it. It errs with ErrTooSmall.
func Lay(shape Shape, lines []Line, code bool, f Font) (Laid, error) {
	lines = slices.DeleteFunc(slices.Clone(lines), func(l Line) bool { return strings.TrimSpace(l.Text) == "" })
	if code {
		if laid, ok := layWith(shape, lines, true, f); ok {
			return laid, nil
		}
	}
	if laid, ok := layWith(shape, lines, false, f); ok {
		return laid, nil
	}
	return Laid{}, ErrTooSmall
}

// layWith lays lines out with or without a code; line by line what matters least is left
// out.
func layWith(shape Shape, lines []Line, code bool, f Font) (Laid, bool) {
	var omitted []string
	for {
		for scale := 1.0; scale > 0.2; scale -= 0.06 {
			if laid, ok := try(shape, lines, code, scale, f); ok {
				laid.Omitted, laid.Shrunk = omitted, scale < 1
				return laid, true
			}
			if atLeast(lines, scale) {
				break
			}
		}
		worst := -1
		for i, l := range lines {
			if l.Rank > 0 && (worst < 0 || l.Rank >= lines[worst].Rank) {
				worst = i
			}
		}
		if worst < 0 {
			return Laid{}, false
		}
		omitted = append(omitted, lines[worst].Text)
		lines = slices.Delete(slices.Clone(lines), worst, worst+1)
	}
}

// atLeast says whether no line can be set smaller than at a scale.
func atLeast(lines []Line, scale float64) bool {
	return !slices.ContainsFunc(lines, func(l Line) bool { return l.Pt*scale > l.Least })
}

// frame is where text may stand: how wide it is from one height to another.
type frame struct {
	top, bottom float64
	span        func(from, to float64) (x, w float64)
}

func try(shape Shape, lines []Line, code bool, scale float64, f Font) (Laid, bool) {
	var laid Laid
	fr := frame{top: pad, bottom: shape.H - pad, span: func(_, _ float64) (float64, float64) { return pad, shape.W - 2*pad }}
	if shape.Round {
		r := shape.W / 2
		fr.span = func(from, to float64) (float64, float64) {
			d := math.Max(math.Abs(from-r), math.Abs(to-r))
			half := math.Sqrt(math.Max(0, (r-pad)*(r-pad)-d*d))
			return r - half, 2 * half
		}
	}
	if code {
		if !laid.putCode(shape, &fr) {
			return laid, false
		}
	}
	return laid, laid.setLines(lines, scale, fr, shape.Round, f)
}

// putCode puts the code at the right of a label, or at the foot of a round or a tall one,
// and takes its room from the text.
func (laid *Laid) putCode(shape Shape, fr *frame) bool {
	if shape.Round || shape.H > shape.W {
		side := math.Min(0.38*math.Min(shape.W, shape.H), 26)
		laid.CodeMm, laid.CodeX, laid.CodeY = side, (shape.W-side)/2, shape.H-pad-side
		if shape.Round { // its lower corners stay within the round
			r := shape.W/2 - pad
			laid.CodeY = shape.W/2 + math.Sqrt(math.Max(0, r*r-side*side/4)) - side
		}
		fr.bottom = laid.CodeY - 0.6
		return side >= LeastCode && fr.bottom > fr.top
	}
	side := math.Min(math.Min(math.Max(0.34*shape.W, LeastCode+1), shape.H-2*pad), 26)
	laid.CodeMm, laid.CodeX, laid.CodeY = side, shape.W-pad-side, (shape.H-side)/2
	fr.span = func(_, _ float64) (float64, float64) { return pad, laid.CodeX - apart - pad }
	return side >= LeastCode
}

// setLines wraps and sets the lines one under another in the middle of a frame. Where the
// width depends on the height they are given more and more of it, from what they would
// take at the widest place, until they fit.
func (laid *Laid) setLines(lines []Line, scale float64, fr frame, centred bool, f Font) bool {
	room := fr.bottom - fr.top
	_, widest := fr.span((fr.top+fr.bottom)/2, (fr.top+fr.bottom)/2)
	if centred {
		widest = math.Max(widest, math.Max(widthAt(fr, fr.top), widthAt(fr, fr.bottom)))
	}
	everywhere := frame{fr.top, fr.bottom, func(_, _ float64) (float64, float64) { return 0, widest }}
	_, least, ok := wrapAll(lines, scale, everywhere, fr.top, f)
	if !ok {
		return false
	}
	for high := least; high <= room+1e-9; high += 0.4 {
		sets, used, ok := wrapAll(lines, scale, fr, fr.top+(room-high)/2, f)
		if !ok || used > high+1e-9 {
			continue
		}
		for i, s := range sets {
			x, w := fr.span(s.Y-ascent*s.Pt*mmPerPt, s.Y+(leading-ascent)*s.Pt*mmPerPt)
			if sets[i].X = x; centred {
				sets[i].X += (w - s.W) / 2
			}
		}
		laid.Sets = sets
		return true
	}
	return false
}

func widthAt(fr frame, y float64) float64 {
	_, w := fr.span(y, y)
	return w
}

// wrapAll wraps lines from a height on, and says how high they are together.
func wrapAll(lines []Line, scale float64, fr frame, y float64, f Font) (sets []Set, high float64, ok bool) {
	for _, l := range lines {
		pt := math.Max(l.Least, l.Pt*scale)
		step := leading * pt * mmPerPt
		words := strings.Fields(l.Text)
		for len(words) > 0 {
			_, w := fr.span(y+high, y+high+step)
			n := 0
			for n < len(words) && f.Width(strings.Join(words[:n+1], " "), pt, l.Bold) <= w {
				n++
			}
			if n == 0 { // a word that is wider than the line
				head, rest := breakWord(words[0], w, pt, l.Bold, f)
				if head == "" || pt > l.Least+1e-9 { // set it smaller before it is broken
					return nil, 0, false
				}
				words = append([]string{head, rest}, words[1:]...)
				n = 1
			}
			text := strings.Join(words[:n], " ")
			sets = append(sets, Set{Text: text, Y: y + high + ascent*pt*mmPerPt, W: f.Width(text, pt, l.Bold), Pt: pt, Bold: l.Bold})
			words = words[n:]
			high += step
		}
	}
	return sets, high, true
}

// breakWord is as much of a word as fits, and the rest of it.
func breakWord(word string, w, pt float64, bold bool, f Font) (head, rest string) {
	runes := []rune(word)
	n := len(runes) - 1
	for n > 0 && f.Width(string(runes[:n]), pt, bold) > w {
		n--
	}
	return string(runes[:max(n, 0)]), string(runes[max(n, 0):])
}
