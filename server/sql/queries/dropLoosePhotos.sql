-- Those that neither a document nor an earlier save names, and that nobody was choosing just now.
DELETE FROM photo WHERE saved_at < @before
AND NOT EXISTS (SELECT 1 FROM document WHERE document.kind = 'kit' AND json_extract(document.body, '$.photo.id') = photo.id)
AND NOT EXISTS (SELECT 1 FROM past WHERE past.kind = 'kit' AND json_extract(past.body, '$.photo.id') = photo.id);
