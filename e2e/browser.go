// Package e2e drives the real program through a real browser: the built binary
// with its demo data, and headless Chromium.
package e2e

import (
	"bufio"
	"context"
	"errors"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"runtime"
	"strings"
	"syscall"
	"time"

	"github.com/chromedp/chromedp"
)

// Program is a running mellisca.
type Program struct {
	Address string
	cmd     *exec.Cmd
}

// Root is the folder of the repository.
func Root() string {
	_, here, _, _ := runtime.Caller(0)
	return filepath.Dir(filepath.Dir(here))
}

// Start runs the built binary with the given arguments on a free port and waits
// until it says that it is ready.
func Start(ctx context.Context, args ...string) (*Program, error) {
	bin := filepath.Join(Root(), "bin", "mellisca")
	cmd := exec.CommandContext(ctx, bin, append(args, "--listen", "127.0.0.1:0")...)
	cmd.Stderr = os.Stderr
	out, err := cmd.StdoutPipe()
	if err != nil {
		return nil, err
	}
	if err := cmd.Start(); err != nil {
		return nil, fmt.Errorf("starting %s (make build makes it): %w", bin, err)
	}
	lines := bufio.NewScanner(out)
	for lines.Scan() {
		if _, address, ok := strings.Cut(lines.Text(), "ready at "); ok {
			return &Program{address, cmd}, nil
		}
	}
	return nil, errors.Join(errors.New("the program ended before it was ready"), cmd.Wait())
}

// Stop ends the program with SIGTERM, as a service manager would, and errs if
// it does not end cleanly.
func (p *Program) Stop() error {
	if err := p.cmd.Process.Signal(syscall.SIGTERM); err != nil {
		return err
	}
	return p.cmd.Wait()
}

// Browser starts headless Chromium with an empty profile. Cancel ends it.
func Browser(ctx context.Context, more ...chromedp.ExecAllocatorOption) (context.Context, context.CancelFunc) {
	opts := append(chromedp.DefaultExecAllocatorOptions[:],
		chromedp.NoSandbox, chromedp.DisableGPU, chromedp.NoFirstRun,
		chromedp.Flag("disable-quic", true), chromedp.Flag("disable-background-networking", true),
		chromedp.Flag("disable-component-update", true), chromedp.Flag("disable-sync", true),
		chromedp.Flag("disable-dev-shm-usage", true), chromedp.WSURLReadTimeout(60*time.Second))
	alloc, endAlloc := chromedp.NewExecAllocator(ctx, append(opts, more...)...)
	tab, endTab := chromedp.NewContext(alloc)
	return tab, func() { endTab(); endAlloc() }
}
