UPDATE device SET seen_at = @now WHERE id = @id;
