-- +goose Up
-- What the cook has held against the printed guide. The fingerprint is of the
-- numbers as they were then: a check does not stand for numbers that changed.
CREATE TABLE table_check (
	part TEXT PRIMARY KEY CHECK (part <> ''),
	fingerprint TEXT NOT NULL,
	checked_at_ms INTEGER NOT NULL
) STRICT;
