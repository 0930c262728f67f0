-- How the level stood once a compartment was filled; nothing where nobody read it.
ALTER TABLE fill ADD COLUMN level TEXT CHECK (level IN ('RIGHT', 'LOW', 'HIGH'));
