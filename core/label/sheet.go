package label

import "fmt"

// Sheet is a grid of like labels on a page, measured from its upper left corner.
type Sheet struct {
	PageW, PageH float64
	Left, Top    float64 // to the first label
	W, H         float64 // of a label
	GapX, GapY   float64 // between labels
	Columns      int
	Rows         int
	Round        bool // each label is a round of W across, for lids
}

// Bounds of what is taken for a sheet.
const (
	LeastSide = 15.0
	MostPage  = 600.0
	MostCells = 400
)

// slack is how far the last label may lie over the page by a ruler's error.
const slack = 0.5

// Problem is what is wrong with a field of a sheet.
type Problem struct {
	Field string
	Text  string // with what would be accepted
}

// Check says everything that is wrong with a sheet.
func (s Sheet) Check() (all []Problem) {
	fail := func(field, format string, args ...any) {
		all = append(all, Problem{field, fmt.Sprintf(format, args...)})
	}
	for _, f := range []struct {
		name    string
		mm      float64
		from    float64
		to      float64
		meaning string
	}{
		{"pageW", s.PageW, 30, MostPage, "the page's width"}, {"pageH", s.PageH, 30, MostPage, "the page's height"},
		{"left", s.Left, 0, MostPage, "what is left free at the left"}, {"top", s.Top, 0, MostPage, "what is left free at the top"},
		{"w", s.W, LeastSide, MostPage, "a label's width"}, {"h", s.H, LeastSide, MostPage, "a label's height"},
		{"gapX", s.GapX, 0, 100, "the gap between columns"}, {"gapY", s.GapY, 0, 100, "the gap between rows"},
	} {
		if !(f.mm >= f.from && f.mm <= f.to) {
			fail(f.name, "Accepted for %s: %g to %g mm.", f.meaning, f.from, f.to)
		}
	}
	switch {
	case s.Columns < 1 || s.Columns > MostCells:
		fail("columns", "Accepted: 1 column at least.")
	case s.Rows < 1 || s.Rows > MostCells || s.Columns*s.Rows > MostCells:
		fail("rows", "Accepted: 1 row at least, and %d labels on a page at most.", MostCells)
	}
	if len(all) > 0 {
		return all
	}
	if s.Round && s.W != s.H {
		fail("h", "A round label is as high as it is wide: %g mm.", s.W)
	}
	if wide := s.Left + float64(s.Columns)*s.W + float64(s.Columns-1)*s.GapX; wide > s.PageW+slack {
		fail("columns", "So many labels are %.1f mm wide with their gaps, and the page is %g mm. Accepted: fewer columns, narrower labels, or less at the left.", wide, s.PageW)
	}
	if high := s.Top + float64(s.Rows)*s.H + float64(s.Rows-1)*s.GapY; high > s.PageH+slack {
		fail("rows", "So many labels are %.1f mm high with their gaps, and the page is %g mm. Accepted: fewer rows, lower labels, or less at the top.", high, s.PageH)
	}
	return all
}

// PerPage is how many labels a page has.
func (s Sheet) PerPage() int { return s.Columns * s.Rows }

// Place is where a label lies, by its number from 0 through all pages, row by row.
func (s Sheet) Place(n int) (page int, x, y float64) {
	page, n = n/s.PerPage(), n%s.PerPage()
	col, row := n%s.Columns, n/s.Columns
	return page, s.Left + float64(col)*(s.W+s.GapX), s.Top + float64(row)*(s.H+s.GapY)
}

// Shape is that of its labels.
func (s Sheet) Shape() Shape { return Shape{s.W, s.H, s.Round} }
