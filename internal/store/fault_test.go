package store

import (
	"context"
	"database/sql"
	"os"
	"path/filepath"
	"testing"

	"mellisca/core/shelf"
)

// TestFaultsOfTheFile fills the disk, holds the file, makes it read-only and damages it:
// each is told by its name, what was kept before is still there, and nothing is half
// kept.
func TestFaultsOfTheFile(t *testing.T) {
	ctx := context.Background()
	for want, breaks := range map[Fault]func(t *testing.T, s *Store, path string) (mend func()){
		Full: func(t *testing.T, s *Store, _ string) func() {
			exec(t, s.write, `PRAGMA max_page_count = 1`) // no page more than there are
			return func() { exec(t, s.write, `PRAGMA max_page_count = 1000000`) }
		},
		Held: func(t *testing.T, s *Store, path string) func() {
			exec(t, s.write, `PRAGMA busy_timeout = 20`)
			other, err := sql.Open("sqlite", fileURI(path, "?_txlock=exclusive"))
			if err != nil {
				t.Fatal(err)
			}
			tx, err := other.Begin()
			if err != nil {
				t.Fatal(err)
			}
			return func() { tx.Rollback(); other.Close() }
		},
		ReadOnly: func(t *testing.T, s *Store, _ string) func() {
			exec(t, s.write, `PRAGMA query_only = 1`)
			return func() { exec(t, s.write, `PRAGMA query_only = 0`) }
		},
	} {
		t.Run(string(want), func(t *testing.T) {
			s, path := openTest(t)
			ids, err := s.AddJars(ctx, []Jar{aJar("kept", 20000)}, noon)
			if err != nil {
				t.Fatal(err)
			}
			mend := breaks(t, s, path)
			var many []Jar
			for range 400 { // enough to need more room
				many = append(many, aJar("too many", 20001))
			}
			_, err = s.AddJars(ctx, many, noon)
			if got := FaultOf(err); got != want {
				t.Errorf("%q of %v", got, err)
			}
			_, err = s.TellJar(ctx, ids[0], noon, func(Jar) (shelf.Line, error) { return shelf.Line{Act: shelf.Took, Day: 20001}, nil })
			if got := FaultOf(err); got != want && want != Full { // one line more may still fit
				t.Errorf("telling: %q of %v", got, err)
			}
			mend()
			all, total, err := s.FindJars(ctx, Find{Limit: 10})
			if err != nil || total != 1 || all[0].ID != ids[0] {
				t.Errorf("afterwards: %d jars, %v", total, err)
			}
			if _, err := s.AddJars(ctx, many, noon); err != nil {
				t.Error("it does not recover:", err)
			}
		})
	}
}

func exec(t *testing.T, db *sql.DB, statement string) {
	t.Helper()
	if _, err := db.Exec(statement); err != nil {
		t.Fatal(err)
	}
}

// TestBackups checks what a backup is taken for, and that one that fails leaves nothing.
func TestBackups(t *testing.T) {
	ctx := context.Background()
	s, path := openTest(t)
	if _, err := s.AddJars(ctx, []Jar{aJar("kept", 20000)}, noon); err != nil {
		t.Fatal(err)
	}
	dir := t.TempDir()
	to := filepath.Join(dir, "a backup #1.db")
	for _, back := range []func() error{func() error { return s.Backup(ctx, to) }, func() error { return BackupFile(ctx, path, to) }} {
		if err := back(); err != nil {
			t.Fatal(err)
		}
		if err := CheckBackup(ctx, to); err != nil {
			t.Fatal(err)
		}
	}
	if left, _ := filepath.Glob(filepath.Join(dir, "*")); len(left) != 1 {
		t.Error("more than one file:", left)
	}
	if err := s.Backup(ctx, filepath.Join(dir, "no", "such", "folder.db")); err == nil {
		t.Error("a backup into nowhere")
	}
	if err := BackupFile(ctx, filepath.Join(dir, "nothing.db"), filepath.Join(dir, "x.db")); err == nil {
		t.Error("a backup of nothing")
	}
	raw, err := os.ReadFile(to)
	if err != nil {
		t.Fatal(err)
	}
	bad := filepath.Join(dir, "bad.db")
	for name, b := range map[string][]byte{"half": raw[:len(raw)/2], "empty": {}, "text": []byte("hello")} {
		if err := os.WriteFile(bad, b, 0o600); err != nil {
			t.Fatal(err)
		}
		if err := CheckBackup(ctx, bad); err == nil {
			t.Errorf("%s is taken for a backup", name)
		}
	}
	newer, err := sql.Open("sqlite", fileURI(to, ""))
	if err != nil {
		t.Fatal(err)
	}
	exec(t, newer, `INSERT INTO goose_db_version (version_id, is_applied) VALUES (9999, 1)`)
	newer.Close()
	if err := s.Restore(ctx, to, filepath.Join(dir, "keep.db")); err != ErrNewer {
		t.Error("one of a newer program:", err)
	}
	if _, total, _ := s.FindJars(ctx, Find{}); total != 1 {
		t.Error("it was put in place")
	}
}

// TestWholeHoldsEveryTable fails where a table is neither taken out nor said to stay.
func TestWholeHoldsEveryTable(t *testing.T) {
	s, _ := openTest(t)
	known := map[string]bool{}
	for _, k := range WholeTables() {
		known[k.Table] = true
	}
	for _, name := range homeTables {
		known[name] = true
	}
	all, err := s.ids(context.Background(), `SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name`)
	if err != nil || len(all) < 30 {
		t.Fatal(len(all), err)
	}
	for _, name := range all {
		if !known[name] {
			t.Errorf("%s is not taken out of a kitchen, nor said to stay", name)
		}
	}
}
