"""A stand-in for a digital gauge on a powered bender: its own process, as an instrument is."""
