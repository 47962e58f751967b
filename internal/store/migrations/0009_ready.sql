-- +goose Up
CREATE TABLE ready_tick ( -- what is laid out already, of the list of these batches
	batches TEXT NOT NULL CHECK (batches <> ''), -- ids in order, joined by commas
	item TEXT NOT NULL CHECK (item <> ''),
	PRIMARY KEY (batches, item)
) STRICT;
