-- What was looked at before any iron was touched: one look a visit, whole in JSON. And the school of breakover a
-- horse is shod by.

CREATE TABLE looks (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  visit_id TEXT NOT NULL UNIQUE REFERENCES visits (id),
  vet TEXT NOT NULL CHECK (json_valid(vet)),
  ways TEXT NOT NULL CHECK (json_valid(ways)),
  feet TEXT NOT NULL CHECK (json_valid(feet)),
  advice TEXT NOT NULL CHECK (json_valid(advice)),
  acknowledged TEXT NOT NULL CHECK (json_valid(acknowledged)),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;

ALTER TABLE horses ADD COLUMN breakover_school TEXT NOT NULL DEFAULT 'perimeter';
