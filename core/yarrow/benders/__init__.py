"""Benders: a few measured numbers each, the marks on them, and which way round they go on."""
