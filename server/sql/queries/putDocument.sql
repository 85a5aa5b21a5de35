INSERT INTO document (kind, id, revision, body, saved_at) VALUES (@kind, @id, @revision, @body, @savedAt)
ON CONFLICT (kind, id) DO UPDATE SET revision = excluded.revision, body = excluded.body, saved_at = excluded.saved_at;
