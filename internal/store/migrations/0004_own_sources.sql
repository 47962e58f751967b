-- +goose Up
CREATE TABLE own_source (
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 8 AND 40),
	version INTEGER NOT NULL CHECK (version >= 1),
	name TEXT NOT NULL CHECK (name <> ''),
	title TEXT NOT NULL CHECK (title <> ''),
	year INTEGER NOT NULL CHECK (year BETWEEN 1800 AND 2200),
	page TEXT NOT NULL CHECK (page <> ''),
	product TEXT NOT NULL, -- empty: something the guide does not know
	kind TEXT NOT NULL,
	form TEXT NOT NULL,
	pack TEXT NOT NULL CHECK (pack IN ('raw', 'hot')),
	largest TEXT NOT NULL CHECK (largest IN ('half-pint', 'pint', 'quart', 'half-gallon')),
	minutes INTEGER NOT NULL CHECK (minutes BETWEEN 5 AND 240), -- at sea level
	add_1001ft INTEGER NOT NULL CHECK (add_1001ft BETWEEN 0 AND 120),
	add_3001ft INTEGER NOT NULL CHECK (add_3001ft BETWEEN 0 AND 120),
	add_6001ft INTEGER NOT NULL CHECK (add_6001ft BETWEEN 0 AND 120),
	add_8001ft INTEGER NOT NULL CHECK (add_8001ft BETWEEN 0 AND 120),
	headspace_um INTEGER NOT NULL CHECK (headspace_um BETWEEN 6350 AND 50800),
	acid TEXT NOT NULL,
	created_at_ms INTEGER NOT NULL,
	updated_at_ms INTEGER NOT NULL,
	retired_at_ms INTEGER -- null: in use
) STRICT;

ALTER TABLE batch ADD COLUMN source TEXT NOT NULL DEFAULT ''; -- of own_source; empty: by the tested rows
