-- Those that a document names: what a backup needs.
SELECT id, type, width_px AS width, height_px AS height, bytes FROM photo
WHERE EXISTS (SELECT 1 FROM document WHERE document.kind = 'kit' AND json_extract(document.body, '$.photo.id') = photo.id) ORDER BY id;
