package main

import (
	"context"
	"encoding/json"
	"errors"
	"flag"
	"fmt"
	"io"
	"net/http"
	"os"
	"path/filepath"
	"time"

	"mellisca/internal/store"
)

// recordsName is the file of the records in their folder.
const recordsName = "mellisca.db"

// runBackup writes a backup, whether the records are being served or not.
func runBackup(ctx context.Context, args []string, out io.Writer) error {
	flags := flag.NewFlagSet("mellisca backup", flag.ContinueOnError)
	flags.SetOutput(out)
	data := flags.String("data", "", "the folder of the records")
	to := flags.String("to", "", "the file to write; in the folder of the records, named by the day, where left out")
	if err := flags.Parse(args); err != nil {
		return err
	}
	if *data == "" {
		return errors.New("say whose records: --data DIR")
	}
	if *to == "" {
		*to = filepath.Join(*data, "backup-"+time.Now().Format("20060102-150405")+".db")
	}
	if err := store.BackupFile(ctx, filepath.Join(*data, recordsName), *to); err != nil {
		return inWords(err)
	}
	fmt.Fprintf(out, "Backed up to %s\n", *to)
	return nil
}

// runRestore puts a backup in place. Where the records are being served it is handed to
// that program, which puts it in place between two requests.
func runRestore(ctx context.Context, args []string, out io.Writer) error {
	flags := flag.NewFlagSet("mellisca restore", flag.ContinueOnError)
	flags.SetOutput(out)
	data := flags.String("data", "", "the folder of the records")
	from := flags.String("from", "", "the backup")
	if err := flags.Parse(args); err != nil {
		return err
	}
	if *data == "" || *from == "" {
		return errors.New("say whose records and from what: --data DIR --from FILE")
	}
	if err := store.CheckBackup(ctx, *from); err != nil {
		return inWords(err)
	}
	if err := os.MkdirAll(*data, 0o700); err != nil {
		return fmt.Errorf("making the folder for the records: %w", err)
	}
	_, free, err := lock(*data)
	var served *servedError
	if errors.As(err, &served) {
		return handOver(ctx, served.address, *from, out)
	}
	if err != nil {
		return err
	}
	defer free()
	st, err := store.Open(ctx, filepath.Join(*data, recordsName))
	if err != nil {
		return inWords(err)
	}
	defer st.Close()
	keep := filepath.Join(*data, "before-restore-"+time.Now().Format("20060102-150405")+".db")
	if err := st.Restore(ctx, *from, keep); err != nil {
		return inWords(err)
	}
	fmt.Fprintf(out, "The backup is in place. What there was before is kept in %s\n", keep)
	return nil
}

// handOver sends a backup to the program that serves the records.
func handOver(ctx context.Context, address, from string, out io.Writer) error {
	if address == "" {
		return errors.New("the records are being served by a program that does not say where; end it and try again")
	}
	f, err := os.Open(from)
	if err != nil {
		return err
	}
	defer f.Close()
	req, err := http.NewRequestWithContext(ctx, http.MethodPost, address+"/api/files/restore", f)
	if err != nil {
		return err
	}
	req.Header.Set("Content-Type", "application/vnd.sqlite3")
	res, err := http.DefaultClient.Do(req)
	if err != nil {
		return fmt.Errorf("handing the backup to the program at %s: %w", address, err)
	}
	defer res.Body.Close()
	var said struct{ Text, Detail string }
	if err := json.NewDecoder(res.Body).Decode(&said); err != nil {
		return fmt.Errorf("the program at %s did not answer: %w", address, err)
	}
	if res.StatusCode != http.StatusOK {
		return errors.New(said.Detail)
	}
	fmt.Fprintln(out, said.Text)
	return nil
}

// inWords says what a cook can do about a fault of a file.
func inWords(err error) error {
	switch {
	case errors.Is(err, store.ErrNotABackup):
		return errors.New("this is no sound file of a kitchen; accepted: what mellisca backup wrote. Nothing was changed")
	case errors.Is(err, store.ErrNewer):
		return errors.New("this backup was written by a newer Mellisca; put that one in first. Nothing was changed")
	}
	switch store.FaultOf(err) {
	case store.Full:
		return fmt.Errorf("the disk is full; make room on it: %w", err)
	case store.Held:
		return fmt.Errorf("another program holds the file; close that one: %w", err)
	case store.ReadOnly:
		return fmt.Errorf("the file or its folder may not be written: %w", err)
	case store.Damaged:
		return fmt.Errorf("the file is damaged; put the newest backup back with mellisca restore: %w", err)
	}
	return err
}
