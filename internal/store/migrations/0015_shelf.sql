-- +goose Up
-- A jar on the shelf is what is told of it, in order and never changed; how it stands is
-- folded from that and kept beside it, so that it is found among thirty years of jars.
CREATE TABLE shelf_place (
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 4 AND 40),
	name TEXT NOT NULL UNIQUE COLLATE NOCASE CHECK (name <> ''),
	kind TEXT NOT NULL CHECK (kind IN ('shelf', 'box', 'loft')),
	sort INTEGER NOT NULL
) STRICT;

CREATE TABLE jar (
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 6 AND 40),
	load TEXT NOT NULL, -- of canner_load, or one of another kitchen; empty: it was not run on a stove
	number INTEGER NOT NULL CHECK (number >= 0), -- within its load; 0: none
	batch TEXT NOT NULL, -- of batch; empty: none
	origin TEXT NOT NULL CHECK (origin IN ('load', 'batch', 'before', 'present')),
	what TEXT NOT NULL CHECK (what <> ''), -- as it is called: peaches, in halves
	strength TEXT NOT NULL, -- pack and liquid: hot, in light syrup
	product TEXT NOT NULL, -- of the catalogue; empty: something else
	kind TEXT NOT NULL,
	form TEXT NOT NULL,
	jar TEXT NOT NULL CHECK (jar <> ''),
	canned_day INTEGER NOT NULL,
	year_only INTEGER NOT NULL CHECK (year_only IN (0, 1)), -- canned_day is then the first of the year
	made_by TEXT NOT NULL,
	process TEXT NOT NULL CHECK (process IN ('tested', 'told', 'own', 'unknown')),
	source TEXT NOT NULL,
	use_first INTEGER NOT NULL CHECK (use_first IN (0, 1)),
	note TEXT NOT NULL,
	allergens TEXT NOT NULL,
	state TEXT NOT NULL CHECK (state IN ('shelf', 'refrigerator', 'freezer', 'open', 'eaten', 'given', 'broken', 'discarded', 'pulled')),
	place TEXT NOT NULL, -- of shelf_place; empty: none said
	until_day INTEGER NOT NULL, -- in the refrigerator; 0: no such day
	since_day INTEGER NOT NULL,
	who TEXT NOT NULL,
	looked_day INTEGER NOT NULL, -- 0: never
	recall TEXT NOT NULL,
	hay TEXT NOT NULL -- in what it is found, in small letters
) STRICT;

CREATE INDEX jar_here ON jar (canned_day, number, id) WHERE state IN ('shelf', 'refrigerator', 'freezer', 'open', 'pulled');
CREATE INDEX jar_all ON jar (canned_day, number, id);
CREATE INDEX jar_load ON jar (load, number) WHERE load <> '';
CREATE INDEX jar_batch ON jar (batch) WHERE batch <> '';
CREATE INDEX jar_recall ON jar (recall) WHERE recall <> '';
-- Holds all that the drawn shelf is made of, so that it is read without the jars.
CREATE INDEX jar_standing ON jar (place, what, strength, jar, process, product, kind, form, canned_day, looked_day, use_first, number) WHERE state = 'shelf';
CREATE INDEX jar_cold ON jar (until_day) WHERE state IN ('refrigerator', 'freezer', 'open', 'pulled');

CREATE TABLE shelf_line (
	jar TEXT NOT NULL REFERENCES jar (id),
	seq INTEGER NOT NULL CHECK (seq > 0),
	told_wall_ms INTEGER NOT NULL,
	data TEXT NOT NULL CHECK (json_valid(data)),
	PRIMARY KEY (jar, seq)
) STRICT, WITHOUT ROWID;

-- +goose StatementBegin
CREATE TRIGGER shelf_line_stays BEFORE UPDATE ON shelf_line BEGIN
	SELECT RAISE(ABORT, 'what was told is taken back, not changed');
END;
-- +goose StatementEnd

-- +goose StatementBegin
CREATE TRIGGER shelf_line_is_kept BEFORE DELETE ON shelf_line BEGIN
	SELECT RAISE(ABORT, 'what was told is taken back, not erased');
END;
-- +goose StatementEnd

CREATE TABLE recall (
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 6 AND 40),
	of TEXT NOT NULL CHECK (of IN ('load', 'batch', 'lot')),
	ref TEXT NOT NULL CHECK (ref <> ''),
	name TEXT NOT NULL,
	why TEXT NOT NULL CHECK (why <> ''),
	short INTEGER NOT NULL CHECK (short IN (0, 1)), -- its process was short, so that within the day it may be run again
	told_wall_ms INTEGER NOT NULL,
	undone INTEGER NOT NULL DEFAULT 0 CHECK (undone IN (0, 1))
) STRICT;

CREATE TABLE want (
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 6 AND 40),
	whom TEXT NOT NULL CHECK (whom IN ('household', 'guests', 'gifts')),
	product TEXT NOT NULL CHECK (product <> ''),
	form TEXT NOT NULL,
	jar TEXT NOT NULL CHECK (jar <> ''),
	jars INTEGER NOT NULL CHECK (jars BETWEEN 1 AND 5000),
	by_day INTEGER NOT NULL CHECK (by_day >= 0), -- 0: through the year
	note TEXT NOT NULL
) STRICT;

CREATE TABLE show_mark ( -- the cook's own opinion of a jar, in a year
	year INTEGER NOT NULL CHECK (year BETWEEN 1900 AND 2200),
	jar TEXT NOT NULL REFERENCES jar (id),
	marks TEXT NOT NULL CHECK (json_valid(marks)),
	place INTEGER NOT NULL CHECK (place BETWEEN 0 AND 500), -- 0: by its marks
	note TEXT NOT NULL,
	PRIMARY KEY (year, jar)
) STRICT;

CREATE TABLE label_sheet ( -- a grid of labels, measured by the cook
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 4 AND 40),
	name TEXT NOT NULL CHECK (name <> ''),
	data TEXT NOT NULL CHECK (json_valid(data))
) STRICT;

CREATE TABLE setting (
	name TEXT PRIMARY KEY CHECK (name <> ''),
	value TEXT NOT NULL
) STRICT;

-- By which a line that comes in from a file is known to be here already.
CREATE INDEX stove_line_told ON stove_line (told_wall_ms);
