"""One file a feature of the walk: its line to vertices, and a bent pipe back to its line."""
