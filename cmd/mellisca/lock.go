package main

import (
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"strings"

	"golang.org/x/sys/unix"
)

// lockName is the file by which a folder of records is held while it is served. In it
// stands the address.
const lockName = "mellisca.lock"

// servedError says that a folder is being served, and where.
type servedError struct{ dir, address string }

func (e *servedError) Error() string {
	at := e.address
	if at == "" {
		at = "another address"
	}
	return fmt.Sprintf("the records in %s are being served already, at %s; end that one first", e.dir, at)
}

// lock holds a folder of records until free is called, or the program ends in whatever
// way. It errs with a *servedError.
func lock(dir string) (say func(address string) error, free func(), err error) {
	f, err := os.OpenFile(filepath.Join(dir, lockName), os.O_RDWR|os.O_CREATE, 0o600)
	if err != nil {
		return nil, nil, fmt.Errorf("holding the records: %w", err)
	}
	if err := unix.Flock(int(f.Fd()), unix.LOCK_EX|unix.LOCK_NB); err != nil {
		defer f.Close()
		if errors.Is(err, unix.EWOULDBLOCK) {
			return nil, nil, &servedError{dir, servedAt(dir)}
		}
		return nil, nil, fmt.Errorf("holding the records: %w", err)
	}
	say = func(address string) error {
		if err := f.Truncate(0); err != nil {
			return err
		}
		_, err := f.WriteAt([]byte(address+"\n"), 0)
		return err
	}
	return say, func() { _ = say(""); f.Close() }, nil
}

func servedAt(dir string) string {
	raw, err := os.ReadFile(filepath.Join(dir, lockName))
	if err != nil {
		return ""
	}
	return strings.TrimSpace(string(raw))
}
