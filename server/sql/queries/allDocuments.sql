-- Which there are, without their bodies: each is then read on its own, so that a damaged one takes no other with it.
SELECT kind, id FROM document WHERE body IS NOT NULL ORDER BY kind, id;
