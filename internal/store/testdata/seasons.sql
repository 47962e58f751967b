-- 20,000 lots and batches, two a day up to 14 August 2026; all used up but the last twelve.
CREATE TEMP TABLE n AS WITH RECURSIVE up (i) AS (SELECT 0 UNION ALL SELECT i + 1 FROM up WHERE i < 19999) SELECT i, 20679 - (19999 - i) / 2 AS day FROM up;

INSERT INTO lot (id, name, kind, variety, bought, mass_mg, guess, price_cents, came_from, got_day, note)
SELECT printf('lot-%08d', i), 'crate ' || i, CASE i % 4 WHEN 0 THEN 'apple' WHEN 1 THEN 'peach' WHEN 2 THEN 'pear' ELSE 'cherry' END,
	'', '20 lb', 9071847, 0, 1000 + i % 700, '', day, '' FROM n;

INSERT INTO lot_tap (lot, day, ripeness) SELECT printf('lot-%08d', i), day, 'ready' FROM n;

INSERT INTO batch (id, version, note, product, kind, form, pack, jar, method, thickener, altitude, amount, liquid_kind, liquid_strength,
	liquid_brix, liquid_water_parts, liquid_sugar_parts, liquid_sweetener, created_at_ms, updated_at_ms)
SELECT printf('batch-%08d', i), 1, '', 'peaches', 'yellow-flesh', 'halves', 'hot', 'quart', '', '', '', '20 lb', 'named', 'light',
	0, 0, 0, '', day * 86400000, day * 86400000 FROM n;

INSERT INTO closing (id, batch, product, kind, form, pack, fruit_mg, liquid_ul, prepare_minutes, boil_minutes, boil_factor, note, day, forgotten)
SELECT printf('closing-%08d', i), printf('batch-%08d', i), 'peaches', 'yellow-flesh', 'halves', 'hot', 9071847, 0, 40, 25, 1.1, '', day, 0 FROM n WHERE i < 19988;

INSERT INTO closing_jar (closing, jar, filled) SELECT printf('closing-%08d', i), 'quart', 7 + i % 3 FROM n WHERE i < 19988;

INSERT INTO lot_use (id, lot, closing, of, what, mass_mg)
SELECT printf('use-%08d', i), printf('lot-%08d', i), printf('closing-%08d', i), '', 'fruit', 9071847 FROM n WHERE i < 19988;

DROP TABLE n;
