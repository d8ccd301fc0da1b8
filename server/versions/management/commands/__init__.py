"""Commands of manage.py."""
