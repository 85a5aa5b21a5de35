SELECT kind, id, revision, body, saved_at FROM past WHERE kind = @kind AND id = @id AND revision = @revision;
