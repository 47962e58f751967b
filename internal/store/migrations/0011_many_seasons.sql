-- +goose Up
-- What batches took of a lot is kept beside it, so that the fruit at hand is found
-- among all that ever came in, and so that no two batches can take the same fruit.
ALTER TABLE lot ADD COLUMN used_mg INTEGER NOT NULL DEFAULT 0 CHECK (used_mg BETWEEN 0 AND mass_mg);

UPDATE lot SET used_mg = min(mass_mg, (SELECT coalesce(sum(u.mass_mg), 0) FROM lot_use u WHERE u.lot = lot.id AND u.of = ''));

-- +goose StatementBegin
CREATE TRIGGER lot_used AFTER INSERT ON lot_use WHEN NEW.of = '' BEGIN
	UPDATE lot SET used_mg = used_mg + NEW.mass_mg WHERE id = NEW.lot;
END;
-- +goose StatementEnd

-- +goose StatementBegin
CREATE TRIGGER lot_unused AFTER DELETE ON lot_use WHEN OLD.of = '' BEGIN
	UPDATE lot SET used_mg = max(0, used_mg - OLD.mass_mg) WHERE id = OLD.lot;
END;
-- +goose StatementEnd

CREATE INDEX lot_left ON lot (got_day) WHERE gone_at_ms IS NULL AND used_mg < mass_mg;
CREATE INDEX lot_got ON lot (got_day) WHERE gone_at_ms IS NULL;
CREATE INDEX lot_price ON lot (kind, price_cents, mass_mg) WHERE price_cents > 0;
CREATE INDEX lot_use_lot ON lot_use (lot);
CREATE INDEX lot_use_closing ON lot_use (closing);
CREATE INDEX closing_newest ON closing (day);
