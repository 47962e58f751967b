package e2e

import (
	"os"
	"path/filepath"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
)

// file gives a file of the given text to a file field, as a cook picks one.
func (p page) file(field, name, text string) {
	p.t.Helper()
	path := filepath.Join(p.t.TempDir(), name)
	if err := os.WriteFile(path, []byte(text), 0o600); err != nil {
		p.t.Fatal(err)
	}
	p.do(chromedp.SetUploadFiles(chromedp.CSS(`input[data-field="`+field+`"]`), []string{path}))
}

// TestLiquidBench compares the liquids of a batch, takes one, and brings a syrup that
// is left over to its strength.
func TestLiquidBench(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	p.until(`document.querySelector('[data-cutout]').innerText.includes('about 14 °Brix; the fruit by itself 10')`)
	p.press(`[data-open-bench]`)
	p.until(`document.querySelectorAll('[data-liquid]').length === 13 && document.querySelector('[data-liquid].chosen').innerText.includes('Light syrup, now')`)
	p.dialogCovers()
	p.accessible("liquids side by side")
	p.write("fruit-brix", "14")
	p.until(`document.querySelector('[data-liquid].chosen').innerText.includes('16.4')`)
	p.do(chromedp.Click(chromedp.CSS(`[data-pick="apple juice"]`)))
	p.until(`!document.querySelector('[data-bench]') && document.querySelector('[aria-label="Liquid"] h2').innerText.toLowerCase().includes('apple juice')`)
	p.says(timeShown, "35")

	p.press(`[data-open-bench]`)
	p.do(chromedp.Click(chromedp.CSS(`[role="tab"]:nth-child(2)`)))
	p.write("adjust-have", "1.3 l")
	p.write("adjust-reading", "20")
	p.write("adjust-want", "30")
	p.until(`document.querySelector('[data-adjusted-is]')?.innerText.includes('at 20 °Brix') && document.querySelector('[data-adjusted-stir]').innerText.includes('granulated sugar')`)
	p.accessible("a syrup that is there")
	p.write("adjust-have", "a good deal")
	p.until(`!!document.querySelector('[data-problem="have"]') && !document.querySelector('[data-adjusted-is]') && document.querySelector('[data-field="adjust-have"]').value === 'a good deal'`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.KeyEvent(kb.Escape))
	p.until(`!document.querySelector('[data-bench]')`)
}

// TestEveryLiquidInTheSentence says each school's liquid in the sentence and reads
// its strength.
func TestEveryLiquidInTheSentence(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	p.choose("liquid", "gallon")
	p.says(brixShown, "13.7 °Brix")
	p.write("gallonCups", "2")
	p.says(brixShown, "9.6 °Brix")
	p.choose("liquid", "in-jar")
	p.write("jarSugar", "1/3 cup")
	p.says(brixShown, "17.3 °Brix")
	p.write("jarSugar", "5 cups")
	p.until(`document.querySelector('[data-problem="liquid.sugar"]')?.innerText.includes('does not dissolve')`)
	p.write("jarSugar", "1/4 cup")
	p.choose("liquid", "own-juice")
	p.write("have", "1 qt")
	p.write("juiceBrix", "11")
	p.says(brixShown, "5.4 °Brix")
	p.until(`document.querySelector('[aria-label="Liquid"]').innerText.includes('water to top it up') || document.querySelector('[aria-label="Liquid"]').innerText.includes('Water to top it up')`)
	p.choose("liquid", "syrup light")
	p.choose("sweetener", "no-sugar")
	p.until(`!!document.querySelector('[data-caution="no-sugar-sweetener"]')`)
	p.product("pineapple", "pineapple")
	p.choose("cores", "yes")
	p.until(`document.querySelector('[aria-label="Liquid"]').innerText.includes('Simmer the cores')`)
	p.do(chromedp.Click(chromedp.CSS(`[data-save]`)))
	p.says(`[data-save]`, "Save changes")
	p.do(chromedp.Reload())
	p.says(`button[data-field="cores"]`, "cores simmered in it")
}

// TestSaucesAndBlends sweetens by taste, blends, and is turned away for a mango.
func TestSaucesAndBlends(t *testing.T) {
	p := open(t, "/batch", desktopWide, desktopHigh)
	p.says(timeShown, "35")
	p.product("applesauce", "applesauce")
	p.says(timeShown, "30")
	p.choose("liquid", "per-quart")
	p.until(`[...document.querySelectorAll('[data-recipe-note]')].some(e => e.innerText.includes('14.2 °Brix'))`)
	p.choose("blend", "pear")
	p.do(chromedp.KeyEvent(kb.Escape))
	p.says(timeShown, "35")
	p.choose("blend", "mango")
	p.do(chromedp.KeyEvent(kb.Escape))
	p.until(refused)
	p.says(`[data-alternative]`, "of apple and pear alone 35 min")
	p.do(chromedp.Click(chromedp.CSS(`[data-alternative]`)))
	p.says(timeShown, "35")
	p.product("grape juice", "grape-juice")
	p.choose("dilute", "2")
	p.until(`[...document.querySelectorAll('[data-recipe-note]')].some(e => e.innerText.includes('12 glasses'))`)
}

// TestSchoolsInTheBrowser chooses a school, sees new batches start by it, and finds
// the reason of a refused one.
func TestSchoolsInTheBrowser(t *testing.T) {
	p := open(t, "/kitchen", desktopWide, desktopHigh)
	p.do(chromedp.Click(chromedp.CSS(`[data-schools-link]`)))
	p.until(`document.querySelectorAll('[data-question]').length === 15 && document.querySelector('[data-refused="oven"]').innerText.includes('strains the glass')`)
	p.accessible("schools")
	p.do(chromedp.Click(chromedp.CSS(`[data-question="rest"] [data-school="10"]`)))
	p.until(`document.querySelector('[role="status"]').innerText.includes('kept')`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh), chromedp.Click(chromedp.CSS(`nav a[href="/batch"]`)))
	p.until(`document.querySelector('[aria-label="Canner loads"]')?.innerText.includes('Wait 10 minutes')`)
	p.do(chromedp.Navigate(demo.program.Address + "/kitchen/schools"))
	p.do(chromedp.Click(chromedp.CSS(`[data-question="rest"] [data-school="5"]`)))
	p.until(`document.querySelector('[data-question="rest"] [data-school="5"]').checked && document.querySelector('[role="status"]').innerText.includes('kept')`)
}

// TestFilesFromTheCook brings places and own sources, good and bad.
func TestFilesFromTheCook(t *testing.T) {
	p := open(t, "/kitchen/sources", desktopWide, desktopHigh)
	p.until(`!!document.querySelector('[data-export]')`)
	p.file("sources-file", "bad.json", `{"format": "mellisca-own-sources/1",
 "sources": [{"name": "x"}]}`)
	p.until(`document.querySelector('[data-file-problem]')?.innerText.includes('Nothing was taken over. Line 2, sources[0].title')`)
	p.file("sources-file", "good.json", `{"format": "mellisca-own-sources/1", "sources": [{"name": "quince halves", "title": "Made-up Leaves", "year": 1999,
		"page": "3", "product": "quince", "pack": "hot", "largest": "pint", "minutes": 25, "headspace": "1/2 in"}]}`)
	p.until(`document.querySelector('[data-file-said]').innerText.includes('1 new') && document.body.innerText.includes('quince halves')`)

	p.do(chromedp.Navigate(demo.program.Address+"/kitchen"), chromedp.Click(chromedp.CSS(`[data-way="place"]`)), chromedp.Click(chromedp.CSS(`details summary`)))
	p.file("places-file", "places.csv", "name,altitude\nMy yard,high up\n")
	p.until(`document.querySelector('[role="alert"]')?.innerText.includes('Line 2, altitude')`)
	p.file("places-file", "places.csv", "name;altitude\nMy yard;3,512 ft\n")
	p.until(`[...document.querySelectorAll('[role="status"]')].some(e => e.innerText.includes('1 places') || e.innerText.includes('1 place'))`)
	p.write("place", "my y")
	p.do(chromedp.Click(chromedp.CSS(`[data-place="My yard"]`)))
	p.until(`document.querySelector('[data-field="kitchen-altitude"]').value === '3,512 ft'`)
}
