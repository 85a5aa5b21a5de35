-- A folder is known by its own mark, so that a page never takes one folder's data for another's.
ALTER TABLE folder ADD COLUMN identity TEXT NOT NULL DEFAULT '';
