"""Crews and their members."""
