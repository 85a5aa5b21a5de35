INSERT INTO photo (id, type, width_px, height_px, bytes, saved_at) VALUES (@id, @type, @width, @height, @bytes, @savedAt)
ON CONFLICT (id) DO NOTHING;
