-- +goose Up
-- What is found of a jar, and what is done with it, is told and kept like what happens
-- on the hob: in order, and never changed.
CREATE TABLE jar_line (
	id INTEGER PRIMARY KEY AUTOINCREMENT,
	load TEXT NOT NULL REFERENCES canner_load (id),
	jar INTEGER NOT NULL CHECK (jar > 0),
	told_wall_ms INTEGER NOT NULL,
	data TEXT NOT NULL CHECK (json_valid(data))
) STRICT;

CREATE INDEX jar_line_load ON jar_line (load);

-- +goose StatementBegin
CREATE TRIGGER jar_line_stays BEFORE UPDATE ON jar_line BEGIN
	SELECT RAISE(ABORT, 'what was told is corrected, not changed');
END;
-- +goose StatementEnd

-- +goose StatementBegin
CREATE TRIGGER jar_line_is_kept BEFORE DELETE ON jar_line BEGIN
	SELECT RAISE(ABORT, 'what was told is corrected, not erased');
END;
-- +goose StatementEnd

ALTER TABLE canner_load ADD COLUMN tray_done INTEGER NOT NULL DEFAULT 0 CHECK (tray_done IN (0, 1));
CREATE INDEX load_on_tray ON canner_load (opened_wall_ms) WHERE put_away = 1 AND tray_done = 0;
