"""A crew's own benders, measured once and kept."""
