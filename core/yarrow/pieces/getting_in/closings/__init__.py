"""What closes a threaded run: a kind a file."""
