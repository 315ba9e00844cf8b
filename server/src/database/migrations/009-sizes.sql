-- The farrier's own table of factory shoes: one row a size, with what is on the van. Lengths in mm, weight in g.
CREATE TABLE sizes (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  label TEXT NOT NULL,
  range TEXT NOT NULL,
  kind TEXT NOT NULL,
  feet TEXT NOT NULL,
  web REAL NOT NULL,
  thickness REAL NOT NULL,
  length REAL NOT NULL,
  length_derived INTEGER NOT NULL,
  width REAL,
  holes TEXT NOT NULL CHECK (json_valid(holes)),
  clips TEXT,
  weight REAL,
  price REAL,
  on_van INTEGER NOT NULL,
  keep_on_van INTEGER NOT NULL,
  archived INTEGER NOT NULL,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;
CREATE INDEX sizes_in_order ON sizes (archived, range COLLATE NOCASE, length);
