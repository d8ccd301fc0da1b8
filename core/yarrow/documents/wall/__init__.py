"""``yarrow.wall/1``: framed walls."""
