package e2e

import (
	"context"
	"database/sql"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	_ "modernc.org/sqlite" // to fill the file
)

// scrolling runs through a list from its head to its foot, a window at each frame, and
// gives how many frames that took, the longest of them in milliseconds, the median, and
// whether rows were ever drawn that are far out of sight.
const scrolling = `new Promise(done => {
	const frame = document.querySelector('.frame'), times = []
	let last = performance.now(), most = 0
	function step(now) {
		times.push(now - last)
		last = now
		most = Math.max(most, document.querySelectorAll('[data-jars] .at').length)
		const before = frame.scrollTop
		frame.scrollTop += frame.clientHeight * 12
		if (frame.scrollTop > before) return requestAnimationFrame(step)
		times.sort((a, b) => a - b)
		done([times.length, Math.round(times.at(-1)), Math.round(times[times.length >> 1]), most].join(' '))
	}
	requestAnimationFrame(step)
})`

// TestTwelveThousandJars scrolls through thirty years of jars: only what is in sight is
// drawn, and at the foot stands the newest.
func TestTwelveThousandJars(t *testing.T) {
	dir := t.TempDir()
	q, err := StartQuick(context.Background(), dir)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(q.Stop)
	raw, err := os.ReadFile(filepath.Join(Root(), "internal/store/testdata/jars.sql"))
	if err != nil {
		t.Fatal(err)
	}
	db, err := sql.Open("sqlite", filepath.Join(dir, "mellisca.db"))
	if err != nil {
		t.Fatal(err)
	}
	defer db.Close()
	for _, statement := range strings.SplitAfter(string(raw), ";\n") {
		if _, err := db.Exec(strings.ReplaceAll(statement, "?1", "1")); err != nil {
			t.Fatal(err)
		}
	}
	p := openAt(t, q.Address+"/shelf/jars", desktopWide, desktopHigh)
	p.until(`document.querySelector('[data-total]')?.innerText === '12000 jars' && document.querySelectorAll('[data-jars] [data-jar]').length > 5`)
	figures, err := chromedp.Run(p.ctx, chromedp.Evaluate[string](scrolling, chromedp.EvalAwaitPromise))
	if err != nil {
		t.Fatal(err)
	}
	f := strings.Fields(figures)
	t.Logf("%s frames, the longest %s ms, half within %s ms, %s rows drawn at most", f[0], f[1], f[2], f[3])
	if len(f[3]) > 2 {
		t.Errorf("%s rows are drawn at once", f[3])
	}
	p.until(`!!document.querySelector('[data-jars] [data-jar="jar-011999"]')`)
	p.do(chromedp.SendKeys(chromedp.CSS(`[data-find]`), "11998th"))
	p.until(`document.querySelector('[data-total]').innerText === '1 jar'`)
	p.do(chromedp.Navigate(q.Address + "/shelf"))
	p.until(`document.querySelectorAll('[data-shelf-place]').length === 6`)
}
