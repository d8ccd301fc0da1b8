"""The costliest bodies that every door was found to take: families of them, and the search."""
