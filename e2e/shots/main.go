// Command shots makes the pictures of docs/screenshots from the demo data:
//
//	go run ./e2e/shots docs/screenshots
package main

import (
	"context"
	"fmt"
	"os"
	"path/filepath"
	"time"

	"github.com/chromedp/cdproto/cdp"
	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/chromedp"

	"mellisca/e2e"
)

// step is one thing done on the page.
type step = chromedp.Action[chromedp.Void]

// shot is one picture: where to go, what to do there, and what to wait for.
type shot struct {
	name          string
	width, height int64
	path          string
	first         []step
	ready         chromedp.CSS
}

func choose(field, value string) []step {
	return []step{
		chromedp.WaitVisible(chromedp.CSS(`[data-plan]`)),
		chromedp.Click(chromedp.CSS(`button[data-field="` + field + `"]`)),
		chromedp.Click(chromedp.CSS(`[data-value="` + value + `"]`)),
	}
}

// openSaved opens the saved batch whose line starts with the given words.
func openSaved(words string) []step {
	return []step{
		wait(`[data-plan]`), click(`[data-saved]`), wait(`[data-batch]`),
		chromedp.Click(chromedp.JSPath(`[...document.querySelectorAll('[data-batch]')].find(e => e.innerText.toLowerCase().trim().startsWith('` + words + `'))`)),
	}
}

func click(selector string) step { return chromedp.Click(chromedp.CSS(selector)) }

// steady waits until the main key tells this and takes taps.
func steady(kind string) step { return wait(`[data-main="` + kind + `"][aria-disabled="false"]`) }

// twoPots puts a load of blueberries into the steamer beside the pears, and loses its
// steam.
var twoPots = []step{
	wait(`[data-clock]`),
	chromedp.Evaluate[chromedp.Void](`(async () => {
		const ask = async (method, path, body) => (await fetch(path, { method, headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) })).json()
		const request = { product: 'berries', kind: 'blueberry', pack: 'hot', jar: 'pint', amount: '9 pints', method: 'steam' }
		const saved = await ask('POST', '/api/batches', { request })
		const hob = await ask('POST', '/api/stove/loads', { batch: saved.id })
		const load = hob.loads.find(l => l.batch === saved.id)
		for (const kind of ['checked', 'jars-in', 'lid-on', 'boil', 'boil-lost']) await ask('POST', '/api/stove/loads/' + load.id + '/tell', { kind, after: 99 })
	})()`),
	steady(`boil-back`),
}

// into brings something into the middle of the window.
func into(selector string) step {
	return chromedp.Evaluate[chromedp.Void](`document.querySelector('` + selector + `').scrollIntoView({block: 'center'})`)
}

func wait(selector string) step { return chromedp.WaitVisible(chromedp.CSS(selector)) }

var shots = []shot{
	{"batch.png", 1280, 800, "/batch", nil, `[data-verdict="tested"]`},
	{"batch-refused.png", 1280, 800, "/batch", choose("method", "oven"), `[data-verdict="refused"]`},
	{"batch-phone.png", 390, 844, "/batch", nil, `[data-verdict="tested"]`},
	{"fruit.png", 1280, 800, "/fruit", nil, `[data-lot]`},
	{"ready.png", 1280, 800, "/batch", append(openSaved("peaches"), wait(`[data-get-ready]`), click(`[data-get-ready]`)), `[data-item]`},
	{"day.png", 1280, 800, "/day/" + time.Now().AddDate(0, 0, 1).Format(time.DateOnly), nil, `[data-lanes]`},
	{"day-not-fit.png", 1280, 800, "/day", nil, `[data-not-fit]`},
	{"day-phone.png", 390, 844, "/day", nil, `[data-now-next] [data-part="now"]`},
	{"day-print.png", 794, 1123, "/day", []step{wait(`[data-day]`), onPaper}, `[data-sheet] table`},
	{"days-ahead.png", 1280, 800, "/day/ahead", nil, `[data-turn]`},
	{"almanac.png", 1280, 800, "/almanac", nil, `[data-row]`},
	{"stove.png", 1280, 800, "/stove", twoPots, `[data-place="lost"]`},
	{"practice.png", 1280, 800, "/stove/practice", []step{
		wait(`[data-start]`), click(`[data-start]`), wait(`[data-all-checked]`), click(`[data-all-checked]`), steady(`jars-in`), click(`[data-main]`),
		steady(`lid-on`), click(`[data-main]`), steady(`boil`), chromedp.Sleep(6 * time.Second),
	}, `[data-forecast]`},
	{"stove-phone.png", 390, 844, "/stove", nil, `[data-clock]`},
	{"tray.png", 1280, 800, "/tray", []step{
		wait(`[data-all-sealed]`), click(`[data-tray-jar="2"] [data-unsealed]`), wait(`[data-tray-jar="2"] [data-do]`),
		click(`[data-tray-jar="3"] [data-other]`), click(`input[name="lost"][value="0.2"]`), click(`[data-keep-found]`), wait(`[data-tray-jar="3"] [data-do]`),
	}, `[data-all-sealed]`},
	{"shelf.png", 1280, 800, "/shelf", nil, `[data-shelf-place]`},
	{"recall.png", 1280, 800, "/shelf", []step{
		wait(`[data-group="plums, in halves"]`), into(`[data-group="plums, in halves"]`), click(`[data-group="plums, in halves"]`), click(`[data-open-jar]`), wait(`[data-something-wrong]`), into(`[data-something-wrong]`), click(`[data-something-wrong]`),
		chromedp.SendKeys(chromedp.CSS(`[data-field="why"]`), "The kitchen clock had stood still for ten minutes"), click(`[data-call-back]`),
	}, `[data-recall] [data-part="given"]`},
	{"kitchen.png", 1280, 800, "/kitchen", nil, `[data-band]`},
	{"labels.png", 1280, 800, "/shelf/labels", nil, `[data-look]`},
}

// morningAfter is a kitchen with a load that was lifted fourteen hours ago.
func morningAfter(ctx context.Context) (*e2e.Quick, error) {
	q, err := quick(ctx)
	if err != nil {
		return nil, err
	}
	if err := q.Lift(); err != nil {
		q.Stop()
		return nil, err
	}
	q.Clock.Forward(14 * time.Hour)
	return q, nil
}

// quick is a kitchen whose clock is moved by hand.
func quick(ctx context.Context) (*e2e.Quick, error) {
	dir, err := os.MkdirTemp("", "mellisca-shots-")
	if err != nil {
		return nil, err
	}
	context.AfterFunc(ctx, func() { os.RemoveAll(dir) })
	return e2e.StartQuick(ctx, dir)
}

// onPaper shows a page as it is printed, until another is opened.
var onPaper = media("print")

func media(kind string) step {
	return chromedp.Func(func(ctx context.Context, t *chromedp.Target) error {
		_, err := cdp.Call(ctx, t, emulation.SetEmulatedMedia, emulation.SetEmulatedMediaParams{Media: kind})
		return err
	})
}

func main() {
	if len(os.Args) != 2 {
		fmt.Fprintln(os.Stderr, "say where the pictures go: go run ./e2e/shots docs/screenshots")
		os.Exit(2)
	}
	if err := run(os.Args[1]); err != nil {
		fmt.Fprintln(os.Stderr, "shots:", err)
		os.Exit(1)
	}
}

func run(dir string) error {
	ctx, cancel := context.WithTimeout(context.Background(), 5*time.Minute)
	defer cancel()
	p, err := e2e.Start(ctx, "demo")
	if err != nil {
		return err
	}
	defer p.Stop()
	tab, end := e2e.Browser(ctx)
	defer end()
	morning, err := morningAfter(ctx)
	if err != nil {
		return err
	}
	defer morning.Stop()
	underway, err := quick(ctx)
	if err != nil {
		return err
	}
	defer underway.Stop()
	if err := underway.Underway(); err != nil {
		return err
	}
	for _, s := range shots {
		address := p.Address
		switch s.path {
		case "/tray":
			address = morning.Address
		case "/day":
			address = underway.Address
		}
		steps := []step{media("screen"), chromedp.EmulateViewport(s.width, s.height), chromedp.Navigate(address + s.path)}
		steps = append(steps, s.first...)
		steps = append(steps,
			chromedp.WaitVisible(s.ready),
			chromedp.WaitNotPresent(chromedp.CSS(`[aria-busy="true"]`)),
			chromedp.Evaluate[chromedp.Void](`document.activeElement?.blur(); document.fonts.ready`, chromedp.EvalAwaitPromise))
		if err := chromedp.Do(tab, steps...); err != nil {
			return fmt.Errorf("%s: %w", s.name, err)
		}
		png, err := chromedp.Run(tab, chromedp.CaptureScreenshot())
		if err != nil {
			return fmt.Errorf("%s: %w", s.name, err)
		}
		if err := os.WriteFile(filepath.Join(dir, s.name), png, 0o644); err != nil {
			return err
		}
		fmt.Println(filepath.Join(dir, s.name))
	}
	return nil
}
