"""What is asked of the core about one document, and answered, without saving: a route a verb."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from django.http import HttpResponse
from ninja import Body

import yarrow
from api.answers import answered
from api.documents import document_of
from api.limits import CHECKS
from api.problems import REFUSALS
from api.request import MemberRequest
from api.router import Router
from api.signatures import with_parameters
from yarrow import VERBS, Language, Verb

router = Router(tags=["verbs"], throttle=CHECKS, keeps=False)


def _ask_at(verb: Verb[Any, Any]) -> None:
    def ask(request: MemberRequest, *, document: Any, language: Any, **values: Any) -> HttpResponse:
        return answered(verb(document, language=language, **values))

    document = document_of(verb.takes)
    body: Any = Body[document]  # type: ignore[misc, valid-type]  # one of each verb
    takes: dict[str, Any] = {"document": body, "language": Language | None}
    usual: dict[str, Any] = {"language": None}
    for option in verb.options:
        takes[option.name] = option.kind | None
        usual[option.name] = option.usual
    view: Callable[..., Any] = with_parameters(ask, takes, usual)
    view.__name__ = verb.name
    view.__doc__ = f"{verb.words[:1].upper()}{verb.words[1:]}. Nothing is saved."
    router.add_api_operation(
        f"/{verb.name.replace('_', '-')}",
        ["POST"],
        view,
        response={200: getattr(yarrow, verb.result), **REFUSALS},
        operation_id=verb.name,
    )


for _verb in VERBS.values():
    if _verb.asked_by_everyone and not _verb.beside:
        _ask_at(_verb)
