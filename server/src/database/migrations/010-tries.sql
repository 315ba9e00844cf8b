-- Shoes tried on: one row a try, with what was corrected. And where the crease of a moulded size begins, mm.

ALTER TABLE sizes ADD COLUMN crease REAL;

CREATE TABLE tries (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  visit_id TEXT NOT NULL REFERENCES visits (id),
  side TEXT NOT NULL,
  shoe TEXT NOT NULL,
  handmade INTEGER NOT NULL,
  walks INTEGER NOT NULL,
  heats INTEGER NOT NULL,
  minutes REAL,
  fits INTEGER NOT NULL,
  before REAL,
  corrections TEXT NOT NULL CHECK (json_valid(corrections)),
  twist TEXT,
  cup TEXT,
  contacts TEXT NOT NULL CHECK (json_valid(contacts)),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;
CREATE INDEX tries_of_visit ON tries (visit_id, created_at);
