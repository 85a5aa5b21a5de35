-- Those that a document names: what a backup needs.
SELECT id, type, width_px AS width, height_px AS height, bytes FROM photo
WHERE id IN (SELECT json_extract(body, '$.photo.id') FROM document WHERE kind = 'kit')
OR id IN (SELECT json_extract(p.value, '$.id') FROM document, json_each(document.body, '$.photos') AS p WHERE document.kind = 'log')
ORDER BY id;
