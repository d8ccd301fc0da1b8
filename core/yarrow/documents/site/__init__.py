"""``yarrow.site/1``: ducts between buildings."""
