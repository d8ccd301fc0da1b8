"""Tests of ducts between buildings."""
