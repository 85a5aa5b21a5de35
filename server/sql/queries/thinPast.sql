-- The last fifty saves of each document are kept.
DELETE FROM past WHERE kind = @kind AND id = @id AND revision <= @revision - 50;
