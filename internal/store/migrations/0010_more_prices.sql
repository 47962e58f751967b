-- +goose Up
CREATE TABLE price_of_more ( -- as typed; empty: not said
	what TEXT PRIMARY KEY CHECK (what IN ('sugar', 'honey', 'corn', 'juice', 'lid', 'jar', 'hour', 'bought')),
	typed TEXT NOT NULL CHECK (typed <> '')
) STRICT;
INSERT INTO price_of_more (what, typed) SELECT what, typed FROM price;
DROP TABLE price;
ALTER TABLE price_of_more RENAME TO price;
