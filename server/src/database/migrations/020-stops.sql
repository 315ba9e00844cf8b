-- What stands in the way of the work on a horse: findings that call for the vet and nobody has answered, or that let no shoe
-- be put on. Worked out from each look when it is stored, and kept beside the horse from its newest look, so that lists
-- tell it without reading looks. The view says what it is; the triggers keep it so, whoever writes.

ALTER TABLE looks ADD COLUMN stops TEXT NOT NULL DEFAULT '[]';
UPDATE looks SET stops = stops_of(vet, feet, acknowledged);

CREATE VIEW horses_stopped AS
SELECT h.id, coalesce(
  (SELECT l.stops FROM visits v JOIN looks l ON l.visit_id = v.id
   WHERE v.horse_id = h.id AND v.archived = 0 ORDER BY v.date DESC, v.created_at DESC LIMIT 1), '[]') AS stops
FROM horses h;

ALTER TABLE horses ADD COLUMN stops TEXT NOT NULL DEFAULT '[]';
UPDATE horses SET stops = (SELECT s.stops FROM horses_stopped s WHERE s.id = horses.id);

CREATE TRIGGER look_made AFTER INSERT ON looks BEGIN
  UPDATE horses SET stops = (SELECT s.stops FROM horses_stopped s WHERE s.id = horses.id)
  WHERE id = (SELECT horse_id FROM visits WHERE id = NEW.visit_id);
END;
CREATE TRIGGER look_changed AFTER UPDATE OF stops ON looks WHEN OLD.stops IS NOT NEW.stops BEGIN
  UPDATE horses SET stops = (SELECT s.stops FROM horses_stopped s WHERE s.id = horses.id)
  WHERE id = (SELECT horse_id FROM visits WHERE id = NEW.visit_id);
END;
CREATE TRIGGER look_gone AFTER DELETE ON looks BEGIN
  UPDATE horses SET stops = (SELECT s.stops FROM horses_stopped s WHERE s.id = horses.id)
  WHERE id = (SELECT horse_id FROM visits WHERE id = OLD.visit_id);
END;
CREATE TRIGGER visit_of_look_changed AFTER UPDATE OF horse_id, date, archived ON visits BEGIN
  UPDATE horses SET stops = (SELECT s.stops FROM horses_stopped s WHERE s.id = horses.id)
  WHERE id IN (OLD.horse_id, NEW.horse_id);
END;
CREATE TRIGGER visit_of_look_gone AFTER DELETE ON visits BEGIN
  UPDATE horses SET stops = (SELECT s.stops FROM horses_stopped s WHERE s.id = horses.id)
  WHERE id = OLD.horse_id;
END;
