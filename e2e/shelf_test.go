package e2e

import (
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
)

// TestShelf takes a jar as it is offered, takes that back, gives one away with a name, and
// throws one away for what is wrong with it; on a phone as well.
func TestShelf(t *testing.T) {
	p := openAt(t, ownProgram(t)+"/shelf", desktopWide, desktopHigh)
	p.until(`document.querySelectorAll('[data-shelf-place]').length === 3`)
	p.accessible("shelf")
	count := p.read(`document.querySelector('[data-count]').innerText`)
	p.press(`[data-group="pears, in halves"]`)
	p.dialogCovers()
	p.until(`document.querySelector('[data-take]')?.innerText.includes('the one to take first of 8')`)
	p.accessible("taking a jar")
	p.press(`[data-act="opened"]`)
	p.until(`document.querySelector('[data-said]').innerText.includes('Open in the refrigerator since today')`)
	p.until(`document.querySelector('[data-count]').innerText !== ` + quoted(count))
	p.press(`[data-undo]`)
	p.until(`document.querySelector('[data-said]').innerText.includes('taken back')`)
	p.until(`document.querySelector('[data-count]').innerText === ` + quoted(count))
	p.press(`[data-group="pears, in halves"]`)
	p.press(`[data-act="given"]`)
	p.press(`[data-say]`)
	p.until(`document.querySelector('[data-problem]')?.innerText.includes('Say who has it now')`)
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-who]`), "Hanne at the mill\r"))
	p.until(`document.querySelector('[data-said]').innerText.includes('Given to Hanne at the mill today')`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.press(`[data-group="applesauce"]`)
	p.press(`[data-act="discarded"]`)
	p.press(`[data-sign="bulging"]`)
	p.until(`document.querySelector('[data-said]').innerText.includes('Thrown away today')`)
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh), chromedp.SendKeys(chromedp.CSS(`[data-find]`), "relish petra"))
	p.until(`document.querySelector('[data-found] h2')?.innerText === '2 jars'`)
	p.do(chromedp.Evaluate[chromedp.Void](`document.querySelector('[data-find]').select()`), chromedp.SendKeys(chromedp.CSS(`[data-find]`), "gold"))
	p.until(`document.querySelector('[data-found]')?.innerText.includes('Nothing in the house')`)
	p.do(chromedp.Evaluate[chromedp.Void](`document.querySelector('[data-find]').select()`), chromedp.SendKeys(chromedp.CSS(`[data-find]`), kb.Backspace))
	p.press(`[data-add-place]`)
	p.write("place-name", "Cellar, top board")
	p.until(`document.querySelector('[data-place-form] .problem')?.innerText.includes('already')`)
	p.write("place-name", "under the stairs")
	p.until(`document.querySelectorAll('[data-shelf-place]').length === 4`)
}

func quoted(s string) string { return `"` + strings.ReplaceAll(s, `"`, `\"`) + `"` }

// TestCallBack goes from the jar in hand to all of its load, tells who has one, and takes
// it all back.
func TestCallBack(t *testing.T) {
	p := openAt(t, ownProgram(t)+"/shelf", desktopWide, desktopHigh)
	p.press(`[data-group="plums, in halves"]`)
	p.press(`[data-open-jar]`)
	p.until(`document.querySelector('[data-trace] .count')?.innerText === '7 jars: 6 on the shelf, 1 given away'`)
	p.accessible("a jar")
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh))
	p.press(`[data-something-wrong]`)
	p.press(`[data-call-back]`)
	p.until(`document.querySelector('[data-trace] .problem')?.innerText.includes('Say why')`)
	p.write("why", "The clock had stood still")
	p.until(`document.querySelector('[data-recall]')?.innerText.includes('6 jars to throw away, 1 jar given away of which to tell')`)
	p.accessible("a recall")
	p.press(`[data-warned]`)
	p.press(`[data-away]`)
	p.until(`document.querySelector('[data-recall]').innerText.includes('Called back') && document.querySelector('[data-recall] .big').innerText.endsWith('5 jars to throw away')`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh), chromedp.KeyEvent("h"))
	p.until(`document.querySelector('[data-apart]')?.innerText.includes('do not taste it')`)
	if shown := p.read(`!!document.querySelector('[data-group="plums, in halves"]')`); shown != "false" {
		t.Error("jars that were called back stand on the board")
	}
	p.press(`[data-page="recalls"]`)
	p.until(`document.querySelector('[data-recalls]')?.innerText.includes('5 jars to throw away')`)
	p.accessible("recalls")
	p.press(`[data-recalls] a.stop`)
	p.press(`[data-undo-recall]`)
	p.until(`document.querySelector('[data-recall] .big').innerText.endsWith('taken back')`)
}

// TestLookOverWantsAndBench goes through the other pages of the shelf.
func TestLookOverWantsAndBench(t *testing.T) {
	p := openAt(t, ownProgram(t)+"/shelf/round", desktopWide, desktopHigh)
	p.until(`document.querySelector('[data-round] h1')?.innerText === '14 jars to look over'`)
	p.accessible("look-over")
	p.press(`[data-due] [data-sound]`)
	p.until(`document.querySelector('[data-round] h1').innerText === '13 jars to look over'`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.press(`[data-all-sound="cellar, top board"]`)
	p.until(`!document.querySelector('[data-all-sound="cellar, top board"]')`)
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh))
	p.press(`[data-page="wants"]`)
	p.until(`document.querySelector('[data-want="peaches"]')?.innerText.includes('quarts short')`)
	p.accessible("wants")
	p.do(chromedp.Evaluate[chromedp.Void](`{const s = document.querySelector('[data-field="want-product"]'); s.value = 'banana'}`))
	p.write("want-count", "0")
	p.until(`!!document.querySelector('[data-wants] form .problem') || !document.querySelector('[data-field="want-count"]').checkValidity()`)
	p.write("want-count", "4")
	p.until(`document.querySelectorAll('[data-want]').length === 6`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh))
	p.press(`[data-page="bench"]`)
	p.until(`document.querySelectorAll('[data-entry]').length === 2`)
	p.accessible("bench")
	second := p.read(`document.querySelectorAll('[data-entry]')[1].dataset.entry`)
	p.press(`[data-entry="` + second + `"] [data-up]`)
	p.until(`document.querySelector('[data-entry]').dataset.entry === ` + quoted(second))
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
}

// TestLabelsPage sees the first label, measures another sheet, and finds what is wrong
// with it said.
func TestLabelsPage(t *testing.T) {
	p := openAt(t, ownProgram(t)+"/shelf/labels", desktopWide, desktopHigh)
	p.until(`document.querySelector('[data-picture]')?.naturalWidth > 300 && /^\d+ labels on \d sheets$/.test(document.querySelector('[data-look]').innerText)`)
	p.accessible("labels")
	p.press(`[data-new-sheet]`)
	p.dialogCovers()
	p.write("columns", "9")
	p.until(`!!document.querySelector('[data-sheet-form] [data-problem="columns"]') && !!document.querySelector('[data-sheet-form] [data-problem="name"]')`)
	if v := p.read(`document.querySelector('[data-field="columns"]').value`); v != "9" {
		t.Error("what was typed is lost:", v)
	}
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-field="sheet-name"]`), "ours"))
	p.write("columns", "3")
	p.until(`!document.querySelector('[data-sheet-form]') && document.querySelector('[data-sheet]').selectedOptions[0].innerText.startsWith('ours')`)
	p.press(`[data-which-boxes]`)
	p.until(`document.querySelector('[data-look]').innerText === '1 label on 1 sheet'`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.press(`[data-on-printer]`)
	p.until(`document.querySelector('[data-labels]').innerText.includes('Printed on the label printer')`)
}

// TestAllJars scrolls through every jar there is and finds some.
func TestAllJars(t *testing.T) {
	p := openAt(t, ownProgram(t)+"/shelf/jars", desktopWide, desktopHigh)
	p.until(`document.querySelectorAll('[data-jars] [data-jar]').length > 5`)
	p.accessible("all jars")
	first := p.read(`document.querySelector('[data-jars] [data-jar]').dataset.jar`)
	p.do(chromedp.Evaluate[chromedp.Void](`document.querySelector('.frame').scrollTop = 1e6`))
	p.until(`!document.querySelector('[data-jar="` + first + `"]') && document.querySelectorAll('[data-jars] [data-jar]').length > 5`)
	if n := p.read(`document.querySelectorAll('[data-jars] [data-jar]').length < 60`); n != "true" {
		t.Error("all rows are drawn at once")
	}
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-find]`), "hanne"), chromedp.Evaluate[chromedp.Void](`{const s = document.querySelector('[data-which]'); s.value = 'gone'; s.dispatchEvent(new Event('change'))}`))
	p.until(`document.querySelector('[data-total]').innerText === '2 jars'`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.press(`[data-stations]`)
	p.press(`[data-station="tray"]`)
	p.until(`location.pathname === '/tray'`)
}
