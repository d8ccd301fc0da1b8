"""Whether the wire goes in."""
