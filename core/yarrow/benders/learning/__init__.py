"""What a bender really does, learnt from every bend that was measured on it."""
