-- What ran out before a compartment was filled, and how the level stood then; nothing where nobody noted it.
ALTER TABLE fill ADD COLUMN drained_ul INTEGER CHECK (drained_ul BETWEEN 0 AND 100000000000);
ALTER TABLE fill ADD COLUMN level TEXT CHECK (level IN ('RIGHT', 'LOW', 'HIGH'));

-- The tray that went out with what was added, so that a taking back can be undone.
ALTER TABLE top_up ADD COLUMN tray_id INTEGER REFERENCES tray;
CREATE INDEX top_up_tray ON top_up (tray_id) WHERE tray_id IS NOT NULL;
