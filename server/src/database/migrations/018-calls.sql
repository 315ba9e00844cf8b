-- Calls that were promised, one row each. open_on is the day of one that was not made yet.

CREATE TABLE calls (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  horse_id TEXT NOT NULL REFERENCES horses (id),
  date TEXT NOT NULL,
  whom TEXT NOT NULL,
  phone TEXT NOT NULL,
  about TEXT NOT NULL,
  done TEXT,
  said TEXT NOT NULL,
  archived INTEGER NOT NULL,
  open_on TEXT,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;
CREATE INDEX calls_of_horse ON calls (horse_id, date);
CREATE INDEX calls_open ON calls (open_on) WHERE open_on IS NOT NULL;
