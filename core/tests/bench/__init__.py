"""At the bench."""
