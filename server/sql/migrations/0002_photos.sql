-- Photos kept with kit, resized before they come; known by the hash of their bytes, so the same one is kept once.
CREATE TABLE photo (
  id TEXT PRIMARY KEY CHECK (length(id) = 64),
  type TEXT NOT NULL CHECK (type IN ('image/jpeg', 'image/png', 'image/webp')),
  width_px INTEGER NOT NULL CHECK (width_px > 0),
  height_px INTEGER NOT NULL CHECK (height_px > 0),
  bytes BLOB NOT NULL,
  saved_at TEXT NOT NULL
) STRICT;
