"""The routes, by what they are about."""

# Before any route reads the types of its answers.
from api import finding_shape  # noqa: F401
