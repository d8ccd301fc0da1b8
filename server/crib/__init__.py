"""The crib: a crew's own benders, measured once and kept."""
