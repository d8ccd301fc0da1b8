"""What each kind of bender looks like from the side, drawn from its own numbers."""
