"""Figures worked by hand, with the working."""
