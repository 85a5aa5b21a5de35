-- The newest first; the body is read when one is looked at.
SELECT revision, saved_at FROM past WHERE kind = @kind AND id = @id ORDER BY revision DESC;
