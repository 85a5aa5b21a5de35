-- Phones paired with this folder. Of what one shows at the door only the hash is kept.
CREATE TABLE device (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  may TEXT NOT NULL CHECK (may IN ('field', 'read')),
  token_hash TEXT NOT NULL UNIQUE,
  paired_at TEXT NOT NULL,
  seen_at TEXT NOT NULL
) STRICT, WITHOUT ROWID;
