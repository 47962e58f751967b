-- +goose Up
ALTER TABLE batch ADD COLUMN acid TEXT NOT NULL DEFAULT '';         -- empty: as the product demands
ALTER TABLE batch ADD COLUMN fruit_state TEXT NOT NULL DEFAULT '';  -- empty: ripe and sound
ALTER TABLE batch ADD COLUMN jar_state TEXT NOT NULL DEFAULT '';    -- empty: sound, with new lids
ALTER TABLE batch ADD COLUMN extras INTEGER NOT NULL DEFAULT 0 CHECK (extras >= 0); -- a set, a bit each
