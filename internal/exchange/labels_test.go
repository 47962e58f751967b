package exchange

import (
	"bytes"
	"errors"
	"fmt"
	"image"
	"strings"
	"testing"

	"github.com/makiuchi-d/gozxing"
	"github.com/makiuchi-d/gozxing/qrcode"

	"mellisca/core/label"
)

// jarLabel is a label with as much on it as there may be.
func jarLabel(what, note string) LabelText {
	return LabelText{Link: "http://192.168.1.20:8080/shelf/jar/k7qd2x", Lines: []label.Line{
		{Text: what, Pt: 14, Least: 6, Bold: true}, {Text: "hot pack, in light syrup", Pt: 9, Least: 5.5, Rank: 2}, {Text: "Canned 14 November 2026", Pt: 10, Least: 5.5},
		{Text: "Best by November 2027", Pt: 9, Least: 5.5, Rank: 1}, {Text: "Contains mustard", Pt: 9, Least: 5.5, Bold: true}, {Text: "Jar k7qd2x, no. 3", Pt: 9, Least: 5.5}, {Text: note, Pt: 7.5, Least: 5.5, Rank: 3},
	}}
}

var shapes = []label.Shape{{W: 62, H: 38}, {W: 62, H: 62, Round: true}, {W: 100, H: 50}, {W: 45, H: 70}, {W: 70, H: 30}}

// TestCodeIsRead decodes the code of labels of every shape, as a telephone would, out of
// what the label printer prints.
func TestCodeIsRead(t *testing.T) {
	for _, s := range shapes {
		l := jarLabel("peaches, in halves", "From the lower orchard.")
		img, laid, err := LabelImage(s, l)
		if err != nil {
			t.Errorf("%+v: %v", s, err)
			continue
		}
		if laid.CodeMm < label.LeastCode {
			t.Errorf("%+v has no code, or too small a one: %.1f mm", s, laid.CodeMm)
			continue
		}
		bits, err := gozxing.NewBinaryBitmapFromImage(img)
		if err != nil {
			t.Fatal(err)
		}
		read, err := qrcode.NewQRCodeReader().Decode(bits, nil)
		if err != nil {
			t.Errorf("%+v: the code does not read: %v", s, err)
			continue
		}
		if read.GetText() != l.Link {
			t.Errorf("%+v: %q", s, read.GetText())
		}
	}
}

// TestInkStaysOnTheLabel looks at the dots themselves, at the longest names that there
// may be: nothing touches the edge, or the outside of a round.
func TestInkStaysOnTheLabel(t *testing.T) {
	for _, what := range []string{"plums", strings.Repeat("gooseberries and elderberries in a syrup ", 3), strings.Repeat("Zwetschgenröster", 8), "ежевика и Ώριμα ροδάκινα από τον κήπο"} {
		for _, s := range append(shapes, label.Shape{W: 210, H: 148}) {
			if len([]rune(what)) > 120 {
				what = string([]rune(what)[:120]) // as long as it may be typed
			}
			img, _, err := LabelImage(s, jarLabel(what, strings.Repeat("A long note. ", 38)))
			if err != nil {
				t.Errorf("%q on %+v: %v", what, s, err)
				continue
			}
			if n := inkOutside(img, s); n > 0 {
				t.Errorf("%q on %+v: %d dots lie outside", what, s, n)
			}
		}
	}
}

func inkOutside(img *image.Gray, s label.Shape) (n int) {
	b := img.Bounds()
	const edge = 0.4 * DotsPerMm
	for y := b.Min.Y; y < b.Max.Y; y++ {
		for x := b.Min.X; x < b.Max.X; x++ {
			if img.GrayAt(x, y).Y > 128 {
				continue
			}
			fx, fy, w, h := float64(x), float64(y), s.W*DotsPerMm, s.H*DotsPerMm
			if fx < edge || fy < edge || fx > w-edge || fy > h-edge {
				n++
			} else if dx, dy := fx-w/2, fy-h/2; s.Round && dx*dx+dy*dy > (w/2-edge)*(w/2-edge) {
				n++
			}
		}
	}
	return n
}

// TestPaperTextStaysInItsBox lays labels out with the font of the PDF.
func TestPaperTextStaysInItsBox(t *testing.T) {
	p := newPaper(210, 297, "test")
	for _, s := range shapes {
		for n := 1; n <= 120; n += 7 {
			laid, err := label.Lay(s, jarLabel(strings.Repeat("w", n)+" "+strings.Repeat("plums ", n/6), strings.Repeat("x ", n)).Lines, true, p)
			if err != nil {
				continue // said to be too small, which the sheet's page shows
			}
			for _, set := range laid.Sets {
				if w := p.Width(set.Text, set.Pt, set.Bold); set.X < 0 || set.X+w > s.W || set.Y > s.H || set.Y < 0 {
					t.Fatalf("%+v: %+v", s, set)
				}
			}
		}
	}
}

func TestLabelSheets(t *testing.T) {
	sheet := label.Sheet{PageW: 210, PageH: 297, Left: 10, Top: 12, W: 62, H: 38, GapX: 2, GapY: 1, Columns: 3, Rows: 7}
	pages := func(first, n int) int {
		t.Helper()
		var all []LabelText
		for i := range n {
			all = append(all, jarLabel(fmt.Sprint("jar ", i), ""))
		}
		pdf, err := LabelsPDF(sheet, first, all, true)
		if err != nil || !bytes.HasPrefix(pdf, []byte("%PDF-")) {
			t.Fatal(err)
		}
		return bytes.Count(pdf, []byte("/Type /Page\n"))
	}
	for _, c := range [][3]int{{0, 21, 1}, {0, 22, 2}, {20, 2, 2}, {5, 3, 1}} {
		if got := pages(c[0], c[1]); got != c[2] {
			t.Errorf("%d labels from %d on: %d pages", c[1], c[0], got)
		}
	}
	tiny := label.Sheet{PageW: 210, PageH: 297, W: 15, H: 15, Columns: 3, Rows: 7}
	var le *LabelError
	if _, err := LabelsPDF(tiny, 0, []LabelText{jarLabel("plums", ""), jarLabel(strings.Repeat("plums ", 40), "")}, false); !errors.As(err, &le) || !errors.Is(err, label.ErrTooSmall) {
		t.Error(err)
	}
}

func TestPrintable(t *testing.T) {
	for text, want := range map[string]string{"peaches, in halves 1/2 °": "", "ежевика Ώριμα ß é": "", "桃 plums 桃": "桃", "🍑": "🍑"} {
		if got := string(Printable(text)); got != want {
			t.Errorf("%q: %q", text, got)
		}
	}
}

// TestWhatCannotBePrinted is left out of the paper, not drawn as a box.
func TestWhatCannotBePrinted(t *testing.T) {
	with, _, err := LabelImage(shapes[0], LabelText{Lines: []label.Line{{Text: "plums 桃", Pt: 12, Least: 6}}})
	if err != nil {
		t.Fatal(err)
	}
	without, _, err := LabelImage(shapes[0], LabelText{Lines: []label.Line{{Text: "plums", Pt: 12, Least: 6}}})
	if err != nil || !bytes.Equal(with.Pix, without.Pix) {
		t.Error("something was drawn for a letter that the font lacks", err)
	}
}

func TestDocument(t *testing.T) {
	long := strings.Repeat("a word and another, ", 60)
	d := Document{Title: "The shelf " + long, Lead: long, Big: "35 min", BigBy: long, Foot: long, Metric: true, Blocks: []Block{{Heading: "Jars", Lines: []string{long, strings.Repeat("x", 400)}},
		{Heading: "A table", Columns: []Column{{Part: 0.6, Tick: true}, {Name: "What", Part: 5}, {Name: "", Part: 2}}}}}
	for i := range 200 {
		d.Blocks[1].Rows = append(d.Blocks[1].Rows, []string{"", fmt.Sprint("jar ", i, long[:i]), "quart"})
	}
	pdf, err := d.PDF()
	if n := bytes.Count(pdf, []byte("/Type /Page\n")); err != nil || n < 8 || n > 40 {
		t.Error(n, err)
	}
	w := &writer{doc: d, w: 210, h: 297, paper: newPaper(210, 297, "")}
	for _, line := range w.wrapped(long+strings.Repeat("x", 400), 40, 10, false) {
		if got := w.Width(line, 10, false); got > 40 {
			t.Errorf("%q is %.1f mm wide", line, got)
		}
	}
}
