-- What was ticked off and noted for each foot while it was nailed and finished.
ALTER TABLE visits ADD COLUMN close_list TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(close_list));
