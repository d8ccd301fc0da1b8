"""Documents that are saved by version: one way of saving, restoring and removing for all kinds."""
