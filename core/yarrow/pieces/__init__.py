"""Pieces: a run parted into sticks that can be cut, bent, carried and joined."""
