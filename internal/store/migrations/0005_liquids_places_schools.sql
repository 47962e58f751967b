-- +goose Up
ALTER TABLE batch ADD COLUMN blend TEXT NOT NULL DEFAULT '';             -- the other fruits, joined by commas
ALTER TABLE batch ADD COLUMN liquid_gallon_cups REAL NOT NULL DEFAULT 0 CHECK (liquid_gallon_cups BETWEEN 0 AND 100);
ALTER TABLE batch ADD COLUMN liquid_sugar TEXT NOT NULL DEFAULT '';      -- as typed
ALTER TABLE batch ADD COLUMN liquid_have TEXT NOT NULL DEFAULT '';       -- as typed
ALTER TABLE batch ADD COLUMN liquid_cores INTEGER NOT NULL DEFAULT 0 CHECK (liquid_cores IN (0, 1));
ALTER TABLE batch ADD COLUMN dilute REAL NOT NULL DEFAULT 0 CHECK (dilute BETWEEN 0 AND 10); -- parts of water to one of juice

-- The jars that the kitchen has; none: all of its units.
CREATE TABLE kitchen_jar (
	jar TEXT PRIMARY KEY CHECK (jar <> '')
) STRICT;

-- Which school the kitchen follows where there are several.
CREATE TABLE school (
	question TEXT PRIMARY KEY CHECK (question <> ''),
	choice TEXT NOT NULL CHECK (choice <> '')
) STRICT;

-- What sweeteners and juice cost, as typed; empty: not said.
CREATE TABLE price (
	what TEXT PRIMARY KEY CHECK (what IN ('sugar', 'honey', 'corn', 'juice')),
	typed TEXT NOT NULL CHECK (typed <> '')
) STRICT;

-- Places of the cook's own.
CREATE TABLE place (
	name TEXT PRIMARY KEY COLLATE NOCASE CHECK (name <> ''),
	altitude_um INTEGER NOT NULL CHECK (altitude_um BETWEEN -426720000 AND 4572000000)
) STRICT;
