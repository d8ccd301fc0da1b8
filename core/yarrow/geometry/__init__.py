"""Points, polylines with round corners, and the straight pipe they come from. No trade words."""
