-- +goose Up
ALTER TABLE batch ADD COLUMN sizes TEXT NOT NULL DEFAULT '';     -- "5 quarts, 3 pints"; empty: one size
ALTER TABLE batch ADD COLUMN tiers INTEGER NOT NULL DEFAULT 0 CHECK (tiers BETWEEN 0 AND 2);
ALTER TABLE batch ADD COLUMN varieties TEXT NOT NULL DEFAULT ''; -- by share, as typed

ALTER TABLE closing ADD COLUMN liquid_left_ul INTEGER NOT NULL DEFAULT 0 CHECK (liquid_left_ul >= 0);
ALTER TABLE closing ADD COLUMN cook_minutes INTEGER NOT NULL DEFAULT 0 CHECK (cook_minutes >= 0);
ALTER TABLE closing ADD COLUMN fill_minutes INTEGER NOT NULL DEFAULT 0 CHECK (fill_minutes >= 0);
ALTER TABLE closing ADD COLUMN made_of TEXT NOT NULL DEFAULT ''; -- what was left over from another batch; empty: fruit

-- No more can be made of what was left over than it was left over from.
-- +goose StatementBegin
CREATE TRIGGER lot_over BEFORE INSERT ON lot_use
	WHEN NEW.of <> '' AND NEW.mass_mg + (SELECT coalesce(sum(u.mass_mg), 0) FROM lot_use u WHERE u.lot = NEW.lot AND u.of = NEW.of)
		> (SELECT coalesce(sum(u.mass_mg), 0) FROM lot_use u WHERE u.id = NEW.of AND u.lot = NEW.lot AND u.of = '')
BEGIN
	SELECT RAISE(ABORT, 'more is left over than it is left over from');
END;
-- +goose StatementEnd
