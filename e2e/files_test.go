package e2e

import (
	"io"
	"net/http"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
)

// TestFilesPage takes a file of jars out, changes it, looks at what it would do, takes it
// in, and finds a bad one refused with its line.
func TestFilesPage(t *testing.T) {
	address := ownProgram(t)
	p := openAt(t, address+"/kitchen/files", desktopWide, desktopHigh)
	p.until(`!!document.querySelector('[data-files]')`)
	p.accessible("in and out")
	res, err := http.Get(address + "/api/files/jars.csv")
	if err != nil {
		t.Fatal(err)
	}
	raw, err := io.ReadAll(res.Body)
	res.Body.Close()
	if err != nil {
		t.Fatal(err)
	}
	give := func(name, text string) {
		t.Helper()
		path := filepath.Join(t.TempDir(), name)
		if err := os.WriteFile(path, []byte(text), 0o600); err != nil {
			t.Fatal(err)
		}
		p.do(chromedp.SetUploadFiles(chromedp.CSS(`[data-file]`), []string{path}))
	}
	p.do(chromedp.Evaluate[chromedp.Void](`{const s = document.querySelector('[data-kind]'); s.value = 'jars'; s.dispatchEvent(new Event('change'))}`))
	give("bad.csv", strings.Replace(string(raw), ",quart,", ",bucket,", 1))
	p.until(`/Line \d+, jar: .bucket. is not understood/.test(document.querySelector('[data-problem]')?.innerText)`)
	give("jars.csv", strings.ReplaceAll(string(raw), "in light syrup", "in our light syrup"))
	p.until(`/jars.csv: It would add 0 and change \d+/.test(document.querySelector('[data-would]')?.innerText) && !document.querySelector('[data-problem]')`)
	p.press(`[data-take-in]`)
	p.until(`/Taken in: 0 new, \d+ changed/.test(document.querySelector('[data-did]')?.innerText)`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh), chromedp.KeyEvent("h"), chromedp.WaitVisible(chromedp.CSS(`[data-find]`)), chromedp.SendKeys(chromedp.CSS(`[data-find]`), "our light"))
	p.until(`document.querySelector('[data-found]')?.innerText.includes('in our light syrup')`)
}

// TestClosedBatchToTheShelf closes a batch by hand and puts what sealed of it on the shelf.
func TestClosedBatchToTheShelf(t *testing.T) {
	p := openAt(t, ownProgram(t)+"/batch", desktopWide, desktopHigh)
	p.saved()
	p.do(chromedp.Click(chromedp.JSPath(`[...document.querySelectorAll('[data-batch]')].find(e => e.innerText.toLowerCase().includes('apple pie filling'))`)))
	p.until(`document.querySelector('[data-plan][aria-busy="false"]')?.innerText.toLowerCase().includes('apple pie filling') && !!document.querySelector('[data-close]')`)
	p.press(`[data-close]`)
	p.until(`!!document.querySelector('[role="dialog"] form')`)
	p.write("closed-fruit", "14 lb")
	p.until(`!!document.querySelector('[data-to-shelf]') || !!document.querySelector('[role="dialog"] .problem')`)
	if problem := p.read(`document.querySelector('[role="dialog"] .problem')?.innerText ?? ''`); problem != "" {
		t.Fatal(problem)
	}
	p.press(`[data-to-shelf]`)
	p.until(`document.querySelector('[data-offered]')?.innerText.includes('whose seals held') && document.querySelector('[data-field="jar-count"]').value === '7'`)
	p.accessible("jars of a batch")
	p.write("jar-count", "6")
	p.until(`document.querySelector('[data-add-jars-page]').innerText.includes('6 quarts of apple pie filling: kept')`)
	p.until(`document.querySelector('[data-field="jar-count"]').value === '1'`)
}
