-- +goose Up
CREATE TABLE stock ( -- jars the kitchen owns
	jar TEXT PRIMARY KEY CHECK (jar <> ''),
	owned INTEGER NOT NULL CHECK (owned BETWEEN 0 AND 5000),
	in_use INTEGER NOT NULL CHECK (in_use BETWEEN 0 AND owned)
) STRICT;

CREATE TABLE closure ( -- new flat lids, and bands, by the mouth they fit
	mouth TEXT PRIMARY KEY CHECK (mouth IN ('regular', 'wide')),
	lids INTEGER NOT NULL CHECK (lids BETWEEN 0 AND 10000),
	bands INTEGER NOT NULL CHECK (bands BETWEEN 0 AND 10000)
) STRICT;
