"""Where a run lies: its lines in space, what was measured there, and the wall that it hangs on."""
