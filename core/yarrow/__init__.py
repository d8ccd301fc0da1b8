"""Yarrow's core: the rules and sums of conduit bending, on the standard library alone."""

__version__ = "0.1.0"
