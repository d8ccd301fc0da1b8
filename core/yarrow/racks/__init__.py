"""Racks: a run copied side by side, each pipe with marks of its own, and how near they come."""
