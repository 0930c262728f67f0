-- What ran out before a compartment was filled, and how the level stood then; nothing where nobody noted it.
ALTER TABLE fill ADD COLUMN drained_ul INTEGER CHECK (drained_ul BETWEEN 0 AND 100000000000);
ALTER TABLE fill ADD COLUMN level TEXT CHECK (level IN ('RIGHT', 'LOW', 'HIGH'));
