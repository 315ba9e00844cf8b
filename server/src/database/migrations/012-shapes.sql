-- The shape of the foot a pattern was made for, as places along its outline (48 pairs of 32-bit floats): what the nearest is found by.
-- Worked out when a pattern is stored; those from before get theirs when they are first looked for.

ALTER TABLE patterns ADD COLUMN outline_shape BLOB;
