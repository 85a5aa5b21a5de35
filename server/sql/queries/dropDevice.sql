DELETE FROM device WHERE id = @id;
