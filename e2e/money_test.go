package e2e

import (
	"testing"

	"github.com/chromedp/chromedp"
)

// TestCosts opens what a jar costs, and changes a price: the jar costs more at once.
func TestCosts(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	p.write("amount", "24 lb")
	p.settled()
	p.until(`/\d/.test(document.querySelector('[data-cost]')?.innerText ?? '')`)
	before := p.read(`document.querySelector('[data-cost]').innerText`)
	p.press(`[data-open-costs]`)
	p.until(`document.querySelectorAll('[data-costs] dt').length >= 3`)
	p.dialogCovers()
	p.accessible("costs")
	p.write("price-lid", "much")
	p.until(`!!document.querySelector('[data-costs] [role="alert"]') && document.querySelector('[data-field="price-lid"]').value === 'much'`)
	p.write("price-lid", "42.90 for 12")
	p.until("(document.querySelector('[data-cost]')?.innerText ?? '') !== `" + before + "`")
	p.write("price-lid", "4.29 for 12")
	p.until("(document.querySelector('[data-cost]')?.innerText ?? '') === `" + before + "`")
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
}

// TestEarlierSeasons takes in what a notebook says, typed and as a file.
func TestEarlierSeasons(t *testing.T) {
	p := open(t, "/fruit", desktopWide, desktopHigh)
	p.until(`document.querySelectorAll('[data-closing]').length > 0 && document.querySelectorAll('[data-field="past-product"] option').length > 20`)
	p.press(`[data-past] summary`)
	p.pick("past-product", "rhubarb")
	p.write("past-fruit", "heaps")
	p.until(`document.querySelectorAll('[data-past] [data-problem]').length >= 3 && document.querySelector('[data-field="past-fruit"]').value === 'heaps'`)
	p.accessible("earlier seasons")
	p.retype("past-fruit", "11 lb")
	p.retype("past-jars", "7 quarts")
	p.retype("past-day", "2024")
	p.press(`[data-keep-past]`)
	p.until(`document.querySelector('[data-past-said]').innerText === 'One batch was taken in.'`)
	p.until(`[...document.querySelectorAll('[data-closing]')].some(e => /rhubarb/i.test(e.innerText) && e.innerText.includes('2024'))`)
	p.file("past-file", "notebook.csv", "year;product;fruit;quarts\n2023;rhubarb;many;7\n")
	p.until(`document.querySelector('[data-past] [data-file-problem]')?.innerText.includes('Nothing was taken over. Line 2, ')`)
	p.file("past-file", "notebook.csv", "year;product;fruit;pack;quarts\n2024;rhubarb;11 lb;hot;7\n2023;rhubarb;20 lb;hot;13\n")
	p.until(`document.querySelector('[data-past] [data-file-said]').innerText === 'One batch was taken in; 1 of the lines were here already.'`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
}

// pick chooses an option of a select.
func (p page) pick(field, value string) {
	p.t.Helper()
	p.do(chromedp.Evaluate[chromedp.Void](`(e => { e.value = "` + value + `"; e.dispatchEvent(new Event('change', { bubbles: true })) })(document.querySelector('[data-field="` + field + `"]'))`))
}

// retype replaces what stands in a field, without leaving it.
func (p page) retype(field, text string) {
	p.t.Helper()
	sel := chromedp.CSS(`[data-field="` + field + `"]`)
	p.do(chromedp.Focus(sel), chromedp.Evaluate[chromedp.Void](`document.activeElement.select()`), chromedp.SendKeys(sel, text))
}
