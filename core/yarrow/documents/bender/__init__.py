"""``yarrow.bender/1``: a bender of one's own."""
