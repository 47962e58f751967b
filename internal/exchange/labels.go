package exchange

import (
	"fmt"

	"mellisca/core/label"
)

// LabelText is what stands on a label, and what its code opens; Link empty: no code.
type LabelText struct {
	Lines []label.Line
	Link  string
}

// lines are those that can be printed, without the letters that cannot.
func (l LabelText) lines() (lines []label.Line) {
	for _, line := range l.Lines {
		line.Text = printable(line.Text)
		lines = append(lines, line)
	}
	return lines
}

// LabelError says which label could not be laid out.
type LabelError struct {
	N    int // from 1
	Text string
	Err  error
}

func (e *LabelError) Error() string { return fmt.Sprintf("label %d, %q: %v", e.N, e.Text, e.Err) }
func (e *LabelError) Unwrap() error { return e.Err }

// LabelsPDF sets labels on sheets, from the given place of the first page on, 0 the first,
// so that a sheet of which some are used serves again. It errs with a *LabelError.
func LabelsPDF(sheet label.Sheet, first int, labels []LabelText, outlines bool) ([]byte, error) {
	p := newPaper(sheet.PageW, sheet.PageH, "Labels")
	page := -1
	for i, l := range labels {
		at, x, y := sheet.Place(first + i)
		if at != page {
			p.AddPage()
			page = at
		}
		laid, err := label.Lay(sheet.Shape(), l.lines(), l.Link != "", p)
		if err != nil {
			return nil, &LabelError{i + 1, l.Lines[0].Text, err}
		}
		if outlines {
			p.outline(sheet, x, y)
		}
		if err := p.draw(laid, x, y, l.Link); err != nil {
			return nil, err
		}
	}
	return p.bytes()
}

// outline draws the edge of a label, to cut along on plain paper.
func (p paper) outline(s label.Sheet, x, y float64) {
	p.SetDrawColor(150, 160, 170)
	p.SetLineWidth(0.15)
	if s.Round {
		p.Circle(x+s.W/2, y+s.H/2, s.W/2, "D")
		return
	}
	p.Rect(x, y, s.W, s.H, "D")
}
