-- Pictures that stay with a visit, each with what was marked on it. The file lies last: what only lists pictures does not read it.

CREATE TABLE pictures (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  visit_id TEXT NOT NULL REFERENCES visits (id),
  side TEXT NOT NULL,
  kind TEXT NOT NULL,
  name TEXT NOT NULL,
  width INTEGER NOT NULL,
  height INTEGER NOT NULL,
  mm_per_pixel REAL,
  marks TEXT NOT NULL CHECK (json_valid(marks)),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  file TEXT NOT NULL
) STRICT;
CREATE INDEX pictures_of_visit ON pictures (visit_id, side);
