"""Findings as data: a code, the figures that it names, where, and what to change."""
