-- +goose Up
CREATE TABLE container ( -- of the cook's own, weighed once
	name TEXT NOT NULL COLLATE NOCASE CHECK (name <> ''),
	kind TEXT NOT NULL CHECK (kind <> ''),
	mass_mg INTEGER NOT NULL CHECK (mass_mg > 0),
	PRIMARY KEY (name, kind)
) STRICT;

CREATE TABLE variety (
	kind TEXT NOT NULL CHECK (kind <> ''),
	name TEXT NOT NULL COLLATE NOCASE CHECK (name <> ''),
	tart INTEGER NOT NULL CHECK (tart BETWEEN 0 AND 10), -- 0 sweet, 10 tart
	texture TEXT NOT NULL,
	months TEXT NOT NULL,
	note TEXT NOT NULL,
	PRIMARY KEY (kind, name)
) STRICT;

CREATE TABLE lot (
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 8 AND 40),
	name TEXT NOT NULL CHECK (name <> ''),
	kind TEXT NOT NULL CHECK (kind <> ''),
	variety TEXT NOT NULL,
	bought TEXT NOT NULL,      -- as typed
	mass_mg INTEGER NOT NULL CHECK (mass_mg > 0),
	guess INTEGER NOT NULL CHECK (guess IN (0, 1)),
	price_cents INTEGER CHECK (price_cents >= 0), -- for all of it; null: not said
	came_from TEXT NOT NULL,
	got_day INTEGER NOT NULL,  -- days since 1970-01-01, of the kitchen's calendar
	note TEXT NOT NULL,
	gone_at_ms INTEGER         -- null: still here; otherwise eaten, given away or spoilt
) STRICT;

CREATE TABLE lot_tap (
	lot TEXT NOT NULL REFERENCES lot (id) ON DELETE CASCADE,
	day INTEGER NOT NULL,
	ripeness TEXT NOT NULL CHECK (ripeness IN ('hard', 'nearly', 'ready', 'past')),
	PRIMARY KEY (lot, day) -- the last one of a day counts
) STRICT;

CREATE TABLE closing ( -- what a batch gave
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 8 AND 40),
	batch TEXT NOT NULL, -- empty: typed for an earlier season
	product TEXT NOT NULL CHECK (product <> ''),
	kind TEXT NOT NULL,
	form TEXT NOT NULL,
	pack TEXT NOT NULL,
	fruit_mg INTEGER NOT NULL CHECK (fruit_mg >= 0),
	liquid_ul INTEGER NOT NULL CHECK (liquid_ul >= 0),       -- that went into jars; 0: not said
	prepare_minutes INTEGER NOT NULL CHECK (prepare_minutes >= 0), -- 0: not said
	boil_minutes INTEGER NOT NULL CHECK (boil_minutes >= 0),       -- to the boil; 0: not said
	boil_factor REAL NOT NULL CHECK (boil_factor >= 0),            -- of what was worked out; 0: not said
	note TEXT NOT NULL,
	day INTEGER NOT NULL,
	forgotten INTEGER NOT NULL CHECK (forgotten IN (0, 1))
) STRICT;

CREATE TABLE closing_jar (
	closing TEXT NOT NULL REFERENCES closing (id) ON DELETE CASCADE,
	jar TEXT NOT NULL CHECK (jar <> ''),
	filled INTEGER NOT NULL CHECK (filled > 0),
	PRIMARY KEY (closing, jar)
) STRICT;

CREATE TABLE lot_use (
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 8 AND 40),
	lot TEXT NOT NULL REFERENCES lot (id) ON DELETE CASCADE,
	closing TEXT REFERENCES closing (id) ON DELETE CASCADE, -- null: not in a batch
	of TEXT NOT NULL,     -- an earlier use that it was left over from; empty: of the lot itself
	what TEXT NOT NULL CHECK (what <> ''),
	mass_mg INTEGER NOT NULL CHECK (mass_mg > 0)
) STRICT;

ALTER TABLE batch ADD COLUMN lots TEXT NOT NULL DEFAULT ''; -- ids, joined by commas
