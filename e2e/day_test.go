package e2e

import (
	"context"
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/chromedp/chromedp"
)

// dayOf is as much of a day as a test goes by.
type dayOf struct {
	Finish string
	Shift  string
	Now    int
	Main   *struct{ Step, Kind, Text string }
	Steps  []struct {
		Key, State string
		From, To   int
	}
}

func (q *Quick) day(t *testing.T, date string) (d dayOf) {
	t.Helper()
	if err := q.ask("GET", "/api/days/"+date, `null`, &d); err != nil {
		t.Fatal(err)
	}
	return d
}

// until lets the clock run to a minute of today's.
func (q *Quick) until(minute int) {
	now := time.UnixMilli(q.Clock.Now().WallMs)
	at := time.Date(now.Year(), now.Month(), now.Day(), 0, minute, 0, 0, time.Local)
	if d := at.Sub(now); d > 0 {
		q.Clock.Forward(d)
	}
}

// runLoad runs the load that is on the hob through the page, from filling to cleared; it
// takes so much longer to the boil than it might.
func runLoad(p page, q *Quick, late time.Duration) {
	p.t.Helper()
	main := func(kind string) {
		p.t.Helper()
		p.until(`document.querySelector('[data-main="` + kind + `"]')?.getAttribute('aria-disabled') === 'false'`)
		p.press(`[data-main="` + kind + `"]`)
		p.until(`document.querySelector('[data-main]')?.dataset.main !== '` + kind + `'`)
	}
	q.Clock.Forward(14 * time.Minute)
	p.press(`[data-all-checked]`)
	main("jars-in")
	main("lid-on")
	q.Clock.Forward(25*time.Minute + late)
	main("boil")
	q.Clock.Forward(35 * time.Minute)
	main("heat-off")
	main("lid-off")
	q.Clock.Forward(5 * time.Minute)
	main("out")
	main("put-away")
}

// TestACanningDay plans a day in the browser, runs its two loads on simulated time, the first
// of them late, and sees the rest of the day move.
func TestACanningDay(t *testing.T) {
	t.Parallel()
	q, err := StartQuick(context.Background(), t.TempDir())
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(q.Stop)
	if err := q.ask("POST", "/api/batches", `{"request":{"product":"peaches","kind":"freestone","form":"halves","pack":"hot","jar":"quart","amount":"14 jars","liquid":{"kind":"syrup","strength":"light"}}}`, nil); err != nil {
		t.Fatal(err)
	}
	now := time.UnixMilli(q.Clock.Now().WallMs)
	q.Clock.Forward(time.Date(now.Year(), now.Month(), now.Day()+1, 7, 30, 0, 0, time.Local).Sub(now)) // the morning
	date := now.AddDate(0, 0, 1).Format(time.DateOnly)

	p := openAt(t, q.Address+"/day", desktopWide, desktopHigh)
	p.until(`document.querySelector('[data-empty]')?.innerText.includes('Nothing is made on this day yet')`)
	p.accessible("empty day")
	p.pick("add-batch", p.read(`document.querySelector('[data-field="add-batch"]').options[1].value`))
	p.press(`[data-add-batch]`)
	p.until(`document.querySelectorAll('[data-lane]').length >= 3 && /^All done by \d+:\d\d$/.test(document.querySelector('[data-finish]').innerText.replace(/\s+/g, ' ').trim())`)
	p.retype("cook-0-name", "Ilse")
	p.retype("cook-0-to", "quitting time")
	p.press(`[data-add-break="0"]`)
	p.press(`[data-keep-day]`)
	p.until(`document.querySelector('[data-who] [data-problem="cooks[0].to"]')?.innerText.includes('2 pm') && document.querySelector('[data-field="cook-0-to"]').value === 'quitting time'`)
	p.retype("cook-0-to", "8 pm")
	p.press(`[data-keep-day]`)
	p.until(`document.querySelector('[data-field="cook-0-to"]').value === '20:00' && document.querySelector('[data-lane="hands"]').textContent.includes('Ilse')`)
	p.accessible("planned day")
	p.do(chromedp.KeyEvent("s"))
	p.until(`document.querySelector('[data-day-line]')?.innerText.includes('all done by')`)
	p.press(`[data-day-line]`)
	p.until(`location.pathname === '/day' && document.querySelectorAll('[data-lane]').length >= 3`)
	planned := q.day(t, date)

	// A step is held somewhere else, and let go.
	p.press(`[data-step$="load/2"] .open`)
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-step$="load/2"] [data-field="lock-at"]`), "3 pm\r"))
	p.until(`document.querySelector('[data-step$="load/2"]').innerText.includes('locked') && document.querySelector('[data-step$="load/2"] .time').innerText.startsWith('15:00')`)
	p.press(`[data-step$="load/2"] [data-unlock]`)
	p.until(`!document.querySelector('[data-step$="load/2"]').innerText.includes('locked')`)

	loads := 0
	for n := 0; ; n++ {
		d := q.day(t, date)
		if d.Main == nil || n > 40 {
			break
		}
		for _, s := range d.Steps {
			switch {
			case s.Key != d.Main.Step:
			case d.Main.Kind == "done":
				q.until(s.To)
			default:
				q.until(s.From)
			}
		}
		d = q.day(t, date) // what was to come first may have changed with the time
		if d.Main == nil {
			break
		}
		p.do(chromedp.Navigate(q.Address + "/day"))
		p.until(fmt.Sprintf(`document.querySelector('[data-day] [data-main]')?.innerText === %q`, d.Main.Text))
		if d.Main.Kind != "hob" {
			p.press(`[data-day] [data-main]`)
			p.until(fmt.Sprintf(`document.querySelector('[data-day] [data-main]')?.innerText !== %q`, d.Main.Text))
			continue
		}
		p.press(`[data-day] [data-main]`)
		p.until(`location.pathname === '/stove'`)
		loads++
		runLoad(p, q, map[int]time.Duration{1: 50 * time.Minute}[loads])
		p.do(chromedp.KeyEvent("d"))
		p.press(`[data-show-done]`)
		p.until(fmt.Sprintf(`document.querySelector('[data-step$="load/%d"]')?.dataset.state === 'done'`, loads))
		if loads == 1 {
			p.until(`document.querySelector('[data-shift]')?.innerText.includes('later than it was planned')`)
			p.until(`document.querySelector('[data-step$="load/2"]').innerText.includes('later')`)
			if late := q.day(t, date); late.Finish == planned.Finish {
				t.Error("a load was 50 minutes late and the day is done as planned, at " + late.Finish)
			}
			p.do(chromedp.EmulateViewport(390, 844))
			p.until(`!!document.querySelector('[data-part="next"]') && !document.querySelector('[data-day] [data-lanes]')`)
			p.noSidewaysScroll()
			p.accessible("a day on a phone")
			p.do(chromedp.EmulateViewport(desktopWide, desktopHigh))
		}
	}
	if loads != 2 {
		t.Fatalf("%d loads were run", loads)
	}
	for _, s := range q.day(t, date).Steps {
		if s.State != "done" {
			t.Errorf("%s is %s at the end of the day", s.Key, s.State)
		}
	}
	p.until(`document.querySelector('[data-shift]')?.innerText.includes('later')`)
}

// TestPlannedDay looks at the day of the demo, moves a batch, makes it not fit, and takes the
// way out that is offered.
func TestPlannedDay(t *testing.T) {
	t.Parallel()
	address := ownProgram(t)
	date := time.Now().AddDate(0, 0, 1).Format(time.DateOnly)
	p := openAt(t, address+"/day/"+date, desktopWide, desktopHigh)
	p.until(`document.querySelectorAll('[data-day-batch]').length === 4 && document.querySelector('[data-bound]').innerText.includes('proven')`)
	p.accessible("the planned day")
	p.press(`[data-change="applesauce"]`)
	p.write("batch-from", "1 pm")
	p.until(`document.querySelector('[data-day-batch="applesauce"]').innerText.includes('not before 13:00')`)
	p.retype("day-by", "1 pm")
	p.press(`[data-keep-day]`)
	p.until(`document.querySelector('[data-not-fit]')?.innerText.includes('not done by 13:00')`)
	p.accessible("a day that does not fit")
	p.press(`[data-leave]`)
	p.until(`document.querySelectorAll('[data-day-batch]').length < 4`)
	p.until(`!document.querySelector('[data-not-fit]') && document.querySelector('[data-finish]').innerText.includes('All done by')`)
	p.do(chromedp.Navigate(address + "/batch"))
	p.saved()
	p.do(chromedp.Click(chromedp.JSPath(`[...document.querySelectorAll('[data-batch]')].find(e => e.innerText.toLowerCase().trim().startsWith('peaches'))`)))
	p.press(`[data-on-a-day]`)
	p.until(`location.pathname === '/day' && document.querySelector('[data-field="add-batch"]')?.selectedOptions[0].innerText.startsWith('peaches')`)
	p.press(`[data-add-batch]`)
	p.until(`!!document.querySelector('[data-day-batch="peaches"]')`)
	p.do(chromedp.Click(chromedp.CSS(`[data-page="step-minutes"]`)))
	p.until(`document.querySelectorAll('[data-step-minutes]').length > 15`)
	p.accessible("minutes")
	p.write("minutes-jar", "5")
	p.until(`document.querySelector('[data-step-minutes="jar"]').innerText.trim().endsWith('2')`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
}

// TestDaysAhead plans a lot from the list of the days ahead, and says when there is time.
func TestDaysAhead(t *testing.T) {
	t.Parallel()
	p := openAt(t, ownProgram(t)+"/day/ahead", desktopWide, desktopHigh)
	p.until(`document.querySelectorAll('[data-ahead]').length === 14 && !!document.querySelector('[data-turn]')`)
	p.accessible("days ahead")
	p.press(`[data-turn] [data-plan-turn]`)
	p.until(`document.querySelector('.said').innerText.includes('saved as a batch, and put on')`)
	p.until(`document.querySelector('[data-waiting]').innerText.includes('Planned on ')`)
	p.retype("week-0-from", "later")
	p.press(`[data-keep-week]`)
	p.until(`!!document.querySelector('[data-week] [data-problem="week[0].from"]') && document.querySelector('[data-field="week-0-from"]').value === 'later'`)
	p.retype("week-0-from", "18")
	p.press(`[data-keep-week]`)
	p.until(`document.querySelector('[data-field="week-0-from"]').value === '18:00' && !document.querySelector('[data-week] .hint')`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
}

// TestAlmanacPage looks through what the seasons taught, says a season and a vow, and finds
// the vow beside the next batch of that product.
func TestAlmanacPage(t *testing.T) {
	t.Parallel()
	address := ownProgram(t)
	p := openAt(t, address+"/almanac", desktopWide, desktopHigh)
	p.until(`document.querySelectorAll('[data-row]').length >= 4 && !!document.querySelector('[data-beside] svg')`)
	p.accessible("almanac")
	for by, row := range map[string]string{"pack": "hot", "year": fmt.Sprint(time.Now().AddDate(0, 0, -20).Year())} {
		p.press(`[data-by="` + by + `"]`)
		p.until(`!!document.querySelector('[data-row="` + row + `"]')`)
	}
	p.press(`[data-season-of="pear"] .row`)
	p.pick("season-pear-to", "11")
	p.until(`document.querySelector('[data-season-of="pear"]').innerText.includes('yours')`)
	p.pick("vow-product", "pineapple")
	p.write("vow-words", "chill the juice first")
	p.until(`document.querySelector('[data-vow="pineapple"]')?.innerText.includes('chill the juice first')`)
	p.press(`[data-vow="pineapple"] [aria-label^="Forget"]`)
	p.press(`[data-vow-back]`)
	p.until(`document.querySelector('[data-vow="pineapple"]')?.innerText.includes('chill the juice first')`)
	p.do(chromedp.EmulateViewport(390, 844))
	p.noSidewaysScroll()
	p.do(chromedp.EmulateViewport(desktopWide, desktopHigh), chromedp.Navigate(address+"/batch?product=pineapple"))
	p.until(`document.querySelector('[data-vows-beside]')?.innerText.toLowerCase().includes('chill the juice first')`)
	p.press(`[data-vows-beside] button`)
	p.until(`!document.querySelector('[data-vows-beside]')`)
	if text := p.read(`document.querySelector('main').innerText`); strings.Contains(text, "chill the juice") {
		t.Error("a vow that was kept is still there")
	}
}
