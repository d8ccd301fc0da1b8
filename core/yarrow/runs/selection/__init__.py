"""Bends for what is there: candidates, and which is taken."""
