SELECT id, type, width_px AS width, height_px AS height, bytes FROM photo WHERE id = @id;
