-- What was decided for each foot of a visit (shod, reset, bare; paused), and the next visit where it was set by hand.
ALTER TABLE visits ADD COLUMN feet TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(feet));
ALTER TABLE visits ADD COLUMN next_due TEXT;
