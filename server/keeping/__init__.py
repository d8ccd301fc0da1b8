"""Backups of all that is kept, and how they come back."""
