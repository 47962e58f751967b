package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"net"
	"net/http"
	"os"
	"path/filepath"
	"time"

	"mellisca/internal/demo"
	"mellisca/internal/server"
	"mellisca/internal/store"
	"mellisca/web"
)

// serve runs until ctx ends, then lets requests under way finish and closes the
// records. It prints the address when it is ready.
func serve(ctx context.Context, listen, dir string, isDemo bool, out io.Writer) (err error) {
	if err := os.MkdirAll(dir, 0o700); err != nil {
		return fmt.Errorf("making the folder for the records: %w", err)
	}
	st, err := store.Open(ctx, filepath.Join(dir, "mellisca.db"))
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, st.Close()) }()
	ln, err := net.Listen("tcp", listen)
	if err != nil {
		return fmt.Errorf("listening: %w", err)
	}
	srv := &http.Server{
		Handler:           server.New(server.Options{Store: st, Assets: web.Dist(), Now: time.Now, Log: slog.Default()}),
		ReadHeaderTimeout: 10 * time.Second,
		ReadTimeout:       30 * time.Second,
		WriteTimeout:      60 * time.Second,
		IdleTimeout:       2 * time.Minute,
		MaxHeaderBytes:    16 << 10,
	}
	failed := make(chan error, 1)
	go func() { failed <- srv.Serve(ln) }()
	address := "http://" + ln.Addr().String()
	if isDemo {
		if err := demo.Fill(ctx, address); err != nil {
			srv.Close()
			return fmt.Errorf("laying out the demo: %w", err)
		}
	}
	fmt.Fprintf(out, "Mellisca is ready at %s\n", address)
	select {
	case err := <-failed:
		return err
	case <-ctx.Done():
	}
	end, cancel := context.WithTimeout(context.Background(), 5*time.Second)
	defer cancel()
	return srv.Shutdown(end)
}
