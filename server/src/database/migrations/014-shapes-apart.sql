-- Shapes are read by the thousand: from an index that holds them, not from behind each pattern's drawing.

CREATE INDEX patterns_shapes ON patterns (archived, outline_shape, id);
