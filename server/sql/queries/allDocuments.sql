SELECT kind, id, revision, body, saved_at FROM document WHERE body IS NOT NULL ORDER BY kind, id;
