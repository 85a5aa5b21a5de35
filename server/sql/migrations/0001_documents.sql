-- Everything a maker keeps is a document: one versioned JSON body, with the columns that are searched beside it.
CREATE TABLE document (
  kind TEXT NOT NULL CHECK (kind IN ('rig', 'kit', 'loadout', 'setup', 'log', 'bin')),
  id TEXT NOT NULL CHECK (length(id) BETWEEN 1 AND 100),
  revision INTEGER NOT NULL CHECK (revision > 0),
  -- NULL: deleted. The row stays, so that an undo or a late save meets the right revision.
  body TEXT CHECK (body IS NULL OR json_valid(body)),
  saved_at TEXT NOT NULL,
  PRIMARY KEY (kind, id)
) STRICT, WITHOUT ROWID;

-- What earlier saves held, so that nothing saved is ever lost.
CREATE TABLE past (
  kind TEXT NOT NULL,
  id TEXT NOT NULL,
  revision INTEGER NOT NULL CHECK (revision > 0),
  body TEXT,
  saved_at TEXT NOT NULL,
  PRIMARY KEY (kind, id, revision),
  FOREIGN KEY (kind, id) REFERENCES document (kind, id)
) STRICT, WITHOUT ROWID;

CREATE TABLE folder (
  one INTEGER PRIMARY KEY CHECK (one = 1),
  purpose TEXT NOT NULL CHECK (purpose IN ('demo', 'own'))
) STRICT;
