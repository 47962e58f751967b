-- +goose Up
-- A canning day: who is there, which batches, what is locked, and the plan as it was made.
-- How it goes is told in lines; loads tell of themselves at the stove.
CREATE TABLE day_plan (
	day INTEGER PRIMARY KEY CHECK (day > 0), -- days since 1970
	begin_minute INTEGER NOT NULL CHECK (begin_minute BETWEEN 0 AND 1439),
	by_minute INTEGER NOT NULL CHECK (by_minute BETWEEN 0 AND 1440), -- 0: no such hour
	late_minute INTEGER NOT NULL CHECK (late_minute BETWEEN 0 AND 1440), -- hands-on after it is avoided; 0: no such hour
	burners INTEGER NOT NULL CHECK (burners BETWEEN 1 AND 12),
	pots INTEGER NOT NULL CHECK (pots BETWEEN 0 AND 12),
	placed TEXT NOT NULL CHECK (json_valid(placed)) -- as it was planned
) STRICT;

CREATE TABLE day_cook (
	day INTEGER NOT NULL REFERENCES day_plan (day) ON DELETE CASCADE,
	number INTEGER NOT NULL CHECK (number >= 0),
	name TEXT NOT NULL CHECK (name <> ''),
	from_minute INTEGER NOT NULL CHECK (from_minute BETWEEN 0 AND 1440),
	to_minute INTEGER NOT NULL CHECK (to_minute BETWEEN 0 AND 1440),
	breaks TEXT NOT NULL CHECK (json_valid(breaks)),
	PRIMARY KEY (day, number)
) STRICT;

CREATE TABLE day_batch (
	day INTEGER NOT NULL REFERENCES day_plan (day) ON DELETE CASCADE,
	batch TEXT NOT NULL REFERENCES batch (id) ON DELETE CASCADE,
	part TEXT NOT NULL CHECK (part IN ('', 'juice', 'jars')),
	number INTEGER NOT NULL,
	from_minute INTEGER NOT NULL CHECK (from_minute BETWEEN 0 AND 1440), -- 0: any time
	by_minute INTEGER NOT NULL CHECK (by_minute BETWEEN 0 AND 1440),
	first_load INTEGER NOT NULL CHECK (first_load BETWEEN 0 AND 500), -- loads run before, on another day
	last_load INTEGER NOT NULL CHECK (last_load BETWEEN 0 AND 500), -- that is run on this day; 0: all to the last
	PRIMARY KEY (day, batch, part)
) STRICT;

CREATE INDEX day_batch_of ON day_batch (batch);

CREATE TABLE day_lock (
	day INTEGER NOT NULL REFERENCES day_plan (day) ON DELETE CASCADE,
	step TEXT NOT NULL CHECK (step <> ''), -- batch/part/step/load
	minute INTEGER NOT NULL CHECK (minute BETWEEN 0 AND 1440),
	PRIMARY KEY (day, step)
) STRICT;

CREATE TABLE day_line (
	id INTEGER PRIMARY KEY AUTOINCREMENT,
	day INTEGER NOT NULL,
	step TEXT NOT NULL CHECK (step <> ''),
	kind TEXT NOT NULL CHECK (kind IN ('begun', 'done', 'back')), -- back: it was not so
	told_wall_ms INTEGER NOT NULL
) STRICT;

CREATE INDEX day_line_of ON day_line (day, id);

-- When the cook has time: in the week, and on days that differ from it.
CREATE TABLE week_time (
	weekday INTEGER PRIMARY KEY CHECK (weekday BETWEEN 0 AND 6), -- 0: Sunday
	from_minute INTEGER NOT NULL CHECK (from_minute BETWEEN 0 AND 1440),
	to_minute INTEGER NOT NULL CHECK (to_minute BETWEEN 0 AND 1440)
) STRICT;

CREATE TABLE day_time (
	day INTEGER PRIMARY KEY CHECK (day > 0),
	from_minute INTEGER NOT NULL CHECK (from_minute BETWEEN 0 AND 1440),
	to_minute INTEGER NOT NULL CHECK (to_minute BETWEEN 0 AND 1440) -- the same as from_minute: none
) STRICT;

CREATE TABLE step_minutes (
	step TEXT PRIMARY KEY CHECK (step <> ''),
	minutes INTEGER NOT NULL CHECK (minutes BETWEEN 1 AND 1440)
) STRICT;

-- What the season taught.
CREATE TABLE season (
	fruit TEXT PRIMARY KEY CHECK (fruit <> ''),
	from_month INTEGER NOT NULL CHECK (from_month BETWEEN 0 AND 12), -- 0: all year
	to_month INTEGER NOT NULL CHECK (to_month BETWEEN 0 AND 12)
) STRICT;

CREATE TABLE vow (
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 4 AND 40),
	product TEXT NOT NULL CHECK (product <> ''),
	batch TEXT NOT NULL, -- that taught it; empty: none
	words TEXT NOT NULL CHECK (words <> ''),
	said_day INTEGER NOT NULL,
	kept_day INTEGER NOT NULL -- when it was done so; 0: still to be
) STRICT;
