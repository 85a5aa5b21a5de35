SELECT identity FROM folder WHERE one = 1;
