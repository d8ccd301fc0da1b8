"""``yarrow.bends/1``: straight pipe and bends."""
