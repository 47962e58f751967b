package exchange

import (
	"fmt"
	"math"
	"strings"
)

// Document is a page or more to be printed: a card for a batch, a list of the shelf.
type Document struct {
	Title  string
	Lead   string
	Big    string // what is read from across the room, in a box; empty: none
	BigBy  string // what belongs to it
	Blocks []Block
	Foot   string // where the figures are from
	Metric bool   // on A4; otherwise on letter paper
}

// Block is a heading with lines under it, or a table.
type Block struct {
	Heading string
	Lines   []string
	Columns []Column
	Rows    [][]string
}

// Column is one of a table. Parts share the width. A Tick column has an empty square in each
// row, to be ticked off.
type Column struct {
	Name string
	Part float64
	Tick bool
}

const (
	margin   = 16.0
	lineHigh = 1.25 // of the letters' size
	mmPerPt  = 25.4 / 72
)

// writer sets a document from the top of a page to its foot, and on.
type writer struct {
	paper
	w, h float64
	y    float64
	page int
	doc  Document
}

// PDF sets a document.
func (d Document) PDF() ([]byte, error) {
	w := &writer{doc: d, w: 215.9, h: 279.4}
	if d.Metric {
		w.w, w.h = 210, 297
	}
	w.paper = newPaper(w.w, w.h, d.Title)
	w.next()
	w.text(d.Title, margin, w.w-2*margin, 20, true)
	w.y += 1
	if d.Lead != "" {
		w.text(d.Lead, margin, w.w-2*margin, 11, false)
	}
	if d.Big != "" {
		w.box()
	}
	for _, b := range d.Blocks {
		w.block(b)
	}
	if d.Foot != "" {
		w.y += 3
		w.text(d.Foot, margin, w.w-2*margin, 9, false)
	}
	return w.bytes()
}

// next begins a page; its number stands at the foot.
func (w *writer) next() {
	w.AddPage()
	w.page++
	w.y = margin
	w.font(8, false)
	foot := fmt.Sprintf("%s, page %d", w.doc.Title, w.page)
	for w.GetStringWidth(foot) > w.w-2*margin {
		foot = string([]rune(foot)[1:])
	}
	w.Text(w.w-margin-w.GetStringWidth(foot), w.h-8, foot)
}

// room makes sure that so much is free on the page, if a page has as much.
func (w *writer) room(mm float64) {
	if w.y+mm > w.h-margin && w.y > margin {
		w.next()
	}
}

// wrapped parts text into lines of a width; a word that is wider is broken.
func (w *writer) wrapped(text string, width, pt float64, bold bool) (lines []string) {
	line := ""
	for _, word := range strings.Fields(printable(text)) {
		with := strings.TrimPrefix(line+" "+word, " ")
		if w.Width(with, pt, bold) <= width {
			line = with
			continue
		}
		if line != "" {
			lines = append(lines, line)
		}
		line = word
		for w.Width(line, pt, bold) > width {
			runes := []rune(line)
			n := len(runes) - 1
			for n > 1 && w.Width(string(runes[:n]), pt, bold) > width {
				n--
			}
			if n < 1 {
				break
			}
			lines, line = append(lines, string(runes[:n])), string(runes[n:])
		}
	}
	if line != "" {
		lines = append(lines, line)
	}
	return lines
}

func (w *writer) text(text string, x, width, pt float64, bold bool) {
	step := lineHigh * pt * mmPerPt
	for _, line := range w.wrapped(text, width, pt, bold) {
		w.room(step)
		w.font(pt, bold)
		w.Text(x, w.y+0.8*pt*mmPerPt, line)
		w.y += step
	}
}

// box is the working figure, with what belongs to it at its side.
func (w *writer) box() {
	const pt, side = 34.0, 11.0
	w.y += 2
	big := w.wrapped(w.doc.Big, w.w*0.55, pt, true)
	bigWide := 0.0
	for _, line := range big {
		bigWide = math.Max(bigWide, w.Width(line, pt, true))
	}
	x := margin + 5 + bigWide + 6
	by := w.wrapped(w.doc.BigBy, w.w-margin-5-x, side, false)
	high := math.Max(float64(len(big))*lineHigh*pt, float64(len(by))*lineHigh*side)*mmPerPt + 8
	w.room(high)
	w.SetDrawColor(35, 69, 107)
	w.SetLineWidth(0.7)
	w.RoundedRect(margin, w.y, w.w-2*margin, high, 4, "1234", "D")
	at := func(lines []string, x, pt float64, bold bool) {
		y := w.y + (high-float64(len(lines))*lineHigh*pt*mmPerPt)/2
		for _, line := range lines {
			w.font(pt, bold)
			w.Text(x, y+0.88*pt*mmPerPt, line)
			y += lineHigh * pt * mmPerPt
		}
	}
	at(big, margin+5, pt, true)
	at(by, x, side, false)
	w.y += high + 3
}

func (w *writer) block(b Block) {
	if b.Heading != "" {
		w.y += 3
		w.room(18)
		w.text(b.Heading, margin, w.w-2*margin, 13, true)
	}
	for _, line := range b.Lines {
		w.text(line, margin, w.w-2*margin, 10.5, false)
		w.y += 0.8
	}
	if len(b.Columns) > 0 {
		w.table(b)
	}
}

// table sets rows under their names; the names come again on each page.
func (w *writer) table(b Block) {
	const pt = 10.0
	step := lineHigh * pt * mmPerPt
	whole := 0.0
	for _, c := range b.Columns {
		whole += c.Part
	}
	head := func() {
		w.row(b.Columns, whole, namesOf(b.Columns), 9, true)
		w.SetDrawColor(35, 69, 107)
		w.SetLineWidth(0.4)
		w.Line(margin, w.y, w.w-margin, w.y)
		w.y += 0.8
	}
	w.room(3 * step)
	head()
	for _, r := range b.Rows {
		if high := w.rowHigh(b.Columns, whole, r, pt); w.y+high > w.h-margin && w.y > 2*margin {
			w.next()
			head()
		}
		w.row(b.Columns, whole, r, pt, false)
		w.SetDrawColor(205, 214, 224)
		w.SetLineWidth(0.15)
		w.Line(margin, w.y, w.w-margin, w.y)
		w.y += 0.6
	}
}

func namesOf(all []Column) (names []string) {
	for _, c := range all {
		names = append(names, c.Name)
	}
	return names
}

const columnGap = 3.0

func (w *writer) columnWide(c Column, whole float64) float64 {
	return (w.w-2*margin)*c.Part/whole - columnGap
}

func (w *writer) rowHigh(columns []Column, whole float64, cells []string, pt float64) float64 {
	most := 1
	for i, c := range columns {
		if i < len(cells) {
			most = max(most, len(w.wrapped(cells[i], w.columnWide(c, whole), pt, false)))
		}
	}
	return float64(most)*lineHigh*pt*mmPerPt + 1
}

func (w *writer) row(columns []Column, whole float64, cells []string, pt float64, bold bool) {
	x, high := margin, 0.0
	for i, c := range columns {
		if c.Tick && !bold {
			w.SetDrawColor(0, 0, 0)
			w.SetLineWidth(0.25)
			w.Rect(x, w.y+0.6, 3, 3, "D")
		} else if i < len(cells) {
			y := w.y
			for _, line := range w.wrapped(cells[i], w.columnWide(c, whole), pt, bold) {
				w.font(pt, bold)
				w.Text(x, y+0.88*pt*mmPerPt, line)
				y += lineHigh * pt * mmPerPt
			}
			high = math.Max(high, y-w.y)
		}
		x += w.columnWide(c, whole) + columnGap
	}
	w.y += high + 1
}
