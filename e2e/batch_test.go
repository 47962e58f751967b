package e2e

import (
	"fmt"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
)

const (
	timeShown   = `[data-time]`
	jarsShown   = `[data-jars]`
	syrupShown  = `[data-syrup]`
	brixShown   = `[data-brix]`
	loadsShown  = `[data-loads]`
	refused     = `!!document.querySelector('[data-verdict="refused"]') && !document.querySelector('[data-time]')`
	desktopWide = 1280
	desktopHigh = 800
)

// TestSentence changes each part of the sentence and reads the answers off the page.
func TestSentence(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	p.says(jarsShown, "5 quarts")
	p.says(brixShown, "20 °Brix")
	p.says(loadsShown, "1 load of 5 quarts")

	p.write("amount", "half a bushel")
	p.says(jarsShown, "9 quarts") // the two of Corvane get a little less than the guide says
	p.says(loadsShown, "2 loads: 1 of 5 quarts, 1 of 4")
	p.write("amount", "7 jars")
	p.says(jarsShown, "7 quarts")
	p.says(`[data-fruit]`, "17 lb 12 oz")

	p.choose("liquid", "syrup medium")
	p.says(brixShown, "30 °Brix")
	p.says(syrupShown, "Water 9 1/4 cups 2.19 l Granulated sugar 4 2/3 cups 2 lb 1 oz")
	p.choose("sweetener", "honey")
	p.until(`document.querySelector('[data-syrup]').innerText.includes('Honey') && !document.querySelector('[data-syrup]').innerText.includes('Granulated')`)
	p.choose("liquid", "ratio")
	p.says(brixShown, "17.5 °Brix")
	p.write("waterParts", "8")
	p.says(brixShown, "9.6 °Brix")

	p.choose("pack", "raw")
	p.says(timeShown, "40")
	p.choose("jar", "pint")
	p.says(timeShown, "35")
	p.says(jarsShown, "7 pints")
	p.write("altitude", "6,001 ft")
	p.says(timeShown, "40")
	p.write("altitude", "300 m")
	p.says(timeShown, "25")

	p.product("apples", "applesauce")
	p.until(`document.querySelector('[data-field="liquid"]').innerText === 'no sugar' && !document.querySelector('[data-field="form"]')`)
	p.onlyOwnFiles()
}

// TestRefusalAndWayOut takes a refused pick and leaves it by button.
func TestRefusalAndWayOut(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	p.product("pears", "pears")
	p.says(timeShown, "35")
	p.choose("pack", "raw")
	p.until(refused)
	p.says(`[data-reason="pack-not-tested"]`, "No raw pack of pears has been tested.")
	p.says(`[data-alternative]`, "hot pack 35 min")
	p.do(chromedp.Click(chromedp.CSS(`[data-alternative]`)))
	p.says(timeShown, "35")
	p.says(`button[data-field="pack"]`, "hot")

	p.choose("method", "inversion")
	p.until(refused)
	p.do(chromedp.Click(chromedp.CSS(`[data-alternative]`)))
	p.says(`button[data-field="method"]`, "boiling water")

	// What is in the jar counts, and so do the jars; both are put right by one button.
	p.do(chromedp.Click(chromedp.CSS(`[data-conditions]`)))
	p.choose("extras", "butter")
	p.do(chromedp.KeyEvent(kb.Escape))
	p.until(refused)
	p.choose("jars", "one-trip")
	p.until(`!!document.querySelector('[data-reason="dairy-egg-fat"]') && !!document.querySelector('[data-reason="one-trip-jar"]')`)
	p.do(chromedp.Click(chromedp.CSS(`[data-alternative]`)))
	p.says(timeShown, "35")
	p.says(`button[data-field="extras"]`, "nothing else")

	// Something nobody tested has a way on too.
	p.product("kumquat", "other")
	p.until(refused)
	p.until(`document.querySelector('[data-reason="product-not-tested"]').innerText.includes('kumquat') && document.querySelector('.instead').innerText.includes('Freeze')`)
}

// TestNoTimeUnderASentenceItWasNotMadeFor types nonsense and sees the answers go.
func TestNoTimeUnderASentenceItWasNotMadeFor(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	for field, bad := range map[string]string{"amount": "a lot", "altitude": "3480"} {
		p.says(timeShown, "35")
		before := p.read(fmt.Sprintf(`document.querySelector('[data-field=%q]').value`, field))
		p.write(field, bad)
		p.until(`!document.querySelector('[data-plan]') && document.querySelector('[data-problem]').innerText.includes('accepted')`)
		if kept := p.read(fmt.Sprintf(`document.querySelector('[data-field=%q]').value`, field)); kept != bad {
			t.Errorf("what was typed was lost: %q", kept)
		}
		if p.read(`document.querySelector('[data-save]').disabled`) != "true" {
			t.Error("it could be saved")
		}
		p.write(field, before)
	}
	p.says(timeShown, "35")
	p.write("amount", "1000000000 lb")
	p.until(`document.querySelector('[data-problem]')?.innerText.includes('too large')`)
}

// TestSaveReloadDeleteUndo keeps a batch, finds it after a reload, deletes it and brings it back.
func TestSaveReloadDeleteUndo(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	p.product("rhubarb", "rhubarb")
	p.says(timeShown, "20")
	p.write("amount", "9 lb")
	p.write("note", "for the “pass” <b>hut</b>")
	p.do(chromedp.Click(chromedp.CSS(`[data-save]`)))
	p.until(`/\/batch\/[a-z0-9]{8,}/.test(location.pathname)`)
	p.says(`[data-save]`, "Save changes")
	p.until(`document.querySelector('[role="status"]').innerText.includes('Saved.')`)
	id := strings.TrimPrefix(p.read(`location.pathname`), "/batch/")

	p.do(chromedp.Reload())
	p.says(timeShown, "20")
	p.until(`document.querySelector('[data-field="amount"]').value === '9 lb' && document.querySelector('[data-field="note"]').value.startsWith('for the “pass” <b>hut</b>')`)
	line := fmt.Sprintf(`[data-batch=%q]`, id)
	p.saved()
	p.until(fmt.Sprintf(`document.querySelector('%s').innerText.includes('hubarb')`, line))
	p.do(chromedp.KeyEvent(kb.Escape))
	p.until(`!document.querySelector('[role="dialog"]')`)

	p.write("amount", "12 lb")
	p.settled()
	p.do(chromedp.Click(chromedp.CSS(`[data-save]`)))
	p.until(`document.querySelector('[role="status"]').innerText.includes('Changes saved')`)

	p.do(chromedp.Click(chromedp.CSS(`[aria-label="Delete this batch"]`)))
	p.until(`document.querySelector('[role="status"]').innerText.includes('Deleted')`)
	p.saved()
	p.until(fmt.Sprintf(`!document.querySelector('%s')`, line))
	p.do(chromedp.KeyEvent(kb.Escape))
	p.do(chromedp.Click(chromedp.CSS(`[role="status"] button`)))
	p.until(fmt.Sprintf(`location.pathname.endsWith(%q)`, id))
	p.until(`document.querySelector('[data-field="amount"]').value === '12 lb'`)
}

// TestKeyboardOnly plans and saves without the mouse.
func TestKeyboardOnly(t *testing.T) {
	p := open(t, "/kitchen", desktopWide, desktopHigh)
	p.until(`!!document.querySelector('[data-band]')`)
	p.do(chromedp.KeyEvent("b"))
	p.says(timeShown, "35")
	p.do(chromedp.KeyEvent("?"))
	p.dialogCovers()
	p.do(chromedp.KeyEvent(kb.Escape))
	p.until(`!document.querySelector('[role="dialog"]')`)

	p.tabTo(`document.activeElement.dataset.field === 'pack'`)
	if p.read(`getComputedStyle(document.activeElement).outlineStyle`) == "none" {
		t.Error("the focus cannot be seen")
	}
	p.do(chromedp.KeyEvent(" "))
	p.until(`document.activeElement.getAttribute('role') === 'listbox'`)
	p.do(chromedp.KeyEvent(kb.ArrowUp))
	p.until(`!!document.querySelector('[role="option"].active[data-value="raw"]')`)
	p.enter()
	p.says(timeShown, "40")
	p.tabTo(`'save' in document.activeElement.dataset`)
	p.enter()
	p.until(`/\/batch\/[a-z0-9]{8,}/.test(location.pathname)`)
	p.do(chromedp.KeyEvent("k"))
	p.until(`location.pathname === '/kitchen'`)
}

// tabTo presses Tab until the focus is where it is wanted.
func (p page) tabTo(js string) {
	p.t.Helper()
	var passed []string
	for range 60 {
		p.do(chromedp.KeyEvent(kb.Tab))
		if p.read(js) == "true" {
			return
		}
		passed = append(passed, p.read(`document.activeElement.outerHTML.slice(0, 70)`))
	}
	p.t.Fatalf("Tab never came to %s, but to\n%s", js, strings.Join(passed, "\n"))
}

// TestPhone does the work at 390 px, where nothing may scroll sideways.
func TestPhone(t *testing.T) {
	p := open(t, "/batch", 390, 844)
	p.says(timeShown, "35")
	p.noSidewaysScroll()
	p.choose("jar", "pint-wide")
	p.says(jarsShown, "10 wide-mouth pints")
	p.noSidewaysScroll()
	p.product("apple", "apple-pie-filling")
	p.write("amount", "40 jars")
	p.says(jarsShown, "40 wide-mouth pints")
	p.noSidewaysScroll()
	p.press(`[data-save]`)
	p.until(`location.pathname.startsWith('/batch/')`)
	p.until(`!!document.querySelector('[data-close]')`)
	if out := p.read(`[...document.querySelectorAll('footer .key')].filter(e => { const r = e.getBoundingClientRect(); return r.left < 0 || r.right > innerWidth || r.bottom > innerHeight || r.height < 48 }).map(e => e.innerText).join(', ')`); out != "" {
		t.Errorf("out of sight or reach on a phone: %s", out)
	}
}

func TestPhoneStations(t *testing.T) {
	for _, path := range []string{"/batch", "/fruit", "/kitchen", "/kitchen/pots"} {
		p := open(t, path, 390, 844)
		p.until(`!!document.querySelector('[data-plan], [data-band], [data-fruit-station], [data-pots]')`)
		p.noSidewaysScroll()
		if small := p.read(`[...document.querySelectorAll('button, input:not([type=radio]):not([type=checkbox]), nav a')].filter(e => e.offsetParent && e.getBoundingClientRect().height < 47.5 && !e.classList.contains('open')).map(e => e.outerHTML.slice(0, 80)).join('\n')`); small != "" {
			t.Errorf("%s: too small for a knuckle:\n%s", path, small)
		}
	}
}

// TestAccessible runs axe-core on every state of the stations, by day and by evening.
func TestAccessible(t *testing.T) {
	for _, scheme := range []string{"light", "dim"} {
		p := open(t, "/batch", desktopWide, desktopHigh)
		p.do(chromedp.Evaluate[chromedp.Void](`localStorage.setItem('mellisca.scheme', '` + scheme + `')`))
		p.do(chromedp.Reload())
		p.says(timeShown, "35")
		p.settled()
		p.accessible(scheme + " tested")
		p.do(chromedp.Click(chromedp.CSS(`button[data-field="form"]`)))
		p.until(`!!document.querySelector('[role="option"]')`)
		p.accessible(scheme + " listbox open")
		p.do(chromedp.KeyEvent(kb.Escape))
		p.choose("method", "sun")
		p.until(refused)
		p.settled()
		p.accessible(scheme + " refused")
		p.write("amount", "??")
		p.until(`!!document.querySelector('[data-problem]')`)
		p.accessible(scheme + " problem")
		p.do(chromedp.Navigate(demo.program.Address + "/kitchen"))
		p.until(`!!document.querySelector('[data-band]')`)
		p.accessible(scheme + " kitchen")
	}
}

// dialogCovers waits until a dialog lies over the whole window, in sight.
func (p page) dialogCovers() {
	p.t.Helper()
	p.until(`(d => !!d && (r => r.top === 0 && r.left === 0 && r.bottom >= innerHeight && r.right >= innerWidth - 20)(d.getBoundingClientRect()))(document.querySelector('[role="dialog"]'))`)
}

// TestWhy opens what each answer rests on, by one key, and comes back.
func TestWhy(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	for about, says := range map[string]string{"time": "25 minutes to 1,000 ft", "jars": "16 to 24 quarts", "liquid": "428 g of that is sugar", "loads": "= 3.18"} {
		p.press(`[data-why="` + about + `"]`)
		p.until(`document.querySelector('[role="dialog"]')?.innerText.includes('` + says + `')`)
		p.dialogCovers()
		if about == "time" {
			p.accessible("why")
		}
		p.do(chromedp.KeyEvent(kb.Escape))
		p.until(`!document.querySelector('[role="dialog"]')`)
	}
	p.choose("pack", "raw")
	p.product("pears", "pears")
	p.until(refused)
	p.do(chromedp.Click(chromedp.CSS(`[data-why="refusal"]`)))
	p.until(`document.querySelector('[role="dialog"]')?.innerText.includes('hot in pint, quart')`)
}
