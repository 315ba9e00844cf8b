-- The words patterns are found by, folded as those of horses are: without accents, and not folded anew at each search.

ALTER TABLE patterns ADD COLUMN search TEXT NOT NULL DEFAULT '';
UPDATE patterns SET search = fold(
  name || ' ' || notes || ' ' || coalesce((SELECT group_concat(value, ' ') FROM json_each(patterns.tags)), '')
);

DROP INDEX patterns_found;
CREATE INDEX patterns_found ON patterns (
  archived, updated_at, horse_id, search, tags, kinds, foot_width, bar_width, bar_thickness
);
