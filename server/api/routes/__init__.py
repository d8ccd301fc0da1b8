"""The routes, by what they are about."""
