-- Words by which patterns are found, what was changed in a version and why, and the pattern it was begun from.

ALTER TABLE patterns ADD COLUMN tags TEXT;
ALTER TABLE patterns ADD COLUMN why TEXT;
ALTER TABLE patterns ADD COLUMN forked_from TEXT;

DROP INDEX patterns_found;
CREATE INDEX patterns_found ON patterns (
  archived, updated_at, horse_id, name, notes, tags, kinds, foot_width, bar_width, bar_thickness
);
