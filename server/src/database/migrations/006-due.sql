-- When a horse was last seen to the end, and when it is due: kept beside the horse, so that the round does not look
-- through all visits. The view says what they are; the triggers keep them so, whoever writes.

CREATE VIEW horses_seen AS
SELECT s.id, s.last_visit,
  -- As the last visit set it, else when the cycle after it is over.
  coalesce(
    (SELECT v.next_due FROM visits v
     WHERE v.horse_id = s.id AND v.archived = 0 AND v.state = 'done' AND v.date = s.last_visit
     ORDER BY v.created_at DESC LIMIT 1),
    date(s.last_visit, '+' || (s.cycle_weeks * 7) || ' days')
  ) AS due
FROM (
  SELECT h.id, h.cycle_weeks,
    (SELECT max(v.date) FROM visits v
     WHERE v.horse_id = h.id AND v.archived = 0 AND v.state = 'done') AS last_visit
  FROM horses h
) s;

ALTER TABLE horses ADD COLUMN last_visit TEXT;
ALTER TABLE horses ADD COLUMN due TEXT;
UPDATE horses SET (last_visit, due) = (SELECT last_visit, due FROM horses_seen s WHERE s.id = horses.id);

CREATE TRIGGER visits_made AFTER INSERT ON visits BEGIN
  UPDATE horses SET (last_visit, due) = (SELECT last_visit, due FROM horses_seen s WHERE s.id = NEW.horse_id)
  WHERE id = NEW.horse_id;
END;
CREATE TRIGGER visits_changed AFTER UPDATE ON visits BEGIN
  UPDATE horses SET (last_visit, due) = (SELECT last_visit, due FROM horses_seen s WHERE s.id = horses.id)
  WHERE id IN (OLD.horse_id, NEW.horse_id);
END;
CREATE TRIGGER visits_gone AFTER DELETE ON visits BEGIN
  UPDATE horses SET (last_visit, due) = (SELECT last_visit, due FROM horses_seen s WHERE s.id = OLD.horse_id)
  WHERE id = OLD.horse_id;
END;
CREATE TRIGGER cycle_changed AFTER UPDATE OF cycle_weeks ON horses WHEN OLD.cycle_weeks IS NOT NEW.cycle_weeks BEGIN
  UPDATE horses SET (last_visit, due) = (SELECT last_visit, due FROM horses_seen s WHERE s.id = NEW.id)
  WHERE id = NEW.id;
END;

-- In the order of the round, and all that is counted of it.
CREATE INDEX horses_by_due ON horses (archived, due, place, name, id);
DROP INDEX visits_open;
CREATE INDEX visits_open ON visits (horse_id, date) WHERE state = 'open' AND archived = 0;
