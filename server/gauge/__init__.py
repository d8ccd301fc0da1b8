"""A gauge at a bender, bridged from its local socket to the page."""
