"""Small bugs that are put in one at a time, to see that a test notices: ``./yarrow mutants``."""
