-- Those that neither a document nor an earlier save names, and that nobody was choosing just now.
WITH named (id) AS (
  SELECT json_extract(body, '$.photo.id') FROM document WHERE kind = 'kit'
  UNION SELECT json_extract(p.value, '$.id') FROM document, json_each(document.body, '$.photos') AS p WHERE document.kind = 'log'
  UNION SELECT json_extract(body, '$.photo.id') FROM past WHERE kind = 'kit'
  UNION SELECT json_extract(p.value, '$.id') FROM past, json_each(past.body, '$.photos') AS p WHERE past.kind = 'log'
)
DELETE FROM photo WHERE saved_at < @before AND NOT EXISTS (SELECT 1 FROM named WHERE named.id = photo.id);
