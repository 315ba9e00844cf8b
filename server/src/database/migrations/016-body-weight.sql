-- What a horse weighs, kg: for the load on its feet.
ALTER TABLE horses ADD COLUMN body_weight REAL;
