package e2e

import (
	"bytes"
	"compress/gzip"
	"context"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
)

// TestFreshKitchen starts without any data: three things first, and no time until
// the altitude is given.
func TestFreshKitchen(t *testing.T) {
	program, err := Start(context.Background(), "serve", "--data", t.TempDir())
	if err != nil {
		t.Fatal(err)
	}
	p := openAt(t, program.Address, desktopWide, desktopHigh)
	p.until(`!!document.querySelector('[data-welcome]') && document.querySelector('[data-save]').disabled`)
	p.accessible("welcome")
	p.do(chromedp.Click(chromedp.CSS(`[data-later]`)))
	p.until(`!!document.querySelector('[data-missing="altitude"]') && !document.querySelector('[data-time]')`)
	p.says(jarsShown, "5 quarts")
	p.do(chromedp.Navigate(program.Address))
	p.write("kitchen-altitude", "1061")
	p.until(`document.querySelector('[role="alert"]')?.innerText.includes('needs its unit') && document.querySelector('[data-field="kitchen-altitude"]').value === '1061'`)
	p.write("kitchen-altitude", "2,950 ft")
	p.until(`document.querySelector('[data-band]')?.innerText.includes('1,001 to 3,000 ft') && document.querySelector('[data-band]').innerText.includes('51 ft higher')`)
	p.do(chromedp.Click(chromedp.CSS(`[data-cautious]`)))
	p.until(`document.querySelector('[data-band]')?.innerText.includes('3,001 to 6,000 ft') && document.querySelector('[data-field="kitchen-altitude"]').value === '3,001 ft'`)
	p.do(chromedp.Click(chromedp.CSS(`[data-way="place"]`)))
	p.write("place", "corv")
	p.do(chromedp.Click(chromedp.CSS(`[data-place="Corvane"]`)))
	p.until(`document.querySelector('[data-field="kitchen-altitude"]')?.value === '3,480 ft'`)
	p.do(chromedp.Click(chromedp.CSS(`[data-way="boiling"]`)))
	p.write("boils-at", "400 °F")
	p.until(`document.querySelector('[role="alert"]')?.innerText.includes('hold the thermometer')`)
	p.write("boils-at", "205.4 °F")
	p.until(`document.querySelector('[data-boils-answer]')?.innerText.includes('Weather moves it')`)
	p.do(chromedp.Click(chromedp.CSS(`[data-take]`)))
	p.until(`document.querySelector('[data-band]')?.innerText.includes('3,001 to 6,000 ft')`)
	p.do(chromedp.Click(chromedp.CSS(`input[value="metric"]`)), chromedp.Click(chromedp.CSS(`[data-jar="1-l"]`)), chromedp.Click(chromedp.CSS(`[data-jar="500-ml"]`)))
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh), chromedp.Click(chromedp.CSS(`[data-save]`)))
	p.says(timeShown, "35")
	p.says(`button[data-field="jar"]`, "1 litre jars")
	p.until(`document.querySelector('[data-field="altitude"]').value.endsWith(' m') || document.querySelector('[data-field="altitude"]').value.endsWith(' ft')`)
	if err := program.Stop(); err != nil {
		t.Errorf("SIGTERM: %v", err)
	}
	// The page says so when the program is gone, and keeps what was typed.
	p.write("amount", "20 lb")
	p.until(`document.querySelector('[data-problem]')?.innerText.includes('does not answer') && document.querySelector('[data-field="amount"]').value === '20 lb'`)
}

// TestDemoHasEveryGroup finds a saved batch of each group of the job, none refused by mistake.
func TestDemoHasEveryGroup(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	p.saved()
	for _, headline := range []string{"peaches", "pears", "pineapple", "berries", "applesauce", "apple pie filling", "grape juice"} {
		p.until(`[...document.querySelectorAll('[data-batch]')].some(e => e.innerText.toLowerCase().includes('` + headline + `') && / min\n/.test(e.innerText + '\n'))`)
	}
}

// TestPrintedCard holds the paper to what the cook needs beside the stove.
func TestPrintedCard(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	pdf, err := chromedp.Run(p.ctx, chromedp.PrintToPDF())
	if err != nil {
		t.Fatal(err)
	}
	if pages := len(regexp.MustCompile(`/Type\s*/Page\b[^s]`).FindAll(pdf, -1)); pages != 1 {
		t.Errorf("the card takes %d sheets", pages)
	}
	card := p.read(`document.querySelector('.card').textContent`)
	for _, want := range []string{"35 min", "3,001 to 6,000 ft", "5 quarts", "12 lb", "granulated sugar", "Headspace 1/2 in", "Complete Guide to Home Canning, Guide 2: Peaches (2015)", "current printed guide"} {
		if !strings.Contains(card, want) {
			t.Errorf("the card does not say %q", want)
		}
	}
}

// TestFirstLoad weighs what the first page loads: script as it travels, and fonts.
func TestFirstLoad(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	names := strings.Fields(p.read(`performance.getEntriesByType('resource').map(e => new URL(e.name).pathname).filter(n => n.startsWith('/assets/')).join(' ')`))
	script, fonts := 0, 0
	for _, name := range names {
		switch filepath.Ext(name) {
		case ".woff2":
			fonts++
		case ".js":
			raw, err := os.ReadFile(filepath.Join(Root(), "web", "dist", name))
			if err != nil {
				t.Fatal(err)
			}
			var packed bytes.Buffer
			w := gzip.NewWriter(&packed)
			_, _ = w.Write(raw)
			w.Close()
			script += packed.Len()
		}
	}
	t.Logf("%d bytes of gzipped script, %d fonts", script, fonts)
	if script == 0 || script > 120_000 || fonts != 2 {
		t.Errorf("first load: %d bytes of gzipped script, %d fonts", script, fonts)
	}
}

// TestTables comes from a time to its row, ticks it, and finds the tick after a reload.
func TestTables(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	p.do(chromedp.Click(chromedp.CSS(`.source a`)))
	p.until(`location.pathname === '/kitchen/tables' && location.hash === '#peaches' && !!document.querySelector('[data-part="peaches"].here')`)
	p.until(`(r => r.top >= 0 && r.bottom <= innerHeight)(document.querySelector('[data-part="peaches"]').getBoundingClientRect())`)
	row := `[...document.querySelectorAll('[data-part="peaches"] tbody tr')].find(r => r.innerText.startsWith('hot, quart'))`
	p.until(row + `.querySelector('.own').innerText === '35'`)
	before := p.read(`document.querySelector('[data-checked]').innerText`)
	p.do(chromedp.Click(chromedp.CSS(`[data-part="peaches"] [data-tick]`)))
	p.until(`document.querySelector('[data-part="peaches"] [data-tick]').innerText.startsWith('Checked against my printed guide, ')`)
	p.do(chromedp.Reload())
	p.until(`document.querySelector('[data-part="peaches"] [data-tick]')?.getAttribute('aria-pressed') === 'true'`)
	p.accessible("tables")
	p.do(chromedp.Click(chromedp.CSS(`[data-part="peaches"] [data-tick]`)))
	p.until(`document.querySelector('[data-checked]').innerText === ` + "`" + before + "`")
	p.write("find", "tomato")
	p.until(`!document.querySelector('[data-part]') && document.body.innerText.includes('no tested time')`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.write("find", "apple")
	p.until(`document.querySelectorAll('[data-part]').length === 7`)
	p.noSidewaysScroll()
}

// TestOwnSource adds a recipe by its published source, plans by it, and sees it
// marked; one for what no source makes safe is turned away with its reason.
func TestOwnSource(t *testing.T) {
	p := open(t, "/kitchen/sources", desktopWide, desktopHigh)
	p.until(`!!document.querySelector('[data-sources] form')`)
	fill := func(fields ...string) {
		for i := 0; i+1 < len(fields); i += 2 {
			sel := chromedp.CSS(`[data-field="source-` + fields[i] + `"]`)
			p.do(chromedp.Focus(sel), chromedp.Evaluate[chromedp.Void](`document.activeElement.select?.()`), chromedp.SendKeys(sel, fields[i+1]))
		}
	}
	fill("name", "crab apples in syrup", "title", "A Made-up Book of Jars", "year", "1988", "page", "41", "minutes", "20")
	p.do(chromedp.SetValue(chromedp.CSS(`[data-field="source-product"]`), "banana"))
	p.do(chromedp.Evaluate[chromedp.Void](`document.querySelector('[data-field="source-product"]').dispatchEvent(new Event('change'))`))
	p.do(chromedp.Click(chromedp.CSS(`[data-save]`)))
	p.until(`document.querySelector('[data-problem="product"]')?.innerText.includes('not acid enough') && document.querySelector('[data-field="source-name"]').value === 'crab apples in syrup'`)
	p.do(chromedp.SetValue(chromedp.CSS(`[data-field="source-product"]`), "crab-apples"))
	p.do(chromedp.Evaluate[chromedp.Void](`document.querySelector('[data-field="source-product"]').dispatchEvent(new Event('change'))`))
	p.do(chromedp.Click(chromedp.CSS(`[data-save]`)))
	p.until(`[...document.querySelectorAll('[data-source]')].some(e => e.innerText.includes('A Made-up Book of Jars (1988), page 41'))`)
	p.accessible("own sources")
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh), chromedp.Click(chromedp.CSS(`nav a[href="/batch"]`)))

	p.says(timeShown, "35")
	p.product("crab", "own:crab apples in syrup")
	p.until(refused) // the source is for pints
	p.says(`[data-alternative]`, "in pints 30 min")
	p.do(chromedp.Click(chromedp.CSS(`[data-alternative]`)))
	p.says(timeShown, "30")
	p.until(`document.querySelector('[data-verdict="own-source"]').innerText.includes('Own source') && !!document.querySelector('[data-caution="own-source"]')`)
	p.write("amount", "6 jars")
	p.says(jarsShown, "6 pints")
	p.do(chromedp.Click(chromedp.CSS(`[data-save]`)))
	p.says(`[data-save]`, "Save changes")
	p.saved()
	p.until(`[...document.querySelectorAll('[data-batch]')].some(e => e.innerText.includes('own source'))`)
	p.do(chromedp.Reload())
	p.says(timeShown, "30")
	p.choose("method", "oven")
	p.until(refused)
}
