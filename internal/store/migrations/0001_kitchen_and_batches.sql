-- +goose Up
CREATE TABLE kitchen (
	id INTEGER PRIMARY KEY CHECK (id = 1),
	name TEXT NOT NULL,
	altitude_um INTEGER CHECK (altitude_um BETWEEN -426720000 AND 4572000000), -- null: not known
	units TEXT NOT NULL CHECK (units IN ('us', 'metric')),
	version INTEGER NOT NULL CHECK (version >= 1),
	updated_at_ms INTEGER NOT NULL
) STRICT;

INSERT INTO kitchen (id, name, altitude_um, units, version, updated_at_ms) VALUES (1, '', NULL, 'us', 1, 0);

CREATE TABLE batch (
	id TEXT PRIMARY KEY CHECK (length(id) BETWEEN 8 AND 40),
	version INTEGER NOT NULL CHECK (version >= 1),
	note TEXT NOT NULL,
	product TEXT NOT NULL CHECK (product <> ''),
	kind TEXT NOT NULL,
	form TEXT NOT NULL,
	pack TEXT NOT NULL CHECK (pack IN ('raw', 'hot')),
	jar TEXT NOT NULL CHECK (jar <> ''),
	method TEXT NOT NULL,
	thickener TEXT NOT NULL,
	altitude TEXT NOT NULL, -- as typed; empty: the kitchen's
	amount TEXT NOT NULL,   -- as typed
	liquid_kind TEXT NOT NULL,
	liquid_strength TEXT NOT NULL,
	liquid_brix REAL NOT NULL CHECK (liquid_brix BETWEEN 0 AND 65),
	liquid_water_parts REAL NOT NULL CHECK (liquid_water_parts BETWEEN 0 AND 100),
	liquid_sugar_parts REAL NOT NULL CHECK (liquid_sugar_parts BETWEEN 0 AND 100),
	liquid_sweetener TEXT NOT NULL,
	created_at_ms INTEGER NOT NULL,
	updated_at_ms INTEGER NOT NULL,
	deleted_at_ms INTEGER -- null: not deleted
) STRICT;

CREATE INDEX batch_newest ON batch (created_at_ms DESC, id) WHERE deleted_at_ms IS NULL;
