"""Lengths as people read them off a tape: units, notation, exact fractions and rounding."""
