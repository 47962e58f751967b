package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"io/fs"
	"net/url"
	"os"
	"path/filepath"
	"time"

	"github.com/pressly/goose/v3"
	"modernc.org/sqlite"
)

// ErrNotABackup says that a file is not a kitchen's, or is damaged.
var ErrNotABackup = errors.New("this is no sound file of a kitchen")

// ErrNewer says that a file was written by a newer Mellisca.
var ErrNewer = errors.New("this file was written by a newer Mellisca")

// online is what a connection of the driver can do besides SQL.
type online interface {
	NewBackup(string) (*sqlite.Backup, error)
	NewRestore(string) (*sqlite.Backup, error)
}

func fileURI(path, query string) string {
	return "file:" + (&url.URL{Path: path}).EscapedPath() + query
}

// Backup writes all that is kept into one file, as it is at one moment, while others read
// and write. The file is there whole or not at all; it is checked before it is.
func (s *Store) Backup(ctx context.Context, to string) error {
	return backup(ctx, s.read, to)
}

// BackupFile backs the file at path up without changing it, whether it is being served or
// not.
func BackupFile(ctx context.Context, path, to string) error {
	if _, err := os.Stat(path); err != nil {
		return fmt.Errorf("backing up: %w", err)
	}
	db, err := sql.Open("sqlite", fileURI(path, "?_pragma=busy_timeout(5000)&_pragma=query_only(1)"))
	if err != nil {
		return fmt.Errorf("backing up %s: %w", path, err)
	}
	defer db.Close()
	return backup(ctx, db, to)
}

func backup(ctx context.Context, db *sql.DB, to string) (err error) {
	part := to + ".part"
	defer os.Remove(part)
	if err := os.Remove(part); err != nil && !errors.Is(err, fs.ErrNotExist) {
		return fmt.Errorf("backing up: %w", err)
	}
	conn, err := db.Conn(ctx)
	if err != nil {
		return fmt.Errorf("backing up: %w", err)
	}
	defer conn.Close()
	err = conn.Raw(func(c any) error {
		b, err := c.(online).NewBackup(fileURI(part, ""))
		if err != nil {
			return err
		}
		return walk(ctx, b)
	})
	if err != nil {
		return fmt.Errorf("backing up: %w", err)
	}
	if err := sealBackup(ctx, part); err != nil {
		return err
	}
	if err := CheckBackup(ctx, part); err != nil {
		return fmt.Errorf("backing up: what was written is not sound: %w", err)
	}
	if err := sync(part); err != nil {
		return fmt.Errorf("backing up: %w", err)
	}
	return os.Rename(part, to)
}

// walk copies all pages, and waits for those who hold the file.
func walk(ctx context.Context, b *sqlite.Backup) (err error) {
	defer func() { err = errors.Join(err, b.Finish()) }()
	for more := true; more; {
		if more, err = b.Step(512); err != nil {
			var se *sqlite.Error
			if errors.As(err, &se) && (se.Code()&0xff == busy || se.Code()&0xff == locked) && ctx.Err() == nil {
				more = true
				time.Sleep(5 * time.Millisecond)
				continue
			}
			return err
		}
		if err := ctx.Err(); err != nil {
			return err
		}
	}
	return nil
}

// sealBackup makes a backup one file, that needs none beside it.
func sealBackup(ctx context.Context, path string) error {
	db, err := sql.Open("sqlite", fileURI(path, ""))
	if err != nil {
		return err
	}
	defer db.Close()
	var mode string
	if err := db.QueryRowContext(ctx, `PRAGMA journal_mode = DELETE`).Scan(&mode); err != nil || mode != "delete" {
		return fmt.Errorf("backing up: %w", errors.Join(err, errors.New("the copy could not be closed")))
	}
	return nil
}

func sync(path string) error {
	f, err := os.OpenFile(path, os.O_RDWR, 0)
	if err != nil {
		return err
	}
	return errors.Join(f.Sync(), f.Close())
}

// CheckBackup says whether a file is a sound one of a kitchen: with ErrNotABackup or
// ErrNewer where it is not.
func CheckBackup(ctx context.Context, path string) error {
	if info, err := os.Stat(path); err != nil || info.IsDir() {
		return errors.Join(ErrNotABackup, err)
	}
	db, err := sql.Open("sqlite", fileURI(path, "?mode=ro&_pragma=query_only(1)"))
	if err != nil {
		return fmt.Errorf("%w: %w", ErrNotABackup, err)
	}
	defer db.Close()
	var sound string
	if err := db.QueryRowContext(ctx, `PRAGMA integrity_check(1)`).Scan(&sound); err != nil || sound != "ok" {
		return errors.Join(ErrNotABackup, err)
	}
	var version int64
	if err := db.QueryRowContext(ctx, `SELECT coalesce(max(version_id), 0) FROM goose_db_version WHERE is_applied`).Scan(&version); err != nil || version == 0 {
		return errors.Join(ErrNotABackup, err)
	}
	var kitchens int
	if err := db.QueryRowContext(ctx, `SELECT count(*) FROM kitchen`).Scan(&kitchens); err != nil || kitchens != 1 {
		return errors.Join(ErrNotABackup, err)
	}
	newest, err := newestVersion()
	if err != nil {
		return err
	}
	if version > newest {
		return ErrNewer
	}
	return nil
}

func newestVersion() (int64, error) {
	files, err := fs.Sub(migrations, "migrations")
	if err != nil {
		return 0, err
	}
	names, err := fs.Glob(files, "*.sql")
	if err != nil || len(names) == 0 {
		return 0, errors.Join(errors.New("no migration is built in"), err)
	}
	return goose.NumericComponent(filepath.Base(names[len(names)-1]))
}

// Restore puts a backup in place of all that is kept, in one piece: whoever reads sees the
// old or the new. What was kept before is written to keep first. It errs with
// ErrNotABackup or ErrNewer, and then nothing is changed.
func (s *Store) Restore(ctx context.Context, from, keep string) error {
	if err := CheckBackup(ctx, from); err != nil {
		return err
	}
	if err := s.Backup(ctx, keep); err != nil {
		return err
	}
	conn, err := s.write.Conn(ctx)
	if err != nil {
		return fmt.Errorf("restoring: %w", err)
	}
	err = conn.Raw(func(c any) error {
		b, err := c.(online).NewRestore(fileURI(from, "?mode=ro"))
		if err != nil {
			return err
		}
		return walk(ctx, b)
	})
	if err = errors.Join(err, conn.Close()); err != nil {
		return fmt.Errorf("restoring: %w", err)
	}
	if err := migrate(ctx, s.write); err != nil {
		return fmt.Errorf("restoring: %w", err)
	}
	s.closings.Add(1)
	return nil
}
