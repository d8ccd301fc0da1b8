"""``yarrow.fill/1``, and schedules of it."""
