"""What can be read off a bend that is made: one file a kind, and a registry."""
