"""``yarrow.fittings/1``: a crew's own fittings."""
