-- 30 years of 400 jars a year up to 14 August 2026, in six places; the state is set by the test.
WITH RECURSIVE up (i) AS (SELECT 0 UNION ALL SELECT i + 1 FROM up WHERE i < 11999)
INSERT INTO jar (id, load, number, batch, origin, what, strength, product, kind, form, jar, canned_day, year_only, made_by, process, source, use_first, note, allergens, state, place, until_day, since_day, who, looked_day, recall, hay)
SELECT printf('jar-%06d', i), '', 1 + i % 7, '', 'before',
	CASE i % 8 WHEN 0 THEN 'peaches, in halves' WHEN 1 THEN 'pears, in halves' WHEN 2 THEN 'applesauce' WHEN 3 THEN 'plums, whole' WHEN 4 THEN 'cherries' WHEN 5 THEN 'apple pie filling' WHEN 6 THEN 'grape juice' ELSE 'blueberries' END,
	CASE i % 3 WHEN 0 THEN 'hot, in light syrup' WHEN 1 THEN 'hot, in medium syrup' ELSE 'raw, in light syrup' END,
	CASE i % 8 WHEN 0 THEN 'peaches' WHEN 1 THEN 'pears' WHEN 2 THEN 'applesauce' WHEN 3 THEN 'plums' WHEN 4 THEN 'cherries' WHEN 5 THEN 'apple-pie-filling' WHEN 6 THEN 'grape-juice' ELSE 'berries' END,
	'', '', CASE i % 2 WHEN 0 THEN 'quart' ELSE 'pint' END, 20679 - (11999 - i) * 365 / 400, 0, 'Ilse', 'told', '', i % 97 = 0, 'The ' || i || 'th jar', '',
	CASE WHEN ?1 = 1 OR i >= 11400 THEN 'shelf' ELSE 'eaten' END, 'place-' || (i % 6), 0, 20679 - (11999 - i) * 365 / 400, '', 0, '',
	lower('jar-' || i || char(10) || 'peaches, in halves hot, in light syrup quart 2024-08-14 14 august 2024 ilse told the ' || i || 'th jar') FROM up;

INSERT INTO shelf_line (jar, seq, told_wall_ms, data) SELECT id, 1, since_day * 86400000, json_object('Act', 'begun', 'Day', since_day, 'State', state, 'Place', place) FROM jar;

WITH RECURSIVE up (i) AS (SELECT 0 UNION ALL SELECT i + 1 FROM up WHERE i < 5)
INSERT INTO shelf_place (id, name, kind, sort) SELECT 'place-' || i, 'shelf ' || i, 'shelf', i FROM up;
