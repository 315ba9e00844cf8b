-- The round counts the patterns that are not archived: a narrow index, or the wide one of the search is read through.
CREATE INDEX patterns_counted ON patterns (archived);

-- For a foot the patterns of the nearest width come first: walked from it, up and down.
CREATE INDEX patterns_wider ON patterns (archived, foot_width, updated_at DESC);
CREATE INDEX patterns_narrower ON patterns (archived, foot_width DESC, updated_at DESC);
