package e2e

import (
	"context"
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/chromedp/cdproto/cdp"
	"github.com/chromedp/cdproto/input"
	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
)

// TestStove looks at the load that is in the canner now, tells of a broken jar and
// takes it back, and starts a clock; the strip shows both elsewhere.
func TestStove(t *testing.T) {
	p := open(t, "/stove", desktopWide, desktopHigh)
	p.until(`/^\d\d:\d\d$/.test(document.querySelector('[data-clock]')?.textContent.trim())`)
	first := p.read(`document.querySelector('[data-clock]').textContent`)
	p.until(`document.querySelector('[data-clock]').textContent !== ` + fmt.Sprintf("%q", first)) // it runs
	if size := p.read(`document.querySelector('[data-clock]').getBoundingClientRect().height >= 96`); size != "true" {
		t.Error("the clock cannot be read from three metres")
	}
	if small := p.read(`[...document.querySelectorAll('footer button, .place, [data-hear]')].every(e => e.getBoundingClientRect().height >= 64)`); small != "true" {
		t.Error("a key is too small for a knuckle")
	}
	p.accessible("stove")
	p.press(`[data-more]`)
	p.press(`[data-other="jar-broken"]`)
	p.press(`[data-jar="3"]`)
	p.until(`document.querySelector('[data-said]').innerText.includes('A jar broke: jar 3')`)
	p.press(`[data-said]`)
	p.accessible("what was told")
	p.press(`[data-take-back]`)
	p.until(`document.querySelector('[data-said-dialog]').innerText.includes('corrected')`)
	p.do(chromedp.KeyEvent(kb.Escape))
	p.press(`[data-add-clock]`)
	p.press(`[data-start-clock="stir"]`)
	p.until(`document.querySelectorAll('[data-side-clock]').length === 3`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh), chromedp.Click(chromedp.CSS(`nav a[href="/batch"]`)))
	p.until(`document.querySelector('[data-strip]')?.innerText.includes('Slow pot') && /enamel canner \d\d:\d\d/.test(document.querySelector('[data-strip]').innerText)`)
	p.accessible("strip")
	p.do(chromedp.KeyEvent("s"))
	p.until(`location.pathname === '/stove'`)
	p.press(`[aria-label="Stop Slow pot"]`)
	p.until(`document.querySelectorAll('[data-side-clock]').length === 2`)
}

// TestOntoTheHob puts a second load beside the first; what is in the way is said.
func TestOntoTheHob(t *testing.T) {
	p := openAt(t, ownProgram(t)+"/stove", desktopWide, desktopHigh)
	p.until(`!!document.querySelector('[data-clock]')`)
	p.press(`summary:not([data-add-clock])`)
	p.press(`[data-onto="pineapple"]`)
	p.until(`document.querySelector('[data-problem]')?.innerText.includes('has a load in it')`)
	p.do(chromedp.Click(chromedp.CSS(`nav a[href="/batch"]`)))
	p.until(`!!document.querySelector('[data-plan]')`)
	p.choose("method", "steam")
	p.write("amount", "6 jars")
	p.settled()
	p.press(`[data-save]`)
	p.until(`location.pathname.startsWith('/batch/')`)
	p.do(chromedp.Click(chromedp.CSS(`nav a[href="/stove"]`)))
	p.press(`summary:not([data-add-clock])`)
	p.press(`[data-onto="peaches"]`)
	p.until(`document.querySelectorAll('[data-place]').length === 2`)
	p.press(`[data-place="filling"]`)
	p.press(`[data-all-checked]`)
	p.until(`document.querySelector('[data-main="jars-in"]')?.getAttribute('aria-disabled') === 'false'`)
	p.press(`[data-main="jars-in"]`)
	p.until(`!!document.querySelector('[data-place="loaded"]')`)
	p.noSidewaysScroll()
	p.accessible("two pots")
}

// ownProgram is a program with the demo data for one test alone.
func ownProgram(t *testing.T) string {
	t.Helper()
	p, err := Start(context.Background(), "demo")
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() {
		if err := p.Stop(); err != nil {
			t.Error(err)
		}
	})
	return p.Address
}

// practise goes through a whole practice run at a hundred and twenty times, by what the
// page says and shows. press does what the main key does, hear hears an alarm.
func practise(p page, press, hear func()) {
	p.t.Helper()
	p.until(`!!document.querySelector('[data-main]')`)
	const wanted = `(k => (k?.main ?? '') + ' ' + (k?.what ?? ''))(document.querySelector('[data-main]')?.dataset)`
	seen := map[string]bool{}
	deadline := time.Now().Add(80 * time.Second)
	for p.read(`!!document.querySelector('[data-account]')`) != "true" {
		if time.Now().After(deadline) {
			p.t.Fatalf("not over: %s", p.read(`document.querySelector('main').innerText`))
		}
		main := p.read(`document.querySelector('[data-main]')?.dataset.main ?? ''`)
		sees := p.read(`[...document.querySelectorAll('[data-sees]')].map(e => e.innerText).join(' ')`)
		what := p.read(`document.querySelector('[data-main]')?.dataset.what ?? ''`)
		seen[main] = true
		if main == "heat-off" && !seen["alarm"] {
			p.until(`document.querySelector('[data-alarm]')?.innerText.includes('Time up')`)
			p.until(`document.title.startsWith('! Time up')`)
			hear()
			p.until(`!document.querySelector('[data-alarm]')`)
			p.until(`document.title.startsWith('Practice')`)
			seen["alarm"] = true
			continue
		}
		switch {
		case main == "boil-lost" && !strings.Contains(sees, "died down"),
			(main == "boil" || main == "boil-back") && !strings.Contains(sees, "boils hard"), main == "":
			time.Sleep(20 * time.Millisecond)
		default:
			p.until(`document.querySelector('[data-main]')?.getAttribute('aria-disabled') !== 'true'`)
			before := p.read(wanted)
			if before != main+" "+what {
				continue // it means something else by now
			}
			press()
			p.until(wanted + ` !== '` + before + `' || !!document.querySelector('[data-account]')`)
		}
	}
	for _, kind := range []string{"checked", "jars-in", "lid-on", "boil", "boil-lost", "boil-back", "confirmed", "heat-off", "alarm"} {
		if !seen[kind] {
			p.t.Errorf("the run had no %s", kind)
		}
	}
	if got := p.read(`document.querySelector('[data-account]').innerText`); !strings.Contains(got, "the full time ran again") || !strings.Contains(got, "full time, from the boil") {
		p.t.Error(got)
	}
}

// TestPracticeByKeyboard runs a whole load, a lost boil and a dead tablet included, on
// the keyboard alone.
func TestPracticeByKeyboard(t *testing.T) {
	t.Parallel()
	p := openAt(t, ownProgram(t)+"/stove/practice", desktopWide, desktopHigh)
	p.until(`!!document.querySelector('[data-start]')`)
	p.tabTo(`document.activeElement?.name === 'times'`)
	p.do(chromedp.KeyEvent(kb.ArrowDown)) // 120 times
	p.tabTo(`document.activeElement?.dataset.start !== undefined`)
	p.enter()
	p.until(`!!document.querySelector('[data-main]')`)
	p.do(chromedp.Evaluate[chromedp.Void](`document.activeElement.blur()`))
	practise(p, func() {
		p.do(chromedp.Evaluate[chromedp.Void](`document.activeElement.blur()`), chromedp.KeyEvent(" "))
	}, func() {
		p.tabTo(`document.activeElement?.dataset.hear !== undefined`)
		p.enter()
	})
}

// tap touches the middle of an element.
func (p page) tap(selector string) {
	p.t.Helper()
	var x, y float64
	at := p.read(fmt.Sprintf(`(r => (r.x + r.width / 2) + ' ' + (r.y + r.height / 2))(document.querySelector(%q).getBoundingClientRect())`, selector))
	if _, err := fmt.Sscan(at, &x, &y); err != nil {
		p.t.Fatal(at, err)
	}
	p.do(chromedp.Func(func(ctx context.Context, t *chromedp.Target) error {
		down := input.DispatchTouchEventParams{Type: input.DispatchTouchEventTypeTouchStart, TouchPoints: []*input.TouchPoint{{X: x, Y: y}}}
		if _, err := cdp.Call(ctx, t, input.DispatchTouchEvent, down); err != nil {
			return err
		}
		_, err := cdp.Call(ctx, t, input.DispatchTouchEvent, input.DispatchTouchEventParams{Type: input.DispatchTouchEventTypeTouchEnd, TouchPoints: []*input.TouchPoint{}})
		return err
	}))
}

// TestPracticeByTouch does the same on a phone, by touch alone.
func TestPracticeByTouch(t *testing.T) {
	t.Parallel()
	p := openAt(t, ownProgram(t)+"/stove/practice", 390, 844)
	p.until(`!!document.querySelector('[data-start]')`)
	p.tap(`input[name="times"][value="120"]`)
	p.until(`document.querySelector('input[name="times"][value="120"]').checked`)
	p.tap(`[data-start]`)
	p.until(`!!document.querySelector('[data-main]')`)
	p.noSidewaysScroll()
	practise(p, func() { p.tap(`[data-main]`) }, func() { p.tap(`[data-hear]`) })
}
