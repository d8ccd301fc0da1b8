"""A crew, and the people in it who can sign in."""

from __future__ import annotations

from importlib import import_module
from typing import Any, ClassVar

from django.conf import settings
from django.contrib.auth.models import AbstractUser
from django.contrib.sessions.base_session import AbstractBaseSession
from django.db import models

from accounts.roles import MAY, Act, CrewRole


class Crew(models.Model):
    """The wall around everything: jobs belong to a crew, and nobody else sees them."""

    name = models.CharField(max_length=120, unique=True)

    def __str__(self) -> str:
        return self.name


class Member(AbstractUser):
    """A person who signs in; always in exactly one crew."""

    crew = models.ForeignKey(Crew, on_delete=models.PROTECT, related_name="members")
    role = models.CharField(
        max_length=12,
        choices=CrewRole.choices,
        default=CrewRole.PLANNER,
        db_default=CrewRole.PLANNER,
    )

    REQUIRED_FIELDS = ["crew"]  # noqa: RUF012 (Django's own form)

    @property
    def shown_name(self) -> str:
        """What the others call this member."""
        return self.get_full_name() or self.username

    def may(self, act: Act) -> bool:
        """Whether their role does that.

        Args:
            act: that is asked for.
        """
        return act in MAY[CrewRole(self.role)]


class MemberSession(AbstractBaseSession):
    """A session, and who is signed in by it; None before anybody is."""

    member = models.ForeignKey(Member, on_delete=models.CASCADE, null=True, related_name="+")
    begun_at = models.DateTimeField(null=True)
    device = models.CharField(max_length=200, default="", db_default="")
    address = models.GenericIPAddressField(null=True)

    @classmethod
    def get_session_store_class(cls) -> Any:
        """The engine that keeps them, as the settings name it.

        Returns:
            A class of sessions, as Django's ``SESSION_ENGINE`` has it.
        """
        return import_module(settings.SESSION_ENGINE).SessionStore


class EntryLink(models.Model):
    """A way in that ends: into a crew for someone new, or to a new password for a ``member``. What
    it is opened by is kept by nobody but who has it: here is its digest alone."""

    digest = models.CharField(max_length=64, unique=True)
    crew = models.ForeignKey(Crew, on_delete=models.PROTECT, related_name="links")
    role = models.CharField(max_length=12, choices=CrewRole.choices)
    email = models.EmailField(blank=True)
    member = models.ForeignKey(Member, on_delete=models.PROTECT, null=True, related_name="links")
    invites = models.BooleanField()
    made_by = models.ForeignKey(Member, on_delete=models.PROTECT, null=True, related_name="+")
    made_at = models.DateTimeField(auto_now_add=True)
    ends_at = models.DateTimeField()
    used_at = models.DateTimeField(null=True)
    withdrawn_at = models.DateTimeField(null=True)

    def __str__(self) -> str:
        return f"{'invitation' if self.invites else 'password link'} {self.pk}"


class Passkey(models.Model):
    """A key that a device of a member's keeps for them, and gives out to nobody: here is what it is
    told from others by. ``sign_count`` goes up with each use, where the device counts."""

    member = models.ForeignKey(Member, on_delete=models.CASCADE, related_name="passkeys")
    credential_id = models.BinaryField(max_length=1023, unique=True)
    public_key = models.BinaryField(max_length=2000)
    sign_count = models.BigIntegerField(default=0)
    device = models.CharField(max_length=200)
    made_at = models.DateTimeField(auto_now_add=True)
    used_at = models.DateTimeField(null=True)

    def __str__(self) -> str:
        return f"passkey {self.pk}"


class AuditEntry(models.Model):
    """Who did what, when: written once. The database itself refuses that one is changed or taken
    away (see the migrations)."""

    at = models.DateTimeField(auto_now_add=True)
    crew = models.ForeignKey(Crew, on_delete=models.PROTECT, null=True, related_name="+")
    member = models.ForeignKey(Member, on_delete=models.PROTECT, null=True, related_name="+")
    did = models.CharField(max_length=60)
    about = models.JSONField(default=dict)
    address = models.GenericIPAddressField(null=True)

    class Meta:
        ordering = ("-id",)
        indexes: ClassVar = [models.Index(fields=["crew", "-id"], name="audit_of_a_crew")]

    def __str__(self) -> str:
        return f"{self.did} at {self.at}"


class Tries(models.Model):
    """How often something was tried since the first time, and when that is forgotten."""

    what = models.CharField(max_length=200, primary_key=True)
    count = models.PositiveIntegerField()
    ends_at = models.DateTimeField(db_index=True)

    def __str__(self) -> str:
        return f"{self.what}: {self.count}"
