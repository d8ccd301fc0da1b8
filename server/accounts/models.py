"""A crew, and the people in it who can sign in."""

from __future__ import annotations

from importlib import import_module
from typing import Any

from django.conf import settings
from django.contrib.auth.models import AbstractUser
from django.contrib.sessions.base_session import AbstractBaseSession
from django.db import models


class Crew(models.Model):
    """The wall around everything: jobs belong to a crew, and nobody else sees them."""

    name = models.CharField(max_length=120, unique=True)

    def __str__(self) -> str:
        return self.name


class Member(AbstractUser):
    """A person who signs in; always in exactly one crew."""

    crew = models.ForeignKey(Crew, on_delete=models.PROTECT, related_name="members")

    REQUIRED_FIELDS = ["crew"]  # noqa: RUF012 (Django's own form)

    @property
    def shown_name(self) -> str:
        """What the others call this member."""
        return self.get_full_name() or self.username


class MemberSession(AbstractBaseSession):
    """A session, and who is signed in by it; None before anybody is."""

    member = models.ForeignKey(Member, on_delete=models.CASCADE, null=True, related_name="+")

    @classmethod
    def get_session_store_class(cls) -> Any:
        """The engine that keeps them, as the settings name it.

        Returns:
            A class of sessions, as Django's ``SESSION_ENGINE`` has it.
        """
        return import_module(settings.SESSION_ENGINE).SessionStore
