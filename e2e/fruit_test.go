package e2e

import (
	"testing"

	"github.com/chromedp/chromedp"
)

// TestFruitFromCrateToClosed keeps a lot, says how ripe it is, makes a batch of it,
// closes the batch, and finds the lot by so much lighter.
func TestFruitFromCrateToClosed(t *testing.T) {
	p := open(t, "/fruit", desktopWide, desktopHigh)
	p.until(`document.querySelectorAll('[data-lot]').length >= 5`)
	// What cannot wait stands first.
	p.until(`document.querySelector('[data-lot]').innerText.includes('the chapel plums') && document.querySelector('[data-lot] [data-fit]').innerText.includes('today')`)
	p.accessible("fruit")
	set := func(field, value string) {
		sel := chromedp.CSS(`[data-field="lot-` + field + `"]`)
		p.do(chromedp.Focus(sel), chromedp.Evaluate[chromedp.Void](`document.activeElement.select?.()`), chromedp.SendKeys(sel, value))
	}
	p.do(chromedp.SetValue(chromedp.CSS(`[data-field="lot-kind"]`), "nectarine"))
	p.do(chromedp.Evaluate[chromedp.Void](`document.querySelector('[data-field="lot-kind"]').dispatchEvent(new Event('change'))`))
	set("bought", "3 tubs")
	set("name", "tin bath")
	p.do(chromedp.Click(chromedp.CSS(`[data-keep-lot]`)))
	p.until(`document.querySelector('[data-problem="bought"]')?.innerText.includes('weigh one') && document.querySelector('[data-field="lot-name"]').value === 'tin bath'`)
	set("bought", "half a bushel")
	p.do(chromedp.Click(chromedp.CSS(`[data-keep-lot]`)))
	lot := `[data-lot="tin bath"]`
	p.until(`document.querySelector('` + lot + `')?.innerText.includes('Say how ripe it is')`)
	p.do(chromedp.Click(chromedp.CSS(lot + ` [data-tap="ready"]`)))
	p.until(`document.querySelector('` + lot + ` [data-fit]').innerText.includes('Fit to can till')`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh))

	p.do(chromedp.Click(chromedp.CSS(lot + ` [data-make="nectarines"]`)))
	p.says(timeShown, "35")
	p.says(`button[data-field="lots"]`, "tin bath")
	p.until(`document.querySelector('[data-fruit]').innerText === '24 lb'`)
	p.write("amount", "30 lb")
	p.until(`document.querySelector('[data-lot-note]')?.innerText.includes('6 lb short')`)
	p.write("amount", "18 lb")
	p.settled()
	p.do(chromedp.Click(chromedp.CSS(`[data-save]`)))
	p.says(`[data-save]`, "Save changes")
	p.do(chromedp.Click(chromedp.CSS(`[data-close]`)))
	p.dialogCovers()
	p.write("closed-fruit", "40 lb")
	p.until(`document.querySelector('[data-problem="fruit"]')?.innerText.includes('less than that')`)
	p.write("closed-fruit", "18 lb")
	p.until(`!document.querySelector('[data-close-dialog]') && document.querySelector('[role="status"]').innerText.includes('Closed.')`)
	p.until(`document.querySelector('[data-learned]')?.innerText.includes('one batch of yours')`)

	p.do(chromedp.Click(chromedp.CSS(`nav a[href="/fruit"]`)))
	p.until(`document.querySelector('` + lot + ` [data-left]').innerText === '6 lb' && document.querySelector('[data-closing]').innerText.toLowerCase().includes('nectarines')`)
	p.do(chromedp.Click(chromedp.CSS(lot + ` [data-gone]`)))
	p.until(`!document.querySelector('` + lot + `')`)
	p.do(chromedp.Click(chromedp.CSS(`[role="status"] button`)))
	p.until(`!!document.querySelector('` + lot + `')`)
}

// TestOwnPots keeps a burner and a pot that stands on it, and plans a batch in it.
func TestOwnPots(t *testing.T) {
	p := open(t, "/kitchen/pots", desktopWide, desktopHigh)
	p.until(`document.querySelector('[data-pot="the fish kettle"]')?.innerText.includes('Quarts: too shallow by 2.1 cm')`)
	p.accessible("pots")
	set := func(field, value string) {
		sel := chromedp.CSS(`[data-field="pot-` + field + `"]`)
		p.do(chromedp.Focus(sel), chromedp.Evaluate[chromedp.Void](`document.activeElement.select?.()`), chromedp.SendKeys(sel, value))
	}
	set("name", "the copper")
	set("across", "wide")
	set("depth", "40 cm")
	p.do(chromedp.Click(chromedp.CSS(`[data-save]`)))
	p.until(`document.querySelector('[data-problem="across"]')?.innerText.includes('accepted') && document.querySelector('[data-field="pot-name"]').value === 'the copper'`)
	set("across", "50 cm")
	p.do(chromedp.Click(chromedp.CSS(`[data-save]`)))
	p.until(`/takes .*quarts/.test(document.querySelector('[data-pot="the copper"]')?.innerText ?? '')`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh), chromedp.Click(chromedp.CSS(`nav a[href="/batch"]`)))
	p.says(timeShown, "35")
	p.until(`document.querySelector('[data-water]').innerText.includes('before the jars') && document.querySelector('[data-heating]').innerText.includes('boils after')`)
	p.do(chromedp.Click(chromedp.CSS(`button[data-field="canner"]`)), chromedp.Click(chromedp.JSPath(`[...document.querySelectorAll('[role="option"]')].find(e => e.innerText.includes('the fish kettle'))`)))
	p.until(`document.querySelector('[data-canner-note]')?.innerText.includes('too shallow by 4.6 cm')`)
	p.choose("jar", "pint")
	p.until(`document.querySelector("[data-loads]")?.innerText.includes("pints")`)
	p.do(chromedp.Navigate(demo.program.Address + "/kitchen/pots"))
	p.do(chromedp.Click(chromedp.CSS(`[data-pot="the copper"] button:nth-of-type(2)`)))
	p.until(`!document.querySelector('[data-pot="the copper"]')`)
}

// TestJarsAtHand counts jars, sees what is short, and spreads fruit over what is there.
func TestJarsAtHand(t *testing.T) {
	p := open(t, "/kitchen/stock", desktopWide, desktopHigh)
	p.until(`document.querySelector('[data-field="owned-pint"]')?.value === '60'`)
	p.accessible("stock")
	p.do(chromedp.Click(chromedp.CSS(`[data-cracked="pint"]`)))
	p.until(`document.querySelector('[data-field="owned-pint"]').value === '59'`)
	set := func(field, value string) {
		sel := chromedp.CSS(`[data-field="` + field + `"]`)
		p.do(chromedp.Focus(sel), chromedp.Evaluate[chromedp.Void](`document.activeElement.select()`), chromedp.SendKeys(sel, value))
	}
	set("full-half-pint", "99")
	p.do(chromedp.Click(chromedp.CSS(`[data-save]`)))
	p.until(`document.querySelector('[role="alert"]')?.innerText.includes('no more than 36 can be full')`)
	set("full-half-pint", "20")
	set("lids-regular", "40")
	p.do(chromedp.Click(chromedp.CSS(`[data-save]`)))
	p.until(`document.querySelector('[role="status"]')?.innerText.includes('Kept')`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh), chromedp.Click(chromedp.CSS(`nav a[href="/batch"]`)))
	p.says(timeShown, "35")
	p.write("amount", "3 bushels")
	p.until(`document.querySelector('[data-short]')?.innerText.startsWith('Short by')`)
	p.write("amount", "24 lb")
	p.settled()
	p.press(`[data-open-spread]`)
	p.until(`document.querySelectorAll('[data-spread] figure').length >= 1 && document.querySelector('[data-spread-text]').innerText.includes(' and ')`)
	p.dialogCovers()
	p.accessible("spread")
	p.do(chromedp.Click(chromedp.CSS(`[data-sizes="1"]`)))
	p.until(`!document.querySelector('[data-spread-text]').innerText.includes(' and ')`)
}

// TestGetReady lays things out for a batch, ticks one, adds a second batch, and takes
// the list as text.
func TestGetReady(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	p.saved()
	p.do(chromedp.Click(chromedp.JSPath(`[...document.querySelectorAll('[data-batch]')].find(e => e.innerText.startsWith('Pears') || e.innerText.startsWith('pears'))`)))
	p.until(`!!document.querySelector('[data-get-ready]')`)
	p.do(chromedp.Click(chromedp.CSS(`[data-get-ready]`)))
	p.until(`document.querySelectorAll('[data-item]').length > 10`)
	p.accessible("get ready")
	before := p.read(`document.querySelector('[data-ready-left]').innerText`)
	p.do(chromedp.Click(chromedp.CSS(`[data-item="funnel"] input`)))
	p.until(`document.querySelector('[data-item="funnel"]').classList.contains('done')`)
	p.do(chromedp.Reload())
	p.until(`document.querySelector('[data-item="funnel"] input')?.checked === true && document.querySelector('[data-ready-left]').innerText !== ` + "`" + before + "`")
	p.do(chromedp.Click(chromedp.JSPath(`[...document.querySelectorAll('[data-for]')].find(e => !e.checked)`)))
	p.until(`/,/.test(decodeURIComponent(location.search)) && document.querySelectorAll('[data-item]').length > 12`)
	p.until(`fetch(document.querySelector('[data-text]').href).then(r => r.text()).then(t => window.listText = t) && (window.listText ?? '').includes('[ ] Funnel')`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
}
