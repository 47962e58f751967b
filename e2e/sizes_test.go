package e2e

import (
	"testing"

	"github.com/chromedp/chromedp"
)

// TestSeveralSizes puts fruit into the jars at hand, plans them, changes a count,
// closes the batch with what was filled, and goes back to one size.
func TestSeveralSizes(t *testing.T) {
	p := open(t, "/batch?product=nectarines", desktopWide, desktopHigh) // what is learned of peaches is looked at elsewhere
	p.says(timeShown, "35")
	p.write("amount", "24 lb")
	p.settled()
	p.press(`[data-open-spread]`)
	p.until(`document.querySelector('[data-spread-text]')?.innerText.includes(' and ')`)
	p.press(`[data-take-sizes]`)
	p.until(`document.querySelector('input[data-field="sizes"]')?.value.includes('quarts')`)
	p.until(`document.querySelectorAll('[data-load]').length >= 2`)
	p.write("sizes", "6 quarts, 2 mugs")
	p.until(`document.querySelector('[data-problem="sizes"]')?.innerText.includes('no jar known here')`)
	p.write("sizes", "6 quarts, 7 pints")
	p.says("[data-jars]", "6 quarts and 7 pints")
	p.accessible("several sizes")
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh))
	p.press(`[data-save]`)
	p.until(`location.pathname.startsWith('/batch/')`)
	p.press(`[data-close]`)
	p.until(`document.querySelector('[data-field="filled-quart"]')?.value === '6' && document.querySelector('[data-field="filled-pint"]').value === '7'`)
	p.retype("closed-liquid", "3 l")
	p.retype("closed-left", "4 l")
	p.press(`[data-close-batch]`)
	p.until(`document.querySelector('[data-problem="liquidLeft"]')?.innerText.includes('no more than was made ready')`)
	p.retype("closed-left", "1 pint")
	p.retype("cookMinutes", "12")
	p.press(`[data-close-batch]`)
	p.until(`!document.querySelector('[data-close-dialog]')`)
	p.do(chromedp.Click(chromedp.CSS(`nav a[href="/fruit"]`)))
	p.until(`[...document.querySelectorAll('[data-closing]')].some(e => e.innerText.includes('6 quarts and 7 pints from 24 lb') && e.innerText.includes('cooking 12 min'))`)
	p.do(chromedp.Click(chromedp.CSS(`nav a[href="/batch"]`)))
	p.says(timeShown, "35")
	p.choose("jar", "several")
	p.until(`document.querySelector('input[data-field="sizes"]')?.value === '5 quarts'`)
	p.write("sizes", "\b")
	p.until(`!!document.querySelector('button[data-field="jar"]')`)
}

// TestSecondTier takes the tier that is offered, and sees it drawn.
func TestSecondTier(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	p.choose("jar", "half-pint")
	p.write("amount", "30 jars")
	p.do(chromedp.Click(chromedp.CSS(`button[data-field="canner"]`)), chromedp.Click(chromedp.JSPath(`[...document.querySelectorAll('[role="option"]')].find(e => e.innerText.includes('big kettle'))`)))
	p.until(`document.querySelectorAll('[aria-label="Canner loads"] figure').length === 2`)
	p.press(`[data-take-offer]`)
	p.until(`document.querySelector('[data-loads]')?.innerText.startsWith('1 load of 30')`)
	if n := p.read(`document.querySelectorAll('[aria-label="Canner loads"] figure circle[stroke-width="0.35"]').length`); n != "30" {
		t.Errorf("%s jars are drawn", n)
	}
	p.press(`[data-take-offer]`)
	p.until(`document.querySelectorAll('[aria-label="Canner loads"] figure').length === 2`)
}

// TestBlendOfVarieties blends two varieties in a sauce, and makes sauce of the pulp of
// juice.
func TestBlendOfVarieties(t *testing.T) {
	p := open(t, "/batch?product=applesauce", desktopWide, desktopHigh)
	p.says("[data-jars]", "7 quarts")
	p.write("amount", "12 lb")
	p.press(`[data-blend-varieties]`)
	p.write("varieties", "2 Mill Sweeting, 0 Corvane Russet")
	p.until(`document.querySelector('[data-problem="varieties"]')?.innerText.includes('accepted: over 0')`)
	p.write("varieties", "2 Mill Sweeting, 1 Corvane Russet")
	p.until(`document.querySelector('[data-shares] dd')?.innerText === '8 lb' && !!document.querySelector('[data-taste]')`)

	p.do(chromedp.Click(chromedp.CSS(`nav a[href="/fruit"]`)))
	lot := `[data-lot="russets for winter"]`
	p.until(`!!document.querySelector('` + lot + `')`)
	p.press(lot + ` [data-tap="past"]`)
	p.until(`!!document.querySelector('` + lot + ` [data-make="apple-juice"]')`)
	p.press(lot + ` [data-make="apple-juice"]`)
	p.until(`document.querySelector('[data-jars]')?.innerText.includes('quarts')`)
	p.write("amount", "20 lb")
	p.settled()
	p.press(`[data-save]`)
	p.until(`location.pathname.startsWith('/batch/')`)
	p.press(`[data-close]`)
	p.until(`!!document.querySelector('[data-close-dialog]')`)
	p.press(`[data-close-batch]`)
	p.until(`!document.querySelector('[data-close-dialog]')`)
	p.do(chromedp.Click(chromedp.CSS(`nav a[href="/fruit"]`)))
	p.until(`document.querySelector('` + lot + ` [data-over]')?.innerText.includes('Pulp from the apple juice')`)
	p.press(lot + ` [data-make-over="applesauce"]`)
	p.until(`document.querySelector('[data-note]')?.innerText.includes('how many pulp gives')`)
	p.until(`document.querySelector('[data-field="lots"]')?.innerText.includes('Pulp')`)
}
