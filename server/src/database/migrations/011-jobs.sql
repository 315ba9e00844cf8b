-- Shoes that were cut and made: what was planned, cut and left over, from which the next cut is learned.

CREATE TABLE jobs (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  visit_id TEXT NOT NULL REFERENCES visits (id),
  side TEXT NOT NULL,
  section TEXT NOT NULL CHECK (json_valid(section)),
  style TEXT NOT NULL,
  predicted REAL NOT NULL,
  used REAL NOT NULL,
  left REAL NOT NULL,
  heats INTEGER NOT NULL,
  counted INTEGER NOT NULL,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;
CREATE INDEX jobs_of_visit ON jobs (visit_id, created_at);
