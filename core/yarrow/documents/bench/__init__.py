"""``yarrow.bench/1``: what came out at the bench."""
