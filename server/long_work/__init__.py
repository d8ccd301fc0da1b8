"""What takes longer than somebody waits for an answer: done by a worker on any machine, told on the
way, stopped by a touch, and done once."""
