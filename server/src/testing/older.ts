/** For tests: takes back what the database was made by since its step 19, as it was before. */
export const WITHOUT_STOPS = `
  DROP TABLE erased;
  DROP INDEX other_names_of;
  DROP TABLE other_names;
  ALTER TABLE horses DROP COLUMN born;
  DROP TRIGGER look_made; DROP TRIGGER look_changed; DROP TRIGGER look_gone;
  DROP TRIGGER visit_of_look_changed; DROP TRIGGER visit_of_look_gone;
  DROP VIEW horses_stopped;
  ALTER TABLE looks DROP COLUMN stops;
  ALTER TABLE horses DROP COLUMN stops;
  PRAGMA user_version = 19`
