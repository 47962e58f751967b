// Package store keeps what the kitchen records in one SQLite file.
//
//	s, err := store.Open(ctx, filepath.Join(dir, "mellisca.db"))
//	defer s.Close()
//	b, err := s.AddBatch(ctx, store.Batch{…}, now)
//
// The file is in WAL mode with foreign keys on and full synchronisation: what
// was acknowledged survives a power cut. There is one writer and several
// readers; all methods may be called concurrently.
package store

import (
	"context"
	"database/sql"
	"embed"
	"errors"
	"fmt"
	"io/fs"
	"net/url"
	"sync/atomic"

	"github.com/pressly/goose/v3"
	_ "modernc.org/sqlite" // the database/sql driver
)

//go:embed migrations/*.sql
var migrations embed.FS

// ErrNotFound says that there is no such thing, or that it was deleted.
var ErrNotFound = errors.New("not found")

// ErrChanged says that it was changed since it was read.
var ErrChanged = errors.New("changed since it was read")

// Store is one open file.
type Store struct {
	read, write *sql.DB
	closings    atomic.Int64 // changes to them
}

// Open opens the file at path, making and migrating it as needed.
func Open(ctx context.Context, path string) (*Store, error) {
	write, err := open(path, "&_txlock=immediate")
	if err != nil {
		return nil, err
	}
	write.SetMaxOpenConns(1)
	if err := migrate(ctx, write); err != nil {
		write.Close()
		return nil, fmt.Errorf("migrating %s: %w", path, err)
	}
	read, err := open(path, "&_pragma=query_only(1)")
	if err != nil {
		write.Close()
		return nil, err
	}
	read.SetMaxOpenConns(8)
	return &Store{read: read, write: write}, nil
}

func open(path, more string) (*sql.DB, error) {
	dsn := "file:" + (&url.URL{Path: path}).EscapedPath() +
		"?_pragma=busy_timeout(5000)&_pragma=journal_mode(WAL)&_pragma=foreign_keys(1)&_pragma=synchronous(FULL)" + more
	db, err := sql.Open("sqlite", dsn)
	if err != nil {
		return nil, fmt.Errorf("opening %s: %w", path, err)
	}
	return db, nil
}

func migrate(ctx context.Context, db *sql.DB) error {
	files, err := fs.Sub(migrations, "migrations")
	if err != nil {
		return err
	}
	p, err := goose.NewProvider(goose.DialectSQLite3, db, files)
	if err != nil {
		return err
	}
	_, err = p.Up(ctx)
	return err
}

// Close closes the file. The last writes are checkpointed.
func (s *Store) Close() error { return errors.Join(s.read.Close(), s.write.Close()) }

// changedOne turns the result of an update of one row by id and version into
// nil, ErrNotFound or ErrChanged.
func changedOne(ctx context.Context, db *sql.DB, res sql.Result, exists, id string) error {
	n, err := res.RowsAffected()
	if err != nil || n == 1 {
		return err
	}
	var there bool
	if err := db.QueryRowContext(ctx, exists, id).Scan(&there); err != nil {
		return err
	}
	if !there {
		return ErrNotFound
	}
	return ErrChanged
}
