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
		chromedp.WaitVisible(chromedp.CSS(`[data-batch]`)),
		chromedp.Click(chromedp.JSPath(`[...document.querySelectorAll('[data-batch]')].find(e => e.innerText.toLowerCase().trim().startsWith('` + words + `'))`)),
	}
}

// pickOwnSource keeps a made-up source and picks it in the sentence.
var pickOwnSource = []step{
	chromedp.WaitVisible(chromedp.CSS(`[data-plan]`)),
	chromedp.Evaluate[chromedp.Void](`fetch('/api/sources', {method: 'POST', headers: {'Content-Type': 'application/json'}, body: JSON.stringify({
		name: 'spiced crab apples', title: 'Jars of the Upper Valley', year: 1988, page: '41', product: 'crab-apples',
		pack: 'hot', largest: 'quart', minutes: 20, headspace: '1/2 in'})})`, chromedp.EvalAwaitPromise),
	chromedp.Reload(),
	chromedp.WaitVisible(chromedp.CSS(`[data-plan]`)),
	chromedp.Click(chromedp.CSS(`.open`)),
	chromedp.Click(chromedp.CSS(`[data-value="own:spiced crab apples"]`)),
	chromedp.WaitVisible(chromedp.CSS(`[data-note]`)),
}

var shots = []shot{
	{"batch.png", 1280, 800, "/batch", nil, `[data-verdict="tested"]`},
	{"batch-refused.png", 1280, 800, "/batch", choose("method", "oven"), `[data-verdict="refused"]`},
	{"batch-filling.png", 1280, 800, "/batch", openSaved("apple pie filling"), `[aria-label="Recipe"]`},
	{"batch-phone.png", 390, 844, "/batch", nil, `[data-verdict="tested"]`},
	{"why.png", 1280, 800, "/batch", []step{chromedp.WaitVisible(chromedp.CSS(`[data-why="time"]`)), chromedp.Click(chromedp.CSS(`[data-why="time"]`))}, `[role="dialog"]`},
	{"batch-own-source.png", 1280, 800, "/batch", pickOwnSource, `[data-verdict="own-source"]`},
	{"sources.png", 1280, 800, "/kitchen/sources", nil, `[data-source]`},
	{"tables.png", 1280, 800, "/kitchen/tables#peaches", nil, `[data-tables]`},
	{"kitchen.png", 1280, 800, "/kitchen", nil, `[data-band]`},
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
	for _, s := range shots {
		steps := []step{chromedp.EmulateViewport(s.width, s.height), chromedp.Navigate(p.Address + s.path)}
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
