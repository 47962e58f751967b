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
		wait(`[data-plan]`), click(`[data-saved]`), wait(`[data-batch]`),
		chromedp.Click(chromedp.JSPath(`[...document.querySelectorAll('[data-batch]')].find(e => e.innerText.toLowerCase().trim().startsWith('` + words + `'))`)),
	}
}

// pickOwnSource picks a made-up source of the demo in the sentence.
var pickOwnSource = []step{
	chromedp.WaitVisible(chromedp.CSS(`[data-plan]`)),
	chromedp.Click(chromedp.CSS(`.open`)),
	chromedp.Click(chromedp.CSS(`[data-value="own:spiced crab apples"]`)),
	chromedp.WaitVisible(chromedp.CSS(`[data-alternative], [data-verdict="own-source"]`)),
}

func click(selector string) step { return chromedp.Click(chromedp.CSS(selector)) }

// into brings something into the middle of the window.
func into(selector string) step {
	return chromedp.Evaluate[chromedp.Void](`document.querySelector('` + selector + `').scrollIntoView({block: 'center'})`)
}

func wait(selector string) step { return chromedp.WaitVisible(chromedp.CSS(selector)) }

var shots = []shot{
	{"batch.png", 1280, 800, "/batch", nil, `[data-verdict="tested"]`},
	{"batch-refused.png", 1280, 800, "/batch", choose("method", "oven"), `[data-verdict="refused"]`},
	{"batch-filling.png", 1280, 800, "/batch", openSaved("apple pie filling"), `[aria-label="Recipe"]`},
	{"batch-phone.png", 390, 844, "/batch", nil, `[data-verdict="tested"]`},
	{"why.png", 1280, 800, "/batch", []step{chromedp.WaitVisible(chromedp.CSS(`[data-why="time"]`)), chromedp.Click(chromedp.CSS(`[data-why="time"]`))}, `[role="dialog"]`},
	{"batch-own-source.png", 1280, 800, "/batch", pickOwnSource, `[data-verdict="own-source"]`},
	{"sources.png", 1280, 800, "/kitchen/sources", nil, `[data-source]`},
	{"liquids.png", 1280, 800, "/batch", []step{wait(`[data-open-bench]`), into(`[data-open-bench]`), click(`[data-open-bench]`)}, `[data-liquid]`},
	{"schools.png", 1280, 800, "/kitchen/schools", nil, `[data-schools]`},
	{"fruit.png", 1280, 800, "/fruit", nil, `[data-lot]`},
	{"pots.png", 1280, 800, "/kitchen/pots", nil, `[data-pot]`},
	{"spread.png", 1280, 800, "/batch", []step{wait(`[data-open-spread]`), into(`[data-open-spread]`), click(`[data-open-spread]`)}, `[data-spread] figure`},
	{"ready.png", 1280, 800, "/batch", append(openSaved("peaches"), wait(`[data-get-ready]`), click(`[data-get-ready]`)), `[data-item]`},
	{"welcome.png", 1280, 800, "/kitchen/welcome", nil, `[data-welcome] [data-band]`},
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
