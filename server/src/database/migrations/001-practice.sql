-- The practice: owners, horses, visits, feet as measured, patterns and all their versions.
-- Lengths inside JSON are millimetres. `search` holds the folded text that the search looks through.

CREATE TABLE owners (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  name TEXT NOT NULL,
  phone TEXT NOT NULL,
  email TEXT NOT NULL,
  place TEXT NOT NULL,
  notes TEXT NOT NULL,
  archived INTEGER NOT NULL,
  search TEXT NOT NULL,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;

CREATE TABLE horses (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  owner_id TEXT REFERENCES owners (id),
  name TEXT NOT NULL,
  animal TEXT NOT NULL,
  work TEXT NOT NULL,
  going TEXT NOT NULL,
  living TEXT NOT NULL,
  place TEXT NOT NULL,
  cycle_weeks INTEGER NOT NULL,
  notes TEXT NOT NULL,
  archived INTEGER NOT NULL,
  search TEXT NOT NULL,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;
CREATE INDEX horses_by_name ON horses (archived, name COLLATE NOCASE);
CREATE INDEX horses_by_owner ON horses (owner_id);

CREATE TABLE visits (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  horse_id TEXT NOT NULL REFERENCES horses (id),
  date TEXT NOT NULL,
  state TEXT NOT NULL CHECK (state IN ('open', 'done')),
  notes TEXT NOT NULL,
  archived INTEGER NOT NULL,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;
CREATE INDEX visits_by_horse ON visits (horse_id, archived, state, date);
CREATE INDEX visits_by_date ON visits (date);
CREATE INDEX visits_open ON visits (date) WHERE state = 'open';

CREATE TABLE foot_records (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  visit_id TEXT NOT NULL REFERENCES visits (id),
  side TEXT NOT NULL CHECK (side IN ('LF', 'RF', 'LH', 'RH')),
  foot TEXT NOT NULL CHECK (json_valid(foot)),
  pattern_id TEXT REFERENCES patterns (id),
  notes TEXT NOT NULL,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  UNIQUE (visit_id, side)
) STRICT;

CREATE TABLE patterns (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  horse_id TEXT NOT NULL REFERENCES horses (id),
  side TEXT NOT NULL CHECK (side IN ('LF', 'RF', 'LH', 'RH')),
  name TEXT NOT NULL,
  visit_id TEXT REFERENCES visits (id),
  foot TEXT NOT NULL CHECK (json_valid(foot)),
  shoe TEXT NOT NULL CHECK (json_valid(shoe)),
  workshop TEXT NOT NULL CHECK (json_valid(workshop)),
  result TEXT NOT NULL CHECK (json_valid(result)),
  notes TEXT NOT NULL,
  archived INTEGER NOT NULL,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;
CREATE INDEX patterns_by_horse ON patterns (horse_id, side);

-- Every state a pattern ever had, the present one included: nothing stored is lost.
CREATE TABLE pattern_versions (
  pattern_id TEXT NOT NULL REFERENCES patterns (id),
  version INTEGER NOT NULL,
  body TEXT NOT NULL CHECK (json_valid(body)),
  saved_at TEXT NOT NULL,
  PRIMARY KEY (pattern_id, version)
) STRICT, WITHOUT ROWID;

CREATE TABLE workshops (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  figures TEXT NOT NULL CHECK (json_valid(figures)),
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;
