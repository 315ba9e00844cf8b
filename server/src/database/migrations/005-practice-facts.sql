-- What is true of this practice as a whole: its name, whether it is the demo, the shoe it begins with. JSON by key.
CREATE TABLE practice_facts (
  key TEXT PRIMARY KEY,
  value TEXT NOT NULL CHECK (json_valid(value))
) STRICT;

-- A demo from before it said that it is one is known by its made-up addresses.
INSERT INTO practice_facts (key, value)
SELECT 'demo', 'true' WHERE EXISTS (SELECT 1 FROM owners WHERE email = 'stables@tidewater.example');
