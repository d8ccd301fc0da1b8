"""Whose a gauge is: who paired it, for as long as they are signed in."""

from __future__ import annotations

from django.db import models

from accounts.models import MemberSession


class GaugePairing(models.Model):
    """A gauge by its address, with the ``code`` that it showed to the session that paired it. It
    goes with the session."""

    address = models.CharField(max_length=120, unique=True)
    code = models.CharField(max_length=12)
    session = models.ForeignKey(MemberSession, on_delete=models.CASCADE, related_name="+")
