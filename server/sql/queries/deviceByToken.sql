SELECT id, name, may, paired_at, seen_at FROM device WHERE token_hash = @tokenHash;
