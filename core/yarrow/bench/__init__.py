"""At the bench: what a piece comes out as bend by bend, and what is left to do so that it fits."""
