"""``yarrow.run/1`` and ``yarrow.quick/1``: runs, typed lines and bends by themselves."""
