INSERT INTO device (id, name, may, token_hash, paired_at, seen_at) VALUES (@id, @name, @may, @tokenHash, @now, @now);
