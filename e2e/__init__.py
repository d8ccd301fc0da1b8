"""The real page in a real browser, against a real server and database."""
