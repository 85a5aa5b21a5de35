INSERT INTO folder (one, purpose) VALUES (1, @purpose);
