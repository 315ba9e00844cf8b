-- What patterns are searched by, kept beside them: the kinds of modification they wear, their bar and the width of their
-- foot in mm, and whether any of their nails was looked at when it was driven. The search reads an index, and no design is unpacked for it.

CREATE VIEW patterns_about AS
SELECT p.id,
  coalesce((SELECT ' ' || group_concat(json_extract(m.value, '$.kind'), ' ') || ' '
    FROM json_each(p.shoe, '$.modifications') m), '') AS kinds,
  EXISTS (SELECT 1 FROM json_each(p.result, '$.nails') n
    WHERE json_extract(n.value, '$.seen') IS NOT NULL AND json_extract(n.value, '$.lean') IS NOT NULL) AS seen,
  CAST(json_extract(p.foot, '$.width') AS REAL) AS foot_width,
  CAST(json_extract(p.shoe, '$.section.width') AS REAL) AS bar_width,
  CAST(json_extract(p.shoe, '$.section.thickness') AS REAL) AS bar_thickness
FROM patterns p;

ALTER TABLE patterns ADD COLUMN kinds TEXT NOT NULL DEFAULT '';
ALTER TABLE patterns ADD COLUMN seen INTEGER NOT NULL DEFAULT 0;
ALTER TABLE patterns ADD COLUMN foot_width REAL;
ALTER TABLE patterns ADD COLUMN bar_width REAL;
ALTER TABLE patterns ADD COLUMN bar_thickness REAL;
UPDATE patterns SET (kinds, seen, foot_width, bar_width, bar_thickness) =
    (SELECT kinds, seen, foot_width, bar_width, bar_thickness FROM patterns_about a WHERE a.id = patterns.id);

CREATE TRIGGER patterns_made AFTER INSERT ON patterns BEGIN
  UPDATE patterns SET (kinds, seen, foot_width, bar_width, bar_thickness) =
    (SELECT kinds, seen, foot_width, bar_width, bar_thickness FROM patterns_about a WHERE a.id = NEW.id) WHERE id = NEW.id;
END;
CREATE TRIGGER patterns_changed AFTER UPDATE OF foot, shoe, result ON patterns BEGIN
  UPDATE patterns SET (kinds, seen, foot_width, bar_width, bar_thickness) =
    (SELECT kinds, seen, foot_width, bar_width, bar_thickness FROM patterns_about a WHERE a.id = NEW.id) WHERE id = NEW.id;
END;

CREATE INDEX patterns_found ON patterns (
  archived, updated_at, horse_id, name, notes, kinds, foot_width, bar_width, bar_thickness
);
CREATE INDEX patterns_seen ON patterns (seen) WHERE seen = 1;
