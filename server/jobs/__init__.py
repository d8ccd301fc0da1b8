"""Jobs, their runs, and every revision of a run."""
