SELECT kind, id, revision, body, saved_at FROM document WHERE kind = @kind AND id = @id;
