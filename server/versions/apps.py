"""Finds the kinds of documents that are saved by version: each app's, in its ``kinds``."""

from __future__ import annotations

from django.apps import AppConfig, apps
from django.core.checks import Error, register
from django.db.models.signals import post_delete
from django.utils.module_loading import autodiscover_modules


class VersionsConfig(AppConfig):
    """Documents that are saved by version."""

    name = "versions"

    def ready(self) -> None:
        """Load them, and check that none was forgotten."""
        autodiscover_modules("kinds")
        register(every_model_has_its_kind)
        post_delete.connect(revisions_go_with_their_row)


def revisions_go_with_their_row(instance: object, **_: object) -> None:
    """A row that is deleted with what it belongs to takes its revisions along.

    Args:
        instance: the row, whatever it is.
    """
    from versions.models import VersionedDocument

    if isinstance(instance, VersionedDocument):
        instance.revisions.delete()


def every_model_has_its_kind(**_: object) -> list[Error]:
    """A model of documents that no kind is registered for would be left out of a job's file, of
    the check of all that is stored, and of the routes, and nobody would notice."""
    # Models can be loaded only once apps are.
    from versions.kinds import every_kind
    from versions.models import VersionedDocument

    known = {kind.model for kind in every_kind()}
    return [
        Error(f"{model.__name__} has no kind in {model._meta.app_label}'s kinds.py.", obj=model)
        for model in apps.get_models()
        if issubclass(model, VersionedDocument) and model not in known
    ]
