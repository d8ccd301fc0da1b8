"""``yarrow.stock/1``: what is cut from what."""
