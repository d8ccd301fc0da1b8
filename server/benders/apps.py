"""The app's name in code, and the label that its tables keep."""

from __future__ import annotations

from django.apps import AppConfig


class BendersConfig(AppConfig):
    """A crew's own benders. The label is older than the name: tables and migrations carry it."""

    name = "benders"
    label = "crib"
