DELETE FROM device;
