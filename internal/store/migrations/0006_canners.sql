-- +goose Up
CREATE TABLE burner (
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 8 AND 40),
	name TEXT NOT NULL CHECK (name <> ''),
	kind TEXT NOT NULL CHECK (kind IN ('gas', 'coil', 'induction')),
	watts INTEGER NOT NULL CHECK (watts BETWEEN 200 AND 40000),
	across_um INTEGER NOT NULL CHECK (across_um BETWEEN 0 AND 1000000), -- 0: not said
	outdoors INTEGER NOT NULL CHECK (outdoors IN (0, 1)),
	glass_top INTEGER NOT NULL CHECK (glass_top IN (0, 1))
) STRICT;

-- Any pot that jars or fruit are cooked in; a canner has a kind of process.
CREATE TABLE pot (
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 8 AND 40),
	name TEXT NOT NULL CHECK (name <> ''),
	kind TEXT NOT NULL CHECK (kind IN ('boiling-water', 'steam', 'electric', 'cooking')),
	across_um INTEGER NOT NULL CHECK (across_um BETWEEN 0 AND 2000000), -- 0: rectangular
	length_um INTEGER NOT NULL CHECK (length_um BETWEEN 0 AND 2000000), -- 0: round
	width_um INTEGER NOT NULL CHECK (width_um BETWEEN 0 AND 2000000),
	depth_um INTEGER NOT NULL CHECK (depth_um BETWEEN 10000 AND 2000000),
	rack_um INTEGER NOT NULL CHECK (rack_um BETWEEN 0 AND 200000),
	steel_mg INTEGER NOT NULL CHECK (steel_mg BETWEEN 0 AND 50000000),
	watts INTEGER NOT NULL CHECK (watts BETWEEN 0 AND 40000),           -- of an electric one
	burner TEXT NOT NULL, -- of burner; empty: none said
	CHECK (across_um > 0 AND length_um = 0 AND width_um = 0 OR across_um = 0 AND length_um > 0 AND width_um > 0)
) STRICT;

ALTER TABLE batch ADD COLUMN canner TEXT NOT NULL DEFAULT ''; -- of pot; empty: the first, or the usual one
