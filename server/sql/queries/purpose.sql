SELECT purpose FROM folder WHERE one = 1;
