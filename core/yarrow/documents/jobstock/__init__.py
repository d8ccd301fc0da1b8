"""``yarrow.jobstock/1``: what is in hand on a job, and what its runs take."""
