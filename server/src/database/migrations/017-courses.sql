-- Plans over weeks: one row a course of one foot, with its steps. next_on is the first step that is open; none once it ended.

CREATE TABLE courses (
  id TEXT PRIMARY KEY,
  version INTEGER NOT NULL,
  horse_id TEXT NOT NULL REFERENCES horses (id),
  side TEXT NOT NULL,
  kind TEXT NOT NULL,
  started_on TEXT NOT NULL,
  why TEXT NOT NULL,
  who TEXT NOT NULL,
  steps TEXT NOT NULL CHECK (json_valid(steps)),
  answers TEXT NOT NULL CHECK (json_valid(answers)),
  ended TEXT NOT NULL CHECK (json_valid(ended)),
  archived INTEGER NOT NULL,
  next_on TEXT,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL
) STRICT;
CREATE INDEX courses_of_horse ON courses (horse_id, started_on);
CREATE INDEX courses_next ON courses (next_on) WHERE next_on IS NOT NULL;
