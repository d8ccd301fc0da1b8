"""The start command: sets up what is missing, runs the demo, tests, dev or benchmarks."""
