"""The speed that was promised, measured in one run and written to docs/benchmarks.md."""
