// Command mellisca plans batches of home-canned fruit in the browser.
//
//	mellisca serve --listen 127.0.0.1:8080 --data DIR   keep a kitchen's records in DIR
//	mellisca demo  --listen 127.0.0.1:8080              try it with made-up records
//	mellisca tables                                     print the tested rows
//	mellisca backup  --data DIR --to FILE               back a kitchen's records up
//	mellisca restore --data DIR --from FILE             put a backup in place
//	mellisca sensors --to http://127.0.0.1:8080         send simulated readings
//	mellisca openapi                                    print the description of the API
package main

import (
	"context"
	"errors"
	"flag"
	"fmt"
	"io"
	"log/slog"
	"os"
	"os/signal"
	"syscall"

	"mellisca/internal/server"
)

const usage = `Mellisca plans batches of home-canned fruit.

  mellisca serve --listen 127.0.0.1:8080 --data DIR   keep a kitchen's records in DIR
  mellisca demo  --listen 127.0.0.1:8080 --data DIR   try it with made-up records;
                                                      without --data in a folder that is thrown away
  mellisca tables --format text --altitude "3,480 ft" print the tested rows, as text, csv or json
  mellisca backup  --data DIR --to FILE               back the records up, while they are served or not
  mellisca restore --data DIR --from FILE             put a backup in place; what there was before is kept
  mellisca sensors --to http://127.0.0.1:8080         send readings of a simulated thermometer and scale
  mellisca openapi                                    print the description of the API

SIGTERM or Ctrl-C ends it.
`

func main() {
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	slog.SetDefault(slog.New(slog.NewTextHandler(os.Stderr, nil)))
	if err := run(ctx, os.Args[1:], os.Stdout); err != nil {
		fmt.Fprintln(os.Stderr, "mellisca:", err)
		os.Exit(1)
	}
}

func run(ctx context.Context, args []string, out io.Writer) error {
	if len(args) == 0 {
		fmt.Fprint(out, usage)
		return errors.New("say what to do: serve or demo")
	}
	switch args[0] {
	case "serve", "demo":
		return runServer(ctx, args[0] == "demo", args[1:], out)
	case "tables":
		return runTables(args[1:], out)
	case "backup":
		return runBackup(ctx, args[1:], out)
	case "restore":
		return runRestore(ctx, args[1:], out)
	case "sensors":
		return runSensors(ctx, args[1:], out)
	case "openapi":
		doc, err := server.OpenAPI()
		if err != nil {
			return err
		}
		_, err = out.Write(append(doc, '\n'))
		return err
	case "help", "-h", "--help":
		fmt.Fprint(out, usage)
		return nil
	}
	return fmt.Errorf("%q is not something to do; accepted: serve, demo, tables, backup, restore, sensors, openapi", args[0])
}

func runServer(ctx context.Context, isDemo bool, args []string, out io.Writer) error {
	flags := flag.NewFlagSet("mellisca", flag.ContinueOnError)
	flags.SetOutput(out)
	listen := flags.String("listen", "127.0.0.1:8080", "the address to listen on; other machines reach it only if this is not a loopback address")
	data := flags.String("data", "", "the folder for the records")
	if err := flags.Parse(args); err != nil {
		return err
	}
	if flags.NArg() > 0 {
		return fmt.Errorf("%q was not expected; see mellisca help", flags.Arg(0))
	}
	dir := *data
	switch {
	case dir == "" && isDemo:
		thrownAway, err := os.MkdirTemp("", "mellisca-demo-")
		if err != nil {
			return fmt.Errorf("making a folder for the demo: %w", err)
		}
		defer os.RemoveAll(thrownAway)
		dir = thrownAway
	case dir == "":
		return errors.New("say where the records are kept: --data DIR")
	}
	return serve(ctx, *listen, dir, isDemo, out)
}
