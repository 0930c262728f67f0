-- What ran out before a compartment was filled, and how the level stood then; nothing where nobody noted it.
ALTER TABLE fill ADD COLUMN drained_ul INTEGER CHECK (drained_ul BETWEEN 0 AND 100000000000);
ALTER TABLE fill ADD COLUMN level TEXT CHECK (level IN ('RIGHT', 'LOW', 'HIGH'));

-- The tray that went out with what was added, so that a taking back can be undone.
ALTER TABLE top_up ADD COLUMN tray_id INTEGER REFERENCES tray;
CREATE INDEX top_up_tray ON top_up (tray_id) WHERE tray_id IS NOT NULL;

-- What a lot is worth is the sum of its movements. This table is that sum, kept by a trigger as the
-- stock is, so that an issue need not add up what was moved in years.
CREATE TABLE lot_worth (
  item_id INTEGER NOT NULL,
  lot_id INTEGER NOT NULL,
  value_minor INTEGER NOT NULL,
  PRIMARY KEY (item_id, lot_id),
  FOREIGN KEY (item_id, lot_id) REFERENCES lot (item_id, id)
) STRICT, WITHOUT ROWID;

INSERT INTO lot_worth (item_id, lot_id, value_minor)
SELECT item_id, lot_id, sum(value_minor) FROM movement GROUP BY item_id, lot_id;

CREATE TRIGGER movement_keeps_worth AFTER INSERT ON movement BEGIN
  INSERT OR IGNORE INTO lot_worth (item_id, lot_id, value_minor)
  VALUES (NEW.item_id, NEW.lot_id, 0);
  UPDATE lot_worth SET value_minor = value_minor + NEW.value_minor
   WHERE item_id = NEW.item_id AND lot_id = NEW.lot_id;
END;

DROP INDEX movement_worth;
