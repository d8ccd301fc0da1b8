"""Framed walls."""
