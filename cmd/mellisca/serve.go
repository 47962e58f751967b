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
	"mellisca/internal/device"
	"mellisca/internal/live"
	"mellisca/internal/server"
	"mellisca/internal/store"
	"mellisca/web"
)

// aliveEvery is how often it is noted that the machine runs while a load is on the hob.
const aliveEvery = 5 * time.Second

// serve runs until ctx ends, then lets requests under way finish and closes the
// records. It prints the address when it is ready.
func serve(ctx context.Context, listen, dir string, isDemo bool, out io.Writer) (err error) {
	if err := os.MkdirAll(dir, 0o700); err != nil {
		return fmt.Errorf("making the folder for the records: %w", err)
	}
	say, free, err := lock(dir)
	if err != nil {
		return err
	}
	defer free()
	st, err := store.Open(ctx, filepath.Join(dir, recordsName))
	if err != nil {
		return inWords(err)
	}
	defer func() { err = errors.Join(err, st.Close()) }()
	lay := false
	if isDemo {
		if lay, err = before(ctx, st); err != nil {
			return fmt.Errorf("laying out the demo: %w", err)
		}
	}
	ln, err := net.Listen("tcp", listen)
	if err != nil {
		return fmt.Errorf("listening: %w", err)
	}
	clock := device.NewMachine()
	stove, err := live.New(ctx, store.Stove{Store: st}, clock)
	if err != nil {
		ln.Close()
		return fmt.Errorf("taking up what is on the hob: %w", err)
	}
	go stove.Run(ctx, aliveEvery)
	srv := &http.Server{
		Handler:           server.New(server.Options{Store: st, Assets: web.Dist(), Now: time.Now, Log: slog.Default(), Stove: stove, Clock: clock, Ending: ctx.Done(), Folder: dir}),
		ReadHeaderTimeout: 10 * time.Second,
		ReadTimeout:       5 * time.Minute, // a backup that is put back may be large
		WriteTimeout:      60 * time.Second,
		IdleTimeout:       2 * time.Minute,
		MaxHeaderBytes:    16 << 10,
	}
	failed := make(chan error, 1)
	go func() { failed <- srv.Serve(ln) }()
	address := "http://" + ln.Addr().String()
	if err := say(address); err != nil {
		srv.Close()
		return fmt.Errorf("holding the records: %w", err)
	}
	if lay {
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

// before serves the same file by a clock that is three weeks behind, for what happened
// until now in the demo.
func before(ctx context.Context, st *store.Store) (bool, error) {
	clock := device.NewBehind(device.NewMachine(), demo.DaysBefore*24*time.Hour)
	stove, err := live.New(ctx, store.Stove{Store: st}, clock)
	if err != nil {
		return false, err
	}
	ln, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return false, err
	}
	now := func() time.Time { return time.UnixMilli(clock.Now().WallMs) }
	srv := &http.Server{Handler: server.New(server.Options{Store: st, Assets: web.Dist(), Now: now, Log: slog.Default(), Stove: stove, Clock: clock}), ReadHeaderTimeout: 10 * time.Second}
	go func() { _ = srv.Serve(ln) }()
	defer srv.Close()
	return demo.Before(ctx, "http://"+ln.Addr().String(), clock)
}
