-- By which other ids a record is known since two of them became one; who still has the old one is led to the new.

CREATE TABLE other_names (
  id TEXT PRIMARY KEY,
  now TEXT NOT NULL
) WITHOUT ROWID;
CREATE INDEX other_names_of ON other_names (now);

-- What was erased leaves its id, and nothing else: a device that was away must not bring it back.

CREATE TABLE erased (
  id TEXT PRIMARY KEY
) WITHOUT ROWID;
