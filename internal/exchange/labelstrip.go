package exchange

import (
	"fmt"
	"image"
	"image/color"
	"image/draw"
	"math"

	"golang.org/x/image/font"
	"golang.org/x/image/font/gofont/gobold"
	"golang.org/x/image/font/gofont/goregular"
	"golang.org/x/image/font/opentype"
	"golang.org/x/image/math/fixed"

	"mellisca/core/label"
)

// DotsPerMm is how fine a small label printer prints.
const DotsPerMm = 8

// dots sets text in dots, and measures it as label.Font.
type dots struct {
	faces map[string]font.Face
}

func (d *dots) face(pt float64, bold bool) font.Face {
	key := fmt.Sprintf("%.3f %v", pt, bold)
	if f := d.faces[key]; f != nil {
		return f
	}
	ttf := goregular.TTF
	if bold {
		ttf = gobold.TTF
	}
	f, err := opentype.Parse(ttf)
	if err != nil {
		panic("the font that is built in does not parse: " + err.Error())
	}
	face, err := opentype.NewFace(f, &opentype.FaceOptions{Size: pt, DPI: 25.4 * DotsPerMm, Hinting: font.HintingNone})
	if err != nil {
		panic("the font that is built in does not open: " + err.Error())
	}
	d.faces[key] = face
	return face
}

// Width is as label.Font has it.
func (d *dots) Width(text string, pt float64, bold bool) float64 {
	return float64(font.MeasureString(d.face(pt, bold), text)) / 64 / DotsPerMm
}

// LabelImage is a label as a small printer prints it, black on white, and how it was laid
// out. It errs with label.ErrTooSmall.
func LabelImage(shape label.Shape, l LabelText) (*image.Gray, label.Laid, error) {
	d := &dots{faces: map[string]font.Face{}}
	laid, err := label.Lay(shape, l.lines(), l.Link != "", d)
	if err != nil {
		return nil, laid, err
	}
	img := image.NewGray(image.Rect(0, 0, int(math.Ceil(shape.W*DotsPerMm)), int(math.Ceil(shape.H*DotsPerMm))))
	draw.Draw(img, img.Bounds(), image.White, image.Point{}, draw.Src)
	for _, s := range laid.Sets {
		w := font.Drawer{Dst: img, Src: image.Black, Face: d.face(s.Pt, s.Bold), Dot: fixed.Point26_6{X: fixed.Int26_6(s.X * DotsPerMm * 64), Y: fixed.Int26_6(s.Y * DotsPerMm * 64)}}
		w.DrawString(s.Text)
	}
	if laid.CodeMm == 0 {
		return img, laid, nil
	}
	code, err := codeOf(l.Link)
	if err != nil {
		return nil, laid, err
	}
	side := int(laid.CodeMm * DotsPerMm / float64(len(code))) // whole dots, so that all modules are alike
	if side < 1 {
		return nil, laid, label.ErrTooSmall
	}
	x0 := int(laid.CodeX*DotsPerMm) + (int(laid.CodeMm*DotsPerMm)-side*len(code))/2
	y0 := int(laid.CodeY*DotsPerMm) + (int(laid.CodeMm*DotsPerMm)-side*len(code))/2
	for row, line := range code {
		for col, dark := range line {
			if dark {
				draw.Draw(img, image.Rect(x0+col*side, y0+row*side, x0+(col+1)*side, y0+(row+1)*side), image.NewUniform(color.Black), image.Point{}, draw.Src)
			}
		}
	}
	return img, laid, nil
}
