"""See the folder's name."""
