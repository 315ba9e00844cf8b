-- The year a horse was foaled in, where it is known.

ALTER TABLE horses ADD COLUMN born INTEGER;
