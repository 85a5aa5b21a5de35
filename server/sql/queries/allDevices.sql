SELECT id, name, may, paired_at, seen_at FROM device ORDER BY paired_at DESC, id;
