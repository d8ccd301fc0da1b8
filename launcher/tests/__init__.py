"""Tests of the start command: what it heals, and what it says when it can't go on."""
