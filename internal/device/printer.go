package device

import (
	"context"
	"errors"
	"image"
	"sync"
)

// LabelPrinter prints labels from a roll, one at a time.
type LabelPrinter interface {
	// Print prints one label, eight dots to the millimetre, dark on light. It errs with
	// ErrRollEmpty.
	Print(ctx context.Context, label image.Image) error
}

// ErrRollEmpty says that no label is left on the roll.
var ErrRollEmpty = errors.New("the roll of labels is empty")

// stripsKept is how many of the newest labels a PaperlessPrinter keeps.
const stripsKept = 60

// PaperlessPrinter is a label printer that keeps what it would have printed. The zero value
// has an endless roll. It may be used concurrently.
type PaperlessPrinter struct {
	mu      sync.Mutex
	limited bool
	left    int
	count   int
	strips  []image.Image
}

// Load puts a roll of so many labels in.
func (p *PaperlessPrinter) Load(labels int) {
	p.mu.Lock()
	defer p.mu.Unlock()
	p.limited, p.left = true, labels
}

// Print keeps a label.
func (p *PaperlessPrinter) Print(ctx context.Context, label image.Image) error {
	if err := ctx.Err(); err != nil {
		return err
	}
	p.mu.Lock()
	defer p.mu.Unlock()
	if p.limited && p.left == 0 {
		return ErrRollEmpty
	}
	p.left--
	p.count++
	if p.strips = append(p.strips, label); len(p.strips) > stripsKept {
		p.strips = p.strips[1:]
	}
	return nil
}

// Printed gives how many labels were ever printed, and the newest of them.
func (p *PaperlessPrinter) Printed() (count int, newest []image.Image) {
	p.mu.Lock()
	defer p.mu.Unlock()
	return p.count, append([]image.Image(nil), p.strips...)
}
