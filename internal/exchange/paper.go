package exchange

import (
	"bytes"
	"fmt"
	"slices"
	"strings"

	"codeberg.org/go-pdf/fpdf"
	"github.com/skip2/go-qrcode"
	"golang.org/x/image/font/gofont/gobold"
	"golang.org/x/image/font/gofont/goregular"
	"golang.org/x/image/font/sfnt"

	"mellisca/core/label"
)

// face is the family that all paper is set in; its letters are those of Latin, Greek and
// Cyrillic.
const face = "go"

// paper is a PDF under way. It measures text as label.Font.
type paper struct{ *fpdf.Fpdf }

// newPaper begins one with pages of so many millimetres.
func newPaper(w, h float64, title string) paper {
	pdf := fpdf.NewCustom(&fpdf.InitType{UnitStr: "mm", Size: fpdf.SizeType{Wd: w, Ht: h}})
	pdf.AddUTF8FontFromBytes(face, "", goregular.TTF)
	pdf.AddUTF8FontFromBytes(face, "B", gobold.TTF)
	pdf.SetTitle(title, true)
	pdf.SetCreator("Mellisca", true)
	pdf.SetAutoPageBreak(false, 0)
	pdf.SetMargins(0, 0, 0)
	pdf.SetCellMargin(0)
	return paper{pdf}
}

func (p paper) font(pt float64, bold bool) {
	style := ""
	if bold {
		style = "B"
	}
	p.SetFont(face, style, pt)
}

// Width is as label.Font has it.
func (p paper) Width(text string, pt float64, bold bool) float64 {
	p.font(pt, bold)
	return p.GetStringWidth(text)
}

// bytes ends the PDF.
func (p paper) bytes() ([]byte, error) {
	var out bytes.Buffer
	if err := p.Output(&out); err != nil {
		return nil, fmt.Errorf("writing a PDF: %w", err)
	}
	return out.Bytes(), nil
}

// draw puts a laid label on the page at x, y, with its code.
func (p paper) draw(l label.Laid, x, y float64, link string) error {
	for _, s := range l.Sets {
		p.font(s.Pt, s.Bold)
		p.Text(x+s.X, y+s.Y, s.Text)
	}
	if l.CodeMm == 0 {
		return nil
	}
	code, err := codeOf(link)
	if err != nil {
		return err
	}
	side := l.CodeMm / float64(len(code))
	p.SetFillColor(0, 0, 0)
	for row, line := range code {
		for col := 0; col < len(line); {
			n := 0
			for col+n < len(line) && line[col+n] {
				n++
			}
			if n > 0 { // a run in one piece, so that no hairline parts it
				p.Rect(x+l.CodeX+float64(col)*side, y+l.CodeY+float64(row)*side, float64(n)*side, side+0.01, "F")
			}
			col += n + 1
		}
	}
	return nil
}

// codeOf is the modules of a code without its quiet zone, which the label's own white is.
func codeOf(link string) ([][]bool, error) {
	code, err := qrcode.New(link, qrcode.Medium)
	if err != nil {
		return nil, fmt.Errorf("making the code of %q: %w", clip(link), err)
	}
	code.DisableBorder = true
	return code.Bitmap(), nil
}

// lettersOf is the font's own table, to know which letters it has.
var lettersOf = func() *sfnt.Font {
	f, err := sfnt.Parse(goregular.TTF)
	if err != nil {
		panic("the font that is built in does not parse: " + err.Error())
	}
	return f
}()

// Printable says which letters of a text no paper can carry, each once.
func Printable(text string) (missing []rune) {
	var buf sfnt.Buffer
	seen := map[rune]bool{}
	for _, r := range text {
		if seen[r] || r < ' ' {
			continue
		}
		seen[r] = true
		if n, err := lettersOf.GlyphIndex(&buf, r); err != nil || n == 0 {
			missing = append(missing, r)
		}
	}
	return missing
}

// printable is a text without the letters that no paper can carry.
func printable(text string) string {
	missing := Printable(text)
	if len(missing) == 0 {
		return text
	}
	return strings.Map(func(r rune) rune {
		if slices.Contains(missing, r) {
			return -1
		}
		return r
	}, text)
}
