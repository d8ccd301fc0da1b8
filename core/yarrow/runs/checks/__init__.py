"""Trouble, seen before metal is bent: what is wrong, where, and what to change, with the figure."""
