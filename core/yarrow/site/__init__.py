"""Ducts between buildings: pull points, routes, counts, and what one cut takes down."""
