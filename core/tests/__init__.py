"""Tests of the core, by what they are held to."""
