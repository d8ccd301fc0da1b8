"""Handling: the half-bent pipe as it lies in the bender, what it meets there, and when."""
