UPDATE folder SET identity = @identity WHERE one = 1;
