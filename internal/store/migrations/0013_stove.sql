-- +goose Up
-- A load on the hob is what is told of it, in order, and never changed: its clocks and
-- its state are worked out from that.
CREATE TABLE canner_load (
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 8 AND 40),
	batch TEXT NOT NULL,
	plan TEXT NOT NULL CHECK (json_valid(plan)),   -- what it was to be, when it was opened
	about TEXT NOT NULL CHECK (json_valid(about)), -- canner, jars and their places, for drawing
	opened_wall_ms INTEGER NOT NULL,
	opened_boot_ms INTEGER NOT NULL,
	opened_boot TEXT NOT NULL,
	put_away INTEGER NOT NULL DEFAULT 0 CHECK (put_away IN (0, 1))
) STRICT;

CREATE INDEX load_on_hob ON canner_load (opened_wall_ms) WHERE put_away = 0;

CREATE INDEX load_of_batch ON canner_load (batch);

CREATE TABLE stove_line (
	id INTEGER PRIMARY KEY AUTOINCREMENT,
	load TEXT REFERENCES canner_load (id), -- null: a side clock
	seq INTEGER NOT NULL CHECK (seq >= 0), -- within the load; 0 for a side clock
	kind TEXT NOT NULL CHECK (kind <> ''),
	told_wall_ms INTEGER NOT NULL,
	told_boot_ms INTEGER NOT NULL,
	told_boot TEXT NOT NULL,
	data TEXT NOT NULL CHECK (json_valid(data))
) STRICT;

CREATE UNIQUE INDEX stove_line_seq ON stove_line (load, seq) WHERE load IS NOT NULL;
CREATE INDEX stove_line_sides ON stove_line (id) WHERE load IS NULL;

-- +goose StatementBegin
CREATE TRIGGER stove_line_stays BEFORE UPDATE ON stove_line BEGIN
	SELECT RAISE(ABORT, 'what was told is corrected, not changed');
END;
-- +goose StatementEnd

-- +goose StatementBegin
CREATE TRIGGER stove_line_is_kept BEFORE DELETE ON stove_line BEGIN
	SELECT RAISE(ABORT, 'what was told is corrected, not erased');
END;
-- +goose StatementEnd

CREATE TABLE alive ( -- when the machine was last known to run, for each start of it
	boot TEXT PRIMARY KEY,
	boot_ms INTEGER NOT NULL,
	wall_ms INTEGER NOT NULL,
	noted INTEGER NOT NULL -- counts up, since neither clock orders the starts
) STRICT;
