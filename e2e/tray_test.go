package e2e

import (
	"context"
	"testing"
	"time"

	"github.com/chromedp/chromedp"
)

// TestTray is the morning after: too early at first, then one jar that did not seal and
// one that lost liquid, the others sealed with one tap, and each where it belongs.
func TestTray(t *testing.T) {
	q, err := StartQuick(context.Background(), t.TempDir())
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(q.Stop)
	p := openAt(t, q.Address+"/tray", desktopWide, desktopHigh)
	p.until(`document.querySelector('[data-tray]')?.innerText.includes('No jars are waiting')`)
	p.accessible("empty tray")
	if err := q.Lift(); err != nil {
		t.Fatal(err)
	}
	reload := func() { p.do(chromedp.Navigate(q.Address + "/tray")) }
	reload()
	p.until(`document.querySelector('[data-early]')?.innerText.includes('12 h 0 min more')`)
	if n := p.read(`document.querySelectorAll('[data-sealed], [data-all-sealed]').length`); n != "0" {
		t.Error("a seal can be told too early")
	}
	q.Clock.Forward(14 * time.Hour)
	reload()
	p.until(`document.querySelector('[data-all-sealed]')?.innerText === 'All sealed'`)
	p.press(`[data-tray-jar="2"] [data-unsealed]`)
	p.until(`document.querySelector('[data-tray-jar="2"]').innerText.includes('10 h 0 min left')`)
	p.press(`[data-tray-jar="3"] [data-other]`)
	p.dialogCovers()
	p.accessible("what was found")
	p.press(`[data-found-dialog] input[name="lost"][value="0.2"]`)
	p.press(`[data-keep-found]`)
	p.until(`document.querySelector('[data-tray-jar="3"]').innerText.includes('This load: It rested 0 minutes')`)
	p.press(`[data-all-sealed]`)
	p.until(`document.querySelector('[data-all-shelved]')?.innerText === 'The 6 sound ones onto the shelf'`)
	p.accessible("tray")
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh))
	p.press(`[data-all-shelved]`)
	p.until(`document.querySelector('[data-tray-jar="1"]').innerText.includes('on the shelf')`)
	p.press(`[data-tray-jar="2"] [data-do="process-again"]`)
	p.until(`document.querySelector('[data-tray]').innerText.includes('No jars are waiting') && document.querySelector('[data-shelved]').innerText.includes('Their labels')`)
	p.do(chromedp.KeyEvent("h"))
	p.until(`document.querySelector('[data-count]')?.innerText === '6 jars on the shelf'`)
	p.do(chromedp.KeyEvent("s"))
	p.until(`document.querySelector('[data-place="filling"]')?.innerText.includes('1 jar')`)
}
