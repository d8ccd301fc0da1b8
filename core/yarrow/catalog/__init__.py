"""Tables as printed, each with its source beside it, and the loader that turns them into values."""
