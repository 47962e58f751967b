package e2e

import (
	"context"
	"fmt"
	"os"
	"strings"
	"testing"
	"time"

	"github.com/chromedp/cdproto/cdp"
	"github.com/chromedp/cdproto/input"
	"github.com/chromedp/chromedp"
)

// demo is one program with the demo data and one browser for all tests of the
// package; each test has a tab of its own.
var demo struct {
	program *Program
	browser context.Context
}

func TestMain(m *testing.M) {
	os.Exit(func() int {
		ctx, cancel := context.WithTimeout(context.Background(), 10*time.Minute)
		defer cancel()
		p, err := Start(ctx, "demo")
		if err != nil {
			fmt.Fprintln(os.Stderr, err)
			return 1
		}
		browser, end := Browser(ctx)
		defer end()
		if err := chromedp.Do(browser); err != nil {
			fmt.Fprintln(os.Stderr, "no browser:", err)
			return 1
		}
		demo.program, demo.browser = p, browser
		code := m.Run()
		if err := p.Stop(); err != nil {
			fmt.Fprintln(os.Stderr, "SIGTERM did not end the program cleanly:", err)
			return 1
		}
		return code
	}())
}

// page is a tab of a test.
type page struct {
	t   *testing.T
	ctx context.Context
}

// open opens a path of the demo in a tab of the given size.
func open(t *testing.T, path string, width, height int64) page {
	t.Helper()
	return openAt(t, demo.program.Address+path, width, height)
}

func openAt(t *testing.T, address string, width, height int64) page {
	t.Helper()
	ctx, cancel := chromedp.NewContext(demo.browser, chromedp.WithNewBrowserContext())
	ctx, timeout := context.WithTimeout(ctx, 90*time.Second)
	t.Cleanup(func() { timeout(); cancel() })
	p := page{t, ctx}
	p.do(chromedp.EmulateViewport(width, height), chromedp.Navigate(address))
	return p
}

func (p page) do(steps ...chromedp.Action[chromedp.Void]) {
	p.t.Helper()
	if err := chromedp.Do(p.ctx, steps...); err != nil {
		p.t.Fatal(err)
	}
}

// read evaluates an expression that gives a text.
func (p page) read(js string) string {
	p.t.Helper()
	s, err := chromedp.Run(p.ctx, chromedp.Evaluate[string](`String(`+js+`)`))
	if err != nil {
		p.t.Fatalf("%s: %v", js, err)
	}
	return s
}

// until waits for an expression to be true and says what the page showed if it
// never is.
func (p page) until(js string) {
	p.t.Helper()
	deadline := time.Now().Add(20 * time.Second)
	for time.Now().Before(deadline) {
		if p.read(js) == "true" {
			return
		}
		time.Sleep(20 * time.Millisecond)
	}
	p.t.Fatalf("never true: %s\nthe page says:\n%s", js, p.read(`document.body.innerText`))
}

// settled waits until the answers belong to the sentence.
func (p page) settled() {
	p.t.Helper()
	p.until(`!!document.querySelector('[data-plan][aria-busy="false"]')`)
}

// says waits until the element that a selector finds has exactly this text.
func (p page) says(selector, want string) {
	p.t.Helper()
	p.until(fmt.Sprintf(`document.querySelector(%q)?.innerText.replace(/\s+/g, ' ').trim() === %q`, selector, want))
}

// choose opens a listbox of the sentence and takes a value.
func (p page) choose(field, value string) {
	p.t.Helper()
	p.do(chromedp.Click(chromedp.CSS(`button[data-field="`+field+`"]`)), chromedp.Click(chromedp.CSS(`[role="option"][data-value="`+value+`"]`)))
}

// saved opens the list of saved batches.
func (p page) saved() {
	p.t.Helper()
	p.do(chromedp.Click(chromedp.CSS(`[data-saved]`)))
	p.until(`!!document.querySelector('[role="dialog"]')`)
}

// press brings a key into the middle of the window and clicks it, as a cook scrolls
// to it: the keys at the bottom lie over what is under them.
func (p page) press(selector string) {
	p.t.Helper()
	p.until(fmt.Sprintf(`!!document.querySelector(%q)`, selector))
	p.do(chromedp.Evaluate[chromedp.Void](fmt.Sprintf(`document.querySelector(%q).scrollIntoView({block: 'center'})`, selector)), chromedp.Click(chromedp.CSS(selector)))
}

// write replaces what stands in a field and leaves it with Enter.
func (p page) write(field, text string) {
	p.t.Helper()
	sel := chromedp.CSS(`[data-field="` + field + `"]`)
	p.do(chromedp.Focus(sel), chromedp.Evaluate[chromedp.Void](`document.activeElement.select()`), chromedp.SendKeys(sel, text+"\r"))
}

// enter presses Enter as a keyboard does: one key down that carries its text, so
// that a handler that takes it keeps the browser from acting on it too.
func (p page) enter() {
	p.t.Helper()
	p.do(chromedp.Func(func(ctx context.Context, t *chromedp.Target) error {
		key := input.DispatchKeyEventParams{Type: input.DispatchKeyEventTypeKeyDown, Key: "Enter", Code: "Enter", Text: "\r", WindowsVirtualKeyCode: 13, NativeVirtualKeyCode: 13}
		if _, err := cdp.Call(ctx, t, input.DispatchKeyEvent, key); err != nil {
			return err
		}
		key.Type, key.Text = input.DispatchKeyEventTypeKeyUp, ""
		_, err := cdp.Call(ctx, t, input.DispatchKeyEvent, key)
		return err
	}))
}

// product types into the product box and takes the first match.
func (p page) product(typed, id string) {
	p.t.Helper()
	sel := chromedp.CSS(`input[data-field="product"]`)
	p.do(chromedp.Focus(sel), chromedp.Evaluate[chromedp.Void](`document.activeElement.select()`), chromedp.SendKeys(sel, typed),
		chromedp.Click(chromedp.CSS(`[role="option"][data-value="`+id+`"]`)))
}

// noSidewaysScroll fails where the page stays wider than the window. It waits, since
// a page that was just made narrow is laid out anew only after it has heard of it.
func (p page) noSidewaysScroll() {
	p.t.Helper()
	var over string
	for deadline := time.Now().Add(5 * time.Second); time.Now().Before(deadline); time.Sleep(20 * time.Millisecond) {
		if over = p.read(`document.documentElement.scrollWidth - document.documentElement.clientWidth`); over == "0" {
			return
		}
	}
	p.t.Errorf("the page is %s px wider than the window: %s", over,
		p.read(`[...document.querySelectorAll('body *')].filter(e => e.getBoundingClientRect().right > innerWidth + 1).slice(0, 5).map(e => e.className || e.tagName).join(', ')`))
}

// accessible runs axe-core on the page and fails on serious findings.
func (p page) accessible(what string) {
	p.t.Helper()
	axe, err := os.ReadFile(Root() + "/web/node_modules/axe-core/axe.min.js")
	if err != nil {
		p.t.Fatal(err)
	}
	p.do(chromedp.Evaluate[chromedp.Void](string(axe) + `; true`))
	found, err := chromedp.Run(p.ctx, chromedp.Evaluate[string](`axe.run(document, {runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']}).then(r =>
		r.violations.filter(v => ['serious', 'critical'].includes(v.impact)).map(v => v.id + ': ' + v.nodes.map(n => n.html.slice(0, 160) + ' ' + n.failureSummary).join(' | ')).join('\n'))`, chromedp.EvalAwaitPromise))
	if err != nil {
		p.t.Fatal(err)
	}
	if found != "" {
		p.t.Errorf("%s:\n%s", what, found)
	}
}

// onlyOwnFiles fails where the page asked anyone but its own server.
func (p page) onlyOwnFiles() {
	p.t.Helper()
	if others := p.read(`performance.getEntriesByType('resource').map(e => e.name).filter(n => !n.startsWith(location.origin)).join(' ')`); others != "" {
		p.t.Errorf("the page asked elsewhere: %s", strings.TrimSpace(others))
	}
}
